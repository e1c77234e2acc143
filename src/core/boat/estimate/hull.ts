import { cubeRoot } from '../../math';
import { SEA_WATER_KGPM3 } from '../../units';
import type { FoilSpec } from '../spec';
import { CLASS_DEFAULTS, type ClassDefaults, type Curve } from './classes';
import type { OwnerFigures } from './owner';

const RAD = Math.PI / 180;

export type HalfOutline = [number, number][];

export interface HullEstimate {
  readonly waterlineLength: number;
  readonly yawRadius: number;
  readonly xG: number;
  readonly deck: HalfOutline;
  readonly waterline: HalfOutline;
  readonly draughts: HalfOutline;
  readonly bodyDraught: number;
  readonly demihullOffset: number;
  readonly crossFlowDrag: number;
  readonly crossFlowLead: number;
  readonly obliqueDrag: number;
  readonly liftArea: number;
  readonly liftArm: number;
  readonly liftSpread: number;
  readonly wettedArea: number;
  readonly formFactor: number;
  readonly residuaryQuadratic: number;
  readonly residuarySextic: number;
  readonly asternFactor: number;
  readonly addedSurge: number;
  readonly addedSway: number;
  readonly addedYaw: number;
  readonly munkFactor: number;
  readonly touchStiffness: number;
}

/** A curve drawn out to a length and a size. */
function drawn(curve: Curve, length: number, size: number): HalfOutline {
  return curve.map(([x, y]) => [x * length, y * size]);
}

/** Mean of a curve along the hull. */
function fullness(curve: Curve): number {
  let sum = 0;
  for (let i = 1; i < curve.length; i++) {
    sum += ((curve[i]![0] - curve[i - 1]![0]) * (curve[i]![1] + curve[i - 1]![1])) / 2;
  }
  return sum;
}

/** Lamb's surge coefficient of a spheroid by L/B (Lamb 1932, § 114; recalled). */
const LAMB: Curve = [
  [2, 0.21],
  [3, 0.122],
  [4, 0.0816],
  [5, 0.0591],
  [6, 0.0452],
  [8, 0.0293],
  [12, 0.016],
];

function along(curve: Curve, x: number): number {
  if (x <= curve[0]![0]) return curve[0]![1];
  for (let i = 1; i < curve.length; i++) {
    const [x0, y0] = curve[i - 1]!;
    const [x1, y1] = curve[i]!;
    if (x <= x1) return y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
  }
  return curve.at(-1)![1];
}

/** Depth of the canoe body that floats the boat, held inside its draught. */
export function bodyDraught(owner: OwnerFigures): number {
  const c = CLASS_DEFAULTS[owner.class];
  const lwl = owner.waterlineLength ?? c.lwlShare * owner.length;
  const hulls = owner.class === 'sailing catamaran' ? 2 : 1;
  const beam = hulls === 2 ? c.waterlineBeam * lwl : c.waterlineBeam * owner.beam;
  const floats = owner.displacement / SEA_WATER_KGPM3 / (hulls * lwl * beam * c.block);
  // A ship's own draught is its body's; a boat's body may not reach below keel or drives.
  const deepest = owner.keel === 'none' ? owner.draught : 0.85 * owner.draught;
  return owner.class === 'ship' || owner.class === 'barge'
    ? owner.draught
    : Math.min(floats, deepest);
}

export function estimateHull(owner: OwnerFigures): HullEstimate {
  const c = CLASS_DEFAULTS[owner.class];
  const { length, beam, displacement } = owner;
  const catamaran = owner.class === 'sailing catamaran';
  const hulls = catamaran ? 2 : 1;
  const lwl = owner.waterlineLength ?? c.lwlShare * length;
  const offset = catamaran ? beam / 2 - 0.075 * length : 0;
  const bwl = catamaran ? c.waterlineBeam * lwl : c.waterlineBeam * beam;
  const body = bodyDraught(owner);
  const volume = displacement / SEA_WATER_KGPM3;
  const block = Math.min(1, volume / (hulls * lwl * bwl * body));
  // Mumford: S = 1.7 L T + ∇/T, for each hull.
  const wetted = hulls * (1.7 * lwl * body) + volume / body;
  const lift = hullLift(owner, hulls, lwl, bwl, body, block);
  const sway = addedSway(owner, hulls, lwl, body, fullness(c.depth));
  const surge = along(LAMB, lwl / bwl);
  return {
    waterlineLength: lwl,
    yawRadius: c.yawRadius * length,
    xG: c.gravityX * length,
    deck: drawn(c.deck, length, beam / 2),
    waterline: drawn(c.waterline, lwl, Math.min(bwl, beam) / 2),
    draughts: drawn(c.depth, lwl, body),
    bodyDraught: body,
    demihullOffset: offset,
    crossFlowDrag: c.crossFlow,
    crossFlowLead: c.crossFlowLead,
    obliqueDrag: c.oblique,
    ...lift,
    wettedArea: wetted,
    formFactor: c.formFactor,
    residuaryQuadratic: c.quadratic,
    residuarySextic: c.sextic,
    asternFactor: c.astern,
    addedSurge: surge,
    addedSway: sway.whole,
    addedYaw: addedYaw(owner, hulls, lwl, body, c),
    munkFactor: munkFactor(owner, surge, sway),
    touchStiffness: 800 * cubeRoot(displacement * displacement),
  };
}

