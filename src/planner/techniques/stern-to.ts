import { cos, sin } from '@/core/math';
import type { OrderDocument, PlanDocument } from '@/document/plan';
import { about } from './arrive';
import { backedIn, swungIn } from './stern-first';
import {
  step,
  call,
  tunable,
  endOnLine,
  engine,
  tenth,
  wheel,
  type PlanTemplate,
} from '../template';
import {
  handAshore,
  handAt,
  leadsFrom,
  lineOf,
  lying,
  windwardSide,
  type Lead,
} from './line-leads';
import { headingOf, lieOf, lockOf, type Setting } from '../setting';
import type { Side } from '@/document/fields';
import { refusal, type Refusal } from '../refusals';

/** A ground line may lie so far to one side of where the boat's bow comes, beams; its weight so far ahead of it, lengths or metres. */
const BESIDE_BEAMS = 1.5;
const AHEAD_LENGTHS = 4;
const AHEAD_M = 30;

const named = (side: 1 | -1): Side => (side > 0 ? 'starboard' : 'port');

/** A bollard on the quay for a stern line, from the quarter on that side: astern, the nearest to straight. */
export function sternLead(setting: Setting, side: 1 | -1): { cleat: string; lead: Lead } | null {
  const cleat = `${named(side)} quarter cleat`;
  const leads = leadsFrom(setting, lying(setting), cleat).filter(({ ahead }) => ahead < 0);
  if (leads.length === 0) return null;
  return { cleat, lead: leads.reduce((a, b) => (b.length < a.length ? b : a)) };
}

/** The ground line on one side of the boat, or the nearest there is to it: how far ahead of midships its weight lies, and beside. */
export function groundFor(setting: Setting, side: 1 | -1) {
  const pose = lying(setting);
  const s = sin(pose.heading);
  const c = cos(pose.heading);
  const { length, beam } = setting;
  const near = setting.grounds
    .map(({ name, x, y, height }) => {
      const east = x - pose.x;
      const north = y - pose.y;
      return { name, height, ahead: east * s + north * c, beside: east * c - north * s };
    })
    .filter(
      ({ ahead, beside }) =>
        ahead > 0.6 * length &&
        ahead < Math.max(AHEAD_LENGTHS * length, AHEAD_M) &&
        Math.abs(beside) < BESIDE_BEAMS * beam,
    );
  if (near.length === 0) return null;
  return near.reduce((a, b) => (side * b.beside > side * a.beside ? b : a));
}

export function noSternTo(setting: Setting): Refusal | null {
  const lie = lieOf(setting);
  if (lie.point.x > -0.3 * setting.length) return refusal('not stern to the quay');
  if (!sternLead(setting, 1) || !sternLead(setting, -1))
    return refusal('no bollards for both quarters');
  return groundFor(setting, 1) ? null : refusal('no ground line');
}

/**
 * Astern in; the windward stern line on and idle ahead against it until the boat's bow is up to the wind; then
 * in neutral the windward ground line picked up, walked forward, hauled and made fast, and only then the leeward stern
 * line.
 */
function sternTo(setting: Setting, base: PlanTemplate): PlanTemplate {
  const up = windwardSide(setting);
  const first = sternLead(setting, up)!;
  const last = sternLead(setting, up > 0 ? -1 : 1)!;
  const ground = groundFor(setting, up)!;
  const bow = `${named(up)} bow cleat`;
  const outward = headingOf(lieOf(setting).heading);
  // No longer than it has to go when it is made fast: what slack there is, the boat gathers speed over.
  const snug = tenth(Math.max(0.6, 0.5 * first.lead.length));
  const lock = lockOf(setting);
  const { length, boat } = setting;
  const thrown = handAshore(setting) || (setting.input.rigging?.crew.length ?? 0) === 0;
  const hand = handAt(setting, first.cleat);
  const by = hand === undefined ? {} : { by: hand };
  const pass = (line: string, to: string, length_m?: number, after_s = 0): OrderDocument => ({
    do: 'pass',
    after_s,
    line,
    to,
    how: thrown ? 'throw' : 'drop',
    ...by,
    ...(length_m === undefined ? {} : { length_m: tenth(length_m) }),
  });
  const tend = (how: 'haul' | 'fast'): OrderDocument => ({
    do: 'tend',
    after_s: 0,
    line: 'ground line',
    how,
    turns: 1.5,
    winch: false,
    ...by,
  });
  const on = (line: string) => ({ is: 'line' as const, line, state: 'fast' as const });
  const point = boat.points.find(({ name }) => name === bow);
  const rode = Math.ceil(1.2 * (ground.ahead - (point?.x ?? 0.4 * length)) - ground.height + 4);
  const lines: PlanDocument['lines'] = [
    lineOf('windward stern line', first.cleat, first.lead.length + 1, null, false),
    { ...lineOf('ground line', bow, 0, null, false), length_m: Math.max(6, rode) },
    lineOf('leeward stern line', last.cleat, last.lead.length + 1, null, false),
  ];
  return {
    parameters: {
      ...base.parameters,
      wheelShare: tunable(0.5, 0.2, -0.2, 1),
      higher: tunable(8, 3, 0, 30),
      longest: tunable(12, 4, 3, 30),
    },
    write: (numbers) => {
      const [wheelShare, higher, longest] = [
        numbers.wheelShare!,
        numbers.higher!,
        numbers.longest!,
      ];
      const plan = base.write(numbers);
      const arrive = plan.steps.slice(0, -1);
      const stopped = plan.steps.at(-1)!;
      const off = 'no line on: ahead, out again, and come back';
      return {
        ...plan,
        steps: [
          ...arrive,
          {
            ...stopped,
            id: 'stern-line',
            title: 'neutral, windward stern line',
            orders: [
              engine('neutral'),
              wheel(0),
              call('windward stern line first'),
              pass('windward stern line', first.lead.name, snug),
            ],
            wayOut: { ...stopped.wayOut, note: off },
          },
          step(
            'hold-up',
            'ahead on it, bow up to the wind',
            on('windward stern line'),
            [
              wheel(up * wheelShare * lock),
              engine('ahead', 0, Math.max(setting.pause, setting.hardOver)),
            ],
            off,
            60,
          ),
          step(
            'ground-line',
            'neutral, ground line forward',
            about(outward + up * higher, tenth(longest + setting.pause)),
            [
              engine('neutral'),
              wheel(0),
              call('propeller stopped'),
              pass('ground line', ground.name, undefined, 1.5),
            ],
            'let it go again and ahead on the stern line',
            60,
          ),
          step(
            'haul',
            'haul the bow up, make fast',
            { is: 'line', line: 'ground line', state: 'on' },
            [tend('haul'), tend('fast')],
            'ahead on the stern line holds the boat meanwhile',
            90,
          ),
          step(
            'leeward',
            'leeward stern line last',
            on('ground line'),
            [pass('leeward stern line', last.lead.name)],
            'the boat lies on two lines meanwhile',
            90,
          ),
        ],
        end: endOnLine('leeward stern line', 'on', 30),
        lines,
      };
    },
  };
}

export const sternToOnLines = (setting: Setting): readonly PlanTemplate[] =>
  [swungIn(setting), backedIn(setting)].map((base) => sternTo(setting, base));
