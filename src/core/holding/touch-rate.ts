import { fenderForce, fenderStiffness, type TouchElements } from '../boat';
import type { ObstacleSet } from './obstacle-set';
import { seriesStiffness, SLIDE_SLIP_MPS } from './touch-law';
import { HULL_SIDE, LIST, type TouchScratch } from './touch-pairs';

/** How fast touches act, 1/s: frequency of the firmest one's spring, and a bound on all of them together. */
export const RATES = { FIRMEST: 0, ALL: 1 } as const;

/** Closing speed kept in hand: a share of what the pair closes at, and of the boat's own speed, as normals turn. */
const CLOSING_HAND = 1.2;
const SPEED_HAND = 0.1;

/**
 * A knock is over in a few tenths of a second, and where the boat goes from there hangs on how well it is followed: at such a normal
 * speed and above, the step is cut so much finer than for lying against something.
 */
const KNOCK_MPS = 0.1;
const KNOCK_FINER = 12;
/** A fender gives way ten times as far as a side does, and takes as much longer. */
const FENDER_FINER = 2;

/**
 * @param normalSpeed what a touch closes or parts at, or what its spring can yet give back: frequency times depth, m/s
 * @param most how many times finer a knock is followed
 */
function finer(normalSpeed: number, most: number): number {
  const share = normalSpeed / KNOCK_MPS;
  return share < 1 ? 1 + (most - 1) * share * share : most;
}

/**
 * Works out how fast the touches of the coming step can act, so that the step can be cut to follow them:
 * springs, √(Σ k(1 + χv)/m), and losses, Σ F χ/m, of all pairs that can press within the step, as deep as
 * they may come. A touch at speed on a lossy hull acts far faster than its spring does.
 *
 * @param s with every active pair's depth and approach known; `rates` is written
 */
export function setTouchRates(s: TouchScratch, touch: TouchElements, shore: ObstacleSet): void {
  const seconds = s.list[LIST.SECONDS]!;
  const speed = s.list[LIST.TRAVEL]! / seconds;
  // What sticks holds back the accelerations; what does not has to be followed.
  const rubbing = s.stick ? 0 : 1 / SLIDE_SLIP_MPS;
  let friction = 0;
  let spring = 0;
  let loss = 0;
  let firmest = 0;
  // Of the outline's corners that touch: what a unit force moves, the most and all together, 1/kg.
  let lightest = 0;
  let hulls = 0;
  let knock = 0;
  let closingMost = 0;
  let depthMost = 0;
  let stiffest = 0;
  for (let i = 0; i < s.active; i++) {
    const k = s.open[i]!;
    const closing = CLOSING_HAND * Math.max(0, s.pairApproach[k]!) + SPEED_HAND * speed;
    const depth = s.pairDepth[k]! + closing * seconds;
    if (depth <= 0) continue;
    friction = Math.max(friction, shore.friction[s.pairObstacle[k]!]!);
    const e = s.pairElement[k]!;
    if (e < touch.hullCount) {
      // Between the corners it may be met anywhere.
      const lightness = e === HULL_SIDE ? 1 / touch.lightest : touch.lightness[e]!;
      hulls += lightness;
      lightest = Math.max(lightest, lightness);
      knock = Math.max(knock, Math.abs(s.pairApproach[k]!));
      closingMost = Math.max(closingMost, closing);
      depthMost = Math.max(depthMost, s.pairDepth[k]!);
      const other = shore.stiffness[s.pairObstacle[k]!]!;
      stiffest = Math.max(stiffest, seriesStiffness(touch.hullStiffness, other));
      continue;
    }
    const diameter = 2 * touch.radius[e]!;
    const length = touch.fenderLength[e]!;
    const pressure = touch.fenderPressure[e]!;
    const chi = touch.loss[e]!;
    // A fender is deep in for hours where a boat lies on it: only what moves counts.
    const lightness = touch.lightness[e]!;
    firmest = Math.max(
      firmest,
      touch.frequency[e]! * finer(Math.abs(s.pairApproach[k]!), FENDER_FINER),
    );
    spring += lightness * fenderStiffness(depth, diameter, length, pressure) * (1 + chi * closing);
    loss += lightness * fenderForce(depth, diameter, length, pressure) * (chi + friction * rubbing);
  }
  if (hulls > 0) {
    const chi = touch.loss[0]!;
    const firm = Math.sqrt(stiffest * lightest);
    firmest = Math.max(firmest, firm * finer(Math.max(knock, firm * depthMost), KNOCK_FINER));
    const frequency = Math.sqrt(hulls * stiffest);
    // No deeper than the springs, or their loss, would stop the boat's lightest part.
    const lossy = chi > 0 ? Math.sqrt((2 * closingMost) / chi) : Infinity;
    const stopped = Math.min(closingMost * seconds, Math.min(closingMost, lossy) / frequency);
    spring += hulls * stiffest * (1 + chi * closingMost);
    loss += hulls * stiffest * (depthMost + stopped) * (chi + friction * rubbing);
  }
  s.rates[RATES.FIRMEST] = firmest;
  s.rates[RATES.ALL] = Math.sqrt(spring) + loss;
}
