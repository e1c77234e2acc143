// When a plan is worth a second look. Judgement.

/** A turn into a berth: at least so much to go, and so much wheel or heading ordered towards it, rad. */
export const TURN_TO_GO = 0.9;
export const TURN_ORDERED = 0.35;

/** Further off than this many lengths a turn is part of the approach. Judgement. */
export const APPROACH_LENGTHS = 2.25;

/** The wheel this far from where it is ordered when the propeller takes hold, or up to so much later, rad and s. */
export const WHEEL_SETTLES_S = 2;

/** Way on in m/s against which a gear is no longer put in gently: two knots with much throttle, three with any. Judgement. */
export const AGAINST_WAY_WITH_THROTTLE_MPS = 1.03;
export const AGAINST_WAY_AT_IDLE_MPS = 1.54;
export const THROTTLE_AGAINST_WAY = 0.5;

/** Within so many lengths of something, more than so much throttle for so long, s. Judgement. */
export const CLOSE_LENGTHS = 0.5;
export const MUCH_THROTTLE_CLOSE = 0.6;
export const MUCH_THROTTLE_FOR_S = 3;

/** A thruster's motor is this far to cutting out. */
export const THRUSTER_HOT = 0.8;

/** Eye of somebody standing at the helm over the deck's edge amidships, m. Judgement: where a boat says no more. */
export const EYE_OVER_DECK_M = 1.5;

/** A cleat or a lamp's foot on a pontoon over the water, m. Judgement. */
export const MARK_OVER_WATER_M = 0.5;

/** Steps closer together than this come at once for a pair of hands, s. */
export const STEPS_AT_ONCE_S = 0.5;

/** An order due this little after the next step came is taken for the same moment, s. */
export const SAME_MOMENT_S = 0.05;

/** Nearer than this to something not the boat's berth, the step ought to say what if it goes wrong, m. */
export const TIGHT_M = 1.5;
