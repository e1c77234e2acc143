import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import { flipLock, lockAt } from '../testing/locks';
import { signedArea } from '../math';
import {
  addLockCurrent,
  addNeighbour,
  bedOfLock,
  copyLock,
  intoLock,
  leafOutline,
  leavesOf,
  levelThere,
  lockAtRest,
  nearestLock,
  outOfLock,
  pushInLock,
  standsAlong,
  workLock,
  type LockState,
  type SitedLock,
} from './';

const turned = (sited: SitedLock, by: number): SitedLock => ({
  ...sited,
  x: 31,
  y: -12,
  east: Math.sin(by),
  north: Math.cos(by),
});

describe('a lock where it lies', () => {
  it('places go in and out of it the same, whichever way it lies', () => {
    fc.assert(
      fc.property(between(0, 6.28), between(-40, 40), between(-9, 9), (by, s, t) => {
        const sited = turned(lockAt(), by);
        const { x, y } = outOfLock(sited, s, t);
        const at = new Float64Array(2);
        intoLock(at, sited, x, y);
        expect(at[0]).toBeCloseTo(s, 9);
        expect(at[1]).toBeCloseTo(t, 9);
      }),
    );
  });

  it('left is left looking up-stream', () => {
    // Up-stream is north: left of it is west.
    expect(outOfLock(lockAt(), 5, 2).x).toBeCloseTo(-2, 12);
    expect(outOfLock(lockAt(), 5, 2).y).toBeCloseTo(-5, 12);
  });

  it('level and bed are those of the water one is on', () => {
    const sited = lockAt();
    const state = { ...copyLock(sited.begins), chamber: 0.7 };
    const level = (y: number, x = 0) => levelThere([sited], [state], x, y);
    expect([level(4), level(-8), level(-20), level(-8, 9)]).toEqual([2, 0.7, 0, 0]);
    const bed = (y: number, x = 0) => bedOfLock(sited, x, y);
    expect([bed(-1), bed(-8), bed(-16)]).toEqual([-1, -3, -2.9]);
    expect(bed(-8, 4)).toBeNaN();
    expect(bed(-25)).toBeNaN();
  });

  it('of two the one whose chamber is nearer counts', () => {
    const far = { ...lockAt(), y: 200 };
    expect(nearestLock([lockAt(), far], 0, 0)).toBe(0);
    expect(nearestLock([lockAt(), far], 0, 150)).toBe(1);
  });

  it('a boat stands along it bow up or down, inside or not', () => {
    const hull = { length: 10, beam: 2, draught: 1 };
    const up = standsAlong(lockAt(), { x: 1, y: -9, heading: 0 }, hull);
    expect(up).toMatchObject({ bowUp: true, inside: true });
    expect(up.fromUpper).toBeCloseTo(4, 9);
    const out = standsAlong(lockAt(), { x: 0, y: -30, heading: Math.PI }, hull);
    expect(out).toMatchObject({ bowUp: false, inside: false });
    expect(out.fromUpper).toBeCloseTo(25, 9);
  });
});

describe('leaves', () => {
  const leaf = (sited: SitedLock, k: number, state: LockState) => {
    const out = new Float64Array(8);
    leafOutline(out, sited, leavesOf([sited])[k]!, state);
    return out;
  };
  const names = leavesOf([lockAt()]).map(({ name }) => name);

  it('are one or two to an end, and the cill', () => {
    expect(names).toEqual([
      'upper gate, the lock',
      'left leaf of the lower gates, the lock',
      'right leaf of the lower gates, the lock',
      'cill of the lock',
    ]);
  });

  it('shut they close the chamber; open they lie along its walls, up-stream', () => {
    const sited = lockAt();
    const shut = leaf(sited, 1, sited.begins);
    const xs = (o: Float64Array) => [0, 2, 4, 6].map((i) => o[i]!);
    const ys = (o: Float64Array) => [1, 3, 5, 7].map((i) => o[i]!);
    // From its hinge in the west wall to the middle, mitred up-stream.
    expect(Math.min(...xs(shut))).toBeLessThan(-2.9);
    expect(Math.max(...xs(shut))).toBeCloseTo(0, 0);
    expect(Math.max(...ys(shut))).toBeGreaterThan(-15.3);
    const state = copyLock(sited.begins);
    state.leaves[2] = 1;
    const open = leaf(sited, 1, state);
    expect(Math.max(...xs(open))).toBeLessThanOrEqual(-3 + 1e-9);
    expect(Math.max(...ys(open))).toBeCloseTo(-16 + 3 / Math.cos((18 * Math.PI) / 180), 6);
  });

  it('go round the same way wherever they stand, and are as long', () => {
    for (const sited of [lockAt(), flipLock(lockAt())])
      for (const k of names.keys())
        for (const share of [0, 0.3, 1]) {
          const state = copyLock(sited.begins);
          state.leaves.fill(share);
          state.cillOut = share > 0.5 ? 1 : 0;
          const first = leaf(sited, k, sited.begins);
          const now = leaf(sited, k, state);
          expect(Math.sign(signedArea(now))).toBe(Math.sign(signedArea(first)));
        }
  });

  it('a raised gate is out of the way once it is all the way up, and not before', () => {
    const sited = lockAt({ upperGates: { kind: 'guillotine', hinge: 'left', swing: 20 } });
    const state = copyLock(sited.begins);
    state.leaves[0] = 0.99;
    expect(Math.abs(leaf(sited, 0, state)[0]!)).toBeLessThan(4);
    state.leaves[0] = 1;
    expect(leaf(sited, 0, state)[0]).toBeGreaterThan(1000);
  });
});

