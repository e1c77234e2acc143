import { z } from 'zod';
import { radians } from '@/document/fields';
import { cos, wrapHalfTurn } from '@/core/math';
import { angledIn, glidedIn, turnedIn } from './arrive';
import { backedIn, swungIn } from './stern-first';
import {
  alongTheBerth,
  heldOnASpring,
  noHolding,
  noSternLine,
  noWarping,
  sternByHand,
  warped,
} from './by-hand';
import { crewed, nobodySteps } from './crew-steps';
import { type PlanTemplate } from '../template';
import { asternOut, bowFirst, droppedOff, glidedOff, sternFirst } from './leave';
import { noLastLine, slippedAlone } from './alone';
import { noFirstSpring, onToASpring } from './first-spring';
import { noSpring } from './line-leads';
import { sprungByTheBow, sprungByTheStern } from './springs';
import { lieOf, type Setting } from '../setting';
import { inBetweenPiles, noPiles } from './between-piles';
import { noAnchoring, sternToOnAnchor } from './anchored';
import { noBuoy, pickedUp } from './buoy';
import { throughTheLock } from './passage/through';
import { noPassageAlone, throughAlone } from './passage/alone';
import { noPassage } from './passage/unfit';
import { noInsideOfRaft, noRaft, outOfRaft, raftedUp } from './rafts';
import { noSternTo, sternToOnLines } from './stern-to';
import { pushing, slidIn, slidOff, steppedOff, walking } from './sideways';
import { backAndFill, opposed, stoppedStraight, waitedOut } from './turn';
import { refusal, type GoalKind, type Refusal } from '../refusals';

export interface Technique {
  /** Why it is not for this boat, goal or day; null when it may be tried. */
  notApplicable(setting: Setting): Refusal | null;
  templates(setting: Setting): readonly PlanTemplate[];
}

/** A turn beyond this is one into a slip, or round. */
const ABREAST = radians(60);
const QUARTER = radians(35);
const LEAST_CURRENT_MPS = 0.25;

const driven = (s: Setting) => (s.boat.drives.length > 0 ? null : refusal('no engine'));
const isFor =
  (goal: GoalKind) =>
  ({ input }: Setting) =>
    input.goal.is === goal ? null : refusal('other goal', { for: goal, is: input.goal.is });
const lying = isFor('lie');
const leaving = isFor('clear');
const passing = isFor('through');
const lies = (s: Setting) => lying(s) ?? driven(s);
const leaves = (s: Setting) => leaving(s) ?? driven(s);
const passes = (s: Setting) => passing(s) ?? driven(s);
const pushes = ({ boat }: Setting) =>
  boat.joystick || boat.thrusters.length > 0 ? null : refusal('neither joystick nor thruster');
const walks = ({ pair, boat }: Setting) =>
  !pair
    ? refusal('no two shafts apart')
    : boat.rudders.some(({ inRaceOf }) => inRaceOf !== null)
      ? null
      : refusal('no rudder in a race');
/** What the boat's heading has to change from start to berth. */
const turn = ({ input, lie }: Setting) =>
  lie ? Math.abs(wrapHalfTurn(lie.heading - input.start.heading)) : 0;
const atBerth = (s: Setting) => (s.input.berth.size > 0 ? null : refusal('names no berth'));

/** Further off than this the boat does not lie at its berth, m. Judgement: a line and a step reach no further. */
const AT_IT_M = 2.5;
const fromBerth = (s: Setting) =>
  atBerth(s) ?? (s.berthOff < AT_IT_M ? null : refusal('not at its berth'));

/** Coming alongside is for one who does not lie there, with the boat's side to what it comes to. */
function comes(s: Setting): Refusal | null {
  if (alongTheBerth(s) !== null) return refusal('along the berth already');
  const { point } = lieOf(s);
  return Math.abs(point.x) > 0.35 * s.length && Math.abs(point.y) < 0.1 * s.beam
    ? refusal('an end to the berth')
    : null;
}

/** Is the boat to lie with its stern to it? */
function sternTo(s: Setting): boolean {
  const { point } = lieOf(s);
  return point.x < -0.35 * s.length && Math.abs(point.y) < 0.1 * s.beam;
}

const comesAlong = (s: Setting) =>
  lies(s) ??
  atBerth(s) ??
  comes(s) ??
  (turn(s) < 1.2 * ABREAST ? null : refusal('turn right round'));

const free = (s: Setting) => (s.input.berth.size === 0 ? null : refusal('for open water'));

