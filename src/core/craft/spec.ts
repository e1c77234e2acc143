import type { FlatPoints } from '../math';

/**
 * What a boat is, in SI units and radians, body axes x forward of midships, y to starboard.
 * Everything here is a property of the boat alone. Validated before it gets here.
 */
export interface BoatSpec {
  readonly name: string;
  readonly hull: HullSpec;
  readonly foils: readonly FoilSpec[];
  readonly shafts: readonly ShaftSpec[];
  readonly rudders: readonly RudderSpec[];
  readonly steering: SteeringSpec;
  readonly windage: WindageSpec;
  readonly fenders: readonly FenderSpec[];
  readonly points: readonly NamedPoint[];
}

export interface HullSpec {
  /** Length over all and greatest beam of the deck outline, m. */
  readonly length: number;
  readonly beam: number;
  readonly waterlineLength: number;
  /** Mass, kg. */
  readonly mass: number;
  /** Centre of gravity forward of midships, m. */
  readonly xG: number;
  /** Radius of gyration in yaw about the centre of gravity, m. */
  readonly yawRadius: number;
  /** Closed outlines, body axes, m. */
  readonly deck: FlatPoints;
  readonly waterline: FlatPoints;
  /** Draught of the canoe body along the hull: x, draught pairs from aft forward, m. */
  readonly draughts: FlatPoints;
  /** Cross-flow drag coefficient of the canoe body. */
  readonly crossFlowDrag: number;
  readonly wettedArea: number;
  readonly formFactor: number;
  /** Residuary resistance over weight: quadratic·Fn² + sextic·Fn⁶. */
  readonly residuaryQuadratic: number;
  readonly residuarySextic: number;
  /** Resistance going astern over resistance ahead at the same speed. */
  readonly asternFactor: number;
  /** Added mass in surge and sway as shares of mass, in yaw as share of the inertia. */
  readonly addedSurge: number;
  readonly addedSway: number;
  readonly addedYaw: number;
  /** Share of the potential Munk moment that a real, shedding hull keeps. */
  readonly munkFactor: number;
  /** Stiffness of bare hull against a hard face, N/m, and its loss factor, s/m. */
  readonly touchStiffness: number;
  readonly touchLoss: number;
}

/** A fin that lifts: keel, skeg or rudder blade. */
export interface FoilSpec {
  readonly name: string;
  /** Place of the centre of pressure, m. */
  readonly x: number;
  readonly y: number;
  readonly area: number;
  /** Aspect ratio with the hull's mirror effect counted. */
  readonly effectiveAspect: number;
  readonly stallAngle: number;
  /** Drag coefficient at no incidence, on planform area. */
  readonly profileDrag: number;
  /** Normal-force coefficient broadside. */
  readonly broadsideDrag: number;
  /** Lift slope and stall angle trailing edge first, as a share of leading edge first. */
  readonly reversedShare: number;
  /** Local speed over boat speed (hull wake). */
  readonly speedShare: number;
}

export interface RudderSpec extends FoilSpec {
  readonly span: number;
  /** Greatest angle either way, radians. */
  readonly limit: number;
  /** Index of the shaft in whose race the blade stands, or null. */
  readonly inRaceOf: number | null;
  /** Share of the race's extra dynamic pressure that acts on the blade. */
  readonly raceEffect: number;
}

export interface SteeringSpec {
  readonly control: 'wheel' | 'tiller';
  /** Rudder rate, radians/s. */
  readonly rate: number;
}

export interface ShaftSpec {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  /** +1 right-handed (turns clockwise seen from astern, going ahead), −1 left-handed. */
  readonly hand: 1 | -1;
  readonly diameter: number;
  readonly pitch: number;
  /** Thrust coefficient K_T at bollard, ahead. */
  readonly bollardThrust: number;
  /** Bollard thrust astern over ahead at the same revolutions. */
  readonly asternEfficiency: number;
  readonly wakeFraction: number;
  readonly thrustDeduction: number;
  /** Side force over thrust from rest, astern and ahead. */
  readonly walkAstern: number;
  readonly walkAhead: number;
  /** Shaft revolutions at idle and at full throttle, 1/s. */
  readonly idleRps: number;
  readonly fullRps: number;
  /** Time constant of revolutions, s. */
  readonly response: number;
  /** Lever to clutch, s. */
  readonly shiftDelay: number;
  /** Least time in neutral between ahead and astern, s. */
  readonly neutralPause: number;
}

export interface WindageSpec {
  readonly frontalArea: number;
  readonly lateralArea: number;
  readonly frontalDrag: number;
  readonly sideDrag: number;
  /** Centre of the lateral area forward of midships and above the water, m. */
  readonly centreX: number;
  readonly centreHeight: number;
  /** Shift of the centre towards the windward end, share of length, times cos γ. */
  readonly centreShift: number;
}

/** A cylindrical inflatable fender hung at the deck edge. */
export interface FenderSpec {
  readonly name: string;
  /** Centre of the fender, body axes, m. */
  readonly x: number;
  readonly y: number;
  readonly diameter: number;
  readonly length: number;
  /** Inflation above atmosphere, Pa. */
  readonly pressure: number;
  readonly loss: number;
}

export interface NamedPoint {
  readonly name: string;
  readonly x: number;
  readonly y: number;
}
