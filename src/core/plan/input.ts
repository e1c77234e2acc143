import { assembleCraft, type BoatSpec, type Craft } from '../boat';
import { NO_LINES, obstacleSetOf, type Lines, type Obstacle, type ObstacleSet } from '../holding';
import type { FlatPoints } from '../math';
import type { SitedLock } from '../locks';
import {
  environmentFor,
  locksThere,
  type Bridge,
  type Ladder,
  type LineAt,
  type StartPose,
  type Told,
  type Weather,
  type World,
} from '../simulation';
import type { Goal } from './goal';
import type { Known } from './known';
import type { Rigging } from './rigging';
import type { Plan } from './types';

/** A boat that lies about without a plan of its own. */
export interface OtherInput {
  readonly id: string;
  readonly name: string;
  readonly craft: Craft;
  readonly start: StartPose;
  readonly lines: Lines;
}

/** Water to keep out of, or to go through no faster than `most`, m/s through the water, for others' sake. */
export interface Zone {
  readonly name: string;
  readonly outline: FlatPoints;
  readonly rule: 'keep out' | 'no wash';
  readonly most: number;
}

/** A manoeuvre ready to be run. SI, radians. */
export interface RunInput {
  readonly boat: BoatSpec;
  readonly obstacles: readonly Obstacle[];
  /** That boat and those obstacles as the step reads them, if they have been made ready before; others are not used. */
  readonly craft?: Craft;
  readonly shore?: ObstacleSet;
  readonly weather: Weather;
  /** Boat, weather and start as whoever handles the boat was told, where it is run otherwise. */
  readonly told?: Told;
  /** What is known of how far figures of boat and day may be out; as a spread says where it is not given. */
  readonly known?: Known;
  /** Lines made fast from start to end, or those of `rigging`; none if not given. */
  readonly lines?: Lines;
  /** What the boat may pass under; nothing if not given. */
  readonly bridges?: readonly Bridge[];
  /** Where one climbs up from the water or down to it; nowhere if not given. */
  readonly ladders?: readonly Ladder[];
  /** Locks in the water, as they stand when it begins. */
  readonly locks?: readonly SitedLock[];
  /** Water with rules of its own. */
  readonly zones?: readonly Zone[];
  /** Other boats that give way, each on lines of its own. */
  readonly others?: readonly OtherInput[];
  /** Where each line of the plan is to be found, if not all are the boat's. */
  readonly where?: readonly LineAt[];
  /** What hands may do with the lines, and who they are. */
  readonly rigging?: Rigging;
  readonly start: StartPose;
  readonly plan: Plan;
  readonly goal: Goal;
  /** Ids of the obstacles that are the boat's berth: touched by intent, left out of clearance. */
  readonly berth: ReadonlySet<string>;
  /** Longest run, s. */
  readonly limit: number;
}

/** The world a manoeuvre is played in, its gusts known for so many seconds. */
export function worldOf(input: RunInput, duration: number): World {
  const { boat, others = [], where, bridges = [], ladders = [], locks = [] } = input;
  const craft = input.craft?.spec === boat ? input.craft : assembleCraft(boat);
  // Leaves swing: what they are among is each world's own.
  const gates = locks.length > 0 ? locksThere(locks, input.obstacles.length) : null;
  const obstacles = gates ? [...input.obstacles, ...gates.obstacles] : input.obstacles;
  const shore = input.shore?.obstacles === obstacles ? input.shore : obstacleSetOf(obstacles);
  const around = (of: Craft, lines: Lines): World => ({
    craft: of,
    obstacles,
    environment: environmentFor(of, input.weather, duration),
    lines,
    shore,
    ...(gates ? { gates: gates.there } : {}),
  });
  const lines = input.lines ?? NO_LINES;
  const hers = Array.from({ length: lines.count }, (_, row) => ({ boat: 0, row }));
  const told = input.told ?? { craft, weather: input.weather, start: input.start };
  const world = { ...around(craft, lines), bridges, ladders, where: where ?? hers, told };
  if (others.length === 0) return world;
  return {
    ...world,
    others: others.map(({ id, name, start, ...other }) => ({
      id,
      name,
      start,
      world: around(other.craft, other.lines),
    })),
  };
}
