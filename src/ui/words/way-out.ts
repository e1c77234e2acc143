import type { EscapeName, TimeToContact, WayOutAt, WindLimit } from '@/core/search';
import { distance, windSpeed, type Units } from './units';
import { failsBy } from './outcome-heads';

export const ESCAPE_WORDS: Readonly<Record<EscapeName, string>> = {
  stop: 'stop the boat',
  astern: 'astern out',
  port: 'drive on round to port',
  starboard: 'drive on round to starboard',
  hold: 'hold the boat there',
};

/** What the boat comes to if nothing is done: a thing's name, the bottom, or "caught under the footbridge". */
export const stopText = ({ on, name }: Pick<TimeToContact, 'on' | 'name'>): string =>
  on === 'bridge' ? `caught under ${name}` : name;

/** "stop her, 2.1 m to spare from Old Dray" */
export function wayOutText(at: WayOutAt, units: Units): string {
  if (!at.by) return 'no way out: committed';
  const words = ESCAPE_WORDS[at.by];
  if (!at.spare?.name) return words;
  return `${words}, ${distance(Math.max(0, at.spare.distance), units)} to spare from ${at.spare.name}`;
}

/** The wind it fails in: figure, meaning and what happens then. */
export function limitWords(limit: WindLimit, units: Units): [string, string, string] {
  if (limit.wind === null && limit.outcome !== null)
    return ['–', 'fails in this wind already', failsBy(limit.outcome)];
  if (limit.wind === null) return [`> ${windSpeed(limit.holdsTo, units)}`, 'wind it holds in', ''];
  const what = failsBy(limit.outcome ?? 'missed');
  const on = limit.touched ? ` on ${limit.touched}` : '';
  return [windSpeed(limit.wind, units), 'wind at which this fails', `${what}${on}`];
}
