import { assembleCraft } from '../boat';
import { linesOf } from '../holding';
import { copyLock, copyLockOver, lockAtRest } from '../locks';
import { sloop } from '../testing/boats';
import { lockAt } from '../testing/locks';
import { copyState, initialState } from './';

// Copying lists the parts of a state one by one, for speed. A part that is added and forgotten there is found here.

/** Every number in it made another, every yes a no; how many there were. */
function stirred(value: object): number {
  if (ArrayBuffer.isView(value)) {
    const row = value as Float64Array;
    row.forEach((v, i) => (row[i] = (Number.isFinite(v) ? v : 0) + 1.25 + i));
    return row.length;
  }
  const record = value as Record<string, unknown>;
  return Object.keys(record).reduce((count, key) => {
    const part = record[key];
    if (typeof part === 'object' && part !== null) return count + stirred(part);
    record[key] = typeof part === 'boolean' ? !part : (part as number) + 1;
    return count + 1;
  }, 0);
}

const craft = assembleCraft({
  ...sloop(),
  thrusters: [
    {
      name: 'bow thruster',
      x: 4,
      thrust: 700,
      jetSpeed: 5,
      control: 'on-off',
      response: 0.4,
      reverseDelay: 1,
      heatTime: 180,
      coolTime: 900,
    },
  ],
});
const line = {
  boatX: 3,
  boatY: 1,
  shoreX: 0,
  shoreY: -10,
  rise: 1,
  length: 8,
  stiffness: 30_000,
  damping: 200,
};
const { lock } = lockAt();
const still = { x: 0, y: 0, heading: 0, speed: 0 };
const state = () => {
  const lines = linesOf([line], true);
  const locks = [lockAtRest(lock, 'lower')];
  const other = initialState(craft, still, lines, [], locks);
  return initialState(craft, still, lines, [other], locks);
};

it('a copied state is the same in every part', () => {
  const [from, to] = [state(), state()];
  expect(stirred(from)).toBeGreaterThan(100);
  expect(to).not.toEqual(from);
  copyState(to, from);
  expect(to).toEqual(from);
});

it('so is a copied lock, made new or over another', () => {
  const from = lockAtRest(lock, 'upper');
  stirred(from);
  expect(copyLock(from)).toEqual(from);
  const to = lockAtRest(lock, 'lower');
  copyLockOver(to, from);
  expect(to).toEqual(from);
});
