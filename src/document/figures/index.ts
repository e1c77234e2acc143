import { z } from 'zod';
import { radians } from '../fields';
import { cos, wrapHalfTurn } from '@/core/math';
import { MANOEUVRE_SCHEMA, MANOEUVRE_VERSION, type ManoeuvreFile } from '../manoeuvre';
import type { ScoreDocument } from '../score';
import { failure, success, type Result } from '../result';
import { angledIn, backedIn, glidedIn, turnedIn } from './arrive';
import { beat, scoreOf, type Draft } from './draft';
import { asternOut, bowFirst, droppedOff, sternFirst } from './leave';
import { noLastLine, slippedAlone } from './alone';
import { noFirstSpring, onToASpring } from './first-spring';
import { noSpring } from './line-leads';
import { sprungByTheBow, sprungByTheStern } from './springs';
import { draftOfOwn, type OwnFigure } from './own';
import { proposeFrom, type Proposal } from './propose';
import { settingOf, type Setting } from './setting';
import { slidIn, slidOff } from './sideways';
import { backAndFill, opposed, stoppedStraight, waitedOut } from './turn';

export { groundOf, lyingIn, outOf, SIDES, stuckIn, type Side } from './berths';
export { keepAsFigure, ownFigureSchema, unfitOwn, type OwnFigure } from './own';
export type { Proposal } from './propose';

/** Ids of the techniques, as they are kept and asked for. */
export const FIGURE_IDS = [
  'alongside-wheel-and-gear',
  'alongside-gears-alone',
  'alongside-sideways',
  'ferry-glide-in',
  'slip-bow-in',
  'slip-stern-in',
  'stop-straight',
  'turn-on-the-spot',
  'wait-out-a-gust',
  'drop-off-and-away',
  'stern-out-and-astern',
  'bow-off-by-thruster',
  'sideways-off',
  'astern-out',
  'spring-off-by-the-bow',
  'spring-off-by-the-stern',
  'alongside-on-a-spring',
  'slip-on-a-spring',
  'alone-last-line-on-a-slip',
] as const;
export type FigureId = (typeof FIGURE_IDS)[number];
export const figureIdSchema = z.enum(FIGURE_IDS, { error: 'choose a figure from the list' });

/** A manoeuvre in which nothing is done. */
const blankManoeuvre: Omit<ManoeuvreFile, keyof FigureSubject | 'conditions'> = {
  $schema: MANOEUVRE_SCHEMA,
  version: MANOEUVRE_VERSION,
  id: 'blank',
  title: 'blank',
  note: '',
  score: scoreOf([beat('begin', '', { is: 'start' }, [], '')], { is: 'after', seconds: 1 }),
  dismissed: [],
  ready: [],
  limit_s: 60,
};

interface Figure {
  /** Why it is not for this boat, goal or day; null when it may be tried. */
  unfit(setting: Setting): string | null;
  drafts(setting: Setting): readonly Draft[];
}

const LIES = 'it is for coming to lie somewhere; this manoeuvre goes off';
const LEAVES = 'it is for going off a berth; this manoeuvre comes to lie somewhere';
const DRIVE = 'she has no engine';
/** A turn beyond this is one into a slip, or round. */
const ABREAST = radians(60);
const QUARTER = radians(35);
const LEAST_STREAM_MPS = 0.25;

const lies = (s: Setting) => (s.lie ? (s.boat.drives.length > 0 ? null : DRIVE) : LIES);
const leaves = (s: Setting) => (s.lie ? LEAVES : s.boat.drives.length > 0 ? null : DRIVE);
const pushes = ({ boat }: Setting) =>
  boat.joystick || boat.thrusters.length > 0 ? null : 'she has neither joystick nor thruster';
/** What her heading has to change from start to berth. */
const turn = ({ input, lie }: Setting) =>
  lie ? Math.abs(wrapHalfTurn(lie.heading - input.start.heading)) : 0;
const atBerth = (s: Setting) =>
  s.input.berth.size > 0 ? null : 'the manoeuvre names nothing she lies against';

const free = (s: Setting) =>
  s.input.berth.size === 0 ? null : 'it is for open water; this manoeuvre ends at a berth';

