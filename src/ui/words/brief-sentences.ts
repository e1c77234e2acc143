import { sizeOf, type Brief, type Leg, type OnHer } from '@/core/brief';
import type { StepMark } from '@/core/plan';
import {
  CURRENT_PUSHES_MPS,
  DRIFT_WORTH_SAYING_MPS,
  FROM_AHEAD_DEG,
  HOLDS_ENOUGH,
  ON_THE_BEAM_DEG,
} from '@/core/policy';
import type { Share } from '@/core/reliability';
import type { WayOutAt } from '@/core/search';
import { DEGREES_PER_RADIAN } from '@/core/units';
import type { PlanDocument } from '@/document';
import { OPPOSITE, SAY_SIDE, turnStatement } from './brief';
import { rangeText } from './spreads';
import { ordersText } from './steps';
import { boatSpeed, clock, distance, force, heading, windSpeed, type Units } from './units';
import { ESCAPE_WORDS, stopText } from './way-out';

/** A sentence of a brief, and the moment of the run it is about. */
export interface BriefSentence {
  readonly key: 'push' | 'danger' | 'way' | 'stop' | 'out';
  readonly text: string;
  readonly time: number | null;
  readonly hurts: boolean;
}

/** What a brief is told from. */
export interface Briefed {
  readonly brief: Brief;
  readonly plan: PlanDocument;
  readonly run: { readonly duration: number; readonly steps: readonly StepMark[] };
  /** Is the boat to lie in a berth, or lying in one as it begins? */
  readonly berthed: boolean;
  /** The side the boat is to lie to; null where it is to lie with an end to it, or nowhere. */
  readonly side: 'port' | 'starboard' | null;
  /** The last way out; null where one is open to the end, undefined while that is not known. */
  readonly lastWay: WayOutAt | null | undefined;
  /** How many tries hold; null while that is not known. */
  readonly share: Share | null;
}

/** Where something that goes this way over the boat comes from: "from ahead", "on the port bow". */
export function comesFrom({ ahead, starboard }: OnHer): string {
  const off = Math.abs(Math.atan2(-starboard, -ahead)) * DEGREES_PER_RADIAN;
  const side = starboard > 0 ? 'port' : 'starboard';
  if (off <= FROM_AHEAD_DEG) return 'from ahead';
  if (off >= 180 - FROM_AHEAD_DEG) return 'from astern';
  if (off < 90 - ON_THE_BEAM_DEG) return `on the ${side} bow`;
  return off <= 90 + ON_THE_BEAM_DEG ? `on the ${side} beam` : `on the ${side} quarter`;
}

const pushedWay = ({ ahead, starboard }: OnHer) =>
  Math.abs(starboard) >= Math.abs(ahead)
    ? `to ${starboard < 0 ? 'port' : 'starboard'}`
    : ahead < 0
      ? 'back'
      : 'ahead';

function push({ brief, berthed }: Briefed, units: Units): BriefSentence | null {
  const there = brief.lying.find(({ where }) => where === 'berth') ?? brief.lying[0];
  if (!there) return null;
  const { where, push: pushed, letGo } = there;
  const at =
    where === 'start' ? 'At the start' : berthed ? 'In the berth' : 'Where the boat is to lie';
  const it = where === 'start' || berthed ? 'the boat' : 'it';
  const moves = [
    sizeOf(pushed.wind) > 0
      ? `${windSpeed(sizeOf(pushed.wind), units)} of wind ${comesFrom(pushed.wind)}`
      : '',
    sizeOf(pushed.current) > CURRENT_PUSHES_MPS
      ? `${boatSpeed(sizeOf(pushed.current), units)} of current ${comesFrom(pushed.current)}`
      : '',
  ].filter(Boolean);
  if (moves.length === 0 || sizeOf(pushed.force) < 1)
    return { key: 'push', text: `${at} nothing pushes ${it}.`, time: there.at, hurts: false };
  const range = brief.ranges?.[`${where}-push`];
  const spread = range ? rangeText(range, (newtons) => force(newtons, units)) : '';
  const drifts =
    letGo.speed < DRIFT_WORTH_SAYING_MPS
      ? 'left alone it stays about there'
      : `left alone it drifts to ${heading(letGo.towards)} at ${boatSpeed(letGo.speed, units)}${letGo.first === 'neither' ? '' : `, ${letGo.first} first`}`;
  return {
    key: 'push',
    text: `${at} ${moves.join(' and ')} ${moves.length > 1 ? 'push' : 'pushes'} ${it} ${pushedWay(pushed.force)} with ${force(sizeOf(pushed.force), units)}${spread ? ` (${spread} in 90 of 100)` : ''}; ${drifts}.`,
    time: there.at,
    hurts: false,
  };
}

