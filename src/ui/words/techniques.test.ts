import { TECHNIQUE_IDS, type TechniqueId, type Way } from '@/planner';
import { demoFile } from '@/document/testing/demo';
import { TECHNIQUE_WORDS, lyingText, wayWords } from './techniques';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;
const file = demoFile('quince-takes-a-slip');

type Taken = Way<TechniqueId>['proposal']['run'];
const way = (
  run: Partial<Taken>,
  limit: Way<TechniqueId>['limit'],
  none = 0,
): Way<TechniqueId> => ({
  technique: 'slip-bow-in',
  turned: false,
  goal: file.goal,
  limit,
  proposal: {
    plan: file.plan,
    wayOut: { looked: 48, none },
    tries: 1,
    of: 1,
    run: {
      outcome: 'reached',
      duration: 60,
      goal: [],
      events: [],
      margins: {
        clearance: { distance: 1.24, name: 'Barley', part: 'port bow', time: 3, step: 1 },
        touch: null,
      },
      ...run,
    } as unknown as Taken,
  },
});

it('has a name and a word of how for every technique', () => {
  for (const id of TECHNIQUE_IDS)
    for (const words of TECHNIQUE_WORDS[id]) expect(words).not.toBe('');
});

it('says how the boat is to lie', () => {
  expect(lyingText(file.goal, file.boat)).toBe('starboard side to, heading 163°');
  expect(lyingText({ ...file.goal, point: 'bow' } as typeof file.goal, file.boat)).toBe(
    'heading 163°',
  );
});

it('says what a way comes to', () => {
  const fails = { wind: 7.2, holdsTo: 7, outcome: 'hard touch', touched: 'Barley' } as const;
  expect(wayWords(way({}, fails), UNITS)).toBe(
    'gets there, 1.2 m clear of Barley, always a way out, fails in 14 kn: a hard touch on Barley',
  );
  const holds = { wind: null, holdsTo: 20.6, outcome: null, touched: null };
  expect(wayWords(way({}, holds, 3), UNITS)).toBe(
    'gets there, 1.2 m clear of Barley, no way out at 3 of 48 moments, holds beyond 40 kn',
  );
  const goal = [{ what: 'distance', found: 3, limit: 1.8, met: false }] as unknown as Taken['goal'];
  expect(wayWords(way({ outcome: 'missed', goal }, null), UNITS)).toBe(
    'does not get there: not there, 3.0 m off, 1.8 m asked for',
  );
});
