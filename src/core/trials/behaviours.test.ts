import { anyBoats } from '@/document/testing/any-boats';
import { drawnOwners, generatedOwners } from '@/document/testing/generated';
import { addWind } from '../forces';
import { berthingEnergy } from '../testing/berthing';
import { fleetCraft } from '@/document/testing/fleet';
import { workRow } from '../testing/rows';
import { BEHAVIOURS, speaksOf, type Behaviour } from './behaviours';

// Every behaviour over every boat of the classes it speaks of. Ranges are recalled practice and not measurements: a row that has fewer
// than 85 in 100 boats inside says why; a reason where 85 in 100 are inside is stale and fails too.

const OUTSIDE: Readonly<Record<string, string>> = {
  'stop from 3 kn, yacht, three fixed blades':
    'the longest and heaviest: the range counts lengths, and they stop in as many metres as shorter ones',
  'walk in 5 s, fixed blades on a shaft':
    'boats over 12 m and heavy ones take longer than five seconds to turn as far; a share of thrust over 0.25 is more than is recalled',
  'kick ahead, two rudders outside the race':
    'one of four: on a light boat three seconds give the steerage way at which any rudder answers',
  'kick ahead, canal boat':
    'the shortest turn sooner than boats of 17 m, of which the range is told',
  'drift, keel yacht':
    'keels along the hull with a skeg: they lie far off the wind and run before it, which is counted as drift',
  'bow falls off the first 30° from beam on':
    'twelve metres and more and heavy ones take 20 to 30 s, as inertia grows with the fifth power of length and the wind’s moment with the third',
  'turning diameter, long keel': 'one of three, with a rudder large for its keel',
  'pivot in a turn ahead, forward of midships':
    'deep fins hold the drift angle down: 0.20 to 0.25 L; what would let them drift more also lets them run off before the wind',
  'pivot turning astern, abaft':
    'full forms that turn slowly going astern drift more for it: 0.36 to 0.41 L',
  'bow thruster of a boat of 11 to 14 m, from rest':
    'the two heaviest, given no more thruster than their length',
  'left of it at 2 kn':
    'deep fins and two rudders resist turning more with way on than the thruster loses',
  'wind in which idle ahead on a midship spring holds it':
    'two rudders out of the race do not hold a stern in; the others are at the ends of the range',
  'canal boat idling, 15 kn abeam: crab angle': 'one of three, at 31.6°',
  'thruster left at 4 kn, ship':
    'within two in a hundred of the bound, as the moment is kept that small boats are held to keep',
};

/** Of all rows and boats at least so many are inside, and of a row without a reason. */
const ALL_INSIDE = 0.88;
const ROW_INSIDE = 0.85;

const boats = anyBoats();
const lines: string[] = [];
let inside = 0;
let all = 0;

const median = (sorted: readonly number[]) => sorted[sorted.length >> 1]!;
const figure = (value: number) => (Number.isFinite(value) ? value.toFixed(2) : 'never');

/** How far a figure lies outside, over the breadth of the range. */
function outBy(value: number, [least, most]: Behaviour['range']): number {
  const breadth = Number.isFinite(most) ? most - least : least;
  return Math.max(0, least - value, value - most) / breadth;
}

it.each(BEHAVIOURS.map((row) => [row.no, row.what, row] as const))('%s %s', (no, what, row) => {
  const found = boats
    .filter(({ craft, about }) => speaksOf(row, craft, about))
    .map(({ id, craft, about }) => ({ id, value: row.measure(craft, about) }));
  expect(found.length).toBeGreaterThan(0);
  const [least, most] = row.range;
  const out = found.filter(({ value }) => !(value >= least && value <= most));
  const share = 1 - out.length / found.length;
  inside += found.length - out.length;
  all += found.length;
  const sorted = found.map(({ value }) => value).toSorted((a, b) => a - b);
  const worst = found.toSorted((a, b) => outBy(b.value, row.range) - outBy(a.value, row.range))[0]!;
  const why = OUTSIDE[what];
  lines.push(
    [
      'behaviour',
      no,
      what,
      `${found.length - out.length} of ${found.length}`,
      `${least}–${Number.isFinite(most) ? most : 'never'} ${row.unit}`.trim(),
      `${figure(sorted[0]!)}, ${figure(median(sorted))}, ${figure(sorted.at(-1)!)}`,
      out.length > 0 ? `${worst.id} ${figure(worst.value)}` : '',
      why ?? '',
    ].join('|'),
  );
  if (share < ROW_INSIDE && !why)
    throw new Error(
      `${out.map(({ id, value }) => `${id} ${figure(value)}`).join(', ')} are outside ${least}–${most}, without a reason`,
    );
  if (share >= ROW_INSIDE && why)
    throw new Error(
      `${found.length - out.length} of ${found.length} are inside: the reason is stale`,
    );
});

it('nine in ten of all rows and boats are inside', () => {
  expect(inside / all).toBeGreaterThan(ALL_INSIDE);
});

it('the boats drawn are those of the list', () => {
  expect(generatedOwners().length).toBeGreaterThanOrEqual(40);
  expect(JSON.parse(JSON.stringify(drawnOwners()))).toEqual(generatedOwners());
});

it('20 half the wind is a quarter of the force, twice the approach speed four times the energy', () => {
  const { windage } = fleetCraft('quince');
  const push = (wind: number) => {
    const force = new Float64Array(3);
    addWind(force, windage, workRow({ SWAY: wind, DENSITY: 1.225 }));
    return force[1]!;
  };
  expect(push(4) / push(8)).toBeCloseTo(0.25, 12);
  const energy = (speed: number) => berthingEnergy(6200, speed, 0.5, 1.9, 3.5);
  expect(energy(0.4) / energy(0.2)).toBeCloseTo(4, 12);
});

afterAll(() => process.stdout.write(`\n${lines.join('\n')}\n`));
