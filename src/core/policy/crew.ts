// What people do, how far they reach and how fast: judgement from practice, ± a half. Seconds, metres, metres a second, newtons.

/** Tension at which a line counts as taut, N: more than its own weight and a pull at it. Judgement. */
export const TAUT_N = 150;

/** Pace along a deck, with handholds. */
export const WALKS_ABOARD_MPS = 0.8;

/** A loop is dropped over what is within reach of an arm. */
export const DROP_REACH_M = 2;
export const DROP_S = 1.5;

/** With a boat hook. */
export const HOOK_REACH_M = 3;
export const THROW_S = 2;
export const FLIES_MPS = 10;
export const MAKE_ON_S = 3;
export const TURN_S = 1.5;
export const MAKE_FAST_S = 3;
export const CAST_OFF_S = 2;
export const HAULS_MPS = 0.6;
export const COMES_HOME_MPS = 1;
export const WINCH_MPS = 0.15;
export const EASES_MPS = 0.4;

/** A line is taken from hand to hand over this. */
export const HAND_OVER_M = 2.5;

/** A loop is lifted off a bollard only while it pulls less than this, N. */
export const LIFTS_OFF_N = 250;

/** How long somebody waits for a reach or a slack line, and to be able to step, s. */
export const WAITS_S = 40;
export const STEP_WAITS_S = 90;
export const THROWS_TRIED = 3;

/** How often somebody who waits for something looks, s. */
export const LOOKS_S = 0.2;

/** Rope on a bollard or cleat. */
export const ROPE_FRICTION = 0.25;

/** One steps over a gap this wide, at this speed over ground and no more; no propeller turns within this. */
export const STEP_GAP_M = 0.6;

/** And up to, or down from, what stands no higher over the boat's deck than this, m: to the hip. What is higher wants a ladder. */
export const STEP_UP_M = 0.8;

/** On a ladder, m/s; and to get on to it and off it, s. */
export const CLIMBS_MPS = 0.3;
export const ON_LADDER_S = 4;

/** The tail of a line round a bollard, left lying while hands are at something else, holds this, N. Judgement, by its weight. */
export const LYING_N = 20;
export const STEP_SPEED_MPS = 0.26;
export const PROPELLER_ROOM_M = 3;

/** How near to a place one has to be to reach what is there without leaving it. */
export const AT_HAND_M = 1.2;

/** An anchor that has come home so far is not digging in any more, m. Judgement. */
export const ANCHOR_DRAGS_M = 3;

/** Somebody nobody has named: an ordinary grown person. Facts: 300 N steadily. */
export const ANY_PULL_N = 300;
export const ANY_THROW_M = 8;

/** Slack a line is left when it is put on and held in the hand, m. */
export const LEFT_SLACK_M = 0.4;

/** Nobody makes a line fast shorter than it has to go; it is left this much, m. */
export const LEFT_SNUG_M = 0.01;

/** Slack counts as taken in at this share of the pull; hauling is given up after so long, s. */
export const HAULED_TAUT_SHARE = 0.9;
export const HAULS_FOR_S = 30;
export const HAULS_TO_LENGTH_S = 180;

/** A line that is kept snug is taken in with this pull, N, this fast; it gives on its turns. */
export const SNUG_N = 80;
export const KEEPS_SNUG_MPS = 0.3;

/** Turns a line is eased on. */
export const EASING_TURNS = 1.5;

/** Taking the stopper off and letting go, s. */
export const ANCHOR_LET_GO_S = 2;

/** Chain runs out under the weight of so many metres of it, m, and always under what hangs. Judgement. */
export const CHAIN_RUNS_OUT_M = 3;
export const CHAIN_HANGS_SHARE = 0.9;

/** Longest heaving, s. */
export const HEAVES_FOR_S = 600;

/** One step over a gap. */
export const STEP_OVER_S = 1.5;

/** Somebody this near to a thing stands on it, m. */
export const STANDS_ON_M = 3;

/** Way on at which a loose end in the water currents astern of where the boat goes. Judgement. */
export const LOOSE_END_STREAMS_MPS = 0.15;

/** Pace of somebody ashore, m/s. Judgement from practice, ± a half: nobody runs. */
export const WALKS_ASHORE_MPS = 1.2;

/** Somebody who works a paddle or a leaf stands so far back from the chamber's edge, m. */
export const STANDS_BACK_M = 1;

/** So long somebody leans on a gate for the levels to be made, s. */
export const LEANS_FOR_S = 900;

/** Whoever stands so many lengths forward of midships and calls distances leaves so much of what they are misjudged by at the helm. Judgement: the bow hides what is before it. */
export const CALLER = { forward: 0.25, left: 0.5 } as const;
