import { pileObstacle, solidObstacle, type Obstacle } from '../holding';
import { orderEngine, orderRudder, PSI, R, U, V, X, Y, type Gear } from './';
import { sloop } from '../testing/boats';
import { rig, run, type Rig, type RigOptions } from '../testing/rig';

// Exact checks A1–A4 and A7: what must not depend on where, which way round or how finely one looks.
// They are run through a hard turn with gear changes, as half of the slips hide in a straight run.

type OrderStep = readonly [seconds: number, rudderDegrees: number, gear: Gear, throttle: number];

const HARD: readonly OrderStep[] = [
  [8, 0, 1, 0.6],
  [10, 25, 1, 0.3],
  [8, -35, 0, 0],
  [14, -35, -1, 0.8],
  [10, 20, 1, 0.9],
  [20, 0, 0, 0],
];

function play(r: Rig, orders: readonly OrderStep[], mirror = 1, h = 0.05): number[][] {
  const seen: number[][] = [];
  for (const [seconds, rudder, gear, throttle] of orders) {
    orderRudder(r.state, r.world.craft, (mirror * rudder * Math.PI) / 180);
    orderEngine(r.state.engines[0]!, r.world.craft.spec.drives[0]!, gear, throttle);
    run(r, seconds, () => seen.push([...r.state.motion.slice(0, 6)]), h);
  }
  return seen;
}

const start: RigOptions = { heading: 0.4, weather: { windFrom: 1.1, windSpeed: 7 } };

describe('A1 a steady current only carries the picture along', () => {
  it('track less drift, heading and speeds through the water are the same to 1e-9', () => {
    const east = 0.7;
    const north = -0.4;
    const still = play(rig(sloop(), start), HARD);
    const windE = -7 * Math.sin(1.1) + east;
    const windN = -7 * Math.cos(1.1) + north;
    const moved = play(
      rig(sloop(), {
        heading: 0.4,
        weather: {
          windFrom: Math.atan2(-windE, -windN),
          windSpeed: Math.hypot(windE, windN),
          currentSet: Math.atan2(east, north),
          currentSpeed: Math.hypot(east, north),
        },
      }),
      HARD,
    );
    let worst = 0;
    still.forEach((a, i) => {
      const b = moved[i]!;
      const t = (i + 1) * 0.05;
      worst = Math.max(
        worst,
        Math.abs(b[X]! - east * t - a[X]!),
        Math.abs(b[Y]! - north * t - a[Y]!),
        ...[PSI, U, V, R].map((k) => Math.abs(b[k]! - a[k]!)),
      );
    });
    expect(worst).toBeLessThan(1e-9);
    // The run must be worth the name: way on, way off, and a good deal of turning.
    expect(Math.max(...still.map((m) => m[U]!))).toBeGreaterThan(1);
    expect(Math.max(...still.map((m) => Math.abs(m[PSI]! - 0.4)))).toBeGreaterThan(1);
  });
});

function obstaclesFor(mirror: 1 | -1): Obstacle[] {
  const timber = { friction: 0.35, stiffness: 1e6 };
  const wall = [-40, 9, 40, 9, 40, 14, -40, 14];
  const points = wall.map((value, i) => (i % 2 === 0 ? mirror * value : value));
  return [
    solidObstacle('wall', 'wall', Float64Array.from(points), timber),
    pileObstacle('pile', 'pile', mirror * 3.1, 6, 0.15, timber),
  ];
}

describe('A2 port mirrors starboard when the propeller is mirrored too', () => {
  it('mirrors the track to 1e-9, touches with wall and pile included', () => {
    const starboard = play(
      rig(sloop(1), {
        ...start,
        heading: 0.3,
        obstacles: obstaclesFor(1),
      }),
      HARD,
    );
    const port = play(
      rig(sloop(-1), {
        heading: -0.3,
        weather: { windFrom: -1.1, windSpeed: 7 },
        obstacles: obstaclesFor(-1),
      }),
      HARD,
      -1,
    );
    const signs = [-1, 1, -1, 1, -1, -1];
    let worst = 0;
    starboard.forEach((a, i) => {
      a.forEach(
        (value, k) => (worst = Math.max(worst, Math.abs(value - signs[k]! * port[i]![k]!))),
      );
    });
    expect(worst).toBeLessThan(1e-9);
    // The boat did run into the wall: without it it would be far beyond.
    expect(Math.max(...starboard.map((m) => m[Y]!))).toBeLessThan(9);
    expect(starboard.some((m, i) => i > 0 && Math.abs(m[U]! - starboard[i - 1]![U]!) > 0.05)).toBe(
      true,
    );
  });
});

describe('A3 the whole world turned and shifted', () => {
  it('gives the same track turned and shifted, through north too', () => {
    const angle = (137 * Math.PI) / 180;
    const a = play(rig(sloop(), start), HARD);
    const b = play(
      rig(sloop(), {
        x: 100,
        y: -50,
        heading: 0.4 + angle,
        weather: { windFrom: 1.1 + angle, windSpeed: 7 },
      }),
      HARD,
    );
    const worst = Math.max(
      ...a.map((m, i) => {
        const x = m[X]! * Math.cos(angle) + m[Y]! * Math.sin(angle) + 100;
        const y = -m[X]! * Math.sin(angle) + m[Y]! * Math.cos(angle) - 50;
        return Math.max(Math.abs(x - b[i]![X]!), Math.abs(y - b[i]![Y]!));
      }),
    );
    expect(worst).toBeLessThan(1e-9);
  });
});

describe('A4 nothing happens by itself', () => {
  it('stays put without wind, current and thrust', () => {
    const r = rig(sloop(), { heading: 0.4 });
    run(r, 60);
    expect([...r.state.motion.slice(0, 6)]).toEqual([0, 0, 0.4, 0, 0, 0]);
  });

  it('gives the same bits for the same orders', () => {
    expect(play(rig(sloop(), start), HARD)).toEqual(play(rig(sloop(), start), HARD));
  });
});

describe('A7 the step', () => {
  it('converges at fourth order on a smooth run', () => {
    const end = (h: number) => {
      const r = rig(sloop(), { u: 1.5, v: 0.3, r: 0.1, weather: { windFrom: 1, windSpeed: 6 } });
      run(r, 8, undefined, h);
      return r.state.motion[X]!;
    };
    const [coarse, middle, fine] = [0.1, 0.05, 0.025].map(end) as [number, number, number];
    const order = Math.log2(Math.abs(coarse - middle) / Math.abs(middle - fine));
    expect(Math.abs(order - 4)).toBeLessThan(0.2);
  });

  it('moves a hard minute by less than a thousandth of her length when halved', () => {
    const a = play(rig(sloop(), start), HARD).at(-1)!;
    const b = play(rig(sloop(), start), HARD, 1, 0.025).at(-1)!;
    expect(Math.hypot(a[X]! - b[X]!, a[Y]! - b[Y]!)).toBeLessThan(0.01);
  });
});
