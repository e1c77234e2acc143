import { z } from 'zod';
import { COLUMN_NAMES, namedColumns, type OwnColumn } from '@/core/simulation';
import { OUTCOMES, type Run } from '@/core/plan';
import { degrees } from './fields';
import { eventText, headingOf } from './event-text';
import { manoeuvreFileSchema, type ManoeuvreFile } from './manoeuvre';
import { migrateRun, RUN_SCHEMA, RUN_VERSION } from './run-migrations';

const finite = z.number();
const heading = z.number().min(0).max(360);

const touchSchema = z.strictObject({
  time_s: finite,
  on: z.string(),
  part: z.string(),
  fender: z.string().nullable(),
  speed_mps: finite,
  energy_J: finite,
  peakForce_N: finite,
  grade: z.enum(['soft', 'firm', 'hard']),
});

/** What `npm run play` prints: a run without its trace. */
export const runSummarySchema = z.strictObject({
  outcome: z.enum(OUTCOMES),
  duration_s: finite,
  goal: z.array(
    z.strictObject({
      what: z.enum(['clearance', 'lines', 'past', 'distance', 'heading', 'speed']),
      found: finite,
      limit: finite,
      unit: z.string(),
      met: z.boolean(),
    }),
  ),
  margins: z.strictObject({
    clearance: z
      .strictObject({
        distance_m: finite,
        from: z.string(),
        part: z.string(),
        time_s: finite,
        x_m: finite,
        y_m: finite,
      })
      .nullable(),
    /** How far the boat's deck hung over something lower at most; null when it never did. */
    overhang: z
      .strictObject({ by_m: finite, over: z.string(), part: z.string(), time_s: finite })
      .nullable(),
    /** Least water under the boat; null where nothing is known of the depth. */
    underKeel: z
      .strictObject({ depth_m: finite, part: z.string(), time_s: finite, x_m: finite, y_m: finite })
      .nullable()
      .default(null),
    /** Least room over the boat under a bridge; null when it passed under none. */
    overhead: z
      .strictObject({ room_m: finite, under: z.string(), time_s: finite })
      .nullable()
      .default(null),
    /** The line nearest to its breaking load; null when none was loaded. */
    line: z
      .strictObject({ name: z.string(), tension_N: finite, breaks_N: finite, time_s: finite })
      .nullable(),
    touch: touchSchema.nullable(),
    touches: z.number().int(),
    fastest_mps: finite,
    gearShifts: z.number().int(),
    neutral_s: finite,
  }),
  final: z.strictObject({
    x_m: finite,
    y_m: finite,
    heading_deg: heading,
    surge_mps: finite,
    sway_mps: finite,
    yawRate_degps: finite,
    groundSpeed_mps: finite,
  }),
  steps: z.array(
    z.strictObject({
      id: z.string(),
      time_s: finite,
      x_m: finite,
      y_m: finite,
      heading_deg: heading,
    }),
  ),
  touches: z.array(touchSchema),
  events: z.array(
    z.strictObject({
      time_s: finite,
      is: z.string(),
      step: z.string().nullable(),
      text: z.string(),
    }),
  ),
});
export type RunSummary = z.infer<typeof runSummarySchema>;

/** A run as kept in a file: the manoeuvre it came from, what it showed, and every sample. */
const currentRun = z.strictObject({
  $schema: z.literal(RUN_SCHEMA),
  version: z.literal(RUN_VERSION, { error: 'this program reads versions 1 and 2' }),
  manoeuvre: manoeuvreFileSchema,
  summary: runSummarySchema,
  /** Columns of equal length, SI and radians, heading unwrapped; see docs/formats. */
  trace: z.partialRecord(z.enum(COLUMN_NAMES), z.array(z.number().nullable())),
});
export type RunFile = z.infer<typeof currentRun>;

/** Of any version. */
export const runFileSchema = z.preprocess(migrateRun, currentRun);

