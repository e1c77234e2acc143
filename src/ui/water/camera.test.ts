import fc from 'fast-check';
import { between } from '@/core/testing/arbitrary';
import {
  fit,
  fromScreen,
  pan,
  toGround,
  toPixels,
  toScreen,
  withHer,
  zoom,
  type Camera,
} from './camera';
import { groundGrid } from './ground-grid';

const view = { width: 932, height: 560 };
const cameras = fc
  .tuple(between(-500, 500), between(-500, 500), between(0.6, 70), between(-7, 7))
  .map(([x, y, scale, up]): Camera => ({ x, y, scale, up }));
const px = between(-2000, 2000);

describe('a plan turned any way', () => {
  it('has the same place under the same pixel, there and back', () => {
    fc.assert(
      fc.property(cameras, px, px, (camera, sx, sy) => {
        const [x, y] = fromScreen(camera, view, sx, sy);
        const [bx, by] = toScreen(camera, view, x, y);
        expect(Math.hypot(bx - sx, by - sy)).toBeLessThan(1e-6);
        const [east, north] = toGround(camera, sx, sy);
        const [right, down] = toPixels(camera, east, north);
        expect(Math.hypot(right - sx, down - sy)).toBeLessThan(1e-6);
        expect(Math.hypot(east, north) * camera.scale).toBeCloseTo(Math.hypot(sx, sy), 6);
      }),
    );
  });

  it('has up what is to be up, and is not mirrored', () => {
    for (const deg of [0, 33, 90, 180, 271]) {
      const up = (deg * Math.PI) / 180;
      const camera: Camera = { x: 0, y: 0, scale: 2, up };
      const [right, down] = toPixels(camera, Math.sin(up), Math.cos(up));
      expect([right, down]).toEqual([expect.closeTo(0, 9), expect.closeTo(-2, 9)]);
      // What lies clockwise of up lies to the right.
      const [aside] = toPixels(camera, Math.sin(up + Math.PI / 2), Math.cos(up + Math.PI / 2));
      expect(aside).toBeCloseTo(2, 9);
    }
  });

  it('goes with the hand, and is zoomed about the pointer', () => {
    fc.assert(
      fc.property(cameras, px, px, between(0.3, 3), (camera, sx, sy, factor) => {
        const [x, y] = fromScreen(camera, view, 100, 50);
        const [mx, my] = toScreen(pan(camera, sx, sy), view, x, y);
        expect(Math.hypot(mx - 100 - sx, my - 50 - sy)).toBeLessThan(1e-6);
        const [zx, zy] = toScreen(zoom(camera, view, factor, 100, 50), view, x, y);
        expect(Math.hypot(zx - 100, zy - 50)).toBeLessThan(1e-6);
        expect(zoom(camera, view, factor, 100, 50).up).toBe(camera.up);
      }),
    );
  });

  it('shows the whole of a box within its margin', () => {
    const box = { minX: -60, minY: -8, maxX: 20, maxY: 45 };
    for (const up of [0, 0.4, 1.2, Math.PI / 2, 3, 5.5]) {
      const camera = fit(box, view, 40, up);
      for (const x of [box.minX, box.maxX]) {
        for (const y of [box.minY, box.maxY]) {
          const [sx, sy] = toScreen(camera, view, x, y);
          expect(sx).toBeGreaterThan(39.9);
          expect(sx).toBeLessThan(view.width - 39.9);
          expect(sy).toBeGreaterThan(39.9);
          expect(sy).toBeLessThan(view.height - 39.9);
        }
      }
    }
  });

  it('keeps the boat’s a little below the middle, whichever way it points', () => {
    fc.assert(
      fc.property(cameras, between(-300, 300), between(-300, 300), (camera, x, y) => {
        const [sx, sy] = toScreen(withHer(camera, view, { x, y }), view, x, y);
        expect(sx).toBeCloseTo(view.width / 2, 6);
        expect(sy).toBeCloseTo(0.62 * view.height, 6);
      }),
    );
  });

  it('has points of the ground all over it, each where it is on the ground', () => {
    for (const up of [0, 0.7, 2.4]) {
      const camera: Camera = { x: 17, y: -4, scale: 9, up };
      const points = groundGrid(camera, view, 50);
      for (const { x, y, px: sx, py: sy } of points) {
        const [bx, by] = toScreen(camera, view, x, y);
        expect(Math.hypot(bx - sx, by - sy)).toBeLessThan(1e-9);
      }
      // Ten metres apart at nine pixels each: nothing is further from one than half a diagonal.
      for (let sx = 0; sx <= view.width; sx += 31) {
        for (let sy = 0; sy <= view.height; sy += 31) {
          const near = Math.min(...points.map((p) => Math.hypot(p.px - sx, p.py - sy)));
          expect(near).toBeLessThan(65);
        }
      }
      const moved = groundGrid(pan(camera, 13, 7), view, 50);
      expect(
        moved.filter((p) => points.some((q) => q.x === p.x && q.y === p.y)).length,
      ).toBeGreaterThan(0.8 * points.length);
    }
  });
});
