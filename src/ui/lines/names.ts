import { leadOf, stopsOf, type Lead, type Stops } from '@/core/holding';
import {
  boatOfLine,
  lineEndsAtStart,
  marksAtStart,
  namedPoints,
  radians,
  type Boat,
  type Manoeuvre,
  type Place,
} from '@/document';

/** How a line would lie at the start: its lead, what it stops, and a seaman's name for it. */
export interface Lie {
  readonly lead: Lead;
  readonly stops: readonly Stops[];
  readonly name: string;
}

const STOP_WORDS: Readonly<Record<Stops, string>> = {
  ahead: 'going ahead',
  astern: 'going astern',
  off: 'drifting off',
  'bow out': 'the bow swinging out',
  'stern out': 'the stern swinging out',
};

/** "stops her going ahead, drifting off"; what it is for if it leads nowhere much. */
export function stopsText(stops: readonly Stops[]): string {
  if (stops.length === 0) return 'stops little as it leads';
  // An end held is drifting off stopped at that end.
  const told = stops.includes('bow out') || stops.includes('stern out');
  const listed = stops.filter((stop) => !(told && stop === 'off'));
  return `stops ${listed.map((stop) => STOP_WORDS[stop]).join(', ')}`;
}

/** Usual names: a line that leads more along than across is a spring, by the end it leads from; across, a breast. */
function usualName(x: number, length: number, { ahead, starboard }: Lead): string {
  const end = x > 0.2 * length ? 'bow' : x < -0.2 * length ? 'stern' : 'midship';
  const along = Math.abs(ahead) > Math.abs(starboard);
  if (end === 'midship') return along ? 'spring' : 'breast line';
  const outward = end === 'bow' ? ahead > 0 : ahead < 0;
  return along && !outward ? `${end} spring` : `${end} line`;
}

/** How a line from a point aboard to a bollard lies at the start; null where either is not known. */
export function lieOf(
  { start, others }: Pick<Manoeuvre, 'start' | 'others'>,
  boat: Boat,
  place: Place,
  from: string,
  to: string,
  of?: string,
): Lie | null {
  const own = boatOfLine(of === undefined ? {} : { of }, { boat, others });
  const point = namedPoints(own).find(({ name }) => name === from);
  const around = { place, others };
  // An anchor lies at any mark, a line goes to what it can be made on to.
  const end = [...lineEndsAtStart(around), ...marksAtStart(around)].find(({ name }) => name === to);
  if (!point || !end) return null;
  const { x_m, y_m, heading_deg } = others.find(({ name }) => name === of)?.start ?? start;
  const s = Math.sin(radians(heading_deg));
  const c = Math.cos(radians(heading_deg));
  const east = end.x - x_m;
  const north = end.y - y_m;
  const lead = leadOf(point.x, point.y, east * s + north * c, east * c - north * s);
  const { length_m } = own.hull;
  return {
    lead,
    stops: stopsOf(lead, point.x, length_m),
    name: usualName(point.x, length_m, lead),
  };
}
