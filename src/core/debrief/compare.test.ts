import { runTake } from '../score';
import { beatOf, box, engineIn, inputOf, wheelTo } from '../testing/manoeuvre';
import { compareTakes, PART_M } from './compare';

const START = { is: 'start' } as const;
const ahead = (angle: number, seconds = 15) =>
  runTake(
    inputOf(
      [beatOf(START, [engineIn(1, 0.2)]), beatOf({ is: 'after', seconds: 5 }, [wheelTo(angle)])],
      { is: 'after', seconds },
      {
        obstacles: [box('hulk', 8, 0, 12, 40)],
        start: { x: 0, y: 0, heading: 0, speed: 1 },
      },
    ),
  );

describe('two takes side by side', () => {
  it('that are one differ in nothing', () => {
    const take = ahead(0);
    const difference = compareTakes(take, take);
    expect(difference).toMatchObject({ partsAt: null, apart: 0, endsApart: 0, endsTurned: 0 });
    expect(difference.duration[0]).toBe(difference.duration[1]);
    expect(difference.clearance[0]).toBe(difference.clearance[1]);
  });

  it('part after what was done otherwise, not before, and by as much as they lie apart', () => {
    const held = ahead(0);
    const turned = ahead(-20);
    const { partsAt, apart, apartAt, endsTurned } = compareTakes(held, turned);
    expect(partsAt!).toBeGreaterThan(5);
    const i = held.trace.time.findIndex((t) => t >= partsAt! - 1e-9);
    const gap = (k: number) =>
      Math.hypot(held.trace.x[k]! - turned.trace.x[k]!, held.trace.y[k]! - turned.trace.y[k]!);
    expect(gap(i)).toBeGreaterThan(PART_M);
    expect(gap(i - 1)).toBeLessThanOrEqual(PART_M);
    expect(apart).toBeGreaterThanOrEqual(gap(i));
    expect(apartAt).toBeGreaterThanOrEqual(partsAt!);
    // Wheel to port turns her to port.
    expect(endsTurned).toBeLessThan(-0.2);
  });

  it('is turned round when they are exchanged', () => {
    const a = ahead(0);
    const b = ahead(25, 11);
    const there = compareTakes(a, b);
    const back = compareTakes(b, a);
    expect(back.apart).toBeCloseTo(there.apart, 12);
    expect(back.endsTurned).toBeCloseTo(-there.endsTurned, 12);
    expect(back.duration).toEqual([there.duration[1], there.duration[0]]);
    expect(back.touch).toEqual([there.touch[1], there.touch[0]]);
    expect(back.clearance).toEqual([there.clearance[1], there.clearance[0]]);
  });
});
