import {
  gatesOf,
  fitIn,
  gentlest,
  landingsOf,
  lineLength,
  lockAtRest,
  MADE_M,
  simulateFill,
  outOfLock,
  roomUnder,
  passageTimes,
  sharing,
  stairOrder,
  type End,
  type Fit,
  type Lock,
  type LockedBoat,
  type LockState,
  type Landings,
  type LevelChange,
  type PassageTimes,
  type RoomUnder,
  type Sharing,
  type LockSide,
  type SitedLock,
  type StairOrder,
} from '../locks';
import { cos, sin } from '../math';
import type { RunInput } from '../plan';
import { BOLLARD_ALONG_M, SLOWLY_IN_LOCK_MPS, WIND_ACROSS_LOCK_MPS } from '../policy';
import { throughLock } from './through-lock';
import { throughGates, type Through } from './through-gates';

/** What working a lock means for a boat, wherever either is. s, m; pulls are shares of its weight. */
export interface LockFigures {
  readonly fit: Fit;
  readonly up: LevelChange | null;
  readonly down: LevelChange | null;
  /** Rope from the boat to a bollard on the coping and back. */
  readonly rope: number;
  /** The passage by how many are ashore: one, two, three. */
  readonly byCrew: readonly (PassageTimes | null)[];
}

const CREWS = [1, 2, 3] as const;

/** How a boat comes to a lock, and how it stands; set for it with its gates shut if nothing is told. */
export interface Coming {
  readonly going: 'up' | 'down';
  readonly freeboard: number;
  /** From where the boat and who works the lock begin to the gates, m. */
  readonly landing: number;
  readonly begins?: LockState;
  readonly inside?: boolean;
  readonly speed?: number;
  readonly bridges?: readonly Landings[];
}

export function lockFigures(
  lock: Lock,
  boat: LockedBoat,
  coping: number,
  {
    going,
    freeboard,
    landing,
    speed = SLOWLY_IN_LOCK_MPS,
    inside = false,
    bridges = [],
    begins,
  }: Coming,
): LockFigures {
  const up = gentlest(lock, 'upper', boat);
  const down = gentlest(lock, 'lower', boat);
  const from = going === 'up' ? 'lower' : 'upper';
  const asked = {
    lock,
    going,
    begins: begins ?? lockAtRest(lock, from),
    inside,
    landing,
    speed,
    bridges,
    // Nobody is in the chamber as it is turned round.
    turn: simulateFill(lock, from, 1, boat),
    run: going === 'up' ? up : down,
  };
  return {
    fit: fitIn(lock, boat),
    up,
    down,
    rope: lineLength(lock, coping, BOLLARD_ALONG_M, freeboard),
    byCrew: CREWS.map((n) => passageTimes(asked, n)),
  };
}

/** A lock of a manoeuvre before it is entered. */
export interface LockAhead {
  readonly lock: number;
  readonly name: string;
  /** The end the boat comes to, or lies in by; in the chamber it is the one it is to leave by. */
  readonly end: End;
  readonly inside: boolean;
  readonly figures: LockFigures;
  /** Is its chamber at the boat's level? */
  readonly setForHer: boolean;
  /** How long until the boat's gates stand open, s, null if never; and how many of its crew work it, null where a keeper does. */
  readonly readyIn: number | null;
  readonly readyBy: number | null;
  /** Way to the gates, m, and seconds it takes the boat as it comes in best; when to leave so as to meet them open, s. */
  readonly way: number;
  readonly runs: number;
  readonly leaveAt: number | null;
  /** Wall the wind lays the boat to, looking up-stream; null in a wind that does not matter. */
  readonly side: LockSide | null;
  readonly through: readonly Through[];
  /** In a staircase, which chamber has to be seen to before the boat is locked on into the next; null where there is none. */
  readonly stair: StairOrder | null;
  /** The other boats that go through with it, by name, and how; those that go first, first. */
  readonly shares: readonly { readonly name: string; readonly how: Sharing }[];
  /** The bridge with the least room on the boat's way through; null where there is none. */
  readonly under: RoomUnder | null;
  /** In a staircase, number of the lock out of whose chamber the boat comes into this one; null where it comes from open water. */
  readonly from: number | null;
}

/** Is the chamber level with the water at an end? */
const levelAt = ({ begins }: SitedLock, end: End): boolean =>
  Math.abs(begins.chamber - (end === 'upper' ? begins.upper : begins.lower)) < MADE_M;

/** How long a keeper takes to have the gates open, s: everything in hand on both sides. */
function keeperRuns(sited: SitedLock, end: End, hull: LockedBoat): number | null {
  const { lock, begins } = sited;
  const swing = gatesOf(lock, end).swing;
  if (levelAt(sited, end)) return begins.gates[end] >= 1 ? 0 : swing;
  const made = simulateFill(lock, end, 1, hull);
  return made
    ? made.seconds + swing + gatesOf(lock, end === 'upper' ? 'lower' : 'upper').swing
    : null;
}

/** How many of the boat's crew work the lock: those ashore, else one who steps there; null where a keeper does. */
function crewAshore({ rigging }: RunInput): number | null {
  const crew = rigging?.crew ?? [];
  if (crew.length === 0) return null;
  return Math.max(1, crew.filter(({ at }) => !at.aboard).length);
}

/** Who else goes through a lock with the boat. */
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

/** Every worked lock the boat comes to, as it starts. */
export function* locksAhead(input: RunInput): Generator<LockAhead> {
  const { start, boat, locks = [], weather } = input;
  const { length, freeboard } = boat.hull;
  for (const [lock, sited] of locks.entries()) {
    const { boat: lies, end, going } = throughLock(sited, start, boat.hull);
    const { inside } = lies;
    // Where the boat would lie in it: forward of the cill, bow the way it goes.
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
    const speed = best?.speed ?? SLOWLY_IN_LOCK_MPS;
    const runs = way / speed;
    const figures = lockFigures(sited.lock, hers, sited.coping, {
      going,
      freeboard,
      landing: way,
      begins: sited.begins,
      inside,
      speed,
      bridges: landingsOf(sited, input.bridges),
    });
    const readyBy = crewAshore(input);
    const readyIn =
      readyBy === null
        ? keeperRuns(sited, end, hers)
        : (figures.byCrew[Math.min(readyBy, CREWS.length) - 1]?.ready ?? null);
    const blowsLeft = -(
      weather.windSpeed *
      (sin(weather.windFrom) * sited.north - cos(weather.windFrom) * sited.east)
    );
    yield {
      lock,
      name: sited.name,
      end,
      inside,
      figures,
      setForHer: levelAt(sited, end),
      readyIn,
      readyBy,
      way,
      runs,
      leaveAt: readyIn === null ? null : Math.max(0, readyIn - runs),
      side: Math.abs(blowsLeft) < WIND_ACROSS_LOCK_MPS ? null : blowsLeft > 0 ? 'left' : 'right',
      through,
      shares: inside || from !== null ? [] : sharesOf(input, sited, end),
      under: inside
        ? null
        : roomUnder(sited, input.bridges ?? [], start, length, boat.hull.airDraught ?? 0),
      from,
      stair: stairOrder(locks, lock, going, boat.hull.draught),
    };
  }
}
