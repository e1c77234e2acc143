import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import { stepOf, inputOf } from '../testing/manoeuvre';
import { sloop } from '../testing/boats';
import { assembleCraft } from '../boat';
import { runPlan } from '../plan';
import { linesOf } from './line';
import { ROPES, ropeFigures } from './rope';
import { stoppedBy } from './stopping';

describe('a spring that stops her', () => {
  it('is √(m/k)·v of stretch for a line of one stiffness', () => {
    const rope = { stiffness: 40000, stiffening: 0, damping: 0, breaks: 1e9 };
    const found = stoppedBy(rope, 6000, 0.5, 6)!;
    // k = EA/L₀; stretch v√(m L₀/EA), load v√(m EA/L₀).
    expect(found.stretch).toBeCloseTo(0.5 * Math.sqrt((6000 * found.length) / 40000), 6);
    expect(found.load).toBeCloseTo(0.5 * Math.sqrt((6000 * 40000) / found.length), 3);
    expect(found.length + found.stretch).toBeCloseTo(6, 9);
  });

  it('takes all the energy there is, for any rope, boat and speed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ROPES),
        between(8, 24),
        between(500, 30000),
        between(0.1, 1),
        between(2, 12),
        (kind, diameter, mass, speed, span) => {
          const rope = ropeFigures(kind, diameter, 0.6);
          const found = stoppedBy(rope, mass, speed, span);
          if (!found) return;
          let work = 0;
          const steps = 4000;
          for (let i = 0; i < steps; i++) {
            const strain = ((i + 0.5) / steps) * (found.stretch / found.length);
            work += ((rope.stiffness + rope.stiffening * strain) * strain * found.stretch) / steps;
          }
          expect(work / (0.5 * mass * speed * speed)).toBeCloseTo(1, 4);
          const faster = stoppedBy(rope, mass, 1.2 * speed, span);
          if (faster) {
            expect(faster.length).toBeLessThan(found.length);
            expect(faster.load).toBeGreaterThan(found.load);
          }
        },
      ),
    );
  });

  it('is null where the line would have to stretch to twice its length', () => {
    expect(stoppedBy(ropeFigures('polyamide', 6, 0.6), 20000, 3, 2)).toBeNull();
  });

  it('is what the simulation finds, less what the water takes', () => {
    const boat = sloop();
    const craft = assembleCraft(boat);
    const rope = { ...ropeFigures('polyester', 14, 0.6), damping: 0 };
    const { mass, addedSurge } = boat.hull;
    const speed = 0.4;
    const span = 5;
    const told = stoppedBy(rope, mass * (1 + addedSurge), speed, span)!;
    // Led straight aft from the bow to a post, taut from the first.
    const line = {
      boatX: 4,
      boatY: 0,
      shoreX: 0,
      shoreY: 4 - told.length,
      rise: 0,
      length: told.length,
      ...rope,
    };
    const run = runPlan(
      inputOf(
        [stepOf({ is: 'start' }, [])],
        { is: 'after', time: 6 },
        {
          boat,
          craft,
          lines: linesOf([line]),
          start: { x: 0, y: 0, heading: 0, speed },
        },
      ),
    );
    const furthest = Math.max(...run.trace.y);
    expect(furthest).toBeLessThan(told.stretch);
    expect(furthest).toBeGreaterThan(0.93 * told.stretch);
  });
});
