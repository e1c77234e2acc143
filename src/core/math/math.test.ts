import fc from 'fast-check';
import { between, betweenPowers } from '../testing/arbitrary';
import { atan2, cos, crossesItself, exp, log, nearestOnPolygon, power, sin } from './';
import { wrapHalfTurn, wrapTurn } from './';

const angle = between(-1e4, 1e4);

describe('elementary functions that are the same in every engine', () => {
  it('sine and cosine agree with the platform to the last few bits', () => {
    fc.assert(
      fc.property(angle, (x) => {
        expect(Math.abs(sin(x) - Math.sin(x))).toBeLessThan(1e-15);
        expect(Math.abs(cos(x) - Math.cos(x))).toBeLessThan(1e-15);
      }),
    );
  });

  it('sine is odd and cosine even, bit for bit, so that port mirrors starboard', () => {
    fc.assert(
      fc.property(angle, (x) => {
        expect(sin(-x) + sin(x)).toBe(0);
        expect(cos(-x)).toBe(cos(x));
      }),
    );
  });

  it('exp, log, power and atan2 agree with the platform', () => {
    const positive = betweenPowers(1e-12, 1e12);
    const small = between(-50, 50);
    fc.assert(
      fc.property(positive, small, small, (p, x, y) => {
        expect(exp(x) / Math.exp(x)).toBeCloseTo(1, 13);
        expect(log(p)).toBeCloseTo(Math.log(p), 12);
        expect(power(p, 0.11) / Math.pow(p, 0.11)).toBeCloseTo(1, 12);
        // Here a nought has no sign, and the null vector's direction is 0.
        const [x0, y0] = [x + 0, y + 0];
        if (x0 !== 0 || y0 !== 0) expect(atan2(y, x)).toBeCloseTo(Math.atan2(y0, x0), 14);
      }),
      { examples: [[1e-12, -5e-324, -0]], numRuns: 500 },
    );
  });

  it('holds at the edges', () => {
    expect([exp(-800), exp(800), exp(0)]).toEqual([0, Infinity, 1]);
    expect([log(0), log(1)]).toEqual([-Infinity, 0]);
    expect(log(-1)).toBeNaN();
    expect(atan2(0, -1)).toBeCloseTo(Math.PI, 15);
    expect(atan2(-1, 0)).toBeCloseTo(-Math.PI / 2, 15);
  });
});

describe('wrapping', () => {
  it('keeps the direction and the range', () => {
    fc.assert(
      fc.property(angle, (x) => {
        const full = wrapTurn(x);
        const half = wrapHalfTurn(x);
        expect(full >= 0 && full < 2 * Math.PI).toBe(true);
        expect(half >= -Math.PI && half < Math.PI).toBe(true);
        expect(Math.cos(full - x)).toBeCloseTo(1, 9);
        expect(Math.cos(half - x)).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('polygons', () => {
  const square = Float64Array.from([0, 0, 4, 0, 4, 4, 0, 4]);
  const near = { x: 0, y: 0, distance: 0 };

  it('measures from outside and, negatively, from inside', () => {
    nearestOnPolygon(near, square, 6, 2);
    expect(near).toEqual({ x: 4, y: 2, distance: 2 });
    nearestOnPolygon(near, square, 1, 2);
    expect(near).toEqual({ x: 0, y: 2, distance: -1 });
    nearestOnPolygon(near, square, 7, 8);
    expect(near.distance).toBe(5);
  });

  it('knows an outline that crosses itself', () => {
    expect(crossesItself(square)).toBe(false);
    expect(crossesItself(Float64Array.from([0, 0, 4, 4, 4, 0, 0, 4]))).toBe(true);
  });
});
