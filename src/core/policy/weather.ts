/** Wind a new manoeuvre begins with, m/s: 8 kn, enough to matter to every boat there is. Judgement. */
export const START_WIND_MPS = 4.116;
/** Through a lock, where a breeze abeam lays most boats on a gate, half of that. */
export const LOCK_START_WIND_MPS = 2.058;
/** Seconds a wind takes to turn where nobody says. */
export const USUAL_VEER_S = 60;