/** Crew across where the boat comes to lie: its side to it, or its stern. */
const crossing = (to: 'ashore' | 'aboard'): Technique => ({
  notApplicable: (s) =>
    lies(s) ??
    atBerth(s) ??
    (sternTo(s) ? unfitSlip(s, false) : comesAlong(s)) ??
    nobodySteps(s, to),
  templates: (s) =>
    (sternTo(s) ? [swungIn(s), backedIn(s)] : [angledIn(s, false), turnedIn(s)]).map((base) =>
      crewed(s, base, to),
    ),
});

const both = (template: (side: 1 | -1) => PlanTemplate): readonly PlanTemplate[] => [
  template(1),
  template(-1),
];

/** Into a slip the boat's bow or its stern goes first, by which way it is to lie as seen from where it begins. */
function unfitSlip(s: Setting, bowFirst: boolean): Refusal | null {
  if (turn(s) < QUARTER) return refusal('berth along the way');
  if (turn(s) > Math.PI - QUARTER) return refusal('turn right round');
  const inward = s.lie !== null && Math.abs(s.lie.angle) < Math.PI / 2;
  if (inward === bowFirst) return null;
  return refusal('lies the other way round', { bow: bowFirst ? 'out' : 'in' });
}

/** Why the boat cannot be held on the current along a heading; null where it comes from ahead. */
function noCurrentAhead({ input }: Setting, heading: number): Refusal | null {
  const { currentSpeed, currentSet } = input.weather;
  if (currentSpeed < LEAST_CURRENT_MPS) return refusal('no current');
  return cos(currentSet - heading) < -0.7 ? null : refusal('current not from ahead');
}

