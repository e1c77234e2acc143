import { firstLines, type HeldBy } from './first-line';
import { sidesOf, type ForSide } from './which-side';
import { runPlan, type MarkOnPlace, type RunInput, type Run } from '../plan';
import { openWaterOf, Surroundings, unmooredOf } from '../search';
import type { Capabilities, PushedWhere } from './able';
import { briefRanges, type BriefRanges, type ToTryAgain } from './ranges';
import type { SimState } from '../simulation';
import { hasDrive, holdsBow, holdsHer, propWalk, type HoldsBow, type HoldsHer } from '../trials';
import type { Craft } from '../boat';
import { carryHere, stopHere, turnHere, hasRoom, turningMoments } from './capabilities';
import { abreastOf, type Abreast } from './abreast';
import { approachSpeeds, type SpeedAt } from './approach';
import { legsOf, middlesOf, type Leg } from './legs';
import { lockWater, type LockWater } from './lock-water';
import { locksAhead, type LockAhead } from './locks-ahead';
import { lockSheets, type Sheet } from './lock-sheets';
import { letGoAt, pushAt } from './environment-force';
import { steppingOf, type Stepping } from './stepping';
import { cautionsFor, readyFor, type Caution, type ReadyItem } from './ready';

/** Everything the core says of a manoeuvre before it is done, as far as it is known. */
export interface Brief {
  readonly lying: readonly PushedWhere[];
  readonly legs: readonly Leg[];
  readonly speeds: readonly SpeedAt[];
  /** Where its figures lie in 90 of 100; null until all draws are tried. */
  readonly ranges: BriefRanges | null;
  /** Steps by what is abreast then. */
  readonly abreast: readonly Abreast[];
  readonly able: Capabilities | null;
  /** Both sides of the berth weighed, the better first; and lines that hold the boat there alone, the best first. */
  readonly berthed: {
    readonly sides: readonly ForSide[];
    readonly lines: readonly HeldBy[];
  } | null;
  /** Where the boat can be stepped off or on to, when somebody first is to; null where nobody is. */
  readonly stepping: Stepping | null;
  /** Locks that are worked, as the boat comes to them. */
  readonly locks: readonly LockAhead[];
  /** What is checked at the locks, once all of them are looked at. */
  readonly sheets: readonly Sheet[];
  /** The run with their water at either end of what is known of it. */
  readonly lockWater: readonly LockWater[];
  readonly ready: readonly ReadyItem[];
  readonly cautions: readonly Caution[];
}

/** The boat's states at some moments of a run, in their order. */
function statesAt(input: RunInput, about: Surroundings, moments: readonly number[]): SimState[] {
  const found = new Array<SimState | undefined>(moments.length);
  runPlan(input, (state) => {
    moments.forEach((moment, i) => {
      if (!found[i] && state.time >= moment - 1e-9) found[i] = about.copyOf(state);
    });
  });
  return found.filter((state) => state !== undefined);
}

function stoppingMoment(run: Run, speeds: readonly SpeedAt[]): number {
  const two = speeds.find(({ lengths }) => lengths === 2);
  if (two?.time !== null && two?.time !== undefined) return two.time;
  const { groundSpeed, time } = run.trace;
  return time[groundSpeed.indexOf(Math.max(...groundSpeed))] ?? 0;
}

function ableHere(
  input: RunInput,
  run: Run,
  about: Surroundings,
  open: Surroundings,
  speeds: readonly SpeedAt[],
): { able: Capabilities } & Pick<ToTryAgain, 'stopping' | 'turning'> {
  const { craft } = about.world;
  // A turn on the spot keeps clear of the berth too, and no line holds the boat.
  const whole = unmooredOf({ ...input, berth: new Set() });
  const [stopping, ...states] = statesAt(input, about, [
    stoppingMoment(run, speeds),
    ...turningMoments(run),
  ]);
  const turning = states
    .map((state) => whole.stillAs(state))
    .find((state) => hasRoom(whole, state));
  const sides = turning ? ([-1, 1] as const).map((side) => turnHere(whole, turning, side)) : [];
  const able = {
    stop: stopping ? stopHere(open, stopping) : null,
    gentle: stopping ? stopHere(open, stopping, 0) : null,
    carry: stopping ? carryHere(open, stopping) : null,
    walk: hasDrive(craft) ? propWalk(craft) : null,
    turnsAt: turning?.time ?? null,
    turns: sides.filter((turn) => turn !== null),
    holds: meansOf(craft),
  };
  return { able, stopping: stopping ?? null, turning: turning ?? null };
}

