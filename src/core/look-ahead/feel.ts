import type { Craft } from '../boat';
import { NO_LINES, obstacleSetOf } from '../holding';
import {
  environmentFor,
  PSI,
  R,
  RUN_DOWN_SHARE,
  Simulation,
  TIMESTEP_S,
  U,
  V,
  X,
  Y,
  type Weather,
} from '../simulation';
import { sharesInto } from './grid';
import { putLevers, type Levers } from './levers';

/**
 * Ways through the water the boat is felt at: ahead and to starboard, m/s, and what its ends swing by, m/s; from each to the next what it does goes in a straight line.
 */
export const FELT = {
  ahead: [-1.2, -0.8, -0.5, -0.25, 0, 0.25, 0.5, 0.8, 1.2, 1.7, 2.3],
  aside: [-0.8, -0.4, -0.15, 0, 0.15, 0.4, 0.8],
  swing: [-2, -1, -0.4, 0, 0.4, 1, 2],
} as const;
const PLANE = 3 * FELT.swing.length;
const SHEET = PLANE * FELT.aside.length;
/** Figures of one setting of levers and wheel. */
export const FELT_SIZE = SHEET * FELT.ahead.length;
/** Settings of the wheel that are felt for: hard to port, amidships, hard to starboard. */
export const WHEELS = 3;
/** Directions the wind is felt from, over a turn. */
export const WINDS = 36;

/**
 * How a boat answers, as a person who knows it feels it: surge, sway and yaw accelerations by levers, wheel and way, and by the wind from
 * any side. Taken from the model itself at so many ways, and quick to reckon with.
 */
export interface Feel {
  readonly levers: readonly Levers[];
  /** Of each of the levers, which of them has the engines alone so, and number of the way the thrusters push; nought of that none. */
  readonly engines: readonly number[];
  readonly pushes: readonly number[];
  /** FELT_SIZE figures for each of (3 settings + wheel) without thrusters: surge, sway and yaw by way ahead, aside and swing. */
  readonly by: Float64Array;
  /** The same of what thrusters add, for each way they push. */
  readonly pushed: Float64Array;
  /** What swing is told by: half the boat's length, m. */
  readonly arm: number;
  /** What the wind adds at rest, coming from each of WINDS directions off the bow: three each. */
  readonly wind: Float64Array;
  /** How many settings are felt for: the levers, and what engines that stay in gear do while others change theirs. */
  readonly settings: number;
  /** At (from · settings + to): 0 where the gears stay, 1 where they change, 2 where one of them reverses. */
  readonly shifts: Uint8Array;
  /** At the same: number of the setting until the change is done; nought where every engine is out of gear as long. */
  readonly meanwhile: Uint8Array;
  /** What the shafts turn at each of the settings, 1/s; nought out of gear. */
  readonly turns: readonly number[];
  /** Seconds until a gear takes hold from neutral, and from the other gear; time constants of the shafts running up and down, s. */
  readonly delay: number;
  readonly pause: number;
  readonly comes: number;
  readonly goes: number;
  /** The same of thrusters, and how long one has to stand before it turns the other way, s. */
  readonly pushComes: number;
  readonly pushPause: number;
  /** Wheel from amidships to hard over, s. */
  readonly over: number;
}

/** Number of the way felt at before one; of the last but one beyond them, so that it goes on in the same line. */
function between(felt: readonly number[], way: number): number {
  let i = 0;
  while (i < felt.length - 2 && way >= felt[i + 1]!) i++;
  return i;
}

/** Where a way through the water lies among those felt at: the number of its figure, and shares of the eight round it. */
export function placeOf(
  { arm }: Feel,
  u: number,
  v: number,
  r: number,
  shares: Float64Array,
): number {
  const { ahead, aside, swing } = FELT;
  const w = r * arm;
  const i = between(ahead, u);
  const j = between(aside, v);
  const k = between(swing, w);
  const a = (u - ahead[i]!) / (ahead[i + 1]! - ahead[i]!);
  const b = (v - aside[j]!) / (aside[j + 1]! - aside[j]!);
  const c = (w - swing[k]!) / (swing[k + 1]! - swing[k]!);
  sharesInto(shares, b, a, c);
  return i * SHEET + j * PLANE + 3 * k;
}

