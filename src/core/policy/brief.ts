// What a brief thinks worth saying, and what it tries. Judgement.

/** Nearer than this, or a twentieth of the boat's length, a helm calls it abreast, m. */
export const ABREAST_M = 0.4;
export const ABREAST_LENGTHS = 0.05;

/** Further off than so many lengths nobody takes a mark by it. */
export const MARK_FURTHEST_LENGTHS = 2.5;

/** Clear by this much of everything the boat has room to begin a turn, m. */
export const ROOM_TO_BEGIN_M = 0.5;

/** A boat let go is looked at for so long, s. */
export const LET_GO_FOR_S = 30;

/** The ends are compared early, before the boat has turned far. */
export const ENDS_COMPARED_S = 8;

/** One end has gone this share of the boat's length further than the other, or they went together. */
export const ENDS_TOGETHER = 0.01;

/** Slower than this the boat is not said to be driven anywhere, m/s. */
export const DRIFT_WORTH_SAYING_MPS = 0.03;
export const ON_THE_SPOT_LENGTHS = 0.3;

/** What a boat let go at rest touches sooner than this it lay against: it is not blown on to it, s. */
export const LAY_AGAINST_S = 0.2;

/** Within this of ahead or astern it is no side. */
export const NEITHER_SIDE = Math.PI / 6;
export const CURRENT_WORTH_SAYING_MPS = 0.05;

/** Off the middle of a chamber's side by no more than this, m, a ladder belongs to it. */
export const LADDER_OF_SIDE_M = 1;

/** Jets, slope and wash are known to a half: the least and the most they may come to (see docs/physics, locks). */
export const LOCK_WATER_SPREAD = [0.5, 1.5] as const;

/** How far along the chamber a bollard is off the boat's cleat. Assumption, m. */
export const BOLLARD_ALONG_M = 3;

/** The boat's speed in and out of a lock where nothing better is known, m/s: a knot. */
export const SLOWLY_IN_LOCK_MPS = 0.5;

/** Wind across a chamber under which either side does, m/s. Judgement. */
export const WIND_ACROSS_LOCK_MPS = 1.5;

/** Faster than this within WASH_ROOM_M of moored boats or banks makes wash that moves them, m/s and m. Judgement. */
export const WASH_MOVES_MPS = 1.8;
export const WASH_ROOM_M = 12;

/** Nearer than this a hand is tempted to fend off, m. */
export const TEMPTED_TO_FEND_M = 2;

/** Gaps that differ by less are the same to whoever steps, m. */
export const GAPS_ALIKE_M = 0.1;

/** How a helm lines the boat up: off the line, m, and off the heading, rad, standard deviations. Judgement. */
export const LINED_UP_M = 0.25;
export const LINED_UP_HEADING = 0.035;

/** Gusts of an open reach where the conditions name none. */
export const USUAL_GUSTS = { intensity: 0.2, timeScale: 8 } as const;

// What stops the boat is worth most: a knot of current on the bow as much as 15 of wind, or as a stern that comes in by ten
// degrees. Judgement.
export const SIDE_PER_CURRENT_KN = 1;
export const SIDE_PER_WIND_KN = 1 / 15;
export const SIDE_PER_TEN_DEGREES = 1;
export const SIDE_MOST_FROM_WALK = 0.5;