function danger({ brief: { legs } }: Briefed, units: Units): BriefSentence | null {
  if (legs.length === 0) return null;
  const sides = legs
    .filter(({ lee }, i) => lee !== null && lee !== legs[i - 1]?.lee)
    .map(({ lee, step }) => ({ lee: lee!, step }));
  // What hurts before what does not, and of these the soonest.
  const rank = ({ onto }: Leg) => (onto!.grade === 'soft' ? 1000 : 0) + onto!.seconds;
  const [worst] = legs.filter(({ onto }) => onto).toSorted((a, b) => rank(a) - rank(b));
  const where =
    sides.length === 0
      ? 'Nothing drives the boat off its way'
      : sides.length === 1
        ? `Danger lies ${SAY_SIDE[sides[0]!.lee]}, safe water ${SAY_SIDE[OPPOSITE[sides[0]!.lee]]}`
        : `Danger lies ${sides.map(({ lee, step }, i) => (i === 0 ? SAY_SIDE[lee] : `from step ${step + 1} on ${SAY_SIDE[lee]}`)).join(', ')}`;
  const onto = worst?.onto;
  return {
    key: 'danger',
    text: onto
      ? `${where}: stopped half-way after step ${worst!.step + 1} and left alone, the boat is ${onto.on === 'bridge' ? '' : 'on '}${stopText(onto)} in ${Math.round(onto.seconds)} s at ${boatSpeed(onto.speed, units)}.`
      : `${where}; left alone on the way the boat meets nothing within a minute.`,
    time: worst?.from ?? null,
    hurts: onto !== undefined && onto !== null && onto.grade !== 'soft',
  };
}

function way({ brief, plan, run, side, berthed }: Briefed, units: Units): BriefSentence | null {
  const { steps } = plan;
  if (steps.length === 0) return null;
  const named = (i: number) => `“${steps[i]!.title || ordersText(steps[i]!.orders, units)}”`;
  const speeds = brief.speeds.filter(({ speed, lengths }) => speed !== null && lengths !== 2);
  const angle = brief.speeds.find(({ lengths }) => lengths === 2)?.angle ?? null;
  const off = angle === null ? 0 : Math.round(Math.abs(angle) * DEGREES_PER_RADIAN);
  const lengths = (n: number) => (n === 1 ? 'one length' : `${n === 3 ? 'three' : n} lengths`);
  const come = [
    side ? `${side} side to` : '',
    off >= 3 && berthed ? `at ${off}° to the berth` : '',
    speeds
      .map(({ speed, lengths: n }) => `at ${boatSpeed(speed!, units)} ${lengths(n)} off`)
      .join(' and '),
  ].filter(Boolean);
  const count = steps.length === 1 ? 'One step' : `${steps.length} steps`;
  const titles =
    steps.length === 1
      ? `: ${named(0)}`
      : `: first ${named(0)}${steps.length > 2 ? `, then ${named(1)}` : ''}, last ${named(steps.length - 1)}`;
  const begins = come.length > 0 && speeds.length > 0 ? `Come in ${come.join(', ')}. ` : '';
  return {
    key: 'way',
    text: `${begins}${count} in ${clock(run.duration)}${titles}.`,
    time: 0,
    hurts: false,
  };
}

function stop({ brief: { able, ranges } }: Briefed, units: Units): BriefSentence | null {
  if (!able) return null;
  const { stop: stops } = able;
  if (stops) {
    const range = ranges?.stop;
    const within = range ? rangeText(range, (m) => distance(m, units), 'not in two minutes') : '';
    const turned = Math.round(Math.abs(stops.turned) * DEGREES_PER_RADIAN);
    const aim =
      turned >= 2 ? `; aim off ${turned}° to ${stops.turned < 0 ? 'starboard' : 'port'} first` : '';
    return {
      key: 'stop',
      text: `From ${boatSpeed(stops.from, units)} firm astern stops the boat in ${distance(stops.distance, units)}${within ? ` (${within} in 90 of 100)` : ''}${aim}.`,
      time: null,
      hurts: false,
    };
  }
  const turns = turnStatement(able, ranges, units);
  return turns && { key: 'stop', text: `${turns.text}.`, time: turns.time, hurts: turns.hurts };
}

function out({ lastWay, share, run }: Briefed): BriefSentence | null {
  const hundred = (part: number) => Math.round(100 * part);
  const holds = share
    ? `It holds in ${hundred(share.share)} of 100 tries (${hundred(share.least)} to ${hundred(share.most)})`
    : '';
  const stepAt = (time: number) => run.steps.findLast((mark) => mark.time <= time)?.step ?? 0;
  const open =
    lastWay === undefined
      ? ''
      : lastWay === null
        ? 'a way out is open at every moment'
        : `the last way out is at ${clock(lastWay.time)}, in step ${stepAt(lastWay.time) + 1}${lastWay.by ? `: ${ESCAPE_WORDS[lastWay.by]}` : ''}; after it you are committed`;
  if (!holds && !open) return null;
  const text = [holds, open].filter(Boolean).join('; ');
  return {
    key: 'out',
    text: `${text[0]!.toUpperCase()}${text.slice(1)}.`,
    time: lastWay?.time ?? null,
    hurts: share !== null && share.most < HOLDS_ENOUGH,
  };
}

/**
 * A manoeuvre in five sentences, as it is told on the pontoon: what pushes, where the danger is, how it goes, how the boat is stopped,
 * and how long there is a way out. One that nothing is known of yet is left out.
 */
export function briefSentences(briefed: Briefed, units: Units): readonly BriefSentence[] {
  return [
    push(briefed, units),
    danger(briefed, units),
    way(briefed, units),
    stop(briefed, units),
    out(briefed),
  ].filter((sentence) => sentence !== null);
}
