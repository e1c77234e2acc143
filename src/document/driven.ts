import { z } from 'zod';
import {
  LONGEST_DRIVE_S,
  type DriveInput,
  type Recording,
  type Surprise,
  type Traffic,
} from '@/core/drive';
import type { Order, RunInput } from '@/core/plan';
import { TIMESTEP_S } from '@/core/simulation';
import { oneOf, compass, degrees, id, longText, radians, shortText, within } from './fields';
import { manoeuvreFileSchema, type ManoeuvreFile } from './manoeuvre';
import { Names } from './names';
import { DRIVEN_VERSION, migrateDriven, migrateRecording } from './recording-migrations';
import { failure, success, type Result } from './result';
import { toOrder } from './plan-input';
import { toRunInput } from './run-input';
import { orderSchema, type OrderDocument } from './plan';

export const DRIVEN_SCHEMA = 'yawtrope:driven';

const MOST_TIMESTEPS = Math.round(LONGEST_DRIVE_S / TIMESTEP_S);
const MOST_INPUTS = 100_000;
const MOST_SURPRISES = 20;
const MOST_SKIPS = 200;

const timestep = z
  .number()
  .int()
  .min(0)
  .max(MOST_TIMESTEPS, { error: `at most ${MOST_TIMESTEPS} timesteps` });
const at_s = within(0, LONGEST_DRIVE_S, 's');
const name = z.string().min(1).max(80);

/** An order given at a timestep; it acts at once. */
const inputSchema = z.strictObject({
  timestep,
  order: orderSchema.refine(({ after_s }) => after_s === 0, {
    path: ['after_s'],
    error: 'must be 0: a hand at the helm acts at once',
  }),
});
export type DriveInputDocument = z.infer<typeof inputSchema>;

export const surpriseSchema = z.discriminatedUnion(
  'is',
  [
    z.strictObject({
      is: z.literal('gust'),
      at_s,
      /** Share the wind grows by. */
      by: within(0, 3),
      lasts_s: within(0, 120, 's'),
    }),
    z.strictObject({ is: z.literal('veer'), at_s, by_deg: within(-180, 180, 'degrees') }),
    z.strictObject({
      is: z.literal('current'),
      at_s,
      set_deg: compass,
      speed_mps: within(0, 3, 'm/s'),
      over_s: within(0, 300, 's'),
    }),
    z.strictObject({ is: z.literal('noAstern'), at_s, engine: name }),
    z.strictObject({ is: z.literal('thrusterQuits'), at_s, thruster: name }),
    z.strictObject({ is: z.literal('joystickFails'), at_s }),
    z.strictObject({ is: z.literal('lineLate'), at_s, by_s: within(0, 120, 's') }),
    z.strictObject({ is: z.literal('lineMissed'), at_s }),
    z.strictObject({
      is: z.literal('traffic'),
      at_s,
      name: shortText,
      kind: oneOf(['boat', 'paddler']),
      /** Ahead of its middle and to starboard. */
      outline_m: z
        .array(z.tuple([within(-200, 200, 'm'), within(-200, 200, 'm')]))
        .min(3, { error: 'give at least three corners' })
        .max(60, { error: 'at most 60 corners' }),
      frames: z
        .array(
          z.strictObject({
            at_s: within(-600, LONGEST_DRIVE_S, 's'),
            x_m: within(-20000, 20000, 'm'),
            y_m: within(-20000, 20000, 'm'),
            /** Not wrapped: it turns the way the figures go. */
            heading_deg: within(-7200, 7200, 'degrees'),
          }),
        )
        .min(1, { error: 'say where it is' })
        .max(60, { error: 'at most 60' })
        .refine((frames) => frames.every((f, i) => i === 0 || f.at_s > frames[i - 1]!.at_s), {
          error: 'must come in the order of time',
        }),
      /** Id of what it lay as on the place. */
      replaces: id.nullable().default(null),
    }),
  ],
  {
    error:
      "is is one of 'gust', 'veer', 'current', 'noAstern', 'thrusterQuits', 'joystickFails', 'lineLate', 'lineMissed', 'traffic'",
  },
);
export type SurpriseDocument = z.infer<typeof surpriseSchema>;

const currentRecording = z
  .strictObject({
    inputs: z.array(inputSchema).max(MOST_INPUTS, { error: `at most ${MOST_INPUTS} inputs` }),
    /** Timesteps of a tenth of a second driven. */
    timesteps: timestep,
    /** How the helm ended it; null while it goes on, and where it ended by itself. */
    end: z.enum(['done', 'broke off']).nullable(),
    surprises: z
      .array(surpriseSchema)
      .max(MOST_SURPRISES, { error: `at most ${MOST_SURPRISES}` })
      .default([]),
    /** Timesteps at which the helm went on to the next step of the plan without its cue. */
    skips: z
      .array(timestep)
      .max(MOST_SKIPS, { error: `at most ${MOST_SKIPS}` })
      .default([]),
  })
  .superRefine(({ inputs, skips, timesteps }, context) => {
    const inOrder = (at: readonly number[], path: (i: number) => (string | number)[]) =>
      at.forEach((one, i) => {
        if (one >= (at[i - 1] ?? 0) && one <= timesteps) return;
        const message = `must come in order, and not after timestep ${timesteps}`;
        context.addIssue({ code: 'custom', path: path(i), message });
      });
    inOrder(
      inputs.map((input) => input.timestep),
      (i) => ['inputs', i, 'timestep'],
    );
    inOrder(skips, (i) => ['skips', i]);
  });
