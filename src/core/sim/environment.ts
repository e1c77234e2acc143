import type { Craft } from '../craft';
import { windShareAt } from '../forces';
import { cos, sin } from '../math';
import { AIR_KGPM3 } from '../units';

/** Wind and stream over the whole place, SI, radians from north. */
export interface Weather {
  /** Direction the wind comes from, and its speed at 10 m over the ground. */
  readonly windFrom: number;
  readonly windSpeed: number;
  /** Direction the stream sets to, and its speed. */
  readonly streamSet: number;
  readonly streamSpeed: number;
  readonly waterDensity: number;
}

/** Weather as the step needs it for one boat: east and north parts, m/s. */
export interface Environment {
  readonly waterDensity: number;
  readonly airDensity: number;
  readonly streamEast: number;
  readonly streamNorth: number;
  /** Velocity of the water over ground less that of the air at the boat's windage, m/s. */
  readonly slipEast: number;
  readonly slipNorth: number;
}

/**
 * Weather for a boat. The wind profile is taken over the moving water surface, so that adding one
 * velocity to stream and wind alike changes nothing but the ground (Galilean invariance).
 */
export function environmentFor(craft: Craft, weather: Weather): Environment {
  const streamEast = weather.streamSpeed * sin(weather.streamSet);
  const streamNorth = weather.streamSpeed * cos(weather.streamSet);
  const windEast = -weather.windSpeed * sin(weather.windFrom);
  const windNorth = -weather.windSpeed * cos(weather.windFrom);
  const share = windShareAt(craft.spec.windage.centreHeight);
  return {
    waterDensity: weather.waterDensity,
    airDensity: AIR_KGPM3,
    streamEast,
    streamNorth,
    slipEast: share * (streamEast - windEast),
    slipNorth: share * (streamNorth - windNorth),
  };
}
