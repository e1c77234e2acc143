import { assembleCraft } from '../boat';
import { addCrossFlow, deepWater, resistance, WORK } from '../forces';
import { NO_LINES, obstacleSetOf } from '../holding';
import { scaled, shifted, track } from '../testing/alike';
import { CALM, rig } from '../testing/rig';
import { nowRow, workRow } from '../testing/rows';
import { bareBody, REFERENCE_HULL, sloop } from '../testing/boats';
import {
  accelerate,
  environmentFor,
  initialState,
  orderEngine,
  orderRudder,
  PSI,
  R,
  timestep,
  vesselOf,
  U,
  V,
  X,
  Y,
} from './';

// Exact checks A5, A6 and B1–B5, E2: reference point, scale, and motions with known solutions.

describe('A5 the point she is described from', () => {
  it('changes nothing about where she goes', () => {
    const boat = sloop();
    const whole = { ...boat, hull: { ...boat.hull, liftArea: 1.1, liftArm: -1.5, liftSpread: 2 } };
    const here = track(assembleCraft(whole), 0);
    const there = track(shifted(whole, 1.3), -1.3);
    const worst = Math.max(
      ...here.map((p, i) => Math.max(...p.map((v, k) => Math.abs(v - there[i]![k]!)))),
    );
    expect(worst).toBeLessThan(1e-7);
    expect(Math.max(...here.map((p) => Math.abs(p[2]! - 0.4)))).toBeGreaterThan(0.8);
  });
});

describe('A6 Froude scaling', () => {
  it('gives the same track ten times as large, in √10 of the time', () => {
    const base = scaled(sloop(), 1);
    const small = track(assembleCraft(base), 0);
    const large = track(assembleCraft(scaled(base, 10)), 0, 10);
    const worst = Math.max(
      ...small.map((p, i) =>
        Math.max(
          Math.abs(10 * p[0]! - large[i]![0]!) / 100,
          Math.abs(10 * p[1]! - large[i]![1]!) / 100,
          Math.abs(p[2]! - large[i]![2]!),
        ),
      ),
    );
    expect(worst).toBeLessThan(1e-9);
  });
});

const DRAG = 55;
/** The reference hull with a surge drag of 55 u|u| N, by the residuary part alone, and cross flow of C_d 1 at 0.8 m. */
const reference = assembleCraft(
  bareBody({
    ...REFERENCE_HULL,
    asternFactor: 1,
    residuaryQuadratic: (DRAG * 9) / 5000,
    crossFlowDrag: 1,
    draughts: Float64Array.from([-4.5, 0.8, 4.5, 0.8]),
  }),
);

/** The core's own hull forces and mass under an outside force, by fourth-order steps. */
function under(
  push: (u: number, v: number, r: number) => readonly [number, number, number],
  start: readonly [number, number, number],
  seconds: number,
  done: (s: Float64Array, t: number) => boolean = () => false,
) {
  const state = new Float64Array(6);
  state.set(start, 3);
  const rates = new Float64Array(6);
  const still = deepWater();
  const f = (s: Float64Array) => {
    const [u, v, r] = [s[U]!, s[V]!, s[R]!];
    const force = Float64Array.from(push(u, v, r));
    const work = workRow({ SURGE: u, YAW: r, DENSITY: 1025 });
    resistance(reference.hull, reference.friction, work);
    force[0]! += work[WORK.FORCE]!;
    work[WORK.SWAY] = v;
    addCrossFlow(force, reference.strips, work);
    accelerate(rates, reference.massRow, still, force, nowRow(u, v, r), null);
    rates[X] = u * Math.sin(s[PSI]!) + v * Math.cos(s[PSI]!);
    rates[Y] = u * Math.cos(s[PSI]!) - v * Math.sin(s[PSI]!);
    rates[PSI] = r;
    return rates.slice();
  };
  const h = 0.01;
  let t = 0;
  while (t < seconds - 1e-9 && !done(state, t)) {
    const k1 = f(state);
    const k2 = f(state.map((v, i) => v + (h / 2) * k1[i]!));
    const k3 = f(state.map((v, i) => v + (h / 2) * k2[i]!));
    const k4 = f(state.map((v, i) => v + h * k3[i]!));
    for (let i = 0; i < 6; i++) state[i]! += (h / 6) * (k1[i]! + 2 * k2[i]! + 2 * k3[i]! + k4[i]!);
    t += h;
  }
  return { state, time: t };
}

