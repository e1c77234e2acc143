/** Share of a chamber a boat may fill to be the first choice for it: what is over is for gates, cill and fenders. Judgement. */
export const FILLS_LOCK = 0.9;
/** Landing to lock where nothing is told of it, m. Assumption. */
export const USUAL_LANDING_M = 40;
/** Deck over the water where no boat is named, m. Assumption. */
export const USUAL_FREEBOARD_M = 0.9;

/**
 * A fast line that has come to lead so much steeper, m, was not tied off briefly, but left fast as the chamber fell; where it
 * pulls by this share of what parts it as well, it is loading up. Judgement.
 */
export const LINE_STEEPER_M = 0.15;
export const LINE_LOADS_SHARE = 0.05;

/** The boat hangs on it from this share, or this share of its weight on. */
export const LINE_HANGS_SHARE = 0.2;
export const LINE_HANGS_WEIGHT = 0.05;
export const LINE_LOADS_WEIGHT = 0.01;

/** A chamber that loses so much falls, m³/s: more than gates leak. */
export const CHAMBER_FALLS_M3PS = 0.05;

/** Pressed on to a cill by less than this the boat still comes off by itself, m. */
export const ON_CILL_M = 0.05;

/** The time the boat has is reckoned again once so much more water runs, and told again where it is less by so much, s, and this share. Judgement. */
export const MORE_WATER = 1.3;
export const SOONER_S = 10;
export const SOONER_SHARE = 0.2;

/** The boat hangs on it from this share of its weight on, as on a line. */
export const GRIP_HANGS_WEIGHT = 0.05;

/** The level goes so far while an end rests on a gate before the boat is taken to be under a beam, or on one, m. Judgement. */
export const CAUGHT_M = 0.25;

/** The level has to change by so much before anything is said of a gate, m. */
export const GATE_TOLD_M = 0.02;

/** A side or an end free for so long is free, s. */
export const GRIP_FREE_S = 2;

/** The boat's rail is so near under them, m, before anything is said of it. */
export const LIP_NEAR_M = 0.3;

/** Room that is wanted about a boat: fenders each side, and before gates and cill, m. Judgement. */
export const LOCK_FENDER_M = 0.15;
export const LOCK_END_M = 0.5;

/** Pull over the boat's weight a small craft's hands hold on a turn: 2 to 4 per mille is borne (recalled). */
export const BORNE = 0.003;

/** Water kept under the boat over the cill, and air kept under the coping, m. Judgement. */
export const OVER_CILL_KEPT_M = 0.2;
export const UNDER_COPING_KEPT_M = 0.1;

/** Water wanted over a cill under whoever passes it, m. Judgement. */
export const OVER_CILL_M = 0.3;

/** From the boat's stopping until it is held by its line, and from the crew's coming back until they are aboard, s. Judgement. */
export const BESIDE_BOAT_S = 40;

/** The boat's line is aboard before the engine turns, s. */
export const LINE_HOME_S = 8;

/** A boat further off the gates than this has nothing to do with the lock yet, in lengths of the chamber. Judgement. */
export const COMES_WITHIN = 4;

/** The boat means to go through if it heads along within this. */
export const HEADS_FOR_LOCK = Math.PI / 3;

/** As near as each other within this share of the shorter one: then the heavier goes first. */
export const AS_NEAR = 0.5;

/** Less than this does not run, m³/s. */
export const WATER_RUNS_M3PS = 1e-3;
