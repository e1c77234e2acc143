import { refusal, type Refusal } from '@/planner/refusals';
import { refusalWords } from './refusals';

// Every reason has its words, or the program does not compile; here they are said whole where figures and names come into them.

const SAID: readonly (readonly [Refusal, string])[] = [
  [
    refusal('other goal', { for: 'clear', is: 'through' }),
    'it is for going off a berth; this manoeuvre goes through a lock',
  ],
  [
    refusal('written for another goal', { for: 'lie', is: 'clear' }),
    'it was written for coming to lie somewhere; this manoeuvre goes off',
  ],
  [refusal('lies the other way round', { bow: 'out' }), 'the boat is to lie with its bow out'],
  [refusal('no pile', { side: 'port' }), 'no pile stands at the boat’s port quarter'],
  [
    refusal('no bollard for a spring', { end: 'stern' }),
    'no bollard or pile stands where a stern spring would lead from where the boat lies',
  ],
  [
    refusal('lock set against', { set: 'above' }),
    'the lock is set against the boat; set it above, or lie at the landing with bollards for bow and stern',
  ],
  // What it takes is never said shorter than it is.
  [
    refusal('too little time', { least: 541, limit: 510, alone: true }),
    'alone the passage takes 10 minutes at least, and the manoeuvre is over after 9: give it longer, at its end',
  ],
  [
    refusal('staircase not full', { upper: 'Top', lower: 'Bottom' }),
    'Bottom is filled with the water of Top, which is not full enough; it wants to be set above, or the boat to lie at the landing meanwhile',
  ],
  [
    refusal('other drifts', { name: 'Fay', while: 'the first goes in' }),
    'Fay drifts while who is first goes in; let the boat lie at the landing with bollards for bow and stern',
  ],
  [refusal('no room beside', { name: 'Fay' }), 'there is no room beside Fay'],
];

it.each(SAID)('%j is said', (why, words) => {
  expect(refusalWords(why)).toBe(words);
});
