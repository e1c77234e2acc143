import { BESIDE_BOAT_S, LINE_HOME_S, WALKS_ASHORE_MPS } from '../policy';
import type { LevelChange } from './brief';
import { gatesOf, leafSides, SIDES, type End, type Lock, type LockState } from './lock';
import { endAt, spotOf, wayBeside, type Landings, type Spot } from './on-foot';
import { isShut, MADE_M } from './work';

// How long a passage takes by how many are ashore: every paddle and leaf is walked to and worked in its own time, each by
// whoever has it done soonest, and people walk while the water runs.

/** A passage that is timed: m, s. */
export interface PassageAsked {
  readonly lock: Lock;
  readonly going: 'up' | 'down';
  /** How the lock stands. */
  readonly begins: LockState;
  /** Does the boat lie in the chamber already? */
  readonly inside: boolean;
  /** From where the boat and the crew begin to the gates, and so far beyond the others they come together again. */
  readonly landing: number;
  /** The boat's speed in and out, m/s. */
  readonly speed: number;
  /** Places of the bridges people walk over. */
  readonly bridges: readonly Landings[];
  /** How the water is made that turns the lock round for the boat, and that takes it on. */
  readonly turn: LevelChange | null;
  readonly run: LevelChange | null;
}

/** Until the gates stand open to the boat, and until the crew are back aboard beyond the lock, s. */
export interface PassageTimes {
  readonly ready: number;
  readonly whole: number;
}

interface Task {
  readonly end: End;
  readonly at: Spot;
  readonly seconds: number;
  /** What it weighs in the mean start of a stage. */
  readonly weight: number;
}

/** When the last of some tasks is done, and the mean of when they were begun. */
interface Stage {
  readonly done: number;
  readonly begun: number;
}

const other = (end: End): End => (end === 'upper' ? 'lower' : 'upper');

/** People ashore: where each is, and when free. */
class Gang {
  private readonly hands: { at: Spot; free: number }[];
  private readonly shut: Record<End, boolean>;

  constructor(
    private readonly asked: PassageAsked,
    count: number,
    from: Spot,
  ) {
    const { lock, begins } = asked;
    this.hands = Array.from({ length: count }, () => ({ at: from, free: 0 }));
    this.shut = { upper: isShut(lock, begins, 'upper'), lower: isShut(lock, begins, 'lower') };
  }

  /** Tasks begun no sooner than some moment; null where somebody does not get to one. */
  private stage(after: number, tasks: readonly Task[], opens: End | null): Stage | null {
    const { lock, bridges } = this.asked;
    const left = [...tasks];
    const moved = new Set<number>();
    let [done, sum, weight] = [after, 0, 0];
    while (left.length > 0) {
      let best: { hand: number; task: Task; starts: number } | null = null;
      for (const [i, { at, free }] of this.hands.entries()) {
        // Whoever has swung one leaf open does not get back over it.
        const shut = (end: End) => this.shut[end] && !(end === opens && moved.has(i));
        for (const task of left) {
          const way = wayBeside(lock, shut, at, task.at, bridges);
          if (way === null) continue;
          const starts = Math.max(free + way / WALKS_ASHORE_MPS, after);
          if (!best || starts + task.seconds < best.starts + best.task.seconds)
            best = { hand: i, task, starts };
        }
      }
      if (!best) return null;
      const { hand, task, starts } = best;
      left.splice(left.indexOf(task), 1);
      this.hands[hand] = { at: task.at, free: starts + task.seconds };
      moved.add(hand);
      done = Math.max(done, starts + task.seconds);
      sum += task.weight * starts;
      weight += task.weight;
    }
    return { done, begun: weight > 0 ? sum / weight : after };
  }

  /** Every leaf of an end swung. */
  swing(after: number, end: End, to: 'open' | 'shut'): number | null {
    const { lock } = this.asked;
    const seconds = gatesOf(lock, end).swing;
    const leaves = leafSides(lock, end).map((side) => ({
      end,
      at: spotOf(lock, end, side),
      seconds,
      weight: 1,
    }));
    if (to === 'shut') this.shut[end] = false;
    const stage = this.stage(after, leaves, to === 'open' ? end : null);
    this.shut[end] = to === 'shut';
    return stage && stage.done;
  }

