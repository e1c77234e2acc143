import type { MooringHold, Without } from '@/core/brief';
import { STAYS_PUT_M, HOLDING_SHOWN_MPS } from '@/core/policy';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { the } from './lines';
import { boatSpeed, distance, force, type Units } from './units';

const STAYS_DEG = 1.5;

/** "The boat settles 0.4 m to starboard, bow 3° to port." */
export function settlesText(
  {
    ahead,
    starboard,
    turned,
    moving,
  }: Pick<MooringHold, 'ahead' | 'starboard' | 'turned' | 'moving'>,
  units: Units,
): string {
  const degrees = turned * DEGREES_PER_RADIAN;
  const parts = [
    ...(Math.abs(ahead) < STAYS_PUT_M
      ? []
      : [`${distance(Math.abs(ahead), units)} ${ahead < 0 ? 'back' : 'ahead'}`]),
    ...(Math.abs(starboard) < STAYS_PUT_M
      ? []
      : [`${distance(Math.abs(starboard), units)} to ${starboard < 0 ? 'port' : 'starboard'}`]),
    ...(Math.abs(degrees) < STAYS_DEG
      ? []
      : [`bow ${Math.round(Math.abs(degrees))}° to ${degrees < 0 ? 'port' : 'starboard'}`]),
  ];
  const where = parts.length > 0 ? parts.join(', ') : 'where it lies';
  if (moving > 0) {
    // What rounds to nothing is not told as a speed.
    const how =
      moving < HOLDING_SHOWN_MPS ? 'swings a little' : `moves at ${boatSpeed(moving, units)}`;
    return `After two minutes the boat is ${where}, and still ${how}.`;
  }
  return `The boat settles ${where}.`;
}

/** "stern line, then spring; the bow line last", or that it does not matter. */
export function orderText({
  order,
  without,
}: Pick<MooringHold, 'order' | 'without'>): string | null {
  if (order.length < 2) return null;
  if (without.every(({ off }) => off < STAYS_PUT_M))
    return 'Nothing takes the boat off: its lines may go in any order.';
  return `Let go: ${order.slice(0, -1).join(', then ')}; the ${order.at(-1)!} last, as it holds the boat best against what pushes.`;
}

/** "without the bow line her ends go 3.1 m; the spring then carries 900 N, 7 % of what parts it" */
export function withoutText(without: Without, units: Units): string {
  const gone =
    without.off < STAYS_PUT_M
      ? `Without ${the(without.line)} the boat stays where it is`
      : `Without ${the(without.line)} an end goes ${distance(without.off, units)} in half a minute`;
  if (!without.heaviest || without.tension < 20)
    return without.off < STAYS_PUT_M ? `${gone}.` : `${gone}; nothing else holds the boat.`;
  const share = Math.round((100 * without.tension) / without.breaks);
  return `${gone}; the ${without.heaviest} then carries up to ${force(without.tension, units)}, ${share} % of what parts it.`;
}
