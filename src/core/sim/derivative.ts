import {
  BLADE,
  BLADE_COLUMNS,
  DRIVE,
  DRIVE_COLUMNS,
  FOIL,
  FOIL_COLUMNS,
  HULL,
  type Craft,
  type MassProperties,
} from '../craft';
import {
  addBankEffect,
  addBlade,
  addCrossFlow,
  addFoil,
  addHullLift,
  addShipDerivatives,
  addThrust,
  addThruster,
  addWind,
  FLOW_COLUMNS,
  propellerFlow,
  propWalk,
  raceAtBlade,
  resistance,
  type ShallowFactors,
} from '../forces';
import { addLines, addTouch, listPairs, pairsHold, type BoatMotion } from '../holding';
import { cos, sin, sineCosine } from '../math';
import { streamAt } from '../water';
import type { Environment } from './environment';
import { PSI, R, U, V, X, Y } from './state';
import type { Scratch, World } from './world';

/** Bare hull in the water: resistance, cross flow, lift at small drift. */
function addHull(
  force: Float64Array,
  s: Scratch,
  craft: Craft,
  density: number,
  u: number,
  v: number,
  r: number,
): void {
  const { hull, friction, strips } = craft;
  const offset = hull[HULL.OFFSET]!;
  const middle = strips.x.length >> 1;
  const du = u - s.streamU[middle]!;
  const dv = v - s.streamV[middle]!;
  const { shallow } = s;
  if (offset === 0) {
    force[0]! += shallow.resistance * resistance(hull, friction, density, du, dv);
  } else {
    // Two hulls share the wetted area and the weight, and drag her round as she turns.
    const port = 0.5 * resistance(hull, friction, density, du + r * offset, dv);
    const starboard = 0.5 * resistance(hull, friction, density, du - r * offset, dv);
    force[0]! += shallow.resistance * (port + starboard);
    force[2]! += shallow.resistance * offset * (port - starboard);
  }
  addCrossFlow(force, strips, density * shallow.crossFlow, v, r, s.streamV);
  addHullLift(force, hull, density * shallow.lift, du, dv, r);
}

function addFins(
  force: Float64Array,
  s: Scratch,
  craft: Craft,
  density: number,
  u: number,
  v: number,
  r: number,
): void {
  const { count, values } = craft.fins;
  for (let i = 0; i < count; i++) {
    const at = i * FOIL_COLUMNS;
    const strip = values[at + FOIL.STRIP]!;
    addFoil(force, s.pair, values, at, density, u, v, r, s.streamU[strip]!, s.streamV[strip]!);
  }
}

/** Propellers with their walk, each along its own axis. */
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
  const { flows, stages } = s;
  const { count, values } = craft.drives;
  for (let i = 0; i < count; i++) {
    const at = i * DRIVE_COLUMNS;
    const c = 3 * values[at + DRIVE.CHANNEL]! + stage;
    const sinDelta = stages.sin[c]!;
    const cosDelta = stages.cos[c]!;
    const strip = values[at + DRIVE.STRIP]!;
    const surge = u - r * values[at + DRIVE.Y]! - s.streamU[strip]!;
    const sway = v + r * values[at + DRIVE.X]! - s.streamV[strip]!;
    const along = surge * cosDelta - sway * sinDelta;
    const across = surge * sinDelta + sway * cosDelta;
    const flow = i * FLOW_COLUMNS;
    propellerFlow(flows, flow, values, at, density, along, across, stages.rps[3 * i + stage]!);
    const walk = propWalk(flows, flow, values, at);
    addThrust(force, flows, flow, values, at, sinDelta, cosDelta, walk);
  }
}

/** Rudders and legs, in or out of a race. */
function addBlades(
  force: Float64Array,
  s: Scratch,
  craft: Craft,
  density: number,
  stage: number,
  u: number,
  v: number,
  r: number,
): void {
  const { race, stages, flows } = s;
  const { count, values } = craft.blades;
  for (let i = 0; i < count; i++) {
    const at = i * BLADE_COLUMNS;
    const strip = values[at + BLADE.STRIP]!;
    const surge = u - r * values[at + BLADE.Y]! - s.streamU[strip]!;
    const sway = v + r * values[at + BLADE.X]! - s.streamV[strip]!;
    const drive = values[at + BLADE.RACE_OF]!;
    if (drive < 0) race[1] = 0;
    else {
      raceAtBlade(
        race,
        values,
        at,
        flows,
        drive * FLOW_COLUMNS,
        craft.drives.values,
        drive * DRIVE_COLUMNS,
        density,
        surge * values[at + BLADE.SPEED]!,
      );
    }
    const c = 3 * values[at + BLADE.CHANNEL]! + stage;
    addBlade(force, s.pair, values, at, race, density, stages.sin[c]!, stages.cos[c]!, surge, sway);
  }
}

