import { pileObstacle } from '../holding';
import { box } from '../testing/manoeuvre';
import { roomAbout } from './room-about';

const pile = pileObstacle('pile', 'pile', 60, 9, 0.5, { friction: 0.35, stiffness: 1e6 });
const aisle = [box('south', -100, -10, 100, 0), box('north', -100, 18, 100, 30), pile];

it('tells the nearest thing, and the narrowest way across', () => {
  const room = roomAbout(aisle, 0, 7);
  expect(room.nearest).toBe('south');
  expect(room.clear).toBeCloseTo(7, 9);
  expect(room.width!.metres).toBeCloseTo(18, 1);
  expect(room.width!.bearing).toBe(0);
  const near = roomAbout(aisle, 57, 9);
  expect(near.nearest).toBe('pile');
  expect(near.clear).toBeCloseTo(2.5, 9);
});

it('turned as a whole the width lies the other way, and is as wide', () => {
  const turned = [box('south', -10, -100, 0, 100), box('north', 18, -100, 30, 100)];
  const room = roomAbout(turned, 7, 0);
  expect(room.width!.metres).toBeCloseTo(18, 1);
  expect(room.width!.bearing).toBeCloseTo(Math.PI / 2, 9);
});

it('is nothing in open water, and on land there is none', () => {
  expect(roomAbout([], 0, 0)).toEqual({ clear: null, nearest: null, width: null });
  expect(roomAbout([box('one', 0, 10, 5, 15)], 0, 0).width).toBeNull();
  expect(roomAbout(aisle, 0, -4).clear).toBeLessThan(0);
});
