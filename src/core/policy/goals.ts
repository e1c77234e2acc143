// What a manoeuvre that is begun asks for, and what a fitted plan expects of a helm. Judgement.

/**
 * A manoeuvre of a boat of so many metres may take so long, s, and the longer the longer the boat, as the root of that, up to the most: half of those that are worked in by
 * short bursts are done in a minute and a half, those that go out and come in a second time in five.
 */
export const USUAL_LIMIT = { length: 10, seconds: 360, most: 900 } as const;
export const usualLimitFor = (length: number): number =>
  Math.min(
    USUAL_LIMIT.most,
    Math.round(USUAL_LIMIT.seconds * Math.max(1, Math.sqrt(length / USUAL_LIMIT.length))),
  );

/** How near and true the boat has to lie, by its length. Judgement: a line reaches, and it is no longer going anywhere. */
export const LIES_NEAR_LENGTHS = 0.17;
/** So far from abreast of the berth's middle the point that stands for the boat may be without counting, m. */
export const LIES_OFF_M = 0.3;
export const LIES_TRUE_DEG = 12;

/** Off and clear: so much of the boat's beam from everything alongside, so much of its length in an aisle. */
export const CLEAR_BEAMS = 0.6;
export const CLEAR_LENGTHS = 0.08;

/** Half a turn may take the boat so far from where it began, lengths. */
export const ROUND_LENGTHS = 1.5;

/** A passage may take so long a lock, s: alone, and with a lock to be made ready first, it does. */
export const PASSAGE_LIMIT_S = 1800;

/** Fender's thickness where none is hung, m. */
export const USUAL_FENDER_M = 0.25;

/** A boat lies this far off the edge it has an end to, m: a step, or a passerelle. Judgement. */
export const END_GAP_M = 1;

/** Room a boat as long as its slip or longer leaves at the head of it, m. Judgement. */
export const SLIP_HEAD_GAP_M = 0.5;
/** A slip is one for a boat if its finger is as long as this share of it: fingers of six tenths are usual. Judgement. */
export const SLIP_LEAST_SHARE = 0.55;

/** Overlap put down to rounding or a squeezed fender, m. */
export const SQUEEZED_M = 0.1;

/** Room a start keeps from everything, as a share of the boat's length but at least so much, m. */
export const START_ROOM_LENGTHS = 0.12;
export const START_ROOM_M = 1;

/** How far off a helm may find the boat and still be in it: heading, and speed as a share and in m/s. Judgement. */
export const EXPECTED_HEADING_DEG = 12;
export const EXPECTED_SPEED_SHARE = 0.35;
export const EXPECTED_SPEED_MPS = 0.25;

/** Slower than this, made fast, a boat that begins lies there: it starts from where it lies, m/s. */
export const LIES_AT_START_MPS = 0.1;

/** From this length on a boat is no small craft by the rules of the road (COLREGs rule 9 b: 20 m), and stands among big craft. */
export const BIG_CRAFT_M = 20;

/** A goal in open water that heads this far from the start's heading is turning round, degrees. Judgement. */
export const TURNS_ROUND_DEG = 60;
