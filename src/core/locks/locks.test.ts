import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import { SMALL_BOAT } from '../testing/locks';
import {
  chamberArea,
  ENDS,
  fitIn,
  gentlest,
  hangUps,
  headAt,
  lineLength,
  lockAtRest,
  simulateFill,
  orderLock,
  pullOnBoat,
  timeLeft,
  timeToMake,
  volumeOf,
  workLock,
  type Lock,
  type LockedBoat,
  type LockOrder,
} from './';

/** The chamber of the exact checks: 48 m², 2.5 m of head, one paddle of 0.3 m² at 0.62 each end. */
function chamber(rest: Partial<Lock> = {}, winding = 1e-6): Lock {
  const paddle = { where: 'ground', side: 'left', area: 0.3, discharge: 0.62, winding } as const;
  return {
    length: 12,
    width: 4,
    upper: { level: 2.5, area: Infinity },
    lower: { level: 0, area: Infinity },
    upperGates: { kind: 'single', hinge: 'left', swing: 20 },
    lowerGates: { kind: 'mitre', hinge: 'left', swing: 25 },
    paddles: [
      { ...paddle, name: 'top ground', end: 'upper' },
      { ...paddle, name: 'bottom ground', end: 'lower' },
    ],
    upperCill: 0.7,
    cillReach: 1.5,
    lowerCill: -1.4,
    floor: -1.6,
    leakUpper: 0,
    leakLower: 0,
    ...rest,
  };
}
const wind = (paddle: number, to: number): LockOrder => ({ do: 'wind', paddle, to });
/** Seconds until level: of the parabola all but its last millimetre, and that by its own law. */
function seconds(lock: Lock, paddle: number, end: 'upper' | 'lower'): number {
  const late = lock.paddles[paddle]!.winding / 2;
  const state = lockAtRest(lock, end === 'upper' ? 'lower' : 'upper');
  const whole = Math.abs(headAt(state, end));
  orderLock(lock, state, wind(paddle, 1));
  while (Math.abs(headAt(state, end)) > 1e-3) workLock(lock, state, 0.1);
  // Of a parabola the last millimetre takes √(0.001/H) of all.
  return (state.time - late) / (1 - Math.sqrt(1e-3 / whole)) + late;
}

describe('K: filling and emptying', () => {
  it('K1 takes what the orifice law says, up and down', () => {
    expect(seconds(chamber(), 0, 'upper') / 184.26929).toBeCloseTo(1, 2.3);
    expect(seconds(chamber(), 1, 'lower') / 184.26929).toBeCloseTo(1, 2.3);
  });

  it('K1 half the time leaves a quarter of the head, and it begins at 1.30 m³/s', () => {
    const lock = chamber();
    const state = lockAtRest(lock, 'upper');
    orderLock(lock, state, wind(1, 1));
    workLock(lock, state, 0.1);
    expect(state.flowOut).toBeCloseTo(1.3024417, 2);
    workLock(lock, state, 59.9);
    expect(-headAt(state, 'lower')).toBeCloseTo(1.1370033, 2);
    workLock(lock, state, 184.26929 / 2 - 60);
    expect(-headAt(state, 'lower')).toBeCloseTo(0.625, 2);
  });

  it('K1 a paddle wound over a minute adds half a minute', () => {
    expect(seconds(chamber({}, 60), 1, 'lower') / 214.26929).toBeCloseTo(1, 2.3);
  });

  it.each([
    [48, 92.134644, 0.5],
    [96, 122.84619, 1 / 3],
  ])('K2 from a pound of %d m² it meets the level half-way, no water lost', (area, time, share) => {
    const lock = chamber({ upper: { level: 2.5, area } });
    expect(seconds(lock, 0, 'upper') / time).toBeCloseTo(1, 2.3);
    const state = lockAtRest(lock, 'lower');
    const before = volumeOf(lock, state);
    orderLock(lock, state, wind(0, 1));
    workLock(lock, state, 400);
    expect((2.5 - state.upper) / 2.5).toBeCloseTo(share, 4);
    expect(Math.abs(volumeOf(lock, state) / before - 1)).toBeLessThan(1e-12);
  });

  it('stays level once it is, and does not ring', () => {
    const lock = chamber();
    const state = lockAtRest(lock, 'lower');
    orderLock(lock, state, wind(0, 1));
    workLock(lock, state, 600);
    expect(Math.abs(headAt(state, 'upper'))).toBeLessThan(1e-6);
    expect(Math.abs(state.flowIn)).toBeLessThan(1e-3);
  });

  it('leaks to the level below when it is left', () => {
    const lock = chamber({ leakLower: 0.004 });
    const state = lockAtRest(lock, 'upper');
    workLock(lock, state, 1800);
    expect(state.chamber).toBeLessThan(2.3);
    expect(timeToMake(lock, state, 'upper', 600)).toBeNull();
  });
});

