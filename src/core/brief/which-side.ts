import type { Craft } from '../boat';
import { cos } from '../math';
import {
  SIDE_PER_CURRENT_KN,
  SIDE_PER_WIND_KN,
  SIDE_PER_TEN_DEGREES,
  SIDE_MOST_FROM_WALK,
} from '../policy';
import { MPS_PER_KNOT } from '../units';
import type { Weather } from '../simulation';
import { hasDrive, propWalk } from '../trials';

/** What speaks for lying with one side rather than the other to a berth; figures SI, radians. */
export interface ForSide {
  readonly side: 'port' | 'starboard';
  readonly heading: number;
  /** Current and wind met on the bow there, m/s; from astern negative. */
  readonly currentAhead: number;
  readonly windAhead: number;
  /** The boat's stern's way going astern from rest, turned towards the berth; away negative. */
  readonly sternIn: number | null;
  /** How long that was tried, s. */
  readonly walkFor: number;
  /** Their sum, more being better; see the weights. */
  readonly worth: number;
}

const TEN_DEGREES = Math.PI / 18;

/**
 * Both sides of a berth weighed: what the boat meets on the bow stops it and keeps its steering, and a stern that walks in
 * lays it alongside. The better one first.
 *
 * @param headings it lies on, port side and starboard side to, rad
 */
export function sidesOf(
  craft: Craft,
  weather: Pick<Weather, 'windFrom' | 'windSpeed' | 'currentSet' | 'currentSpeed'>,
  headings: { readonly port: number; readonly starboard: number },
): readonly ForSide[] {
  const walk = hasDrive(craft) ? propWalk(craft) : null;
  // The boat's bow turned to starboard takes its stern to port.
  const toPort = walk ? walk.turned : 0;
  const weighed = (['port', 'starboard'] as const).map((side): ForSide => {
    const heading = headings[side];
    const currentAhead = -weather.currentSpeed * cos(weather.currentSet - heading);
    const windAhead = weather.windSpeed * cos(weather.windFrom - heading);
    const sternIn = walk ? (side === 'port' ? toPort : -toPort) : null;
    const held = (value: number, most: number) => Math.max(-most, Math.min(most, value));
    const worth =
      (SIDE_PER_CURRENT_KN * currentAhead) / MPS_PER_KNOT +
      (SIDE_PER_WIND_KN * windAhead) / MPS_PER_KNOT +
      held((SIDE_PER_TEN_DEGREES * (sternIn ?? 0)) / TEN_DEGREES, SIDE_MOST_FROM_WALK);
    return { side, heading, currentAhead, windAhead, sternIn, walkFor: walk?.seconds ?? 0, worth };
  });
  return weighed.sort((a, b) => b.worth - a.worth);
}
