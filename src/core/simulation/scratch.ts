import { KEEL_COLUMNS, STRIP_COUNT } from '../boat';
import type { Windbreak } from '../air';
import { deepWater, FLOW_COLUMNS, JET_COLUMNS, WORK_COLUMNS } from '../forces';
import {
  everyLine,
  GROUND_COLUMNS,
  shapesOf,
  SPAN_COLUMNS,
  touchScratch,
  type TouchScratch,
} from '../holding';
import type { LockPush } from '../locks';
import { TURN_COLUMNS } from '../math';
import { CURRENT_COLUMNS } from '../water';
import { actuatorStages, type ActuatorStages } from './actuators';
import { LINE_RATES_COLUMNS, lineLightness } from './line-rates';
import { MOTION_SIZE } from './state';
import { othersOf, type World } from './world';

/**
 * Wind on the boat during a step, as a row: water's velocity less the air's at its windage at each of
 * three stages (m/s, east at 2 k and north at 2 k + 1); then the mean square of shelter and its forward
 * less its aft third, as shares of the open wind's; 1 once it has been worked out, as a steady open wind needs it but once.
 */
export const AIR = { SLIP: 0, MEAN_SQUARE: 6, DIFFERENCE: 7, KNOWN: 8 } as const;
const AIR_COLUMNS = 9;

/** What the boat is doing at the stage in hand, as a row: velocity over the reference current and (R) through the water. */
export const NOW = { U: 0, V: 1, R: 2, SIN: 3, COS: 4, DENSITY: 5, UR: 6, VR: 7 } as const;
export const NOW_COLUMNS = 8;

/** Water under the boat at the step in hand, m: the least, which row of KEEL has it, and the mean depth under the whole of it. */
export const UNDER = { LEAST: 0, AT: 1, DEPTH: 2 } as const;

/** How a stage comes by what acts slowly: looks at it, takes it from the first look at the middle, goes on from there. */
export const AGAIN = { NOT: 0, MIDDLE: 1, END: 2 } as const;

/** Moments as a row, s: the step's beginning and length, the length of the piece in hand, the stage's own moment. */
export const CLOCK = { TIME: 0, STEP: 1, PIECE: 2, STAGE: 3 } as const;
const CLOCK_COLUMNS = 4;

/** Working memory of one boat's step, and nothing else. Made once per run, passed in, never shared between runs. */
export interface Scratch {
  /** Surge, sway, yaw: N, N, N·m. */
  readonly force: Float64Array;
  /** What other boats do to it at the stage in hand: surge, sway, yaw. */
  readonly outside: Float64Array;
  /**
   * What acts slowly on the boat, as looked at at the start and in the middle of the piece; whether that will do for the rest of
   * the step's pieces; and how the stage in hand takes it (AGAIN).
   */
  readonly slow: Float64Array;
  slowly: boolean;
  again: number;
  /** Columns RATES: how fast what acts on the boat can act in the step in hand. */
  readonly rates: Float64Array;
  /** Columns CLOCK. */
  readonly clock: Float64Array;
  /** Columns TURN: the boat's heading. */
  readonly turn: Float64Array;
  /** Columns STREAM. */
  readonly current: Float64Array;
  /** Columns WORK. */
  readonly work: Float64Array;
  readonly race: Float64Array;
  /** Rows of FLOW, one per drive. */
  readonly flows: Float64Array;
  /** Current over the reference at every strip, body axes; nought unless the current is a field. */
  readonly currentU: Float64Array;
  readonly currentV: Float64Array;
  /** Columns NOW. */
  readonly now: Float64Array;
  /** Columns GROUND. */
  readonly ground: Float64Array;
  /** That, and how the boat is seen by each of the other boats. */
  readonly views: Float64Array[];
  readonly touch: TouchScratch;
  /** Columns RATES of the lines, and working memory: how fast they can act; and what each moves at the boat's end, 1/kg. */
  readonly lineRates: Float64Array;
  readonly lightness: Float64Array;
  /** The lines that may pull in the step in hand (everyLine). */
  readonly pulling: Int32Array;
  /** Tension of each line, N; columns SPAN. */
  readonly tension: Float64Array;
  readonly span: Float64Array;
  readonly stages: ActuatorStages;
  readonly air: Float64Array;
  /** Where the wind comes from, rad, and its speed, m/s, at 10 m. */
  readonly wind: Float64Array;
  /** Shallow-water multipliers of this step (SHALLOW), gaps to walls (GAPS). */
  readonly shallow: Float64Array;
  readonly gaps: Float64Array;
  /** Gaps the boat's wash is felt in (WASHED), what others' wash does to it, surge, sway, yaw, and working memory. */
  readonly washed: Float64Array;
  readonly washPush: Float64Array;
  readonly jet: Float64Array;
  readonly jetFlow: Float64Array;
  /** What keeps the wind off, the other boats last where they do; their outlines are written every step. */
  windbreaks: readonly Windbreak[];
  /** Water under each row of the boat's KEEL, m, and columns UNDER. */
  readonly gapsUnder: Float64Array;
  readonly under: Float64Array;
  /** Rates of change of the motion at the four stages. */
  readonly slopes: readonly [Float64Array, Float64Array, Float64Array, Float64Array];
  readonly at: Float64Array;
  /**
   * Push of a chamber's water on the boat, body axes, and along and across the lock; its water's velocity at a place; whether water
   * runs about the nearest lock (1), and its number.
   */
  readonly lockPush: Float64Array;
  readonly pushAlong: LockPush;
  readonly lockCurrent: Float64Array;
  readonly lockNow: Float64Array;
}

