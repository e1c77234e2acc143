import { runPlan } from '../plan';
import { SEEN_APART_M } from '../policy';
import { stepOf, box, engineIn, inputOf, wheelTo } from '../testing/manoeuvre';
import { compareRuns } from './compare';

const START = { is: 'start' } as const;
const ahead = (angle: number, seconds = 15) =>
  runPlan(
    inputOf(
      [stepOf(START, [engineIn(1, 0.2)]), stepOf({ is: 'after', time: 5 }, [wheelTo(angle)])],
      { is: 'after', time: seconds },
      {
        obstacles: [box('hulk', 8, 0, 12, 40)],
        start: { x: 0, y: 0, heading: 0, speed: 1 },
      },
    ),
  );

describe('two runs side by side', () => {
  it('that are one differ in nothing', () => {
    const run = ahead(0);
    const difference = compareRuns(run, run);
    expect(difference).toMatchObject({ partsAt: null, apart: 0, endsApart: 0, endsTurned: 0 });
    expect(difference.duration[0]).toBe(difference.duration[1]);
    expect(difference.clearance[0]).toBe(difference.clearance[1]);
  });

  it('part after what was done otherwise, not before, and by as much as they lie apart', () => {
    const held = ahead(0);
    const turned = ahead(-20);
    const { partsAt, apart, apartAt, endsTurned } = compareRuns(held, turned);
    expect(partsAt!).toBeGreaterThan(5);
    const i = held.trace.time.findIndex((t) => t >= partsAt! - 1e-9);
    const gap = (k: number) =>
      Math.hypot(held.trace.x[k]! - turned.trace.x[k]!, held.trace.y[k]! - turned.trace.y[k]!);
    expect(gap(i)).toBeGreaterThan(SEEN_APART_M);
    expect(gap(i - 1)).toBeLessThanOrEqual(SEEN_APART_M);
    expect(apart).toBeGreaterThanOrEqual(gap(i));
    expect(apartAt).toBeGreaterThanOrEqual(partsAt!);
    // Wheel to port turns the boat to port.
    expect(endsTurned).toBeLessThan(-0.2);
  });

  it('is turned round when they are exchanged', () => {
    const a = ahead(0);
    const b = ahead(25, 11);
    const there = compareRuns(a, b);
    const back = compareRuns(b, a);
    expect(back.apart).toBeCloseTo(there.apart, 12);
    expect(back.endsTurned).toBeCloseTo(-there.endsTurned, 12);
    expect(back.duration).toEqual([there.duration[1], there.duration[0]]);
    expect(back.touch).toEqual([there.touch[1], there.touch[0]]);
    expect(back.clearance).toEqual([there.clearance[1], there.clearance[0]]);
  });
});
