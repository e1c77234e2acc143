import type { BoatSpec, HullSpec } from '../boat';

/** Boats for tests of the core, in its own units. */

const RAD = Math.PI / 180;

function mirrored(half: readonly (readonly [number, number])[]): Float64Array {
  const port = half
    .filter(([, y]) => y > 0)
    .map(([x, y]) => [x, -y] as const)
    .reverse();
  return Float64Array.from([...half, ...port].flat());
}

/** A 10-m sloop with everything this core knows: keel, shaft, rudder in the race, fenders. */
export function sloop(hand: 1 | -1 = 1): BoatSpec {
  const fenders = [2.5, 0.5, -1.5, -3.5].flatMap((x) =>
    [-1, 1].map((side) => ({
      name: `${side < 0 ? 'port' : 'starboard'} fender at ${x}`,
      x,
      y: side * 1.78,
      diameter: 0.22,
      length: 0.6,
      pressure: 15000,
      loss: 1,
    })),
  );
  return {
    name: 'test sloop',
    hull: {
      length: 10,
      beam: 3.4,
      waterlineLength: 9,
      draught: 1.8,
      mass: 5500,
      xG: -0.1,
      yawRadius: 2.4,
      freeboard: 1.1,
      deck: mirrored([
        [-5, 1.1],
        [-3, 1.5],
        [0, 1.7],
        [2.5, 1.4],
        [4, 0.8],
        [5, 0],
      ]),
      waterline: mirrored([
        [-4.5, 0.8],
        [0, 1.4],
        [4.5, 0],
      ]),
      draughts: Float64Array.from([-4.5, 0.1, -2, 0.45, 0, 0.55, 3, 0.4, 4.5, 0.1]),
      demihullOffset: 0,
      crossFlowDrag: 0.65,
      crossFlowLead: 0,
      obliqueDrag: 0,
      liftArea: 0,
      liftArm: 0,
      liftSpread: 0,
      liftCentre: 0,
      wettedArea: 25,
      formFactor: 0.3,
      residuaryQuadratic: 0.01,
      residuarySextic: 3,
      asternFactor: 1.4,
      addedSurge: 0.06,
      addedSway: 0.8,
      addedYaw: 0.6,
      munkFactor: 0.7,
      touchStiffness: 250000,
      touchLoss: 1.5,
      derivatives: null,
    },
    foils: [
      {
        name: 'keel',
        x: 0.3,
        y: 0,
        area: 1.8,
        effectiveAspect: 1.7,
        stallAngle: 24 * RAD,
        profileDrag: 0.01,
        broadsideDrag: 1.2,
        reversedShare: 0.65,
        speedShare: 1,
      },
    ],
    drives: [
      {
        name: 'engine',
        x: -3,
        y: 0,
        steering: 'fixed',
        leg: null,
        hand,
        diameter: 0.44,
        pitch: 0.29,
        bollardThrust: 0.27,
        asternEfficiency: 0.7,
        wakeFraction: 0.1,
        thrustDeduction: 0.08,
        walkAstern: 0.1,
        walkAhead: 0.02,
        idleRps: 6.2,
        fullRps: 16.7,
        bollardRps: Infinity,
        response: 0.7,
        shiftDelay: 0.5,
        neutralPause: 1.5,
      },
    ],
    rudders: [
      {
        name: 'rudder',
        x: -4.1,
        y: 0,
        area: 0.6,
        effectiveAspect: 3.2,
        stallAngle: 20 * RAD,
        profileDrag: 0.01,
        broadsideDrag: 1.2,
        reversedShare: 0.65,
        speedShare: 0.95,
        span: 1.3,
        limit: 35 * RAD,
        inRaceOf: 0,
        raceEffect: 0.45,
        straightening: 1,
        hullShare: 0,
        hullShareX: 0,
        dragDeduction: 0,
        asternShare: 1,
      },
    ],
    thrusters: [],
    steering: { control: 'wheel', rate: 22 * RAD, driveLimit: 30 * RAD },
    joystick: false,
    windage: {
      frontalArea: 9,
      lateralArea: 18,
      frontalDrag: 0.65,
      sternDrag: 0.65,
      sideDrag: 1,
      centreX: 0.5,
      centreHeight: 1.7,
      centreShift: 0.1,
    },
    fenders,
    points: [],
  };
}

/** A smooth body with no drag, drive or windage: what is left is mass and added mass. */
export function bareBody(hull: Partial<HullSpec> = {}): BoatSpec {
  const boat = sloop();
  return {
    ...boat,
    hull: {
      ...boat.hull,
      xG: 0,
      crossFlowDrag: 0,
      wettedArea: 0,
      residuaryQuadratic: 0,
      residuarySextic: 0,
      munkFactor: 1,
      ...hull,
    },
    foils: [],
    drives: [],
    rudders: [],
    thrusters: [],
    fenders: [],
    windage: { ...boat.windage, frontalArea: 0, lateralArea: 0 },
  };
}

/** The reference hull of the exact checks: 5 t, m1 5250, m2 9000 kg, I 40,500 kg·m², L 9 m. */
export const REFERENCE_HULL: Partial<HullSpec> = {
  length: 9,
  waterlineLength: 9,
  mass: 5000,
  yawRadius: 2.25,
  addedSurge: 0.05,
  addedSway: 0.8,
  addedYaw: 0.6,
};

/** A shaft that pushes ahead with exactly `thrust` at rest and idle revolutions, and neither walks nor sucks at the hull. */
export function plainShaft(thrust: number): BoatSpec['drives'][number] {
  const [drive] = sloop().drives;
  const { diameter, idleRps } = drive!;
  const bollardThrust =
    thrust / (1025 * diameter * diameter * diameter * diameter * idleRps * idleRps);
  return { ...drive!, walkAhead: 0, thrustDeduction: 0, bollardThrust };
}

/** A thruster that pushes sideways at x with the same force at any speed. */
export function jet(x: number, thrust: number): BoatSpec['thrusters'][number] {
  return {
    name: 'jet',
    x,
    thrust,
    jetSpeed: 1e9,
    control: 'proportional',
    response: 0.05,
    reverseDelay: 0,
    heatTime: Infinity,
    coolTime: 1,
  };
}