const both = (draft: (side: 1 | -1) => Draft): readonly Draft[] => [draft(1), draft(-1)];

/** Into a slip her bow or her stern goes first, by which way she is to lie as seen from where she begins. */
function unfitSlip(s: Setting, bowFirst: boolean): string | null {
  if (turn(s) < QUARTER) return 'the berth lies along her way, not across it';
  const inward = s.lie !== null && Math.abs(s.lie.angle) < Math.PI / 2;
  if (inward === bowFirst) return null;
  return bowFirst ? 'she is to lie with her bow out' : 'she is to lie with her bow in';
}

function unfitStream({ lie, input }: Setting): string | null {
  const { streamSpeed, streamSet } = input.weather;
  if (streamSpeed < LEAST_STREAM_MPS) return 'there is no stream to glide on';
  return lie && cos(streamSet - lie.heading) < -0.7
    ? null
    : 'the stream does not come from ahead along the berth';
}

const FIGURES: Readonly<Record<FigureId, Figure>> = {
  'alongside-wheel-and-gear': {
    unfit: (s) =>
      lies(s) ??
      atBerth(s) ??
      (turn(s) < 1.2 * ABREAST ? null : 'she would have to turn right round'),
    drafts: (s) => [angledIn(s, false), turnedIn(s)],
  },
  'alongside-gears-alone': {
    unfit: (s) =>
      lies(s) ??
      atBerth(s) ??
      (s.pair
        ? turn(s) < ABREAST
          ? null
          : 'the turn is too much for one engine'
        : 'she has no two shafts apart'),
    drafts: (s) => [angledIn(s, true)],
  },
  'alongside-sideways': {
    unfit: (s) => lies(s) ?? atBerth(s) ?? pushes(s),
    drafts: (s) => [slidIn(s)],
  },
  'ferry-glide-in': {
    unfit: (s) => lies(s) ?? unfitStream(s),
    drafts: (s) => [glidedIn(s)],
  },
  'slip-bow-in': {
    unfit: (s) => lies(s) ?? atBerth(s) ?? unfitSlip(s, true),
    drafts: (s) => [turnedIn(s)],
  },
  'slip-stern-in': {
    unfit: (s) => lies(s) ?? atBerth(s) ?? unfitSlip(s, false),
    drafts: (s) => [backedIn(s)],
  },
  'stop-straight': {
    unfit: (s) =>
      lies(s) ?? free(s) ?? (turn(s) < QUARTER ? null : 'she has to turn as well as stop'),
    drafts: (s) => [stoppedStraight(s)],
  },
  'turn-on-the-spot': {
    unfit: (s) =>
      lies(s) ?? free(s) ?? (turn(s) > ABREAST ? null : 'there is hardly a turn to make'),
    drafts: (s) =>
      s.pair
        ? [...both((side) => opposed(s, side)), ...both((side) => backAndFill(s, side))]
        : both((side) => backAndFill(s, side)),
  },
  'wait-out-a-gust': {
    unfit: (s) =>
      lies(s) ??
      free(s) ??
      (turn(s) < ABREAST && s.input.start.speed < 0.3 ? null : 'she is not lying there yet'),
    drafts: (s) => [waitedOut(s)],
  },
  'drop-off-and-away': { unfit: (s) => leaves(s) ?? atBerth(s), drafts: (s) => [droppedOff(s)] },
  'stern-out-and-astern': { unfit: (s) => leaves(s) ?? atBerth(s), drafts: (s) => [sternFirst(s)] },
  'bow-off-by-thruster': {
    unfit: (s) =>
      leaves(s) ?? atBerth(s) ?? (s.boat.thrusters.length > 0 ? null : 'she has no thruster'),
    drafts: (s) => [bowFirst(s)],
  },
  'sideways-off': {
    unfit: (s) => leaves(s) ?? atBerth(s) ?? pushes(s),
    drafts: (s) => [slidOff(s)],
  },
  'astern-out': { unfit: (s) => leaves(s) ?? atBerth(s), drafts: (s) => [asternOut(s)] },
  'spring-off-by-the-bow': {
    unfit: (s) => leaves(s) ?? atBerth(s) ?? noSpring(s, 'bow'),
    drafts: (s) => [sprungByTheBow(s)],
  },
  'spring-off-by-the-stern': {
    unfit: (s) => leaves(s) ?? atBerth(s) ?? noSpring(s, 'stern'),
    drafts: (s) => [sprungByTheStern(s)],
  },
  'alongside-on-a-spring': {
    unfit: (s) =>
      lies(s) ??
      atBerth(s) ??
      (turn(s) < ABREAST ? null : 'she would have to turn into it') ??
      noFirstSpring(s),
    drafts: (s) => [onToASpring(s, angledIn(s, false))],
  },
  'alone-last-line-on-a-slip': {
    unfit: (s) => leaves(s) ?? atBerth(s) ?? noLastLine(s),
    drafts: (s) => [slippedAlone(s)],
  },
  'slip-on-a-spring': {
    unfit: (s) => lies(s) ?? atBerth(s) ?? unfitSlip(s, true) ?? noFirstSpring(s),
    drafts: (s) => [onToASpring(s, turnedIn(s))],
  },
};

