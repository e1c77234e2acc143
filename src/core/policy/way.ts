/**
 * How slow is still, and how much is way on. Each asks something else of the boat, so each has a name and a figure of its own.
 * Judgement from practice, ± a half, where nothing else is said. m/s, rad/s.
 */

/** A cue that waits for the boat to stop wants it to have had way first: 0.3 kn is seen against a pontoon. */
export const HAS_WAY_MPS = 0.15;
/** Stopped, as a helm calls it: 0.1 kn, and turning less than a degree a second. */
export const STOPPED_MPS = 0.05;
export const STOPPED_RATE = 0.0175;
/** Sternway has begun: the first that is felt. */
export const STERNWAY_MPS = 0.03;
/** Sternway at which a rudder without wash is felt to work the other way. */
export const RUDDER_REVERSED_MPS = 0.1;
/** A way out counts as taken once the boat is this slow over ground: there is time to think, not yet to step. */
export const ESCAPED_MPS = 0.08;
/** Brought up short of the berth: the boat no longer gets there by itself. */
export const BROUGHT_UP_MPS = 0.12;
/** Sternway gathered by a burst that was meant to take headway off: no longer a trace, a new way. */
export const STERNWAY_GATHERED_MPS = 0.3;
/** Going no faster past somebody under way is waiting for them. */
export const HARDLY_MOVING_MPS = 0.4;
/** What a boat on its lines still breathes by. */
export const SETTLED_MPS = 0.02;
/** Lying alongside, held by a spring or by thrust. */
export const LIES_ALONGSIDE_MPS = 0.1;
/** Out of gear and so slow, nobody has to stand at the helm. */
export const HELM_MAY_LEAVE_MPS = 0.15;
/** A manoeuvre that comes to lie somewhere is done at 0.6 kn: a line reaches, and the boat is no longer going anywhere. */
export const ARRIVED_MPS = 0.309;
/** How late a person shifts the gear, having seen the boat move: the middle of a person's lateness with an order, s. */
export const SHIFTS_LATE_S = 0.9;

/**
 * A hand on the throttle that keeps way on. It reckons with so long until the boat answers, s; the throttle goes up by so much at a time, a share of
 * its range, to no more than a firm one; less gained in a second than this is nothing gained, m/s; and so many times the most
 * wanted is well above it. Judgement.
 */
export const LOOK_LATE_S = 1.2;
export const THROTTLE_NOTCH = 0.1;
export const FIRM_WAY_THROTTLE = 0.6;
export const GAINING_MPS = 0.02;
export const WELL_ABOVE = 1.5;

/**
 * How a hand stops a boat abreast of something: throttles of a usual and of a firm stop, shares of the range; from how much of a usual slowing it
 * goes out of gear, and from how much it is firm; what it adds where nothing comes of it; way that is nearly off, that is as good as off, and
 * that falls short, m/s; and how near is there, m. Judgement.
 */
export const STOPPING = {
  usual: 0.25,
  firm: 0.6,
  neutralFrom: 0.4,
  firmFrom: 1.6,
  more: 0.25,
  off: 0.05,
  gone: 0.12,
  short: 0.3,
  near: 0.5,
} as const;

/**
 * How a helm keeps to a line: so much heading a length it is off, rad; the wheel hard over from so far, rad; never more than so far off the line's own, rad; how it is set is felt over
 * so long, s, while it turns no faster than this, rad/s, and makes this way or more, m/s. Judgement.
 */
export const ON_LINE = {
  gain: 1.3,
  lead: 4.5,
  hardOver: 0.2,
  trimmed: 6,
  most: 0.47,
  mean: 4,
  turning: 0.035,
  slow: 0.2,
} as const;

/**
 * How a hand on the throttle helps a wheel that is over and not enough: from so far the boat has to turn at idle, and from so far, rad (all of the wheel
 * is on at 20°), with a burst that gathers way by so much, m/s², more by so much with every look, and no more than the most; not while it goes so many times as fast
 * as it is to. Engines so many beams apart turn it by the one against the other. Judgement.
 */
export const KICK = {
  idleFrom: 0.12,
  from: 0.28,
  answer: 0.12,
  more: 0.06,
  most: 0.3,
  over: 1.3,
  againstFrom: 0.35,
  shortFrom: 0.5,
  under: 0.4,
  turning: 0.6,
  apart: 0.15,
} as const;

/** A helm that may use thrusters does from so far the boat has to turn, rad, until it has so far to turn no more. Judgement. */
export const THRUST_FROM = 0.12;
export const THRUST_UNTIL = 0.05;

/**
 * How a boat is motored alongside on a spring: the wheel so much of the lock from the quay, and hard over for so far off the heading it is to lie on, rad, turning counted so long on, s; more throttle by
 * a notch where for so many looks its nearer end comes no closer than so fast, m/s; out of gear where it closes faster than the most; taut with so little slack, m; while it is slack out of gear over so much way, m/s, and before it has first come taut astern over so much; and it
 * lies there after so many looks. Judgement.
 */
export const ON_SPRING = {
  wheel: 0.5,
  hardOver: 0.35,
  ahead: 2,
  looks: 4,
  closing: 0.03,
  most: 0.15,
  taut: 0.1,
  creeps: 0.12,
  stops: 0.18,
  lies: 2,
} as const;

/**
 * How a joystick is pushed to bring a boat a few metres off and keep it there: by notches of its way, one where no less than such a share of the fastest is lacking; so fast as brings it there in so long, s, but no faster than so much ahead and aside, m/s, and round, rad/s; of what way is lacking so
 * much is pushed for a second, 1/s, and so much of it is kept up from then on, up to so much of what the stick can do, where it is near or goes no faster than such a share of the fastest; so slow is still, m/s; and it lies there after so many looks. Judgement.
 */
export const ON_STICK = {
  notch: 0.05,
  lacks: 0.4,
  arrives: 9,
  speed: 0.25,
  aside: 0.15,
  rate: 0.04,
  gain: 0.25,
  learns: 0.01,
  comes: 0.3,
  most: 0.6,
  still: 0.12,
  looks: 2,
} as const;
