/** Share of a chamber a boat may fill to be the first choice for it: what is over is for gates, cill and fenders. Judgement. */
export const FILLS_LOCK = 0.9;
/** Landing to lock where nothing is told of it, m. Assumption. */
export const USUAL_LANDING_M = 40;
/** Deck over the water where no boat is named, m. Assumption. */
export const USUAL_FREEBOARD_M = 0.9;
