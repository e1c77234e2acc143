import { assembleCraft, shapeAt } from './';
import { sloop } from '../testing/boats';

const craft = assembleCraft(sloop());
const { touch, spec } = craft;
const at = (height: number) => shapeAt(spec, touch.deckShape, touch.hullCount, height);
const widest = (ring: Float64Array) => Math.max(...ring.filter((_, i) => i % 2 === 1));
const foremost = (ring: Float64Array) => Math.max(...ring.filter((_, i) => i % 2 === 0));

describe('her side at a height', () => {
  it('is the deck at its edge and over it, the waterline at the water, straight between', () => {
    expect(at(spec.hull.freeboard)).toBe(touch.deckShape);
    expect(at(Infinity)).toBe(touch.deckShape);
    // Of this sloop: 5 m forward and 1.7 m wide on deck, 4.5 and 1.4 on the water.
    expect(foremost(at(0).ring)).toBeCloseTo(4.5, 9);
    expect(widest(at(0).ring)).toBeCloseTo(1.4, 9);
    const half = at(spec.hull.freeboard / 2).ring;
    expect(foremost(half)).toBeCloseTo(4.75, 9);
    expect(widest(half)).toBeCloseTo(1.55, 9);
  });

  it('lies within the deck, mirrored as she is, and its elements on it', () => {
    const { ring, steps, x, y } = at(0.4);
    expect(ring).toHaveLength(touch.deckShape.ring.length);
    for (let i = 0; i < ring.length; i += 2) {
      expect(Math.abs(ring[i]!)).toBeLessThanOrEqual(Math.abs(touch.deckShape.ring[i]!) + 1e-9);
      expect(Math.abs(ring[i + 1]!)).toBeLessThanOrEqual(
        Math.abs(touch.deckShape.ring[i + 1]!) + 1e-9,
      );
      const from = (i + ring.length - 2) % ring.length;
      const step = Math.hypot(ring[i]! - ring[from]!, ring[i + 1]! - ring[from + 1]!);
      expect(steps[i / 2]).toBeCloseTo(step, 12);
    }
    const sum = (values: Float64Array) => values.reduce((a, b) => a + b, 0);
    expect(sum(y.subarray(0, touch.hullCount))).toBeCloseTo(0, 9);
    expect(Math.max(...x.subarray(0, touch.hullCount))).toBeCloseTo(foremost(ring), 9);
  });

  it('has a fender that hangs over its top behind it, out of the way, and one that reaches down not', () => {
    const hung = (height: number) => {
      const fenders = spec.fenders.map((f) => ({ ...f, height }));
      return shapeAt({ ...spec, fenders }, touch.deckShape, touch.hullCount, 0.4);
    };
    const outer = (shape: { readonly y: Float64Array }, i: number) =>
      Math.abs(shape.y[i]!) + touch.radius[i]!;
    const side = at(0.4);
    for (let i = touch.hullCount; i < touch.count; i++) {
      // Sixty centimetres long: from 0.41 m up it is over it, from 0.39 m not.
      expect(outer(hung(0.69), i)).toBeCloseTo(outer(side, i), 9);
      expect(outer(hung(0.71), i)).toBeLessThan(outer(side, i) - 2 * touch.radius[i]! + 1e-9);
    }
  });

  it('takes the fenders in with it, each by as much as the side there', () => {
    const { x, y } = at(0);
    for (let i = touch.hullCount; i < touch.count; i++) {
      expect(x[i]).toBe(touch.x[i]);
      const inward = Math.abs(touch.y[i]!) - Math.abs(y[i]!);
      expect(inward).toBeGreaterThan(0.05);
      expect(inward).toBeLessThan(0.8);
    }
  });
});
