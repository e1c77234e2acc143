import { sin } from '../math';
import { FOIL, FOIL_COLUMNS } from './rows';
import type { FoilSpec } from './spec';

const STALL_BLEND_RADIANS = 0.26;
const OSWALD_EFFICIENCY = 0.9;

/**
 * Lift slope 2πA/(2 + √(4 + A²)) (Helmbold 1942, low aspect ratio);
 * at A = 1…3 it lies between the fits of Fujii and of Whicker & Fehlner (recalled, not looked up).
 */
export function liftSlope(effectiveAspect: number): number {
  return (2 * Math.PI * effectiveAspect) / (2 + Math.sqrt(4 + effectiveAspect * effectiveAspect));
}

/**
 * A fin's row (FOIL), standing in the water of hull strip `strip`.
 *
 * @param spec with `stallInRace` where it stalls later in a race, rad
 */
export function foilRow(
  spec: FoilSpec & { readonly stallInRace?: number },
  strip = 0,
  columns: number = FOIL_COLUMNS,
): Float64Array {
  const reversedStall = spec.stallAngle * spec.reversedShare;
  const edge = (angle: number) => sin(angle) * sin(angle);
  const width = (angle: number) => 1 / (edge(angle + STALL_BLEND_RADIANS) - edge(angle));
  const row = new Float64Array(columns);
  row[FOIL.X] = spec.x;
  row[FOIL.Y] = spec.y;
  row[FOIL.HALF_AREA] = 0.5 * spec.area;
  row[FOIL.SLOPE] = liftSlope(spec.effectiveAspect);
  row[FOIL.REVERSED] = spec.reversedShare;
  row[FOIL.INDUCED] = 1 / (Math.PI * spec.effectiveAspect * OSWALD_EFFICIENCY);
  row[FOIL.PROFILE] = spec.profileDrag;
  row[FOIL.BROADSIDE] = spec.broadsideDrag;
  row[FOIL.SPEED] = spec.speedShare;
  row[FOIL.STALL_FROM] = edge(spec.stallAngle);
  row[FOIL.STALL_OVER] = width(spec.stallAngle);
  row[FOIL.REVERSED_FROM] = edge(reversedStall);
  row[FOIL.REVERSED_OVER] = width(reversedStall);
  row[FOIL.STRIP] = strip;
  const later = spec.stallInRace ?? spec.stallAngle;
  row[FOIL.LATER_FROM] = edge(later) - edge(spec.stallAngle);
  row[FOIL.LATER_OVER] = width(later) - width(spec.stallAngle);
  row[FOIL.EDGES] = spec.broadsideDrag / (1 + spec.effectiveAspect);
  return row;
}
