import { exp } from '../math';
import { openWater } from '../testing/uncertain';
import { aboard, ashore, riggedWith } from '../testing/rigging';
import { runPlan, type Person } from '../plan';
import {
  drawOf,
  NO_SPREAD,
  normal,
  normalQuantile,
  only,
  quantileOf,
  SOURCES,
  spreadFor,
  STANDARD_SPREAD,
  uniform,
  varied,
  without,
} from './';

describe('distributions', () => {
  it('normal quantiles are those of the tables, far out as well', () => {
    const known = [
      [0.5, 0],
      [0.975, 1.959963984540054],
      [0.9, 1.2815515655446004],
      [0.999, 3.090232306167813],
      [1e-10, -6.361340902404056],
    ] as const;
    for (const [p, z] of known) {
      expect(normalQuantile(p)).toBeCloseTo(z, 12);
      if (p > 1e-6) expect(normalQuantile(1 - p)).toBeCloseTo(-z, 9);
    }
  });

  it('a quantile is where the density has gathered that share', () => {
    // Simpson's rule over the density, up to the quantile.
    for (const p of [0.02, 0.3, 0.7, 0.99]) {
      const z = normalQuantile(p);
      const n = 4000;
      const h = (z + 9) / n;
      let sum = 0;
      for (let i = 0; i <= n; i++) {
        const x = -9 + i * h;
        sum += (i === 0 || i === n ? 1 : i % 2 === 1 ? 4 : 2) * exp((-x * x) / 2);
      }
      expect((sum * h) / 3 / Math.sqrt(2 * Math.PI)).toBeCloseTo(p, 9);
    }
  });

  it('never fall with the share, keep their bounds, and are wider for a wider spread', () => {
    const shares = Array.from({ length: 99 }, (_, i) => (i + 1) / 100);
    for (const spread of [normal(1, 0.5, 0), uniform(-2, 3), normal(0, 0)]) {
      const values = shares.map((p) => quantileOf(spread, p));
      expect(values).toEqual(values.toSorted((a, b) => a - b));
    }
    expect(quantileOf(normal(1, 0.5, 0), 0.001)).toBe(0);
    const width = (sd: number) => quantileOf(normal(0, sd), 0.95) - quantileOf(normal(0, sd), 0.05);
    expect(width(0.2)).toBeGreaterThan(width(0.1));
  });
});

describe('draws', () => {
  const many = Array.from({ length: 4000 }, (_, k) => drawOf(STANDARD_SPREAD, 7, k));
  const moments = (values: readonly number[]) => {
    const mean = values.reduce((sum, v) => sum + v / values.length, 0);
    return [mean, Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2 / values.length, 0))];
  };

  it('have the mean and the deviation they are said to have', () => {
    const [thrust, spread] = moments(many.map((draw) => draw.thrust));
    expect(thrust).toBeCloseTo(1, 1);
    expect(spread! / 0.15).toBeCloseTo(1, 1);
    const [along, far] = moments(many.map((draw) => draw.start!.arriving.along));
    expect(Math.abs(along!)).toBeLessThan(0.06);
    expect(far).toBeCloseTo(1, 1);
    const [late, by] = moments(many.flatMap((draw) => [0, 1, 2].map(draw.late)));
    expect(late).toBeCloseTo(0.9, 1);
    expect(by! / (1.2 / Math.sqrt(12))).toBeCloseTo(1, 1);
  });

  it('of one part have nothing to do with those of another', () => {
    const pairs = [
      many.map(({ thrust }) => thrust),
      many.map(({ windSpeed }) => windSpeed),
      many.map(({ hullDrag }) => hullDrag),
      many.map((draw) => draw.start!.arriving.across),
      many.map((draw) => draw.late(1)),
      many.map((draw) => draw.judged(0).distance),
    ];
    for (let a = 0; a < pairs.length; a++)
      for (let b = 0; b < a; b++) {
        const [ma, sa] = moments(pairs[a]!);
        const [mb, sb] = moments(pairs[b]!);
        const together = pairs[a]!.reduce(
          (sum, v, i) => sum + ((v - ma!) * (pairs[b]![i]! - mb!)) / many.length,
          0,
        );
        expect(Math.abs(together / (sa! * sb!))).toBeLessThan(0.06);
      }
  });

  it('are the same for all that is compared: with a part left out the others stay', () => {
    const whole = drawOf(STANDARD_SPREAD, 3, 11);
    const calm = drawOf(without(STANDARD_SPREAD, ['windSpeed', 'thrust']), 3, 11);
    expect(calm).toMatchObject({ windSpeed: 1, thrust: 1 });
    for (const key of ['windFrom', 'current', 'propWalk', 'hullDrag', 'gusts', 'start'] as const)
      expect(calm[key]).toEqual(whole[key]);
    expect([0, 1, 5].map(calm.late)).toEqual([0, 1, 5].map(whole.late));
    const alone = drawOf(only(STANDARD_SPREAD, ['propWalk']), 3, 11);
    expect(alone).toMatchObject({ propWalk: whole.propWalk, thrust: 1, gusts: null, start: null });
    expect(drawOf(STANDARD_SPREAD, 4, 11).thrust).not.toBe(whole.thrust);
  });
});