/** What of a manoeuvre says which techniques it may be done by. */
export type FigureSubject = Pick<ManoeuvreFile, 'boat' | 'place' | 'start' | 'goal' | 'berth'> & {
  readonly stream: ManoeuvreFile['conditions']['stream'];
};

/** What of a whole manoeuvre says so. */
export const subjectOf = ({
  boat,
  place,
  start,
  goal,
  berth,
  conditions: { stream },
}: ManoeuvreFile): FigureSubject => ({ boat, place, start, goal, berth, stream });

/** Which techniques may be tried for a manoeuvre, and why not the others. Neither wind nor score have a say in it. */
export function figuresFor({
  stream,
  ...subject
}: FigureSubject): Result<readonly { id: FigureId; unfit: string | null }[]> {
  const setting = settingOf({
    ...blankManoeuvre,
    ...subject,
    conditions: { wind: { from_deg: 0, speed_mps: 0 }, stream, water: 'sea' },
  });
  if (!setting.ok) return setting;
  return success(FIGURE_IDS.map((id) => ({ id, unfit: FIGURES[id].unfit(setting.value) })));
}

/** The same with every wait that may be in vain so many times as long, for the people there are. */
function patient({ dials, write }: Draft, times: number, { crew: named }: ScoreDocument): Draft {
  const longer = (seconds: number) => Math.min(900, Math.round(times * seconds));
  return {
    dials,
    write: (values) => {
      const { beats, end, lines, fenders, crew } = write(values);
      return {
        lines,
        fenders,
        crew: named.length > 0 ? named : crew,
        beats: beats.map((beat) => ({ ...beat, within_s: longer(beat.within_s) })),
        end: { ...end, within_s: longer(end.within_s) },
      };
    },
  };
}

/** The drafts of a technique for a manoeuvre; refused where it cannot be played or is not for it. */
export function draftsOf(file: ManoeuvreFile, figure: FigureId): Result<readonly Draft[]> {
  const setting = settingOf(file);
  if (!setting.ok) return setting;
  const unfit = FIGURES[figure].unfit(setting.value);
  if (unfit) return failure({ path: 'figure', message: unfit });
  const longer = Math.max(1, Math.sqrt(setting.value.length / 10));
  return success(
    FIGURES[figure].drafts(setting.value).map((draft) => patient(draft, longer, file.score)),
  );
}

/**
 * Writes a technique down for a manoeuvre's boat, place and day, its numbers fitted by trying. What cannot be played,
 * or is not for this manoeuvre, is refused with the reason.
 */
export function* propose(
  file: ManoeuvreFile,
  figure: FigureId | OwnFigure,
): Generator<Result<Proposal>> {
  if (typeof figure !== 'string') {
    const draft = draftOfOwn(figure, file);
    if (!draft.ok) yield draft;
    else for (const proposal of proposeFrom(file, [draft.value])) yield success(proposal);
    return;
  }
  const drafts = draftsOf(file, figure);
  if (!drafts.ok) yield drafts;
  else for (const proposal of proposeFrom(file, drafts.value)) yield success(proposal);
}
