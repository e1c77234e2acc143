// How somebody who works a boat by bursts weighs what comes of them, and what plans of it are made and tried. Judgement, where nothing else is said.

/** What comes of a burst, in seconds it is worth avoiding it. */
export const BURSTS = {
  /** With so little room, m, it touches: a second of it costs by how much faster than so much, m/s, it comes. */
  touches: 0.02,
  touched: 120,
  touching: 0.1,
  /** A metre nearer to something than is liked. */
  near: 1.5,
  /** Way over what is allowed, by its square, and coming nearer than that by so much, m/s, faster than it can be taken off. */
  fast: 100,
  closing: 80,
  creeps: 0.03,
  wheel: 0.35,
  gears: 0.8,
} as const;
/** Way allowed close beside something, m/s, and how much more for each metre off: a knot beside them, two and more well clear. */
export const WAY_BESIDE = { least: 0.28, each: 0.3 } as const;
/**
 * Coming to where it is to lie: what being off by all that is allowed costs, s, and of how much at the most; way that is left there, m/s; a second to
 * go is taken for so many metres, and more seconds than the most are not counted on. Within so much of what is allowed way over the little, m/s, and turning cost so many
 * s. Further off than so many seconds it is worth going at a usual pace.
 */
export const COMING_IN = {
  off: 4,
  offMost: 2,
  left: 0.08,
  pace: 0.4,
  most: 20,
  within: 1.2,
  little: 0.1,
  way: 6,
  turning: 20,
  paced: 10,
} as const;
/** Going the other way is thought of from so much way, m/s, to so much the other way, for so long at the most, s; and it costs so much besides, s. Judgement. */
export const SHUNT = { way: 0.4, longest: 15, least: 0.5 } as const;
/** A metre nearer to anything than is liked makes the time there count so many times more. Judgement. */
export const NEAR_WEIGHT = 1.5;
/**
 * A way may begin where a boat already touches, or lead through such a touch, so deep, m, as hulls and fenders give and as the eye is out: it has to get clear of what it lies against.
 * Each second there counts for so many more. Judgement.
 */
export const TOUCHING_WAYS = { deep: 0.3, more: 3 } as const;
/** Room that is liked: so many lengths and so much, m, but no more than that. Judgement. */
export const LIKED_ROOM = { lengths: 0.08, more: 0.2, most: 1 } as const;
/** Share of what a goal allows that is steered for. */
export const AIMED_SHARE = 0.6;
/**
 * When the boat is surely there: of what is steered for so much, with so little way and turning, m/s and rad/s, as headings are judged 3° out and more; or more of it by so many looks, or a little more still by so many looks on end. Clear is
 * when the room is so much of what is asked.
 */
export const THERE = {
  sure: 0.75,
  surer: 3,
  lie: 1.2,
  nearly: 1.5,
  looks: 5,
  clear: 0.97,
  speed: 0.22,
  rate: 0.05,
} as const;

/** Whoever finds nothing worth doing for so many looks, going no faster than so much, m/s, thinks of bursts so many times as long. Judgement. */
export const WAITING = { looks: 3, slow: 0.12, longer: 2.5 } as const;

/**
 * A boat worked on the spot: how far round water is looked at, lengths; how fast it is reckoned to go straight there, along and aside, m/s, and turning, rad/s, and what the other gear costs then, s, wholly from so far the other way, m; how fast it is reckoned to turn short round, rad/s; how far past a heading it is not gone
 * all the way round for, rad; how far it is set while it turns, lengths, without that counting for more than so many seconds; and squares of water that are looked at, lengths a side, and how many to each side; what is near enough, and near enough a heading, rad; and way at the most, m/s. Judgement.
 */
export const NEARBY = {
  looks: 1.2,
  along: 0.4,
  aside: 8,
  turned: 40,
  other: 3,
  back: 1,
  round: 0.06,
  past: 1,
  free: 0.25,
  set: 2,
  square: 1,
  squares: 3,
  within: { lengths: 0.06, least: 0.6 },
  headingWithin: 0.14,
  most: 0.45,
} as const;

/**
 * Plans of working a boat somewhere: speeds tried as the most, m/s, the usual one first; how much clearer than asked it is worked, times and m; from what rate, rad/s, it turns, and from what
 * sternway, m/s, it goes astern, and what hardly is any way, m/s; the wheel is told of from so much at the mean, rad; shorter stretches are not told, s; a change of heading shows from so much, rad; marks are told of within so many metres, abeam to so many, and so far ahead as the stretch before began; steps
 * at the most; and wind off the berth from which a spring goes on first, m/s. Judgement.
 */
export const WORKED = {
  most: [1, 0.6],
  clearer: 1.3,
  clearerBy: 0.3,
  turning: 0.035,
  sternway: 0.12,
  hardly: 0.25,
  wheel: 0.1,
  stretch: 4,
  turned: 0.26,
  marks: { within: 40, abeam: 1.5, ahead: 3 },
  steps: 7,
  springFrom: 2,
} as const;
/**
 * A spring that goes on first: from the bow so many lengths aft; thrown over so much of what whoever throws reaches; made ready so much before it reaches, m; slack it is made fast with, m; how far off the
 * heading it is put on, degrees; how long is waited for it, s; how long it is motored on at least, s; and in what share of what is allowed the boat lies there, and of its heading; and so far off the berth, in lengths, there has to be water.
 * Judgement.
 */
export const WORKED_SPRING = {
  open: [0.15, 0.3, 0.5, 0.75],
  leads: 0.35,
  thrown: 0.5,
  before: 2,
  slack: 0.2,
  heading_deg: 50,
  passes: 45,
  motors: 4,
  lies: 0.85,
  true: 0.65,
} as const;
/** Tries a second of asked time a suggestion reckons with, on two cores; and what share of them, and no fewer than how many, it spends on choosing, for each way, on the certificate and on the reference helm. */
export const TRIES_A_SECOND = 5;
export const SUGGESTING = {
  choosing: { share: 0.16, least: 8 },
  certifying: { share: 0.5, least: 20 },
  reference: { share: 0.2, least: 8 },
} as const;
/** What a suggestion is asked for on a screen, s; tries a worker makes at a time; plans side by side, as many as anybody looks at; winds tried as remedies, as shares of what blows, and on how many draws first. */
export const SUGGEST_S = 10;
export const AT_ONCE = 1;
export const MOST_PLANS = 3;
/** A plan that holds in less than so much of what the best one does is none to be shown beside it. */
export const BESIDE = 0.7;
export const LESS_WIND = [0.75, 0.5, 0.25, 0] as const;
export const REMEDY_FIRST = 8;
