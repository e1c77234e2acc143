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
} from '../boat';
import {
  addBankEffect,
  addBlade,
  addCrossFlow,
  addCrossFlowInField,
  addFoil,
  addHullLift,
  addOwnWash,
  addPassingWash,
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
import { cos, sin } from '../math';
import { WATER, type Wash } from './environment';
import { AGAIN, AIR, CLOCK, NOW, type Scratch } from './scratch';
import type { Vessel } from './vessel';
import type { World } from './world';

/** Places of the causes in a ledger. */
export const BOOK = {
  OTHERS: 9,
  LOCK: 10,
  HULL: 0,
  FINS: 1,
  DRIVES: 2,
  BLADES: 3,
  THRUSTERS: 4,
  AIR: 5,
  BANKS: 6,
  WASH: 11,
  TOUCHES: 7,
  LINES: 8,
} as const;

/** Those of what acts slowly. */
const SLOW_BOOKS = [
  BOOK.LOCK,
  BOOK.HULL,
  BOOK.FINS,
  BOOK.DRIVES,
  BOOK.BLADES,
  BOOK.THRUSTERS,
  BOOK.AIR,
  BOOK.BANKS,
  BOOK.WASH,
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
  const along = now[NOW.U]! - s.currentU[middle]!;
  // Sideways speed of the hull's own middle, wherever the boat is described from.
  const across = v + hull[HULL.LIFT_CENTRE]! * r - s.currentV[middle]!;
  const shallow = s.shallow[SHALLOW.RESISTANCE]!;
  work[WORK.DENSITY] = density;
  work[WORK.SWAY] = across;
  work[WORK.YAW] = r;
  if (offset === 0) {
    work[WORK.SURGE] = along;
    resistance(hull, friction, work);
    force[0]! += shallow * work[WORK.FORCE]!;
  } else {
    // Two hulls share the wetted area and the weight, and drag the boat round as it turns.
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
  if (inField) addCrossFlowInField(force, strips, work, s.currentV);
  else addCrossFlow(force, strips, work);
  work[WORK.DENSITY] = density;
}

function addFins(force: Float64Array, s: Scratch, craft: Craft): void {
  const { now, work } = s;
  const { count, values } = craft.fins;
  for (let i = 0; i < count; i++) {
    const at = i * FOIL_COLUMNS;
    const strip = values[at + FOIL.STRIP]!;
    work[WORK.SURGE] = now[NOW.U]! - now[NOW.R]! * values[at + FOIL.Y]! - s.currentU[strip]!;
    work[WORK.SWAY] = now[NOW.V]! + now[NOW.R]! * values[at + FOIL.X]! - s.currentV[strip]!;
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
    work[WORK.SURGE] = now[NOW.U]! - now[NOW.R]! * values[at + DRIVE.Y]! - s.currentU[strip]!;
    work[WORK.SWAY] = now[NOW.V]! + now[NOW.R]! * values[at + DRIVE.X]! - s.currentV[strip]!;
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
    work[WORK.SURGE] = now[NOW.U]! - now[NOW.R]! * values[at + BLADE.Y]! - s.currentU[strip]!;
    work[WORK.SWAY] = now[NOW.V]! + now[NOW.R]! * values[at + BLADE.X]! - s.currentV[strip]!;
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

/** A ship by its published derivatives: hull, propeller and rudder in one. */
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

/** Wind, with what shelter does to its sway and yaw. */
function addAir(force: Float64Array, s: Scratch, world: World, stage: number): void {
  const { now, work } = s;
  const sinPsi = now[NOW.SIN]!;
  const cosPsi = now[NOW.COS]!;
  const u = now[NOW.U]!;
  // Through the air as the boat's hull's middle goes.
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

/** The boat's own wash off what stands near, that of others on it, and that of what passes. */
function addWash(force: Float64Array, wash: Wash, s: Scratch, craft: Craft): void {
  const { hull } = craft.spec;
  if (wash.screws) {
    const { count, values } = craft.drives;
    for (let i = 0; i < count; i++)
      addOwnWash(
        force,
        hull,
        s.flows,
        i * FLOW_COLUMNS,
        values,
        i * DRIVE_COLUMNS,
        s.washed,
        wash.times,
      );
    force[0]! += s.washPush[0]!;
    force[1]! += s.washPush[1]!;
    force[2]! += s.washPush[2]!;
  }
  if (wash.passing.length === 0) return;
  const { turn } = s;
  const heading = { sin: s.now[NOW.SIN]!, cos: s.now[NOW.COS]! };
  const time = s.clock[CLOCK.STAGE]!;
  addPassingWash(force, hull, craft.mass, wash.passing, time, heading, wash.times, turn);
}

function addSlow(
  force: Float64Array,
  motion: Float64Array,
  { world, scratch: s, ledger }: Vessel,
  stage: number,
  inField: boolean,
): void {
  const { craft, environment } = world;
  const { work } = s;
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
  if (environment.wash) {
    addWash(force, environment.wash, s, craft);
    ledger?.note(BOOK.WASH, force, motion);
  }
}

/** Where in `slow` what was found at each moment of a piece stands: at its start, and first in its middle. */
const START = 0;
const MIDDLE = 3;

/**
 * Adds what acts slowly at moment `stage` of the piece (0 start, 1 middle, 2 end): water and air, on hull, fins, drives,
 * blades, thrusters and topsides. What the boat is doing stands in NOW.
 *
 * @param inField whether the current differs along the boat
 */
export function lookAtSlow(
  force: Float64Array,
  motion: Float64Array,
  vessel: Vessel,
  stage: number,
  inField: boolean,
): void {
  addSlow(force, motion, vessel, stage, inField);
  const { scratch: s } = vessel;
  const at = stage === 0 ? START : MIDDLE;
  for (let i = 0; i < 3; i++) s.slow[at + i] = force[i]! - s.outside[i]!;
}

/**
 * Adds what acts slowly without looking at it: in the middle as it was found there, at the end as it goes on from start
 * and middle in a straight line.
 */
export function takeSlow(
  force: Float64Array,
  motion: Float64Array,
  { scratch: { slow, again }, ledger }: Vessel,
): void {
  const atEnd = again === AGAIN.END;
  for (let i = 0; i < 3; i++) {
    const middle = slow[MIDDLE + i]!;
    force[i]! += atEnd ? 2 * middle - slow[START + i]! : middle;
  }
  ledger?.run(SLOW_BOOKS, force, motion, atEnd);
}
