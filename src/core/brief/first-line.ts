import type { BoatSpec } from '../boat';
import { linesOf, type LineSpec } from '../holding';
import { cos, sin } from '../math';
import { markAtStart, type RunInput } from '../plan';
import { engines, Rollout, letGo, roomAt, Surroundings, wheel } from '../search';
import { DAMPING_PER_KG, STIFFNESS_PER_KG, hasDrive } from '../trials';

/** Lines that may be the first one on, and the last one off. */
export const FIRST_LINES = ['spring', 'stern line', 'bow line', 'breast line'] as const;
export type FirstLine = (typeof FIRST_LINES)[number];

/** One line alone holding the boat in its berth, in this wind and current. SI, radians. */
export interface HeldBy {
  readonly line: FirstLine;
  /** Whether the boat motors idle ahead on it, and the wheel then, as a share of the lock away from the berth. */
  readonly motoring: boolean;
  readonly wheelAway: number;
  /** Furthest either end goes off the berth, and the boat along it, m. */
  readonly off: number;
  readonly along: number;
}

const HELD_FOR_S = 30;
const SLACK_M = 0.2;
const LEAST_MASS_KG = 3000;
/** Where the shore end lies, in lengths along from the cleat aboard, and where that is aboard. */
const LED: Readonly<
  Record<FirstLine, { readonly aboard: string; readonly at: number; readonly along: number }>
> = {
  spring: { aboard: 'midship', at: 0.05, along: -0.45 },
  'stern line': { aboard: 'quarter', at: -0.42, along: -0.15 },
  'bow line': { aboard: 'bow', at: 0.4, along: 0.15 },
  'breast line': { aboard: 'midship', at: 0, along: 0 },
};
const WHEELS_AWAY = [0, 0.5, 1] as const;

interface Berthed {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
  /** 1 when the berth is to starboard. */
  readonly toward: 1 | -1;
  /** From the boat's middle to the edge it lies along, m. */
  readonly off: number;
}

/** Shifts the boat off or on until it lies a fender from its berth; so often it is tried. */
const SHIFTS = 6;

/** How the boat lies where it starts, against what is its berth. */
function atStart({ boat, start, berth }: RunInput, { world }: Surroundings): Berthed | null {
  const { craft, shore, obstacles } = world;
  const { x, y, heading } = start;
  const others = new Set(obstacles.flatMap(({ id }, i) => (berth.has(id) ? [] : [i])));
  const room = (by: number) =>
    roomAt(craft, shore, others, x + by * cos(heading), y - by * sin(heading), heading).distance;
  const here = room(0);
  if (!(here < boat.hull.beam)) return null;
  const toward = room(0.5) < room(-0.5) ? 1 : -1;
  return { x, y, heading, toward, off: boat.hull.beam / 2 + Math.max(0, here) };
}

/** How the boat lies in the berth its goal asks for, a fender's breadth off it; null where no side is said. */
function berthed(input: RunInput, about: Surroundings): Berthed | null {
  const { goal, boat, berth } = input;
  if (goal.is !== 'lie') return atStart(input, about);
  if (goal.point.y === 0) return null;
  const { craft, shore, obstacles } = about.world;
  const { point, heading } = goal;
  const mark = markAtStart(goal.mark, input);
  const toward = point.y > 0 ? 1 : -1;
  const fender = Math.max(0.1, ...boat.fenders.map((f) => f.diameter));
  const s = sin(heading);
  const c = cos(heading);
  const others = new Set(obstacles.flatMap(({ id }, i) => (berth.has(id) ? [] : [i])));
  // The mark may stand back from the edge.
  let off = boat.hull.beam / 2 + fender;
  const at = () => ({
    x: mark.x - point.x * s - toward * off * c,
    y: mark.y - point.x * c + toward * off * s,
  });
  for (let i = 0; i < SHIFTS; i++) {
    const { x, y } = at();
    const room = roomAt(craft, shore, others, x, y, heading).distance;
    if (!Number.isFinite(room)) return null;
    off += fender - room;
  }
  return { ...at(), heading, toward, off: boat.hull.beam / 2 + fender };
}

function lineFor(line: FirstLine, boat: BoatSpec, at: Berthed): LineSpec {
  const { aboard, at: share, along } = LED[line];
  const { length, beam, mass } = boat.hull;
  const side = at.toward > 0 ? 'starboard' : 'port';
  const cleat = boat.points.find(({ name }) => name === `${side} ${aboard} cleat`);
  const boatX = cleat?.x ?? share * length;
  const boatY = cleat?.y ?? at.toward * 0.45 * beam;
  const ahead = boatX + along * length;
  const across = at.toward * at.off;
  const s = sin(at.heading);
  const c = cos(at.heading);
  const reach = Math.sqrt((ahead - boatX) * (ahead - boatX) + (across - boatY) * (across - boatY));
  const kilograms = Math.max(LEAST_MASS_KG, mass);
  return {
    boatX,
    boatY,
    shoreX: at.x + ahead * s + across * c,
    shoreY: at.y + ahead * c - across * s,
    rise: 0,
    length: reach + SLACK_M,
    stiffness: STIFFNESS_PER_KG * kilograms,
    damping: DAMPING_PER_KG * mass,
  };
}

function held(
  input: RunInput,
  at: Berthed,
  line: FirstLine,
  motoring: boolean,
  away: number,
): HeldBy {
  // One line of the boat, whatever the plan has.
  const { where: _where, ...rest } = input;
  const about = new Surroundings({ ...rest, lines: linesOf([lineFor(line, input.boat, at)]) });
  const rollout = new Rollout(about, about.stillAt(at.x, at.y, at.heading, 0));
  letGo(rollout);
  if (motoring) {
    wheel(rollout, -at.toward * away);
    engines(rollout, 1, 0);
  }
  const half = input.boat.hull.length / 2;
  let off = 0;
  let along = 0;
  const from = { x: rollout.x, y: rollout.y };
  rollout.until(() => {
    const dx = rollout.x - from.x;
    const dy = rollout.y - from.y;
    const out = -at.toward * (dx * cos(at.heading) - dy * sin(at.heading));
    const swung = half * sin(rollout.heading - at.heading) * -at.toward;
    off = Math.max(off, out + Math.abs(swung));
    along = Math.max(along, Math.abs(dx * sin(at.heading) + dy * cos(at.heading)));
    return off > 2 * half;
  }, HELD_FOR_S);
  return { line, motoring, wheelAway: motoring ? away : 0, off, along };
}

/**
 * Which line alone holds the boat best in the berth of its goal: each made fast with a little slack, half a minute left
 * alone or, on the spring, motoring idle ahead with the wheel where it helps most. The best first; empty where the
 * goal is no berth.
 */
export function firstLines(input: RunInput): readonly HeldBy[] {
  if (input.berth.size === 0) return [];
  const about = new Surroundings(input);
  const at = berthed(input, about);
  if (!at) return [];
  const motors = hasDrive(about.world.craft);
  const tried = FIRST_LINES.map((line) => {
    if (line !== 'spring' || !motors) return held(input, at, line, false, 0);
    const ways = WHEELS_AWAY.map((away) => held(input, at, line, true, away));
    return ways.reduce((a, b) => (b.off + b.along < a.off + a.along ? b : a));
  });
  return tried.sort((a, b) => a.off + a.along - (b.off + b.along));
}
