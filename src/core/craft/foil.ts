import type { FoilSpec } from './spec';
import { sin } from '../math';

/** A fin's coefficients, ready for the step. See forces/foil.ts for how they are used. */
export interface Foil {
  readonly x: number;
  readonly y: number;
  readonly area: number;
  /** Lift slope per radian, leading edge first. */
  readonly slope: number;
  readonly reversedShare: number;
  /** 1/(π A e): induced drag over lift coefficient squared. */
  readonly induced: number;
  readonly profileDrag: number;
  readonly broadsideDrag: number;
  readonly speedShare: number;
  /** sin² of incidence where stall begins and the reciprocal width of its blend, both ways of flow. */
  readonly stallFrom: number;
  readonly stallOver: number;
  readonly reversedStallFrom: number;
  readonly reversedStallOver: number;
}

const STALL_BLEND_RADIANS = 0.26;
const OSWALD_EFFICIENCY = 0.9;

/**
 * Lift slope 2πA/(2 + √(4 + A²)) (Helmbold 1942, low aspect ratio);
 * at A = 1…3 it lies between the fits of Fujii and of Whicker & Fehlner (recalled, not looked up).
 */
export function liftSlope(effectiveAspect: number): number {
  return (2 * Math.PI * effectiveAspect) / (2 + Math.sqrt(4 + effectiveAspect * effectiveAspect));
}

export function assembleFoil(spec: FoilSpec): Foil {
  const reversedStall = spec.stallAngle * spec.reversedShare;
  const edge = (angle: number) => sin(angle) * sin(angle);
  const width = (angle: number) => 1 / (edge(angle + STALL_BLEND_RADIANS) - edge(angle));
  return {
    x: spec.x,
    y: spec.y,
    area: spec.area,
    slope: liftSlope(spec.effectiveAspect),
    reversedShare: spec.reversedShare,
    induced: 1 / (Math.PI * spec.effectiveAspect * OSWALD_EFFICIENCY),
    profileDrag: spec.profileDrag,
    broadsideDrag: spec.broadsideDrag,
    speedShare: spec.speedShare,
    stallFrom: edge(spec.stallAngle),
    stallOver: width(spec.stallAngle),
    reversedStallFrom: edge(reversedStall),
    reversedStallOver: width(reversedStall),
  };
}
