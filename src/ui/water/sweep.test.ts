import { polygonArea, polygonContains } from 'd3-polygon';
import type { Run } from '@/core/plan';
import { deckAt, sweepRings } from './sweep';

/** A box 8 m long and 3 m wide, bow first, clockwise seen from above. */
const DECK = Float64Array.of(4, -1.5, 4, 1.5, -4, 1.5, -4, -1.5);

const runOf = (poses: readonly [number, number, number][]) =>
  ({
    trace: {
      x: Float64Array.from(poses, ([x]) => x),
      y: Float64Array.from(poses, ([, y]) => y),
      heading: Float64Array.from(poses, ([, , heading]) => heading),
    },
  }) as unknown as Run;

describe('water the deck passes over', () => {
  it('is the deck while it lies still', () => {
    const rings = sweepRings(runOf([[5, 6, 0]]), DECK);
    expect(rings).toHaveLength(1);
    expect(Math.abs(polygonArea(rings[0]!))).toBeCloseTo(24, 9);
  });

  it('going straight is a strip as long as the way and the boat', () => {
    const poses = Array.from({ length: 201 }, (_, i): [number, number, number] => [0, i / 10, 0]);
    const rings = sweepRings(runOf(poses), DECK);
    expect(rings.length).toBeLessThan(20);
    for (let north = -3.9; north < 24; north += 0.1)
      expect(rings.some((ring) => polygonContains(ring, [1.4, north]))).toBe(true);
    expect(rings.some((ring) => polygonContains(ring, [1.6, 10]))).toBe(false);
    expect(rings.some((ring) => polygonContains(ring, [0, 24.2]))).toBe(false);
  });

  it('turning on the spot holds every hull between, and winds one way', () => {
    const turn = Array.from({ length: 629 }, (_, i): [number, number, number] => [0, 0, i / 100]);
    const rings = sweepRings(runOf(turn), DECK);
    const ways = new Set(rings.map((ring) => Math.sign(polygonArea(ring))));
    expect(ways.size).toBe(1);
    // A little inside each corner, so that the sagitta of the arc counts as nothing.
    for (const heading of [0.05, 0.77, 2.31, 5.9])
      for (const corner of deckAt(
        DECK.map((v) => 0.995 * v),
        0,
        0,
        heading,
      ))
        expect(rings.some((ring) => polygonContains(ring, corner))).toBe(true);
    expect(rings.some((ring) => polygonContains(ring, [4.4, 0]))).toBe(false);
  });
});
