import { STRIP_COUNT, type Craft } from '../craft';
import { deepWater, FLOW_COLUMNS, type ShallowFactors } from '../forces';
import {
  touchScratch,
  type BoatMotion,
  type Lines,
  type Obstacle,
  type TouchScratch,
} from '../holding';
import { actuatorStages, type ActuatorStages } from './actuators';
import type { Environment, SideGaps } from './environment';
import { MOTION_SIZE } from './state';

/** A run's fixed surroundings. */
export interface World {
  readonly craft: Craft;
  readonly environment: Environment;
  readonly obstacles: readonly Obstacle[];
  readonly lines: Lines;
}

/** Wind on the boat during a step. */
export interface AirScratch {
  /** Water's velocity less the air's at the boat's windage, m/s, east at 2 k and north at 2 k + 1 of stage k. */
  readonly slip: Float64Array;
  /** Mean square of shelter, and forward less aft third of it, as shares of the open wind's. */
  meanSquare: number;
  difference: number;
  readonly wind: Float64Array;
}

/** Working memory of the step. Made once per run, passed in, never shared between runs. */
export interface Scratch {
  /** Surge, sway, yaw: N, N, N·m. */
  readonly force: Float64Array;
  /** Two cells for forces to hand numbers back in. */
  readonly pair: Float64Array;
  readonly race: Float64Array;
  /** Rows of FLOW, one per drive. */
  readonly flows: Float64Array;
  /** Stream over the reference at every strip, body axes; nought unless the stream is a field. */
  readonly streamU: Float64Array;
  readonly streamV: Float64Array;
  readonly ground: BoatMotion;
  readonly touch: TouchScratch;
  /** Tension of each line, N. */
  readonly tension: Float64Array;
  readonly stages: ActuatorStages;
  readonly air: AirScratch;
  /** Shallow-water multipliers of this step, and whether there are any. */
  readonly shallow: ShallowFactors;
  readonly gaps: SideGaps;
  readonly k1: Float64Array;
  readonly k2: Float64Array;
  readonly k3: Float64Array;
  readonly k4: Float64Array;
  readonly at: Float64Array;
}

export function makeScratch({ craft, lines }: World): Scratch {
  const vector = () => new Float64Array(MOTION_SIZE);
  return {
    force: new Float64Array(3),
    pair: new Float64Array(2),
    race: new Float64Array(2),
    flows: new Float64Array(FLOW_COLUMNS * craft.drives.count),
    streamU: new Float64Array(STRIP_COUNT),
    streamV: new Float64Array(STRIP_COUNT),
    ground: { x: 0, y: 0, sin: 0, cos: 0, surge: 0, sway: 0, yaw: 0 },
    touch: touchScratch(),
    tension: new Float64Array(lines.count),
    stages: actuatorStages(craft),
    air: { slip: new Float64Array(6), meanSquare: 1, difference: 0, wind: new Float64Array(2) },
    shallow: deepWater(),
    gaps: { port: Infinity, starboard: Infinity },
    k1: vector(),
    k2: vector(),
    k3: vector(),
    k4: vector(),
    at: vector(),
  };
}