/** What the boat can be held by does not hang on where it is: kept for the last boat asked about. */
let known: { readonly boat: string; readonly holds: HoldsBow & HoldsHer } | null = null;

function meansOf(craft: Craft): HoldsBow & HoldsHer {
  const boat = JSON.stringify(craft.spec, (_, value: unknown) =>
    value instanceof Float64Array ? Array.from(value) : value,
  );
  if (known?.boat !== boat) known = { boat, holds: { ...holdsHer(craft), ...holdsBow(craft) } };
  return known.holds;
}

function bothSides({ goal, weather }: RunInput, { world }: Surroundings): readonly ForSide[] {
  if (goal.is !== 'lie') return [];
  const other = goal.heading + Math.PI;
  const headings =
    goal.point.y < 0
      ? { port: goal.heading, starboard: other }
      : { port: other, starboard: goal.heading };
  return sidesOf(world.craft, weather, headings);
}

/**
 * The brief for a manoeuvre, from runs of its own simulation. A generator: each value is the brief as far as it is
 * known by then, so that it can be shown and broken off.
 *
 * @param outboard whether an engine hangs where its kill cord is worn
 * @param marks what a helm may take a moment by
 * @param withRanges whether boat and day are drawn, which takes some seconds
 */
export function* briefOf(
  input: RunInput,
  outboard: boolean,
  marks: readonly MarkOnPlace[],
  withRanges = true,
): Generator<Brief> {
  const about = new Surroundings(input);
  const loose = unmooredOf(input);
  const open = openWaterOf(input);
  const run = runPlan(input);
  const speeds = approachSpeeds(run, input, input.boat.hull.length);
  const ready = readyFor(input, outboard);
  const cautions = cautionsFor(input, run, outboard);
  const lie = (
    where: PushedWhere['where'],
    x: number,
    y: number,
    heading: number,
    time: number,
  ) => ({
    where,
    push: pushAt(open, x, y, heading, time),
    letGo: letGoAt(open, x, y, heading, time),
    at: time,
  });
  const { start } = input;
  const last = run.trace.time.length - 1;
  const lying: PushedWhere[] = [lie('start', start.x, start.y, start.heading, 0)];
  if (input.goal.is === 'lie') {
    const { x, y } = run.trace;
    lying.push(lie('berth', x[last]!, y[last]!, input.goal.heading, run.duration));
  }
  const { hull, points } = input.boat;
  const abreast = abreastOf(run, points, marks, hull.length);
  const brief = {
    lying,
    legs: [] as Leg[],
    speeds,
    abreast,
    stepping: steppingOf(input, run),
    able: null,
    ranges: null,
    berthed: null,
    locks: [] as LockAhead[],
    sheets: [] as readonly Sheet[],
    lockWater: [] as LockWater[],
    ready,
    cautions,
  };
  yield brief;
  const legs: Leg[] = [];
  const middles = statesAt(input, about, middlesOf(run));
  for (const leg of legsOf(run, middles, loose, open)) {
    legs.push(leg);
    yield { ...brief, legs: legs.slice() };
  }
  const { able, stopping, turning } = ableHere(input, run, about, open, speeds);
  yield { ...brief, legs, able };
  const lines = firstLines(input);
  const sides = input.goal.is === 'lie' && lines.length > 0 ? bothSides(input, about) : [];
  const berthed = { sides, lines };
  yield { ...brief, legs, able, berthed };
  const locks: LockAhead[] = [];
  for (const lock of locksAhead(input)) {
    locks.push(lock);
    yield { ...brief, legs, able, berthed, locks: locks.slice() };
  }
  const sheets = lockSheets(input, locks);
  yield { ...brief, legs, able, berthed, locks, sheets };
  const water: LockWater[] = [];
  const whole = () => ({ ...brief, legs, able, berthed, locks, sheets, lockWater: water.slice() });
  for (const found of lockWater(input)) {
    water.push(found);
    yield whole();
  }
  if (!withRanges) return;
  for (const ranges of briefRanges(input, { lying, able, stopping, turning }))
    yield { ...whole(), ranges };
}
