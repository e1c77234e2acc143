import { atan2 } from '../math';
import { assembleCraft, type BoatSpec, type Craft } from '../boat';
import { NO_LINES, obstacleSetOf, solidObstacle, type Obstacle } from '../holding';
import {
  environmentFor,
  initialState,
  orderEngine,
  orderRudder,
  orderThruster,
  PSI,
  R,
  timestep,
  vesselOf,
  U,
  V,
  X,
  Y,
  type Weather,
} from '../simulation';
import { anyBoats } from '@/document/testing/any-boats';
import { scaled, shifted, track } from '../testing/alike';
import { CALM } from '../testing/rig';

// What must not depend on where and which way round, for every boat of the fleet and those drawn through the owner's form: engines ordered one by one, wheel,
// thrusters, joystick; with a wall to touch in the mirror.

interface Options {
  readonly weather?: Partial<Weather>;
  readonly heading?: number;
  readonly obstacles?: readonly Obstacle[];
  readonly mirror?: 1 | -1;
}

function play(craft: Craft, { weather, heading = 0.3, obstacles = [], mirror = 1 }: Options) {
  const world = {
    craft,
    obstacles,
    environment: environmentFor(craft, { ...CALM, ...weather }),
    lines: NO_LINES,
    shore: obstacleSetOf(obstacles),
  };
  const state = initialState(craft, { x: 0, y: 0, heading, speed: 0.8 });
  const vessel = vesselOf(world, state);
  const seen: number[][] = [];
  const { drives, thrusters } = craft.spec;
  // Seen in the mirror the first engine is the last.
  const which = (i: number) => (mirror === 1 ? i : drives.length - 1 - i);
  const phases: [number, number, readonly number[], number][] = [
    [6, 0.2, [1, 1, 1, 1], 0],
    [8, 1, [1, -1, 1, -1], 1],
    [6, -1, [0, 1, -1, 0], -1],
    [8, -0.4, [-1, -1, -1, -1], 0],
  ];
  for (const [seconds, wheel, gears, power] of phases) {
    orderRudder(state, craft, mirror * wheel * craft.limits[0]!);
    drives.forEach((_, i) => {
      const gear = (gears[i] ?? 0) as -1 | 0 | 1;
      orderEngine(state.engines[which(i)]!, drives[which(i)]!, gear, 0.3);
    });
    thrusters.forEach((t, i) => orderThruster(state.thrusters[i]!, t, mirror * power));
    for (let i = 0; i < seconds * 20; i++) {
      timestep(vessel, 0.05);
      seen.push([...state.motion.slice(0, 6)]);
    }
  }
  if (craft.spec.joystick) {
    Object.assign(state.joystick, {
      active: true,
      surge: 0.1,
      sway: mirror * 0.8,
      yaw: mirror * -0.2,
    });
    for (let i = 0; i < 200; i++) {
      timestep(vessel, 0.05);
      seen.push([...state.motion.slice(0, 6)]);
    }
  }
  return seen;
}

/** A boat on calm water, heading 0.3, with so much way on. */
function at(craft: Craft, { speed }: { readonly speed: number }) {
  const world = {
    craft,
    obstacles: [],
    environment: environmentFor(craft, CALM),
    lines: NO_LINES,
    shore: obstacleSetOf([]),
  };
  return vesselOf(world, initialState(craft, { x: 0, y: 0, heading: 0.3, speed }));
}

const WIND = { windFrom: 1.1, windSpeed: 7 };

/** The boat in a mirror: every side and hand the other. Drives stay in their order from port to starboard. */
function mirrored({ spec }: Craft): Craft {
  const flip = <T extends { y: number }>(part: T): T => ({ ...part, y: -part.y });
  const turned: BoatSpec = {
    ...spec,
    foils: spec.foils.map(flip),
    rudders: spec.rudders
      .map((r) => ({
        ...flip(r),
        inRaceOf: r.inRaceOf === null ? null : spec.drives.length - 1 - r.inRaceOf,
      }))
      .reverse(),
    drives: spec.drives
      .map((d) => ({
        ...flip(d),
        leg: d.leg && flip(d.leg),
        hand: d.hand === 1 ? (-1 as const) : (1 as const),
      }))
      .reverse(),
    fenders: spec.fenders.map(flip),
  };
  return assembleCraft(turned);
}

