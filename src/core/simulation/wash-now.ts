import { DRIVE, DRIVE_COLUMNS } from '../boat';
import { addNeighbourWash, FLOW, JET, propellerFlow, WASH_REACH, WASHED, WORK } from '../forces';
import { cos, rayTo, sin } from '../math';
import { WATER } from './environment';
import { PSI, R, U, V, X, Y } from './state';
import type { Vessel } from './vessel';

/** How far forward of the stern the quarters are looked abeam from, lengths. */
const QUARTER = 0.15;

/** Where a ray over the place first meets another boat's deck, m. */
function rayToBoat(
  { world, state }: Vessel,
  x: number,
  y: number,
  east: number,
  north: number,
): number {
  const s = sin(state.motion[PSI]!);
  const c = cos(state.motion[PSI]!);
  const dx = x - state.motion[X]!;
  const dy = y - state.motion[Y]!;
  const { deck } = world.craft.spec.hull;
  return rayTo(deck, dx * s + dy * c, dx * c - dy * s, east * s + north * c, east * c - north * s);
}

/** What stands nearest along a ray over the place, m: shore that is no further off than wash is felt, or another boat. */
function nearestAlong(vessel: Vessel, x: number, y: number, east: number, north: number): number {
  const { world, others } = vessel;
  const { length, beam } = world.craft.spec.hull;
  const far = length + WASH_REACH * beam;
  let least = Infinity;
  for (let i = 0; i < world.obstacles.length; i++) {
    const { outline, minX, maxX, minY, maxY } = world.obstacles[i]!;
    if (minX > x + far || maxX < x - far || minY > y + far || maxY < y - far) continue;
    if (outline) least = Math.min(least, rayTo(outline as Float64Array, x, y, east, north));
  }
  for (let i = 0; i < others.length; i++)
    least = Math.min(least, rayToBoat(others[i]!, x, y, east, north));
  return least;
}

/** Gaps about the boat's stern that its own wash is felt in. */
function senseGaps(motion: Float64Array, vessel: Vessel): void {
  const { world, scratch } = vessel;
  const { hull } = world.craft.spec;
  const s = sin(motion[PSI]!);
  const c = cos(motion[PSI]!);
  const stern = -(0.5 - QUARTER) * hull.length;
  const x = motion[X]! + stern * s;
  const y = motion[Y]! + stern * c;
  const half = hull.beam / 2;
  const { washed } = scratch;
  washed[WASHED.STARBOARD] = nearestAlong(vessel, x, y, c, -s) - half;
  washed[WASHED.PORT] = nearestAlong(vessel, x, y, -c, s) - half;
  washed[WASHED.ASTERN] = nearestAlong(vessel, x, y, -s, -c);
}

/** Writes the jet of another boat's screw as it comes to this one into the row, this one's own axes. */
function setJet(vessel: Vessel, motion: Float64Array, other: Vessel, drive: number): void {
  const { jet, jetFlow, work } = vessel.scratch;
  const { state, world } = other;
  const { values } = world.craft.drives;
  const at = drive * DRIVE_COLUMNS;
  const px = values[at + DRIVE.X]!;
  const py = values[at + DRIVE.Y]!;
  // Those that do not turn have no angle.
  const angle = state.angles[values[at + DRIVE.CHANNEL]!] ?? 0;
  const turned = sin(angle);
  const straight = cos(angle);
  work[WORK.SIN] = turned;
  work[WORK.COS] = straight;
  work[WORK.SURGE] = state.motion[U]! - state.motion[R]! * py;
  work[WORK.SWAY] = state.motion[V]! + state.motion[R]! * px;
  work[WORK.DENSITY] = world.environment.row[WATER.DENSITY]!;
  work[WORK.RPS] = state.engines[drive]!.rps;
  propellerFlow(jetFlow, 0, values, at, work);
  const driven = jetFlow[FLOW.DRIVEN]!;
  // Thrown the other way than it pushes; thrust turned by δ lies along (cos δ, −sin δ) of its boat.
  const way = driven > 0 ? -1 : 1;
  const along = way * straight;
  const across = -way * turned;
  const s = sin(state.motion[PSI]!);
  const c = cos(state.motion[PSI]!);
  const east = along * s + across * c;
  const north = along * c - across * s;
  const ownS = sin(motion[PSI]!);
  const ownC = cos(motion[PSI]!);
  const dx = state.motion[X]! + px * s + py * c - motion[X]!;
  const dy = state.motion[Y]! + px * c - py * s - motion[Y]!;
  jet[JET.X] = dx * ownS + dy * ownC;
  jet[JET.Y] = dx * ownC - dy * ownS;
  jet[JET.ALONG_X] = east * ownS + north * ownC;
  jet[JET.ALONG_Y] = east * ownC - north * ownS;
  jet[JET.THRUST] = Math.abs(driven);
  jet[JET.DISC] = values[at + DRIVE.DISC]!;
}

/** Does a screw turn in the step that begins, or may it? With all of them still there is no wash. */
function turns({ state: { engines } }: Vessel): boolean {
  for (let i = 0; i < engines.length; i++)
    if (engines[i]!.rps !== 0 || engines[i]!.engaged !== 0) return true;
  return false;
}

/** Looks at what wash does in the step that begins: the gaps it is held up in, and what the screws of others throw at the boat. */
export function senseWash(motion: Float64Array, vessel: Vessel): void {
  const { world, scratch, others } = vessel;
  if (turns(vessel)) senseGaps(motion, vessel);
  const { washPush } = scratch;
  washPush.fill(0);
  const { times } = world.environment.wash!;
  const { hull } = world.craft.spec;
  for (let i = 0; i < others.length; i++) {
    const other = others[i]!;
    for (let k = 0; k < other.world.craft.drives.count; k++) {
      if (other.state.engines[k]!.rps === 0) continue;
      setJet(vessel, motion, other, k);
      addNeighbourWash(washPush, hull.waterline, hull.draught, scratch.jet, times);
    }
  }
}