describe('B motions with known solutions', () => {
  const none = () => [0, 0, 0] as const;

  it('B1 coasts on quadratic drag', () => {
    const { state } = under(none, [2, 0, 0], 60);
    expect(state[U]! / 0.88607595).toBeCloseTo(1, 5);
    expect(state[Y]! / 77.709526).toBeCloseTo(1, 5);
    const half = under(none, [2, 0, 0], 100, (s) => s[U]! <= 1);
    expect(half.time).toBeCloseTo(47.727, 1);
    expect(half.state[Y]!).toBeCloseTo(66.16, 1);
  });

  it('B2 with a linear part beside it comes to a stop in a known distance', () => {
    const { state } = under((u) => [-20 * u, 0, 0], [2, 0, 0], 60);
    expect(state[U]! / 0.74928217).toBeCloseTo(1, 4);
    expect(state[Y]! / 71.897833).toBeCloseTo(1, 4);
  });

  it('B3 gathers way under a steady thrust', () => {
    const { state } = under(() => [1500, 0, 0], [0, 0, 0], 30);
    expect(state[U]! / 4.8445181).toBeCloseTo(1, 5);
    expect(state[Y]! / 94.022688).toBeCloseTo(1, 5);
  });

  it('B4 stops under a steady thrust astern, and goes on astern', () => {
    const astern = () => [-900, 0, 0] as const;
    const stop = under(astern, [3, 0, 0], 60, (s) => s[U]! <= 0);
    expect(stop.time / 15.057625).toBeCloseTo(1, 3);
    expect(stop.state[Y]! / 20.916713).toBeCloseTo(1, 4);
    const on = under(astern, [0, 0, 0], 25);
    const ua = Math.sqrt(900 / DRAG);
    const tau = 5250 / Math.sqrt(900 * DRAG);
    expect(on.state[U]! / (-ua * Math.tanh(25 / tau))).toBeCloseTo(1, 4);
  });

  it('B5 spins up under a couple without going anywhere', () => {
    const tau = 2.5503069;
    const { state } = under(() => [0, 0, 3000], [0, 0, 0], tau);
    expect((state[R]! * 180) / Math.PI / 8.2433721).toBeCloseTo(1, 2);
    expect(Math.hypot(state[X]!, state[Y]!)).toBeLessThan(1e-9);
    const steady = under(() => [0, 0, 3000], [0, 0, 0], 30).state;
    expect(steady[R]! / 0.18891162).toBeCloseTo(1, 2);
  });
});

describe('E2 a steady turn', () => {
  it('has the radius V/r on the water, and its pivot at −v/r', () => {
    const craft = assembleCraft(sloop());
    const world = {
      craft,
      obstacles: [],
      environment: environmentFor(craft, CALM),
      lines: NO_LINES,
      shore: obstacleSetOf([]),
    };
    const state = initialState(craft, { x: 0, y: 0, heading: 0, speed: 1.2 });
    const vessel = vesselOf(world, state);
    orderRudder(state, craft, 0.35);
    orderEngine(state.engines[0]!, craft.spec.drives[0]!, 1, 0.1);
    for (let i = 0; i < 6000; i++) timestep(vessel, 0.05);
    // Three points of the track give the circle.
    const points: [number, number][] = [];
    for (let k = 0; k < 3; k++) {
      points.push([state.motion[X]!, state.motion[Y]!]);
      for (let i = 0; i < 100; i++) timestep(vessel, 0.05);
    }
    const [[ax, ay], [bx, by], [cx, cy]] = points as [
      [number, number],
      [number, number],
      [number, number],
    ];
    const a = Math.hypot(bx - cx, by - cy);
    const b = Math.hypot(ax - cx, ay - cy);
    const c = Math.hypot(ax - bx, ay - by);
    const area = Math.abs((bx - ax) * (cy - ay) - (cx - ax) * (by - ay)) / 2;
    const radius = (a * b * c) / (4 * area);
    const { motion } = state;
    const V2 = Math.hypot(motion[U]!, motion[V]!);
    expect(radius / (V2 / Math.abs(motion[R]!))).toBeCloseTo(1, 3);
    const beta = Math.atan2(-motion[V]!, motion[U]!);
    expect(-motion[V]! / motion[R]!).toBeCloseTo(radius * Math.sin(beta), 3);
  });
});

describe('a body described from ahead of its centre of gravity', () => {
  it('goes on for ever as it was set going: its centre of gravity in a straight line, turning evenly', () => {
    const xG = -1.2;
    const boat = bareBody({
      ...REFERENCE_HULL,
      xG,
      addedSurge: 0,
      addedSway: 0,
      addedYaw: 0,
      munkFactor: 0,
    });
    const start = { u: 1.5, v: -0.3, r: 0.4 };
    const run = rig(boat, start);
    for (let i = 0; i < 200; i++) timestep(run, 0.05);
    const { motion } = run.state;
    const centre = [
      motion[X]! + xG * Math.sin(motion[PSI]!),
      motion[Y]! + xG * Math.cos(motion[PSI]!),
    ];
    // From (0, x_G), heading north, at (v + x_G r) east and u north for ten seconds.
    expect(centre[0]!).toBeCloseTo(10 * (start.v + xG * start.r), 6);
    expect(centre[1]!).toBeCloseTo(xG + 10 * start.u, 6);
    expect(motion[R]!).toBeCloseTo(start.r, 8);
  });
});