const GOAL_UNITS = {
  clearance: 'm',
  lines: 'lines',
  past: 'm',
  distance: 'm',
  heading: 'degrees',
  speed: 'm/s',
} as const;

/** The summary of a run of a manoeuvre. */
export function summarise(run: Run, file: ManoeuvreFile): RunSummary {
  const { margins, trace } = run;
  const last = trace.time.length - 1;
  const at = (column: OwnColumn) => trace[column][last]!;
  const stepId = (step: number) => file.plan.steps[step]?.id ?? 'end';
  const touches = run.touches.map((t) => ({
    time_s: t.time,
    on: t.name,
    part: t.part,
    fender: t.fender,
    speed_mps: t.speed,
    energy_J: t.energy,
    peakForce_N: t.peakForce,
    grade: t.grade,
  }));
  const worst = margins.touch ? run.touches.indexOf(margins.touch) : -1;
  const scale = (what: string) => (what === 'heading' ? degrees(1) : 1);
  return {
    outcome: run.outcome,
    duration_s: run.duration,
    goal: run.goal.map((c) => ({
      what: c.what,
      found: c.found * scale(c.what),
      limit: c.limit * scale(c.what),
      unit: GOAL_UNITS[c.what],
      met: c.met,
    })),
    margins: {
      clearance: margins.clearance && {
        distance_m: margins.clearance.distance,
        from: margins.clearance.name,
        part: margins.clearance.part,
        time_s: margins.clearance.time,
        x_m: margins.clearance.x,
        y_m: margins.clearance.y,
      },
      overhang: margins.overhang && {
        by_m: -margins.overhang.distance,
        over: margins.overhang.name,
        part: margins.overhang.part,
        time_s: margins.overhang.time,
      },
      underKeel: margins.underKeel && {
        depth_m: margins.underKeel.depth,
        part: margins.underKeel.part,
        time_s: margins.underKeel.time,
        x_m: margins.underKeel.x,
        y_m: margins.underKeel.y,
      },
      overhead: margins.overhead && {
        room_m: margins.overhead.room,
        under: margins.overhead.name,
        time_s: margins.overhead.time,
      },
      line: margins.line && {
        name: file.plan.lines[margins.line.line]?.name ?? '',
        tension_N: margins.line.tension,
        breaks_N: margins.line.breaks,
        time_s: margins.line.time,
      },
      touch: touches[worst] ?? null,
      touches: touches.length,
      fastest_mps: margins.fastest,
      gearShifts: margins.gearShifts,
      neutral_s: margins.neutralSeconds,
    },
    final: {
      x_m: at('x'),
      y_m: at('y'),
      heading_deg: headingOf(at('heading')),
      surge_mps: at('surge'),
      sway_mps: at('sway'),
      yawRate_degps: degrees(at('yawRate')),
      groundSpeed_mps: at('groundSpeed'),
    },
    steps: run.steps.map((b) => ({
      id: stepId(b.step),
      time_s: b.time,
      x_m: b.x,
      y_m: b.y,
      heading_deg: headingOf(b.heading),
    })),
    touches,
    events: run.events.map((event) => ({
      time_s: event.time,
      is: event.is,
      step: 'step' in event ? stepId(event.step) : null,
      text: eventText(event, file.plan),
    })),
  };
}

/** A run with its trace, ready to be written. Clearance is null where there is nothing near. */
export function toRunFile(run: Run, file: ManoeuvreFile): RunFile {
  const column = (values: Float64Array) =>
    Array.from(values, (value) => (Number.isFinite(value) ? value : null));
  return {
    $schema: RUN_SCHEMA,
    version: RUN_VERSION,
    manoeuvre: file,
    summary: summarise(run, file),
    trace: Object.fromEntries(
      Object.entries(namedColumns(run.trace)).map(([name, values]) => [name, column(values)]),
    ) as RunFile['trace'],
  };
}