/** Is a keel so long that it makes one slender body with the hull? */
export const isSlender = (keel: OwnerFigures['keel']): boolean =>
  keel === 'long' || keel === 'skeg';

/** What a slender keel's own lift adds to its resistance to turning, over chord² and its lift area. */
const SLENDER_TURNING = 0.176;

/**
 * Lift of the canoe body by class, and what a keel along the hull adds to its resistance to turning. Slender-body lift of a keel of
 * chord c acts at its leading end for drift, and for turning all along it: over what its parts (`keelFoils`) have at their own places
 * that is 0.176 c² of its lift area π (T² − T_b²) (Jones 1946, Munk's moment put in).
 */
function hullLift(
  owner: OwnerFigures,
  hulls: number,
  lwl: number,
  bwl: number,
  body: number,
  block: number,
): Pick<HullEstimate, 'liftArea' | 'liftArm' | 'liftSpread'> {
  const c = CLASS_DEFAULTS[owner.class];
  const area = hulls * Math.PI * body * body * liftFactor(owner, bwl, body, block);
  const own = c.liftSpread * lwl;
  const { draught, keel } = owner;
  const chord = isSlender(keel) ? CHORD[keel as 'long'] * lwl : 0;
  const along = Math.PI * Math.max(0, draught * draught - body * body);
  const turning = SLENDER_TURNING * chord * chord * along;
  return {
    liftArea: area,
    liftArm: c.liftArm * lwl,
    liftSpread: Math.sqrt(own * own + (area > 0 ? turning / area : 0)),
  };
}

/** Lift area over π T²: slender body for fine hulls, 1 + 0.4 C_b B/T for full ones (Clarke et al. 1983). */
function liftFactor(owner: OwnerFigures, bwl: number, body: number, block: number): number {
  const c = CLASS_DEFAULTS[owner.class];
  return c.lift ?? 1 + 0.4 * block * Math.min(4, bwl / body);
}

/** Rudders as plates that move water with them. */
function rudderPlates(owner: OwnerFigures): Pick<FoilSpec, 'x' | 'area' | 'effectiveAspect'>[] {
  const { rudders, draught, length } = owner;
  const c = CLASS_DEFAULTS[owner.class];
  const lwl = owner.waterlineLength ?? c.lwlShare * length;
  const area = c.rudder * lwl * draught;
  return Array.from({ length: rudders }, () => ({
    x: c.rudderX * length,
    area,
    effectiveAspect: RUDDER_ASPECT,
  }));
}
/** Twice the span of a usual rudder over its chord. */
const RUDDER_ASPECT = 4;

/** Water a keel moves with it going sideways, kg, and its chord, m. */
function keelWater(k: Pick<FoilSpec, 'area' | 'effectiveAspect'>): {
  readonly mass: number;
  readonly chord: number;
} {
  const span = Math.sqrt((k.area * k.effectiveAspect) / 2);
  const chord = k.area / span;
  // A plate of finite span moves less water than the strip theory's π/4 ρ c² b.
  const finite = 1 / Math.sqrt(1 + (chord / (2 * span)) * (chord / (2 * span)));
  return { mass: (Math.PI / 4) * SEA_WATER_KGPM3 * chord * chord * span * finite, chord };
}

/** Sway added mass over mass: ½ρπT²·0.95 along the body, and the keel's own. */
function addedSway(
  owner: OwnerFigures,
  hulls: number,
  lwl: number,
  body: number,
  depthFullness: number,
): AddedSway {
  const rho = SEA_WATER_KGPM3;
  const canoe = hulls * 0.5 * rho * Math.PI * body * body * lwl * depthFullness * 0.95;
  const keels = keelFoils(owner, body).reduce((sum, k) => sum + keelWater(k).mass, 0);
  const alone = Math.min(1.6, canoe / owner.displacement);
  const whole = (canoe + Math.min(keels, 0.9 * owner.displacement)) / owner.displacement;
  return { body: alone, whole: Math.min(1.6, whole) };
}

/** Sway added mass over the boat's mass: of the canoe body, and with its keels. */
interface AddedSway {
  readonly body: number;
  readonly whole: number;
}

/** A keel along the hull leaves its eddies less room to shed: so much more of the moment is kept (judgement). */
const MORE_ALONG_A_KEEL = 1.6;

/**
 * Share of the whole Munk moment a hull keeps. A keel's lift acts at its quarter chord, or in its parts, which
 * has that keel's own moment in it already: what is left is the canoe body's.
 */
