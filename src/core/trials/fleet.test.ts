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
import { FLEET_IDS, fleetCraft } from '@/document/testing/fleet';
import { CALM } from '../testing/rig';

// What must not depend on where and which way round, for every boat of the fleet: engines ordered one by one, wheel,
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

describe.each(FLEET_IDS)('%s', (id) => {
  const craft = fleetCraft(id);

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

  it('C3 left alone she only loses energy, at every drift angle', () => {
    const { mass } = craft;
    const world = {
      craft,
      obstacles: [],
      environment: environmentFor(craft, { ...CALM, windSpeed: 0 }),
      lines: NO_LINES,
      shore: obstacleSetOf([]),
    };
    // Still air takes energy too; nothing here gives any.
    for (let k = 0; k < 8; k++) {
      const a = (k / 8) * 2 * Math.PI;
      const state = initialState(craft, { x: 0, y: 0, heading: 0, speed: 1.2 * Math.cos(a) });
      state.motion[V] = 1.2 * Math.sin(a);
      state.motion[R] = (1.5 / craft.spec.hull.length) * Math.sin(3 * a);
      const vessel = vesselOf(world, state);
      const energy = () => {
        const [u, v, r] = [state.motion[U]!, state.motion[V]!, state.motion[R]!];
        return 0.5 * (mass.m11 * u * u + mass.m22 * v * v + mass.m33 * r * r) + mass.m23 * v * r;
      };
      let last = energy();
      for (let i = 0; i < 400; i++) {
        timestep(vessel, 0.05);
        const now = energy();
        expect(now).toBeLessThanOrEqual(last * (1 + 1e-12));
        last = now;
      }
    }
  });
});
