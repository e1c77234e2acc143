import { z } from 'zod';
import { LINE_STATES, LOCK_CUES } from '@/core/plan';
import { compass, id, within } from './fields';
import { lockOrders } from './locking';
import { crewSchema, handsOrders, hungSchema, linesSchema } from './rigging';

const over = z.enum(['water', 'ground'], { error: "say 'water' or 'ground'" });
const name = z.string().min(1, { error: 'choose one' }).max(80);

/** Limits a form shows in the user's own units. */
export const MOST_CUE_SPEED_MPS = 20;
export const MOST_CUE_DISTANCE_M = 2000;
export const MOST_CLEARANCE_M = 200;
export const MOST_RUDDER_DEG = 90;
export const MOST_TURN_DEG = 720;

const speed = within(0, MOST_CUE_SPEED_MPS, 'm/s');

const lineState = z.enum(LINE_STATES, { error: "say 'on', 'fast', 'taut' or 'off'" });

const simpleCues = [
  z.strictObject({ is: z.literal('start') }),
  z.strictObject({ is: z.literal('after'), time_s: within(0, 600, 's') }),
  z.strictObject({ is: z.literal('heading'), heading_deg: compass }),
  z.strictObject({
    is: z.literal('turned'),
    by_deg: within(-MOST_TURN_DEG, MOST_TURN_DEG, 'degrees, port negative'),
  }),
  z.strictObject({
    is: z.literal('speed'),
    over,
    compare: z.enum(['below', 'above'], { error: "say 'below' or 'above'" }),
    speed_mps: speed,
  }),
  z.strictObject({ is: z.literal('abeam'), point: name, mark: name }),
  z.strictObject({
    is: z.literal('within'),
    point: name,
    mark: name,
    distance_m: within(0, MOST_CUE_DISTANCE_M, 'm'),
  }),
  /** She herself, or one of the other boats. */
  z.strictObject({ is: z.literal('stopped'), boat: name.optional() }),
  z.strictObject({ is: z.literal('sternway') }),
  z.strictObject({ is: z.literal('line'), line: name, state: lineState }),
  z.strictObject({
    is: z.literal('crew'),
    who: name,
    where: z.enum(['ashore', 'aboard'], { error: "say 'ashore' or 'aboard'" }),
  }),
  z.strictObject({
    is: z.literal('lock'),
    lock: name,
    state: z.enum(LOCK_CUES, {
      error:
        "say 'level above', 'level below', 'open above', 'open below', 'wide above', 'wide below' or 'shut'",
    }),
  }),
] as const;

const CUE_ERROR =
  "is one of 'start', 'after', 'heading', 'turned', 'speed', 'abeam', 'within', 'stopped', 'sternway', 'line', 'crew', 'lock', 'any', 'all'";

export const simpleCueSchema = z.discriminatedUnion('is', simpleCues, { error: CUE_ERROR });
export type SimpleCue = z.infer<typeof simpleCueSchema>;

const parts = z
  .array(simpleCueSchema)
  .min(1, { error: 'give at least one cue' })
  .max(6, { error: 'at most six cues in a group' });

export const cueSchema = z.discriminatedUnion(
  'is',
  [
    ...simpleCues,
    z.strictObject({ is: z.literal('any'), of: parts }),
    z.strictObject({ is: z.literal('all'), of: parts }),
  ],
  { error: CUE_ERROR },
);
export type CueDocument = z.infer<typeof cueSchema>;

const after_s = within(0, 600, 's').default(0);