function addThrusters(
  force: Float64Array,
  s: Scratch,
  craft: Craft,
  stage: number,
  u: number,
): void {
  const { thrusters } = craft.spec;
  for (let i = 0; i < thrusters.length; i++) {
    const power = s.stages.power[3 * i + stage]!;
    if (power !== 0) addThruster(force, thrusters[i]!, power, u);
  }
}

/** A ship by her published derivatives: hull, propeller and rudder in one. */
function addShip(
  force: Float64Array,
  s: Scratch,
  craft: Craft,
  density: number,
  stage: number,
  u: number,
  v: number,
  r: number,
): void {
  const { sin: sines, cos: cosines, rps } = s.stages;
  const delta = cosines[stage]! > 0 ? arcsine(sines[stage]!) : 0;
  addShipDerivatives(
    force,
    craft.spec.hull.derivatives!,
    density,
    craft.mass.a22 - craft.mass.a11,
    u,
    v,
    r,
    rps.length > 0 ? rps[stage]! : 0,
    delta,
  );
}

/** Arcsine for helm angles, |x| ≤ 0.9, by Newton on the core's own sine; to the last bits in five rounds. */
function arcsine(x: number): number {
  let a = x;
  for (let i = 0; i < 5; i++) a -= (sin(a) - x) / cos(a);
  return a;
}

/**
 * M ν̇ + C(ν)ν = force, solved for ν̇ into rates[U…R]. Rigid mass moves over the reference stream with
 * (u, v, r); added mass with (ur, vr, r), the velocity through the water where she is:
 *   m1 u̇ = X + r Q,  m2 v̇ + m23 ṙ = Y − r P,  I ṙ + m23 v̇ = N − ur Q_A + vr P_A − u m x_G r
 *   Q = m(v + x_G r) + a22 vr + a23 r,  P = m u + a11 ur,  Q_A = a22 vr + a23 r,  P_A = a11 ur
 */
export function accelerate(
  rates: Float64Array,
  mass: MassProperties,
  shallow: ShallowFactors,
  force: Float64Array,
  u: number,
  v: number,
  r: number,
  ur: number,
  vr: number,
): void {
  const a11 = mass.a11 * shallow.surgeMass;
  const a22 = mass.a22 * shallow.swayMass;
  const surgeAdded = a11 * ur;
  const swayAdded = a22 * vr + mass.a23 * r;
  const x = force[0]! + r * (mass.rigid * v + mass.rigidMoment * r + swayAdded);
  const y = force[1]! - r * (mass.rigid * u + surgeAdded);
  const n = force[2]! - ur * swayAdded + vr * surgeAdded - u * mass.rigidMoment * r;
  if (shallow.swayMass === 1) {
    rates[U] = x / mass.m11;
    rates[V] = (mass.m33 * y - mass.m23 * n) / mass.determinant;
    rates[R] = (mass.m22 * n - mass.m23 * y) / mass.determinant;
    return;
  }
  const m11 = mass.rigid + (mass.m11 - mass.rigid) * shallow.surgeMass;
  const m22 = mass.rigid + (mass.m22 - mass.rigid) * shallow.swayMass;
  // Added yaw inertia is not kept apart: most of it is a share of the whole, and the share grows.
  const m33 = mass.m33 * (1 + 0.375 * (shallow.yawMass - 1));
  const determinant = m22 * m33 - mass.m23 * mass.m23;
  rates[U] = x / m11;
  rates[V] = (m33 * y - mass.m23 * n) / determinant;
  rates[R] = (m22 * n - mass.m23 * y) / determinant;
}

/** Place and velocity over the ground, body axes, for what touches and what holds. */
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

