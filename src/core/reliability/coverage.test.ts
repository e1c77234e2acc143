import { fleetCraft } from '@/document/testing/fleet';
import { assembleCraft, type BoatSpec } from '../boat';
import { backAndFill, driftFrom, stopFrom } from '../trials';
import {
  drawOf,
  RANGE_DRAWS,
  rangeOf,
  STANDARD_SPREAD,
  variedBoat,
  type Distribution,
  type Range,
  type Spread,
} from '../uncertainty';
import type { RunInput } from '../plan';
import { sloop } from '../testing/boats';
import { box } from '../testing/boxes';
import { openWater } from '../testing/uncertain';
import { trialOf } from './';

/** Ranges are told by so many draws, in so many cases of their own; as many outcomes of each are looked at. */
const CASES = 40;
const OUTCOMES = 50;

type Outcome = (spread: Spread, seed: number, k: number) => number | null;

/** The share of outcomes that lie in the ranges told before: what happens is drawn from the same spread by other draws. */
function covered(outcome: Outcome): number {
  let inside = 0;
  for (let c = 0; c < CASES; c++) {
    const told = rangeOf(
      Array.from({ length: RANGE_DRAWS }, (_, k) => outcome(STANDARD_SPREAD, 1000 + c, k)),
    )!;
    for (let k = 0; k < OUTCOMES; k++) {
      const happens = outcome(STANDARD_SPREAD, 5000 + c, k) ?? Infinity;
      if (happens >= told.least && happens <= told.most) inside += 1;
    }
  }
  return inside / (CASES * OUTCOMES);
}

/** A figure of a boat that is drawn. */
const ofBoat =
  (boat: BoatSpec, figure: (craft: ReturnType<typeof assembleCraft>) => number | null): Outcome =>
  (spread, seed, k) =>
    figure(assembleCraft(variedBoat(boat, drawOf(spread, seed, k))));

/** On past a pier; the least clearance, in whatever wind, with whatever start and helm are drawn. */
function byAPier(): RunInput {
  const water = openWater();
  return {
    ...water,
    obstacles: [box('pier', -4, 8, 40, 14)],
    weather: { ...water.weather, windFrom: Math.PI, windSpeed: 4 },
    start: { x: -12, y: 2, heading: Math.PI / 2, speed: 1 },
    plan: {
      steps: [
        {
          ...water.plan.steps[0]!,
          orders: [{ after: 0, order: { do: 'engine', engine: null, gear: 1, throttle: 0.2 } }],
        },
      ],
      end: { cue: { is: 'after', time: 12 }, within: 20 },
    },
    goal: { is: 'clear', distance: 0.1 },
  };
}

const FIGURES: Readonly<Record<string, Outcome>> = {
  'stopping distance': ofBoat(sloop(1), (craft) => stopFrom(craft, 1.5)?.distance ?? null),
  drift: ofBoat(sloop(1), (craft) => driftFrom(craft, 6, Math.PI / 2, 60).drift),
  'turning room': ofBoat(
    fleetCraft('brisling').spec,
    (craft) => backAndFill(craft, 1)?.room ?? null,
  ),
  clearance: (spread, seed, k) => trialOf(byAPier(), spread, seed, k).clearance?.distance ?? null,
};

describe('what is told of where a figure lies', () => {
  it.each(Object.entries(FIGURES))(
    'of %s holds 88 to 92 of 100 of what happens',
    (_name, outcome) => {
      const share = covered(outcome);
      expect(share).toBeGreaterThanOrEqual(0.88);
      expect(share).toBeLessThanOrEqual(0.92);
    },
    120_000,
  );
});

/** A distribution so many times as wide about its middle. */
function widened(of: Distribution, times: number): Distribution {
  if (of.is === 'normal') return { ...of, sd: of.sd * times };
  const middle = (of.least + of.most) / 2;
  const half = ((of.most - of.least) / 2) * times;
  return { is: 'uniform', least: middle - half, most: middle + half };
}

const OF_BOAT = [
  'thrust',
  'thrustAstern',
  'propWalk',
  'windForce',
  'windCentre',
  'hullDrag',
] as const;

const wider = (times: number): Spread => ({
  ...STANDARD_SPREAD,
  ...Object.fromEntries(OF_BOAT.map((part) => [part, widened(STANDARD_SPREAD[part]!, times)])),
});

it('a wider spread is never told as narrower', () => {
  const width = ({ least, most }: Range) => most - least;
  for (const name of ['stopping distance', 'drift', 'turning room'])
    for (const seed of [1, 2, 3]) {
      const widths = [0.5, 1, 1.5, 2].map((times) => {
        const values = Array.from({ length: RANGE_DRAWS }, (_, k) =>
          FIGURES[name]!(wider(times), seed, k),
        );
        return width(rangeOf(values)!);
      });
      expect(widths).toEqual(widths.toSorted((a, b) => a - b));
    }
});
