/** A plan is said to hold when it does in so many of 100: fewer, and somebody who does it every week hits something every season. Judgement. */
export const HOLDS_ENOUGH = 0.95;
/** Tries a share on screen is made of at the most, and the seed they begin with: everybody is shown the same ones. */
export const TRIES_SHOWN = 300;
export const TRIES_SEED = 1;
/** Tries after which a first share is told: an interval of a fifth or so to either side. */
export const TRIES_FIRST = 20;
/** No more than so long is spent on trying a plan that is being looked at, ms; slow ones are told by fewer tries. */
export const TRYING_MS = 12_000;
/** Tries drawn on the water: more run into one blot. */
export const FAN_TRIES = 40;
/**
 * Share that has to hold in a wind for the plan to hold in it; one at which it surely does not; how often a wind may be taken for the
 * other kind, and the tries after which the share alone decides. Judgement.
 */
export const ROSE_HOLDS = 0.9;
export const ROSE_FAILS = 0.78;
export const ROSE_RISK = 0.1;
export const ROSE_TRIES = 40;
