import type { FlatPoints } from '../math';
import type { ShipDerivatives } from './ship-derivatives';

/**
 * What a boat is, in SI units and radians, body axes x forward of midships, y to starboard.
 * Everything here is a property of the boat alone. Validated before it gets here.
 */
export interface BoatSpec {
  readonly name: string;
  readonly hull: HullSpec;
  readonly foils: readonly FoilSpec[];
  readonly drives: readonly DriveSpec[];
  readonly rudders: readonly RudderSpec[];
  readonly thrusters: readonly ThrusterSpec[];
  readonly steering: SteeringSpec;
  /** Has the boat a joystick that moves engines, drives and thrusters for the helm? */
  readonly joystick: boolean;
  readonly windage: WindageSpec;
  readonly fenders: readonly FenderSpec[];
  readonly points: readonly NamedPoint[];
}

export interface HullSpec {
  /** Length over all and greatest beam of the deck outline, m. */
  readonly length: number;
  readonly beam: number;
  readonly waterlineLength: number;
  /** Greatest draught, keel and drives included, m. */
  readonly draught: number;
  /** Mass, kg. */
  readonly mass: number;
  /** Centre of gravity forward of midships, m. */
  readonly xG: number;
  /** Radius of gyration in yaw about the centre of gravity, m. */
  readonly yawRadius: number;
  /** Closed outline of the deck, and of the waterline of each hull about its own centreline, m. */
  readonly deck: FlatPoints;
  readonly waterline: FlatPoints;
  /** Draught of the canoe body along the hull: x, draught pairs from aft forward, m. */
  readonly draughts: FlatPoints;
  /** Height of the deck's edge amidships over the water, m. */
  readonly freeboard: number;
  /** Height of the boat's highest point over the water, m; nought where it is not known. */
  readonly airDraught?: number;
  /** Distance of each hull's centreline from the middle, m: 0 for one hull, more for a catamaran. */
  readonly demihullOffset: number;
  /** Cross-flow drag coefficient of the canoe body (of both hulls together, for a catamaran). */
  readonly crossFlowDrag: number;
  /** How much more of it the leading end has than the middle, when the flow is nearly along: 0 to 0.9. */
  readonly crossFlowLead: number;
  /** Share of the lateral area's drag that oblique flow adds lengthwise. */
  readonly obliqueDrag: number;
  /** Lift of the bare hull at small drift: area, where it acts from the lateral centre, spread; m², m, m. */
  readonly liftArea: number;
  readonly liftArm: number;
  readonly liftSpread: number;
  /** Centre that arm is counted from, forward of midships, m. */
  readonly liftCentre: number;
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
  /** Published derivatives of a ship, instead of the general hull, propeller and rudder; or null. */
  readonly derivatives: ShipDerivatives | null;
}

/** A fin that lifts: keel, skeg, lower unit or rudder blade. */
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
  /** Index of the drive in whose race the blade stands, or null. */
  readonly inRaceOf: number | null;
  /** Share of the race's extra dynamic pressure that acts on the blade. */
  readonly raceEffect: number;
  /** Share of the hull's sideways motion the blade feels: a full stern straightens the flow. */
  readonly straightening: number;
  /** a_H: side force the blade raises on the hull over its own, and where that acts, m. */
  readonly hullShare: number;
  readonly hullShareX: number;
  /** t_R: share of the blade's drag that the hull's gain takes off. */
  readonly dragDeduction: number;
  /** Share of the blade's force left going astern: less where a keel or skeg stands close before it. */
  readonly asternShare: number;
}

export interface SteeringSpec {
  readonly control: 'wheel' | 'tiller';
  /** Rudder or drive rate, radians/s. */
  readonly rate: number;
  /** Greatest angle of steered drives, radians (rudders carry their own). */
  readonly driveLimit: number;
}

/** A propeller with its engine and gearbox, on a fixed shaft or on a leg that steers. */
export interface DriveSpec {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  /** Fixed shaft or sail drive; turned by the wheel; or turned by the wheel and by itself under a joystick. */
  readonly steering: 'fixed' | 'wheel' | 'own';
  /** The leg in the water, a small rudder when it steers; null for a shaft. */
  readonly leg: FoilSpec | null;
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
  /** Propeller revolutions at idle and at full throttle, 1/s. */
  readonly idleRps: number;
  readonly fullRps: number;
  /** Most revolutions the engine's torque can turn from rest, 1/s; Infinity for no limit. */
  readonly bollardRps: number;
  /** Time constant of revolutions, s. */
  readonly response: number;
  /** Lever to clutch, s. */
  readonly shiftDelay: number;
  /** Least time in neutral between ahead and astern, s. */
  readonly neutralPause: number;
}

/** A tunnel thruster, pushing the boat to either side. */
export interface ThrusterSpec {
  readonly name: string;
  readonly x: number;
  /** Static thrust, N, immersion loss already off. */
  readonly thrust: number;
  /** Speed of its jet at full thrust, m/s. */
  readonly jetSpeed: number;
  /** Only off or full, or any power between. */
  readonly control: 'on-off' | 'proportional';
  /** Time constant of run-up, and least wait before it runs the other way, s. */
  readonly response: number;
  readonly reverseDelay: number;
  /** Seconds at full power until it cuts out hot (Infinity: none), and time constant of cooling, s. */
  readonly heatTime: number;
  readonly coolTime: number;
}

export interface WindageSpec {
  readonly frontalArea: number;
  readonly lateralArea: number;
  /** Drag coefficients: wind from ahead, from astern, from the side. */
  readonly frontalDrag: number;
  readonly sternDrag: number;
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
  /** Height of its middle over the water, m; that of what the boat meets if not given. */
  readonly height?: number | undefined;
  /** Inflation above atmosphere, Pa. */
  readonly pressure: number;
  readonly loss: number;
}

export interface NamedPoint {
  readonly name: string;
  readonly x: number;
  readonly y: number;
}
