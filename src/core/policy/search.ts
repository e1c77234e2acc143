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
