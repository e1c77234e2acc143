import { cos, sin } from '@/core/math';
import { DROP_REACH_M, THERE, AIMED_SHARE, WORKED_SPRING } from '@/core/policy';
import { roomAt } from '@/core/search';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import type { OrderDocument, PlanDocument } from '@/document/plan';
import { withBoats } from '@/document/run-input';
import { refusal, type Unless } from './refusals';
import { lieOf, type Setting } from './setting';
import {
  bestLead,
  berthed,
  leadsFrom,
  handAshore,
  handAt,
  lineOf,
  type Lead,
} from './techniques/line-leads';
import { call, engine, near, planOf, step, tenth, wheel } from './template';

/** How a boat is worked there: no faster than that, m/s, with thrusters or without, by the gears alone or not. */
interface Manner {
  readonly most: number;
  readonly thrusters: boolean;
  readonly idle: boolean;
}

/** A spring that goes on first: from which cleat, to what, whether it is thrown, and how far off that may be for it, m. */
export interface SpringFirst {
  readonly cleat: string;
  readonly lead: Lead;
  readonly thrown: boolean;
  readonly reach: number;
}

/** Is there water on the side away from the berth to come up to it steeply, and to be set off into? Beside a finger or another boat there is not. */
function hasOpenWater(setting: Setting): boolean {
  const { input, craft, length } = setting;
  const { x, y, heading } = berthed(setting);
  const { toward } = lieOf(setting);
  const shore = withBoats(input);
  return WORKED_SPRING.open.every((lengths) => {
    const off = -toward * lengths * length;
    const at = [x + off * cos(heading), y - off * sin(heading)] as const;
    return roomAt(craft, shore, new Set(), ...at, heading).distance > 0;
  });
}

/**
 * The bow spring a boat is motored in on, as far as one can be had. Coming up steeply it is the bow that gets near while the wind sets the boat off, and the spring
 * leads aft once it lies there.
 */
export function springFirst(setting: Setting): Unless<SpringFirst> {
  const none = { refused: refusal('no bollard for a spring', { end: 'bow' }) };
  if (!setting.lie) return none;
  const cleat = `${setting.lie.side} bow cleat`;
  const wish = -WORKED_SPRING.leads * setting.length;
  const lead = bestLead(leadsFrom(setting, berthed(setting), cleat), wish);
  if (!lead) return none;
  if (!hasOpenWater(setting)) return { refused: refusal('no open water beside the berth') };
  const thrown = handAshore(setting);
  const throws = setting.input.rigging?.crew.map(({ throws: far }) => far) ?? [];
  const reach = thrown ? WORKED_SPRING.thrown * Math.max(...throws) : DROP_REACH_M;
  return { cleat, lead, thrown, reach };
}

/**
 * A plan of working a boat up to where its first spring can be put on, and motoring it alongside on that: where the wind would set it off before
 * it lies there. Where the spring is missed it is worked up again.
 */
export function onSpringPlan(
  file: ManoeuvreFile,
  setting: Setting,
  { cleat, lead, thrown, reach }: SpringFirst,
  { most, thrusters, idle }: Manner,
  rest: Pick<PlanDocument, 'lines' | 'fenders' | 'crew'>,
): PlanDocument {
  const { goal } = file;
  if (goal.is !== 'lie') throw new Error('a spring goes on first where the boat comes to lie');
  const by = handAt(setting, cleat);
  const line = 'first spring';
  const heading_deg = goal.heading_deg;
  const upTo: OrderDocument = {
    do: 'workIn',
    after_s: 0,
    point: cleat,
    mark: lead.name,
    // Where it is there, the spring reaches.
    within_m: tenth(reach / (AIMED_SHARE * THERE.lie)),
    heading_deg,
    headingWithin_deg: WORKED_SPRING.heading_deg,
    most_mps: most,
    thrusters,
    idle,
  };
  const pass: OrderDocument = {
    do: 'pass',
    after_s: 0,
    line,
    to: lead.name,
    how: thrown ? 'throw' : 'drop',
    ...(by === undefined ? {} : { by }),
    length_m: tenth(lead.length + WORKED_SPRING.slack),
  };
  const { point, mark, within_m, headingWithin_deg } = goal;
  const steps = [
    step(
      'work',
      'up to where the spring reaches',
      { is: 'start' },
      [call('fenders both sides, the first spring ready at the bow'), upTo],
      'neutral, look round, and let it drop where there is room',
      file.limit_s,
    ),
    step(
      'pass',
      'the first spring on',
      near(cleat, lead.name, reach + WORKED_SPRING.before),
      [pass],
      'no spring on: let it drop off, and up again',
      file.limit_s,
    ),
    step(
      'motor-in',
      'in on the spring',
      { is: 'line', line, state: 'fast' },
      [
        call('on the spring'),
        {
          do: 'motorOn',
          after_s: 0,
          line,
          point,
          mark,
          within_m: tenth(WORKED_SPRING.lies * within_m),
          heading_deg,
          headingWithin_deg: Math.max(1, Math.round(WORKED_SPRING.true * headingWithin_deg)),
        },
      ],
      'neutral; it lies on its spring',
      WORKED_SPRING.passes,
    ),
  ];
  steps[1] = {
    ...steps[1]!,
    wayOut: {
      ...steps[1]!.wayOut,
      automatic: true,
      orders: [engine('neutral'), wheel(0)],
      again: { step: 'work', cue: { is: 'after', time_s: 1 }, within_s: 5, times: 3 },
    },
  };
  return {
    // What was worked up to is done as it begins to be motored in.
    ...planOf(
      steps,
      { is: 'all', of: [{ is: 'done' }, { is: 'after', time_s: WORKED_SPRING.motors }] },
      file.limit_s,
    ),
    ...rest,
    // A rope that gives: what is let in on it swings in with a jerk the less.
    lines: [...rest.lines, { ...lineOf(line, cleat, lead.length, null, false), rope: 'polyamide' }],
  };
}
