import { atan2, cos, sin } from '../math';
import { LET_GO_FOR_S, ENDS_COMPARED_S, ENDS_TOGETHER } from '../policy';
import { Rollout, letGo, type Surroundings } from '../search';
import { PSI, Simulation, windAt, type SimState, type World } from '../simulation';

/** Along the boat and across it: ahead and to starboard. */
export interface OnHer {
  readonly ahead: number;
  readonly starboard: number;
}

export const sizeOf = ({ ahead, starboard }: OnHer): number =>
  Math.sqrt(ahead * ahead + starboard * starboard);

/** What wind and current do to the boat lying somewhere. SI, radians. */
export interface EnvironmentForce {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
  /** The way the air goes at 10 m, and the water, m/s. */
  readonly wind: OnHer;
  readonly current: OnHer;
  /** What it takes to hold the boat still over ground, the other way round, N; and the part that is wind's. */
  readonly force: OnHer;
  readonly windForce: OnHer;
}

/** What becomes of the boat with engines in neutral, let go at rest over ground. */
export interface DriftFrom {
  /** After half a minute: speed over ground, m/s, and the way the boat goes, rad. */
  readonly speed: number;
  readonly towards: number;
  /** The boat's heading then, less the one it began on, rad. */
  readonly turned: number;
  /** The end that is blown away first; neither if the boat goes bodily. */
  readonly first: 'bow' | 'stern' | 'neither';
}

function onHer(heading: number, east: number, north: number): OnHer {
  const s = sin(heading);
  const c = cos(heading);
  return { ahead: east * s + north * c, starboard: east * c - north * s };
}

/** Force on the boat as it is, N in body axes, and the water's own velocity along and across it, m/s. */
function forceOn(world: World, state: SimState): { force: OnHer; current: OnHer } {
  const now = new Simulation(world, state);
  now.warmUp();
  const { currentU, currentV } = now.vessel.scratch;
  const { currentEast, currentNorth } = world.environment;
  const reference = onHer(state.motion[PSI]!, currentEast, currentNorth);
  const mean = (values: Float64Array) => values.reduce((sum, v) => sum + v, 0) / values.length;
  return {
    force: { ahead: now.force[0]!, starboard: now.force[1]! },
    current: {
      ahead: reference.ahead + mean(currentU),
      starboard: reference.starboard + mean(currentV),
    },
  };
}

/** The world with its air at rest over the moving water. */
function windless(world: World): World {
  const { environment } = world;
  const still = { ...environment, windSpeed: 0, windStrength: null, gusts: null, steadyWind: true };
  return { ...world, environment: still };
}

/** @param open the water with nothing on it to touch (openWaterOf) */
export function pushAt(
  open: Surroundings,
  x: number,
  y: number,
  heading: number,
  time: number,
): EnvironmentForce {
  const { world } = open;
  const state = open.stillAt(x, y, heading, time);
  const whole = forceOn(world, state);
  const calm = forceOn(windless(world), state);
  const wind = new Float64Array(2);
  windAt(wind, world.environment, time);
  return {
    x,
    y,
    heading,
    wind: onHer(heading, -wind[1]! * sin(wind[0]!), -wind[1]! * cos(wind[0]!)),
    current: whole.current,
    force: whole.force,
    windForce: {
      ahead: whole.force.ahead - calm.force.ahead,
      starboard: whole.force.starboard - calm.force.starboard,
    },
  };
}

/** Lets the boat go at rest over ground, engines in neutral, with nothing in the way. */
export function letGoAt(
  open: Surroundings,
  x: number,
  y: number,
  heading: number,
  time: number,
): DriftFrom {
  const rollout = new Rollout(open, open.stillAt(x, y, heading, time));
  letGo(rollout);
  rollout.until(() => false, ENDS_COMPARED_S);
  const first = endThatGoes(rollout, x, y, heading);
  rollout.until(() => false, LET_GO_FOR_S - ENDS_COMPARED_S - 2);
  const x0 = rollout.x;
  const y0 = rollout.y;
  rollout.until(() => false, 2);
  const dx = (rollout.x - x0) / 2;
  const dy = (rollout.y - y0) / 2;
  return {
    speed: Math.sqrt(dx * dx + dy * dy),
    towards: Math.PI / 2 - atan2(dy, dx),
    turned: rollout.heading - heading,
    first,
  };
}

function endThatGoes(rollout: Rollout, x: number, y: number, heading: number): DriftFrom['first'] {
  const dx = rollout.x - x;
  const dy = rollout.y - y;
  const way = Math.sqrt(dx * dx + dy * dy);
  if (way === 0) return 'neither';
  // Ends move by ±½ L with the turning of the boat's axis; along the drift the bow's share is what counts.
  const ex = sin(rollout.heading) - sin(heading);
  const ey = cos(rollout.heading) - cos(heading);
  const lead = (ex * dx + ey * dy) / way;
  if (Math.abs(lead) < ENDS_TOGETHER) return 'neither';
  return lead > 0 ? 'bow' : 'stern';
}
