import { assembleCraft } from '@/core/boat';
import {
  intoLock,
  IN_LOCK,
  lineLength,
  sharing,
  standsAlong,
  swingRoom,
  type LockSide as Hand,
  type SitedLock,
} from '@/core/locks';
import { LOCK_FENDER_M } from '@/core/policy';
import { secondsToGo } from '@/core/trials';
import { toBoatSpec } from '@/document/boat-spec';
import { radians } from '@/document/fields';
import type { Other } from '@/document/others';
import type { LineDocument } from '@/document/rigging';
import type { CueDocument } from '@/document/plan';
import { tenth } from '../../template';
import { linesToLanding, setAgainst } from './landing';
import { lineOf } from '../line-leads';
import { onWall } from './on-wall';
import type { Setting } from '../../setting';
import { refusal, type Refusal } from '../../refusals';

// A boat that shares the chamber: where it lies in it or comes to lie, who goes in and out first.

/** Another boat in the chamber it goes into. m, s, radians. */
export interface LockNeighbour {
  readonly other: Other;
  /** The wall it lies to. */
  readonly wall: Hand;
  /** From its upper end to the upper gates, and from its end towards the gates ahead to those. */
  readonly fromUpper: number;
  readonly ahead: number;
  /** Is it nearer to the gates ahead, or in first: then it goes out first. */
  readonly outFirst: boolean;
  /** How it comes in; null where it lies there already. */
  readonly comes: NeighbourComes | null;
}

/** How the neighbour comes in by the gates that stand open. */
export interface NeighbourComes {
  readonly first: boolean;
  /** What stands furthest on along its wall: it steers for that. */
  readonly aim: string;
  /** Its lines to the landing while it waits for the lock, or for who goes in before it. */
  readonly waits: readonly LineDocument[];
}

/** How the neighbour leaves before the boat. */
export interface NeighbourLeaves {
  readonly throttle: number;
  /** From its gear going in until its stern is clear of the gates. */
  readonly seconds: number;
}

export type WayThrough = {
  readonly from: 'upper' | 'lower';
  readonly to: 'upper' | 'lower';
  readonly going: 'up' | 'down';
  readonly along: number;
};

/** Between the boat and a boat that lies there, and at the other wall, m. */
const FENDERS_M = 2 * LOCK_FENDER_M;
const SLOWLY = 0.05;
/** Over and above what it takes from rest, s. */
const GEAR_S = 4;
const CLEAR_M = 1;
const LONGEST_S = 600;
/** Room to either end of the neighbour, m, as for anybody. */
const END_M = 0.5;
const SPARE_LENGTHS = 0.5;

const wallOpposite = (wall: Hand): Hand => (wall === 'left' ? 'right' : 'left');
const hullOf = ({ boat }: Other) => ({
  length: boat.hull.length_m,
  beam: boat.hull.beam_m,
  draught: boat.hull.draught_m,
  mass: boat.hull.mass_kg,
});

/** The neighbour's bow and stern line to the landing; null where it does not lie at one. */
function landingOf(setting: Setting, other: Other): readonly LineDocument[] | null {
  const boat = toBoatSpec(other.boat);
  const { start } = other;
  const pose = { x: start.x_m, y: start.y_m, heading: radians(start.heading_deg) };
  const { length, beam } = boat.hull;
  const lines = linesToLanding({ ...setting, boat, length, beam }, pose);
  return (
    lines &&
    lines.map((line) => ({ ...line, name: `${other.name}'s ${line.name}`, of: other.name }))
  );
}

/**
 * The boat that shares the chamber, or why it cannot be shared with; null where nobody is there.
 *
 * @param wall the wall the boat itself lies to
 */
