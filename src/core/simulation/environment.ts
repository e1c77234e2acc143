import { gustSeries, type Gusts, type GustSeries, type Windbreak } from '../air';
import { windShareAt, type Craft } from '../boat';
import { GAPS, type PassingWash } from '../forces';
import type { Obstacle } from '../holding';
import { cos, rayTo, seriesAt, sin, type Series } from '../math';
import { AIR_KGPM3 } from '../units';
import { currentField, type Bottom, type CurrentField, type CurrentPattern } from '../water';

/** Wind, current and water over the whole place, SI, radians from north. All but the first five are optional. */
export interface Weather {
  /** Direction the wind comes from, and its speed at 10 m over the ground. */
  readonly windFrom: number;
  readonly windSpeed: number;
  /** Direction the current sets to, and its speed. */
  readonly currentSet: number;
  readonly currentSpeed: number;
  readonly waterDensity: number;
  /** Change of wind with time: its speed as a share, and how far it has veered, rad. */
  readonly windStrength?: Series;
  readonly windVeer?: Series;
  readonly gusts?: Gusts;
  readonly windbreaks?: readonly Windbreak[];
  readonly current?: CurrentPattern;
  /** Depth of the water at level nought, m, and the level over time, m. Deep if not given. */
  readonly depth?: number;
  readonly level?: Series;
  /** How the depth differs from place to place; `depth` holds where that is not known. */
  readonly bottom?: Bottom;
  /** Are banks and canal walls felt? */
  readonly confined?: boolean;
  /** Do other boats of the manoeuvre keep the wind off, as windbreaks do? */
  readonly boatsShelter?: boolean;
  /** What wash does; left out if not given. */
  readonly wash?: Wash;
}

/** Wash that is felt: of screws, off walls and on hulls, as a share of what the formulas say, and that of what passes. */
export interface Wash {
  readonly screws: boolean;
  readonly passing: readonly PassingWash[];
  readonly times: number;
}

/** Weather as the step needs it for one boat. */
export interface Environment {
  /** Densities and reference current as a row, for the step. */
  readonly row: Float64Array;
  readonly waterDensity: number;
  readonly airDensity: number;
  /** Reference current, m/s east and north: the same everywhere, and steady but for what `setStream` does. */
  currentEast: number;
  currentNorth: number;
  readonly windFrom: number;
  readonly windSpeed: number;
  /** Wind at the boat's windage over wind at 10 m. */
  readonly windShare: number;
  readonly windHeight: number;
  readonly windStrength: Series | null;
  readonly windVeer: Series | null;
  readonly gusts: GustSeries | null;
  readonly steadyWind: boolean;
  readonly windbreaks: readonly Windbreak[];
  /** How the current differs from place to place, and the pattern it does so by. */
  field: CurrentField | null;
  readonly pattern: CurrentPattern | null;
  readonly depth: number;
  readonly level: Series | null;
  readonly bottom: Bottom | null;
  readonly confined: boolean;
  readonly boatsShelter: boolean;
  readonly wash: Wash | null;
}

/** Columns of an environment's row. */
export const WATER = { DENSITY: 0, AIR: 1, EAST: 2, NORTH: 3 } as const;

const LONGEST_RUN_S = 900;

/**
 * Weather for a boat. The wind profile is taken over the moving water surface, so that adding one
 * velocity to current and wind alike changes nothing but the ground (Galilean invariance).
 *
 * @param duration how long gusts are wanted for, s
 */
export function environmentFor(
  craft: Craft,
  weather: Weather,
  duration = LONGEST_RUN_S,
): Environment {
  const currentEast = weather.currentSpeed * sin(weather.currentSet);
  const currentNorth = weather.currentSpeed * cos(weather.currentSet);
  const gusty = weather.gusts !== undefined && weather.gusts.intensity > 0;
  const gusts = gusty && weather.gusts ? gustSeries(weather.gusts, duration) : null;
  const height = craft.spec.windage.centreHeight;
  const windStrength = weather.windStrength ?? null;
  const windVeer = weather.windVeer ?? null;
  return {
    row: Float64Array.from([weather.waterDensity, AIR_KGPM3, currentEast, currentNorth]),
    waterDensity: weather.waterDensity,
    airDensity: AIR_KGPM3,
    currentEast,
    currentNorth,
    windFrom: weather.windFrom,
    windSpeed: weather.windSpeed,
    windShare: windShareAt(height),
    windHeight: height,
    windStrength,
    windVeer,
    gusts,
    steadyWind: !gusts && !windStrength && !windVeer,
    windbreaks: weather.windbreaks ?? [],
    field: weather.current ? currentField(currentEast, currentNorth, weather.current) : null,
    pattern: weather.current ?? null,
    depth: weather.depth ?? Infinity,
    level: weather.level ?? null,
    bottom: weather.bottom ?? null,
    confined: weather.confined ?? false,
    boatsShelter: weather.boatsShelter ?? false,
    wash: weather.wash ?? null,
  };
}

/** Wind at 10 m at a moment: where it comes from (rad, not wrapped) at [0], speed at [1] of `out`. */
export function windAt(out: Float64Array, environment: Environment, time: number): void {
  const { gusts, windStrength, windVeer } = environment;
  let from = environment.windFrom;
  let speed = environment.windSpeed;
  if (windStrength) speed *= seriesAt(windStrength, time);
  if (windVeer) from += seriesAt(windVeer, time);
  if (gusts) {
    speed *= seriesAt(gusts.strength, time);
    from += seriesAt(gusts.swing, time);
  }
  out[0] = from;
  out[1] = speed;
}

/** Depth of water at a moment, m, where it is the same everywhere. */
export function depthAt(environment: Pick<Environment, 'depth' | 'level'>, time: number): number {
  return environment.depth + (environment.level ? seriesAt(environment.level, time) : 0);
}

/** Looks abeam on both sides for walls and banks. Written into `out`. */
export function sideGaps(
  out: Float64Array,
  obstacles: readonly Obstacle[],
  x: number,
  y: number,
  sinPsi: number,
  cosPsi: number,
  halfBeam: number,
): void {
  let port = Infinity;
  let starboard = Infinity;
  for (let i = 0; i < obstacles.length; i++) {
    const { outline } = obstacles[i]!;
    if (!outline) continue;
    // Starboard lies along (cos ψ, −sin ψ).
    starboard = Math.min(starboard, rayTo(outline, x, y, cosPsi, -sinPsi));
    port = Math.min(port, rayTo(outline, x, y, -cosPsi, sinPsi));
  }
  out[GAPS.PORT] = port - halfBeam;
  out[GAPS.STARBOARD] = starboard - halfBeam;
}
