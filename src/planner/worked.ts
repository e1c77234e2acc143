import { sin } from '@/core/math';
import { runPlan, type Run } from '@/core/plan';
import { USUAL_SCHOOL, WORKED, type School } from '@/core/policy';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import type { OrderDocument, PlanDocument } from '@/document/plan';
import { success, type Result } from '@/document/result';
import { toRunInput } from '@/document/run-input';
import { fendersAllRound } from './fenders';
import { call, planOf, step, tenth } from './template';
import { isRefused, refusal, type Unless } from './refusals';
import { settingOf, type Setting } from './setting';
import { onceLinesAreOff } from './techniques/let-go';
import { onSpringPlan, springFirst } from './worked-spring';
import { toldIn } from './worked-steps';

/** How a boat is worked: no faster than that, m/s, with thrusters or without, by the gears alone or not, and whether a spring goes on first and the boat is motored in on it. */
export interface WorkedWay {
  readonly most: number;
  readonly thrusters: boolean;
  readonly spring: boolean;
  readonly idle: boolean;
}

/** How many people a way takes: whoever steers, and whoever passes a spring or lets lines go. */
export const crewFor = ({ spring }: WorkedWay, { crew, lines }: PlanDocument): number => {
  const lets = lines.some(({ of, fast }) => of === undefined && fast !== undefined);
  return Math.max(spring || lets ? 2 : 1, crew.filter(({ at }) => 'aboard' in at).length);
};

/** Wind that sets the boat off the berth it is to lie at, m/s; none where it is not to lie at any. */
function windOff(setting: Setting): number {
  if (!setting.lie) return 0;
  const { windFrom, windSpeed } = setting.input.weather;
  const { heading, toward } = setting.lie;
  return windSpeed * toward * sin(windFrom - heading);
}

/**
 * The ways there are for a boat, in lots that are tried one after the other while none holds well enough: the usual one of the school first, and beside it in on a spring where the
 * wind sets the boat off.
 */
export function workedWays(
  file: ManoeuvreFile,
  { throttle, thruster, spring }: School = USUAL_SCHOOL,
): readonly (readonly WorkedWay[])[] {
  const idle = throttle === 'gears alone';
  const fitted = file.boat.thrusters.length > 0;
  const by = (thrusters: boolean): WorkedWay[] =>
    WORKED.most.map((most) => ({ most, thrusters, spring: false, idle }));
  const with_ = fitted && thruster === 'freely';
  const alone = (ways: readonly WorkedWay[]) => ways.map((way) => [way]);
  const plain = [...alone(by(with_)), ...(fitted ? alone(by(!with_)) : [])];
  const setting = settingOf(file);
  if (spring === 'never' || !setting.ok || isRefused(springFirst(setting.value))) return plain;
  const onSpring = { most: WORKED.most[0], thrusters: with_, spring: true, idle };
  const [usual, ...others] = plain;
  return spring === 'first' || windOff(setting.value) >= WORKED.springFrom
    ? [[onSpring, ...usual!], ...others]
    : [usual!, [onSpring], ...others];
}

function orderFor(
  { goal }: ManoeuvreFile,
  { most, thrusters, idle }: WorkedWay,
): OrderDocument | null {
  const manner = { after_s: 0, most_mps: most, thrusters, idle };
  if (goal.is === 'clear')
    return {
      do: 'workClear',
      distance_m: tenth(
        Math.max(WORKED.clearer * goal.distance_m, goal.distance_m + WORKED.clearerBy),
      ),
      ...manner,
    };
  if (goal.is !== 'lie') return null;
  const { point, mark, within_m, heading_deg, headingWithin_deg } = goal;
  return { do: 'workIn', point, mark, within_m, heading_deg, headingWithin_deg, ...manner };
}

const NO_WAY_OUT = 'neutral, look round, and let it drop where there is room';

const readyFor = ({ goal }: ManoeuvreFile): OrderDocument[] =>
  goal.is === 'lie' ? [call('fenders both sides')] : [];

/** The plan of one order: worked there from the start. */
function plain(file: ManoeuvreFile, order: OrderDocument): PlanDocument {
  const begin = step(
    'work',
    '',
    { is: 'start' },
    [...readyFor(file), order],
    NO_WAY_OUT,
    file.limit_s,
  );
  return planOf(
    [begin],
    { is: 'done' },
    file.limit_s,
    theirLines(file),
    file.plan.fenders.length > 0 ? file.plan.fenders : fendersAllRound(file.boat),
    file.plan.crew,
  );
}

const theirLines = ({ plan }: ManoeuvreFile) => plan.lines.filter(({ of }) => of !== undefined);

/** A plan of working a boat somewhere, and how often an engine changes its gear in it as the manoeuvre is told. */
export interface WorkedPlan {
  readonly plan: PlanDocument;
  readonly gearChanges: number;
}

const gearChangesOf = ({ trace }: Run): number =>
  trace.engines.reduce(
    (sum, { gear }) =>
      sum + gear.reduce((n, now, i) => n + (i > 0 && now !== gear[i - 1] ? 1 : 0), 0),
    0,
  );

/** A manoeuvre's plan of working the boat up to a spring and motoring it in on that. */
function springPlan(
  file: ManoeuvreFile,
  setting: Setting,
  way: WorkedWay,
): Result<Unless<WorkedPlan>> {
  const first = springFirst(setting);
  if (isRefused(first)) return success(first);
  const plan = onSpringPlan(file, setting, first, way, {
    lines: theirLines(file),
    fenders: file.plan.fenders.length > 0 ? file.plan.fenders : fendersAllRound(file.boat),
    crew: file.plan.crew,
  });
  const input = toRunInput({ ...file, plan });
  return input.ok ? success({ plan, gearChanges: gearChangesOf(runPlan(input.value)) }) : input;
}

/**
 * A manoeuvre's plan of being worked there by short bursts, told in the steps its own run shows: what comes next, and what shows that it does. The hand goes on
 * with the one order all the while; a step that does not come is passed over as soon as the boat is there.
 */
export function workedPlan(file: ManoeuvreFile, way: WorkedWay): Result<Unless<WorkedPlan>> {
  if (file.boat.drives.length === 0) return success({ refused: refusal('no engine') });
  const setting = settingOf(file);
  if (!setting.ok) return setting;
  if (way.spring) return springPlan(file, setting.value, way);
  const order = orderFor(file, way);
  if (!order) return success({ refused: refusal('other goal', { for: 'lie', is: file.goal.is }) });
  const first = plain(file, order);
  const started = (plan: PlanDocument) => onceLinesAreOff(plan, setting.value, file);
  const input = toRunInput({ ...file, plan: first });
  if (!input.ok) return input;
  const run = runPlan(input.value);
  const gearChanges = gearChangesOf(run);
  if (run.outcome !== 'reached') return success({ plan: started(first), gearChanges });
  const [begin] = first.steps;
  const steps = toldIn(run, setting.value.marks).map(({ title, says, cue }, i) =>
    i === 0
      ? { ...begin!, title }
      : step(`work-${i + 1}`, title, cue, [call(says)], NO_WAY_OUT, file.limit_s),
  );
  return success({ plan: started({ ...first, steps }), gearChanges });
}