export const orderSchema = z.discriminatedUnion(
  'do',
  [
    z.strictObject({
      do: z.literal('wheel'),
      after_s,
      /** Rudder angle, positive turns the bow to starboard going ahead. */
      angle_deg: within(-MOST_RUDDER_DEG, MOST_RUDDER_DEG, 'degrees, port negative'),
    }),
    z.strictObject({
      do: z.literal('steer'),
      after_s,
      /** The helm keeps it from here, until a wheel or another steer. */
      heading_deg: compass,
    }),
    z.strictObject({
      do: z.literal('steerFor'),
      after_s,
      mark: name,
      /** The end of her that is to point there: her stern, going astern. */
      first: z.enum(['bow', 'stern'], { error: "say 'bow' or 'stern'" }).default('bow'),
    }),
    z.strictObject({
      do: z.literal('engine'),
      after_s,
      /** Name of one engine; all of them if not given. */
      engine: name.optional(),
      gear: z.enum(['ahead', 'neutral', 'astern'], { error: "say 'ahead', 'neutral' or 'astern'" }),
      /** 0 idle to 1 full. */
      throttle: within(0, 1).default(0),
    }),
    z.strictObject({
      do: z.literal('thruster'),
      after_s,
      thruster: name,
      /** −1 to 1, positive pushing her to starboard. */
      power: within(-1, 1),
    }),
    z.strictObject({
      do: z.literal('joystick'),
      after_s,
      /** Each −1 to 1 of what she can do: ahead, to starboard, bow to starboard. */
      ahead: within(-1, 1).default(0),
      sideways: within(-1, 1).default(0),
      twist: within(-1, 1).default(0),
    }),
    ...handsOrders(after_s, name),
    ...lockOrders(after_s, name),
    /** The helm's sign that she is held and they may wind. */
    z.strictObject({ do: z.literal('signal'), after_s }),
    /**
     * One of the other boats gets under way, by her own helm: her engines, and the heading that is kept, or the mark her bow
     * is kept on, if one is told.
     */
    z
      .strictObject({
        do: z.literal('other'),
        after_s,
        boat: name,
        gear: z.enum(['ahead', 'neutral', 'astern'], {
          error: "say 'ahead', 'neutral' or 'astern'",
        }),
        throttle: within(0, 1).default(0),
        heading_deg: compass.optional(),
        mark: name.optional(),
      })
      .refine((order) => order.heading_deg === undefined || order.mark === undefined, {
        path: ['mark'],
        error: 'she keeps a heading or steers for a mark; leave out one of them',
      }),
    z.strictObject({
      do: z.literal('call'),
      after_s,
      text: z.string().trim().min(1, { error: 'say what is called' }).max(120, {
        error: 'keep a call to 120 characters',
      }),
    }),
  ],
  {
    error:
      "do is 'wheel', 'steer', 'steerFor', 'engine', 'thruster', 'joystick', 'pass', 'tend', 'letGo', 'anchor', 'stepAshore', 'stepAboard', 'go', 'paddle', 'gates', 'signal', 'other' or 'call'",
  },
);
export type OrderDocument = z.infer<typeof orderSchema>;

const at = z.union([z.literal('next'), z.strictObject({ after_s: within(0, 600, 's') })], {
  error: "say 'next' or give { after_s: seconds }",
});

export const expectationSchema = z.discriminatedUnion(
  'is',
  [
    z.strictObject({
      is: z.literal('heading'),
      at,
      heading_deg: compass,
      within_deg: within(0.5, 180, 'degrees'),
    }),
    z
      .strictObject({ is: z.literal('speed'), at, over, least_mps: speed, most_mps: speed })
      .refine((e) => e.most_mps >= e.least_mps, {
        path: ['most_mps'],
        error: 'must not be below the least speed',
      }),
    z.strictObject({
      is: z.literal('turning'),
      at,
      to: z.enum(['port', 'starboard'], { error: "say 'port' or 'starboard'" }),
    }),
    z.strictObject({ is: z.literal('clear'), at, least_m: within(0, MOST_CLEARANCE_M, 'm') }),
    z.strictObject({
      is: z.literal('near'),
      at,
      point: name,
      mark: name,
      within_m: within(0.05, MOST_CUE_DISTANCE_M, 'm'),
    }),
    z.strictObject({ is: z.literal('line'), at, line: name, state: lineState }),
  ],
  { error: "is one of 'heading', 'speed', 'turning', 'clear', 'near', 'line'" },
);
export type ExpectationDocument = z.infer<typeof expectationSchema>;

const orders = z.array(orderSchema).max(20, { error: 'at most 20 orders in a step' });

export const wayOutSchema = z.strictObject({
  /** In words, for the crew. */
  note: z.string().max(200, { error: 'keep it to 200 characters' }).default(''),
  /** Taken by itself when an expectation fails or the next cue does not come. */
  automatic: z.boolean().default(false),
  orders: orders.default([]),
});

export const stepSchema = z.strictObject({
  id,
  title: z.string().trim().max(60, { error: 'keep it to 60 characters' }).default(''),
  cue: cueSchema,
  within_s: within(0.1, 900, 's').default(120),
  orders: orders.default([]),
  expect: z.array(expectationSchema).max(8, { error: 'at most eight expectations' }).default([]),
  wayOut: wayOutSchema.default({ note: '', automatic: false, orders: [] }),
});
export type StepDocument = z.infer<typeof stepSchema>;

export const planSchema = z
  .strictObject({
    steps: z
      .array(stepSchema)
      .min(1, { error: 'a plan needs at least one step' })
      .max(60, { error: 'at most 60 steps' }),
    end: z.strictObject({ cue: cueSchema, within_s: within(0.1, 900, 's').default(120) }),
    lines: linesSchema,
    crew: crewSchema,
    fenders: hungSchema,
  })
  .superRefine((plan, context) => {
    const seen = new Set<string>();
    plan.steps.forEach((step, i) => {
      if (seen.has(step.id)) {
        const message = `'${step.id}' is used twice; give each step its own id`;
        context.addIssue({ code: 'custom', path: ['steps', i, 'id'], message });
      }
      seen.add(step.id);
    });
  });
export type PlanDocument = z.infer<typeof planSchema>;