describe.each(anyBoats().map(({ id, craft }) => [id, craft] as const))('%s', (_id, craft) => {
  it('A1 is only carried along by a steady current', () => {
    const [east, north] = [0.7, -0.4];
    const still = play(craft, { weather: WIND });
    const windE = -7 * Math.sin(1.1) + east;
    const windN = -7 * Math.cos(1.1) + north;
    const moved = play(craft, {
      weather: {
        windFrom: atan2(-windE, -windN),
        windSpeed: Math.hypot(windE, windN),
        currentSet: atan2(east, north),
        currentSpeed: Math.hypot(east, north),
      },
    });
    let worst = 0;
    still.forEach((a, i) => {
      const b = moved[i]!;
      const t = (i + 1) * 0.05;
      const gaps = [
        b[X]! - east * t - a[X]!,
        b[Y]! - north * t - a[Y]!,
        ...[PSI, U, V, R].map((k) => b[k]! - a[k]!),
      ];
      worst = Math.max(worst, ...gaps.map(Math.abs));
    });
    expect(worst).toBeLessThan(1e-9);
  });

  it('A2 is her own mirror image, hand and sides mirrored, a wall in the way', () => {
    const wall = (side: number) => {
      const points = [10, -60, 12, -60, 12, 400, 10, 400].map((v, i) =>
        i % 2 === 0 ? side * v : v,
      );
      const surface = { friction: 0.3, stiffness: 1e6 };
      return [solidObstacle('w', 'wall', Float64Array.from(points), surface)];
    };
    const off = craft.spec.hull.length > 40 ? [] : wall(1);
    const there = craft.spec.hull.length > 40 ? [] : wall(-1);
    const starboard = play(craft, { weather: WIND, obstacles: off });
    const port = play(mirrored(craft), {
      weather: { windFrom: -1.1, windSpeed: 7 },
      heading: -0.3,
      obstacles: there,
      mirror: -1,
    });
    const signs = [-1, 1, -1, 1, -1, -1];
    let worst = 0;
    starboard.forEach((a, i) =>
      a.forEach((v, k) => (worst = Math.max(worst, Math.abs(v - signs[k]! * port[i]![k]!)))),
    );
    expect(worst).toBeLessThan(1e-10);
  });

  it('A3 goes the same way in a world turned round', () => {
    const angle = 137 * (Math.PI / 180);
    const here = play(craft, { weather: WIND });
    const there = play(craft, {
      heading: 0.3 + angle,
      weather: { windFrom: 1.1 + angle, windSpeed: 7 },
    });
    let worst = 0;
    here.forEach((a, i) => {
      const x = a[X]! * Math.cos(angle) + a[Y]! * Math.sin(angle);
      const y = -a[X]! * Math.sin(angle) + a[Y]! * Math.cos(angle);
      worst = Math.max(worst, Math.abs(x - there[i]![X]!), Math.abs(y - there[i]![Y]!));
    });
    expect(worst).toBeLessThan(1e-9);
  });

  it('A4 stays put without wind, current and thrust, and gives the same bits again', () => {
    const one = at(craft, { speed: 0 });
    for (let i = 0; i < 200; i++) timestep(one, 0.1);
    expect([...one.state.motion.slice(0, 6)]).toEqual([0, 0, 0.3, 0, 0, 0]);
    expect(play(craft, { weather: WIND })).toEqual(play(craft, { weather: WIND }));
  });

  // A ship by its published derivatives is described from midships alone, and has no law of scale.
  const byParts = craft.spec.hull.derivatives === null && craft.spec.drives.length > 0;
  const itIf = byParts ? it : () => undefined;
  itIf('A5 goes the same way, described from another point', () => {
    const a = 0.13 * craft.spec.hull.length;
    // So finely that nothing cuts the step: how finely it is cut is looked up from the point described.
    const here = track(craft, 0, 1, 0.0125);
    const there = track(shifted(craft.spec, a), -a, 1, 0.0125);
    const gaps = here.flatMap((p, i) => p.map((v, k) => Math.abs(v - there[i]![k]!)));
    expect(Math.max(...gaps) / craft.spec.hull.length).toBeLessThan(1e-7);
  });

  itIf('A6 goes the same way ten times as large, in √10 of the time', () => {
    const base = scaled(craft.spec, 1);
    const small = track(assembleCraft(base), 0);
    const large = track(assembleCraft(scaled(base, 10)), 0, 10);
    const gaps = small.flatMap((p, i) => [
      Math.abs(10 * p[0]! - large[i]![0]!) / (10 * craft.spec.hull.length),
      Math.abs(10 * p[1]! - large[i]![1]!) / (10 * craft.spec.hull.length),
      Math.abs(p[2]! - large[i]![2]!),
    ]);
    expect(Math.max(...gaps)).toBeLessThan(1e-9);
  });

  it('A7 is moved by less than a thousandth of its length when the step is halved', () => {
    const length = craft.spec.hull.length;
    const end = (h: number) => {
      const one = at(craft, { speed: 1.2 });
      one.state.motion[V] = 0.3;
      orderRudder(one.state, craft, 0.5 * craft.limits[0]!);
      craft.spec.drives.forEach((drive, i) => orderEngine(one.state.engines[i]!, drive, 1, 0.4));
      for (let t = 0; t < 20 - 1e-9; t += h) timestep(one, h);
      return one.state.motion;
    };
    const [a, b] = [end(0.1), end(0.05)];
    expect(Math.hypot(a[X]! - b[X]!, a[Y]! - b[Y]!) / length).toBeLessThan(1e-3);
  });

  it('C3 left alone she only loses energy, at every drift angle', () => {
    const { mass } = craft;
    // Still air takes energy too; nothing here gives any.
    for (let k = 0; k < 8; k++) {
      const a = (k / 8) * 2 * Math.PI;
      const vessel = at(craft, { speed: 1.2 * Math.cos(a) });
      const { state } = vessel;
      state.motion[V] = 1.2 * Math.sin(a);
      state.motion[R] = (1.5 / craft.spec.hull.length) * Math.sin(3 * a);
      const energy = () => {
        const [u, v, r] = [state.motion[U]!, state.motion[V]!, state.motion[R]!];
        return 0.5 * (mass.m11 * u * u + mass.m22 * v * v + mass.m33 * r * r) + mass.m23 * v * r;
      };
      let last = energy();
      let gained = 0;
      for (let i = 0; i < 400; i++) {
        timestep(vessel, 0.05);
        const now = energy();
        gained = Math.max(gained, now / last - 1);
        last = now;
      }
      expect(gained).toBeLessThanOrEqual(1e-12);
    }
  });
});
