import { rayTo } from '../math';

/** A propeller's jet as it comes to a hull: columns of a row. */
export const JET = {
  /** Where it comes from, m, and the way it goes, a unit vector; in the axes of the hull it meets (x ahead, y to starboard). */
  X: 0,
  Y: 1,
  ALONG_X: 2,
  ALONG_Y: 3,
  /** Thrust behind it, N, and the disc it comes from, m². */
  THRUST: 4,
  DISC: 5,
} as const;
export const JET_COLUMNS = 6;

/** Half-breadth of a free jet's momentum over its way (Albertson et al. 1950; recalled, not looked up). */
const SPREADS = 0.11;
/** Share of the momentum that comes to it which a hull takes up: some goes under it and past it. */
const TAKEN = 0.5;
/** So far it is followed, radii of the disc, and fades out on the way: it wanders, and mixes with what it stirs up. */
const FOLLOWED = 150;

/**
 * Adds what another boat's wash does to a hull it is turned at: of the momentum a free jet keeps on its way (as much as its thrust), as
 * much as the hull's draught reaches into,
 *
 *   F = 0.5 T min(1, d/(2 b)) (1 − s/150 R),   b = R + 0.11 s at s metres on
 *
 * along the jet, where its middle meets the hull. A jet near the surface is half a one: d counts against b on one side. Order of size,
 * **±60 %**; what passes a hull's end by less than its breadth is left out. Never more than the thrust; nought with the screw still.
 *
 * @param ring the hull's outline, body axes
 * @param jet columns JET
 */
export function addNeighbourWash(
  force: Float64Array,
  ring: Float64Array,
  draught: number,
  jet: Float64Array,
  times: number,
): void {
  const thrust = jet[JET.THRUST]!;
  if (thrust <= 0) return;
  const radius = Math.sqrt(jet[JET.DISC]! / Math.PI);
  const way = rayTo(ring, jet[JET.X]!, jet[JET.Y]!, jet[JET.ALONG_X]!, jet[JET.ALONG_Y]!);
  const far = FOLLOWED * radius;
  if (!(way < far)) return;
  const breadth = radius + SPREADS * way;
  const reached = Math.min(1, draught / (2 * breadth)) * (1 - way / far);
  const push = times * TAKEN * thrust * reached;
  const fx = push * jet[JET.ALONG_X]!;
  const fy = push * jet[JET.ALONG_Y]!;
  const x = jet[JET.X]! + way * jet[JET.ALONG_X]!;
  const y = jet[JET.Y]! + way * jet[JET.ALONG_Y]!;
  force[0]! += fx;
  force[1]! += fy;
  force[2]! += x * fy - y * fx;
}
