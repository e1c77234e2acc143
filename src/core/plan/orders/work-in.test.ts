import { fleetCraft } from '@/document/testing/fleet';
import { obstacleSetOf } from '../../holding';
import { runPlan, type RunInput } from '..';
import { box } from '../../testing/boxes';
import { engineIn, inputOf, stepOf, wheelTo } from '../../testing/manoeuvre';
import { CALM } from '../../testing/rig';
import { drawOf, only, STANDARD_SPREAD, varied } from '../../uncertainty';
import type { Order } from './';

const START = { is: 'start' } as const;
const obstacles = [
  box('quay', -40, 0, 40, 4),
  box('finger', 7, -9, 8, 0),
  box('other', -1, -9, 0, 0),
];
const MIDSHIPS = { name: 'midships', x: 0, y: 0 };
const goal: RunInput['goal'] = {
  is: 'lie',
  point: MIDSHIPS,
  mark: { name: 'slip', x: 3.5, y: -6.3 },
  within: 1.4,
  heading: 0,
  headingWithin: 0.2,
  speedBelow: 0.3,
};
const workIn: Order = {
  do: 'workIn',
  point: MIDSHIPS,
  mark: goal.mark,
  within: 1.4,
  heading: 0,
  headingWithin: 0.2,
  most: 1,
  thrusters: false,
  idle: false,
};

/** Along the aisle before a slip. */
function slip(id: string, rest: Partial<RunInput> = {}): RunInput {
  const craft = fleetCraft(id);
  const input = inputOf(
    [stepOf(START, [{ after: 0, order: workIn }])],
    { is: 'done' },
    {
      boat: craft.spec,
      craft,
      obstacles,
      shore: obstacleSetOf(obstacles),
      start: { x: -25, y: -20, heading: Math.PI / 2, speed: 1 },
      goal,
      limit: 240,
      ...rest,
    },
  );
  return { ...input, plan: { ...input.plan, end: { cue: { is: 'done' }, within: 300 } } };
}

describe('a boat worked in by short bursts', () => {
  it.each(['quince', 'fennick'])(
    'brings %s into a slip, and the plan goes on as it lies there',
    (id) => {
      const run = runPlan(slip(id));
      expect(run.outcome).toBe('reached');
      expect(run.duration).toBeLessThan(240);
    },
  );

  it('does the same again to the last bit, and not by what only turns out', () => {
    const drawn = only(STANDARD_SPREAD, ['propWalk', 'thrust']);
    const once = runPlan(varied(slip('quince'), drawOf(drawn, 3, 1)));
    const again = runPlan(varied(slip('quince'), drawOf(drawn, 3, 1)));
    expect(again.trace.x).toEqual(once.trace.x);
    expect(again.trace.engines[0]!.throttle).toEqual(once.trace.engines[0]!.throttle);
    // A stronger screw than the one it reckons with ends otherwise.
    expect(once.trace.x.at(-1)).not.toBe(runPlan(slip('quince')).trace.x.at(-1));
  });

  it('holds in most tries in which boat, day and start are drawn', () => {
    const drawn = only(STANDARD_SPREAD, ['thrust', 'propWalk', 'hullDrag', 'start', 'windForce']);
    const input = slip('fennick', { weather: { ...CALM, windSpeed: 2, windFrom: 2 } });
    const reached = Array.from({ length: 12 }, (_, k) =>
      runPlan(varied(input, drawOf(drawn, 1, k))),
    ).filter(({ outcome }) => outcome === 'reached');
    expect(reached.length).toBeGreaterThanOrEqual(8);
  });

  it.each([
    ['an engine', engineIn(0)],
    ['the wheel', wheelTo(10)],
    ['a heading', { after: 0, order: { do: 'steer', heading: 1 } as Order }],
  ])('is ended by an order to %s', (_name, order) => {
    const input = slip('quince', { limit: 40 });
    const steps = [...input.plan.steps, stepOf({ is: 'after', time: 5 }, [order])];
    const run = runPlan({ ...input, plan: { ...input.plan, steps } });
    const [engine] = run.trace.engines;
    const gears = [...engine!.gear].slice(120);
    // Whoever worked the levers has let go of them: they stay where they were.
    expect(new Set(gears).size).toBe(1);
  });

  it('is there at once well within what is allowed, only after some looks nearer to its edge', () => {
    const lies = (aside: number) =>
      runPlan(slip('quince', { start: { x: 3.5 + aside, y: -6.3, heading: 0, speed: 0 } }));
    expect(lies(0.5).duration).toBeLessThan(0.1);
    // It makes sure of it: three looks.
    expect(lies(0.9).duration).toBeGreaterThan(2);
    expect(lies(0.9).duration).toBeLessThan(4);
    const near = lies(1.05);
    expect(near.outcome).toBe('reached');
    // Five looks, a second and a quarter apart.
    expect(near.duration).toBeGreaterThan(4);
    expect(near.duration).toBeLessThan(7);
    // Beyond nine tenths of it the boat is worked on.
    expect(lies(1.35).duration).toBeGreaterThan(20);
  });

  it('comes clear of everything, and says so', () => {
    const craft = fleetCraft('quince');
    const order: Order = { do: 'workClear', distance: 2, most: 1, thrusters: false, idle: false };
    const run = runPlan(
      inputOf(
        [stepOf(START, [{ after: 0, order }])],
        { is: 'done' },
        {
          boat: craft.spec,
          craft,
          obstacles,
          shore: obstacleSetOf(obstacles),
          start: { x: 3.5, y: -6.3, heading: 0, speed: 0 },
          goal: { is: 'clear', distance: 1.8 },
          limit: 200,
        },
      ),
    );
    expect(run.outcome).toBe('reached');
  });
});
