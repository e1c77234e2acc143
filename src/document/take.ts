import { z } from 'zod';
import { LOCK_COLUMNS, MORE_COLUMNS, TRACE_COLUMNS, type TraceColumn } from '@/core/sim';
import type { Take } from '@/core/score';
import { degrees } from './fields';
import { eventText, headingOf } from './event-text';
import { manoeuvreFileSchema, type ManoeuvreFile } from './manoeuvre';

export const TAKE_SCHEMA = 'yawtrope:take';

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

/** What `npm run play` prints: a take without its trace. */
export const takeSummarySchema = z.strictObject({
  outcome: z.enum([
    'reached',
    'missed',
    'hard touch',
    'unsafe',
    'fouled',
    'struck',
    'aground',
    'hung up',
    'caught overhead',
    'broke off',
    'cue never came',
    'out of time',
  ]),
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
    /** How far her deck hung over something lower at most; null when it never did. */
    overhang: z
      .strictObject({ by_m: finite, over: z.string(), part: z.string(), time_s: finite })
      .nullable(),
    /** Least water under her; null where nothing is known of the depth. */
    underKeel: z
      .strictObject({ depth_m: finite, part: z.string(), time_s: finite, x_m: finite, y_m: finite })
      .nullable()
      .default(null),
    /** Least room over her under a bridge; null when she passed under none. */
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
  beats: z.array(
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
      beat: z.string().nullable(),
      text: z.string(),
    }),
  ),
});
export type TakeSummary = z.infer<typeof takeSummarySchema>;

/** A take as kept in a file: the manoeuvre it came from, what it showed, and every sample. */
export const takeFileSchema = z.strictObject({
  $schema: z.literal(TAKE_SCHEMA),
  version: z.literal(1),
  manoeuvre: manoeuvreFileSchema,
  summary: takeSummarySchema,
  /** Columns of equal length, SI and radians, heading unwrapped; see docs/formats. */
  trace: z.partialRecord(
    z.enum([...TRACE_COLUMNS, ...MORE_COLUMNS, ...LOCK_COLUMNS]),
    z.array(z.number().nullable()),
  ),
});
export type TakeFile = z.infer<typeof takeFileSchema>;

const GOAL_UNITS = {
  clearance: 'm',
  lines: 'lines',
  past: 'm',
  distance: 'm',
  heading: 'degrees',
  speed: 'm/s',
} as const;

/** The summary of a take of a manoeuvre. */
export function summarise(take: Take, file: ManoeuvreFile): TakeSummary {
  const { margins, trace } = take;
  const last = trace.time.length - 1;
  const at = (column: TraceColumn) => trace[column][last]!;
  const beatId = (beat: number) => file.score.beats[beat]?.id ?? 'end';
  const touches = take.touches.map((t) => ({
    time_s: t.time,
    on: t.name,
    part: t.part,
    fender: t.fender,
    speed_mps: t.speed,
    energy_J: t.energy,
    peakForce_N: t.peakForce,
    grade: t.grade,
  }));
  const worst = margins.touch ? take.touches.indexOf(margins.touch) : -1;
  const scale = (what: string) => (what === 'heading' ? degrees(1) : 1);
  return {
    outcome: take.outcome,
    duration_s: take.duration,
    goal: take.goal.map((c) => ({
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
        name: file.score.lines[margins.line.line]?.name ?? '',
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
    beats: take.beats.map((b) => ({
      id: beatId(b.beat),
      time_s: b.time,
      x_m: b.x,
      y_m: b.y,
      heading_deg: headingOf(b.heading),
    })),
    touches,
    events: take.events.map((event) => ({
      time_s: event.time,
      is: event.is,
      beat: 'beat' in event ? beatId(event.beat) : null,
      text: eventText(event, file.score),
    })),
  };
}

/** A take with its trace, ready to be written. Clearance is null where there is nothing near. */
export function toTakeFile(take: Take, file: ManoeuvreFile): TakeFile {
  const column = (values: Float64Array) =>
    Array.from(values, (value) => (Number.isFinite(value) ? value : null));
  return {
    $schema: TAKE_SCHEMA,
    version: 1,
    manoeuvre: file,
    summary: summarise(take, file),
    trace: Object.fromEntries(
      Object.entries(take.trace).map(([name, values]) => [name, column(values)]),
    ) as TakeFile['trace'],
  };
}
