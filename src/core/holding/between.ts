import type { Craft } from '../boat';
import { addLines, type Lines } from './line';
import { GROUND, GROUND_COLUMNS } from './ground';
import { solidObstacle, type Surface } from './obstacles';
import { obstacleSetOf, type ObstacleSet } from './obstacle-set';
import { addTouch } from './touch';
import { touchScratch, type TouchScratch } from './touch-pairs';

/**
 * What acts between two boats that both give way. One of them, `other`, is taken as the place: its bow is its north,
 * its starboard its east, its side its quay. What the boat feels there, `other` feels the other way at the same point,
 * so the two together neither gain nor lose impulse.
 */
export interface Between {
  /** The boat as what may touch and be tied: its elements, moved as lightly as both together give way. */
  readonly craft: Craft;
  readonly side: ObstacleSet;
  /** What `other` is to the boat's own lines: their ON. */
  readonly on: number;
  readonly touch: TouchScratch;
  /** The boat as `other` sees it, columns GROUND. */
  readonly seen: Float64Array;
  /** What the boat feels, in its own axes: N, N, N·m. */
  readonly force: Float64Array;
}

/** The boat's touch elements on a side that gives way as well; of a boat looked at a second time, the fenders alone. */
function movable(craft: Craft, other: Craft, fendersOnly: boolean): Craft {
  const { touch } = craft;
  const yielding = 1 / other.touch.lightest;
  const lightest = 1 / (1 / touch.lightest + yielding);
  const lightness = touch.lightness.map((own) => own + yielding);
  const frequency = touch.frequency.map(
    (own, e) => own * Math.sqrt(lightness[e]! / touch.lightness[e]!),
  );
  const from = fendersOnly ? touch.hullCount : 0;
  const x = touch.x.subarray(from);
  const y = touch.y.subarray(from);
  return {
    ...craft,
    touch: {
      ...touch,
      lightest,
      lightness: lightness.subarray(from),
      frequency: frequency.subarray(from),
      count: touch.count - from,
      hullCount: touch.hullCount - from,
      x,
      y,
      deckShape: { ...touch.deckShape, x, y },
      radius: touch.radius.subarray(from),
      fenderLength: touch.fenderLength.subarray(from),
      fenderPressure: touch.fenderPressure.subarray(from),
      loss: touch.loss.subarray(from),
    },
  };
}

/** The boat's side as an obstacle in its own frame, x to starboard and y ahead. */
export function sideOf({ spec }: Craft, friction: number): ObstacleSet {
  const { deck, touchStiffness } = spec.hull;
  const outline = Float64Array.from(deck, (_, i) => (i % 2 === 0 ? deck[i + 1]! : deck[i - 1]!));
  const surface: Surface = { friction, stiffness: touchStiffness };
  return obstacleSetOf([solidObstacle('side', 'side', outline, surface)]);
}

function half(
  craft: Craft,
  other: Craft,
  friction: number,
  on: number,
  fendersOnly: boolean,
): Between {
  const moved = movable(craft, other, fendersOnly);
  return {
    craft: moved,
    side: sideOf(other, friction),
    on,
    touch: touchScratch(false, [moved.touch.deckShape]),
    seen: new Float64Array(GROUND_COLUMNS),
    force: new Float64Array(3),
  };
}

/**
 * Two boats that may touch and may be tied, as two halves: the first sees `boat` from `other`, the second sees `other`,
 * by its fenders alone, from `boat`. A fender is met by the hull opposite; two fenders hung at the same place do not
 * add up.
 *
 * @param friction of hull and fender on the other's hull
 * @param on what `other` is to the boat's lines (their ON), and the boat to its
 */
export function between(
  boat: Craft,
  other: Craft,
  friction: number,
  on: readonly [number, number],
): readonly [Between, Between] {
  return [half(boat, other, friction, on[0], false), half(other, boat, friction, on[1], true)];
}

/** Sets `seen`: how `boat` lies and moves as seen from `other`, all rows of columns GROUND. */
export function setSeen(seen: Float64Array, boat: Float64Array, other: Float64Array): void {
  const sinO = other[GROUND.SIN]!;
  const cosO = other[GROUND.COS]!;
  const east = boat[GROUND.X]! - other[GROUND.X]!;
  const north = boat[GROUND.Y]! - other[GROUND.Y]!;
  const starboard = east * cosO - north * sinO;
  const ahead = east * sinO + north * cosO;
  const sin = boat[GROUND.SIN]! * cosO - boat[GROUND.COS]! * sinO;
  const cos = boat[GROUND.COS]! * cosO + boat[GROUND.SIN]! * sinO;
  // How fast the other would go where the boat's midships are.
  const yaw = other[GROUND.YAW]!;
  const u = other[GROUND.SURGE]! - yaw * starboard;
  const v = other[GROUND.SWAY]! + yaw * ahead;
  seen[GROUND.X] = starboard;
  seen[GROUND.Y] = ahead;
  seen[GROUND.SIN] = sin;
  seen[GROUND.COS] = cos;
  seen[GROUND.HEADING] = boat[GROUND.HEADING]! - other[GROUND.HEADING]!;
  seen[GROUND.SURGE] = boat[GROUND.SURGE]! - (u * cos + v * sin);
  seen[GROUND.SWAY] = boat[GROUND.SWAY]! - (v * cos - u * sin);
  seen[GROUND.YAW] = boat[GROUND.YAW]! - yaw;
}

/**
 * Adds what acts between the two to the forces on `boat` and on `other`, each in its own axes; `seen` of that moment.
 *
 * @param lines the boat's, with their rows, those that may pull and their tensions; those on `other` act
 * @param span working memory, columns SPAN
 */
export function addBetween(
  boat: Float64Array,
  other: Float64Array,
  b: Between,
  lines: Lines,
  rows: Float64Array,
  pulling: Int32Array,
  tension: Float64Array,
  span: Float64Array,
): void {
  const { force, seen } = b;
  force.fill(0);
  if (b.touch.active > 0) addTouch(force, b.touch, b.craft, b.side, seen);
  else b.touch.count = 0;
  if (lines.count > 0) addLines(force, tension, lines, rows, pulling, seen, b.on, span);
  const x = force[0]!;
  const y = force[1]!;
  const n = force[2]!;
  boat[0]! += x;
  boat[1]! += y;
  boat[2]! += n;
  const sin = seen[GROUND.SIN]!;
  const cos = seen[GROUND.COS]!;
  const ahead = x * cos - y * sin;
  const starboard = x * sin + y * cos;
  other[0]! -= ahead;
  other[1]! -= starboard;
  other[2]! -= n + seen[GROUND.Y]! * starboard - seen[GROUND.X]! * ahead;
}
