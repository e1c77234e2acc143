import { MANOEUVRE_SCHEMA, type ManoeuvreFile } from '@/document/manoeuvre';
import { MANOEUVRE_VERSION } from '@/document/manoeuvre-migrations';
import type { PlanDocument } from '@/document/plan';
import { success, type Result } from '@/document/result';
import { step, planOf, type Numbers, type PlanTemplate } from './template';
import { compareWays, turnedRound, type Comparison } from './compare';
import { stoppingSpringOf, type StoppingSpring } from './techniques/first-spring';
import { afterHerLines } from './techniques/let-go';
import type { OwnTechnique } from '@/document/technique';
import { templateOfOwn } from './own';
import { proposeFrom, type Proposal } from './suggest';
import { isRefused, refusal, type Refusal, type Refused, type Unless } from './refusals';
import { settingOf, type Setting } from './setting';

import { TECHNIQUE_IDS, TECHNIQUES, type TechniqueId } from './techniques';

/** A manoeuvre in which nothing is done. */
const blankManoeuvre: Omit<ManoeuvreFile, keyof TechniqueSubject | 'conditions'> = {
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
export type TechniqueSubject = Pick<
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
}: ManoeuvreFile): TechniqueSubject => ({
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
function inACalm(subject: TechniqueSubject): Result<Setting> {
  const setting = calm(subject);
  return setting.ok || subject.crew.length === 0 ? setting : calm({ ...subject, crew: [] });
}

const calm = ({ current, level, crew, ...subject }: TechniqueSubject): Result<Setting> =>
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

/** The spring that would stop the boat where it is to lie; null where none can. Neither wind nor plan have a say in it. */
export function stoppingSpring(subject: TechniqueSubject): StoppingSpring | null {
  const setting = inACalm(subject);
  return setting.ok ? stoppingSpringOf(setting.value, subject.boat) : null;
}

/** Which techniques may be tried for a manoeuvre, and why not the others. Neither wind nor what is done have a say in it. */
export function techniquesFor(
  subject: TechniqueSubject,
): Result<readonly { id: TechniqueId; unfit: Refusal | null }[]> {
  const setting = inACalm(subject);
  if (!setting.ok) return setting;
  return success(
    TECHNIQUE_IDS.map((id) => ({ id, unfit: TECHNIQUES[id].notApplicable(setting.value) })),
  );
}

/** The same with every wait that may be in vain so many times as long, for the people there are. */
function patient(
  { write, rough, ...rest }: PlanTemplate,
  times: number,
  { crew: named, lines: rigged, fenders: hung }: PlanDocument,
): PlanTemplate {
  // What the other boats lie on stays as it is, where a technique does not see to it itself.
  const theirs = rigged.filter(({ of }) => of !== undefined);
  const longer = (seconds: number) => Math.min(900, Math.round(times * seconds));
  const waiting =
    (of: PlanTemplate['write']) =>
    (numbers: Numbers): PlanDocument => {
      const { steps, end, lines, fenders, crew } = of(numbers);
      return {
        lines: lines.some(({ of }) => of !== undefined) ? lines : [...lines, ...theirs],
        // Those the boat has out stay out, where a technique hangs none.
        fenders: fenders.length > 0 ? fenders : hung,
        crew: named.length > 0 ? named : crew,
        steps: steps.map((step) => ({ ...step, within_s: longer(step.within_s) })),
        end: { ...end, within_s: longer(end.within_s) },
      };
    };
  return { ...rest, write: waiting(write), ...(rough ? { rough: waiting(rough) } : {}) };
}

/** The templates of a technique for a manoeuvre; refused where it cannot be played or is not for it. */
export function templatesOf(
  file: ManoeuvreFile,
  technique: TechniqueId,
): Result<Unless<readonly PlanTemplate[]>> {
  const setting = settingOf(file);
  if (!setting.ok) return setting;
  const unfit = TECHNIQUES[technique].notApplicable(setting.value);
  if (unfit) return success({ refused: unfit });
  const longer = Math.max(1, Math.sqrt(setting.value.length / 10));
  const templates = TECHNIQUES[technique].templates(setting.value);
  // What shows only in a trial, as of another boat that does not stop where it is to lie.
  if (templates.length === 0) return success({ refused: refusal('cannot be laid out') });
  return success(
    templates.map((template) =>
      patient(afterHerLines(template, setting.value, file), longer, file.plan),
    ),
  );
}

/**
 * Writes a technique down for a manoeuvre's boat, place and day, its numbers fitted by trying. What cannot be played,
 * or is not for this manoeuvre, is refused with the reason.
 */
export function* propose(
  file: ManoeuvreFile,
  technique: TechniqueId | OwnTechnique,
): Generator<Result<Unless<Proposal>>> {
  if (typeof technique !== 'string') {
    const template = templateOfOwn(technique, file);
    if (!template.ok || isRefused(template.value)) yield template as Result<Refused>;
    else for (const proposal of proposeFrom(file, [template.value])) yield success(proposal);
    return;
  }
  const templates = templatesOf(file, technique);
  if (!templates.ok || isRefused(templates.value)) yield templates as Result<Refused>;
  else for (const proposal of proposeFrom(file, templates.value)) yield success(proposal);
}

/** Those of its techniques that fit, as proposals that were not refused. */
function* sound(file: ManoeuvreFile, technique: TechniqueId): Generator<Proposal> {
  for (const proposal of propose(file, technique))
    if (proposal.ok && !isRefused(proposal.value)) yield proposal.value;
}

/**
 * Every technique that fits a manoeuvre, fitted and set side by side; where the boat is to lie at a berth also lying there the
 * other way round, which is how bow in or stern in, and one side to or the other, are told apart.
 */
export function* compareTechniques(
  file: ManoeuvreFile,
): Generator<Result<Comparison<TechniqueId>>> {
  const round = turnedRound(file.goal, file.boat);
  const files = [{ file, turned: false }];
  if (round) files.push({ file: { ...file, goal: round }, turned: true });
  const ways: { technique: TechniqueId; turned: boolean; file: ManoeuvreFile }[] = [];
  for (const one of files) {
    const offered = techniquesFor(subjectOf(one.file));
    if (!offered.ok) {
      if (!one.turned) yield offered;
      continue;
    }
    for (const { id, unfit } of offered.value)
      if (unfit === null) ways.push({ ...one, technique: id });
  }
  for (const found of compareWays(ways, sound)) yield success(found);
}
