// What is worth telling on a screen, and what it is told by. Judgement.

/** A new one is put so far off the boat's side, m, over half of either's beam. */
export const OTHER_ABREAST_M = 2;

/** A line is made on to what stands so near the edge, m. */
export const AT_BERTH_M = 3;

/** Seconds of way the drift arrow shows. */
export const DRIFT_SHOWN_S = 5;
export const DRIFT_SHOWN_MPS = 0.03;

/** More water than this under the boat goes without saying, m. */
export const UNDER_TOLD_M = 10;

/** Less than this far off the line is on it, m; and slower than this is not going off it, m/s. */
export const ON_TRANSIT_M = 0.3;
export const HOLDS_TRANSIT_MPS = 0.03;

/** A manoeuvre that is never reached by its plan lasts so long for the sake of surprises, s. */
export const SURPRISES_WITHIN_S = 90;

/** Somebody under way is called out when they come within this, m. */
export const CALLED_FROM_M = 15;

/** Seconds from when a paddler is first seen to when they are in the boat's way. */
export const TRAFFIC_SEEN_S = 12;

/** What happens within this is told together, s. */
export const CALLED_AT_ONCE_S = 1.5;

/** An expectation that is added is of so much later, s. */
export const EXPECTED_LATER_S = 5;

/** Less than this is no move worth a word, m and degrees. */
export const STAYS_PUT_M = 0.15;

/** Slower than this rounds to no speed at all, m/s. */
export const HOLDING_SHOWN_MPS = 0.025;

/** Who rises to a bridge is caught as the boat meets it: nothing yet that could be called too high, m. */
export const MEETS_BRIDGE_M = 0.05;

/** Water under the boat that goes without saying, and what hurts, under or over, m. Judgement. */
export const DEEP_ENOUGH_M = 10;

/** Overhang that is worth telling, m. */
export const OVERHANG_TOLD_M = 0.15;

/** What is worth naming, m/s and rad. */
export const CURRENT_NAMED_MPS = 0.1;
export const WIND_NAMED_MPS = 1;

/** Speeds a spring may have to take off: slow, and as fast as anybody should come in, m/s (half a knot and a knot). */
export const SPRING_SPEEDS_MPS = [0.257, 0.514] as const;

/** Slower than this it stands, m a minute. */
export const LEVEL_STANDS_M_A_MINUTE = 0.05;

/** What speaks for one side of a berth over the other by less than this is no more than for the other: see the weights of sides. */
export const SIDES_ALIKE = 0.1;

/** Less than this is no change for the worse between two runs: clearance, m, and a touch, m/s. */
export const CLEARANCE_WORSE_M = 0.05;
export const TOUCH_WORSE_MPS = 0.005;

/** A current weaker than this pushes nobody, m/s; an arrow is drawn on the day sheet from more on, of wind and of current. */
export const CURRENT_PUSHES_MPS = 0.02;
export const WIND_DRAWN_MPS = 0.5;
export const CURRENT_DRAWN_MPS = 0.05;

/** A mark no further than this before or past is abreast, m. */
export const EXACTLY_ABREAST_M = 0.05;

/** Held by a line a boat that goes no further than this stays where it is, m. */
export const HELD_STAYS_M = 0.15;

/** Off the bow or the stern by no more than this wind and current come from ahead or astern; within this of the beam they are on it, degrees. */
export const FROM_AHEAD_DEG = 15;
export const ON_THE_BEAM_DEG = 20;

/** So many of the manoeuvres opened last stand before all others. */
export const OPENED_LAST = 4;

/** For somebody new: wind that is worth showing what it does, how much more of it at one press (four knots), m/s, and how much of a run is a look, s. */
export const SHOWN_FROM_MPS = 3;
export const HARDER_MPS = 2.058;
export const LOOKED_S = 4;
