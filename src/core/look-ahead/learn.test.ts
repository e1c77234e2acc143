import { G, GUESS_SIZE, type Weathering } from './guess';
import { felt, learn, LEARNT } from './learn';

const SINCE_S = 1.25;
const told: Weathering = { windFrom: 1, east: 0.2, north: -0.1, besides: new Float64Array(3) };

/** Learns for so many looks from the same that came otherwise than expected. */
function learnt(looks: number, otherwise: Partial<Record<keyof typeof G, number>>) {
  const found = new Float64Array(LEARNT);
  const expected = new Float64Array(GUESS_SIZE);
  const seen = new Float64Array(GUESS_SIZE);
  for (const [name, by] of Object.entries(otherwise)) seen[G[name as keyof typeof G]] = by;
  for (let k = 0; k < looks; k++) learn(found, seen, expected, SINCE_S);
  return found;
}

describe('what is learnt of a boat as it is worked', () => {
  it('is nothing where all comes as expected', () => {
    const found = learnt(9, {});
    expect([...found]).toEqual([0, 0, 0, 0, 0]);
    expect(felt(told, found)).toMatchObject({ east: 0.2, north: -0.1, windFrom: 1 });
  });

  it('is a set over the ground where the boat comes out beside what was expected', () => {
    const once = felt(told, learnt(1, { X: 0.1 * SINCE_S }));
    expect(once.east).toBeCloseTo(0.2 + 0.04, 9);
    expect(once.north).toBe(-0.1);
    // What is left of the error goes on being learnt: all of it in the end.
    const found = new Float64Array(LEARNT);
    const [seen, expected] = [new Float64Array(GUESS_SIZE), new Float64Array(GUESS_SIZE)];
    for (let k = 0; k < 30; k++) {
      seen[G.Y] = 0.1 * SINCE_S;
      expected[G.Y] = found[4]! * SINCE_S;
      learn(found, seen, expected, SINCE_S);
    }
    expect(felt(told, found).north).toBeCloseTo(0, 3);
  });

  it('lets a gust pass and keeps a current', () => {
    const found = learnt(3, { U: 0.05, X: 0.1 });
    const [gust, set] = [found[0]!, found[3]!];
    const same = new Float64Array(GUESS_SIZE);
    for (let k = 0; k < 10; k++) learn(found, same, same, SINCE_S);
    expect(found[0]!).toBeLessThan(0.4 * gust);
    expect(found[3]!).toBe(set);
  });

  it('never puts more down to wind and current than there may be', () => {
    const found = learnt(50, { U: 9, V: -9, R: 9, X: 9, Y: -9 });
    expect(found[0]).toBe(0.08);
    expect(found[1]).toBe(-0.08);
    expect(found[2]).toBe(0.05);
    expect(found[3]).toBe(0.4);
    expect(found[4]).toBe(-0.4);
  });
});
