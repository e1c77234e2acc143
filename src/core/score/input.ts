import { assembleCraft, type BoatSpec, type Craft } from '../craft';
import { NO_LINES, shoreOf, type Lines, type Obstacle, type Shore } from '../holding';
import { environmentFor, type LineAt, type StartPose, type Weather, type World } from '../sim';
import type { Goal } from './goal';
import type { Rigging } from './rigging';
import type { Score } from './types';

/** A boat that lies about without a score of her own. */
export interface OtherInput {
  readonly id: string;
  readonly name: string;
  readonly craft: Craft;
  readonly start: StartPose;
  readonly lines: Lines;
}

/** A manoeuvre ready to be run. SI, radians. */
export interface RunInput {
  readonly boat: BoatSpec;
  readonly obstacles: readonly Obstacle[];
  /** That boat and those obstacles as the step reads them, if they have been made ready before; others are not used. */
  readonly craft?: Craft;
  readonly shore?: Shore;
  readonly weather: Weather;
  /** Lines made fast from start to end, or those of `rigging`; none if not given. */
  readonly lines?: Lines;
  /** Other boats that give way, each on lines of her own. */
  readonly others?: readonly OtherInput[];
  /** Where each line of the score is to be found, if not all are hers. */
  readonly where?: readonly LineAt[];
  /** What hands may do with the lines, and who they are. */
  readonly rigging?: Rigging;
  readonly start: StartPose;
  readonly score: Score;
  readonly goal: Goal;
  /** Ids of the obstacles that are her berth: touched by intent, left out of clearance. */
  readonly berth: ReadonlySet<string>;
  /** Longest run, s. */
  readonly limit: number;
}

/** The world a manoeuvre is played in, its gusts known for so many seconds. */
export function worldOf(input: RunInput, duration: number): World {
  const { obstacles, boat, others = [], where } = input;
  const craft = input.craft?.spec === boat ? input.craft : assembleCraft(boat);
  const shore = input.shore?.obstacles === obstacles ? input.shore : shoreOf(obstacles);
  const around = (of: Craft, lines: Lines): World => ({
    craft: of,
    obstacles,
    environment: environmentFor(of, input.weather, duration),
    lines,
    shore,
  });
  const lines = input.lines ?? NO_LINES;
  const hers = Array.from({ length: lines.count }, (_, row) => ({ boat: 0, row }));
  const world = { ...around(craft, lines), where: where ?? hers };
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
