import type { Outcome } from '@/core/plan';

/** How a way of ending is called: in a word or two, and after "the wind at which". */
const HEADS: Readonly<Record<Outcome, { readonly head: string; readonly fails: string }>> = {
  reached: { head: 'Done', fails: 'it holds' },
  missed: { head: 'Not there', fails: 'the boat does not get there' },
  'hard touch': { head: 'Hard touch', fails: 'a hard touch' },
  unsafe: { head: 'Not safe', fails: 'somebody is in danger' },
  fouled: { head: 'Line in the propeller', fails: 'a line in the propeller' },
  struck: { head: 'Ran into somebody', fails: 'somebody run into' },
  aground: { head: 'Aground', fails: 'the boat takes the ground' },
  'hung up': { head: 'Hung up', fails: 'the boat hangs in the lock' },
  'caught overhead': { head: 'Caught overhead', fails: 'the boat is caught overhead' },
  'broke off': { head: 'Broken off', fails: 'it is broken off' },
  'cue never came': { head: 'Waiting still', fails: 'a cue never comes' },
  'out of time': { head: 'Out of time', fails: 'it takes too long' },
};

/** How a run ended, in a word or two. */
export const outcomeWord = (outcome: Outcome): string => HEADS[outcome].head;

/** The same for a run that is spoken of as failing: "a hard touch". */
export const failsBy = (outcome: Outcome): string => HEADS[outcome].fails;
