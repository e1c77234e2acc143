import { LIES_ALONGSIDE_MPS } from '../policy';
import type { Craft } from '../boat';
import { linesOf, obstacleSetOf, solidObstacle } from '../holding';
import { bisect, cos } from '../math';
import {
  environmentFor,
  orderEngine,
  orderRudder,
  PSI,
  Simulation,
  TIMESTEP_S,
  U,
  V,
  X,
  Y,
  type Weather,
} from '../simulation';
import { CALM, hasDrive, OpenWater } from './open-water';
import { greatestWind, heldFor, STRONGEST_MPS } from './wind';

/** What else holds the boat against a wind abeam, m/s: Infinity up to a storm, nought never, null without the means. */
export interface HoldsHer {
  /** The joystick pushed over against it from rest, twisted to keep the boat's heading: it is where it was, and still abeam of it, `seconds` on. */
  readonly joystick: number | null;
  readonly seconds: number;
  /** Idling ahead on a spring from amidships led aft, with the wheel that does best: the boat still lies alongside. */
  readonly spring: number | null;
  readonly springSeconds: number;
}

/** How a spring trial is rigged. */
export interface OnSpring {
  /** Share of the lock, away from the quay. */
  readonly wheel: number;
  /** How far abaft midships it leads to, lengths. */
  readonly led: number;
  readonly stiffness: number;
  readonly damping: number;
  readonly seconds: number;
}

/** Forward of midships, lengths: the cleat amidships. */
const CLEAT = 0.02;
const FENDER_M = 0.3;
/** Lying alongside: neither end further off the quay, nor the boat further along it, lengths. */
const OFF_LENGTHS = 0.12;
const ALONG_LENGTHS = 0.25;
/** A bow blown off by this much is not held, rad. */
const BLOWN_OFF = 0.35;

/** Alongside a quay on a midship spring led aft, idling ahead with the wheel off the quay, the wind off it: is the boat held? */
export function springHolds(craft: Craft, wind: number, by: OnSpring): boolean {
  const { length, beam } = craft.spec.hull;
  const side = beam / 2 + FENDER_M;
  const far = 10 * length;
  const corners = Float64Array.from([-far, -side - 4, -far, -side, far, -side, far, -side - 4]);
  const quay = solidObstacle('quay', 'quay', corners, { friction: 0.35, stiffness: 1e6 });
  // Heading east along a quay to the south: the boat's starboard side.
  const across = FENDER_M + 0.2;
  const along = (CLEAT + by.led) * length;
  const spring = {
    boatX: CLEAT * length,
    boatY: beam / 2,
    shoreX: -by.led * length,
    shoreY: -side - FENDER_M,
    rise: FENDER_M,
    length: Math.sqrt(along * along + across * across),
    stiffness: by.stiffness,
    damping: by.damping,
  };
  const weather: Weather = { ...CALM, windFrom: Math.PI, windSpeed: wind };
  const world = {
    craft,
    obstacles: [quay],
    environment: environmentFor(craft, weather),
    lines: linesOf([spring]),
    shore: obstacleSetOf([quay]),
  };
  const simulation = Simulation.at(world, { x: 0, y: 0, heading: Math.PI / 2, speed: 0 });
  const { state } = simulation;
  // The quay lies to starboard: wheel to port, away from it, holds the stern in.
  orderRudder(state, craft, -by.wheel * craft.limits[0]!);
  craft.spec.drives.forEach((d, i) => orderEngine(state.engines[i]!, d, 1, 0));
  const steps = Math.round(by.seconds / TIMESTEP_S);
  for (let i = 0; i < steps; i++) simulation.advance(TIMESTEP_S);
  const psi = state.motion[PSI]!;
  const still =
    state.motion[U]! * state.motion[U]! + state.motion[V]! * state.motion[V]! <
    LIES_ALONGSIDE_MPS * LIES_ALONGSIDE_MPS;
  const off = state.motion[Y]! + 0.5 * length * Math.abs(cos(psi));
  const parallel = Math.abs(psi - Math.PI / 2) < BLOWN_OFF;
  return (
    still &&
    parallel &&
    off < OFF_LENGTHS * length &&
    Math.abs(state.motion[X]!) < ALONG_LENGTHS * length
  );
}

/** Polyester or nylon of a size for the boat, as on the bench: a tenth of its weight stretches it by eight per cent. ± 50 %. */
export const STIFFNESS_PER_KG = 12;
export const DAMPING_PER_KG = 0.08;
const WHEELS = [0, 0.3, 0.7, 1];
/** How far abaft its cleat a spring may be led, lengths: short ones hold in, long ones hold back. */
const LEADS = [0.12, 0.17, 0.25];
const SPRING_S = 90;

/** A hand on the joystick looks up twice a second, and twists against what the boat is off and still turning. */
const LOOKS_S = 0.5;
const FULL_TWIST = 0.5;
const MEETS_S = 1.5;

function joystickHolds(craft: Craft, wind: number, seconds: number): boolean {
  const water = OpenWater.of(craft, { weather: { windFrom: -Math.PI / 2, windSpeed: wind } });
  const { joystick } = water.state;
  for (let passed = 0; passed < seconds; passed += LOOKS_S) {
    const off = (water.heading + MEETS_S * water.rate) / FULL_TWIST;
    const yaw = Math.max(-1, Math.min(1, -off));
    Object.assign(joystick, { active: true, surge: 0, sway: -1, yaw, looksIn: 0 });
    water.run(LOOKS_S);
  }
  return water.x <= 0 && Math.abs(water.heading) < BLOWN_OFF;
}

/** In what wind it first fails, m/s: blown far enough the boat may lie still again somewhere, which is no holding. */
const RISES = 1.2;
const HALVINGS = 4;
const LEAST_MPS = 1;

function firstFailing(holds: (wind: number) => boolean): number {
  let good = 0;
  let bad = LEAST_MPS;
  while (holds(bad)) {
    if (bad > STRONGEST_MPS) return Infinity;
    good = bad;
    bad *= RISES;
  }
  if (good === 0) return 0;
  return bisect(holds, good, bad, HALVINGS).low;
}

/** What holds the boat against a wind abeam besides bow thruster and a burst: the joystick, and a spring motored on. */
export function holdsHer(craft: Craft): HoldsHer {
  const seconds = heldFor(craft);
  const { mass } = craft.spec.hull;
  const rig = {
    stiffness: STIFFNESS_PER_KG * mass,
    damping: DAMPING_PER_KG * mass,
    seconds: SPRING_S,
  };
  return {
    joystick: craft.spec.joystick
      ? greatestWind((wind) => joystickHolds(craft, wind, seconds))
      : null,
    seconds,
    spring: hasDrive(craft)
      ? firstFailing((wind) =>
          LEADS.some((led) =>
            WHEELS.some((wheel) => springHolds(craft, wind, { ...rig, led, wheel })),
          ),
        )
      : null,
    springSeconds: SPRING_S,
  };
}
