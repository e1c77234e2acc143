import type { BoatSpec, ShipDerivatives } from '../boat';

/**
 * The published tanker of the MMG standard method, 7-m model and ship (Yasukawa & Yoshimura 2015, J. Mar.
 * Sci. Technol. 20, 37–52). Coefficients recalled, not looked up.
 */
export interface TankerSize {
  readonly length: number;
  readonly beam: number;
  readonly draught: number;
  readonly volume: number;
  readonly xG: number;
  readonly propeller: number;
  readonly rudderSpan: number;
  readonly rudderArea: number;
  readonly speed: number;
  /** rad/s */
  readonly helm: number;
  readonly R0: number;
  readonly wake: number;
}

const RAD = Math.PI / 180;

export const MODEL: TankerSize = {
  length: 7,
  beam: 1.27,
  draught: 0.46,
  volume: 3.27,
  xG: 0.25,
  propeller: 0.216,
  rudderSpan: 0.345,
  rudderArea: 0.0539,
  speed: 1.179,
  helm: 15.8 * RAD,
  R0: 0.022,
  wake: 0.4,
};

export const SHIP: TankerSize = {
  length: 320,
  beam: 58,
  draught: 20.8,
  volume: 312600,
  xG: 11.2,
  propeller: 9.86,
  rudderSpan: 15.8,
  rudderArea: 112.5,
  speed: 15.5 * 0.514444,
  helm: 2.34 * RAD,
  R0: 0.022,
  wake: 0.35,
};

const RHO = 1000;
const DRAG_DEDUCTION = 0.387;
const ADDED = { surge: 0.022, sway: 0.223, yaw: 0.011 };

function derivatives(s: TankerSize): ShipDerivatives {
  return {
    length: s.length,
    draught: s.draught,
    hull: {
      R0: s.R0,
      Xvv: -0.04,
      Xvr: 0.002,
      Xrr: 0.011,
      Xvvvv: 0.771,
      Yv: -0.315,
      Yr: 0.083,
      Yvvv: -1.607,
      Yvvr: 0.379,
      Yvrr: -0.391,
      Yrrr: 0.008,
      Nv: -0.137,
      Nr: -0.049,
      Nvvv: -0.03,
      Nvvr: -0.294,
      Nvrr: 0.055,
      Nrrr: -0.013,
    },
    propeller: {
      diameter: s.propeller,
      k0: 0.2931,
      k1: -0.2753,
      k2: -0.1385,
      deduction: 0.22,
      wake: s.wake,
      x: -0.48,
      C1: 2,
      C2: [1.6, 1.1],
    },
    rudder: {
      area: s.rudderArea,
      span: s.rudderSpan,
      x: -0.5 * s.length,
      slope: 2.747,
      dragDeduction: DRAG_DEDUCTION,
      hullShare: 0.312,
      hullShareX: -0.464,
      straightening: [0.395, 0.64],
      arm: -0.71,
      epsilon: 1.09,
      kappa: 0.5,
    },
  };
}

/** Revolutions at which thrust meets resistance at the trial's speed, 1/s. */
export function trialRps(s: TankerSize): number {
  const drag = 0.5 * RHO * s.length * s.draught * s.speed * s.speed * s.R0;
  const va = s.speed * (1 - s.wake);
  const D = s.propeller;
  let n = (2 * va) / D;
  for (let i = 0; i < 60; i++) {
    const J = va / (n * D);
    const thrust = (1 - 0.22) * RHO * n * n * D ** 4 * (0.2931 - 0.2753 * J - 0.1385 * J * J);
    n *= Math.sqrt(drag / thrust);
  }
  return n;
}

/**
 * The tanker as the general model sees the boat: outline, displacement and places as published, everything else by
 * the class estimates of a full ship; or with the published derivatives.
 */
