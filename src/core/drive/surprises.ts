import { cos, seriesAt, sin, type Series } from '../math';
import type { RunInput } from '../plan';
import { setCurrent, type SimState, type World } from '../simulation';
import type { ManualController } from './manual-controller';
import { trafficOf, type Surprise } from './types';

/** A gust comes up, and a wind veers, within so many seconds. Judgement from practice. */
const GUST_RISE_S = 2;
const GUST_FALL_S = 3;
const VEER_OVER_S = 5;

/** Two changes with time as one: at every moment that either has, and straight between. */
function both(
  one: Series | undefined,
  two: Series,
  joined: (a: number, b: number) => number,
): Series {
  if (!one) return two;
  const times = [...new Set([...one.times, ...two.times])].sort((a, b) => a - b);
  return {
    times: Float64Array.from(times),
    values: Float64Array.from(times, (t) => joined(seriesAt(one, t), seriesAt(two, t))),
  };
}

/** The manoeuvre in the wind that surprises make of it. */
export function withSurprises(input: RunInput, surprises: readonly Surprise[]): RunInput {
  let { windStrength, windVeer } = input.weather;
  for (const surprise of surprises) {
    const { at } = surprise;
    if (surprise.is === 'gust') {
      const { by, lasts } = surprise;
      const full = at + GUST_RISE_S;
      const times = Float64Array.from([at, full, full + lasts, full + lasts + GUST_FALL_S]);
      const blow = { times, values: Float64Array.from([1, 1 + by, 1 + by, 1]) };
      windStrength = both(windStrength, blow, (a, b) => a * b);
    }
    if (surprise.is === 'veer') {
      const times = Float64Array.from([at, at + VEER_OVER_S]);
      windVeer = both(
        windVeer,
        { times, values: Float64Array.from([0, surprise.by]) },
        (a, b) => a + b,
      );
    }
  }
  // Who has left lies there no more.
  const gone = new Set(trafficOf({ surprises }).map(({ replaces }) => replaces));
  const obstacles =
    gone.size > 0 ? input.obstacles.filter(({ id }) => !gone.has(id)) : input.obstacles;
  const unchanged =
    windStrength === input.weather.windStrength && windVeer === input.weather.windVeer;
  if (unchanged) return obstacles === input.obstacles ? input : { ...input, obstacles };
  const weather = {
    ...input.weather,
    ...(windStrength ? { windStrength } : {}),
    ...(windVeer ? { windVeer } : {}),
  };
  return { ...input, obstacles, weather };
}

/** Moments nearer than this to a step belong to it, s. */
const INSTANT_S = 1e-9;

/** What befalls the boat within the step that begins now; the wind's surprises are in the weather already. */
export class FaultInjector {
  private readonly befallen = new Set<Surprise>();
  private readonly currents: {
    readonly is: Extract<Surprise, { is: 'current' }>;
    from: Current;
  }[] = [];

  constructor(
    private readonly surprises: readonly Surprise[],
    private readonly world: World,
  ) {}

  befall(state: SimState, player: ManualController): void {
    for (const surprise of this.surprises) {
      if (this.befallen.has(surprise) || state.time < surprise.at - INSTANT_S) continue;
      this.befallen.add(surprise);
      this.begin(surprise, state, player);
    }
    for (const { is, from } of this.currents) this.turnCurrent(is, from, state);
  }

  private begin(surprise: Surprise, state: SimState, player: ManualController): void {
    const { crew, dead } = player;
    switch (surprise.is) {
      case 'no astern': {
        const engine = state.engines[surprise.engine];
        if (!engine) return;
        engine.refuses = -1;
        // What is about to take hold does not.
        if (engine.orderedGear === -1 && engine.engaged === 0) engine.engagesIn = Infinity;
        return;
      }
      case 'thruster quits': {
        dead.thrusters.add(surprise.thruster);
        const thruster = state.thrusters[surprise.thruster];
        if (thruster) thruster.ordered = 0;
        return;
      }
      case 'joystick fails':
        player.loseJoystick();
        return;
      case 'line late':
        crew.mishaps.late += surprise.by;
        return;
      case 'line missed':
        crew.mishaps.misses += 1;
        return;
      case 'current': {
        const { currentEast: east, currentNorth: north } = this.world.environment;
        this.currents.push({ is: surprise, from: { east, north } });
        return;
      }
      case 'gust':
      case 'veer':
      case 'traffic':
        return;
    }
  }

  /** A step's worth of the current's turning: straight from what it was to what it comes to be. */
  private turnCurrent(
    { at, over, set, speed }: Extract<Surprise, { is: 'current' }>,
    from: Current,
    state: SimState,
  ): void {
    const share = over > 0 ? Math.min(1, (state.time - at) / over) : 1;
    const { environment } = this.world;
    const east = from.east + share * (speed * sin(set) - from.east);
    const north = from.north + share * (speed * cos(set) - from.north);
    if (east === environment.currentEast && north === environment.currentNorth) return;
    setCurrent(state, this.world, east, north);
  }
}

interface Current {
  readonly east: number;
  readonly north: number;
}
