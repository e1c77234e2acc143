// When a run shows a fault: what a skipper who looks on would speak up at. Judgement, each with its reason or its room.

/** Short of where the boat was to lie by more than this share of its length. Judgement. */
export const STOPPED_SHORT_LENGTHS = 0.2;

/** The boat was under way to it at more than this before, m/s. */
export const UNDER_WAY_TO_BERTH_MPS = 0.35;

/** Throttle that is hard for taking way off. Judgement. */
export const HARD_ASTERN = 0.6;

/** A sign holds for the paddles wound within so long of it, s; two wound within so long are one move. Judgement. */
export const SIGN_HOLDS_S = 60;
export const ONE_PADDLE_MOVE_S = 6;

/** What is touched astern within so long of the gear going in lay there before it, s. */
export const TOUCHED_ASTERN_WITHIN_S = 3;

/** Room somebody under way is to be given, m. Judgement. */
export const ROOM_FOR_TRAFFIC_M = { paddler: 4, boat: 3 } as const;

/** The wheel follows the gear within so long, and by so much: it was wanted from the first. Judgement. */
export const WHEEL_FOLLOWS_WITHIN_S = 4;
export const WHEEL_AT_ONCE_S = 0.6;
export const WHEEL_WANTED = (12 * Math.PI) / 180;

/** With more way on than this the boat steers by its way, and the wheel may follow, m/s. */
export const STEERS_BY_WAY_MPS = 1.2;

/** Throttle whose wash does harm however slowly the boat goes, and how long it has to last, s. Judgement. */
export const THROTTLE_THAT_WASHES = 0.5;
export const WASH_LASTS_S = 2;

/** A gear in for so long with no order given is not a burst, s; and way gained that makes it matter, m/s. Judgement. */
export const IN_GEAR_FOR_S = 10;
export const WAY_GAINED_MPS = 0.3;

/** Room ahead that makes the way matter: so many of the boat's lengths. */
export const WAY_MATTERS_WITHIN_LENGTHS = 4;

/** Over its working load for so long with nobody seeing to it, s. Judgement. */
export const LOADED_UNSEEN_S = 3;

/** Slack for so long with nobody seeing to it, s; by so much of its length, and no less than so many m. Judgement. */
export const SLACK_UNSEEN_S = 4;
export const SLACK_SHARE = 0.15;
export const LEAST_SLACK_M = 0.8;

/** It counts as having held with this share of what parts it, in the last so many seconds. */
export const HAD_HELD_SHARE = 0.01;
export const HAD_HELD_WITHIN_S = 6;

/** The bow has fallen off so far within so long, with hardly any way on. Judgement. */
export const BOW_FELL_OFF = (25 * Math.PI) / 180;
export const BOW_FELL_OFF_WITHIN_S = 20;
export const BOW_LOST_BELOW_MPS = 0.8;

/** Rudder that is ordered the other way, or not at all. */
export const RUDDER_SIDES_WITH = (5 * Math.PI) / 180;

/** Driving on for so long with no room left to stop in is late, s: less is nobody's hand. Judgement. */
export const NEUTRAL_LATE_S = 1;

/** Shortest pause in neutral between ahead and astern that a gearbox is given by hand, s. Judgement. */
export const LEAST_PAUSE_S = 1;

/** Wheel that matters, and how long it is kept after the gear has changed before it is a fault. Judgement. */
export const WHEEL_KEPT_OVER = (12 * Math.PI) / 180;
export const WHEEL_KEPT_S = 2;

/** Neutral longer than this between is a new beginning, s. */
export const NEW_BEGINNING_S = 6;

/** With more way than this the boat is steered otherwise, m/s. */
export const STEERED_OTHERWISE_MPS = 1.5;

/** Slower than this nothing is too fast, m/s. */
export const NEVER_TOO_FAST_MPS = 0.4;
export const ROOM_THAT_IS_NONE_M = 0.1;

/** Seconds at full power, and share of the run, beyond which a thruster is no backup any more. Judgement. */
export const THRUSTER_LEANED_ON_S = 20;
export const THRUSTER_LEANED_ON_SHARE = 0.25;

/** Or it came so near to cutting out. */
export const THRUSTER_NEAR_CUTTING_OUT = 0.75;
export const THRUSTER_RUNS = 0.1;

/** Moments further apart than this are two faults, s. */
export const TWO_FAULTS_APART_S = 4;

/** A turn: so far from the heading the boat came with. */
export const IS_A_TURN = (25 * Math.PI) / 180;

/** Earlier than the plan by so much of the boat's length, and nearer to something by so much, m. Judgement. */
export const TURNED_EARLY_LENGTHS = 0.25;
export const TURNED_EARLY_NEARER_M = 0.3;

/** Way on that has eyes on one end, m/s, taken over the seconds before. */
export const EYES_ON_ONE_END_MPS = 0.1;
export const EYES_ON_ONE_END_S = 4;
