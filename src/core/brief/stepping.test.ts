import { halfBreadthAt } from '../boat';
import { runPlan, type RunInput } from '../plan';
import { STEP_GAP_M, STEP_UP_M } from '../policy';
import { sloop } from '../testing/boats';
import { LOCK_WALLS, lockAt } from '../testing/locks';
import { stepOf, box, inputOf } from '../testing/manoeuvre';
import { aboard, hands, riggedWith } from '../testing/rigging';
import { steppingOf } from './';

const HALF = sloop().hull.beam / 2;
const LENGTH = sloop().hull.length;

/** The boat lies still, heading north, and Bo steps ashore on to what lies to starboard. */
function lying(obstacles: RunInput['obstacles'], rest: Partial<RunInput> = {}): RunInput {
  const step = hands({ do: 'stepAshore', by: 0, mark: { name: 'quay', x: HALF + 2, y: 0 } }, 1);
  return {
    ...inputOf([stepOf({ is: 'start' }, [step])], { is: 'after', time: 110 }),
    obstacles,
    start: { x: 0, y: 0, heading: 0, speed: 0 },
    ...riggedWith([], [aboard('Bo', 0, 0)]),
    ...rest,
  };
}
const found = (input: RunInput) => steppingOf(input, runPlan(input));
const quay = (gap: number) => box('quay', HALF + gap, -40, HALF + 10, 40);

describe('where to step', () => {
  it('amidships lies nearest along a straight quay, as the sides draw in fore and aft', () => {
    const { places, who, time } = found(lying([quay(0.2)]))!;
    expect(who).toBe('Bo');
    expect(time).toBeGreaterThan(1);
    expect(places[0]!.place).toBe('amidships');
    expect(places[0]!.gap).toBeGreaterThan(0.15);
    expect(places[0]!.gap).toBeLessThan(0.45);
    expect(places.map(({ gap }) => gap)).toEqual(
      [...places.map(({ gap }) => gap)].sort((a, b) => a - b),
    );
    for (const { gap, steppable } of places) expect(steppable).toBe(gap <= STEP_GAP_M);
  });

  it('is the stern where only that reaches, and tells how near the propeller turns', () => {
    const aft = -0.42 * LENGTH;
    const jetty = box('jetty', halfBreadthAt(sloop().hull.deck, aft) + 0.2, -LENGTH, 9, aft + 0.5);
    const { places } = found(lying([jetty], riggedWith([], [aboard('Bo', aft, 0)])))!;
    expect(places[0]!.place).toBe('stern');
    const nearest = Math.min(...places.map(({ propeller }) => propeller!));
    expect(places[0]!.propeller).toBe(nearest);
  });

  it('is the same in the mirror and turned about', () => {
    const gaps = (input: RunInput) =>
      found(input)!.places.map(({ place, gap }) => `${place} ${gap.toFixed(2)}`);
    const port = box('quay', -HALF - 10, -40, -HALF - 0.2, 40);
    const west = lying([port]);
    const [step] = west.plan.steps;
    const mark = { name: 'quay', x: -HALF - 2, y: 0 };
    const flipped = {
      ...west,
      plan: {
        ...west.plan,
        steps: [{ ...step!, orders: [hands({ do: 'stepAshore', by: 0, mark }, 1)] }],
      },
    };
    expect(gaps(flipped)).toEqual(gaps(lying([quay(0.2)])));
  });

  it('is nowhere on to what stands too high, but by a ladder within a step of her', () => {
    const high = {
      ...quay(0.2),
      height: sloop().hull.freeboard + STEP_UP_M + 0.1,
    };
    const bare = found(lying([high]))!;
    for (const { over, ladder, steppable } of bare.places)
      expect([over, ladder, steppable]).toEqual([expect.closeTo(STEP_UP_M + 0.1, 9), null, false]);
    const ladders = [
      { name: 'far ladder', x: HALF + 0.2, y: LENGTH },
      { name: 'rungs', x: HALF + 0.2, y: -0.5 },
    ];
    const [best] = found(lying([high], { ladders }))!.places;
    expect(best).toMatchObject({ ladder: 'rungs', steppable: true });
    // No ladder is wanted where one steps.
    const low = { ...high, height: high.height - 0.2 };
    expect(found(lying([low], { ladders }))!.places[0]).toMatchObject({ ladder: null });
  });

  it('in a chamber goes by its coping over the water in it then', () => {
    const input = lying(LOCK_WALLS, {
      locks: [lockAt()],
      start: { x: 3 - HALF - 0.2, y: -8, heading: 0, speed: 0 },
      berth: new Set(LOCK_WALLS.map(({ id }) => id)),
    });
    const { places } = found(input)!;
    const { coping } = lockAt();
    expect(places[0]!.over).toBeCloseTo(coping - sloop().hull.freeboard, 6);
    expect(places[0]!.steppable).toBe(false);
  });

  it('is nothing where nobody steps, and where nothing is near', () => {
    expect(found({ ...lying([quay(0.2)]), ...inputOf([], { is: 'start' }) })).toBeNull();
    expect(found(lying([quay(12)]))).toBeNull();
  });
});
