import fc from 'fast-check';
import { assembleCraft } from '../boat';
import { sloop } from '../testing/boats';
import { between } from '../testing/arbitrary';
import {
  clearanceMemory,
  groundAt,
  leastClearance,
  noClearance,
  pileObstacle,
  shapesOf,
  obstacleSetOf,
  solidObstacle,
} from './';

const RIGID = { friction: 0, stiffness: 1e12 };
const wall = (y: number) =>
  solidObstacle('wall', 'wall', Float64Array.from([-50, y, 50, y, 50, y + 5, -50, y + 5]), RIGID);

/** A quay with many fingers west of everything: 44 corners, most of them out of reach from anywhere. */
function comb(): Float64Array {
  const corners: number[] = [-40, -60, -20, -60];
  for (let k = 0; k < 10; k++) {
    const y = -52 + 10 * k;
    corners.push(-20, y, -13.5, y + 1, -13.5, y + 2.5, -20, y + 3);
  }
  return Float64Array.from([...corners, -20, 60, -40, 60]);
}

describe('clearance', () => {
  it('is measured hull to face, pile and corner, and knows the place on the hull', () => {
    const out = noClearance();
    const craft = assembleCraft(sloop());
    const { touch } = craft;
    const shore = obstacleSetOf([wall(9), pileObstacle('p', 'pile', 2.2, 0, 0.2, RIGID)]);
    const memory = clearanceMemory(shore, shapesOf(craft, shore));
    const measure = (skip: number[]) =>
      leastClearance(out, memory, touch, shore, new Set(skip), groundAt(0, 0, 0));
    measure([]);
    expect(out.obstacle).toBe(1);
    // The side is not quite parallel to the keel there, so a little less than 2.2 − 0.2 − 1.7.
    expect(out.distance).toBeGreaterThan(0.29);
    expect(out.distance).toBeLessThan(0.31);
    measure([1]);
    expect(out).toMatchObject({ obstacle: 0, distance: 4, x: 5, y: 0 });
    measure([0, 1]);
    expect(out.obstacle).toBe(-1);
  });

  it('remembered from step to step is what it is measured afresh, whatever way she goes', () => {
    const craft = assembleCraft(sloop());
    const { touch } = craft;
    const shore = obstacleSetOf([
      wall(14),
      pileObstacle('p', 'pile', 6, 3, 0.2, RIGID),
      pileObstacle('q', 'pile', -5, -7, 0.3, RIGID),
      solidObstacle('s', 's', Float64Array.from([-12, -4, -9, -6, -8, 2, -13, 3]), RIGID),
      solidObstacle('t', 't', Float64Array.from([9, -9, 12, -9, 12, 6, 9, 6]), RIGID),
      solidObstacle('u', 'u', Float64Array.from([-3, -16, 8, -16, 5, -13, -3, -12]), RIGID),
      solidObstacle('comb', 'comb', comb(), RIGID),
    ]);
    const nothing = new Set<number>();
    const some = new Set([1, 3]);
    const path = fc.array(
      fc.record({
        turn: between(-0.4, 0.4),
        way: between(-0.6, 0.6),
        skip: fc.integer({ min: 0, max: 9 }),
      }),
      { minLength: 20, maxLength: 60 },
    );
    fc.assert(
      fc.property(path, (steps) => {
        const out = noClearance();
        const memory = clearanceMemory(shore, shapesOf(craft, shore));
        let [x, y, heading] = [0, 0, 0];
        for (const { turn, way, skip } of steps) {
          heading += turn;
          x = Math.max(-14, Math.min(14, x + way * Math.sin(heading)));
          y = Math.max(-18, Math.min(18, y + way * Math.cos(heading)));
          const left = skip === 0 ? some : nothing;
          const measure = (into: typeof out, m: typeof memory) =>
            leastClearance(into, m, touch, shore, left, groundAt(x, y, heading));
          measure(out, memory);
          const afresh = noClearance();
          measure(afresh, clearanceMemory(shore, shapesOf(craft, shore)));
          expect(out.distance).toBeCloseTo(afresh.distance, 9);
        }
      }),
      { numRuns: 60 },
    );
  });
});
