// What a plan that is looked for costs, and when a way out is one. Judgement.

/** A run that fails is worse than any that succeeds. */
export const COST_OF_FAILING = 100;

/** A step not come to weighs as much as a goal missed by ten times what is allowed. */
export const COST_PER_STEP = 10;

/** Nearer than this to what is not the boat's berth it as good as lies against it, m. */
export const LIES_AGAINST_M = 0.1;
export const COST_OF_LYING_AGAINST = 30;

/** Share of its breaking load a line is meant to work at (usual practice), and what the whole of it costs. */
export const WORKING_LOAD = 0.2;
export const COST_PER_LOAD = 10;

/** Winds a plan has to do in beside the one there is, as shares of it, and what they weigh. */
export const OTHER_WINDS = [0.75, 1.25] as const;
export const OTHER_WINDS_WEIGHT = 0.5;

/** Once stopped the boat must be let lie so long, s, so that the next thing can be thought of. */
export const TO_THINK_S = 8;

/** Astern out: so many of the boat's own lengths. */
export const ASTERN_OUT_LENGTHS = 1.2;
export const ESCAPE_HELD_FOR_S = 25;

/** Beyond this nobody counts seconds. */
export const LONGEST_TIME_TO_CONTACT_S = 60;

/** Seconds a helm takes to see that it goes wrong and to act. Judgement. */
export const REACTION_S = 2;
export const WAY_OUT_SPARE_M = 0.5;
export const WAY_OUT_SPARE_LENGTHS = 0.02;

/** What a check would find fault with costs as much as lying a third of what the boat has spare too near. Judgement. */
export const COST_PER_FINDING = 1.5;

/**
 * How somebody who works a boat by bursts weighs what comes of them, s: touching, by how deep and how fast; way over what the room beside it allows, by its square; coming
 * nearer to something than the way can be taken off in; changing the wheel and the gears. Judgement.
 */
export const BURSTS = {
  touched: 120,
  fast: 100,
  closing: 80,
  wheel: 0.35,
  gears: 1.5,
} as const;
/** Going the other way costs the gearbox's pause, so much more, s, and until so much way, m/s, is off and on again. Judgement. */
export const SHUNT = { least: 0.5, way: 0.25 } as const;
/** A metre nearer to anything than is liked makes the time there count so many times more. Judgement. */
export const NEAR_WEIGHT = 1.5;
/** Room that is liked: so many lengths and so much, m, but no more than that. Judgement. */
export const LIKED_ROOM = { lengths: 0.08, more: 0.2, most: 1 } as const;
/** Share of what a goal allows that is steered for; and how much of that, and what way and rate, m/s and rad/s, is there. */
export const AIMED_SHARE = 0.6;
export const THERE = { lie: 1.5, clear: 0.97, speed: 0.22, rate: 0.05 } as const;

/**
 * Plans of working a boat somewhere: speeds tried as the most, m/s, the usual one first; how much clearer than asked it is worked; from what rate, rad/s, it turns, and from what
 * sternway, m/s, it goes astern; shorter stretches are not told, s; a change of heading shows from so much, rad, within so many samples; and steps
 * at the most. Judgement.
 */
export const WORKED = {
  most: [1, 0.6],
  clearer: 1.15,
  turning: 0.06,
  sternway: 0.12,
  stretch: 4,
  turned: 0.26,
  before: 60,
  steps: 7,
} as const;
/** Tries a second of asked time a suggestion reckons with, on two cores, and no fewer than so many; and what share of them is spent on what. */
export const TRIES_A_SECOND = 5;
export const SUGGESTING = { least: 40, reference: 0.2, choosing: 0.3, certifying: 0.5 } as const;
