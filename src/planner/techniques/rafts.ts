import { cos, sin } from '@/core/math';
import { radians } from '@/document/fields';
import { nameAboard, type Other } from '@/document/others';
import type { LineDocument } from '@/document/rigging';
import type { StepDocument, OrderDocument } from '@/document/plan';
import { fast, fastLine, haul } from './by-hand';
import {
  step,
  call,
  tunable,
  engine,
  planOf,
  steer,
  tenth,
  twentieth,
  wheel,
  template,
  type PlanTemplate,
} from '../template';
import {
  ashore,
  berthed,
  handAt,
  leadsFrom,
  letGo,
  lineOf,
  offOf,
  type Lead,
  type LyingPose,
} from './line-leads';
import { headingOf, lieOf, lockOf, type Setting } from '../setting';
import { refusal, type Refusal } from '../refusals';

/** Boats lie so near to one another that a cleat of the other's is reached by hand, m. */
const ABREAST_M = 4;
/** As far as such a line is thrown, m. */
const REACH_M = 6;
/** Slack that is left in a line between the two, m. */
const SNUG_M = 0.15;

/** The boat among the others that it lies against. */
export function raftedTo({ others, input }: Setting): Other | null {
  return others.find(({ id }) => input.berth.has(id)) ?? null;
}

/** The cleat of the other boat nearest to one of the boat's. */
function abreast(setting: Setting, other: Other, pose: LyingPose, cleat: string): Lead | null {
  const near = leadsFrom(setting, pose, cleat).filter(
    ({ name, length }) =>
      length < ABREAST_M &&
      name.startsWith(nameAboard(other, '')) &&
      /cleat|fairlead|bitt/.test(name),
  );
  return near.length === 0 ? null : near.reduce((a, b) => (b.length < a.length ? b : a));
}

interface RaftLine {
  readonly line: LineDocument;
  readonly to: string;
  /** As it lies between the two side by side, m. */
  readonly snug: number;
}

/** Bow and stern line from the boat's side to the other boat's cleats abreast of them. */
function raftLines(
  setting: Setting,
  other: Other,
  pose: LyingPose,
  side: string,
): RaftLine[] | null {
  const lines = (['bow', 'quarter'] as const).map((at) => {
    const cleat = `${side} ${at} cleat`;
    const lead = abreast(setting, other, pose, cleat);
    const name = at === 'bow' ? 'bow line' : 'stern line';
    const line = lineOf(name, cleat, REACH_M, null, false);
    return lead && { line, to: lead.name, snug: lead.length + SNUG_M };
  });
  return lines.every((line) => line !== null) ? (lines as RaftLine[]) : null;
}

export function noRaft(setting: Setting): Refusal | null {
  const other = raftedTo(setting);
  if (!other) return refusal('against no other boat');
  if (!setting.lie) return null;
  return raftLines(setting, other, berthed(setting), setting.lie.side)
    ? null
    : refusal('no cleat abreast', { name: other.name });
}

/** The same way in; then bow and stern line handed over, hauled in and made fast, the engine stopped. */
export function raftedUp(setting: Setting, base: PlanTemplate): PlanTemplate {
  const lie = lieOf(setting);
  const other = raftedTo(setting)!;
  const lines = raftLines(setting, other, berthed(setting), lie.side)!;
  const handed = ({ line, to, snug }: RaftLine): OrderDocument[] => {
    const hand = handAt(setting, line.from);
    const by = hand === undefined ? {} : { by: hand };
    return [
      { do: 'pass', after_s: 0, line: line.name, to, how: 'throw', ...by },
      { ...haul(line.name, snug), ...by },
      { ...fast(line.name), ...by },
    ];
  };
  return {
    parameters: base.parameters,
    write: (numbers) => {
      const plan = base.write(numbers);
      const last = plan.steps.length - 1;
      return {
        ...plan,
        steps: plan.steps.map((one, i) =>
          i === last
            ? {
                ...one,
                title: 'neutral, lines over to it',
                orders: [
                  engine('neutral'),
                  wheel(0),
                  call('hands inboard; lines over, nobody steps across yet'),
                  ...lines.flatMap(handed),
                ],
              }
            : one,
        ),
        end: {
          cue: {
            is: 'all',
            of: lines.map(({ line }) => ({ is: 'line', line: line.name, state: 'fast' })),
          },
          within_s: 90,
        },
        lines: lines.map(({ line }) => line),
      };
    },
  };
}

/** What lies in a raft as it begins: the boat's lines to the other boat, and the other's own to the shore by the ends it leaves. */
interface Raft {
  readonly other: Other;
  readonly ties: readonly LineDocument[];
  readonly theirs: { readonly bow: LineDocument; readonly stern: LineDocument };
  /** Shore ends of the other's lines. */
  readonly ends: { readonly bow: string; readonly stern: string };
}

/** The other boat's line to a bollard ahead of its bow or astern of its stern, on the berth's side. */
function theirLine(setting: Setting, other: Other, end: 'bow' | 'stern') {
  const { start, boat } = other;
  const way = end === 'bow' ? 1 : -1;
  // Whichever way the boat lies, what points with it is its bow.
  const along = sameWay(setting, other) ? way : -way;
  const s = sin(setting.input.start.heading);
  const c = cos(setting.input.start.heading);
  const half = boat.hull.length_m / 2;
  const from = { x: start.x_m + along * half * s, y: start.y_m + along * half * c };
  const leads = ashore(setting)
    .map(({ name, x, y }) => {
      const ahead = ((x - from.x) * s + (y - from.y) * c) * along;
      const across = (x - from.x) * c - (y - from.y) * s;
      return { name, ahead, length: Math.sqrt(ahead * ahead + across * across) };
    })
    .filter(({ ahead, length }) => ahead > 0 && length < 1.5 * boat.hull.length_m);
  if (leads.length === 0) return null;
  const to = leads.reduce((a, b) => (b.length < a.length ? b : a));
  const line: LineDocument = {
    ...lineOf(`${other.name}'s ${end} line`, end, to.length, to.name, false),
    of: other.name,
    length_m: Math.ceil(2 * to.length),
  };
  return { line, to: to.name };
}

