import { solidObstacle } from '../holding';
import { beatOf, engineIn, inputOf } from '../testing/manoeuvre';
import { runTake } from '.';

// A sloop, her bow 0.5 m further forward on deck than on the water, goes slowly bow first on to a wall or a pontoon.

const facing = (height?: number) =>
  solidObstacle(
    'face',
    'pontoon',
    Float64Array.from([-9, 7, 9, 7, 9, 10, -9, 10]),
    { friction: 0.3, stiffness: 1e6 },
    height,
  );

const onTo = (height?: number, start = { x: 0, y: 0, heading: 0, speed: 0.25 }) =>
  runTake(
    inputOf(
      [beatOf({ is: 'start' }, [engineIn(0)])],
      { is: 'after', seconds: 40 },
      {
        obstacles: [facing(height)],
        start,
      },
    ),
  );

describe('a pontoon lower than her deck', () => {
  it('is met by her stem at that height: later than a wall, with her bow over it', () => {
    const wall = onTo();
    const low = onTo(0.44);
    expect(wall.touches[0]).toMatchObject({ name: 'pontoon', part: 'bow' });
    expect(low.touches[0]).toMatchObject({ name: 'pontoon', part: 'bow' });
    expect(low.touches[0]!.time).toBeGreaterThan(wall.touches[0]!.time + 0.5);
    // Two fifths of the way up: three fifths of the half metre hang over, and what the touch gives way.
    expect(-low.margins.overhang!.distance).toBeGreaterThan(0.29);
    expect(-low.margins.overhang!.distance).toBeLessThan(0.4);
    expect(low.margins.overhang).toMatchObject({ name: 'pontoon', part: 'bow' });
    expect(wall.margins.overhang).toBeNull();
  });

  it('as high as her deck or higher is a wall', () => {
    expect(onTo(1.1).touches[0]!.time).toBe(onTo().touches[0]!.time);
    expect(onTo(2).margins.overhang).toBeNull();
  });

  it('mirrored and turned round is met the same', () => {
    const stern = onTo(0.44, { x: 0, y: 0, heading: Math.PI, speed: -0.25 });
    expect(stern.touches[0]!.part).toMatch(/stern|quarter/);
    expect(stern.margins.overhang!.part).toMatch(/stern|quarter/);
  });
});
