import { lockAtRest, stairOrder, type Lock, type SitedLock } from './';

// Two chambers of 20 × 5 m, 2 m apart in level each: pounds at 4 and 0 m, 2 m between them; the cill between at 0.5 m.

const GATES = { kind: 'mitre', hinge: 'left', swing: 20 } as const;

function site(level: number, full: boolean, rest: Partial<SitedLock>, width = 5): SitedLock {
  const lock: Lock = {
    length: 20,
    width,
    upper: { level: level + 2, area: Infinity },
    lower: { level, area: Infinity },
    upperGates: GATES,
    lowerGates: GATES,
    paddles: [],
    upperCill: level + 0.5,
    cillReach: 1,
    lowerCill: level - 1.5,
    floor: level - 1.8,
    leakUpper: 0,
    leakLower: 0,
  };
  return {
    id: '',
    name: '',
    lock,
    x: 0,
    y: 0,
    east: 0,
    north: -1,
    coping: level + 2.5,
    tidal: false,
    begins: lockAtRest(lock, full ? 'upper' : 'lower'),
    ...rest,
  };
}

/** The upper lock is number 0, the lower one 1. */
const stairs = (upperFull: boolean, lowerFull: boolean, lowerWidth = 5) => [
  site(2, upperFull, { below: 1 }),
  site(0, lowerFull, { above: 0 }, lowerWidth),
];

describe('the order of a staircase', () => {
  it('going up wants the chamber above full: as wide, they meet half way', () => {
    const full = stairOrder(stairs(true, false), 1, 'up', 0.8)!;
    expect(full).toMatchObject({ upper: 0, lower: 1, first: null });
    expect(full.now).toEqual({ level: 2, overCill: 1.5, overCoping: -0.5 });
    const empty = stairOrder(stairs(false, false), 1, 'up', 0.8)!;
    expect(empty.now.level).toBe(1);
    expect(empty.ready).toEqual(full.now);
    expect(empty.first).toBe('fill');
  });

  it('going down wants the chamber below empty, else it runs over', () => {
    expect(stairOrder(stairs(true, false), 0, 'down', 0.8)).toMatchObject({ first: null });
    const full = stairOrder(stairs(true, true), 0, 'down', 0.8)!;
    expect(full.now).toMatchObject({ level: 3, overCoping: 0.5 });
    expect(full.first).toBe('empty');
  });

  it('says where even that does not do: a chamber so wide that the one above does not fill it, or a boat so deep', () => {
    const wide = stairOrder(stairs(true, false, 20), 1, 'up', 0.8)!;
    expect(wide.ready.level).toBeCloseTo(0.8, 12);
    expect(wide.first).toBe('never');
    expect(stairOrder(stairs(true, false), 1, 'up', 1.4)).toMatchObject({ first: 'never' });
  });

  it('is none for the last lock on her way, nor for one by itself', () => {
    expect(stairOrder(stairs(true, false), 0, 'up', 0.8)).toBeNull();
    expect(stairOrder(stairs(true, false), 1, 'down', 0.8)).toBeNull();
    expect(stairOrder([site(0, true, {})], 0, 'up', 0.8)).toBeNull();
  });
});
