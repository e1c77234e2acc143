import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import { bisect, bisected, rootBetween } from './';

const SEEKING = { rounds: 60, close: 1e-10, instant: 0 };

describe('a root between two ends', () => {
  it('is found of curves of any bend, at or just over nought', () => {
    fc.assert(
      fc.property(between(-2, 2), between(0.2, 6), between(0.1, 4), (at, steep, bend) => {
        const f = (x: number) => steep * (x - at) + bend * (x - at) * (x - at) * (x - at);
        const root = rootBetween(f, -3, f(-3), 3, f(3), SEEKING);
        expect(Math.abs(root - at)).toBeLessThan(1e-6);
        expect(f(root)).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 100 },
    );
  });

  it('where it jumps, is the first place past the jump', () => {
    const f = (x: number) => (x < 0.7312 ? -1 : 1);
    const root = rootBetween(f, 0, -1, 1, 1, { rounds: 60, close: 1e-9, instant: 1e-9 });
    expect(root).toBeGreaterThanOrEqual(0.7312);
    expect(root - 0.7312).toBeLessThan(2e-9);
  });

  it('no more rounds are gone than asked for', () => {
    let asked = 0;
    const f = (x: number) => {
      asked += 1;
      return x - 0.123;
    };
    rootBetween((x) => f(x) * f(x) * f(x), 0, -1, 9, 700, { rounds: 5, close: 1e-12, instant: 0 });
    expect(asked).toBeLessThanOrEqual(15);
  });
});

describe('a span halved', () => {
  it('closes in on where a yes turns to a no, from both sides', () => {
    fc.assert(
      fc.property(between(-2, 5), (at) => {
        const { low, high } = bisect((x) => x < at, -3, 6, 20);
        expect(low).toBeLessThan(at);
        expect(high).toBeGreaterThanOrEqual(at);
        expect(high - low).toBeCloseTo(9 / 2 ** 20, 12);
        expect(bisected((x) => x < at, -3, 6, 60)).toBeCloseTo(at, 12);
      }),
    );
  });

  it('with no round gone is the span itself, and asks nothing', () => {
    const ask = jest.fn(() => true);
    expect(bisect(ask, 1, 2, 0)).toEqual({ low: 1, high: 2 });
    expect(ask).not.toHaveBeenCalled();
  });
});