export type RecordingDocument = z.infer<typeof currentRecording>;

/** Of any version. */
export const recordingSchema = z.preprocess(migrateRecording, currentRecording);

/** Something said of a run afterwards, pinned to a moment of it. */
export const runNoteSchema = z.strictObject({
  at_s,
  by: oneOf(['student', 'instructor']),
  text: longText.refine((text) => text.trim() !== '', { error: 'say something' }),
});
export type RunNote = z.infer<typeof runNoteSchema>;

export const runNotesSchema = z.array(runNoteSchema).max(200, { error: 'at most 200 notes' });

/** A run driven by hand, whole: the manoeuvre as it was then, and all that was done. */
const currentDriven = z.strictObject({
  $schema: z.literal(DRIVEN_SCHEMA),
  version: z.literal(DRIVEN_VERSION, { error: 'this program reads versions 1 and 2' }),
  manoeuvre: manoeuvreFileSchema,
  recording: recordingSchema,
  notes: runNotesSchema.default([]),
});
export type DrivenFile = z.infer<typeof currentDriven>;

/** The same but for its manoeuvre, which is checked by itself. */
export const drivenShellSchema = z.preprocess(
  migrateDriven,
  currentDriven.extend({ manoeuvre: z.unknown() }),
);

/** Of any version. */
export const drivenFileSchema = z.preprocess(migrateDriven, currentDriven);

/** What a driven run is played from. */
export interface DriveFrom {
  readonly input: RunInput;
  readonly recording: Recording;
}

/** Turns an order given at the helm into what the core obeys; one the boat or the rig has not got is a problem. */
export function toDriveOrder(
  order: OrderDocument,
  file: ManoeuvreFile,
  path = 'order',
): Result<Order> {
  const names = new Names(file);
  const timed = toOrder(order, names, path);
  return names.problems.length > 0 ? failure(...names.problems) : success(timed.order);
}

function toSurprise(surprise: SurpriseDocument, names: Names, path: string): Surprise {
  const at = surprise.at_s;
  switch (surprise.is) {
    case 'gust':
      return { is: 'gust', at, by: surprise.by, lasts: surprise.lasts_s };
    case 'veer':
      return { is: 'veer', at, by: radians(surprise.by_deg) };
    case 'current':
      return {
        is: 'current',
        at,
        set: radians(surprise.set_deg),
        speed: surprise.speed_mps,
        over: surprise.over_s,
      };
    case 'noAstern':
      return { is: 'no astern', at, engine: names.engine(surprise.engine, path) ?? 0 };
    case 'thrusterQuits':
      return { is: 'thruster quits', at, thruster: names.thruster(surprise.thruster, path) };
    case 'joystickFails':
      names.joystick(path);
      return { is: 'joystick fails', at };
    case 'lineLate':
      return { is: 'line late', at, by: surprise.by_s };
    case 'lineMissed':
      return { is: 'line missed', at };
    case 'traffic': {
      const { name, kind, outline_m, frames, replaces } = surprise;
      const traffic: Traffic = {
        name,
        kind,
        outline: Float64Array.from(outline_m.flat()),
        frames: frames.map(({ at_s: time, x_m: x, y_m: y, heading_deg }) => ({
          time,
          x,
          y,
          heading: radians(heading_deg),
        })),
        replaces,
      };
      return { is: 'traffic', at, traffic };
    }
  }
}

/** A checked recording of a manoeuvre, ready to be played; names that lead nowhere are problems. */
export function toRecording(file: ManoeuvreFile, recording: RecordingDocument): Result<Recording> {
  const names = new Names(file);
  const inputs = recording.inputs.map(({ timestep, order }, i): DriveInput => ({
    timestep,
    order: toOrder(order, names, `recording.inputs[${i}].order`).order,
  }));
  const surprises = recording.surprises.map((surprise, i) =>
    toSurprise(surprise, names, `recording.surprises[${i}]`),
  );
  if (names.problems.length > 0) return failure(...names.problems);
  const { timesteps, end, skips } = recording;
  return success({ inputs, timesteps, end, surprises, skips });
}

/** Somebody under way as a surprise is kept. */
export function trafficDocument(traffic: Traffic, at_s: number): SurpriseDocument {
  const pairs = Array.from({ length: traffic.outline.length / 2 }, (_, i): [number, number] => [
    traffic.outline[2 * i]!,
    traffic.outline[2 * i + 1]!,
  ]);
  return {
    is: 'traffic',
    at_s,
    name: traffic.name,
    kind: traffic.kind,
    outline_m: pairs,
    frames: traffic.frames.map(({ time, x, y, heading }) => ({
      at_s: time,
      x_m: x,
      y_m: y,
      heading_deg: degrees(heading),
    })),
    replaces: traffic.replaces,
  };
}

export function toDrive({
  manoeuvre,
  recording,
}: Pick<DrivenFile, 'manoeuvre' | 'recording'>): Result<DriveFrom> {
  const input = toRunInput(manoeuvre);
  if (!input.ok) return input;
  const recorded = toRecording(manoeuvre, recording);
  return recorded.ok ? success({ input: input.value, recording: recorded.value }) : recorded;
}
