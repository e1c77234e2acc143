import type { LockCheck, LockItem, LockSheet } from '@/core/brief';
import type { LevelChange } from '@/core/locks';
import { clock, distance, type Units } from './units';

/** A check as it is read out, and why. */
export type CheckText = readonly [string, string];

export const SHEET_WORDS: Readonly<Record<LockSheet, string>> = {
  'going up': 'In the lock, going up',
  'going down': 'In the lock, going down',
  alone: 'Alone',
  sharing: 'Sharing it',
};

export const SHARE_WORDS: Readonly<Record<number, string>> = {
  1: 'full at once',
  0.5: 'half first',
  0.25: 'a quarter first',
};

/** "half first, full once half the head is gone (1:40)" */
export function paceText({ first, halfAt }: LevelChange): string {
  const words = SHARE_WORDS[first] ?? `${Math.round(100 * first)} % first`;
  return first < 1 ? `${words}, full once half the head is gone (${clock(halfAt)})` : words;
}

const over = (m: number, units: Units) =>
  m < 0 ? `${distance(-m, units)} too little` : `${distance(m, units)} over`;

type Write = (item: LockItem, units: Units) => CheckText;

const shut: Write = () => [
  'gates behind the boat shut, their paddles down, before a paddle ahead is touched',
  'water from both ends runs straight through',
];
const sign: Write = () => [
  'the signal from the helm, before every paddle',
  'wound without it, nobody holds the boat',
];
const pace: Write = ({ pace: making }) => [
  `near paddle first: ${making ? paceText(making) : ''}`,
  making
    ? `${(making.pull * 1000).toFixed(1)} ‰ of the boat’s weight at most; wound, never dropped`
    : '',
];
const level: Write = ({ figure }) => [
  `gates at one level only${figure === null ? '' : `, after about ${clock(figure)}`}`,
  'never forced; leaning on them is enough when it is made',
];
const behind: Write = () => [
  'gates shut and paddles down behind the boat',
  'for the pound, and whoever comes next',
];
const aboard: Write = () => [
  'crew aboard with the engine in neutral and the boat lying still',
  'nobody steps with the propeller turning',
];

const WRITES: Readonly<Record<LockCheck, Write>> = {
  'up-room': ({ figure }, units) => [
    `stern clear of where the lower gates swing: ${over(figure ?? 0, units)} with the boat in the chamber`,
    'bow back from the upper gates as well',
  ],
  'up-line': ({ figure }, units) => [
    `line round a bollard and back, ${distance(figure ?? 0, units)} of it; taken in as the boat rises`,
    'slack, the boat surges ahead on to the cill, and back on to the gates',
  ],
  'up-shut': shut,
  'up-sign': sign,
  'up-pace': pace,
  'up-bow': () => [
    'bow and fenders watched: nothing under a gate’s beam or the coping',
    'anything catches: all paddles down at once, then look',
  ],
  'up-level': level,
  'up-out': () => [
    'gates wide, line home, then dead slow out',
    'no rope near a propeller that turns',
  ],
  'up-behind': behind,
  'up-aboard': aboard,
  'down-cill': ({ figure }, units) => [
    `stern forward of the cill mark: ${over(figure ?? 0, units)} in length`,
    'the cill comes out of the water under whatever lies over it',
  ],
  'down-line': ({ figure }, units) => [
    `line on a turn, ${distance(figure ?? 0, units)} to run; never made fast`,
    'fast, the boat hangs on it as the water goes',
  ],
  'down-shut': shut,
  'down-sign': sign,
  'down-pace': pace,
  'down-stern': () => [
    'somebody watches the stern against the mark until it is level',
    'the boat touches: all paddles down, then fill from above until it floats',
  ],
  'down-level': level,
  'down-out': () => [
    'gates wide, line home, then dead slow out',
    'no rope near a propeller that turns',
  ],
  'down-behind': behind,
  'down-aboard': aboard,
  'alone-neutral': () => [
    'out of gear before the helm is left, every time',
    'nobody is there to take it out again',
  ],
  'alone-held': ({ figure }, units) => [
    `line from amidships led to the helm, ${distance(figure ?? 0, units)}, its tail in your hand all the way`,
    'the keeper winds only when you have given the signal',
  ],
  'alone-line': ({ figure }, units) => [
    `line from amidships, ${distance(figure ?? 0, units)} and more, taken along as you climb`,
    'two turns on the bollard before your hands do anything else, its tail laid out',
  ],
  'alone-ladder': ({ figure, hurts }, units) => [
    hurts
      ? `no ladder leads out of the chamber, and the coping stands ${distance(figure ?? 0, units)} over the deck: do not go alone`
      : `stopped by a ladder: the coping stands ${distance(Math.max(0, figure ?? 0), units)} over the deck at the lowest`,
    hurts
      ? 'nobody climbs a bare wall'
      : 'climbed with the line over a shoulder, both hands for the rungs',
  ],
  'alone-paddle': () => [
    'one paddle at a time, and back to the line after each',
    'nobody else sees the cill, or the line come taut',
  ],
  'alone-time': ({ figure }) => [
    figure === null
      ? 'by one person it is not done'
      : `time for it: longer than the ${clock(figure)} one ashore takes with a helm aboard`,
    'the climbs come to it, and one paddle at a time; hurry is what goes wrong alone',
  ],
  'sharing-fit': ({ figure, name, hurts }, units) => [
    hurts
      ? `${name} does not fit in with the boat: one waits`
      : `${name} fits in with ${distance(figure ?? 0, units)} over, fenders out on both sides`,
    'fenders in, if they wedge',
  ],
  'sharing-first': ({ figure, name }) => [
    figure === 1
      ? `the boat goes in first, ${name} once its lines are on`
      : `${name} goes in first; the boat follows once those lines are on`,
    'agreed aloud before either moves',
  ],
  'sharing-still': ({ name }) => [
    `both on lines and out of gear before a paddle is wound: ask ${name}`,
    'the second one’s water sets the first about',
  ],
  'sharing-out': ({ name }) => [
    `out one after the other, ${name} and the boat; lines on until the other is past`,
    'a boat that leaves draws on the one that lies there',
  ],
};

/** A check of a sheet in words. */
export const checkText = (item: LockItem, units: Units): CheckText =>
  WRITES[item.check](item, units);
