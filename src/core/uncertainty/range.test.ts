import fc from 'fast-check';
import { Random } from '../math';
import { RANGE_DRAWS, rangeOf, rangesOf } from './';

describe('a range', () => {
  it('lies from the second to the last but one of as many draws as screens are told by', () => {
    const draws = Array.from({ length: RANGE_DRAWS }, (_, i) => i + 1);
    expect(rangeOf(draws)).toEqual({ least: 2, most: RANGE_DRAWS - 1 });
    // Of few, all there is.
    expect(rangeOf([3])).toEqual({ least: 3, most: 3 });
    expect(rangeOf([3, 1])).toEqual({ least: 1, most: 3 });
    expect(rangeOf(Array.from({ length: 29 }, (_, i) => i + 1))!.least).toBeCloseTo(1.5, 12);
  });

  it('holds nine of ten to come, whatever they are spread like', () => {
    const random = new Random(8);
    for (const shape of [
      (u: number) => u,
      (u: number) => u * u * u,
      (u: number) => 1 / (u + 0.01),
    ]) {
      let inside = 0;
      const times = 3000;
      for (let i = 0; i < times; i++) {
        const draw = () => shape(random.uniform());
        const { least, most } = rangeOf(Array.from({ length: RANGE_DRAWS }, draw))!;
        const next = draw();
        if (next >= least && next <= most) inside += 1;
      }
      expect(inside / times).toBeGreaterThan(0.885);
      expect(inside / times).toBeLessThan(0.915);
    }
  });

  it('takes what is never come to as beyond everything', () => {
    const draws = Array.from({ length: RANGE_DRAWS }, (_, i) => (i < 30 ? i : null));
    expect(rangeOf(draws)).toEqual({ least: 1, most: Infinity });
    expect(rangeOf([null, null])).toBeNull();
    expect(rangeOf([])).toBeNull();
  });

  it('scales with its figures and does not mind their order', () => {
    const figures = fc.array(fc.double({ min: -50, max: 50, noNaN: true }), {
      minLength: 1,
      maxLength: 60,
    });
    fc.assert(
      fc.property(figures, fc.double({ min: 0.1, max: 9, noNaN: true }), (values, times) => {
        const { least, most } = rangeOf(values)!;
        expect(least).toBeLessThanOrEqual(most);
        const turned = rangeOf(values.toReversed().map((value) => times * value))!;
        expect(turned.least).toBeCloseTo(times * least, 6);
        expect(turned.most).toBeCloseTo(times * most, 6);
      }),
    );
  });

  it('is made of each figure by its name; a name no draw comes to is left out', () => {
    const ranges = rangesOf([
      { stop: 4, turn: null },
      { stop: 6, turn: null },
      { stop: 5, turn: null },
    ]);
    expect(ranges).toEqual({ stop: { least: 4, most: 6 } });
  });
});