describe('what is known of a boat or a day', () => {
  it('is drawn by its own deviation, the rest as before', () => {
    const spread = spreadFor(STANDARD_SPREAD, { thrust: 0.03, windFrom: 0.4, windSpeed: 0.3 });
    for (let k = 0; k < 30; k++) {
      const [standard, own] = [drawOf(STANDARD_SPREAD, 9, k), drawOf(spread, 9, k)];
      expect(own.thrust - 1).toBeCloseTo((standard.thrust - 1) / 5, 9);
      expect(own.windFrom / standard.windFrom).toBeCloseTo(0.4 / ((10 * Math.PI) / 180), 9);
      expect(own.propWalk).toBe(standard.propWalk);
      expect(own.windSpeed).toBeGreaterThanOrEqual(0);
    }
    expect(spreadFor(STANDARD_SPREAD, undefined)).toBe(STANDARD_SPREAD);
  });

  it('of a part that lies between two bounds is normal about their middle; what is as told stays so', () => {
    const between = { ...STANDARD_SPREAD, current: uniform(0.5, 2) };
    expect(spreadFor(between, { current: 0.1 }).current).toEqual(normal(1.25, 0.1));
    expect(spreadFor(NO_SPREAD, { current: 0.1, thrust: 0.2 })).toEqual(NO_SPREAD);
  });
});

describe('a manoeuvre varied by a draw', () => {
  const input = openWater();

  it('of no spread is the manoeuvre itself, to the last bit', () => {
    const run = runPlan(varied(input, drawOf(NO_SPREAD, 1, 0)));
    expect(run).toEqual(runPlan(input));
  });

  it('differs in what is drawn, part by part', () => {
    const passing = [{ time: 6, from: 2, height: 0.2, period: 3 }];
    const weather = { ...input.weather, wash: { screws: true, times: 1, passing } };
    const plain = runPlan({ ...input, weather }).trace;
    for (const source of SOURCES) {
      const draw = drawOf(only(STANDARD_SPREAD, [source]), 2, 5);
      const { trace } = runPlan(varied({ ...input, weather }, draw));
      const same = ['x', 'y', 'heading'].every((column) => {
        const [a, b] = [plain, trace].map((t) => t[column as 'x']);
        return a!.length === b!.length && a!.every((v, i) => v === b![i]);
      });
      // There is wind, a current, a wash that passes and nothing to throw or to lock through.
      expect([source, same]).toEqual([source, ['calm', 'lockWater', 'throws'].includes(source)]);
    }
  });

  it('is judged half as far out where somebody at the bow calls how far it is, and nowhere else', () => {
    const draw = drawOf(only(STANDARD_SPREAD, ['judgement']), 1, 4);
    const distance = (people: readonly Person[]) => {
      const { rigging } = riggedWith([], people);
      const { cue } = varied({ ...input, rigging: rigging! }, draw).plan.steps[2]!;
      return cue.is === 'within' ? cue.distance : NaN;
    };
    const alone = distance([]);
    expect(Math.abs(alone - 18)).toBeGreaterThan(0.2);
    expect(distance([aboard('Ines', 4, 0)]) - 18).toBeCloseTo((alone - 18) / 2, 9);
    expect(distance([aboard('Ines', -3, 0)])).toBe(alone);
    expect(distance([ashore('Wharfinger', 4, 0)])).toBe(alone);
  });

  it('a calm comes to a breeze from anywhere; who leaves starts from where the boat lies', () => {
    const still = { ...input, weather: { ...input.weather, windSpeed: 0 } };
    const winds = Array.from({ length: 40 }, (_, k) =>
      varied(still, drawOf(STANDARD_SPREAD, 1, k)),
    );
    expect(Math.max(...winds.map(({ weather }) => weather.windSpeed))).toBeLessThanOrEqual(1);
    expect(new Set(winds.map(({ weather }) => Math.floor(weather.windFrom))).size).toBeGreaterThan(
      4,
    );
    const leaving = { ...input, goal: { is: 'clear', distance: 5 } as const };
    for (let k = 0; k < 20; k++) {
      const { start } = varied(leaving, drawOf(STANDARD_SPREAD, 1, k));
      const { x, y } = input.start;
      // Along the heading, north-east, only.
      expect(start.x - x).toBeCloseTo(start.y - y, 9);
      expect(start.speed).toBe(input.start.speed);
    }
  });
});
