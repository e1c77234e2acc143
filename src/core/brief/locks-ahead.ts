import {
  gatesOf,
  fitIn,
  gentlest,
  lineLength,
  makeLevel,
  outOfLock,
  passageTime,
  sharing,
  stairOrder,
  type End,
  type Fit,
  type Lock,
  type LockedBoat,
  type Making,
  type Sharing,
  type Side,
  type SitedLock,
  type StairOrder,
} from '../locks';
import { cos, sin } from '../math';
import type { RunInput } from '../score';
import { throughLock } from './through-lock';
import { throughGates, type Through } from './through-gates';

/** What working a lock means for a boat, wherever either is. s, m; pulls are shares of her weight. */
export interface LockFigures {
  readonly fit: Fit;
  readonly up: Making | null;
  readonly down: Making | null;
  /** Rope from her to a bollard on the coping and back. */
  readonly rope: number;
  /** The whole passage by how many are ashore: one, two, three. */
  readonly hands: readonly (number | null)[];
}

/** How far along the chamber a bollard is off her cleat. Assumption, m. */
const ALONG_M = 3;

export function lockFigures(
  lock: Lock,
  boat: LockedBoat,
  coping: number,
  freeboard: number,
  landing: number,
  going: 'up' | 'down',
): LockFigures {
  return {
    fit: fitIn(lock, boat),
    up: gentlest(lock, 'upper', boat),
    down: gentlest(lock, 'lower', boat),
    rope: lineLength(lock, coping, ALONG_M, freeboard),
    hands: [1, 2, 3].map((n) => passageTime(lock, going, n, landing)),
  };
}

/** A lock of a manoeuvre before it is entered. */
export interface LockAhead {
  readonly lock: number;
  readonly name: string;
  /** The end she comes to, or lies in by; in the chamber it is the one she is to leave by. */
  readonly end: End;
  readonly inside: boolean;
  readonly figures: LockFigures;
  /** Set for her: its chamber at her level. Else how long until her gates stand open, s; null if never. */
  readonly setForHer: boolean;
  readonly readyIn: number | null;
  /** Way to the gates, m, and seconds it takes her as she comes in best; when to leave so as to meet them open, s. */
  readonly way: number;
  readonly takes: number;
  readonly leaveAt: number | null;
  /** Wall the wind lays her to, looking up-stream; null in a wind that does not matter. */
  readonly side: Side | null;
  readonly through: readonly Through[];
  /** In a staircase, which chamber has to be seen to before she is locked on into the next; null where there is none. */
  readonly stair: StairOrder | null;
  /** The other boats that go through with her, by name, and how; those that go first, first. */
  readonly shares: readonly { readonly name: string; readonly how: Sharing }[];
  /** In a staircase, number of the lock out of whose chamber she comes into this one; null where she comes from open water. */
  readonly from: number | null;
}

/** Wind across a chamber under which either side does, m/s. Judgement. */
const MATTERS_MPS = 1.5;

function waitFor(sited: SitedLock, end: End, hull: LockedBoat): number | null {
  const { lock, begins } = sited;
  const set = Math.abs(begins.chamber - (end === 'upper' ? begins.upper : begins.lower)) < 0.02;
  const swing = gatesOf(lock, end).swing;
  if (set) return begins.gates[end] >= 1 ? 0 : swing;
  const made = makeLevel(lock, end, 1, hull);
  return made
    ? made.seconds + swing + gatesOf(lock, end === 'upper' ? 'lower' : 'upper').swing
    : null;
}

/** Who else goes through a lock with her. */
function sharesOf(
  { start, boat, others = [] }: RunInput,
  sited: SitedLock,
  end: End,
): LockAhead['shares'] {
  const she = { pose: start, hull: boat.hull };
  return others
    .flatMap(({ name, craft, start: pose }) => {
      const how = sharing(sited, end, she, { pose, hull: craft.spec.hull });
      return how ? [{ name, how }] : [];
    })
    .sort((a, b) => Number(a.how.first === 'she') - Number(b.how.first === 'she'));
}

/** Every worked lock she comes to, as she starts. */
export function* locksAhead(input: RunInput): Generator<LockAhead> {
  const { start, boat, locks = [], weather } = input;
  const { length, freeboard } = boat.hull;
  for (const [lock, sited] of locks.entries()) {
    const { boat: lies, end, going } = throughLock(sited, start, boat.hull);
    const { inside } = lies;
    // Where she would lie in it: forward of the cill, bow the way she goes.
    const hers: LockedBoat = {
      ...lies,
      bowUp: going === 'up',
      fromUpper: sited.lock.cillReach + 1,
    };
    const gate = outOfLock(sited, end === 'upper' ? 0 : sited.lock.length, 0);
    const dx = gate.x - start.x;
    const dy = gate.y - start.y;
    const way = Math.max(0, Math.sqrt(dx * dx + dy * dy) - length / 2);
    const from = (going === 'up' ? sited.below : sited.above) ?? null;
    const through = inside || from !== null ? [] : throughGates(input, lock, end);
    const best = through.at(-1);
    const takes = way / (best?.speed ?? 0.5);
    const readyIn = waitFor(sited, end, hers);
    const blowsLeft = -(
      weather.windSpeed *
      (sin(weather.windFrom) * sited.north - cos(weather.windFrom) * sited.east)
    );
    yield {
      lock,
      name: sited.name,
      end,
      inside,
      figures: lockFigures(sited.lock, hers, sited.coping, freeboard, way, going),
      setForHer: readyIn !== null && readyIn <= gatesOf(sited.lock, end).swing,
      readyIn,
      way,
      takes,
      leaveAt: readyIn === null ? null : Math.max(0, readyIn - takes),
      side: Math.abs(blowsLeft) < MATTERS_MPS ? null : blowsLeft > 0 ? 'left' : 'right',
      through,
      shares: inside || from !== null ? [] : sharesOf(input, sited, end),
      from,
      stair: stairOrder(locks, lock, going, boat.hull.draught),
    };
  }
}
