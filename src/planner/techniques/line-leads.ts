import { cos, sin } from '@/core/math';
import type { Person } from '@/core/plan';
import { step, call, engine, tenth, wheel } from '../template';
import { lieOf, type Setting } from '../setting';
import { SIDES, type Side } from '@/document/fields';
import { nameAboard } from '@/document/others';
import type { LineDocument } from '@/document/rigging';
import type { StepDocument, CueDocument, OrderDocument, PlanDocument } from '@/document/plan';
import { refusal, type Refusal } from '../refusals';

export interface LyingPose {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
}

/** What a line can be made on to that is not aboard another boat. */
export const ashore = ({ ends, others: boats }: Pick<Setting, 'ends' | 'others'>) =>
  ends.filter(({ name }) => !boats.some((boat) => name.startsWith(nameAboard(boat, ''))));

/** A bollard or pile as seen from a point aboard: how far ahead of it and to starboard, and how far in all, m. */
export interface Lead {
  readonly name: string;
  readonly ahead: number;
  readonly starboard: number;
  readonly length: number;
}

/** Lines reach no further than this share of the boat's length and half its beam. Judgement: longer ones stretch too much. */
const REACH_LENGTHS = 0.9;

export function leadsFrom(
  { boat, ends, length, beam }: Pick<Setting, 'boat' | 'ends' | 'length' | 'beam'>,
  pose: LyingPose,
  cleat: string,
): Lead[] {
  const point = boat.points.find(({ name }) => name === cleat);
  if (!point) return [];
  const s = sin(pose.heading);
  const c = cos(pose.heading);
  return ends
    .map(({ name, x, y }) => {
      const east = x - pose.x;
      const north = y - pose.y;
      const ahead = east * s + north * c - point.x;
      const starboard = east * c - north * s - point.y;
      return { name, ahead, starboard, length: Math.sqrt(ahead * ahead + starboard * starboard) };
    })
    .filter((lead) => lead.length < REACH_LENGTHS * length + 0.5 * beam);
}

/** The bollard that leads nearest to a wish, m ahead of the cleat, of those no further across than along. */
export function bestLead(leads: readonly Lead[], wish: number): Lead | null {
  const fit = leads.filter((lead) => lead.ahead * wish > 0 && Math.abs(lead.ahead) > 1);
  if (fit.length === 0) return null;
  const off = (lead: Lead) => Math.abs(lead.ahead - wish) + Math.abs(lead.starboard);
  return fit.reduce((a, b) => (off(b) < off(a) ? b : a));
}

export const lineOf = (
  name: string,
  from: string,
  length: number,
  to: string | null,
  doubled: boolean,
): LineDocument => ({
  name,
  from,
  length_m: Math.max(6, Math.ceil((doubled ? 2 : 1) * 1.5 * length)),
  rope: 'polyester',
  strengthLeft: 0.6,
  doubled,
  ...(to === null ? {} : { fast: { to } }),
});

/** Springs that throw one end off: motoring ahead on a bow spring, or astern on a stern spring. */
export interface Spring {
  readonly end: 'bow' | 'stern';
  readonly cleat: string;
  readonly lead: Lead;
}

export const sideOf = ({ off }: Setting): Side => (off === 1 ? 'port' : 'starboard');

export function springFor(setting: Setting, end: 'bow' | 'stern'): Spring | null {
  const cleat = `${sideOf(setting)} ${end === 'bow' ? 'bow' : 'quarter'} cleat`;
  const wish = (end === 'bow' ? -0.5 : 0.5) * setting.length;
  const lead = bestLead(leadsFrom(setting, setting.input.start, cleat), wish);
  return lead && { end, cleat, lead };
}

export const noSpring = (setting: Setting, end: 'bow' | 'stern'): Refusal | null =>
  springFor(setting, end) ? null : refusal('no bollard for a spring', { end });

/** What else holds the boat until then, where there is something to hold it by: all but the end that stays. */
export function others(setting: Setting, { end }: Spring): LineDocument[] {
  const side = sideOf(setting);
  const line = (name: string, at: string, wish: number): LineDocument[] => {
    const cleat = `${side} ${at} cleat`;
    const lead = bestLead(leadsFrom(setting, setting.input.start, cleat), wish);
    return lead ? [lineOf(name, cleat, lead.length, lead.name, true)] : [];
  };
  const { length } = setting;
  return end === 'bow'
    ? line('stern line', 'quarter', -0.2 * length)
    : line('bow line', 'bow', 0.2 * length);
}

