import {
  BLADE,
  BLADE_COLUMNS,
  DRIVE,
  DRIVE_COLUMNS,
  FOIL,
  FOIL_COLUMNS,
  HULL,
  THRUSTER_COLUMNS,
  WINDAGE,
  type Craft,
} from '../craft';
import {
  addBankEffect,
  addBlade,
  addCrossFlow,
  addCrossFlowInField,
  addFoil,
  addHullLift,
  addShipDerivatives,
  addThrust,
  addThruster,
  addWind,
  FLOW_COLUMNS,
  propellerFlow,
  raceAtBlade,
  resistance,
  setAxialFlow,
  SHALLOW,
  WORK,
} from '../forces';
import {
  addLines,
  addTouch,
  clearSticks,
  GROUND,
  letSlide,
  LIST,
  lookForTouches,
} from '../holding';
import { cos, sin, sineCosine, TURN } from '../math';
import { setStrength, STREAM, streamAt } from '../water';
import { accelerate } from './accelerate';
import { addBottom } from './aground';
import { WATER } from './environment';
import { addLockStream } from './locks-now';
import { PSI, R, U, V, X, Y } from './state';
import { AIR, CLOCK, NOW, UNDER, type Scratch, type World } from './world';

/** Places of the causes in a ledger. */
const BOOK = {
  OTHERS: 9,
  LOCK: 10,
  HULL: 0,
  FINS: 1,
  DRIVES: 2,
  BLADES: 3,
  THRUSTERS: 4,
  AIR: 5,
  BANKS: 6,
  TOUCHES: 7,
  LINES: 8,
} as const;

/** Those of what acts slowly. */
const SLOW = [
  BOOK.LOCK,
  BOOK.HULL,
  BOOK.FINS,
  BOOK.DRIVES,
  BOOK.BLADES,
  BOOK.THRUSTERS,
  BOOK.AIR,
  BOOK.BANKS,
] as const;

/** Bare hull in the water: resistance, cross flow, lift at small drift. */
function addHull(force: Float64Array, s: Scratch, craft: Craft, inField: boolean): void {
  const { now, work } = s;
  const v = now[NOW.V]!;
  const r = now[NOW.R]!;
  const density = now[NOW.DENSITY]!;
  const { hull, friction, strips } = craft;
  const offset = hull[HULL.OFFSET]!;
  const middle = strips.x.length >> 1;
  const along = now[NOW.U]! - s.streamU[middle]!;
  // Sideways speed of the hull's own middle, wherever she is described from.
  const across = v + hull[HULL.LIFT_CENTRE]! * r - s.streamV[middle]!;
  const shallow = s.shallow[SHALLOW.RESISTANCE]!;
  work[WORK.DENSITY] = density;
  work[WORK.SWAY] = across;
  work[WORK.YAW] = r;
  if (offset === 0) {
    work[WORK.SURGE] = along;
    resistance(hull, friction, work);
    force[0]! += shallow * work[WORK.FORCE]!;
  } else {
    // Two hulls share the wetted area and the weight, and drag her round as she turns.
    work[WORK.SURGE] = along + r * offset;
    resistance(hull, friction, work);
    const port = 0.5 * shallow * work[WORK.FORCE]!;
    work[WORK.SURGE] = along - r * offset;
    resistance(hull, friction, work);
    const starboard = 0.5 * shallow * work[WORK.FORCE]!;
    force[0]! += port + starboard;
    force[2]! += offset * (port - starboard);
    work[WORK.SURGE] = along;
  }
  work[WORK.DENSITY] = density * s.shallow[SHALLOW.LIFT]!;
  addHullLift(force, hull, work);
  work[WORK.DENSITY] = density * s.shallow[SHALLOW.CROSS_FLOW]!;
  work[WORK.SWAY] = v;
  if (inField) addCrossFlowInField(force, strips, work, s.streamV);
  else addCrossFlow(force, strips, work);
  work[WORK.DENSITY] = density;
}

function addFins(force: Float64Array, s: Scratch, craft: Craft): void {
  const { now, work } = s;
  const { count, values } = craft.fins;
  for (let i = 0; i < count; i++) {
    const at = i * FOIL_COLUMNS;
    const strip = values[at + FOIL.STRIP]!;
    work[WORK.SURGE] = now[NOW.U]! - now[NOW.R]! * values[at + FOIL.Y]! - s.streamU[strip]!;
    work[WORK.SWAY] = now[NOW.V]! + now[NOW.R]! * values[at + FOIL.X]! - s.streamV[strip]!;
    addFoil(force, work, values, at);
  }
}

