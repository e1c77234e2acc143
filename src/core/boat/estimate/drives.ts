import { frictionCoefficient, HUMP_FROUDE } from '../hull-rows';
import { raceLeftAside, zeroThrustAdvance } from '../drive-rows';
import { cubeRoot } from '../../math';
import { SEA_WATER_KGPM3, GRAVITY_MPS2, WATER_VISCOSITY_M2PS } from '../../units';
import type { DriveSpec, FoilSpec, RudderSpec, ThrusterSpec } from '../spec';
import { CLASS_DEFAULTS } from './classes';
import type { HullEstimate } from './hull';
import { propulsorOf, type Propulsor } from '../propulsors';
import type { BladeKind, OwnerFigures } from './owner';

const RAD = Math.PI / 180;

/** Blade types: number, astern over ahead thrust at one speed of turning (recalled ranges: docs/physics.md). */
export const BLADES: Readonly<
  Record<BladeKind, { count: number; folding: 'fixed' | 'folding' | 'feathering'; astern: number }>
> = {
  '3 fixed': { count: 3, folding: 'fixed', astern: 0.7 },
  '4 fixed': { count: 4, folding: 'fixed', astern: 0.72 },
  '2 fixed': { count: 2, folding: 'fixed', astern: 0.6 },
  '2 folding': { count: 2, folding: 'folding', astern: 0.38 },
  '3 folding': { count: 3, folding: 'folding', astern: 0.62 },
  feathering: { count: 3, folding: 'feathering', astern: 0.9 },
};

/** Places athwart, port to starboard. */
function spreadAthwart(owner: OwnerFigures, hull: HullEstimate, kind: Propulsor): number[] {
  const { engines, beam, screwOffset } = owner;
  if (engines === 1) return [screwOffset];
  if (hull.demihullOffset > 0 && engines === 2) return [-hull.demihullOffset, hull.demihullOffset];
  const [share, most] = kind.apart;
  const apart = Math.min(most, share * beam);
  return Array.from(
    { length: engines },
    (_, i) => (i - (engines - 1) / 2) * (engines > 2 ? apart * 0.8 : apart),
  );
}

/** A leg behind its propeller, as the blade it is. */
function legBehind(diameter: number): Omit<FoilSpec, 'name' | 'x' | 'y'> {
  const span = 1.1 * diameter;
  const chord = 0.75 * diameter;
  return {
    area: span * chord,
    effectiveAspect: (1.6 * span) / chord,
    stallAngle: 22 * RAD,
    profileDrag: 0.03,
    broadsideDrag: 1.1,
    reversedShare: 0.6,
    speedShare: 1,
  };
}

/** Straight-line resistance in deep water, N, as forces/hull-resistance.ts has it, with fins' own drag. */
function straightResistance(
  owner: OwnerFigures,
  hull: HullEstimate,
  fins: readonly FoilSpec[],
  u: number,
): number {
  const l = hull.waterlineLength;
  const skin =
    0.5 *
    SEA_WATER_KGPM3 *
    hull.wettedArea *
    (1 + hull.formFactor) *
    frictionCoefficient((u * l) / WATER_VISCOSITY_M2PS) *
    u *
    u;
  const froude2 = (u * u) / (GRAVITY_MPS2 * l);
  const held = Math.min(froude2, HUMP_FROUDE * HUMP_FROUDE);
  const waves =
    owner.displacement *
    GRAVITY_MPS2 *
    (hull.residuaryQuadratic * froude2 + hull.residuarySextic * held * held * held);
  const blades = fins.reduce(
    (sum, f) => sum + 0.5 * SEA_WATER_KGPM3 * f.area * f.profileDrag * u * u,
    0,
  );
  return skin + waves + blades;
}

/** Revolutions at which a propeller gives a net thrust at a speed, 1/s. */
function revolutionsFor(
  drive: { diameter: number; pitch: number; bollardThrust: number },
  wake: number,
  deduction: number,
  thrust: number,
  u: number,
): number {
  const { diameter: d, bollardThrust: k } = drive;
  const j0 = zeroThrustAdvance(drive);
  const va = u * (1 - wake);
  const squared = k * d * d * d * d * (1 - deduction);
  const crossed = ((0.75 * k * d * d * d) / j0) * va * (1 - deduction);
  const trailing = ((0.25 * k * d * d) / (j0 * j0)) * va * va;
  const rest = thrust / SEA_WATER_KGPM3 + trailing;
  return (crossed + Math.sqrt(crossed * crossed + 4 * squared * rest)) / (2 * squared);
}

export interface DriveEstimate extends DriveSpec {
  readonly blades: number;
  readonly folding: 'fixed' | 'folding' | 'feathering';
  readonly power: number;
}

const SMALLEST_SCREW = 0.16;
/** A screw takes no more of the draught than this. */
const SCREW_OVER_DRAUGHT = 0.75;