export function neighbourIn(
  setting: Setting,
  sited: SitedLock,
  way: WayThrough,
  wall: Hand,
): LockNeighbour | Refusal | null {
  const { others, beam, ends, input } = setting;
  if (others.length === 0) return null;
  if (others.length > 1) return refusal('more than one boat shares');
  const other = others[0]!;
  const { start, name } = other;
  const { lock } = sited;
  const hull = hullOf(other);
  const { length, beam: broad } = hull;
  const pose = { x: start.x_m, y: start.y_m, heading: radians(start.heading_deg) };
  const how = sharing(
    sited,
    way.from,
    { pose: input.start, hull: input.boat.hull },
    { pose, hull },
  );
  const stands = standsAlong(sited, pose, hull);
  if (!how)
    return stands.inside
      ? refusal('other not along the chamber', { name })
      : refusal('other neither in nor before', { name });
  if (how.beside < 0) return refusal('no room beside', { name });
  const toGates = (fromUpper: number) =>
    way.going === 'up' ? fromUpper : lock.length - fromUpper - length;
  if (how.because === 'lies there') {
    const whole = stands.fromUpper > 0 && stands.fromUpper + length < lock.length;
    if (!whole) return refusal('other between the gates', { name });
    const where = new Float64Array(2);
    intoLock(where, sited, start.x_m, start.y_m);
    const room = lock.width / 2 + Math.abs(where[IN_LOCK.T]!) - broad / 2;
    if (room < beam + FENDERS_M) return refusal('no room beside', { name });
    const { fromUpper } = stands;
    const ahead = toGates(fromUpper);
    return { other, wall: how.wall!, fromUpper, ahead, outFirst: true, comes: null };
  }
  if (other.boat.drives.length === 0) return refusal('other has no engine', { name });
  const theirs = wallOpposite(wall);
  const stand = onWall(ends, sited, theirs);
  if (stand.length === 0) return refusal('nothing for the lines of', { name });
  const least = lock.cillReach + END_M;
  const most = lock.length - swingRoom(lock) - length - END_M / 2;
  if (most < least) return refusal('other too long', { name });
  const fromUpper = (least + most) / 2;
  const ahead = toGates(fromUpper);
  const aim = (way.going === 'up' ? stand[0]! : stand.at(-1)!).name;
  const first = how.first === 'other';
  // Whoever goes in at once waits on nothing.
  const against = setAgainst(sited, way.from);
  const waits = first && !against ? [] : landingOf(setting, other);
  if (!waits) {
    const meanwhile = against ? 'the lock is made ready' : 'the first goes in';
    return refusal('other drifts', { name, while: meanwhile });
  }
  return {
    other,
    wall: theirs,
    fromUpper,
    ahead,
    outFirst: first,
    comes: { first, aim, waits },
  };
}

/** How the neighbour goes out by itself, dead slow. */
export function leavesFirst({ other, ahead }: LockNeighbour): NeighbourLeaves | null {
  const craft = assembleCraft(toBoatSpec(other.boat));
  const way = ahead + other.boat.hull.length_m + CLEAR_M;
  const seconds = secondsToGo(craft, way, SLOWLY, LONGEST_S);
  return seconds === null ? null : { throttle: SLOWLY, seconds: tenth(seconds + GEAR_S) };
}

/** The neighbour's bow and stern line: from where to what on its wall, nearest to where they lead as it lies. */
export function leadsOf(
  { ends }: Setting,
  sited: SitedLock,
  { other, wall, fromUpper }: LockNeighbour,
  going: 'up' | 'down',
) {
  const { boat, name } = other;
  const up = going === 'up' ? 1 : -1;
  // The neighbour's side to the wall: looking up-stream the left wall is to port of a bow that points there.
  const side = (wall === 'left') === up > 0 ? -1 : 1;
  const there = boat.points.filter(({ y_m }) => Math.sign(y_m) === side);
  const stand = onWall(ends, sited, wall);
  if (there.length < 2 || stand.length === 0) return [];
  const fore = there.reduce((a, b) => (b.x_m > a.x_m ? b : a));
  const aft = there.reduce((a, b) => (b.x_m < a.x_m ? b : a));
  const middle = fromUpper + boat.hull.length_m / 2;
  return [['bow', fore] as const, ['stern', aft] as const].map(([what, point]) => {
    const s = middle - up * point.x_m;
    const to = stand.reduce((a, b) => (Math.abs(b.s - s) < Math.abs(a.s - s) ? b : a));
    const off = Math.abs(to.s - s) + to.back + 1;
    return { line: `${name}'s ${what} line`, from: point.name, to: to.name, off };
  });
}

/** Round the bollard and back, as long as the rise asks for: the neighbour is kept on it all the way, and slips it. */
export function neighbourLines(
  setting: Setting,
  sited: SitedLock,
  neighbour: LockNeighbour,
  going: 'up' | 'down',
): readonly LineDocument[] {
  const { other, comes } = neighbour;
  // Whoever comes in does not stop to the metre.
  const spare = comes ? SPARE_LENGTHS * other.boat.hull.length_m : 0;
  const inside = leadsOf(setting, sited, neighbour, going).map(
    ({ line: name, from, to, ...lead }) => {
      const off = lead.off + spare;
      const line = lineOf(name, from, off, comes ? null : to, true);
      const rise = lineLength(
        sited.lock,
        sited.coping,
        Math.max(3, off),
        other.boat.hull.freeboard_m,
      );
      const length_m = Math.ceil(Math.max(line.length_m, rise));
      return { ...line, of: other.name, length_m };
    },
  );
  return [...(comes?.waits ?? []), ...inside];
}

/** Lines a boat beside is held by. */
export const BOTH_ENDS = ['bow', 'stern'] as const;

/** Both of its lines are on. */
export const linesOnOf = ({ other: { name } }: LockNeighbour): CueDocument => ({
  is: 'all',
  of: [
    { is: 'line', line: `${name}'s bow line`, state: 'on' },
    { is: 'line', line: `${name}'s stern line`, state: 'on' },
  ],
});
