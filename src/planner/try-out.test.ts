import { ROSE_TRIES } from '@/core/policy';
import { ROSE_DIRECTIONS, roseRange } from '@/core/reliability';
import { STANDARD_SPREAD } from '@/core/uncertainty';
import { demoFile } from '@/document/testing/demo';
import { toRunInput } from '@/document/run-input';
import { handfuls, roseOf, roseTries, tryOut, type Tried } from './try-out';

const file = demoFile('off-stilt-pontoon');

describe('tries of a manoeuvre', () => {
  it('are handed out one at a time, none twice and none left out', () => {
    const tries = handfuls({ of: 'plan', file, seed: 2 }, 30, 4);
    expect(tries.flatMap((one) => ('from' in one ? [[one.from, one.to]] : []))).toEqual([
      [30, 31],
      [31, 32],
      [32, 33],
      [33, 34],
    ]);
  });

  it('of a wind rose are one for each direction, and the same as elsewhere; from north on, whichever came first', () => {
    const tries = roseTries(file, 5);
    expect(tries).toHaveLength(ROSE_DIRECTIONS);
    const tried = tryOut(tries[3]!, STANDARD_SPREAD);
    const input = toRunInput(file);
    if (!input.ok || tried.of !== 'rose') throw new Error('it can be run');
    expect(tried.range).toEqual(roseRange(input.value, STANDARD_SPREAD, 5, ROSE_TRIES, 3));
    const range = (from: number): Tried => ({ of: 'rose', range: { from, least: 0, most: 4 } });
    const none: Tried = { of: 'reference helm', held: [] };
    expect(roseOf([range(3), none, range(1), range(2)]).map(({ from }) => from)).toEqual([1, 2, 3]);
  });
});
