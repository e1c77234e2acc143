import { DRIVE, DRIVE_COLUMNS } from '../boat';
import { cos, sin } from '../math';
import { LOOK_LATE_S, STOPPING } from '../policy';
import { orderAll, seenAlong } from './hand';
import { helpTurning } from './kick';
import { PSI, X, Y, type SimState } from './state';
import type { World } from './world';

/**
 * Tells a hand to stop the boat with a point so far forward of midships abreast of a place, m, the way it is going.
 *
 * @param eye what it takes distances for: a factor
 */
export function stopAbreastOf(
  state: SimState,
  world: World,
  ahead: number,
  x: number,
  y: number,
  eye = 1,
): void {
  const way = seenAlong(state, world) < 0 ? -1 : 1;
  const task = { active: true, done: false, task: 'stop', way, ahead, x, y, eye } as const;
  Object.assign(state.hand, { ...task, throttle: 0, looks: 0, looksIn: 0, last: NaN });
}

/** What the boat usually loses a second of with the other gear in at a usual throttle, from rest, m/s². */
function usualSlowing({ craft, environment }: World, way: 1 | -1): number {
  const { drives, spec, mass } = craft;
  const squared = way > 0 ? DRIVE.ASTERN_SQUARED : DRIVE.AHEAD_SQUARED;
  const thrust = spec.drives.reduce((sum, { idleRps, fullRps }, i) => {
    const rps = idleRps + STOPPING.usual * (fullRps - idleRps);
    return sum + drives.values[i * DRIVE_COLUMNS + squared]! * rps * rps;
  }, 0);
  return (environment.waterDensity * thrust) / mass.m11;
}

/** Seconds until a gear put in now pushes: what a person takes, the clutch, the engine, and the pause from the other gear. */
function lag(state: SimState, { craft }: World): number {
  const drive = craft.spec.drives[0]!;
  const inGear = state.engines[0]!.orderedGear * state.hand.way === 1;
  return LOOK_LATE_S + drive.shiftDelay + drive.response + (inGear ? drive.neutralPause : 0);
}

/**
 * A hand that stops the boat abreast of something, looking once a second at how far it is and how fast the boat comes up to it. What slowing
 * that asks for, v²/2(d − lag·v), is held against a usual one: neutral from four tenths of it, the other gear from all of it, firmly from half as
 * much again and more; a quarter more where nothing has come of it in three looks; and out again as the way is nearly off, for the boat goes on losing way
 * until the gear is out. What falls short is given a touch of gear.
 */
export function lookToStop(state: SimState, world: World): void {
  const { hand, motion } = state;
  const s = sin(motion[PSI]!);
  const c = cos(motion[PSI]!);
  const along = (hand.x - motion[X]!) * s + (hand.y - motion[Y]!) * c - hand.ahead;
  const left = hand.eye * hand.way * along;
  const speed = hand.way * seenAlong(state, world);
  const lost = Number.isNaN(hand.last) ? 0 : hand.last - speed;
  hand.last = speed;
  const stopping = state.engines[0]!.orderedGear * hand.way === -1;
  hand.looks = stopping ? hand.looks + 1 : 0;
  if (stopping && speed - Math.max(0, lost) * (LOOK_LATE_S + 0.5) < STOPPING.off)
    return orderAll(state, world, 0, 0);
  if (!stopping && speed < STOPPING.gone && left < STOPPING.near) {
    // There, or past it: what is left of the way is nothing.
    hand.active = false;
    hand.done = true;
    return orderAll(state, world, 0, 0);
  }
  const usual = usualSlowing(world, hand.way);
  const room = left - lag(state, world) * speed;
  const need = room > 0 ? (speed * speed) / (2 * room) / usual : Infinity;
  if (need >= 1) {
    const firm = need >= STOPPING.firmFrom ? STOPPING.firm : STOPPING.usual;
    // Little way is taken off at idle, however near it is.
    const throttle = speed < STOPPING.short ? 0 : firm;
    const more = hand.looks >= 3 && lost < 0.5 * usual ? STOPPING.more : 0;
    hand.throttle = Math.min(1, Math.max(stopping ? hand.throttle : 0, throttle) + more);
    orderAll(state, world, -1, hand.throttle);
  } else if (helpTurning(state, world, speed, Math.max(STOPPING.short, 0.8 * speed))) {
    // It goes on as soon as the boat points where it is to.
    hand.throttle = 0;
  } else if (need >= STOPPING.neutralFrom) orderAll(state, world, 0, 0);
  else if (speed < STOPPING.short) orderAll(state, world, 1, 0);
}
