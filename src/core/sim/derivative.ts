import type { Craft, MassProperties } from '../craft';
import {
  addCrossFlow,
  addFoil,
  addPropWalk,
  addRudder,
  addThrust,
  addWind,
  propellerFlow,
  raceAtBlade,
  resistance,
  type PropellerFlow,
  type RaceAtBlade,
} from '../forces';
import {
  addTouch,
  listPairs,
  pairsHold,
  touchScratch,
  type BoatMotion,
  type Obstacle,
  type TouchScratch,
} from '../holding';
import { cos, sin } from '../math';
import { actuatorStages, type ActuatorStages } from './actuators';
import type { Environment } from './environment';
import { MOTION_SIZE, PSI, R, U, V, X, Y } from './state';

/** A run's fixed surroundings. */
export interface World {
  readonly craft: Craft;
  readonly environment: Environment;
  readonly obstacles: readonly Obstacle[];
}

/** Working memory of the step. Made once per run, passed in, never shared between runs. */
export interface Scratch {
  readonly force: Float64Array;
  readonly blade: Float64Array;
  readonly flows: readonly PropellerFlow[];
  readonly race: RaceAtBlade;
  readonly ground: BoatMotion;
  readonly touch: TouchScratch;
  readonly stages: ActuatorStages;
  readonly k1: Float64Array;
  readonly k2: Float64Array;
  readonly k3: Float64Array;
  readonly k4: Float64Array;
  readonly at: Float64Array;
}

export function makeScratch(world: World): Scratch {
  const vector = () => new Float64Array(MOTION_SIZE);
  return {
    force: new Float64Array(3),
    blade: new Float64Array(2),
    flows: world.craft.shafts.map(() => ({ thrust: 0, driven: 0, inflow: 0, slip: 0 })),
    race: { speed: 0, cover: 0 },
    ground: { x: 0, y: 0, sin: 0, cos: 0, surge: 0, sway: 0, yaw: 0 },
    touch: touchScratch(),
    stages: actuatorStages(world.craft.shafts.length),
    k1: vector(),
    k2: vector(),
    k3: vector(),
    k4: vector(),
    at: vector(),
  };
}

/** Hull and fixed fins in the water. */
function addHull(
  force: Float64Array,
  s: Scratch,
  craft: Craft,
  density: number,
  u: number,
  v: number,
  r: number,
): void {
  force[0]! += resistance(craft.spec.hull, density, u);
  addCrossFlow(force, craft.strips, density, v, r);
  for (let i = 0; i < craft.foils.length; i++) {
    addFoil(force, s.blade, craft.foils[i]!, density, u, v, r);
  }
}

/** Propellers with their walk, then rudders in or out of their races. */
function addDrives(
  force: Float64Array,
  s: Scratch,
  craft: Craft,
  density: number,
  stage: number,
  u: number,
  v: number,
  r: number,
): void {
  for (let i = 0; i < craft.shafts.length; i++) {
    const shaft = craft.shafts[i]!;
    const flow = s.flows[i]!;
    propellerFlow(flow, shaft, density, u - r * shaft.y, s.stages.rps[3 * i + stage]!);
    addThrust(force, shaft, flow);
    addPropWalk(force, shaft, flow);
  }
  for (let i = 0; i < craft.rudders.length; i++) {
    const rudder = craft.rudders[i]!;
    const surge = u - r * rudder.foil.y;
    const sway = v + r * rudder.foil.x;
    s.race.cover = 0;
    if (rudder.race) {
      const flow = s.flows[rudder.race.shaft]!;
      raceAtBlade(
        s.race,
        rudder.race,
        flow,
        craft.shafts[rudder.race.shaft]!.discArea,
        density,
        surge * rudder.foil.speedShare,
      );
    }
    addRudder(
      force,
      s.blade,
      rudder,
      s.race,
      density,
      s.stages.sin[stage]!,
      s.stages.cos[stage]!,
      surge,
      sway,
    );
  }
}

