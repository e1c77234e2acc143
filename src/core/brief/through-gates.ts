import { atan2, cos, Random, sin } from '../math';
import {
  copyLock,
  gatesOf,
  LEAF,
  outOfLock,
  standingOpen,
  type End,
  type SitedLock,
} from '../locks';
import { runTillHard, type PlanStep, type RunInput } from '../plan';
import { LINED_UP_M, LINED_UP_HEADING, USUAL_GUSTS } from '../policy';
import type { StartPose } from '../simulation';

/** How a boat comes through a lock's gates, tried many times over with the day's wind, one leaf open or both. */
export interface Through {
  readonly gates: 'one leaf' | 'both leaves' | 'the gate';
  readonly tries: number;
  /** Tries in which the boat touched a gate or wall faster than a fender forgives, and in which it did not get in. */
  readonly touched: number;
  readonly missed: number;
  /** Width the boat comes through by, m; how fast, m/s, and from how far up-wind of the line, m, it goes best. */
  readonly gap: number;
  readonly speed: number;
  readonly upwind: number;
}

const TRIES = 16;
/** The boat begins so many of its lengths before the gates, and is in when its stern is past them. */
const RUN_UP_LENGTHS = 1;
/**
 * Ways a helm who knows the mean wind may set the boat up: speed through the water, m/s, with the throttle that goes with it, and so far
 * up-wind of the line, m. The best of them is what counts.
 */
const SET_UPS = [0.5, 0.9].flatMap((speed) =>
  [0, 0.5, 1, 1.8].map((upwind) => ({ speed, upwind })),
);
type SetUp = (typeof SET_UPS)[number];
const QUICK_TRIES = 5;
/** The boat is steered for the gap from afar for so much of its length beyond the gates, and straight on once its bow is this near it. */
const AIM_LENGTHS = 0.5;
const STRAIGHT_LENGTHS = 0.8;
const LONGEST_S = 150;

/**
 * The chance of a touch through gates with one leaf open against both, by trying: every try has gusts and a line-up of its own, the
 * same for both; the boat is steered for the middle of the gap. Seeded: the same input says the same.
 *
 * @param lock number of the lock
 * @param end the gates it comes in by
 */
export function throughGates(input: RunInput, lock: number, end: End): readonly Through[] {
  const sited = input.locks![lock]!;
  if (gatesOf(sited.lock, end).kind !== 'mitre') return [tried(input, lock, end, null)];
  return [tried(input, lock, end, 'left'), tried(input, lock, end, null)];
}

function tried(input: RunInput, lock: number, end: End, leaf: 'left' | null): Through {
  const sited = input.locks![lock]!;
  const { width, length } = sited.lock;
  const open = standingOpen(sited.lock, copyLock(sited.begins), end);
  open.chamber = end === 'upper' ? open.upper : open.lower;
  open.cillOut = open.chamber < sited.lock.upperCill ? 1 : 0;
  if (leaf) open.leaves[LEAF[end].right] = open.leavesTo[LEAF[end].right] = 0;
  const locks = input.locks!.map((one, i) => (i === lock ? { ...sited, begins: open } : one));
  const inward = end === 'lower' ? -1 : 1;
  const gate = end === 'lower' ? length : 0;
  // The middle of what is open; the left leaf leaves the left half.
  const middle = leaf ? width / 4 : 0;
  const hull = input.boat.hull;
  const aim = outOfLock(sited, gate + inward * AIM_LENGTHS * hull.length, middle);
  const straight = headingOf(sited, inward);
  // How far the wind blows to the left, looking up-stream, of all it blows.
  const { windFrom } = input.weather;
  const toLeft = -(sin(windFrom) * sited.north - cos(windFrom) * sited.east);
  const count = (setUp: SetUp, tries: number, first: number) => {
    const found = { touched: 0, missed: 0 };
    for (let i = first; i < first + tries; i++) {
      const random = new Random(1000 + i);
      const gusts = { ...(input.weather.gusts ?? USUAL_GUSTS), seed: 77 + i };
      const from = outOfLock(
        sited,
        gate - inward * (RUN_UP_LENGTHS + 0.5) * hull.length,
        middle - setUp.upwind * toLeft + LINED_UP_M * random.normal(),
      );
      const heading = straight + LINED_UP_HEADING * random.normal();
      const start = { ...from, heading, straight, speed: setUp.speed };
      const into = entry(input, locks, start, aim, hull.length);
      const run = runTillHard({ ...into, weather: { ...into.weather, gusts } });
      if (run.touches.some(({ grade }) => grade !== 'soft')) found.touched += 1;
      else if (run.outcome !== 'reached') found.missed += 1;
    }
    return found;
  };
  const tried = SET_UPS.map((setUp) => ({ setUp, ...count(setUp, QUICK_TRIES, TRIES) }));
  const best = tried.reduce((x, y) => (y.touched + y.missed < x.touched + x.missed ? y : x));
  const { touched, missed } = count(best.setUp, TRIES, 0);
  const mitred = gatesOf(sited.lock, end).kind === 'mitre';
  const gates = !mitred ? 'the gate' : leaf ? 'one leaf' : 'both leaves';
  return { gates, tries: TRIES, touched, missed, ...best.setUp, gap: leaf ? width / 2 : width };
}

const headingOf = (sited: SitedLock, inward: number) =>
  atan2(inward * sited.east, inward * sited.north);

function entry(
  input: RunInput,
  locks: readonly SitedLock[],
  start: StartPose & { readonly straight: number },
  aim: { readonly x: number; readonly y: number },
  length: number,
): RunInput {
  const { rigging: _rigging, lines: _lines, others: _others, where: _where, ...rest } = input;
  const mark = { name: 'aim', ...aim };
  const plain = {
    within: LONGEST_S,
    expect: [],
    wayOut: { automatic: false, orders: [] },
  } as const;
  const bow = { name: 'bow', x: length / 2, y: 0 };
  const steps: PlanStep[] = [
    {
      ...plain,
      id: 'for the gap',
      cue: { is: 'start' },
      orders: [
        { after: 0, order: { do: 'steerFor', mark, first: 'bow' } },
        {
          after: 0,
          order: { do: 'engine', engine: null, gear: 1, throttle: start.speed > 0.7 ? 0.08 : 0 },
        },
      ],
    },
    {
      ...plain,
      id: 'straight in',
      cue: { is: 'within', point: bow, mark, distance: STRAIGHT_LENGTHS * length },
      orders: [{ after: 0, order: { do: 'steer', heading: start.straight } }],
    },
  ];
  const middle = { name: 'middle', x: 0, y: 0 };
  return {
    ...rest,
    locks,
    start,
    plan: {
      steps,
      // The boat's stern past the gates: its middle half a length inside, which is the mark.
      end: { cue: { is: 'abeam', point: middle, mark }, within: LONGEST_S },
    },
    goal: { is: 'clear', distance: -10 },
    berth: new Set(),
    limit: LONGEST_S,
  };
}