/** Propellers with their walk, each along its own axis. */
function addDrives(force: Float64Array, s: Scratch, craft: Craft, stage: number): void {
  const { flows, stages, now, work } = s;
  const { count, values } = craft.drives;
  for (let i = 0; i < count; i++) {
    const at = i * DRIVE_COLUMNS;
    const c = 3 * values[at + DRIVE.CHANNEL]! + stage;
    const strip = values[at + DRIVE.STRIP]!;
    work[WORK.SIN] = stages.sin[c]!;
    work[WORK.COS] = stages.cos[c]!;
    work[WORK.SURGE] = now[NOW.U]! - now[NOW.R]! * values[at + DRIVE.Y]! - s.streamU[strip]!;
    work[WORK.SWAY] = now[NOW.V]! + now[NOW.R]! * values[at + DRIVE.X]! - s.streamV[strip]!;
    work[WORK.RPS] = stages.rps[3 * i + stage]!;
    const flow = i * FLOW_COLUMNS;
    propellerFlow(flows, flow, values, at, work);
    addThrust(force, flows, flow, values, at, work);
  }
}

/** Rudders and legs, in or out of a race. */
function addBlades(force: Float64Array, s: Scratch, craft: Craft, stage: number): void {
  const { race, stages, flows, now, work } = s;
  const { count, values } = craft.blades;
  for (let i = 0; i < count; i++) {
    const at = i * BLADE_COLUMNS;
    const strip = values[at + BLADE.STRIP]!;
    const c = 3 * values[at + BLADE.CHANNEL]! + stage;
    work[WORK.SIN] = stages.sin[c]!;
    work[WORK.COS] = stages.cos[c]!;
    work[WORK.SURGE] = now[NOW.U]! - now[NOW.R]! * values[at + BLADE.Y]! - s.streamU[strip]!;
    work[WORK.SWAY] = now[NOW.V]! + now[NOW.R]! * values[at + BLADE.X]! - s.streamV[strip]!;
    setAxialFlow(work, values, at);
    const drive = values[at + BLADE.RACE_OF]!;
    if (drive < 0) race[1] = 0;
    else {
      const screw = craft.drives.values;
      const flow = drive * FLOW_COLUMNS;
      raceAtBlade(race, values, at, flows, flow, screw, drive * DRIVE_COLUMNS, work);
    }
    addBlade(force, work, values, at, race);
  }
}

function addThrusters(force: Float64Array, s: Scratch, craft: Craft, stage: number): void {
  const { work } = s;
  const { count, values } = craft.thrusters;
  work[WORK.SURGE] = s.now[NOW.UR]!;
  for (let i = 0; i < count; i++) {
    const power = s.stages.power[3 * i + stage]!;
    if (power === 0) continue;
    work[WORK.POWER] = power;
    addThruster(force, values, i * THRUSTER_COLUMNS, work);
  }
}

/** A ship by her published derivatives: hull, propeller and rudder in one. */
function addShip(force: Float64Array, s: Scratch, craft: Craft, stage: number): void {
  const { now, work } = s;
  const { sin: sines, cos: cosines, rps } = s.stages;
  work[WORK.SURGE] = now[NOW.UR]!;
  work[WORK.SWAY] = now[NOW.VR]!;
  work[WORK.YAW] = now[NOW.R]!;
  work[WORK.DENSITY] = now[NOW.DENSITY]!;
  work[WORK.RPS] = rps.length > 0 ? rps[stage]! : 0;
  work[WORK.ANGLE] = cosines[stage]! > 0 ? arcsine(sines[stage]!) : 0;
  addShipDerivatives(force, craft.spec.hull.derivatives!, craft.mass.a22 - craft.mass.a11, work);
}

/** Arcsine for helm angles, |x| ≤ 0.9, by Newton on the core's own sine; to the last bits in five rounds. */
function arcsine(x: number): number {
  let a = x;
  for (let i = 0; i < 5; i++) a -= (sin(a) - x) / cos(a);
  return a;
}

/** Her heading's sine and cosine in the row. */
export function turnGround(ground: Float64Array, turn: Float64Array, motion: Float64Array): void {
  turn[TURN.ANGLE] = motion[PSI]!;
  sineCosine(turn);
  ground[GROUND.SIN] = turn[TURN.SIN]!;
  ground[GROUND.COS] = turn[TURN.COS]!;
}

