import { Latest, textOf } from './latest';

describe('what was worked out last', () => {
  it('is worked out once, and again only after others pushed it out', () => {
    const latest = new Latest<number>(2);
    let made = 0;
    const of = (key: string) => latest.of(key, () => (made += 1));
    expect([of('a'), of('b'), of('a')]).toEqual([1, 2, 1]);
    // The one asked for longest ago goes.
    expect([of('c'), of('a'), of('b')]).toEqual([3, 1, 4]);
  });

  it('goes by what a thing says, not by which it is', () => {
    const thing = { one: 1 };
    expect(textOf(thing)).toBe(textOf({ one: 1 }));
    expect(textOf(thing)).not.toBe(textOf({ one: 2 }));
  });
});