function munkFactor(owner: OwnerFigures, surge: number, sway: AddedSway): number {
  const { munk } = CLASS_DEFAULTS[owner.class];
  const kept = isSlender(owner.keel) ? Math.min(1, MORE_ALONG_A_KEEL * munk) : munk;
  return (kept * Math.max(0, sway.body - surge)) / Math.max(1e-6, sway.whole - surge);
}

/** Water gets round deep ends of a hull that turns, which takes so much of the strips' sum (a full tanker's 0.6 of its inertia; recalled). */
const ROUND_FULL_ENDS = 0.15;

/**
 * Yaw added mass over the boat's own inertia: ½ρπT²·0.95·x² along each body, and of each keel its own mass where it stands and,
 * for its chord, a twelfth of that times its square.
 */
function addedYaw(
  owner: OwnerFigures,
  hulls: number,
  lwl: number,
  body: number,
  c: ClassDefaults,
): number {
  const rho = SEA_WATER_KGPM3;
  const ends = (along(c.depth, -0.45) + along(c.depth, 0.45)) / 2;
  const perMetre = (1 - ROUND_FULL_ENDS * ends) * hulls * 0.5 * rho * Math.PI * body * body * 0.95;
  const STEPS = 40;
  let sum = 0;
  for (let i = 0; i < STEPS; i++) {
    const x = (i + 0.5) / STEPS - 0.5;
    const depth = along(c.depth, x);
    sum += (depth * depth * x * x) / STEPS;
  }
  const fins = [...keelFoils(owner, body), ...rudderPlates(owner)];
  const keels = fins.reduce((total, k) => {
    const { mass, chord } = keelWater(k);
    return total + mass * (k.x * k.x + (chord * chord) / 12);
  }, 0);
  const inertia = owner.displacement * c.yawRadius * c.yawRadius * owner.length * owner.length;
  return Math.min(1.2, (perMetre * lwl * lwl * lwl * sum + keels) / inertia);
}

/** A keel's effective aspect over span by chord: the hull is nearly its mirror. */
const MIRRORED = 1.85;

/** Share of the waterline a keel's chord takes, by kind. */
const CHORD: Readonly<Record<'fin' | 'long' | 'twin' | 'lifting' | 'skeg', number>> = {
  fin: 0.1,
  long: 0.55,
  twin: 0.08,
  lifting: 0.075,
  skeg: 0.5,
};

/** Fixed fins of a boat: keels and skegs. */
export function keelFoils(owner: OwnerFigures, body: number): FoilSpec[] {
  const { keel, draught, length, beam } = owner;
  if (keel === 'none') return [];
  const c = CLASS_DEFAULTS[owner.class];
  const lwl = owner.waterlineLength ?? c.lwlShare * length;
  const span = Math.max(0.08, draught - body);
  const chord = CHORD[keel] * lwl;
  const aspect = isSlender(keel)
    ? slenderAspect(draught, body, span * chord)
    : (MIRRORED * span) / chord;
  const foil = (name: string, x: number, y: number): FoilSpec => ({
    name,
    x,
    y,
    area: span * chord,
    effectiveAspect: Math.max(0.12, aspect),
    stallAngle: (aspect > 1.2 ? 24 : 32) * RAD,
    profileDrag: 0.01,
    broadsideDrag: 1.2,
    reversedShare: 0.65,
    speedShare: 1,
  });
  switch (keel) {
    case 'fin':
      return [foil('fin keel', 0.02 * length, 0)];
    case 'lifting':
      return [foil('lifting keel, down', 0.03 * length, 0)];
    case 'long':
      return inParts(foil('long keel', slenderKeelX(keel) * length, 0), chord);
    case 'skeg':
      return inParts(foil('keel and skeg', slenderKeelX(keel) * length, 0), chord);
    case 'twin': {
      const y = owner.class === 'sailing catamaran' ? beam / 2 - 0.075 * length : 0.22 * beam;
      return [foil('port keel', 0.02 * length, -y), foil('starboard keel', 0.02 * length, y)];
    }
  }
}

/** Middle of a keel along the hull, share of the length forward of midships. */
const slenderKeelX = (keel: OwnerFigures['keel']): number => (keel === 'skeg' ? -0.12 : -0.06);

/**
 * Effective aspect that gives a long keel the lift of the slender body it makes with the hull,
 * ½ρ π (T² − T_b²) U² β over the canoe body's own (Jones 1946): Helmbold's slope turned round.
 */
function slenderAspect(draught: number, body: number, area: number): number {
  const slope = (Math.PI * (draught * draught - body * body)) / area;
  const k = Math.min(0.5, slope / (2 * Math.PI));
  return (4 * k) / (1 - k * k);
}

const PARTS = ['after', 'middle', 'forward'] as const;

/** A long fin as three along its length: what resists turning is that it reaches fore and aft. */
function inParts(whole: FoilSpec, chord: number): FoilSpec[] {
  return PARTS.map((part, i) => ({
    ...whole,
    name: `${whole.name}, ${part} part`,
    x: whole.x + ((i - 1) * chord) / PARTS.length,
    area: whole.area / PARTS.length,
  }));
}
