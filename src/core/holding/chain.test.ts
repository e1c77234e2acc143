import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import {
  anchorHolds,
  catenary,
  chainLength,
  chainReach,
  chainTension,
  lyingLength,
  SPAN,
  SPAN_COLUMNS,
} from './';

const WEIGHT = 12;
const STIFF = 1e12;

/** Tension at the bow, level pull and lift of a chain that reaches so far. */
function pulled(reach: number, length: number, height: number, stiffness = STIFF) {
  const span = new Float64Array(SPAN_COLUMNS);
  span[SPAN.LENGTH] = reach;
  const tension = chainTension(span, length, height, WEIGHT, stiffness);
  return { tension, level: span[SPAN.LEVEL]!, lift: span[SPAN.LIFT]! };
}

describe('an anchor chain', () => {
  it('I7 hangs in a catenary', () => {
    const { length, span } = catenary(1500, 12, 5);
    expect(length / 35.707142).toBeCloseTo(1, 6);
    expect(span / 35.238536).toBeCloseTo(1, 6);
  });

  it('hangs from the bow to the bottom as the catenary says, the rest of it lying there', () => {
    const hung = catenary(1500, WEIGHT, 5);
    const lying = 14;
    const { level, tension, lift } = pulled(hung.span + lying, hung.length + lying, 5);
    expect(level / 1500).toBeCloseTo(1, 6);
    // The weight of what hangs is held too: T = H + wh.
    expect(tension / 1560).toBeCloseTo(1, 6);
    expect(lift).toBe(0);
  });

  it('hangs straight down and pulls nothing until it is out of the vertical', () => {
    expect(pulled(24.9, 30, 5)).toEqual({ level: 0, tension: 60, lift: 0 });
    expect(pulled(25.2, 30, 5).level).toBeGreaterThan(0);
  });

  it('lifted to the anchor, holds its own weight between the two ends and is as long as it is', () => {
    fc.assert(
      fc.property(between(15, 60), between(2, 10), between(0.05, 0.6), (length, height, taut) => {
        const straight = Math.sqrt(length * length - height * height);
        // From where the last link lifts to nearly straight.
        const lifts = chainReach(
          (length * length - height * height) / (2 * height),
          length,
          height,
          WEIGHT,
          STIFF,
        );
        const reach = lifts + taut * (straight - lifts);
        const { level, lift, tension } = pulled(reach, length, height);
        const up = Math.sqrt(tension * tension - level * level);
        expect((up - lift) / (WEIGHT * length)).toBeCloseTo(1, 5);
        // s = (V_bow − V_anchor)/w, and the height from the two tensions: h = (T_bow − T_anchor)/w.
        const atAnchor = Math.sqrt(level * level + lift * lift);
        expect((tension - atAnchor) / WEIGHT / height).toBeCloseTo(1, 4);
      }),
      { numRuns: 80 },
    );
  });

  it('pulls the harder the further it is drawn, without a step where it lifts, and gives no more than it takes', () => {
    fc.assert(
      fc.property(between(15, 60), between(2, 10), (length, height) => {
        const stiffness = 4e6;
        let before = 0;
        const straight = Math.sqrt(length * length - height * height);
        for (let i = 0; i <= 40; i++) {
          const reach = length - height + ((straight - length + height) * i) / 40;
          const { level } = pulled(reach, length, height, stiffness);
          expect(level).toBeGreaterThanOrEqual(before);
          before = level;
        }
        // Past straight only its own stretch gives.
        const over = pulled(straight + 0.05, length, height, stiffness).level;
        expect(over).toBeGreaterThan((0.5 * stiffness * 0.05) / length);
      }),
      { numRuns: 40 },
    );
  });

  it('runs out to the length under which it pulls as hard as it is held', () => {
    const length = chainLength(30 / WEIGHT, 20, 4);
    expect(pulled(20, length, 4).level).toBeCloseTo(30, 6);
    expect(chainReach(30 / WEIGHT, length, 4, WEIGHT, STIFF)).toBeCloseTo(20, 6);
    // With none of it on the bottom too.
    const short = chainLength(30 / WEIGHT, 1, 4);
    expect(pulled(1, short, 4).level).toBeCloseTo(30, 4);
  });
});

it('the shortest chain that does not lift its anchor meets the bottom level', () => {
  for (const [a, height] of [
    [0.1, 5],
    [3, 5],
    [40, 2],
  ] as const) {
    const { length, span } = catenary(a * WEIGHT, WEIGHT, height);
    expect(lyingLength(span, height)).toBeCloseTo(length, 9);
  }
  expect(lyingLength(0, 7)).toBe(7);
});

describe('an anchor', () => {
  it('holds less before it has dug in, and the less the more it is lifted', () => {
    expect(anchorHolds(4000, Infinity, 1000, 0)).toBe(4000);
    expect(anchorHolds(4000, 0, 1000, 0)).toBeCloseTo(1200, 9);
    expect(anchorHolds(4000, 0.75, 1000, 0)).toBeGreaterThan(1200);
    const at = (degrees: number) =>
      anchorHolds(4000, Infinity, 1000, 1000 * Math.tan((degrees * Math.PI) / 180)) / 4000;
    // Three quarters at 5°, half at 15°.
    expect(at(5)).toBeCloseTo(0.74, 2);
    expect(at(15)).toBeCloseTo(0.48, 2);
  });
});
