import fc from 'fast-check';
import { flipLock, lockAt, SMALL_BOAT } from '../testing/locks';
import {
  gentlest,
  lockAtRest,
  simulateFill,
  passageTimes,
  standingOpen,
  type Landings,
  type Lock,
  type PassageAsked,
} from './';

/** 12 by 4 m, one gate above hung on the left, two leaves below, one paddle each end on the left. */
function lock(rest: Partial<Lock> = {}): Lock {
  const paddle = {
    where: 'ground',
    side: 'left',
    area: 0.3,
    discharge: 0.62,
    winding: 30,
  } as const;
  return {
    ...lockAt().lock,
    length: 12,
    width: 4,
    upperGates: { kind: 'single', hinge: 'left', swing: 20 },
    lowerGates: { kind: 'mitre', hinge: 'left', swing: 25 },
    paddles: [
      { ...paddle, name: 'top', end: 'upper' },
      { ...paddle, name: 'bottom', end: 'lower' },
    ],
    ...rest,
  };
}

function asked(of: Lock, rest: Partial<PassageAsked> = {}): PassageAsked {
  return {
    lock: of,
    going: 'down',
    begins: standingOpen(of, lockAtRest(of, 'upper'), 'upper'),
    inside: false,
    landing: 12,
    speed: 1,
    bridges: [],
    turn: simulateFill(of, 'upper', 1, SMALL_BOAT),
    run: simulateFill(of, 'lower', 1, SMALL_BOAT),
    ...rest,
  };
}

describe('time of a passage', () => {
  it('by one, worked out by hand: down, the gate open to her', () => {
    const water = simulateFill(lock(), 'lower', 1, SMALL_BOAT)!.seconds;
    // Held after 12 m, 12 m and 40 s. The gate behind the boat 20 s; 10 s to the paddle; the water; one leaf 25 s, round by the
    // upper gate 30 m, the other leaf; back round and the paddle down 30 s; the near leaf shut, round, the far one, over it
    // and 12 m on to the landing; 40 s until aboard.
    const before = 64 + 20 + 10;
    const after = 25 + 25 + 25 + 25 + 30 + 25 + 25 + 25 + (6 + 12) / 1.2 + 40;
    const times = passageTimes(asked(lock()), 1)!;
    expect(times.ready).toBe(0);
    expect(times.whole).toBeCloseTo(before + water + after, 6);
  });

  it('a bridge saves the way round by the other gates', () => {
    const over: Landings = [
      { s: 14, t: 2 },
      { s: 14, t: -2 },
    ];
    const round = passageTimes(asked(lock()), 1)!.whole;
    const bridged = passageTimes(asked(lock(), { bridges: [over] }), 1)!.whole;
    // Three times 30 m become as often 2.24 + 4 + 2.24 m, and back to the landing it is shorter as well.
    const [near, home] = [Math.sqrt(5), Math.sqrt(101)];
    const saved = 3 * (30 - (near + 4 + near)) + (18 - (near + 4 + home));
    expect(round - bridged).toBeCloseTo(saved / 1.2, 6);
  });

  it('set against her it is turned round first: the gate at the other end shut, water, and hers opened', () => {
    const of = lock();
    const against = { begins: standingOpen(of, lockAtRest(of, 'lower'), 'lower') };
    const { ready, whole } = passageTimes(asked(of, against), 2)!;
    const water = simulateFill(of, 'upper', 1, SMALL_BOAT)!.seconds;
    expect(ready).toBeGreaterThan(25 + water + 20);
    expect(ready).toBeLessThan(25 + water + 20 + 60);
    expect(whole).toBeGreaterThan(ready + passageTimes(asked(of), 2)!.whole - 24 - 30);
  });

  it('more hands are no slower, and none is quicker than the water and the gates', () => {
    fc.assert(
      fc.property(
        fc.record({
          going: fc.constantFrom('up', 'down'),
          landing: fc.double({ min: 5, max: 120, noNaN: true }),
          lower: fc.constantFrom('mitre', 'single', 'guillotine'),
          set: fc.constantFrom('upper', 'lower'),
        }),
        ({ going, landing, lower, set }) => {
          const of = {
            ...lockAt().lock,
            lowerGates: { kind: lower, hinge: 'right', swing: 25 },
          } as Lock;
          const to = going === 'up' ? 'upper' : 'lower';
          const run = gentlest(of, to, SMALL_BOAT)!;
          const turn = simulateFill(of, to === 'upper' ? 'lower' : 'upper', 1, SMALL_BOAT);
          const begins = lockAtRest(of, set);
          const all = [1, 2, 3].map((n) =>
            passageTimes(asked(of, { going, landing, begins, turn, run }), n)!,
          );
          for (const [i, times] of all.entries()) {
            expect(times.whole).toBeGreaterThan(times.ready + run.seconds + 45);
            // Whoever is nearest takes a thing, which may be a little worse in the end than leaving it.
            if (i > 0) expect(times.whole).toBeLessThan(all[i - 1]!.whole + 30);
          }
        },
      ),
    );
  });

  it('is the same in the mirror', () => {
    const sited = lockAt({}, 'upper', 'open');
    const flipped = flipLock(sited);
    const times = (of: typeof sited) =>
      passageTimes(
        asked(of.lock, {
          begins: of.begins,
          turn: null,
          run: simulateFill(of.lock, 'lower', 1, SMALL_BOAT),
        }),
        1,
      );
    expect(times(flipped)).toEqual(times(sited));
  });

  it('is none where the far side is not come to, or the water is never made', () => {
    const of = lock({ upperGates: lock().lowerGates });
    const begins = standingOpen(of, lockAtRest(of, 'upper'), 'upper');
    standingOpen(of, begins, 'lower');
    expect(passageTimes(asked(of, { begins }), 1)).toBeNull();
    expect(passageTimes(asked(of, { run: null }), 1)).toBeNull();
  });
});
