import { solidObstacle } from '../holding';
import { sloop } from '../testing/boats';
import { stepOf, engineIn, inputOf } from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { runPlan } from './';

// A sloop, the boat's bow 0.5 m further forward on deck than on the water, goes slowly bow first on to a wall or a pontoon.

const facing = (height?: number) =>
  solidObstacle(
    'face',
    'pontoon',
    Float64Array.from([-9, 7, 9, 7, 9, 10, -9, 10]),
    { friction: 0.3, stiffness: 1e6 },
    height,
  );

const onTo = (height?: number, start = { x: 0, y: 0, heading: 0, speed: 0.25 }) =>
  runPlan(
    inputOf(
      [stepOf({ is: 'start' }, [engineIn(0)])],
      { is: 'after', time: 40 },
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

  it('is met by a fender hung low, and by bare hull under one hung high', () => {
    const sideways = (height: number) => {
      const boat = sloop();
      const fenders = boat.fenders.map((f) => ({ ...f, height }));
      const face = solidObstacle(
        'face',
        'pontoon',
        Float64Array.from([2.2, -9, 5, -9, 5, 9, 2.2, 9]),
        { friction: 0.3, stiffness: 1e6 },
        0.4,
      );
      return runPlan(
        inputOf(
          [stepOf({ is: 'start' }, [engineIn(0)])],
          { is: 'after', time: 60 },
          {
            boat: { ...boat, fenders },
            obstacles: [face],
            weather: { ...CALM, windFrom: -Math.PI / 2, windSpeed: 6 },
          },
        ),
      ).touches[0]!;
    };
    expect(sideways(0.5).fender).toMatch(/starboard fender/);
    expect(sideways(0.9).fender).toBeNull();
    expect(sideways(0.9).part).toBe('starboard side');
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
