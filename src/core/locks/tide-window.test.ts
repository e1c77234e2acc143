import { OVER_CILL_M } from '../policy';
import { lockAt } from '../testing/locks';
import { tideWindows } from './';

const { lock } = lockAt({ lowerCill: -1, upper: { level: 4, area: Infinity } });
const hours = (levels: readonly number[]) => levels.map((level, at) => ({ at, level }));

describe('a sea lock by the tide', () => {
  it('may be passed while there is water on its cill, to the minute between the samples', () => {
    // Wanted: 1.5 m of draught and what is to spare over a cill at −1 m.
    const least = 0.5 + OVER_CILL_M;
    const [window, ...more] = tideWindows(lock, 1.5, hours([0, 1, 2, 3, 2, 1, 0]));
    expect(more).toEqual([]);
    expect(window!.from).toBeCloseTo(least, 9);
    expect(window!.to).toBeCloseTo(6 - least, 9);
  });

  it('not while the tide stands over the water above', () => {
    const windows = tideWindows(lock, 1.5, hours([3, 5, 3]));
    expect(windows).toHaveLength(2);
    expect(windows[0]!.to).toBeCloseTo(0.5, 9);
    expect(windows[1]!.from).toBeCloseTo(1.5, 9);
  });

  it('all day, never, and on a level that stands', () => {
    expect(tideWindows(lock, 0.5, hours([1, 2, 1]))).toEqual([{ from: 0, to: 2 }]);
    expect(tideWindows(lock, 6, hours([1, 2, 1]))).toEqual([]);
    expect(tideWindows(lock, 0.5, hours([1, 1]))).toEqual([{ from: 0, to: 1 }]);
    expect(tideWindows(lock, 0.5, [])).toEqual([]);
  });
});
