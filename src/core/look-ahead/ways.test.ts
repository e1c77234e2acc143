import { fleetCraft } from '@/document/testing/fleet';
import { obstacleSetOf, pileObstacle } from '../holding';
import { Random } from '../math';
import { roomAt } from '../search';
import { box } from '../testing/boxes';
import { CALM } from '../testing/rig';
import { distanceAt, fieldOf, roomOf, roundTheDeck } from './field';
import { outlookFor, type Aim } from './outlook';
import { NO_WAY_S } from './grid';

const TIMBER = { friction: 0.35, stiffness: 1e6 };
const shore = obstacleSetOf([
  box('quay', -30, 0, 30, 4),
  box('finger', 6, -9, 7, 0),
  pileObstacle('pile', 'pile', -8, -12, 0.2, TIMBER),
]);
const reach = { west: -40, south: -40, east: 40, north: 10 };
const field = fieldOf(shore, reach, 0.25);

describe('room all over a place', () => {
  it('is what it is from the nearest thing, negative inside it', () => {
    expect(distanceAt(field, 0, -10)).toBeCloseTo(Math.sqrt(37), 1);
    expect(distanceAt(field, -20, -5)).toBeCloseTo(5, 1);
    expect(distanceAt(field, 0, 2)).toBeCloseTo(-2, 1);
    expect(distanceAt(field, -8, -15)).toBeCloseTo(2.8, 1);
  });

  it('leaves the boat as much as is measured from its outline', () => {
    const craft = fleetCraft('quince');
    const deck = roundTheDeck(craft, 0.5);
    const random = new Random(5);
    for (let i = 0; i < 60; i++) {
      const [x, y, heading] = [
        -25 + 50 * random.uniform(),
        -25 + 15 * random.uniform(),
        6.28 * random.uniform(),
      ] as const;
      const exact = roomAt(craft, shore, new Set(), x, y, heading).distance;
      if (exact < 0) continue;
      expect(Math.abs(roomOf(field, deck, x, y, heading) - exact)).toBeLessThan(0.25);
    }
  });
});

describe('the way to a goal', () => {
  const craft = fleetCraft('quince');
  const told = { craft, weather: CALM, start: { x: -20, y: -16, heading: Math.PI / 2, speed: 1 } };
  const aim: Aim = {
    is: 'lie',
    point: { x: 0, y: 0 },
    mark: { x: 3, y: -6.2 },
    within: 1.5,
    heading: 0,
    headingWithin: 0.2,
  };
  const manner = { thrusters: false, most: 1, late: 0.9 };
  const { prospect } = outlookFor(told, shore, aim, manner);
  const way = (x: number, y: number, heading: number, astern = 0) =>
    prospect.ways.seconds(x, y, heading, astern);

  it('is none where it is met, longer from further off, and none through what stands there', () => {
    expect(way(3, -6.2, 0)).toBeLessThan(2);
    const near = way(3, -12, 0);
    const far = way(3, -22, 0);
    expect(near).toBeGreaterThan(2);
    expect(far).toBeGreaterThan(near + 5);
    expect(far).toBeLessThan(NO_WAY_S / 2);
    expect(way(0, 2, 0)).toBe(NO_WAY_S);
    // Beyond what was looked at it is further, the further off.
    expect(way(500, -20, 0)).toBeGreaterThan(way(100, -20, 0) + 1000);
  });

  it('leads out of where the boat touches on both sides, not of where it is deep in something', () => {
    const half = Math.max(...prospect.deck.filter((_, i) => i % 2 === 1));
    const middle = 3 - 24 * prospect.ways.grid.cell;
    const slip = (room: number) => {
      const fingers = [-1, 1].map((side) =>
        box(
          `finger ${side}`,
          middle + side * (half + room + 1) - 1,
          -14,
          middle + side * (half + room + 1) + 1,
          0,
        ),
      );
      const walls = obstacleSetOf([...fingers, box('quay', -30, 0, 30, 4)]);
      return outlookFor(told, walls, aim, manner).prospect.ways.seconds(middle, -7, 0, 1);
    };
    expect(slip(-0.1)).toBeLessThan(NO_WAY_S / 2);
    expect(slip(-0.1)).toBeGreaterThan(slip(0.5) + 5);
    expect(slip(-0.6)).toBe(NO_WAY_S);
  });

  it('is longer the wrong way round, and going the wrong way', () => {
    expect(way(3, -20, Math.PI)).toBeGreaterThan(way(3, -20, 0) + 10);
    expect(way(3, -20, 0, 1)).toBeGreaterThan(way(3, -20, 0, 0));
  });

  it('is found once for all tries of a manoeuvre, however the boat is worked', () => {
    const waysOf = (...[of, where, what, how]: Parameters<typeof outlookFor>) =>
      outlookFor(of, where, what, how).prospect.ways;
    const { ways } = prospect;
    const again = { ...told, craft: structuredClone(craft) };
    expect(waysOf(again, obstacleSetOf(shore.obstacles), { ...aim }, { ...manner })).toBe(ways);
    expect(waysOf(told, shore, aim, { ...manner, most: 0.5 })).toBe(ways);
    // What the boat has none of, and what else is carried along with an aim.
    expect(craft.spec.thrusters).toEqual([]);
    expect(waysOf(told, shore, aim, { ...manner, thrusters: true })).toBe(ways);
    const goal = { speedBelow: 0.3, ...aim };
    expect(waysOf(told, shore, goal, manner)).toBe(ways);
    expect(waysOf(told, shore, { ...aim, within: 1.4 }, manner)).not.toBe(ways);
    const from = { ...told, start: { ...told.start, x: -21 } };
    expect(waysOf(from, shore, aim, manner)).not.toBe(ways);
  });
});
