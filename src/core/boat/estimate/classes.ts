import type { BoatClass } from './owner';

/** Points [x, y] along the hull, x −0.5 (stern) … 0.5 (stem), y as a share of the greatest. */
export type Curve = readonly (readonly [number, number])[];

/**
 * Class defaults: judgement on what such boats are like, where nothing better is known. Coefficients lie in
 * the ranges of the literature named in docs/physics.md (recalled, not looked up).
 */
export interface ClassDefaults {
  readonly lwlShare: number;
  /** Waterline beam over beam, and block coefficient of the canoe body. */
  readonly waterlineBeam: number;
  readonly block: number;
  readonly deck: Curve;
  readonly waterline: Curve;
  readonly depth: Curve;
  readonly crossFlow: number;
  /** How much more of it the leading end has, in oblique flow. */
  readonly crossFlowLead: number;
  readonly formFactor: number;
  readonly quadratic: number;
  readonly sextic: number;
  readonly astern: number;
  readonly yawRadius: number;
  /** Centre of gravity forward of midships, share of the length. */
  readonly gravityX: number;
  readonly munk: number;
  /** Lift area over π T²; null for full forms, by block and breadth (Clarke et al. 1983). Its arm and spread over waterline length. */
  readonly lift: number | null;
  readonly liftArm: number;
  readonly liftSpread: number;
  readonly oblique: number;
  /** Rudder area over waterline length × draught, for one rudder; greatest angle, degrees. */
  readonly rudder: number;
  readonly rudderX: number;
  readonly lock: number;
  readonly straightening: number;
  readonly hullShare: number;
  readonly shaftX: number;
  readonly wake: number;
  readonly deduction: number;
  /** Share of thrust astern lost to the hull that the race is thrown against. */
  readonly asternLoss: number;
  /** Walk over that of a steep shaft under a fine stern: less where the shaft lies level under a full one. */
  readonly walk: number;
  /** Static thrust, N per W at the shaft; share of disc theory that is. */
  readonly thrustPerWatt: number;
  readonly discShare: number;
  readonly pitch: number;
  readonly idle: number;
  readonly response: number;
  readonly shift: number;
  readonly pause: number;
  /** Rudder rate, degrees a second, by wheel and by tiller. */
  readonly wheelRate: number;
  readonly tillerRate: number;
  readonly houseLength: number;
  readonly houseX: number;
  readonly topsidesX: number;
  readonly frontDrag: number;
  readonly sternDrag: number;
  readonly sideDrag: number;
  readonly centreShift: number;
}

const FINE_DECK: Curve = [
  [-0.5, 0.66],
  [-0.4, 0.79],
  [-0.27, 0.9],
  [-0.12, 0.98],
  [0, 1],
  [0.12, 0.96],
  [0.24, 0.83],
  [0.33, 0.64],
  [0.41, 0.42],
  [0.46, 0.23],
  [0.5, 0],
];
const FINE_WATERLINE: Curve = [
  [-0.5, 0.46],
  [-0.4, 0.7],
  [-0.24, 0.91],
  [-0.08, 1],
  [0.06, 0.99],
  [0.2, 0.84],
  [0.33, 0.55],
  [0.43, 0.25],
  [0.5, 0],
];
const FINE_DEPTH: Curve = [
  [-0.5, 0.1],
  [-0.38, 0.5],
  [-0.2, 0.86],
  [0, 1],
  [0.2, 0.9],
  [0.38, 0.54],
  [0.5, 0.12],
];
const WIDE_DECK: Curve = [
  [-0.5, 0.9],
  [-0.35, 0.97],
  [-0.1, 1],
  [0.1, 0.98],
  [0.25, 0.87],
  [0.36, 0.66],
  [0.44, 0.4],
  [0.5, 0],
];
const WIDE_WATERLINE: Curve = [
  [-0.5, 0.93],
  [-0.3, 1],
  [0, 0.99],
  [0.2, 0.78],
  [0.35, 0.48],
  [0.45, 0.18],
  [0.5, 0],
];
/** A planing hull at rest: transom immersed, forefoot shallow. */
const PLANING_DEPTH: Curve = [
  [-0.5, 0.95],
  [-0.25, 1],
  [0, 0.95],
  [0.2, 0.78],
  [0.35, 0.5],
  [0.45, 0.2],
  [0.5, 0.05],
];
const SLAB_OUTLINE: Curve = [
  [-0.5, 0.5],
  [-0.48, 0.8],
  [-0.45, 1],
  [0.38, 1],
  [0.44, 0.8],
  [0.48, 0.4],
  [0.5, 0],
];
const SLAB_DEPTH: Curve = [
  [-0.5, 0.4],
  [-0.4, 0.9],
  [-0.36, 1],
  [0.36, 1],
  [0.43, 0.85],
  [0.5, 0.3],
];
const BOX_OUTLINE: Curve = [
  [-0.5, 0.85],
  [-0.48, 1],
  [0.46, 1],
  [0.49, 0.8],
  [0.5, 0],
];
const BOX_DEPTH: Curve = [
  [-0.5, 0.45],
  [-0.44, 1],
  [0.43, 1],
  [0.5, 0.4],
];
const SHIP_OUTLINE: Curve = [
  [-0.5, 0.55],
  [-0.44, 0.8],
  [-0.34, 0.97],
  [-0.25, 1],
  [0.28, 1],
  [0.37, 0.83],
  [0.44, 0.5],
  [0.48, 0.22],
  [0.5, 0],
];
const SHIP_DEPTH: Curve = [
  [-0.5, 0.4],
  [-0.46, 1],
  [0.47, 1],
  [0.5, 0.6],
];