describe('what the water does', () => {
  const filling = (open: readonly number[], seconds = 30) => {
    const sited = lockAt();
    const state = lockAtRest(sited.lock, 'lower');
    open.forEach((share, i) => (state.wound[i] = share));
    workLock(sited.lock, state, seconds);
    return { sited, state };
  };
  const boat = standsAlong(
    lockAt(),
    { x: 0, y: -8, heading: 0 },
    { length: 9, beam: 3, draught: 1.2 },
  );

  it('pushes a boat away from the paddles that fill, in proportion to her weight', () => {
    const { sited, state } = filling([1, 1]);
    const out = { along: 0, across: 0 };
    pushInLock(out, sited, state, boat, 50_000);
    expect(out.along).toBeGreaterThan(0);
    expect(out.across).toBeCloseTo(0, 9);
    const twice = { along: 0, across: 0 };
    pushInLock(twice, sited, state, boat, 100_000);
    expect(twice.along).toBeCloseTo(2 * out.along, 6);
  });

  it('a ground paddle lays her to its own side, and the mirror image to the other', () => {
    const { sited, state } = filling([1, 0]);
    const left = { along: 0, across: 0 };
    pushInLock(left, sited, state, boat, 50_000);
    expect(left.across).toBeGreaterThan(0);
    const mirror = flipLock({ ...sited, begins: state });
    const right = { along: 0, across: 0 };
    pushInLock(right, mirror, mirror.begins, boat, 50_000);
    expect(right.across).toBeCloseTo(-left.across, 9);
    expect(right.along).toBeCloseTo(left.along, 9);
  });

  it('the flow through every section of the chamber is what came in above and has risen below', () => {
    const { sited, state } = filling([1, 1]);
    const section = 6 * (state.chamber + 3);
    for (const s of [0.1, 4, 8, 15.9]) {
      const out = new Float64Array(2);
      addLockCurrent(out, sited, state, 0, -s);
      expect(-out[1]! * section).toBeCloseTo(state.flowIn * (1 - s / 16), 9);
    }
  });

  it('emptying, it runs out of the tail as a widening wash that is spent in the end, and beside it nothing moves', () => {
    const sited = lockAt({}, 'upper');
    const state = copyLock(sited.begins);
    state.wound[2] = state.wound[3] = 1;
    workLock(sited.lock, state, 30);
    const wash = (off: number, aside = 0) => {
      const out = new Float64Array(2);
      addLockCurrent(out, sited, state, aside, -16 - off);
      return Math.abs(out[1]!);
    };
    expect(wash(2)).toBeGreaterThan(wash(15));
    expect(wash(15)).toBeGreaterThan(wash(40));
    expect(wash(70)).toBe(0);
    expect(wash(10, 12)).toBe(0);
    // Above, everything is drawn to where nothing goes in: it stands.
    const above = new Float64Array(2);
    addLockCurrent(above, sited, state, 0, 10);
    expect(Math.abs(above[1]!)).toBe(0);
  });

  it('filling draws on whoever waits above, from all sides towards the gates', () => {
    const { sited, state } = filling([1, 1]);
    const draw = (x: number, y: number) => {
      const out = new Float64Array(2);
      addLockCurrent(out, sited, state, x, y);
      return out;
    };
    expect(draw(0, 5)[1]).toBeLessThan(0);
    expect(draw(6, 3)[0]).toBeLessThan(0);
    expect(Math.abs(draw(0, 20)[1]!)).toBeLessThan(Math.abs(draw(0, 5)[1]!));
  });

  it('a neighbour under way sends the water back past her by continuity, and draws it after her', () => {
    const sited = lockAt();
    const state = sited.begins;
    const hull = { length: 8, beam: 3, draught: 1.5 };
    const at = (y: number, along = -0.5) => {
      const out = new Float64Array(2);
      addNeighbour(out, sited, state, { x: 1, y: -8, along }, hull, -1, y);
      return out[1]!;
    };
    const m = (0.9 * 3 * 1.5) / (6 * 3);
    // Going up-stream, which is north, at half a metre a second.
    expect(at(-8)).toBeCloseTo((-0.5 * m) / (1 - m), 9);
    expect(at(-12.5)).toBeGreaterThan(0);
    expect(at(-2)).toBe(0);
    expect(at(-8, 0)).toBe(0);
  });
});
