import type { Craft } from '../boat';
import { NO_LINES, type ObstacleSet } from '../holding';
import { cos, sin } from '../math';
import { FENDER_AT_START, START_OVERLAP_M } from '../policy';
import { beginning, environmentFor, Simulation, type StartPose } from '../simulation';
import { CALM } from '../trials';

/** A start that nothing throws off; or what it cannot be got clear of, and how much room is wanting, m. */
export type ClearStart =
  | { readonly is: 'clear'; readonly start: StartPose }
  | { readonly is: 'inside'; readonly on: number; readonly deep: number }
  | {
      readonly is: 'squeezed';
      readonly between: readonly [number, number];
      readonly short: number;
    };

/** What presses hardest: how far beyond what it may, m, in which direction the boat is pushed, east and north, and what it is. */
interface Pressed {
  readonly excess: number;
  readonly east: number;
  readonly north: number;
  readonly on: number;
  readonly hull: boolean;
}

const ROUNDS = 40;
/** As good as nothing, m. */
const HAIR_M = 1e-4;

/** What presses on the boat at a pose beyond what it may. */
function pressedAt(craft: Craft, shore: ObstacleSet, pose: StartPose): readonly Pressed[] {
  const world = {
    craft,
    obstacles: shore.obstacles,
    environment: environmentFor(craft, CALM),
    lines: NO_LINES,
    shore,
  };
  const simulation = new Simulation(world, beginning(world, { ...pose, speed: 0 }));
  simulation.warmUp();
  const { touch } = simulation.vessel.scratch;
  const s = sin(pose.heading);
  const c = cos(pose.heading);
  return Array.from({ length: touch.count }, (_, k) => {
    const element = touch.element[k]!;
    const hull = element < craft.touch.hullCount;
    const may = hull ? 0 : FENDER_AT_START * 2 * craft.touch.radius[element]!;
    const [ahead, starboard] = [touch.nx[k]!, touch.ny[k]!];
    return {
      excess: touch.depth[k]! - may,
      east: ahead * s + starboard * c,
      north: ahead * c - starboard * s,
      on: touch.obstacle[k]!,
      hull,
    };
  });
}

const worst = (pressed: readonly Pressed[]): Pressed | null =>
  pressed.reduce<Pressed | null>(
    (most, one) => (one.excess > (most?.excess ?? HAIR_M) ? one : most),
    null,
  );

/**
 * Where a boat begins so that nothing throws it off: pushed clear of what it overlaps by centimetres, and off fenders squeezed by more than
 * one lies on them; the same pose where it is clear. Its heading stays.
 */
export function clearStart(craft: Craft, shore: ObstacleSet, start: StartPose): ClearStart {
  const first = pressedAt(craft, shore, start);
  const deepest = worst(first.filter(({ hull }) => hull));
  if (deepest && deepest.excess > START_OVERLAP_M)
    return { is: 'inside', on: deepest.on, deep: deepest.excess };
  let pose = start;
  let pressed = first;
  let last: Pressed | null = null;
  for (let round = 0; round < ROUNDS; round++) {
    const now = worst(pressed);
    if (!now) return { is: 'clear', start: pose };
    // Pushed back by as much as it was pushed off: it is held from both sides.
    const back = last && now.east * last.east + now.north * last.north < 0;
    if (back && round >= ROUNDS / 2)
      return { is: 'squeezed', between: [last!.on, now.on], short: now.excess };
    const by = now.excess + HAIR_M / 2;
    pose = { ...pose, x: pose.x + by * now.east, y: pose.y + by * now.north };
    last = now;
    pressed = pressedAt(craft, shore, pose);
  }
  const left = worst(pressed) ?? last!;
  return { is: 'squeezed', between: [last!.on, left.on], short: left.excess };
}
