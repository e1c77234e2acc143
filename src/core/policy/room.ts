/** Least water under and room over the boat that count as within limits, m. Judgement: waves and squat eat the rest. */
export const LEAST_UNDER_M = 0.3;
export const LEAST_OVER_M = 0.3;
/** Share of a berth's edge a boat may fill to be the first choice for it. Judgement. */
export const FILLS_BERTH = 0.9;
/** Nearer than this to what is not the boat's berth is no room to spare, m. Judgement. */
export const NO_ROOM_M = 0.5;

/** Overlap of a hull at the start that is put down to rounding: the boat is pushed clear of it; beyond, the start is refused, m. Judgement. */
export const START_OVERLAP_M = 0.1;
/** A fender may be squeezed by so much of its thickness as it begins, as one is that the boat lies on in a breeze. Judgement. */
export const FENDER_AT_START = 0.25;