/** Place and velocity over the ground, body axes, for what touches and what holds; sine and cosine stand in the row. */
export function setGround(ground: Float64Array, motion: Float64Array, water: Float64Array): void {
  const sinPsi = ground[GROUND.SIN]!;
  const cosPsi = ground[GROUND.COS]!;
  const east = water[WATER.EAST]!;
  const north = water[WATER.NORTH]!;
  ground[GROUND.X] = motion[X]!;
  ground[GROUND.Y] = motion[Y]!;
  ground[GROUND.HEADING] = motion[PSI]!;
  ground[GROUND.SURGE] = motion[U]! + east * sinPsi + north * cosPsi;
  ground[GROUND.SWAY] = motion[V]! + east * cosPsi - north * sinPsi;
  ground[GROUND.YAW] = motion[R]!;
}

/** Her place and velocity over the ground into the scratch's row. */
export function placeOnGround(motion: Float64Array, world: World, s: Scratch): void {
  turnGround(s.ground, s.turn, motion);
  setGround(s.ground, motion, world.environment.row);
}

/** Finds out what the boat may touch within the step. */
export function lookAround(motion: Float64Array, world: World, s: Scratch): void {
  const { ground, touch } = s;
  touch.list[LIST.SECONDS] = s.clock[CLOCK.STEP]!;
  placeOnGround(motion, world, s);
  lookForTouches(touch, world.craft, world.shore, ground);
}

/** Stream at every strip over the reference stream, in body axes. */
function setStream(motion: Float64Array, world: World, s: Scratch): void {
  const { field, streamEast, streamNorth } = world.environment;
  if (!field) {
    s.streamU.fill(0);
    s.streamV.fill(0);
    addLockStream(motion, world, s);
    return;
  }
  const { stream, turn } = s;
  const sinPsi = turn[TURN.SIN]!;
  const cosPsi = turn[TURN.COS]!;
  const { x } = world.craft.strips;
  setStrength(stream, field, s.clock[CLOCK.STAGE]!);
  for (let i = 0; i < x.length; i++) {
    const xi = x[i]!;
    stream[STREAM.X] = motion[X]! + xi * sinPsi;
    stream[STREAM.Y] = motion[Y]! + xi * cosPsi;
    streamAt(stream, field);
    const east = stream[STREAM.EAST]! - streamEast;
    const north = stream[STREAM.NORTH]! - streamNorth;
    s.streamU[i] = east * sinPsi + north * cosPsi;
    s.streamV[i] = east * cosPsi - north * sinPsi;
  }
  if (s.lockNow[0] === 1) addLockStream(motion, world, s);
}

function mean(values: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += values[i]!;
  return sum / values.length;
}

/** Wind, with what shelter does to its sway and yaw. */
function addAir(force: Float64Array, s: Scratch, world: World, stage: number): void {
  const { now, work } = s;
  const sinPsi = now[NOW.SIN]!;
  const cosPsi = now[NOW.COS]!;
  const u = now[NOW.U]!;
  // Through the air as her hull's middle goes.
  const v = now[NOW.V]! + world.craft.hull[HULL.LIFT_CENTRE]! * now[NOW.R]!;
  const { air } = s;
  const { windage } = world.craft;
  const east = air[2 * stage]!;
  const north = air[2 * stage + 1]!;
  work[WORK.SURGE] = u + east * sinPsi + north * cosPsi;
  work[WORK.SWAY] = v + east * cosPsi - north * sinPsi;
  work[WORK.DENSITY] = world.environment.row[WATER.AIR]!;
  const square = air[AIR.MEAN_SQUARE]!;
  const difference = air[AIR.DIFFERENCE]!;
  const surge = force[0]!;
  const sway = force[1]!;
  const yaw = force[2]!;
  addWind(force, windage, work);
  work[WORK.DENSITY] = now[NOW.DENSITY]!;
  if (square === 1 && difference === 0) return;
  const side = force[1]! - sway;
  force[0] = surge + (force[0]! - surge) * square;
  force[1] = sway + side * square;
  force[2] = yaw + (force[2]! - yaw) * square + side * difference * (windage[WINDAGE.LENGTH]! / 3);
}