describe('gates', () => {
  it('do not move against a head, nor with the others open; at levels made they take their time', () => {
    const lock = chamber();
    const state = lockAtRest(lock, 'lower');
    const open = (end: 'upper' | 'lower') =>
      orderLock(lock, state, { do: 'gates', end, to: 'open' });
    expect(open('upper')).toMatchObject({ is: 'not level', end: 'upper', head: 2.5 });
    expect(open('lower')).toBeNull();
    workLock(lock, state, 10);
    expect(state.gates.lower).toBeCloseTo(10 / 25, 6);
    workLock(lock, state, 20);
    expect(state.gates.lower).toBe(1);
    orderLock(lock, state, { do: 'gates', end: 'lower', to: 'shut' });
    workLock(lock, state, 30);
    orderLock(lock, state, wind(0, 1));
    workLock(lock, state, 400);
    expect(open('upper')).toBeNull();
  });

  it('whatever the order of orders, levels, paddles and gates never contradict each other and no water is lost', () => {
    const order = fc.oneof(
      fc.record({
        do: fc.constant('wind' as const),
        paddle: fc.integer({ min: 0, max: 3 }),
        to: between(-0.5, 1.5),
      }),
      fc.record({
        do: fc.constant('gates' as const),
        end: fc.constantFrom('upper' as const, 'lower' as const),
        to: fc.constantFrom('open' as const, 'shut' as const),
      }),
    );
    const spec = fc.record({
      head: between(0.2, 4),
      up: between(60, 5000),
      down: between(60, 5000),
      leak: between(0, 0.01),
      winding: between(2, 60),
    });
    fc.assert(
      fc.property(
        spec,
        fc.array(fc.tuple(order, between(1, 200)), { maxLength: 12 }),
        ({ head, up, down, leak, winding }, orders) => {
          const lock = chamber(
            {
              upper: { level: head, area: up },
              lower: { level: 0, area: down },
              leakUpper: leak,
              leakLower: leak / 2,
            },
            winding,
          );
          const state = lockAtRest(lock, 'lower');
          const before = volumeOf(lock, state);
          for (const [one, wait] of orders) {
            const refused = orderLock(lock, state, one);
            if (one.do === 'wind')
              expect(refused?.is ?? null).toBe(one.paddle > 1 ? 'no such paddle' : null);
            workLock(lock, state, wait);
            expect(Math.abs(volumeOf(lock, state) - before)).toBeLessThan(
              1e-9 * (1 + up + down) * 4,
            );
            for (const open of [...state.open, state.gates.upper, state.gates.lower]) {
              expect(open).toBeGreaterThanOrEqual(0);
              expect(open).toBeLessThanOrEqual(1);
            }
            for (const end of ENDS)
              if (state.gates[end] > 0) expect(Math.abs(headAt(state, end))).toBeLessThan(1e-9);
            expect(state.chamber).toBeGreaterThanOrEqual(Math.min(state.lower, 0) - 1e-6);
            expect(state.chamber).toBeLessThanOrEqual(Math.max(state.upper, head) + 1e-6);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('a boat in the chamber', () => {
  const emptying = (boat: LockedBoat) => {
    const lock = chamber({}, 10);
    const state = lockAtRest(lock, 'upper');
    orderLock(lock, state, wind(1, 1));
    return { lock, state, left: timeLeft(lock, state, boat) };
  };

  it('drifted back hangs on the cill, in the time it is told beforehand', () => {
    const { lock, state, left } = emptying({ ...SMALL_BOAT, fromUpper: 0.5 });
    expect(left!.hangs).toMatchObject({ is: 'on the cill', end: 'stern' });
    const { seconds: until } = left!;
    workLock(lock, state, until - 1);
    expect(hangUps(lock, state, { ...SMALL_BOAT, fromUpper: 0.5 })).toEqual([]);
    workLock(lock, state, 2);
    expect(hangUps(lock, state, { ...SMALL_BOAT, fromUpper: 0.5 })[0]).toMatchObject({
      end: 'stern',
    });
    // The level that leaves the boat's stern on it: cill and draught.
    expect(state.chamber).toBeCloseTo(0.7 + 0.75, 1);
  });

  it('kept forward of it floats all the way down; shutting and filling again saves her', () => {
    expect(emptying(SMALL_BOAT).left).toBeNull();
    const back = { ...SMALL_BOAT, fromUpper: 0.5 };
    const { lock, state, left } = emptying(back);
    workLock(lock, state, left!.seconds - 15);
    orderLock(lock, state, wind(1, 0));
    orderLock(lock, state, wind(0, 1));
    expect(timeLeft(lock, state, back)).toBeNull();
  });

  it('is told where she does not fit: gates, breadth, cill, water', () => {
    const fit = fitIn(chamber(), SMALL_BOAT);
    expect(fit.alongside).toBeCloseTo(1.6, 9);
    expect(fit.abreast).toBeCloseTo(4 - 4.2 - 0.45, 9);
    // The lower leaves swing through two metres and more of it.
    const leaf = 2 / Math.cos((18 * Math.PI) / 180);
    expect(fit.gates).toBeCloseTo(2 - leaf, 9);
    expect(fit.cill).toBeCloseTo(0.5 - leaf, 9);
    const raised = chamber({ lowerGates: { kind: 'guillotine', hinge: 'left', swing: 30 } });
    expect(fitIn(raised, SMALL_BOAT).cill).toBeCloseTo(0.5, 9);
    expect(fit.water).toBeCloseTo(1.4 - 0.75, 9);
    expect(
      hangUps(chamber(), lockAtRest(chamber(), 'upper'), { ...SMALL_BOAT, fromUpper: 4 }),
    ).toMatchObject([{ is: 'in the gates', end: 'lower' }]);
  });

  it('is pulled less the slower paddles are wound, and less through the ground than by the gate', () => {
    const pull = (first: number, where: 'gate' | 'ground', winding: number) => {
      const base = chamber({}, winding);
      const lock = { ...base, paddles: base.paddles.map((p) => ({ ...p, where })) };
      return simulateFill(lock, 'upper', first, SMALL_BOAT)!.pull;
    };
    expect(pull(0.25, 'gate', 20)).toBeLessThan(pull(1, 'gate', 20));
    expect(pull(1, 'ground', 40)).toBeLessThan(pull(1, 'gate', 40));
    expect(pull(1, 'ground', 60)).toBeLessThan(pull(1, 'ground', 5));
    const still = lockAtRest(chamber(), 'lower');
    expect(pullOnBoat(chamber(), still, SMALL_BOAT)).toBe(0);
  });

  it('the pace proposed is the quickest that hands can hold, or the gentlest there is', () => {
    const lock = chamber({}, 30);
    const chosen = gentlest(lock, 'upper', SMALL_BOAT)!;
    const full = simulateFill(lock, 'upper', 1, SMALL_BOAT)!;
    expect(chosen.pull).toBeLessThanOrEqual(full.pull);
    expect(chosen.seconds).toBeGreaterThanOrEqual(full.seconds);
  });

  it('her rope is long enough there and back at the bottom', () => {
    const rope = lineLength(chamber(), 3.1, 2, 0.9);
    expect(rope).toBeCloseTo(2 * Math.hypot(3.1 - 0 - 0.9, 2) + 2, 9);
  });

  it('its area is that of the chamber of the exact checks', () => {
    expect(chamberArea(chamber())).toBe(48);
  });
});
