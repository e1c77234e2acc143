import { assembleCraft } from '../boat';
import type { RunInput } from '../plan';
import { sloop } from '../testing/boats';
import { stepOf, box, inputOf, mirrored } from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { fenderHeight } from './fenders';
import { firstLines, type FirstLine } from './first-line';
import { sidesOf } from './which-side';

const DEG = Math.PI / 180;
const quay = box('quay', -60, 4, 60, 20);

/** A sloop that comes to lie heading east with a quay to port, in a wind. */
function lying(from: number, speed: number, rest: Partial<RunInput> = {}): RunInput {
  const half = sloop().hull.beam / 2;
  return inputOf(
    [stepOf({ is: 'start' }, [])],
    { is: 'after', time: 1 },
    {
      obstacles: [quay],
      berth: new Set(['quay']),
      start: { x: -40, y: -10, heading: 90 * DEG, speed: 0 },
      goal: {
        is: 'lie',
        point: { name: 'port midship cleat', x: 0, y: -half },
        mark: { name: 'ring', x: 0, y: 4 },
        within: 2,
        heading: 90 * DEG,
        headingWithin: 0.2,
        speedBelow: 0.3,
      },
      weather: { ...CALM, windFrom: from * DEG, windSpeed: speed },
      ...rest,
    },
  );
}

const found = (input: RunInput, line: FirstLine) =>
  firstLines(input).find((held) => held.line === line)!;

describe('the first line', () => {
  it('matters little in a calm', () => {
    for (const line of ['stern line', 'bow line', 'breast line'] as const)
      expect(found(lying(0, 0), line)).toMatchObject({ off: expect.any(Number) });
    expect(found(lying(0, 0), 'breast line').off).toBeLessThan(0.1);
  });

  it('has to do more the harder the wind blows her off', () => {
    const off = (speed: number) => found(lying(0, speed), 'stern line').off;
    expect(off(3)).toBeGreaterThan(0.3);
    expect(off(6)).toBeGreaterThan(off(3));
  });

  it('is the one on the end that the wind comes from', () => {
    const ahead = lying(75, 9);
    const astern = lying(285, 9);
    expect(found(ahead, 'bow line').along).toBeLessThan(found(ahead, 'stern line').along);
    // Led forward it is taut before the boat has gone far.
    expect(found(ahead, 'bow line').along).toBeLessThan(0.6);
    expect(found(astern, 'stern line').along).toBeLessThan(found(astern, 'bow line').along);
  });

  it('pressed on she stays whichever it is, and mirrored it is the same', () => {
    const pressed = lying(180, 6);
    expect(found(pressed, 'stern line').off).toBeLessThan(0.8);
    const one = firstLines(lying(30, 6));
    const other = firstLines(mirrored(lying(30, 6)));
    expect(other.map(({ line }) => line)).toEqual(one.map(({ line }) => line));
    other.forEach((held, i) => expect(held.off).toBeCloseTo(one[i]!.off, 4));
  });

  it('is looked for where she lies when she is to go off, and nowhere without a berth', () => {
    const off = lying(0, 4, {
      goal: { is: 'clear', distance: 3 },
      start: { x: 0, y: 2.1, heading: 90 * DEG, speed: 0 },
    });
    expect(firstLines(off)).toHaveLength(4);
    expect(firstLines(lying(0, 4, { berth: new Set() }))).toEqual([]);
  });
});

describe('which side to', () => {
  const headings = { port: 0, starboard: Math.PI };
  const weather = { windFrom: 0, windSpeed: 0, currentSet: 0, currentSpeed: 0 };
  const craft = assembleCraft(sloop());

  it('heads into the current, and into the wind when there is none', () => {
    const current = sidesOf(craft, { ...weather, currentSet: 0, currentSpeed: 1 }, headings);
    expect(current[0]!.side).toBe('starboard');
    const wind = sidesOf(craft, { ...weather, windFrom: Math.PI, windSpeed: 12 }, headings);
    expect(wind[0]!.side).toBe('starboard');
    expect(wind[0]!.windAhead).toBeCloseTo(12, 9);
  });

  it('in still air takes the side her stern walks to, by the hand of her propeller', () => {
    const right = sidesOf(craft, weather, headings);
    const spec = sloop();
    const left = sidesOf(
      assembleCraft({
        ...spec,
        drives: spec.drives.map((d) => ({ ...d, hand: d.hand === 1 ? -1 : 1 })),
      }),
      weather,
      headings,
    );
    expect(right[0]!.sternIn).toBeGreaterThan(0);
    expect(left[0]!.side).not.toBe(right[0]!.side);
  });
});

describe('fenders', () => {
  it('cover the lower of deck and berth', () => {
    expect(fenderHeight(0.4, 1.2, 0.6)).toEqual({
      middle: 0.4 - 0.1,
      by: 'berth',
      edgeAboveDeck: false,
    });
    const high = fenderHeight(2.5, 1.2, 0.6);
    expect(high).toMatchObject({ by: 'deck', edgeAboveDeck: true });
    expect(high.middle).toBeCloseTo(1.1, 12);
    expect(fenderHeight(0, 1, 0.6).middle).toBe(0);
  });
});