/**
 * M ν̇ + C(ν)ν = force, solved for ν̇ into rates[U…R]. With m1, m2, m23, I and the Coriolis matrix's own
 * c1, c2, c23 (see craft/mass.ts):
 *   m1 u̇ = X + r(c2 v + c23 r),  m2 v̇ + m23 ṙ = Y − r c1 u,
 *   I ṙ + m23 v̇ = N − u(c2 v + c23 r) + v c1 u
 */
export function accelerate(
  rates: Float64Array,
  mass: MassProperties,
  force: Float64Array,
  u: number,
  v: number,
  r: number,
): void {
  const swayMomentum = mass.c22 * v + mass.c23 * r;
  const x = force[0]! + r * swayMomentum;
  const y = force[1]! - r * mass.c11 * u;
  const n = force[2]! - u * swayMomentum + v * mass.c11 * u;
  rates[U] = x / mass.m11;
  rates[V] = (mass.m33 * y - mass.m23 * n) / mass.determinant;
  rates[R] = (mass.m22 * n - mass.m23 * y) / mass.determinant;
}

/** Place and velocity over the ground, body axes, for what touches. */
function setGround(
  ground: BoatMotion,
  motion: Float64Array,
  { streamEast, streamNorth }: Environment,
  sinPsi: number,
  cosPsi: number,
): void {
  ground.x = motion[X]!;
  ground.y = motion[Y]!;
  ground.sin = sinPsi;
  ground.cos = cosPsi;
  ground.surge = motion[U]! + streamEast * sinPsi + streamNorth * cosPsi;
  ground.sway = motion[V]! + streamEast * cosPsi - streamNorth * sinPsi;
  ground.yaw = motion[R]!;
}

/** Finds out what the boat may touch within the next `seconds`, looking round anew only if she has moved on. */
export function lookAround(motion: Float64Array, world: World, s: Scratch, seconds: number): void {
  const { touch } = world.craft;
  const u = motion[U]!;
  const v = motion[V]!;
  const { streamEast, streamNorth } = world.environment;
  const stream = Math.sqrt(streamEast * streamEast + streamNorth * streamNorth);
  const speed = Math.sqrt(u * u + v * v) + stream + Math.abs(motion[R]!) * touch.reach;
  // Half as much again for what she may gain within the step.
  const travel = 1.5 * speed * seconds;
  const x = motion[X]!;
  const y = motion[Y]!;
  const heading = motion[PSI]!;
  if (pairsHold(s.touch, touch, x, y, heading, travel)) return;
  setGround(s.ground, motion, world.environment, sin(heading), cos(heading));
  listPairs(s.touch, world.craft, world.obstacles, s.ground, heading);
  pairsHold(s.touch, touch, x, y, heading, travel);
}

/**
 * Rates of change of the motion vector at one stage of the step (0 start, 1 middle, 2 end).
 * Velocity is through the water; a steady uniform stream only carries the place along.
 */
export function derivative(
  rates: Float64Array,
  motion: Float64Array,
  world: World,
  s: Scratch,
  stage: number,
): void {
  const { craft, environment } = world;
  const { force, ground } = s;
  const u = motion[U]!;
  const v = motion[V]!;
  const r = motion[R]!;
  const sinPsi = sin(motion[PSI]!);
  const cosPsi = cos(motion[PSI]!);
  const density = environment.waterDensity;
  force[0] = 0;
  force[1] = 0;
  force[2] = 0;

  addHull(force, s, craft, density, u, v, r);
  addDrives(force, s, craft, density, stage, u, v, r);
  addWind(
    force,
    craft.spec.windage,
    craft.spec.hull.length,
    environment.airDensity,
    u + environment.slipEast * sinPsi + environment.slipNorth * cosPsi,
    v + environment.slipEast * cosPsi - environment.slipNorth * sinPsi,
  );
  if (s.touch.active) {
    setGround(ground, motion, environment, sinPsi, cosPsi);
    addTouch(force, s.touch, craft, world.obstacles, ground);
  } else {
    s.touch.count = 0;
  }

  accelerate(rates, craft.mass, force, u, v, r);
  rates[X] = u * sinPsi + v * cosPsi + environment.streamEast;
  rates[Y] = u * cosPsi - v * sinPsi + environment.streamNorth;
  rates[PSI] = r;
}
