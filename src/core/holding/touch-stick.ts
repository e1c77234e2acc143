import { STICK, type TouchScratch } from './touch-pairs';

// Friction that holds: what of it is made to hold back the accelerations, and where the boat slides after all.

/**
 * Friction acting faster than the piece in hand would overshoot. What goes beyond, times that piece, is not taken out of
 * the force but made to hold back the accelerations (linearly implicit), so that where all forces balance the boat stays.
 *
 * @param share 1 to hold it back by it, −1 to leave it off again
 */
export function addStick(s: TouchScratch, stick: Float64Array, k: number, share: 1 | -1): void {
  const beyond = share * s.beyond[k]!;
  const nx = s.nx[k]!;
  const ny = s.ny[k]!;
  // Of the rubbing direction (−ny, nx) about midships.
  const lever = s.x[k]! * nx + s.y[k]! * ny;
  s.sticks = true;
  stick[STICK.UU]! += beyond * ny * ny;
  stick[STICK.UV]! -= beyond * ny * nx;
  stick[STICK.UR]! -= beyond * ny * lever;
  stick[STICK.VV]! += beyond * nx * nx;
  stick[STICK.VR]! += beyond * nx * lever;
  stick[STICK.RR]! += beyond * lever * lever;
}

/** Friction that touch `k` would have to hold the boat back with, along (−ny, nx), were it to gain speed as `rates` say, N. */
function heldBy(
  s: TouchScratch,
  k: number,
  rates: Float64Array,
  surge: number,
  sway: number,
  yaw: number,
): number {
  const along = rates[sway]! * s.nx[k]! - rates[surge]! * s.ny[k]!;
  const lever = s.x[k]! * s.nx[k]! + s.y[k]! * s.ny[k]!;
  return s.rub[k]! - s.beyond[k]! * (along + rates[yaw]! * lever);
}

/**
 * Looks whether what holds the boat back (see addStick) would have to be more than friction can be, with its gaining speed as
 * found: where it is most too much it slides, rubbed by all there is and held back by nothing. Changes force and stick;
 * says whether that was so anywhere: then what it gains is another, and is to be looked at again.
 *
 * @param surge, sway, yaw what it gains a second: places of them in `rates`
 */
export function letSlide(
  force: Float64Array,
  s: TouchScratch,
  rates: Float64Array,
  surge: number,
  sway: number,
  yaw: number,
): boolean {
  let worst = -1;
  let most = 1;
  for (let k = 0; k < s.count; k++) {
    if (s.beyond[k] === 0) continue;
    const share = Math.abs(heldBy(s, k, rates, surge, sway, yaw)) / s.mostRub[k]!;
    if (share <= most) continue;
    most = share;
    worst = k;
  }
  if (worst < 0) return false;
  const held = heldBy(s, worst, rates, surge, sway, yaw);
  addStick(s, s.stick!, worst, -1);
  s.beyond[worst] = 0;
  const nx = s.nx[worst]!;
  const ny = s.ny[worst]!;
  const more = (held > 0 ? s.mostRub[worst]! : -s.mostRub[worst]!) - s.rub[worst]!;
  s.rub[worst]! += more;
  force[0]! -= more * ny;
  force[1]! += more * nx;
  force[2]! += more * (s.x[worst]! * nx + s.y[worst]! * ny);
  return true;
}

/** Nothing holds the boat back yet: before the first of what may is looked at. */
export function clearSticks(s: TouchScratch): void {
  if (s.sticks && s.stick) for (let i = 0; i < s.stick.length; i++) s.stick[i] = 0;
  s.sticks = false;
}