/** What acts slowly: water and air, on hull, fins, drives, blades, thrusters and topsides. What she is doing stands in NOW. */
function addSlow(
  force: Float64Array,
  motion: Float64Array,
  world: World,
  s: Scratch,
  stage: number,
  inField: boolean,
): void {
  const { craft, environment } = world;
  const { ledger, work } = s;
  if (world.gates) {
    force[0]! += s.lockPush[0]!;
    force[1]! += s.lockPush[1]!;
    force[2]! += s.lockPush[2]!;
    ledger?.note(BOOK.LOCK, force, motion);
  }
  if (craft.spec.hull.derivatives === null) {
    addHull(force, s, craft, inField);
    ledger?.note(BOOK.HULL, force, motion);
    addFins(force, s, craft);
    ledger?.note(BOOK.FINS, force, motion);
    addDrives(force, s, craft, stage);
    ledger?.note(BOOK.DRIVES, force, motion);
    addBlades(force, s, craft, stage);
    ledger?.note(BOOK.BLADES, force, motion);
  } else {
    addShip(force, s, craft, stage);
    ledger?.note(BOOK.HULL, force, motion);
  }
  if (craft.thrusters.count > 0) addThrusters(force, s, craft, stage);
  ledger?.note(BOOK.THRUSTERS, force, motion);
  addAir(force, s, world, stage);
  ledger?.note(BOOK.AIR, force, motion);
  if (environment.confined) {
    work[WORK.SURGE] = s.now[NOW.UR]!;
    addBankEffect(force, craft.spec.hull, work, s.gaps);
    ledger?.note(BOOK.BANKS, force, motion);
  }
}

/**
 * Rates of change of the motion vector at one stage of the step (0 start, 1 middle, 2 end), at the clock's STAGE.
 * Velocity is through the reference stream; a steady uniform stream only carries the place along. While something may
 * touch, the second look at the middle takes what acts slowly from the first (docs/decisions/38).
 */
export function derivative(
  rates: Float64Array,
  motion: Float64Array,
  world: World,
  s: Scratch,
  stage: number,
): void {
  const { craft, environment } = world;
  const { force, ground, now, turn, work } = s;
  const u = motion[U]!;
  const v = motion[V]!;
  const r = motion[R]!;
  turn[TURN.ANGLE] = motion[PSI]!;
  sineCosine(turn);
  const sinPsi = turn[TURN.SIN]!;
  const cosPsi = turn[TURN.COS]!;
  const density = environment.row[WATER.DENSITY]!;
  force[0] = s.outside[0]!;
  force[1] = s.outside[1]!;
  force[2] = s.outside[2]!;
  let ur = u;
  let vr = v;
  // Not among locks: ten minutes of touches in moving water make much of little.
  const again = s.again && s.touch.active > 0 && !world.gates;
  const inField = environment.field !== null || s.lockNow[0] === 1;
  if (inField) {
    if (!again) setStream(motion, world, s);
    ur -= mean(s.streamU);
    vr -= mean(s.streamV);
  }

  now[NOW.U] = u;
  now[NOW.V] = v;
  now[NOW.R] = r;
  now[NOW.SIN] = sinPsi;
  now[NOW.COS] = cosPsi;
  now[NOW.DENSITY] = density;
  now[NOW.UR] = ur;
  now[NOW.VR] = vr;
  work[WORK.DENSITY] = density;

  const { ledger } = s;
  ledger?.note(BOOK.OTHERS, force, motion);
  if (again) {
    for (let i = 0; i < 3; i++) force[i]! += s.slow[i]!;
    ledger?.again(SLOW, force, motion);
  } else {
    addSlow(force, motion, world, s, stage, inField);
    for (let i = 0; i < 3; i++) s.slow[i] = force[i]! - s.outside[i]!;
  }
  clearSticks(s.touch);
  const aground = s.under[UNDER.LEAST]! < 0;
  if (s.touch.active > 0 || world.lines.count > 0 || aground) {
    ground[GROUND.SIN] = sinPsi;
    ground[GROUND.COS] = cosPsi;
    setGround(ground, motion, environment.row);
    if (s.touch.active > 0) addTouch(force, s.touch, craft, world.shore, ground);
    else s.touch.count = 0;
    if (aground) addBottom(force, world, s);
    ledger?.note(BOOK.TOUCHES, force, motion);
    addLines(force, s.tension, world.lines, s.lines, s.pulling, ground, 0, s.span);
    ledger?.note(BOOK.LINES, force, motion);
  } else {
    s.touch.count = 0;
  }

  const { sticks, stick } = s.touch;
  const held = sticks ? stick : null;
  accelerate(rates, craft.massRow, s.shallow, force, now, held);
  while (held && letSlide(force, s.touch, rates, U, V, R)) {
    ledger?.note(BOOK.TOUCHES, force, motion);
    accelerate(rates, craft.massRow, s.shallow, force, now, held);
  }
  if (ledger && held) ledger.noteStick(held, rates, motion);
  rates[X] = u * sinPsi + v * cosPsi + environment.row[WATER.EAST]!;
  rates[Y] = u * cosPsi - v * sinPsi + environment.row[WATER.NORTH]!;
  rates[PSI] = r;
}
