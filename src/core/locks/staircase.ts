import { chamberArea, LEAF, SIDES, type Lock, type LockState, type Paddle } from './lock';

// A staircase: the lower gates and paddles of one lock are the upper ones of the next. The lock above reckons what goes through
// them, its lower water being the chamber below; the lock below takes over levels, flow and leaves. No water is lost between.

/** Two locks made one staircase: how each is worked. The upper one's lower water has the area of the chamber below. */
export function joined(upper: Lock, lower: Lock): { readonly upper: Lock; readonly lower: Lock } {
  const between = upper.paddles.flatMap((paddle): Paddle[] =>
    paddle.end === 'lower' ? [{ ...paddle, end: 'upper' }] : [],
  );
  const own = lower.paddles.filter(({ end }) => end === 'lower');
  const above = { level: upper.upper.level, area: chamberArea(upper) };
  return {
    upper: {
      ...upper,
      lower: { level: lower.upper.level, area: chamberArea(lower) },
      drainsTo: lower.lower.level,
    },
    lower: {
      ...lower,
      upper: { level: lower.upper.level, area: Infinity },
      upperGates: upper.lowerGates,
      leakUpper: 0,
      paddles: [...own, ...between],
      fed: { from: own.length, above },
    },
  };
}

/** Takes over into a fed lock what goes on at the gates it shares with the lock above, which has just been worked. */
export function feed(lock: Lock, state: LockState, upper: Lock, above: LockState): void {
  state.chamber = above.lower;
  state.upper = above.chamber;
  state.flowIn = above.flowOut;
  state.surgeIn = above.surgeOut;
  let k = lock.fed!.from;
  upper.paddles.forEach(({ end }, i) => {
    if (end !== 'lower') return;
    state.open[k] = above.open[i]!;
    state.wound[k] = above.wound[i]!;
    k += 1;
  });
  for (const side of SIDES) {
    state.leaves[LEAF.upper[side]] = above.leaves[LEAF.lower[side]]!;
    state.leavesTo[LEAF.upper[side]] = above.leavesTo[LEAF.lower[side]]!;
  }
  state.gates.upper = above.gates.lower;
}

/** How many locks of a staircase lie above one. */
export function stepsDown(
  locks: readonly { readonly above?: number | undefined }[],
  lock: number,
): number {
  let steps = 0;
  for (let at = locks[lock]!.above; at !== undefined; at = locks[at]!.above) {
    steps += 1;
    if (steps > locks.length) throw new RangeError('locks lie above one another in a ring');
  }
  return steps;
}
