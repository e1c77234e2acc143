import { cubeRoot } from '../../math';
import { SEA_WATER_KGPM3 } from '../../units';
import type { FoilSpec } from '../spec';
import { CLASS_DEFAULTS, type Curve } from './classes';
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
  const lift =
    c.lift === 0 ? 0 : hulls * Math.PI * body * body * liftFactor(owner, bwl, body, block);
  return {
    waterlineLength: lwl,
    yawRadius: c.yawRadius * length,
    xG: -0.01 * length,
    deck: drawn(c.deck, length, beam / 2),
    waterline: drawn(c.waterline, lwl, Math.min(bwl, beam) / 2),
    draughts: drawn(c.depth, lwl, body),
    bodyDraught: body,
    demihullOffset: offset,
    crossFlowDrag: c.crossFlow,
    obliqueDrag: c.oblique,
    liftArea: lift,
    liftArm: c.liftArm * lwl,
    liftSpread: c.liftSpread * lwl,
    wettedArea: wetted,
    formFactor: c.formFactor,
    residuaryQuadratic: c.quadratic,
    residuarySextic: c.sextic,
    asternFactor: c.astern,
    addedSurge: along(LAMB, lwl / bwl),
    addedSway: addedSway(owner, hulls, lwl, body, fullness(c.depth)),
    addedYaw: 0.6,
    munkFactor: c.munk,
    touchStiffness: 800 * cubeRoot(displacement * displacement),
  };
}

/** Lift area over π T²: slender body for fine hulls, 1 + 0.4 C_b B/T for full ones (Clarke et al. 1983). */
function liftFactor(owner: OwnerFigures, bwl: number, body: number, block: number): number {
  const c = CLASS_DEFAULTS[owner.class];
  const full = c.munk === 1;
  return full ? 1 + 0.4 * block * Math.min(4, bwl / body) : c.lift;
}

/** Sway added mass over mass: ½ρπT²·0.95 along the body, and the keel's own. */
function addedSway(
  owner: OwnerFigures,
  hulls: number,
  lwl: number,
  body: number,
  depthFullness: number,
): number {
  const rho = SEA_WATER_KGPM3;
  const canoe = hulls * 0.5 * rho * Math.PI * body * body * lwl * depthFullness * 0.95;
  const keels = keelFoils(owner, body).reduce((sum, k) => {
    const span = Math.sqrt((k.area * k.effectiveAspect) / 2);
    const chord = k.area / span;
    // A plate of finite span moves less water than the strip theory's π/4 ρ c² b.
    const finite = 1 / Math.sqrt(1 + (chord / (2 * span)) * (chord / (2 * span)));
    return sum + (Math.PI / 4) * rho * chord * chord * span * finite;
  }, 0);
  return Math.min(1.6, (canoe + Math.min(keels, 0.9 * owner.displacement)) / owner.displacement);
}

/** Share of the waterline a keel's chord takes, by kind. */
const CHORD: Readonly<Record<'fin' | 'long' | 'twin' | 'lifting' | 'skeg', number>> = {
  fin: 0.16,
  long: 0.55,
  twin: 0.13,
  lifting: 0.12,
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
  const long = keel === 'long' || keel === 'skeg';
  const aspect = long ? slenderAspect(draught, body, span * chord) : (2 * span) / chord;
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
      return [foil('fin keel', 0.03 * length, 0)];
    case 'lifting':
      return [foil('lifting keel, down', 0.03 * length, 0)];
    case 'long':
      return inParts(foil('long keel', -0.06 * length, 0), chord);
    case 'skeg':
      return inParts(foil('keel and skeg', -0.12 * length, 0), chord);
    case 'twin': {
      const y = owner.class === 'sailing catamaran' ? beam / 2 - 0.075 * length : 0.22 * beam;
      return [foil('port keel', 0.02 * length, -y), foil('starboard keel', 0.02 * length, y)];
    }
  }
}

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