function openAir(): Float64Array {
  const air = new Float64Array(AIR_COLUMNS);
  air[AIR.MEAN_SQUARE] = 1;
  return air;
}

export function makeScratch(world: World): Scratch {
  const { craft, lines } = world;
  const ground = new Float64Array(GROUND_COLUMNS);
  const vector = () => new Float64Array(MOTION_SIZE);
  const tension = new Float64Array(lines.count);
  return {
    force: new Float64Array(3),
    outside: new Float64Array(3),
    slow: new Float64Array(6),
    slowly: false,
    again: AGAIN.NOT,
    rates: new Float64Array(2),
    clock: new Float64Array(CLOCK_COLUMNS),
    turn: new Float64Array(TURN_COLUMNS),
    current: new Float64Array(CURRENT_COLUMNS),
    work: new Float64Array(WORK_COLUMNS),
    race: new Float64Array(3),
    flows: new Float64Array(FLOW_COLUMNS * craft.drives.count),
    currentU: new Float64Array(STRIP_COUNT),
    currentV: new Float64Array(STRIP_COUNT),
    now: new Float64Array(NOW_COLUMNS),
    ground,
    views: [ground, ...othersOf(world).map(() => new Float64Array(GROUND_COLUMNS))],
    touch: touchScratch(true, shapesOf(craft, world.shore)),
    lineRates: new Float64Array(LINE_RATES_COLUMNS),
    lightness: lineLightness(craft, lines),
    pulling: everyLine(lines),
    tension,
    span: new Float64Array(SPAN_COLUMNS),
    stages: actuatorStages(craft),
    air: openAir(),
    wind: new Float64Array(2),
    shallow: deepWater(),
    gaps: new Float64Array(2).fill(Infinity),
    washed: new Float64Array(3).fill(Infinity),
    washPush: new Float64Array(3),
    jet: new Float64Array(JET_COLUMNS),
    jetFlow: new Float64Array(FLOW_COLUMNS),
    windbreaks: world.environment.windbreaks,
    gapsUnder: new Float64Array(craft.keel.length / KEEL_COLUMNS).fill(Infinity),
    under: Float64Array.of(Infinity, 0, Infinity),
    slopes: [vector(), vector(), vector(), vector()],
    at: vector(),
    lockPush: new Float64Array(3),
    pushAlong: { along: 0, across: 0 },
    lockCurrent: new Float64Array(2),
    lockNow: new Float64Array(2),
  };
}