  /** Every paddle of an end wound by a share of its turns. */
  wind(after: number, end: End, share: number): Stage | null {
    const { lock } = this.asked;
    const paddles = lock.paddles
      .filter((paddle) => paddle.end === end)
      .map(({ side, winding, area, discharge }) => ({
        end,
        at: spotOf(lock, end, side),
        seconds: share * winding,
        weight: area * discharge,
      }));
    return this.stage(after, paddles, null);
  }

  /**
   * The water made: level, and the paddles up. What is wound later than it might be costs the share of the water that does
   * not run meanwhile; exact in the law of a drowned orifice, where the root of the head falls by area times time.
   */
  make(after: number, { to, first, seconds, halfAt }: LevelChange): number | null {
    const wound = this.wind(after, to, first);
    if (!wound) return null;
    if (first === 1) return Math.max(wound.done, wound.begun + seconds);
    const half = wound.begun + halfAt;
    const more = this.wind(Math.max(half, wound.done), to, 1 - first);
    if (!more) return null;
    return Math.max(more.done, wound.begun + seconds + (1 - first) * (more.begun - half));
  }

  /** When the last of them is back at a place. */
  back(to: Spot): number | null {
    const { lock, bridges } = this.asked;
    const there = this.hands.map(({ at, free }) => {
      const way = wayBeside(lock, (end) => this.shut[end], at, to, bridges);
      return way === null ? null : free + way / WALKS_ASHORE_MPS;
    });
    return there.some((each) => each === null) ? null : Math.max(...(there as number[]));
  }
}

/** Where the landing is on one side of the lock, before the gates of an end. */
function landingAt({ lock, landing }: PassageAsked, end: End, t: number): Spot {
  return { s: endAt(lock, end) + (end === 'upper' ? -landing : landing), t };
}

/** The passage with the landings on one side. */
function timesAt(asked: PassageAsked, hands: number, t: number): PassageTimes | null {
  const { lock, going, begins, inside, landing, speed, turn, run } = asked;
  if (!run) return null;
  const to: End = going === 'up' ? 'upper' : 'lower';
  const from = other(to);
  const gang = new Gang(
    asked,
    hands,
    inside ? spotOf(lock, from, t > 0 ? 'left' : 'right') : landingAt(asked, from, t),
  );
  const level = from === 'upper' ? begins.upper : begins.lower;
  let now: number | null = 0;
  if (!inside && Math.abs(begins.chamber - level) > MADE_M) {
    if (!turn) return null;
    if (!isShut(lock, begins, to)) now = gang.swing(now, to, 'shut');
    if (now !== null) now = gang.make(now, turn);
    if (now !== null) now = gang.swing(now, from, 'open');
    // Down again while the boat comes in.
    if (now !== null && !gang.wind(now, from, 1)) return null;
  } else if (!inside && begins.gates[from] < 1) now = gang.swing(now, from, 'open');
  if (now === null) return null;
  const ready = now;
  const held = inside ? 0 : Math.max(ready, landing / speed) + lock.length / speed + BESIDE_BOAT_S;
  const shut = isShut(lock, begins, from) && inside ? held : gang.swing(held, from, 'shut');
  if (shut === null) return null;
  const made = gang.make(shut, run);
  if (made === null) return null;
  const open = gang.swing(made, to, 'open');
  if (open === null) return null;
  const down = gang.wind(open, to, 1);
  if (!down) return null;
  const out = open + LINE_HOME_S + lock.length / speed;
  if (gang.swing(out, to, 'shut') === null) return null;
  const back = gang.back(landingAt(asked, to, t));
  if (back === null) return null;
  return { ready, whole: Math.max(back, out + landing / speed) + BESIDE_BOAT_S };
}

/**
 * How long a passage takes with so many ashore, from the landing to the crew back aboard: the longer of what it is with the
 * landings on either side; null where they get no further. ± a third: people's pace is judgement.
 */
export function passageTimes(asked: PassageAsked, hands: number): PassageTimes | null {
  const t = Math.abs(spotOf(asked.lock, 'upper', 'left').t);
  const times = SIDES.flatMap((side) => timesAt(asked, hands, side === 'left' ? t : -t) ?? []);
  if (times.length === 0) return null;
  return times.reduce((a, b) => (b.whole > a.whole ? b : a));
}