/** Fenders where the boat pivots, on both sides: at the shoulder or quarter, and at the end itself. */
export function pivotFenders(
  { length, boat }: Setting,
  end: 'bow' | 'stern',
): PlanDocument['fenders'] {
  const diameter_m = tenth(Math.max(0.3, 0.03 * length));
  const way = end === 'bow' ? 1 : -1;
  const furthest = Math.max(...boat.hull.deck.filter((_, i) => i % 2 === 0).map((x) => way * x));
  const names = end === 'bow' ? ['shoulder', 'stem'] : ['quarter', 'transom'];
  const shares = end === 'bow' ? [0.9, 0.985] : [0.88, 0.985];
  return SIDES.flatMap((side) =>
    names.map((name, i) => ({
      name: `${side} ${name} fender`,
      x_m: tenth(way * shares[i]! * furthest),
      side,
      diameter_m,
      length_m: tenth(3 * diameter_m),
      pressure_kPa: 15,
      loss_spm: 1,
    })),
  );
}

/** Of two shafts the one away from the berth, which turns the boat the same way as the spring; else all there are. */
export const outer = ({ pair, off }: Setting): string | undefined =>
  pair ? (off === 1 ? pair.starboard : pair.port) : undefined;

export const offOf = (lines: readonly LineDocument[]): CueDocument =>
  lines.length === 0
    ? { is: 'after', time_s: 1 }
    : lines.length === 1
      ? { is: 'line', line: lines[0]!.name, state: 'off' }
      : { is: 'all', of: lines.map(({ name }) => ({ is: 'line', line: name, state: 'off' })) };

export const letGo = (line: string, after_s = 0, by?: string): OrderDocument => ({
  do: 'letGo',
  after_s,
  line,
  ...(by === undefined ? {} : { by }),
});

export function singledUp(more: readonly LineDocument[]): StepDocument {
  return step(
    'single-up',
    'single up to the spring',
    { is: 'start' },
    [
      call('single up: the spring stays; hands clear of it'),
      wheel(0),
      engine('neutral'),
      ...more.map(({ name }, i) => letGo(name, i)),
    ],
    'make it fast again',
    5,
  );
}

/** Where the boat lies once its goal is reached. */
export function berthed(setting: Setting): LyingPose {
  const { point, mark, heading } = lieOf(setting);
  const s = sin(heading);
  const c = cos(heading);
  return {
    x: mark.x - point.x * s - point.y * c,
    y: mark.y - point.x * c + point.y * s,
    heading,
  };
}

/** The same with an end to it: that end as far off its mark as half of what the goal allows. */
export function lying(setting: Setting): LyingPose {
  const { goal } = setting.input;
  const pose = berthed(setting);
  const off = goal.is === 'lie' ? goal.within / 2 : 0;
  const way = lieOf(setting).point.x > 0 ? -off : off;
  return { ...pose, x: pose.x + way * sin(pose.heading), y: pose.y + way * cos(pose.heading) };
}

/** The side the wind comes from once the boat lies there. */
export function windwardSide(setting: Setting): 1 | -1 {
  const { windFrom } = setting.input.weather;
  return sin(windFrom - lieOf(setting).heading) < 0 ? -1 : 1;
}

const distance = (a: { x: number; y: number }, b: { x: number; y: number }) =>
  Math.sqrt((a.x - b.x) * (a.x - b.x) + (a.y - b.y) * (a.y - b.y));

/** Is somebody ashore to catch a line? */
export const handAshore = ({ input }: Setting): boolean =>
  input.rigging?.crew.some(({ at }) => !at.aboard) ?? false;

/** Whoever is nearest to a cleat aboard and not at the helm, by name. */
export function handAt({ input, boat }: Setting, cleat: string): string | undefined {
  const point = boat.points.find(({ name }) => name === cleat);
  const far = ({ at }: Person) => (point && at.aboard ? distance(at.point, point) : Infinity);
  const hands = input.rigging?.crew.filter(({ at }) => at.aboard && at.point.name !== 'helm') ?? [];
  if (hands.length === 0) return undefined;
  return hands.reduce((a, b) => (far(b) < far(a) ? b : a)).name;
}
