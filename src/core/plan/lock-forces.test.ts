import { lockAtRest, pushInLock, standsAlong, weightOf, workLock } from '../locks';
import { stepOf, inputOf } from '../testing/manoeuvre';
import { LOCK_WALLS, lockAt, windTo } from '../testing/locks';
import { ropeFigures } from '../holding';
import { riggedWith } from '../testing/rigging';
import { runPlan } from './';

const STEADY = { is: 'after', time: 200 } as const;

/** The sloop held by the boat's bow from ahead on a long level line while the chamber fills by some paddles. */
function held(shares: readonly [number, number]) {
  const spec = { ...ropeFigures('polyester', 14, 0.6), damping: 20_000, total: 300 };
  const input = inputOf(
    [
      stepOf({ is: 'start' }, [
        { after: 0, order: windTo(0, shares[0]) },
        { after: 0, order: windTo(1, shares[1]) },
      ]),
    ],
    STEADY,
    {
      obstacles: LOCK_WALLS,
      locks: [lockAt()],
      start: { x: 0, y: -9.5, heading: 0, speed: 0 },
      limit: 130,
      ...riggedWith([{ x: 4.6, y: 0, fast: { x: 0, y: 200, length: 204.9 }, spec }]),
    },
  );
  const run = runPlan({ ...input, plan: { ...input.plan, end: { cue: STEADY, within: 300 } } });
  return { run, input };
}

/** Greatest push along the chamber on a boat that stays where it is, worked out without a run, N. */
function stated(share: number, mass: number, hull: Parameters<typeof standsAlong>[2]): number {
  const { lock } = lockAt();
  const state = lockAtRest(lock, 'lower');
  const boat = standsAlong(lockAt(), { x: 0, y: -9.5, heading: 0 }, hull);
  const push = { along: 0, across: 0 };
  let most = 0;
  for (let t = 0; t < 120; t += 0.5) {
    // The keeper winds one after the other.
    if (t === 0) state.wound[0] = share;
    if (t === 10 * share) state.wound[1] = share;
    workLock(lock, state, 0.5);
    pushInLock(push, lockAt(), state, boat, weightOf(mass));
    most = Math.max(most, push.along);
  }
  return most;
}

describe('keeping station on a line', () => {
  const most = (share: number) => {
    const { run, input } = held([share, share]);
    const { hull } = input.boat;
    return {
      pulled: Math.max(...run.trace.lines[0]!.tension),
      stated: stated(share, hull.mass, hull),
    };
  };

  it.each([1, 0.5])('takes the push that is stated, paddles at %d', (share) => {
    const { pulled, stated: pushed } = most(share);
    // The boat gives a little on its line, and the water that goes by rubs on it.
    expect(pulled / pushed).toBeGreaterThan(0.75);
    expect(pulled / pushed).toBeLessThan(1.5);
  });

  it('less of a paddle pulls less', () => {
    expect(most(0.25).pulled).toBeLessThan(0.7 * most(1).pulled);
  });
});
