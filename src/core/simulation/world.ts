import type { Craft } from '../boat';
import type { Lines, Obstacle, ObstacleSet } from '../holding';
import { copyLock, type Leaf, type SitedLock } from '../locks';
import type { FlatPoints } from '../math';
import type { Environment, Weather } from './environment';
import { copyState, initialState, type SimState, type StartPose } from './state';

/** A run's fixed surroundings. */
export interface World {
  readonly craft: Craft;
  readonly environment: Environment;
  readonly obstacles: readonly Obstacle[];
  /** The obstacles as the step reads them. */
  readonly shore: ObstacleSet;
  readonly lines: Lines;
  /** What the boat may pass under; nothing if not given. */
  readonly bridges?: readonly Bridge[];
  /** Where one climbs up from the water or down to it; nowhere if not given. */
  readonly ladders?: readonly Ladder[];
  /** Its locks, whose leaves are among the obstacles; none if not given. */
  readonly gates?: LocksThere;
  /** Other boats that give way, in the order its lines' ON counts them; none if not given. */
  readonly others?: readonly OtherBoat[];
  /** Where each line of the plan is to be found; all are the boat's, in their order, if not given. */
  readonly where?: readonly LineAt[];
  /** Boat, weather and start as whoever handles the boat was told; the world's own if not given. */
  readonly told?: Told;
}

/** What is told of a manoeuvre before it is run: it turns out otherwise. */
export interface Told {
  readonly craft: Craft;
  readonly weather: Weather;
  readonly start: StartPose;
}

/** The locks of a world, and which of its obstacles are their leaves. */
export interface LocksThere {
  readonly locks: readonly SitedLock[];
  readonly leaves: readonly Leaf[];
  /** Number of the first leaf among the obstacles. */
  readonly first: number;
}

/** Something the boat may pass under, and people may walk over: its outline, and the room under it over level nought, m. */
export interface Bridge {
  readonly name: string;
  readonly outline: FlatPoints;
  readonly clearance: number;
  /** Do people walk over it? */
  readonly footway: boolean;
}

/** Rungs let into a face from its top to the water, m. */
export interface Ladder {
  readonly name: string;
  readonly x: number;
  readonly y: number;
}

/** A boat that lies on its own lines in the same water, without a plan of its own. */
export interface OtherBoat {
  readonly id: string;
  readonly name: string;
  readonly start: StartPose;
  readonly world: World;
}

/** A line's boat (0: it; k: the kth of the others), and its place among that boat's lines. */
export interface LineAt {
  readonly boat: number;
  readonly row: number;
}

export const othersOf = ({ others }: World): readonly OtherBoat[] => others ?? NOBODY;
const NOBODY: readonly OtherBoat[] = [];

/** The boat at a pose, its lines as they are rigged, and the other boats of its world where they lie as it begins. */
export function beginning(world: World, pose: StartPose): SimState {
  const locks = (world.gates?.locks ?? []).map(({ begins }) => copyLock(begins));
  const others = othersOf(world).map((other) =>
    initialState(other.world.craft, other.start, other.world.lines, [], locks),
  );
  return initialState(world.craft, pose, world.lines, others, locks);
}

const AT_NOUGHT: StartPose = { x: 0, y: 0, heading: 0, speed: 0 };

/** Another state of that world, as one is now; of another world only what both know is copied. */
export function copyOf(world: World, from: SimState): SimState {
  const copy = beginning(world, AT_NOUGHT);
  copyState(copy, from);
  return copy;
}
