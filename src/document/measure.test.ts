import { roomAbout } from './measure';
import type { Place } from './place';

const wall = (id: string, x0: number, y0: number, x1: number, y1: number) => ({
  kind: 'quay' as const,
  id,
  name: id,
  outline_m: [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ] as [number, number][],
});
const place = (features: Place['features']): Place => ({
  $schema: 'yawtrope:place',
  version: 1,
  id: 'aisle',
  name: 'Aisle',
  note: '',
  features,
  berths: [],
});
const aisle = place([
  wall('south', -100, -10, 100, 0),
  wall('north', -100, 18, 100, 30),
  { kind: 'pile', id: 'pile', name: 'pile', x_m: 60, y_m: 9, radius_m: 0.5 },
]);

it('tells the nearest thing, and the narrowest way across', () => {
  const room = roomAbout(aisle, [0, 7]);
  expect(room.nearest).toBe('south');
  expect(room.clear).toBeCloseTo(7, 9);
  expect(room.width!.metres).toBeCloseTo(18, 1);
  expect(room.width!.bearing_deg).toBe(0);
  const near = roomAbout(aisle, [57, 9]);
  expect(near.nearest).toBe('pile');
  expect(near.clear).toBeCloseTo(2.5, 9);
});

it('turned as a whole the width lies the other way, and is as wide', () => {
  const turned = place(
    aisle.features.map((f) =>
      'outline_m' in f
        ? { ...f, outline_m: f.outline_m.map(([x, y]): [number, number] => [y, -x]) }
        : f,
    ),
  );
  const room = roomAbout(turned, [7, 0]);
  expect(room.width!.metres).toBeCloseTo(18, 1);
  expect(room.width!.bearing_deg).toBe(90);
});

it('is nothing in open water, and on land there is none', () => {
  expect(roomAbout(place([]), [0, 0])).toEqual({ clear: null, nearest: null, width: null });
  expect(roomAbout(place([wall('one', 0, 10, 5, 15)]), [0, 0]).width).toBeNull();
  expect(roomAbout(aisle, [0, -4]).clear).toBeLessThan(0);
});
