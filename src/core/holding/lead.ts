/** How a line leads from the boat: its pull as shares of itself, body axes, and its lever about midships, m. */
export interface Lead {
  /** Length in plan, m. */
  readonly length: number;
  /** Share that draws the boat ahead, and to starboard; the squares of the two make one. */
  readonly ahead: number;
  readonly starboard: number;
  /** Lever about midships; positive turns the boat's bow to starboard. */
  readonly lever: number;
}

/**
 * @param boatX boat end, body axes, m; likewise boatY
 * @param endX other end, body axes, m; likewise endY
 */
export function leadOf(boatX: number, boatY: number, endX: number, endY: number): Lead {
  const ax = endX - boatX;
  const ay = endY - boatY;
  const length = Math.sqrt(ax * ax + ay * ay);
  if (length === 0) return { length, ahead: 0, starboard: 0, lever: 0 };
  const ahead = ax / length;
  const starboard = ay / length;
  return { length, ahead, starboard, lever: boatX * starboard - boatY * ahead };
}

/** What a line keeps the boat from. */
export const STOPS = ['ahead', 'astern', 'off', 'bow out', 'stern out'] as const;
export type Stops = (typeof STOPS)[number];

/** A line counts as stopping a motion with this share of its pull against it: 20° off square. Judgement. */
const SHARE = 0.35;
/** An end counts as held by a line that leads across from further than this share of the boat's length from midships. */
const END_SHARE = 0.2;

/** What a line of that lead keeps the boat from. `length` is the boat's, m. */
export function stopsOf(
  { ahead, starboard }: Lead,
  boatX: number,
  length: number,
): readonly Stops[] {
  const across = Math.abs(starboard);
  const stops: Stops[] = [];
  if (ahead < -SHARE) stops.push('ahead');
  if (ahead > SHARE) stops.push('astern');
  if (across > SHARE) stops.push('off');
  if (across > SHARE && boatX > END_SHARE * length) stops.push('bow out');
  if (across > SHARE && boatX < -END_SHARE * length) stops.push('stern out');
  return stops;
}