/** Diameter that gives the class's thrust per watt by disc theory, kept to what can be built and fits. m. */
function propellerDiameter(owner: OwnerFigures, idealPerWatt: number): number {
  const ideal = idealPerWatt * owner.power;
  const disc = (ideal * ideal * ideal) / (2 * SEA_WATER_KGPM3 * owner.power * owner.power);
  const usual = Math.sqrt((4 * disc) / Math.PI);
  const most = Math.max(SMALLEST_SCREW, SCREW_OVER_DRAUGHT * owner.draught);
  return Math.min(most, Math.max(SMALLEST_SCREW, usual));
}

export function estimateDrives(
  owner: OwnerFigures,
  hull: HullEstimate,
  fins: readonly FoilSpec[],
): DriveEstimate[] {
  if (owner.drive === 'none' || owner.engines === 0) return [];
  const c = CLASS_DEFAULTS[owner.class];
  const rho = SEA_WATER_KGPM3;
  const { power, drive, engines } = owner;
  const propulsor = propulsorOf(drive);
  const {
    perWatt,
    share,
    pitch: pitchShare,
  } = propulsor.screw ?? {
    perWatt: c.thrustPerWatt,
    share: c.discShare,
    pitch: c.pitch,
  };
  const diameter = propellerDiameter(owner, perWatt / share);
  const disc = (Math.PI / 4) * diameter * diameter;
  // Disc theory, T = share·(2ρAP²)^⅓: a screw larger than the usual pushes more for its power.
  const bollard = share * cubeRoot(2 * rho * disc * power * power);
  const pitch = pitchShare * diameter;
  // Four-bladed screws of the usual area: K_T at bollard about 0.42 of the pitch ratio.
  const kt = (0.42 * pitch) / diameter;
  const bollardRps = Math.sqrt(bollard / (rho * kt * diameter * diameter * diameter * diameter));
  const wake = propulsor.wake ?? c.wake;
  const deduction = propulsor.deduction ?? c.deduction;
  const speed = owner.idleSpeed ?? c.idle;
  const propeller = { diameter, pitch, bollardThrust: kt };
  const drag = straightResistance(owner, hull, fins, speed) / engines;
  const idle = Math.min(0.6 * bollardRps, revolutionsFor(propeller, wake, deduction, drag, speed));
  const kind = BLADES[owner.blades];
  // On a shaft the race astern is thrown against the hull before it.
  const met = propulsor.leg ? 1 : 1 - c.asternLoss;
  const astern = Math.min(kind.astern, propulsor.astern) * met;
  const [walkAstern, walkAhead] = propulsor.walk;
  const closeUnder = owner.keel === 'long' || owner.keel === 'skeg';
  const inAperture = closeUnder ? propulsor.inAperture : undefined;
  const places = spreadAthwart(owner, hull, propulsor);
  const x = propulsor.x({ ...owner, shaftX: c.shaftX });
  const shape = propulsor.leg ? legBehind(diameter) : null;
  const single = places.length === 1;
  return places.map((y, i) => {
    // Two shafts turn outwards over the top: starboard right-handed, port left-handed.
    const hand = single || y === 0 ? owner.hand : y > 0 ? owner.hand : owner.hand === 1 ? -1 : 1;
    const name = single ? 'engine' : engineName(i, places.length);
    return {
      name,
      x,
      y,
      steering: !propulsor.turns ? 'fixed' : owner.joystick ? 'own' : 'wheel',
      leg: shape && { ...shape, name: `${name} leg`, x, y },
      hand,
      diameter,
      pitch,
      bollardThrust: kt,
      asternEfficiency: astern,
      wakeFraction: wake,
      thrustDeduction: deduction,
      walkAstern: (inAperture ?? walkAstern) * c.walk,
      walkAhead,
      idleRps: idle,
      fullRps: 1.1 * bollardRps,
      bollardRps,
      response: c.response,
      shiftDelay: c.shift,
      neutralPause: c.pause,
      blades: kind.count,
      folding: kind.folding,
      power,
    };
  });
}

function engineName(i: number, count: number): string {
  if (count === 2) return i === 0 ? 'port engine' : 'starboard engine';
  if (count === 3) return ['port engine', 'centre engine', 'starboard engine'][i]!;
  return ['port outer', 'port inner', 'starboard inner', 'starboard outer'][i]!;
}

/** A race of which less than this comes to a rudder is not said to reach it. */
const REACHES = 0.02;

/** The fixed screw whose race comes to a rudder at x and `aside` most, by its place among the drives; null if none does. */
function nearestRace(drives: readonly DriveSpec[], x: number, aside: number): number | null {
  let nearest: number | null = null;
  let most = REACHES;
  drives.forEach((drive, i) => {
    if (drive.steering !== 'fixed') return;
    const left = raceLeftAside(aside - drive.y, drive.diameter / 2, Math.abs(drive.x - x));
    if (left > most) {
      most = left;
      nearest = i;
    }
  });
  return nearest;
}