const SAILING: ClassDefaults = {
  lwlShare: 0.89,
  waterlineBeam: 0.83,
  block: 0.4,
  deck: FINE_DECK,
  waterline: FINE_WATERLINE,
  depth: FINE_DEPTH,
  crossFlow: 0.66,
  crossFlowLead: 0.7,
  formFactor: 0.35,
  quadratic: 0.01,
  sextic: 3,
  astern: 1.4,
  gravityX: -0.01,
  yawRadius: 0.24,
  munk: 0.52,
  lift: 0.5,
  liftArm: -0.15,
  liftSpread: 0.5,
  oblique: 0.45,
  rudder: 0.034,
  rudderX: -0.42,
  lock: 35,
  straightening: 0.87,
  hullShare: 0,
  shaftX: -0.34,
  wake: 0.1,
  deduction: 0.08,
  asternLoss: 0.15,
  walk: 1,
  thrustPerWatt: 0.135,
  discShare: 0.55,
  pitch: 0.65,
  idle: 1.18,
  response: 0.7,
  shift: 0.5,
  pause: 1.5,
  wheelRate: 22,
  tillerRate: 50,
  houseLength: 0.45,
  houseX: 0.03,
  topsidesX: 0.07,
  frontDrag: 0.65,
  sternDrag: 0.7,
  sideDrag: 1,
  centreShift: 0.2,
};

const MOTOR_YACHT: ClassDefaults = {
  ...SAILING,
  lwlShare: 0.87,
  waterlineBeam: 0.88,
  block: 0.42,
  deck: WIDE_DECK,
  waterline: WIDE_WATERLINE,
  depth: PLANING_DEPTH,
  crossFlow: 1.05,
  formFactor: 0.4,
  quadratic: 0.03,
  sextic: 3,
  astern: 1.6,
  gravityX: -0.04,
  yawRadius: 0.24,
  munk: 0.95,
  lift: 1.65,
  liftArm: -0.19,
  liftSpread: 0.16,
  rudder: 0.0155,
  rudderX: -0.45,
  shaftX: -0.37,
  wake: 0.06,
  asternLoss: 0,
  thrustPerWatt: 0.085,
  discShare: 0.62,
  pitch: 0.95,
  idle: 2.3,
  response: 0.8,
  shift: 0.6,
  wheelRate: 9,
  tillerRate: 30,
  houseLength: 0.62,
  houseX: 0.07,
  topsidesX: 0.09,
  frontDrag: 0.6,
  sternDrag: 0.75,
  sideDrag: 0.9,
  centreShift: 0.2,
  crossFlowLead: 0.5,
  oblique: 0.3,
  straightening: 0.95,
  walk: 0.8,
};

/** Full forms: Clarke et al. 1983 read as a lift area, arm and spread (docs/physics.md). */
const SLAB: ClassDefaults = {
  ...SAILING,
  lwlShare: 0.985,
  waterlineBeam: 1,
  block: 0.86,
  deck: SLAB_OUTLINE,
  waterline: SLAB_OUTLINE,
  depth: SLAB_DEPTH,
  crossFlow: 1.15,
  formFactor: 0.5,
  quadratic: 0.03,
  sextic: 4,
  astern: 1.3,
  yawRadius: 0.27,
  munk: 1,
  lift: null,
  liftArm: -0.17,
  liftSpread: 0.28,
  oblique: 0.12,
  rudder: 0.03,
  rudderX: -0.485,
  lock: 45,
  straightening: 0.75,
  hullShare: 0.15,
  shaftX: -0.455,
  wake: 0.25,
  deduction: 0.15,
  asternLoss: 0.4,
  thrustPerWatt: 0.15,
  discShare: 0.65,
  pitch: 0.7,
  idle: 0.82,
  wheelRate: 15,
  tillerRate: 45,
  houseLength: 0.7,
  houseX: -0.03,
  topsidesX: 0,
  frontDrag: 0.85,
  sternDrag: 0.85,
  sideDrag: 1.1,
  centreShift: 0.18,
  crossFlowLead: 0.2,
  walk: 0.75,
};

