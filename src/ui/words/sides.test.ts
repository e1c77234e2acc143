import type { ForSide } from '@/core/brief';
import { TECHNIQUE_IDS } from '@/planner';
import { TECHNIQUE_WORDS } from './techniques';
import { reasonsForSide } from './sides';

const KNOTS = { speed: 'kn', length: 'm', force: 'N' } as const;

const side = (of: ForSide['side'], rest: Partial<ForSide> = {}): ForSide => ({
  side: of,
  heading: 0,
  currentAhead: 0,
  windAhead: 0,
  sternIn: null,
  walkFor: 5,
  worth: 0,
  ...rest,
});

it('says nothing speaks for either side when nothing does', () => {
  expect(reasonsForSide([side('port'), side('starboard')], 'port', KNOTS)).toEqual([
    'Wind, current and propeller say little for either side.',
  ]);
});

it('names current, wind and walk with what they do, in the user’s unit', () => {
  const sides = [
    side('port', { currentAhead: 0.514, windAhead: 5.144, sternIn: 0.1, worth: 2 }),
    side('starboard', { currentAhead: -0.514, windAhead: -5.144, sternIn: -0.1, worth: -2 }),
  ];
  expect(reasonsForSide(sides, 'port', KNOTS)).toEqual([
    '1.0 kn of current on the bow, which helps the boat stop.',
    '10 kn of wind on the bow, which helps the boat stop.',
    'Going astern turns the boat 6° in 5 s, its stern in to the berth.',
    'The better side by these.',
  ]);
  const other = reasonsForSide(sides, 'starboard', { ...KNOTS, speed: 'm/s' });
  expect(other[0]).toBe('0.51 m/s of current from astern, which carries the boat on.');
  expect(other.at(-2)).toContain('away from the berth');
  expect(other.at(-1)).toBe('The other side is the better by these.');
});

it('does not press a side that is hardly better', () => {
  const sides = [side('port', { windAhead: 2, worth: 0.05 }), side('starboard', { windAhead: -2 })];
  expect(reasonsForSide(sides, 'port', KNOTS).at(-1)).toBe('Neither side has much over the other.');
});

it('every technique has a name of its own and says what is done', () => {
  const names = TECHNIQUE_IDS.map((id) => TECHNIQUE_WORDS[id][0]);
  expect(new Set(names).size).toBe(TECHNIQUE_IDS.length);
  for (const id of TECHNIQUE_IDS) expect(TECHNIQUE_WORDS[id][1].length).toBeGreaterThan(20);
});
