import { shelterShare } from '@/core/air';
import { pan, type Camera, type View } from './camera';
import { windShelter } from './wind-shelter';

const view = { width: 800, height: 600 };
const camera: Camera = { x: 0, y: 0, scale: 4, up: 0 };
/** The way back from the screen. */
const toWorld = (c: Camera, v: View, px: number, py: number): [number, number] => [
  c.x + (px - v.width / 2) / c.scale,
  c.y - (py - v.height / 2) / c.scale,
];
/** A shed 6 m high and 30 m long across a northerly, 20 m north of the middle. */
const shed = {
  outline: Float64Array.of(-15, 20, 15, 20, 15, 26, -15, 26),
  height: 6,
  porosity: 0,
};

describe('where the wind is kept off', () => {
  it('is drawn to leeward only, along the wind, as long as the share that is left', () => {
    const strokes = windShelter([shed], 0, 1.5, camera, view);
    expect(strokes.length).toBeGreaterThan(4);
    for (const { x, y, dx, dy, share } of strokes) {
      const [east, north] = toWorld(camera, view, x, y);
      expect(north).toBeLessThanOrEqual(26);
      expect(share).toBeCloseTo(shelterShare([shed], east, north, 0, -1, 1.5), 9);
      expect(dx).toBeCloseTo(0, 9);
      // Down the screen, as the wind goes.
      expect(dy).toBeCloseTo(Math.max(3, 22 * share), 9);
      expect(share).toBeLessThanOrEqual(0.9);
    }
  });

  it('turns with the wind, and is nothing without anything in its way', () => {
    const west = windShelter([shed], (3 * Math.PI) / 2, 1.5, camera, view);
    for (const { x, y, dx } of west) {
      const [east] = toWorld(camera, view, x, y);
      expect(east).toBeGreaterThanOrEqual(-15);
      expect(dx).toBeGreaterThan(0);
    }
    expect(windShelter([], 0, 1.5, camera, view)).toEqual([]);
  });

  it('stays on the ground as the view is moved', () => {
    const at = (c: Camera, by: number) =>
      windShelter([shed], 0, 1.5, c, view).map(
        ({ x, y }) => `${Math.round(x - by)} ${Math.round(y)}`,
      );
    const moved = new Set(at(pan(camera, 12, 0), 12));
    const here = at(camera, 0);
    expect(here.filter((one) => moved.has(one)).length).toBeGreaterThan(0.8 * here.length);
  });
});