export function tanker(s: TankerSize, published: boolean): BoatSpec {
  const mass = RHO * s.volume;
  const unit = 0.5 * RHO * s.length * s.length * s.draught;
  const yawRadius = 0.25 * s.length;
  const block = s.volume / (s.length * s.beam * s.draught);
  const half = s.length / 2;
  const b = s.beam / 2;
  const deck = Float64Array.from([
    -half,
    0.6 * b,
    -0.8 * half,
    b,
    0.75 * half,
    b,
    half,
    0,
    0.75 * half,
    -b,
    -0.8 * half,
    -b,
    -half,
    -0.6 * b,
  ]);
  const rps = trialRps(s);
  return {
    name: 'published tanker',
    hull: {
      length: s.length,
      beam: s.beam,
      waterlineLength: s.length,
      draught: s.draught,
      mass,
      xG: s.xG,
      yawRadius,
      freeboard: 8,
      deck,
      waterline: deck,
      draughts: Float64Array.from([
        -half,
        0.6 * s.draught,
        -0.92 * half,
        s.draught,
        half,
        s.draught,
      ]),
      demihullOffset: 0,
      crossFlowDrag: 0.9,
      crossFlowLead: 0.2,
      obliqueDrag: 0.02,
      liftArea: Math.PI * s.draught * s.draught * (1 + (0.4 * block * s.beam) / s.draught),
      liftArm: -0.17 * s.length,
      liftSpread: 0.26 * s.length,
      liftCentre: 0,
      wettedArea: 1.7 * s.length * s.draught + s.volume / s.draught,
      formFactor: 0.25,
      residuaryQuadratic: 0.002,
      residuarySextic: 1,
      asternFactor: 1.3,
      addedSurge: published ? (ADDED.surge * unit) / mass : 0.05,
      addedSway: published ? (ADDED.sway * unit) / mass : 0.77,
      addedYaw: published
        ? (ADDED.yaw * unit * s.length * s.length) / (mass * yawRadius * yawRadius)
        : 0.6,
      munkFactor: 1,
      touchStiffness: 1e7,
      touchLoss: 1,
      derivatives: published ? derivatives(s) : null,
    },
    foils: [],
    drives: [
      {
        name: 'engine',
        x: -0.48 * s.length,
        y: 0,
        steering: 'fixed',
        leg: null,
        hand: 1,
        diameter: s.propeller,
        pitch: 0.72 * s.propeller,
        bollardThrust: 0.2931,
        asternEfficiency: 0.7,
        wakeFraction: s.wake,
        thrustDeduction: 0.22,
        walkAstern: 0.05,
        walkAhead: 0,
        idleRps: rps,
        fullRps: 1.2 * rps,
        bollardRps: Infinity,
        response: 0.5,
        shiftDelay: 0.1,
        neutralPause: 0.1,
      },
    ],
    rudders: [
      {
        name: 'rudder',
        x: -0.5 * s.length,
        y: 0,
        area: s.rudderArea,
        effectiveAspect: (s.rudderSpan * s.rudderSpan) / s.rudderArea,
        stallAngle: 34 * RAD,
        profileDrag: 0.012,
        broadsideDrag: 1.2,
        reversedShare: 0.65,
        speedShare: 1 - 0.85 * s.wake,
        span: s.rudderSpan,
        limit: 35 * RAD,
        inRaceOf: 0,
        raceEffect: 0.4,
        straightening: 0.8,
        hullShare: 0.3,
        hullShareX: -0.46 * s.length,
        dragDeduction: 0.3,
        asternShare: 1,
      },
    ],
    thrusters: [],
    steering: { control: 'wheel', rate: s.helm, driveLimit: 35 * RAD },
    joystick: false,
    windage: {
      frontalArea: 0,
      lateralArea: 0,
      frontalDrag: 1,
      sternDrag: 1,
      sideDrag: 1,
      centreX: 0,
      centreHeight: 10,
      centreShift: 0,
    },
    fenders: [],
    points: [],
  };
}
