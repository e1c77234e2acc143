import {
  clearanceMemory,
  GROUND_COLUMNS,
  leastClearance,
  noClearance,
  setSeen,
  shapesOf,
  sideOf,
  type Clearance,
  type ClearanceMemory,
  type ObstacleSet,
} from '../holding';
import {
  othersOf,
  pointOnWater,
  setRow,
  type SimState,
  type Simulation,
  type World,
} from '../simulation';
import { hullPart } from './hull-part';
import type { LeastClearance } from './margins';

/** Looked at among the other boats: nothing is left out of a boat by itself. */
const NONE: ReadonlySet<number> = new Set();

interface Beside {
  readonly side: ObstacleSet;
  readonly memory: ClearanceMemory;
  readonly ground: Float64Array;
  readonly seen: Float64Array;
  readonly found: Clearance;
}

/** Looks how near the boat is to anything: what stands on the place, and the other boats where they are by now. */
export class Lookout {
  private readonly memory: ClearanceMemory;
  /** Deck over what is lower than it: all but that is left out. */
  private readonly over: { readonly memory: ClearanceMemory; readonly skip: Set<number> } | null;
  private readonly beside: readonly Beside[];

  constructor(private readonly world: World) {
    const { craft, shore } = world;
    const { deckShape } = craft.touch;
    const shapes = shapesOf(craft, shore);
    this.memory = clearanceMemory(shore, shapes);
    const level = new Set(shapes.flatMap((shape, i) => (shape === deckShape ? [i] : [])));
    const decks = shapes.map(() => deckShape);
    this.over =
      level.size < shapes.length ? { memory: clearanceMemory(shore, decks), skip: level } : null;
    this.beside = othersOf(world).map((other) => {
      const side = sideOf(other.world.craft, 0);
      return {
        side,
        memory: clearanceMemory(side, [deckShape]),
        ground: new Float64Array(GROUND_COLUMNS),
        seen: new Float64Array(GROUND_COLUMNS),
        found: noClearance(),
      };
    });
  }

  /**
   * Least clearance into `out`; what was nearest there before is tried first. The boat's place over the ground stands in the
   * simulation's readings then.
   *
   * @param skip numbers of what is left out; the other boats are counted on from the obstacles
   */
  look(out: Clearance, now: Simulation, skip: ReadonlySet<number>): void {
    const { craft, shore } = this.world;
    const { state } = now;
    const here = now.place();
    leastClearance(out, this.memory, craft.touch, shore, skip, here);
    for (let i = 0; i < this.beside.length; i++) {
      if (skip.has(shore.count + i)) continue;
      const { side, memory, ground, seen, found } = this.beside[i]!;
      setRow(ground, state.others[i]!, othersOf(this.world)[i]!.world);
      setSeen(seen, here, ground);
      leastClearance(found, memory, craft.touch, side, NONE, seen);
      if (found.distance >= out.distance) continue;
      out.distance = found.distance;
      out.obstacle = shore.count + i;
      out.x = found.x;
      out.y = found.y;
    }
  }

  /**
   * How far the boat's deck hangs over something lower than it, as a clearance under nought, into `out`; called after `look`.
   * Nothing to look at leaves it as it is.
   */
  lookOver(out: Clearance, now: Simulation): void {
    if (!this.over) return;
    const { craft, shore } = this.world;
    const { memory, skip } = this.over;
    leastClearance(out, memory, craft.touch, shore, skip, now.ground);
  }
}

/** Name of what has a number among obstacles and other boats; null for none. */
export function nameOfThing(world: World, number: number): string | null {
  const { obstacles } = world;
  const thing = obstacles[number] ?? othersOf(world)[number - obstacles.length];
  return thing?.name ?? null;
}

/** Numbers of the obstacles and other boats that have one of these ids. */
export function numbersOf(world: World, ids: ReadonlySet<string>): ReadonlySet<number> {
  const all = [...world.obstacles, ...othersOf(world)];
  return new Set(all.flatMap(({ id }, i) => (ids.has(id) ? [i] : [])));
}

/** A clearance found, described: what it is from, and which part of the boat; null where nothing was found. */
export function described(found: Clearance, state: SimState, world: World): LeastClearance | null {
  const name = nameOfThing(world, found.obstacle);
  if (name === null) return null;
  const { length, beam } = world.craft.spec.hull;
  return {
    time: state.time,
    distance: found.distance,
    name,
    part: hullPart(found.x, found.y, length, beam),
    ...pointOnWater(state, found.x, found.y),
  };
}
