import { fleetCraft } from '@/document/testing/fleet';
import { obstacleSetOf } from '../holding';
import { box } from '../testing/boxes';
import { CALM } from '../testing/rig';
import { lookAhead, type Choice } from './bursts';
import { G, GUESS_SIZE } from './guess';
import { outlookFor, type Aim } from './outlook';

const craft = fleetCraft('quince');
const { length } = craft.spec.hull;
const manner = { thrusters: false, most: 1, late: 0.9 };

/** A slip with fingers a metre off either side, open to the south, its head along y = 0. */
const slip = obstacleSetOf([
  box('head', -10, 0, 10, 2),
  box('port finger', -5, -length, -3, 0),
  box('starboard finger', 3, -length, 5, 0),
]);
const lying: Aim = {
  is: 'lie',
  point: { x: 0, y: 0 },
  mark: { x: 0, y: -length / 2 - 0.8 },
  within: 1.5,
  heading: 0,
  headingWithin: 0.2,
};

/** Midships so far off the head of the slip with the bow, going so fast. */
const inSlip = (off: number, speed: number) => {
  const now = new Float64Array(GUESS_SIZE);
  now[G.Y] = -length / 2 - off;
  now[G.U] = speed;
  return now;
};

describe('looking ahead', () => {
  const start = { x: 0, y: -40, heading: 0, speed: 0.5 };
  const { prospect, weathering } = outlookFor({ craft, weather: CALM, start }, slip, lying, manner);
  const wayChosen = (now: Float64Array, before: Choice | null = null) =>
    prospect.feel.levers[lookAhead(prospect, weathering, now, before).levers]!.way;

  it('sees what the bow comes to, however near the sides are all along', () => {
    expect(wayChosen(inSlip(3, 0.5))).toBe(-1);
    expect(wayChosen(inSlip(4, 0.5))).toBe(-1);
  });

  it('does not stop for the sides alone', () => {
    expect(wayChosen(inSlip(7, 0.3))).not.toBe(-1);
  });

  it('goes on where it hardly goes any more and there is far to go', () => {
    const coasting = { levers: 0, wheel: 0, cost: 0 };
    expect(wayChosen(inSlip(15, 0.2), coasting)).toBe(1);
  });
});

describe('the way to a goal in a current', () => {
  const quay = obstacleSetOf([box('quay', -40, 0, 40, 4)]);
  // Setting west along the quay, with the bow to be into it.
  const weather = { ...CALM, currentSet: -Math.PI / 2, currentSpeed: 0.6 };
  const start = { x: -20, y: -6, heading: Math.PI / 2, speed: 0.8 };
  const aim: Aim = { ...lying, mark: { x: 0, y: -2.6 }, heading: Math.PI / 2 };
  const { prospect } = outlookFor({ craft, weather, start }, quay, aim, manner);
  const way = (x: number) => prospect.ways.seconds(x, -4, Math.PI / 2, 0);

  it('drops back with it from before the berth, without going astern or round', () => {
    // Six metres at what the current sets it, and in.
    expect(way(6)).toBeLessThan(33);
    expect(way(-6)).toBeLessThan(30);
  });
});