/** Stream at every strip over the reference stream, in body axes. */
function setStream(
  motion: Float64Array,
  world: World,
  s: Scratch,
  time: number,
  sinPsi: number,
  cosPsi: number,
): void {
  const { field, streamEast, streamNorth } = world.environment;
  if (!field) return;
  const { x } = world.craft.strips;
  for (let i = 0; i < x.length; i++) {
    const xi = x[i]!;
    streamAt(s.pair, field, motion[X]! + xi * sinPsi, motion[Y]! + xi * cosPsi, time);
    const east = s.pair[0]! - streamEast;
    const north = s.pair[1]! - streamNorth;
    s.streamU[i] = east * sinPsi + north * cosPsi;
    s.streamV[i] = east * cosPsi - north * sinPsi;
  }
}

function mean(values: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += values[i]!;
  return sum / values.length;
}

/** Wind, with what shelter does to its sway and yaw. */
function addAir(
  force: Float64Array,
  s: Scratch,
  world: World,
  stage: number,
  u: number,
  v: number,
  sinPsi: number,
  cosPsi: number,
): void {
  const { air } = s;
  const east = air.slip[2 * stage]!;
  const north = air.slip[2 * stage + 1]!;
  const { windage, hull } = world.craft.spec;
  const a = u + east * sinPsi + north * cosPsi;
  const b = v + east * cosPsi - north * sinPsi;
  if (air.meanSquare === 1 && air.difference === 0) {
    addWind(force, windage, hull.length, world.environment.airDensity, a, b);
    return;
  }
  const surge = force[0]!;
  const sway = force[1]!;
  const yaw = force[2]!;
  addWind(force, windage, hull.length, world.environment.airDensity, a, b);
  const side = force[1]! - sway;
  force[0] = surge + (force[0]! - surge) * air.meanSquare;
  force[1] = sway + side * air.meanSquare;
  force[2] = yaw + (force[2]! - yaw) * air.meanSquare + side * air.difference * (hull.length / 3);
}

/**
 * Rates of change of the motion vector at one stage of the step (0 start, 1 middle, 2 end).
 * Velocity is through the reference stream; a steady uniform stream only carries the place along.
 */
export function derivative(
  rates: Float64Array,
  motion: Float64Array,
  world: World,
  s: Scratch,
  stage: number,
  time: number,
): void {
  const { craft, environment } = world;
  const { force, ground } = s;
  const u = motion[U]!;
  const v = motion[V]!;
  const r = motion[R]!;
  sineCosine(s.pair, motion[PSI]!);
  const sinPsi = s.pair[0]!;
  const cosPsi = s.pair[1]!;
  const density = environment.waterDensity;
  force[0] = 0;
  force[1] = 0;
  force[2] = 0;
  let ur = u;
  let vr = v;
  if (environment.field) {
    setStream(motion, world, s, time, sinPsi, cosPsi);
    ur -= mean(s.streamU);
    vr -= mean(s.streamV);
  }

  if (craft.spec.hull.derivatives === null) {
    addHull(force, s, craft, density, u, v, r);
    addFins(force, s, craft, density, u, v, r);
    addDrives(force, s, craft, density, stage, u, v, r);
    addBlades(force, s, craft, density, stage, u, v, r);
  } else {
    addShip(force, s, craft, density, stage, ur, vr, r);
  }
  if (craft.spec.thrusters.length > 0) addThrusters(force, s, craft, stage, ur);
  addAir(force, s, world, stage, u, v, sinPsi, cosPsi);
  if (environment.confined) {
    const { length, beam, draught } = craft.spec.hull;
    addBankEffect(force, length, beam, draught, density, ur, s.gaps.port, s.gaps.starboard);
  }
  if (s.touch.active || world.lines.count > 0) {
    setGround(ground, motion, environment, sinPsi, cosPsi);
    if (s.touch.active) addTouch(force, s.touch, craft, world.obstacles, ground);
    else s.touch.count = 0;
    addLines(force, s.tension, world.lines, ground);
  } else {
    s.touch.count = 0;
  }

  accelerate(rates, craft.mass, s.shallow, force, u, v, r, ur, vr);
  rates[X] = u * sinPsi + v * cosPsi + environment.streamEast;
  rates[Y] = u * cosPsi - v * sinPsi + environment.streamNorth;
  rates[PSI] = r;
}