/** Every technique, in the order they are offered: whom and what it is for, and its templates. */
export const TECHNIQUES = {
  'alongside-wheel-and-gear': {
    notApplicable: comesAlong,
    templates: (s) => [angledIn(s, false), turnedIn(s)],
  },
  'alongside-gears-alone': {
    notApplicable: (s) =>
      lies(s) ??
      atBerth(s) ??
      comes(s) ??
      (s.pair
        ? turn(s) < ABREAST
          ? null
          : refusal('turn too much for one engine')
        : refusal('no two shafts apart')),
    templates: (s) => [angledIn(s, true)],
  },
  'alongside-sideways': {
    notApplicable: (s) => lies(s) ?? atBerth(s) ?? comes(s) ?? pushes(s),
    templates: (s) => [slidIn(s, pushing(s))],
  },
  'alongside-walked-in': {
    notApplicable: (s) => lies(s) ?? atBerth(s) ?? comes(s) ?? walks(s),
    templates: (s) => [slidIn(s, walking(s))],
  },
  'ferry-glide-in': {
    notApplicable: (s) => lies(s) ?? noCurrentAhead(s, lieOf(s).heading),
    templates: (s) => [glidedIn(s)],
  },
  'slip-bow-in': {
    notApplicable: (s) => lies(s) ?? atBerth(s) ?? unfitSlip(s, true),
    // Several engines bring the boat in faster than it may like: on one as well.
    templates: (s) =>
      s.boat.drives.length > 1 ? [turnedIn(s), turnedIn(s, s.boat.drives[0]!.name)] : [turnedIn(s)],
  },
  'slip-stern-in': {
    notApplicable: (s) => lies(s) ?? atBerth(s) ?? unfitSlip(s, false),
    templates: (s) => [swungIn(s), backedIn(s)],
  },
  'stop-straight': {
    notApplicable: (s) =>
      lies(s) ?? free(s) ?? (turn(s) < QUARTER ? null : refusal('turn to make')),
    templates: (s) => [stoppedStraight(s)],
  },
  'turn-on-the-spot': {
    notApplicable: (s) =>
      lies(s) ?? free(s) ?? (turn(s) > ABREAST ? null : refusal('hardly a turn')),
    templates: (s) =>
      s.pair
        ? [...both((side) => opposed(s, side)), ...both((side) => backAndFill(s, side))]
        : both((side) => backAndFill(s, side)),
  },
  'wait-out-a-gust': {
    notApplicable: (s) =>
      lies(s) ??
      free(s) ??
      (turn(s) < ABREAST && s.input.start.speed < 0.3 ? null : refusal('not lying there yet')),
    templates: (s) => [waitedOut(s)],
  },
  'drop-off-and-away': {
    notApplicable: (s) => leaves(s) ?? fromBerth(s),
    templates: (s) => [droppedOff(s)],
  },
  'ferry-glide-out': {
    notApplicable: (s) => leaves(s) ?? fromBerth(s) ?? noCurrentAhead(s, s.input.start.heading),
    templates: (s) => [glidedOff(s)],
  },
  'stern-out-and-astern': {
    notApplicable: (s) => leaves(s) ?? fromBerth(s),
    templates: (s) => [sternFirst(s)],
  },
  'bow-off-by-thruster': {
    notApplicable: (s) =>
      leaves(s) ?? fromBerth(s) ?? (s.boat.thrusters.length > 0 ? null : refusal('no thruster')),
    templates: (s) => [bowFirst(s)],
  },
  'sideways-off': {
    notApplicable: (s) => leaves(s) ?? fromBerth(s) ?? pushes(s),
    templates: (s) => [slidOff(s, pushing(s))],
  },
  'walk-off': {
    notApplicable: (s) => leaves(s) ?? fromBerth(s),
    templates: (s) =>
      walks(s) === null ? [slidOff(s, walking(s)), steppedOff(s)] : [steppedOff(s)],
  },
  'astern-out': {
    notApplicable: (s) => leaves(s) ?? fromBerth(s),
    templates: (s) => [asternOut(s)],
  },
  'spring-off-by-the-bow': {
    notApplicable: (s) => leaves(s) ?? fromBerth(s) ?? noSpring(s, 'bow'),
    templates: (s) => [sprungByTheBow(s)],
  },
  'spring-off-by-the-stern': {
    notApplicable: (s) => leaves(s) ?? fromBerth(s) ?? noSpring(s, 'stern'),
    templates: (s) => [sprungByTheStern(s)],
  },
  'alongside-on-a-spring': {
    notApplicable: (s) =>
      lies(s) ??
      atBerth(s) ??
      comes(s) ??
      (turn(s) < ABREAST ? null : refusal('turn into it')) ??
      noFirstSpring(s),
    templates: (s) => [onToASpring(s, angledIn(s, false))],
  },
  'slip-on-a-spring': {
    notApplicable: (s) => lies(s) ?? atBerth(s) ?? unfitSlip(s, true) ?? noFirstSpring(s),
    templates: (s) => [onToASpring(s, turnedIn(s))],
  },
  'stern-to-on-ground-lines': {
    notApplicable: (s) => lies(s) ?? atBerth(s) ?? noSternTo(s),
    templates: sternToOnLines,
  },
  'bow-in-between-piles': {
    notApplicable: (s) => lies(s) ?? atBerth(s) ?? unfitSlip(s, true) ?? noPiles(s),
    templates: inBetweenPiles,
  },
  'stern-in-by-hand': {
    notApplicable: (s) => leaves(s) ?? fromBerth(s) ?? noSternLine(s),
    templates: (s) => [sternByHand(s, 'ahead'), sternByHand(s, 'astern')],
  },
  'hold-on-a-spring': {
    notApplicable: (s) => lies(s) ?? atBerth(s) ?? noHolding(s),
    templates: (s) => [heldOnASpring(s)],
  },
  'warp-along': {
    notApplicable: (s) => lying(s) ?? atBerth(s) ?? noWarping(s),
    templates: (s) => [warped(s)],
  },
  'alone-last-line-on-a-slip': {
    notApplicable: (s) => leaves(s) ?? fromBerth(s) ?? noLastLine(s),
    templates: (s) => [slippedAlone(s)],
  },
  'raft-up': {
    notApplicable: (s) =>
      lies(s) ?? noRaft(s) ?? comes(s) ?? (turn(s) < ABREAST ? null : refusal('turn into it')),
    templates: (s) => [raftedUp(s, angledIn(s, false))],
  },
  'out-of-a-raft': {
    notApplicable: (s) => leaves(s) ?? noInsideOfRaft(s),
    templates: (s) => [outOfRaft(s, 'ahead'), outOfRaft(s, 'astern')],
  },
  'stern-to-on-anchor': {
    notApplicable: (s) => lies(s) ?? atBerth(s) ?? noAnchoring(s),
    templates: sternToOnAnchor,
  },
  'pick-up-a-buoy': {
    notApplicable: (s) => lies(s) ?? noBuoy(s),
    templates: (s) => [pickedUp(s)],
  },
  'through-the-lock': {
    notApplicable: (s) => passes(s) ?? noPassage(s),
    templates: throughTheLock,
  },
  'alone-through-the-lock': {
    notApplicable: (s) => passes(s) ?? noPassageAlone(s),
    templates: throughAlone,
  },
  'crew-ashore': crossing('ashore'),
  'crew-aboard': crossing('aboard'),
} as const satisfies Readonly<Record<string, Technique>>;

/** Ids of the techniques, as they are kept and asked for. */
export type TechniqueId = keyof typeof TECHNIQUES;
export const TECHNIQUE_IDS = Object.keys(TECHNIQUES) as readonly TechniqueId[];
export const techniqueIdSchema = z.enum(TECHNIQUE_IDS as [TechniqueId, ...TechniqueId[]], {
  error: 'choose a technique from the list',
});
