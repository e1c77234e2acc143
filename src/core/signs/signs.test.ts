import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import { MPS_PER_KNOT } from '../units';
import { pooled, currentByDrift, currentByLine, currentByRunUp, WIND_SIGNS, windBySigns } from './';

it('signs of each kind stand for more and more wind', () => {
  for (const kind of ['flag', 'water', 'smoke'] as const) {
    const knots = WIND_SIGNS.filter(({ is }) => is === kind).map((sign) => sign.knots);
    expect(knots.length).toBeGreaterThan(3);
    expect(knots).toEqual(knots.toSorted((a, b) => a - b));
    expect(new Set(knots).size).toBe(knots.length);
  }
});

it('one sign is its own figure; two that agree are surer, two that do not less', () => {
  const one = windBySigns(['currents'])!;
  expect(one.value / MPS_PER_KNOT).toBeCloseTo(13, 9);
  const agree = windBySigns(['currents', 'white'])!;
  expect(agree.value / MPS_PER_KNOT).toBeGreaterThan(13);
  expect(agree.value / MPS_PER_KNOT).toBeLessThan(15);
  expect(agree.spread).toBeLessThan(one.spread);
  const quarrel = windBySigns(['currents', 'rippled'])!;
  expect(quarrel.spread).toBeGreaterThan(1.5 * agree.spread);
  expect(windBySigns([])).toBeNull();
  expect(windBySigns(['nonsense'])).toBeNull();
});

it('what is put together lies among its readings, and is never surer than a share of itself', () => {
  const reading = fc.record({ value: between(0.1, 20), spread: between(0.1, 5) });
  fc.assert(
    fc.property(fc.array(reading, { minLength: 1, maxLength: 5 }), (readings) => {
      const { value, spread } = pooled(readings)!;
      const values = readings.map((r) => r.value);
      expect(value).toBeGreaterThanOrEqual(Math.min(...values) - 1e-9);
      expect(value).toBeLessThanOrEqual(Math.max(...values) + 1e-9);
      expect(spread).toBeGreaterThanOrEqual(0.08 * value);
    }),
  );
});

it('a current timed, seen at a pile and felt in a line is the same current', () => {
  const v = 0.9;
  expect(currentByDrift(9, 10).value).toBeCloseTo(v, 12);
  expect(currentByDrift(9, 10).spread).toBeLessThan(currentByDrift(1.8, 2).spread);
  // 35 mm before a pile.
  expect(currentByRunUp((0.85 * v * v) / (2 * 9.80665)).value).toBeCloseTo(v, 9);
  expect(currentByRunUp(0).value).toBe(0);
  expect(currentByRunUp(0).spread).toBeGreaterThan(0.1);
  const drag = (speed: number) => 180 * speed * speed;
  expect(currentByLine(drag(v), drag).value).toBeCloseTo(v, 9);
});