function raftOf(setting: Setting): Raft | null {
  const other = raftedTo(setting);
  if (!other || setting.lie) return null;
  const side = sideFacing(setting, other);
  const ties = raftLines(setting, other, setting.input.start, side);
  const bow = theirLine(setting, other, 'bow');
  const stern = theirLine(setting, other, 'stern');
  if (!ties || !bow || !stern) return null;
  return {
    other,
    ties: ties.map(({ line, to }) => ({ ...line, fast: { to } })),
    theirs: { bow: bow.line, stern: stern.line },
    ends: { bow: bow.to, stern: stern.to },
  };
}

/** Does the other boat lie with its bow the same way? */
function sameWay({ input }: Setting, { start }: Other): boolean {
  return cos(radians(start.heading_deg) - input.start.heading) > 0;
}

/** The boat's side that the other boat lies on. */
function sideFacing({ input }: Setting, { start }: Other): 'port' | 'starboard' {
  const { x, y, heading } = input.start;
  const across = (start.x_m - x) * cos(heading) - (start.y_m - y) * sin(heading);
  return across > 0 ? 'starboard' : 'port';
}

export const noInsideOfRaft = (setting: Setting): Refusal | null =>
  raftOf(setting)
    ? null
    : raftedTo(setting)
      ? refusal('no bollards for the boat outside')
      : refusal('no boat outside');

const SLOWLY = 0.25;

/**
 * Out from inside a raft, ahead or astern: the outer boat keeps the line at the end it does not leave by; its other
 * one, and all between the two, are let go; it goes out steered along the berth, and the outer boat is hauled in.
 */
export function outOfRaft(setting: Setting, way: 'ahead' | 'astern'): PlanTemplate {
  const { other, ties, theirs, ends } = raftOf(setting)!;
  const along = headingOf(setting.input.start.heading);
  const own = (['bow', 'quarter'] as const).flatMap((at) => {
    const side = sideFacing(setting, other) === 'port' ? 'starboard' : 'port';
    const wish = (at === 'bow' ? 0.3 : -0.3) * setting.length;
    return fastLine(setting, `shore ${at === 'bow' ? 'bow' : 'stern'} line`, at, wish, side) ?? [];
  });
  const goes = way === 'ahead' ? theirs.bow : theirs.stern;
  const stays = way === 'ahead' ? theirs.stern : theirs.bow;
  const ahead = way === 'ahead';
  const again = ahead ? ends.bow : ends.stern;
  // Lying the other way the boat has its stern where it goes out.
  const passed = ahead === sameWay(setting, other) ? 'bow' : 'stern';
  // As long as it leads once the other lies where the boat lay.
  const snug = (line: LineDocument) => Math.max(2, line.length_m / 2 - setting.beam);
  const loose = [goes, ...own, ...ties];
  const out = sideFacing(setting, other) === 'starboard' ? 1 : -1;
  const going = (throttle: number): StepDocument =>
    step(
      'out',
      way === 'ahead' ? 'ahead, slowly, along the berth' : 'astern, slowly, along the berth',
      offOf(loose),
      [
        ...(way === 'ahead' ? [steer(along)] : [wheel(0)]),
        engine(way, twentieth(throttle), 0.5),
        call('fenders at both sides; watch the quarter'),
      ],
      'neutral; the boat lies between them',
      60,
    );
  return template({
    parameters: {
      throttle: tunable(SLOWLY, 0.1, 0, 0.6),
      seconds: tunable(14, 4, 2, 60),
      away: tunable(0.4, 0.15, 0, 1),
    },
    write: ({ throttle, seconds, away }) => ({
      ...planOf(
        [
          step(
            'single-up',
            `let go all but ${stays.name}`,
            { is: 'start' },
            [
              call(`${other.name} stays on its ${way === 'ahead' ? 'stern' : 'bow'} line`),
              ...loose.map(({ name }, i) => letGo(name, i)),
            ],
            'make them fast again',
            10,
          ),
          going(throttle),
          step(
            'haul-in',
            `${other.name} hauls in`,
            // The boat's last end past the other's first.
            { is: 'abeam', point: ahead ? 'stern' : 'bow', mark: nameAboard(other, passed) },
            // Clear of the boat, away from the berth.
            [
              ahead ? steer(along + out * 45 * away) : wheel(out * lockOf(setting) * away),
              haul(stays.name, snug(stays)),
            ],
            'neutral, stop',
            60,
          ),
          step(
            'clear',
            'clear; the other line ashore again',
            { is: 'after', time_s: tenth(seconds) },
            [
              engine('neutral'),
              { do: 'pass', after_s: 0, line: goes.name, to: again, how: 'throw' },
              haul(goes.name, snug(goes)),
            ],
            'neutral, look round',
            60,
          ),
        ],
        { is: 'after', time_s: 6 },
      ),
      lines: [...ties, ...own, goes, stays],
    }),
  });
}