/**
 * Share of a rudder's force left going astern: of a spade, whose sharp edge leads; behind a skeg; hung on a long keel, of which it is
 * then the leading edge and turns the flow by hardly anything (thin aerofoil theory; judgement).
 */
const ASTERN_LEFT = { spade: 0.72, skeg: 0.75, long: 0.07 } as const;
/** Share of the race's effect on a blade in an aperture, behind the sternpost. */
const IN_APERTURE = 0.8;

export function estimateRudders(
  owner: OwnerFigures,
  hull: HullEstimate,
  drives: readonly DriveSpec[],
): RudderSpec[] {
  const c = CLASS_DEFAULTS[owner.class];
  const { rudders: count, beam, length, draught } = owner;
  const x = c.rudderX * length;
  if (count === 0) return [];
  const deep = owner.class === 'sailing yacht' ? 0.75 * draught : 0.85 * draught;
  const deepest = Math.max(
    0.25,
    owner.keel === 'long' || owner.keel === 'skeg' ? 0.8 * deep : deep * 0.9,
  );
  const total = c.rudder * hull.waterlineLength * draught;
  const area = count === 1 ? total : owner.class === 'sailing yacht' ? 0.52 * total : total;
  const span = Math.min(deepest, Math.sqrt(area * (owner.class === 'sailing yacht' ? 4.5 : 1.8)));
  const aspect = (span * span) / area;
  const mirror = owner.class === 'sailing yacht' ? 1.5 : 1.4;
  const twinShafts = drives.length === 2 && drives[0]!.steering === 'fixed';
  const inRaceAt = (place: number) => nearestRace(drives, x, place);
  const y =
    count === 1
      ? 0
      : hull.demihullOffset > 0
        ? hull.demihullOffset
        : twinShafts
          ? drives[1]!.y
          : 0.27 * beam;
  const far = owner.drive !== 'none' && propulsorOf(owner.drive).farAhead;
  // Behind a full stern the flow is slow, straightened and too troubled to stall by the lock.
  const behindHull = c.straightening <= 0.8;
  return Array.from({ length: count }, (_, i) => {
    const place = count === 1 ? 0 : i === 0 ? -y : y;
    return {
      name: count === 1 ? 'rudder' : i === 0 ? 'port rudder' : 'starboard rudder',
      x,
      y: place,
      area,
      effectiveAspect: Math.max(0.5, mirror * aspect),
      stallAngle:
        (behindHull ? 34 : mirror * aspect > 2.8 ? 20 : mirror * aspect > 1.6 ? 24 : 32) * RAD,
      profileDrag: 0.012,
      broadsideDrag: 1.2,
      reversedShare: 0.65,
      speedShare: behindHull ? 1 - 0.85 * c.wake : 1 - 0.5 * c.wake,
      span,
      limit: c.lock * RAD,
      inRaceOf: inRaceAt(place),
      raceEffect: (owner.keel === 'long' ? IN_APERTURE : 1) * (far ? 0.3 : behindHull ? 0.4 : 0.45),
      // A blade hung on a long keel or skeg feels the flow along it.
      straightening: owner.keel === 'long' ? 0.75 : c.straightening,
      hullShare: c.hullShare,
      hullShareX: -0.46 * length,
      dragDeduction: c.hullShare,
      asternShare:
        owner.keel === 'long'
          ? ASTERN_LEFT.long
          : owner.keel === 'skeg'
            ? ASTERN_LEFT.skeg
            : ASTERN_LEFT.spade,
    };
  });
}

/** Thrust of a tunnel thruster per watt, and its jet's speed: T = 0.14 P, P_jet about half of P. */
const THRUSTER_PER_WATT = 0.14;

export function estimateThrusters(owner: OwnerFigures, hull: HullEstimate): ThrusterSpec[] {
  const ship = owner.class === 'ship' || owner.class === 'barge';
  // Half the tunnel's depth of water over it is little on a shallow hull: some thrust is lost.
  const immersion = Math.max(0.7, Math.min(1, 0.6 + 0.4 * hull.bodyDraught));
  const one = (name: string, power: number, x: number): ThrusterSpec[] => {
    if (power <= 0) return [];
    return [
      {
        name,
        x,
        thrust: (ship ? 0.115 : THRUSTER_PER_WATT) * power * immersion,
        jetSpeed: ship ? 5.5 : 5,
        control: ship ? 'proportional' : 'on-off',
        response: ship ? 4 : 0.4,
        reverseDelay: ship ? 8 : 1,
        heatTime: ship ? Infinity : 180,
        coolTime: 900,
      },
    ];
  };
  return [
    ...one('bow thruster', owner.bowThruster, (ship ? 0.42 : 0.38) * owner.length),
    ...one('stern thruster', owner.sternThruster, -0.43 * owner.length),
  ];
}
