/** Wind a new manoeuvre begins with, m/s: 4 kn. Enough to be seen, and little enough that the first plan of whoever begins mostly holds; more is set by hand. Judgement. */
export const START_WIND_MPS = 2.058;
/** Seconds a wind takes to turn where nobody says. */
export const USUAL_VEER_S = 60;

/**
 * How far a forecast's mean wind may be out, one standard deviation: on the same day, as the standard spread has it, and more for each day
 * ahead; a share of its speed, and degrees. Judgement; beyond a week it says no more than the season does.
 */
export const FORECAST = {
  speed: { sameDay: 0.2, aDay: 0.05 },
  from: { sameDay: 10, aDay: 6 },
  mostDays: 7,
} as const;

/** How far out a direction is that somebody on the pontoon sees: of the wind by a flag, of a current by what floats, degrees. Judgement. */
export const SEEN_FROM_DEG = 8;
export const SEEN_SET_DEG = 5;
