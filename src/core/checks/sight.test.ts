import { runPlan } from '../plan';
import { EYE_OVER_DECK_M } from '../policy';
import { sloop } from '../testing/boats';
import { stepOf, inputOf } from '../testing/manoeuvre';
import { checkPlan } from './index';
import { hiddenBeyond } from './sight';

const START = { is: 'start' } as const;
const after = (time: number) => ({ is: 'after', time }) as const;
const helmed = (x: number) => {
  const boat = sloop();
  return { ...boat, points: [...boat.points, { name: 'helm', x, y: 0 }] };
};

describe('what the helm cannot see', () => {
  it('is what lies lower than a line over the deck’s edge, by similar triangles', () => {
    const boat = helmed(-3);
    const bow = Math.max(...boat.hull.deck.filter((_, i) => i % 2 === 0));
    const eye = boat.hull.freeboard + EYE_OVER_DECK_M;
    const edge = bow + 3;
    const hidden = (edge * (eye - 0.5)) / EYE_OVER_DECK_M - edge;
    expect(hiddenBeyond(boat, bow + 1, 0)).toBeCloseTo(hidden, 9);
    expect(hiddenBeyond(boat, bow + hidden - 0.01, 0)).toBeCloseTo(hidden, 9);
    expect(hiddenBeyond(boat, bow + hidden + 0.01, 0)).toBeNull();
  });

  it('is less abeam than ahead, and alike to both sides', () => {
    const boat = helmed(-3);
    const half = boat.hull.beam / 2;
    const abeam = hiddenBeyond(boat, -3, half + 0.2)!;
    expect(abeam).toBeGreaterThan(0);
    expect(abeam).toBeLessThan(hiddenBeyond(boat, 6, 0)!);
    expect(hiddenBeyond(boat, -3, -half - 0.2)).toBeCloseTo(abeam, 9);
    expect(hiddenBeyond(boat, -3, half + 6)).toBeNull();
  });

  it('is not asked where no helm is named, nor of what stands aboard', () => {
    expect(hiddenBeyond(sloop(), 6, 0)).toBeNull();
    expect(hiddenBeyond(helmed(-3), 0, 0.3)).toBeNull();
  });

  it('is found for a mark expected right ahead, not for one called out or seen abeam', () => {
    const expecting = (mark: { x: number; y: number }, said: boolean) => {
      const point = { name: 'bow', x: 5, y: 0 };
      const input = inputOf(
        [
          {
            ...stepOf(START, said ? [{ after: 0, order: { do: 'call', text: 'two metres' } }] : []),
            expect: [
              { is: 'near', at: { after: 1 }, point, mark: { name: 'ladder', ...mark }, within: 9 },
            ],
          },
        ],
        after(2),
        { boat: helmed(-3), start: { x: 0, y: 0, heading: 0, speed: 0 } },
      );
      return checkPlan(input, runPlan(input), [true]).filter(
        ({ rule }) => rule === 'unseen from the helm',
      );
    };
    expect(expecting({ x: 0, y: 7 }, false)).toMatchObject([{ step: 0, time: 1, which: 'ladder' }]);
    expect(expecting({ x: 0, y: 7 }, true)).toEqual([]);
    expect(expecting({ x: 8, y: -3 }, false)).toEqual([]);
  });
});