const SHIP: ClassDefaults = {
  ...SLAB,
  lwlShare: 0.96,
  block: 0.65,
  deck: SHIP_OUTLINE,
  waterline: SHIP_OUTLINE,
  depth: SHIP_DEPTH,
  crossFlow: 0.9,
  formFactor: 0.25,
  quadratic: 0.004,
  sextic: 1,
  oblique: 0.02,
  yawRadius: 0.25,
  lift: null,
  liftSpread: 0.26,
  rudder: 0.018,
  rudderX: -0.48,
  lock: 35,
  straightening: 0.8,
  hullShare: 0.3,
  shaftX: -0.46,
  wake: 0.3,
  deduction: 0.18,
  thrustPerWatt: 0.105,
  discShare: 0.6,
  pitch: 0.8,
  idle: 2.8,
  response: 8,
  shift: 6,
  pause: 15,
  wheelRate: 2.4,
  tillerRate: 2.4,
  houseLength: 0.75,
  houseX: 0,
  topsidesX: 0.01,
  frontDrag: 0.7,
  sternDrag: 0.75,
  sideDrag: 0.85,
};

export const CLASS_DEFAULTS: Readonly<Record<BoatClass, ClassDefaults>> = {
  'sailing yacht': SAILING,
  'sailing catamaran': {
    ...SAILING,
    lwlShare: 0.96,
    waterlineBeam: 0.1,
    block: 0.5,
    deck: [
      [-0.5, 0.9],
      [-0.4, 1],
      [0.1, 1],
      [0.34, 0.97],
      [0.5, 0.84],
      [0.5, 0],
    ],
    // Two hulls side by side resist sideways more than one, the lee one less than the first.
    crossFlow: 1.1,
    yawRadius: 0.31,
    formFactor: 0.2,
    rudder: 0.02,
    idle: 1.4,
    shaftX: -0.33,
    houseLength: 0.55,
    houseX: 0,
    centreShift: 0.15,
  },
  'motor yacht': MOTOR_YACHT,
  'displacement motor boat': {
    ...SAILING,
    lwlShare: 0.92,
    waterlineBeam: 0.92,
    block: 0.48,
    deck: WIDE_DECK,
    crossFlow: 0.73,
    quadratic: 0.015,
    astern: 1.4,
    rudder: 0.025,
    rudderX: -0.455,
    straightening: 0.83,
    hullShare: 0.1,
    shaftX: -0.4,
    wake: 0.18,
    deduction: 0.12,
    asternLoss: 0.15,
    pitch: 0.75,
    idle: 1.45,
    wheelRate: 10,
    houseLength: 0.5,
    houseX: 0.09,
    topsidesX: 0.1,
    frontDrag: 0.65,
    sternDrag: 0.75,
    sideDrag: 0.95,
    crossFlowLead: 0.68,
    munk: 0.95,
    lift: 1.75,
    liftArm: -0.1,
    liftSpread: 0.055,
    oblique: 0.35,
    centreShift: 0.2,
    yawRadius: 0.25,
    walk: 0.75,
  },
  'open boat': {
    ...MOTOR_YACHT,
    lwlShare: 0.85,
    waterlineBeam: 0.85,
    idle: 1.45,
    response: 0.5,
    shift: 0.3,
    pause: 1,
    wheelRate: 14,
    tillerRate: 60,
    munk: 0.7,
    liftArm: -0.15,
    rudder: 0.03,
    houseLength: 0.3,
    houseX: 0.02,
    topsidesX: 0.03,
    centreShift: 0.2,
    frontDrag: 0.65,
    sternDrag: 0.7,
  },
  'canal boat': SLAB,
  barge: {
    ...SLAB,
    lwlShare: 0.99,
    block: 0.92,
    deck: BOX_OUTLINE,
    waterline: BOX_OUTLINE,
    depth: BOX_DEPTH,
    crossFlow: 1.2,
    quadratic: 0.02,
    idle: 1.2,
    wheelRate: 6,
    tillerRate: 20,
    houseLength: 0.2,
    houseX: -0.35,
    response: 1.5,
    shift: 1,
    pause: 3,
  },
  tug: {
    ...SAILING,
    lwlShare: 0.93,
    waterlineBeam: 0.97,
    block: 0.52,
    deck: WIDE_DECK,
    crossFlow: 0.8,
    quadratic: 0.02,
    yawRadius: 0.25,
    rudder: 0.03,
    rudderX: -0.455,
    lock: 40,
    hullShare: 0.1,
    straightening: 0.85,
    shaftX: -0.4,
    wake: 0.2,
    deduction: 0.12,
    pitch: 0.75,
    discShare: 0.6,
    idle: 1.9,
    response: 1.5,
    shift: 1,
    pause: 2.5,
    wheelRate: 8,
    houseLength: 0.42,
    houseX: 0.08,
    topsidesX: 0.06,
    frontDrag: 0.7,
    sternDrag: 0.8,
    sideDrag: 1,
  },
  ship: SHIP,
};