/** At rest: the place of its figure, with all of the share. */
export const AT_REST =
  FELT.ahead.indexOf(0) * SHEET + FELT.aside.indexOf(0) * PLANE + 3 * FELT.swing.indexOf(0);

/** Adds a share of the figures at a place. @param at of the figures and place @param rate surge, sway, yaw */
export function addFelt(
  figures: Float64Array,
  at: number,
  shares: Float64Array,
  share: number,
  rate: Float64Array,
): void {
  let surge = 0;
  let sway = 0;
  let yaw = 0;
  for (let n = 0; n < 8; n++) {
    const corner = at + ((n >> 2) & 1) * SHEET + ((n >> 1) & 1) * PLANE + 3 * (n & 1);
    const s = shares[n]!;
    surge += s * figures[corner]!;
    sway += s * figures[corner + 1]!;
    yaw += s * figures[corner + 2]!;
  }
  rate[0]! += share * surge;
  rate[1]! += share * sway;
  rate[2]! += share * yaw;
}

function shiftsOf(levers: readonly Levers[]): Uint8Array {
  const shifts = levers.flatMap(({ gears: from }) =>
    levers.map(({ gears: to }) =>
      from.every((gear, i) => gear === to[i])
        ? 0
        : from.some((gear, i) => gear * to[i]! < 0)
          ? 2
          : 1,
    ),
  );
  return Uint8Array.from(shifts);
}

const alike = (a: Levers, b: Levers): boolean =>
  a.throttle === b.throttle && a.gears.every((gear, i) => gear === b.gears[i]);

/** From some levers to others: the engines whose gear stays, at the new throttle. */
const staying = (from: Levers, to: Levers): Levers => ({
  ...to,
  gears: to.gears.map((gear, i) => (gear === from.gears[i] ? gear : 0)),
});

/** The levers, and behind them what they are in the meantime as they change. */
function settingsOf(levers: readonly Levers[], pushes: readonly number[]): Levers[] {
  const settings = [...levers];
  for (let i = 0; i < settings.length; i++)
    levers.forEach((to, k) => {
      if (pushes[k] !== 0 || pushes[i]) return;
      const stays = staying(settings[i]!, to);
      const driven = stays.gears.some((gear) => gear !== 0);
      const known = settings.slice(levers.length).some((one) => alike(one, stays));
      if (driven && !known) settings.push(stays);
    });
  return settings;
}

function meanwhileOf(settings: readonly Levers[], levers: number): Uint8Array {
  const found = settings.flatMap((from) =>
    settings.map((to) => {
      const stays = staying(from, to);
      return Math.max(
        0,
        settings.findIndex((one, k) => k >= levers && alike(one, stays)),
      );
    }),
  );
  return Uint8Array.from(found);
}

const SETTLES_S = 6;

/** The boat in a weather with nothing near it. */
function afloat(craft: Craft, weather: Weather): Simulation {
  const world = {
    craft,
    obstacles: [],
    environment: environmentFor(craft, weather),
    lines: NO_LINES,
    shore: obstacleSetOf([]),
  };
  return Simulation.at(world, { x: 0, y: 0, heading: 0, speed: 0 });
}

/** Accelerations with levers and wheel once they have settled, at every way felt at, from `figure` on. */
function feelLevers(
  into: Float64Array,
  figure: number,
  simulation: Simulation,
  levers: Levers,
  wheel: number,
): void {
  const { state, vessel, world } = simulation;
  const arm = world.craft.spec.hull.length / 2;
  putLevers(state, world, levers, wheel);
  for (let t = 0; t < SETTLES_S; t += TIMESTEP_S) {
    for (const i of [X, Y, PSI, U, V, R]) state.motion[i] = 0;
    simulation.advance(TIMESTEP_S);
  }
  for (const i of [X, Y, PSI]) state.motion[i] = 0;
  for (const u of FELT.ahead)
    for (const v of FELT.aside)
      for (const w of FELT.swing) {
        state.motion[U] = u;
        state.motion[V] = v;
        state.motion[R] = w / arm;
        simulation.warmUp();
        const slope = vessel.scratch.slopes[0];
        into[figure++] = slope[U]!;
        into[figure++] = slope[V]!;
        into[figure++] = slope[R]!;
      }
}

