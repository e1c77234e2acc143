/** Starts groups of browser tests first: they take longest, and on a fresh clone nobody knows yet how long anything takes. */
import sequencer from '@jest/test-sequencer';

const Sequencer = sequencer.default ?? sequencer;
const isGroup = ({ path }) => path.includes('.group.test.');

export default class LongestFirst extends Sequencer {
  sort(tests) {
    return super.sort(tests).toSorted((a, b) => Number(isGroup(b)) - Number(isGroup(a)));
  }
}
