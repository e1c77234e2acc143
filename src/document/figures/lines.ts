import { cos, sin } from '@/core/math';
import type { Person } from '@/core/score';
import { degrees } from '../fields';
import type { LineDocument } from '../rigging';
import type { BeatDocument, CueDocument, OrderDocument, ScoreDocument } from '../score';
import { hardest, reversed } from './arrive';
import {
  beat,
  call,
  compassOf,
  dial,
  engine,
  scoreOf,
  steer,
  tenth,
  wheel,
  type Draft,
} from './draft';
import { lieOf, type Setting } from './setting';
import { SIDES, type Side } from './berths';

interface Pose {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
}

/** A bollard or pile as seen from a point aboard: how far ahead of it and to starboard, and how far in all, m. */
interface Lead {
  readonly name: string;
  readonly ahead: number;
  readonly starboard: number;
  readonly length: number;
}

/** Lines reach no further than this share of her length and half her beam. Judgement: longer ones stretch too much. */
const REACH_LENGTHS = 0.9;

function leadsFrom({ boat, ends, length, beam }: Setting, pose: Pose, cleat: string): Lead[] {
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
function bestLead(leads: readonly Lead[], wish: number): Lead | null {
  const fit = leads.filter((lead) => lead.ahead * wish > 0 && Math.abs(lead.ahead) > 1);
  if (fit.length === 0) return null;
  const off = (lead: Lead) => Math.abs(lead.ahead - wish) + Math.abs(lead.starboard);
  return fit.reduce((a, b) => (off(b) < off(a) ? b : a));
}

const lineOf = (
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
interface Spring {
  readonly end: 'bow' | 'stern';
  readonly cleat: string;
  readonly lead: Lead;
}

const sideOf = ({ off }: Setting): Side => (off === 1 ? 'port' : 'starboard');

function springFor(setting: Setting, end: 'bow' | 'stern'): Spring | null {
  const cleat = `${sideOf(setting)} ${end === 'bow' ? 'bow' : 'quarter'} cleat`;
  const wish = (end === 'bow' ? -0.5 : 0.5) * setting.length;
  const lead = bestLead(leadsFrom(setting, setting.input.start, cleat), wish);
  return lead && { end, cleat, lead };
}

export const noSpring = (setting: Setting, end: 'bow' | 'stern'): string | null =>
  springFor(setting, end)
    ? null
    : `no bollard or pile stands where a ${end} spring would lead from where she lies`;

/** What else holds her until then, where there is something to hold her by: all but the end that stays. */
function others(setting: Setting, { end }: Spring): LineDocument[] {
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

/** Fenders where she pivots, on both sides: at the shoulder or quarter, and at the end itself. */
function pivotFenders({ length, boat }: Setting, end: 'bow' | 'stern'): ScoreDocument['fenders'] {
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

const turnedOr = (by: number, seconds: number): CueDocument => ({
  is: 'any',
  of: [
    { is: 'turned', by_deg: Math.round(by) || 1 },
    { is: 'after', seconds: tenth(seconds) },
  ],
});

/** Of two shafts the one away from the berth, which turns her the same way as the spring; else all there are. */
const outer = ({ pair, off }: Setting): string | undefined =>
  pair ? (off === 1 ? pair.starboard : pair.port) : undefined;

const offOf = (lines: readonly LineDocument[]): CueDocument =>
  lines.length === 0
    ? { is: 'after', seconds: 1 }
    : lines.length === 1
      ? { is: 'line', line: lines[0]!.name, state: 'off' }
      : { is: 'all', of: lines.map(({ name }) => ({ is: 'line', line: name, state: 'off' })) };

const letGo = (line: string, after_s = 0, by?: string): OrderDocument => ({
  do: 'letGo',
  after_s,
  line,
  ...(by === undefined ? {} : { by }),
});

function singledUp(more: readonly LineDocument[]): BeatDocument {
  return beat(
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

/**
 * Motoring ahead on a bow spring with the wheel towards the berth until her stern is off, then astern and the spring
 * slipped as it goes slack.
 */
export function sprungByTheBow(setting: Setting): Draft {
  const spring = springFor(setting, 'bow')!;
  const off = setting.off ?? 1;
  const lock = Math.floor(degrees(setting.craft.limits[0]!));
  const along = degrees(setting.input.start.heading);
  const more = others(setting, spring);
  const lines = [
    lineOf('bow spring', spring.cleat, spring.lead.length, spring.lead.name, true),
    ...more,
  ];
  return {
    dials: [
      dial(0.25 * setting.firm, 0.08, 0, hardest(setting)),
      dial(38, 6, 8, 75),
      dial(30, 8, 8, 60),
      dial(0.8 * setting.firm, 0.1, 0.05, hardest(setting)),
      dial(14, 4, 5, 40),
      dial(4, 2, 2, 20),
    ],
    write: ([push, angle, longest, back, astern, rest]) =>
      scoreOf(
        [
          singledUp(more),
          beat(
            'on-the-spring',
            'ahead on the spring, stern out',
            offOf(more),
            [wheel(-off * lock), engine('ahead', push!, setting.hardOver, outer(setting))],
            'neutral: she lies back alongside',
            60,
          ),
          beat(
            'astern',
            'look astern, astern, slip the spring',
            turnedOr(-off * angle!, longest!),
            [
              wheel(0),
              ...reversed(setting, 'astern', back!),
              letGo('bow spring', tenth(setting.pause + 2)),
            ],
            'ahead on the spring again while it is on',
          ),
          beat(
            'off',
            'neutral, off and clear',
            { is: 'after', seconds: tenth(astern!) },
            [engine('neutral'), steer(compassOf(along))],
            'astern again',
          ),
        ],
        {
          is: 'all',
          of: [
            { is: 'after', seconds: tenth(rest!) },
            { is: 'line', line: 'bow spring', state: 'off' },
          ],
        },
        60,
        lines,
        pivotFenders(setting, 'bow'),
      ),
  };
}

/** Motoring astern on a stern spring until her bow is off, the spring slipped and home, then ahead and out. */
export function sprungByTheStern(setting: Setting): Draft {
  const spring = springFor(setting, 'stern')!;
  const off = setting.off ?? 1;
  const along = degrees(setting.input.start.heading);
  const more = others(setting, spring);
  const lines = [
    lineOf('stern spring', spring.cleat, spring.lead.length, spring.lead.name, true),
    ...more,
  ];
  return {
    dials: [
      dial(0.3 * setting.firm, 0.1, 0, hardest(setting)),
      dial(35, 6, 8, 70),
      dial(25, 8, 6, 60),
      dial(0.3, 0.1, 0, hardest(setting)),
      dial(14, 4, 4, 40),
      dial(3, 2, 1, 20),
    ],
    write: ([push, angle, longest, throttle, out, rest]) =>
      scoreOf(
        [
          singledUp(more),
          beat(
            'on-the-spring',
            'astern on the spring, bow out',
            offOf(more),
            [wheel(0), engine('astern', push!, 0.5, outer(setting))],
            'neutral: she lies back alongside',
            60,
          ),
          beat(
            'slip',
            'neutral, slip the spring',
            turnedOr(off * angle!, longest!),
            [engine('neutral'), letGo('stern spring')],
            'make it fast again: she lies back alongside',
          ),
          beat(
            'ahead',
            'spring aboard: ahead and out',
            { is: 'line', line: 'stern spring', state: 'off' },
            [steer(along + off * angle!), engine('ahead', throttle!, 0.4)],
            'neutral, let her lie back on her fenders',
            40,
          ),
          beat(
            'along',
            'steady along the way out',
            { is: 'after', seconds: tenth(out!) },
            [steer(along + 0.3 * off * angle!), engine('ahead')],
            'neutral, look round',
          ),
        ],
        { is: 'after', seconds: tenth(rest!) },
        60,
        lines,
        pivotFenders(setting, 'stern'),
      ),
  };
}

/** Where she lies once her goal is reached. */
function berthed(setting: Setting): Pose {
  const { point, mark, heading } = lieOf(setting);
  const s = sin(heading);
  const c = cos(heading);
  return {
    x: mark.x - point.x * s - point.y * c,
    y: mark.y - point.x * c + point.y * s,
    heading,
  };
}

const distance = (a: { x: number; y: number }, b: { x: number; y: number }) =>
  Math.sqrt((a.x - b.x) * (a.x - b.x) + (a.y - b.y) * (a.y - b.y));

/** Is somebody ashore to catch a line? */
const handAshore = ({ input }: Setting): boolean =>
  input.rigging?.crew.some(({ at }) => !at.aboard) ?? false;

/** Whoever is nearest to a cleat aboard and not at the helm, by name. */
function handAt({ input, boat }: Setting, cleat: string): string | undefined {
  const point = boat.points.find(({ name }) => name === cleat);
  const far = ({ at }: Person) => (point && at.aboard ? distance(at.point, point) : Infinity);
  const hands = input.rigging?.crew.filter(({ at }) => at.aboard && at.point.name !== 'helm') ?? [];
  if (hands.length === 0) return undefined;
  return hands.reduce((a, b) => (far(b) < far(a) ? b : a)).name;
}

function firstSpring(setting: Setting): { cleat: string; lead: Lead } | null {
  const cleat = `${lieOf(setting).side} midship cleat`;
  const near = leadsFrom(setting, berthed(setting), cleat).filter(
    ({ ahead, starboard }) => ahead < 0.1 * setting.length && Math.abs(starboard) < 3,
  );
  if (near.length === 0) return null;
  // Thrown to somebody it may lead further aft than she comes close to.
  const wish = (handAshore(setting) ? -0.5 : -0.25) * setting.length;
  const off = ({ ahead }: Lead) => Math.abs(ahead - wish);
  return { cleat, lead: near.reduce((a, b) => (off(b) < off(a) ? b : a)) };
}

export const noFirstSpring = (setting: Setting): string | null =>
  firstSpring(setting)
    ? null
    : 'no bollard or pile stands within reach of her midship cleat where she is to lie';

/** The same way in, a spring measured before dropped on as she comes by, and idle ahead on it with the wheel to hold her. */
export function onToASpring(setting: Setting, base: Draft): Draft {
  const lie = lieOf(setting);
  const { cleat, lead } = firstSpring(setting)!;
  const lock = Math.floor(degrees(setting.craft.limits[0]!));
  const away = setting.steered ? 1 : -1;
  const by = handAt(setting, cleat);
  const thrown = handAshore(setting);
  return {
    dials: [
      ...base.dials,
      dial(lead.length, 0.4, Math.max(0.8, 0.6 * lead.length), lead.length + 0.2 * setting.length),
      dial(0.5, 0.2, 0, 1),
      dial(45, 10, 15, 75),
    ],
    write: (values) => {
      const [length, wheelShare, seconds] = values.slice(-3) as [number, number, number];
      const score = base.write(values.slice(0, -3));
      const pass: OrderDocument = {
        do: 'pass',
        after_s: 0,
        line: 'first spring',
        to: lead.name,
        how: thrown ? 'throw' : 'drop',
        ...(by === undefined ? {} : { by }),
        length_m: tenth(length),
      };
      // On while her way comes off, so that it is fast as she stops.
      const stopping = score.beats.length - 2;
      return {
        ...score,
        beats: [
          ...score.beats.map((one, i) =>
            i === stopping
              ? { ...one, orders: [...one.orders, pass] }
              : i === stopping + 1
                ? { ...one, orders: [engine('neutral'), wheel(0), call('is the spring on?')] }
                : one,
          ),
          beat(
            'on-the-spring',
            'idle ahead on the spring',
            {
              is: 'all',
              of: [
                { is: 'line', line: 'first spring', state: 'fast' },
                { is: 'after', seconds: 1 },
              ],
            },
            [
              wheel(away * lie.toward * lock * wheelShare),
              engine('ahead', 0, Math.max(setting.pause, setting.hardOver)),
            ],
            'neutral; she lies on her spring',
            45,
          ),
        ],
        end: { cue: { is: 'after', seconds: tenth(seconds) }, within_s: 90 },
        lines: [lineOf('first spring', cleat, length, null, false)],
      };
    },
  };
}

function lastLine(setting: Setting): { cleat: string; lead: Lead } | null {
  const cleat = `${sideOf(setting)} midship cleat`;
  const near = leadsFrom(setting, setting.input.start, cleat).filter(
    ({ ahead }) => Math.abs(ahead) < 0.4 * setting.length,
  );
  if (near.length === 0) return null;
  return { cleat, lead: near.reduce((a, b) => (b.length < a.length ? b : a)) };
}

export function noLastLine(setting: Setting): string | null {
  if (!setting.boat.points.some(({ name }) => name === 'helm')) return 'she has no helm named';
  return lastLine(setting) ? null : 'no bollard or pile stands abreast of her midship cleat';
}

/**
 * Alone aboard: bow and stern line let go by walking, a doubled breast line amidships led to the helm left till last;
 * slipped from there, she is let drop off, and goes ahead once it is home.
 */
export function slippedAlone(setting: Setting): Draft {
  const off = setting.off ?? 1;
  const along = degrees(setting.input.start.heading);
  const { cleat, lead } = lastLine(setting)!;
  const side = sideOf(setting);
  const { length, input } = setting;
  const person =
    input.rigging?.crew.find(({ at }) => at.aboard && at.point.name === 'helm')?.name ?? 'alone';
  const more = (['bow', 'stern'] as const).flatMap((end): LineDocument[] => {
    const from = `${side} ${end === 'bow' ? 'bow' : 'quarter'} cleat`;
    const found = bestLead(
      leadsFrom(setting, input.start, from),
      (end === 'bow' ? 0.2 : -0.2) * length,
    );
    return found ? [lineOf(`${end} line`, from, found.length, found.name, true)] : [];
  });
  const last = { ...lineOf('last line', cleat, lead.length, lead.name, true), ledTo: 'helm' };
  return {
    dials: [
      dial(4, 3, 0.5, 40),
      dial(15, 5, 2, 60),
      dial(0, 0.1, 0, hardest(setting)),
      dial(12, 4, 3, 45),
      dial(5, 4, 1, 30),
    ],
    write: ([wait, angle, throttle, out, rest]) =>
      scoreOf(
        [
          beat(
            'single-up',
            'single up to the last line',
            { is: 'start' },
            [wheel(0), engine('neutral'), ...more.map(({ name }) => letGo(name, 0, person))],
            'make them fast again',
            5,
          ),
          beat(
            'slip',
            'back at the helm: slip the last line',
            offOf(more),
            [letGo('last line', 6, person)],
            'hold on to it: she lies on one line',
            90,
          ),
          beat(
            'ahead',
            'line home: ahead, out at an angle',
            {
              is: 'all',
              of: [
                { is: 'line', line: 'last line', state: 'off' },
                { is: 'after', seconds: tenth(6 + wait!) },
              ],
            },
            [steer(along + off * angle!), engine('ahead', throttle!, 0.4)],
            'neutral, let the wind take her further off',
            90,
          ),
          beat(
            'along',
            'steady along the way out',
            { is: 'after', seconds: tenth(out!) },
            [steer(along + 0.4 * off * angle!), engine('ahead')],
            'neutral, look round',
          ),
        ],
        { is: 'after', seconds: tenth(rest!) },
        60,
        [last, ...more],
        [],
        [{ name: person, at: { aboard: 'helm' }, pull_N: 300, throws_m: 8 }],
      ),
  };
}
