import { flipLock, lockAt } from '../testing/locks';
import { box } from '../testing/boxes';
import { roomUnder } from './';

// The lock's upper gates stand at nought, its chamber goes 16 m south; 2 m above, 0 m below.
const bridge = (name: string, y: number, clearance: number, x = 0) => ({
  name,
  outline: box(name, x - 6, y - 1, x + 6, y + 1).outline!,
  clearance,
});
const BELOW = { x: 0, y: -40 };
const ABOVE = { x: 0, y: 24 };

describe('room under bridges on the way through a lock', () => {
  it('is over the lower water below, over the upper in the chamber and above', () => {
    const room = (y: number, from = BELOW) =>
      roomUnder(lockAt(), [bridge('bridge', y, 5)], from, 10, 2)?.room ?? null;
    expect(room(-30)).toBe(3);
    expect(room(-8)).toBe(1);
    expect(room(6)).toBe(1);
    // Neither beyond where the boat goes nor behind where it comes from.
    expect(room(14)).toBeNull();
    expect(room(-60)).toBeNull();
    expect(room(14, ABOVE)).toBe(1);
    expect(room(-22, ABOVE)).toBe(3);
    expect(room(-30, ABOVE)).toBeNull();
  });

  it('names the one with the least room, negative where she does not pass, and the same in the mirror', () => {
    const both = [bridge('high', -20, 5), bridge('low', -26, 1.5)];
    expect(roomUnder(lockAt(), both, BELOW, 10, 2)).toEqual({ name: 'low', room: -0.5 });
    expect(roomUnder(flipLock(lockAt()), both, BELOW, 10, 2)).toEqual({ name: 'low', room: -0.5 });
    expect(roomUnder(lockAt(), [bridge('aside', -26, 1.5, 20)], BELOW, 10, 2)).toBeNull();
    expect(roomUnder(lockAt(), [], BELOW, 10, 2)).toBeNull();
  });
});
