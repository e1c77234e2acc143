// How a driven run is told apart from a plan, and how it is graded. Judgement.

/** Steps within which orders to one thing are one movement of the hand. */
export const ONE_MOVEMENT_STEPS = 5;

/** A moved order counts from so many seconds on; another figure from so much. */
export const ORDER_MOVED_S = 0.45;
export const FIGURE_CHANGED = 0.04;

/** What takes away less of the difference than this did not matter. */
export const CAUSE_LEAST_SHARE = 0.1;

/** An order found in one run only costs this much in lining them up; a metre of place apart, and a figure's unit, these. */
export const ORDER_ALONE_COST = 1.2;
export const PLACE_APART_COST = 0.8;
export const FIGURE_APART_COST = 0.6;

/** How far results are apart: metres, with clearance, a touch and heading weighed as metres. Judgement. */
export const CLEARANCE_COMPARED_TO_M = 3;
export const TOUCH_AS_METRES = 10;

/** Moments of a run that a way out is looked for from lie so far apart, s. */
export const WAYS_OUT_EVERY_S = 1;

/** A difference a helm would see, m. */
export const SEEN_APART_M = 0.5;
