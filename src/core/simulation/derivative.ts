import { WORK } from '../forces';
import {
  addLines,
  addTouch,
  clearSticks,
  GROUND,
  letSlide,
  LIST,
  lookForTouches,
} from '../holding';
import { sineCosine, TURN } from '../math';
import { setStrength, CURRENT, currentAt } from '../water';
import { accelerate } from './accelerate';
import { addBottom } from './aground';
import { WATER } from './environment';
import { addLockCurrents } from './locks-now';
import { BOOK, lookAtSlow, takeSlow } from './slow';
import { PSI, R, U, V, X, Y } from './state';
import { AGAIN, CLOCK, NOW, UNDER } from './scratch';
import type { Vessel } from './vessel';

/** The boat's heading's sine and cosine in the row. */
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

/** The boat's place and velocity over the ground into the scratch's row. */
export function placeOnGround(motion: Float64Array, { world, scratch: s }: Vessel): void {
  turnGround(s.ground, s.turn, motion);
  setGround(s.ground, motion, world.environment.row);
}

/** Finds out what the boat may touch within the step. */
export function lookAround(motion: Float64Array, vessel: Vessel): void {
  const { world, scratch } = vessel;
  const { ground, touch } = scratch;
  touch.list[LIST.SECONDS] = scratch.clock[CLOCK.STEP]!;
  placeOnGround(motion, vessel);
  lookForTouches(touch, world.craft, world.shore, ground);
}

/** Current at every strip over the reference current, in body axes. */
function setCurrent(motion: Float64Array, vessel: Vessel): void {
  const { world, scratch: s } = vessel;
  const { field, currentEast, currentNorth } = world.environment;
  if (!field) {
    s.currentU.fill(0);
    s.currentV.fill(0);
    addLockCurrents(motion, vessel);
    return;
  }
  const { current, turn } = s;
  const sinPsi = turn[TURN.SIN]!;
  const cosPsi = turn[TURN.COS]!;
  const { x } = world.craft.strips;
  setStrength(current, field, s.clock[CLOCK.STAGE]!);
  for (let i = 0; i < x.length; i++) {
    const xi = x[i]!;
    current[CURRENT.X] = motion[X]! + xi * sinPsi;
    current[CURRENT.Y] = motion[Y]! + xi * cosPsi;
    currentAt(current, field);
    const east = current[CURRENT.EAST]! - currentEast;
    const north = current[CURRENT.NORTH]! - currentNorth;
    s.currentU[i] = east * sinPsi + north * cosPsi;
    s.currentV[i] = east * cosPsi - north * sinPsi;
  }
  if (s.lockNow[0] === 1) addLockCurrents(motion, vessel);
}

function mean(values: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += values[i]!;
  return sum / values.length;
}

/**
 * Rates of change of the motion vector at one stage of the step (0 start, 1 middle, 2 end), at the clock's STAGE.
 * Velocity is through the reference current; a steady uniform current only carries the place along. What acts slowly is not
 * looked at where `s.again` says so, but taken from what was (docs/decisions/38).
 */
export function derivative(
  rates: Float64Array,
  motion: Float64Array,
  vessel: Vessel,
  stage: number,
): void {
  const { world, scratch: s, ledger } = vessel;
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
  const again = s.again !== AGAIN.NOT;
  const inField = environment.field !== null || s.lockNow[0] === 1;
  if (inField) {
    if (!again) setCurrent(motion, vessel);
    ur -= mean(s.currentU);
    vr -= mean(s.currentV);
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

  ledger?.note(BOOK.OTHERS, force, motion);
  if (again) takeSlow(force, motion, vessel);
  else lookAtSlow(force, motion, vessel, stage, inField);
  clearSticks(s.touch);
  const aground = s.under[UNDER.LEAST]! < 0;
  if (s.touch.active > 0 || world.lines.count > 0 || aground) {
    ground[GROUND.SIN] = sinPsi;
    ground[GROUND.COS] = cosPsi;
    setGround(ground, motion, environment.row);
    if (s.touch.active > 0) addTouch(force, s.touch, craft, world.shore, ground);
    else s.touch.count = 0;
    if (aground) addBottom(force, vessel);
    ledger?.note(BOOK.TOUCHES, force, motion);
    addLines(force, s.tension, world.lines, vessel.rows, s.pulling, ground, 0, s.span);
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
