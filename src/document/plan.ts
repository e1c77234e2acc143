import { z } from 'zod';
import { CUES, EXPECTATIONS, ORDERS } from '@/core/plan';
import { id, within } from './fields';
import { cueSchema, expectationSchema, orderSchema } from './plan-codec';
import { crewSchema, hungSchema, linesSchema } from './rigging';

export {
  cueSchema,
  expectationSchema,
  orderSchema,
  simpleCueSchema,
  type CueDocument,
  type ExpectationDocument,
  type OrderDocument,
  type SimpleCue,
} from './plan-codec';

/** Limits a form shows in the user's own units. */
export const MOST_CUE_SPEED_MPS = CUES.speed.parameters.speed.most;
export const MOST_CUE_DISTANCE_M = CUES.within.parameters.distance.most;
export const MOST_CLEARANCE_M = EXPECTATIONS.clear.parameters.least.most;
export const MOST_RUDDER_DEG = ORDERS.wheel.parameters.angle.most;
export const MOST_TURN_DEG = CUES.turned.parameters.by.most;

const orders = z.array(orderSchema).max(20, { error: 'at most 20 orders in a step' });

export const wayOutSchema = z.strictObject({
  /** In words, for the crew. */
  note: z.string().max(200, { error: 'keep it to 200 characters' }).default(''),
  /** Taken by itself when an expectation fails or the next cue does not come. */
  automatic: z.boolean().default(false),
  orders: orders.default([]),
  /** Round again: the step the plan goes on with, when, and how many rounds at the most. */
  again: z
    .strictObject({
      step: id,
      cue: cueSchema,
      within_s: within(0.1, 900, 's').default(90),
      times: z
        .number({ error: 'give a whole number from 1 to 3' })
        .int({ error: 'give a whole number from 1 to 3' })
        .min(1, { error: 'give a whole number from 1 to 3' })
        .max(3, { error: 'give a whole number from 1 to 3' })
        .default(2),
    })
    .optional(),
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
    plan.steps.forEach(({ wayOut: { again } }, i) => {
      if (!again || seen.has(again.step)) return;
      const message = `the plan has no step '${again.step}'; name one it goes on with`;
      context.addIssue({ code: 'custom', path: ['steps', i, 'wayOut', 'again', 'step'], message });
    });
  });
export type PlanDocument = z.infer<typeof planSchema>;
