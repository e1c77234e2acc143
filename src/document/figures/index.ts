import { MANOEUVRE_SCHEMA, type ManoeuvreFile } from '../manoeuvre';
import { MANOEUVRE_VERSION } from '../manoeuvre-migrations';
import type { PlanDocument } from '../plan';
import { failure, success, type Result } from '../result';
import { step, planOf, type Draft } from './draft';
import { compareWays, turnedRound, type Comparison } from './compare';
import { stoppingSpringOf, type StoppingSpring } from './first-spring';
import { afterHerLines } from './let-go';
import { draftOfOwn, type OwnFigure } from './own';
import { proposeFrom, type Proposal } from './propose';
import { settingOf, type Setting } from './setting';

import { FIGURE_IDS, FIGURES, type FigureId } from './table';

export { groundOf, lyingIn, outOf, SIDES, stuckIn, type Side } from './berths';
export type { StoppingSpring } from './first-spring';
export { byWorth, turnedRound, type Comparison, type Way } from './compare';
export { keepAsFigure, ownFigureSchema, unfitOwn, type OwnFigure } from './own';
export type { Proposal } from './propose';

export { FIGURE_IDS, figureIdSchema, type FigureId } from './table';

/** A manoeuvre in which nothing is done. */
const blankManoeuvre: Omit<ManoeuvreFile, keyof FigureSubject | 'conditions'> = {
  $schema: MANOEUVRE_SCHEMA,
  version: MANOEUVRE_VERSION,
  id: 'blank',
  title: 'blank',
  note: '',
  plan: planOf([step('begin', '', { is: 'start' }, [], '')], { is: 'after', time_s: 1 }),
  dismissed: [],
  ready: [],
};

/** What of a manoeuvre says which techniques it may be done by. */
export type FigureSubject = Pick<
  ManoeuvreFile,
  'boat' | 'place' | 'others' | 'start' | 'goal' | 'berth' | 'locks' | 'limit_s'
> & {
  /** Who is named, and where they are. */
  readonly crew: PlanDocument['crew'];
  readonly current: ManoeuvreFile['conditions']['current'];
  readonly level?: ManoeuvreFile['conditions']['level'];
};

/** What of a whole manoeuvre says so. */
export const subjectOf = ({
  boat,
  place,
  others,
  start,
  goal,
  berth,
  locks,
  limit_s,
  plan: { crew },
  conditions: { current, level },
}: ManoeuvreFile): FigureSubject => ({
  boat,
  place,
  others,
  start,
  goal,
  berth,
  locks,
  limit_s,
  crew,
  current,
  ...(level ? { level } : {}),
});

/** A subject in a calm, its plan empty but for who is there; for nobody, where somebody stands at what is no more. */
function inACalm(subject: FigureSubject): Result<Setting> {
  const setting = calm(subject);
  return setting.ok || subject.crew.length === 0 ? setting : calm({ ...subject, crew: [] });
}

const calm = ({ current, level, crew, ...subject }: FigureSubject): Result<Setting> =>
  settingOf({
    ...blankManoeuvre,
    ...subject,
    plan: { ...blankManoeuvre.plan, crew },
    conditions: {
      wind: { from_deg: 0, speed_mps: 0 },
      current,
      water: 'sea',
      ...(level ? { level } : {}),
    },
  });

/** The spring that would stop her where she is to lie; null where none can. Neither wind nor plan have a say in it. */
export function stoppingSpring(subject: FigureSubject): StoppingSpring | null {
  const setting = inACalm(subject);
  return setting.ok ? stoppingSpringOf(setting.value, subject.boat) : null;
}

/** Which techniques may be tried for a manoeuvre, and why not the others. Neither wind nor what is done have a say in it. */
export function figuresFor(
  subject: FigureSubject,
): Result<readonly { id: FigureId; unfit: string | null }[]> {
  const setting = inACalm(subject);
  if (!setting.ok) return setting;
  return success(FIGURE_IDS.map((id) => ({ id, unfit: FIGURES[id].unfit(setting.value) })));
}

/** The same with every wait that may be in vain so many times as long, for the people there are. */
function patient(
  { write, rough, ...rest }: Draft,
  times: number,
  { crew: named, lines: rigged, fenders: hung }: PlanDocument,
): Draft {
  // What the other boats lie on stays as it is, where a figure does not see to it itself.
  const theirs = rigged.filter(({ of }) => of !== undefined);
  const longer = (seconds: number) => Math.min(900, Math.round(times * seconds));
  const waiting =
    (of: Draft['write']) =>
    (values: readonly number[]): PlanDocument => {
      const { steps, end, lines, fenders, crew } = of(values);
      return {
        lines: lines.some(({ of }) => of !== undefined) ? lines : [...lines, ...theirs],
        // Those she has out stay out, where a figure hangs none.
        fenders: fenders.length > 0 ? fenders : hung,
        crew: named.length > 0 ? named : crew,
        steps: steps.map((step) => ({ ...step, within_s: longer(step.within_s) })),
        end: { ...end, within_s: longer(end.within_s) },
      };
    };
  return { ...rest, write: waiting(write), ...(rough ? { rough: waiting(rough) } : {}) };
}

/** The drafts of a technique for a manoeuvre; refused where it cannot be played or is not for it. */
export function draftsOf(file: ManoeuvreFile, figure: FigureId): Result<readonly Draft[]> {
  const setting = settingOf(file);
  if (!setting.ok) return setting;
  const unfit = FIGURES[figure].unfit(setting.value);
  if (unfit) return failure({ path: 'figure', message: unfit });
  const longer = Math.max(1, Math.sqrt(setting.value.length / 10));
  const drafts = FIGURES[figure].drafts(setting.value);
  // What shows only in a trial, as of another boat that does not stop where she is to lie.
  if (drafts.length === 0)
    return failure({
      path: 'figure',
      message: 'tried here it cannot be laid out for the boats there are; compose it by hand',
    });
  return success(
    drafts.map((draft) => patient(afterHerLines(draft, setting.value, file), longer, file.plan)),
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

/** Those of its figures that fit, as proposals that were not refused. */
function* sound(file: ManoeuvreFile, figure: FigureId): Generator<Proposal> {
  for (const proposal of propose(file, figure)) if (proposal.ok) yield proposal.value;
}

/**
 * Every figure that fits a manoeuvre, fitted and set side by side; where she is to lie at a berth also lying there the
 * other way round, which is how bow in or stern in, and one side to or the other, are told apart.
 */
export function* compareFigures(file: ManoeuvreFile): Generator<Result<Comparison<FigureId>>> {
  const round = turnedRound(file.goal, file.boat);
  const files = [{ file, turned: false }];
  if (round) files.push({ file: { ...file, goal: round }, turned: true });
  const ways: { figure: FigureId; turned: boolean; file: ManoeuvreFile }[] = [];
  for (const one of files) {
    const offered = figuresFor(subjectOf(one.file));
    if (!offered.ok) {
      if (!one.turned) yield offered;
      continue;
    }
    for (const { id, unfit } of offered.value)
      if (unfit === null) ways.push({ ...one, figure: id });
  }
  for (const found of compareWays(ways, sound)) yield success(found);
}