/** The ways thrusters push, as they stand among the levers. */
function pushesOf(levers: readonly Levers[]): { pushes: number[]; ways: Levers[] } {
  const ways: Levers[] = [];
  const pushes = levers.map((one) => {
    if (one.thrusters.every((power) => power === 0)) return 0;
    const known = ways.findIndex((way) => way.thrusters.every((p, i) => p === one.thrusters[i]));
    return known < 0 ? ways.push({ ...levers[0]!, thrusters: one.thrusters }) : known + 1;
  });
  return { pushes, ways };
}

/** Feels a boat in water of a density, the wind as a weather has it. */
export function feelOf(craft: Craft, weather: Weather, levers: readonly Levers[]): Feel {
  const calm: Weather = {
    windFrom: 0,
    windSpeed: 0,
    currentSet: 0,
    currentSpeed: 0,
    waterDensity: weather.waterDensity,
  };
  const { pushes, ways } = pushesOf(levers);
  const engines = levers.map((one, k) =>
    pushes[k] === 0
      ? k
      : levers.findIndex(
          ({ gears, throttle }, i) =>
            pushes[i] === 0 &&
            throttle === one.throttle &&
            gears.every((gear, n) => gear === one.gears[n]),
        ),
  );
  const settings = settingsOf(levers, pushes);
  const turns = settings.map(() => 0);
  const by = new Float64Array(settings.length * WHEELS * FELT_SIZE);
  settings.forEach((one, k) => {
    if (pushes[k]) return;
    for (let wheel = 0; wheel < WHEELS; wheel++) {
      const simulation = afloat(craft, calm);
      feelLevers(by, (k * WHEELS + wheel) * FELT_SIZE, simulation, one, wheel - 1);
      turns[k] = Math.max(0, ...simulation.state.engines.map(({ rps }) => Math.abs(rps)));
    }
  });
  const pushed = new Float64Array((ways.length + 1) * FELT_SIZE);
  ways.forEach((one, k) => {
    const at = (k + 1) * FELT_SIZE;
    feelLevers(pushed, at, afloat(craft, calm), one, 0);
    // What the hull does by itself is there already.
    for (let i = 0; i < FELT_SIZE; i++) pushed[at + i]! -= by[FELT_SIZE + i]!;
  });
  const wind = new Float64Array(3 * WINDS);
  const { windSpeed } = weather;
  for (let i = 0; i < WINDS; i++) {
    const windFrom = (2 * Math.PI * i) / WINDS;
    const simulation = afloat(craft, { ...calm, windSpeed, windFrom });
    simulation.warmUp();
    const slope = simulation.vessel.scratch.slopes[0];
    for (let j = 0; j < 3; j++) wind[3 * i + j] = slope[U + j]!;
  }
  const [drive] = craft.spec.drives;
  const { thrusters } = craft.spec;
  return {
    levers,
    engines,
    pushes,
    by,
    pushed,
    arm: craft.spec.hull.length / 2,
    wind,
    settings: settings.length,
    shifts: shiftsOf(settings),
    meanwhile: meanwhileOf(settings, levers.length),
    turns,
    delay: drive?.shiftDelay ?? 0,
    pause: drive?.neutralPause ?? 0,
    comes: Math.max(0.1, drive?.response ?? 0),
    goes: Math.max(0.05, RUN_DOWN_SHARE * (drive?.response ?? 0)),
    pushComes: Math.max(0.05, ...thrusters.map(({ response }) => response)),
    pushPause: Math.max(0, ...thrusters.map(({ reverseDelay }) => reverseDelay)),
    over: craft.limits[0]! / craft.spec.steering.rate,
  };
}
