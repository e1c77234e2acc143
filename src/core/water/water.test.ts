import { solidObstacle } from '../holding';
import { headAfter, jointArea, paddleFlow, timeToLevel } from '../testing/lock-formulas';
import { ferryGlide, firstOrderTurn, rateOnCircle, wheelOver } from '../brief';
import { pointOnWater, PSI, X, Y } from '../simulation';
import { sloop } from '../testing/boats';
import { rig, run } from '../testing/rig';
import {
  bridgeClearance,
  cosineTide,
  limitFroude,
  limitSpeed,
  returnFlow,
  squat,
  setStrength,
  CURRENT,
  CURRENT_COLUMNS,
  currentAt,
  currentField,
  twelfths,
  underKeel,
} from './';

const DEGREE = Math.PI / 180;

describe('E kinematics', () => {
  it('E1 ferry glide', () => {
    const square = ferryGlide(2, 1, 90 * DEGREE)!;
    expect(square.crab / DEGREE).toBeCloseTo(30, 9);
    expect(square.speed).toBeCloseTo(1.7320508, 6);
    expect(50 / square.speed).toBeCloseTo(28.867513, 4);
    const slant = ferryGlide(2, 1, 60 * DEGREE)!;
    expect(slant.crab / DEGREE).toBeCloseTo(25.658906, 5);
    expect(slant.speed).toBeCloseTo(2.3027756, 6);
    expect(ferryGlide(1, 2, 90 * DEGREE)).toBeNull();
  });

  it('E1 is what the boat does: heading 30° up-stream at twice the current, she crosses square', () => {
    const r = rig(sloop(), {
      heading: -30 * DEGREE,
      u: 2,
      weather: { currentSet: 90 * DEGREE, currentSpeed: 1 },
    });
    run(r, 0.05);
    expect(Math.abs(r.state.motion[X]!)).toBeLessThan(0.002);
    expect(Math.abs(r.state.motion[Y]! / 0.05 / 1.7320508 - 1)).toBeLessThan(0.002);
  });

  it('E3 wheel-over, rate of turn and first-order turning', () => {
    expect(wheelOver(40, 90 * DEGREE, 10)).toBeCloseTo(50, 6);
    expect(wheelOver(40, 60 * DEGREE, 10)).toBeCloseTo(33.094011, 5);
    expect((rateOnCircle(2, 40) / DEGREE) * 60).toBeCloseTo(171.88734, 4);
    const turn = firstOrderTurn(0.1, 4, 20, 15);
    expect(turn.heading).toBeCloseTo(22.188142, 5);
    expect(turn.rate).toBeCloseTo(1.9529645, 6);
  });

  it('E4 a point aboard goes where its lever takes it', () => {
    const r = rig(sloop(), { u: 1, v: -0.2, r: 0.1 });
    const before = pointOnWater(r.state, -5, 2);
    const { motion } = r.state;
    // A moment on by hand: north is ahead, east to starboard.
    motion[X]! += 1e-6 * -0.2;
    motion[Y]! += 1e-6 * 1;
    motion[PSI]! += 1e-6 * 0.1;
    const after = pointOnWater(r.state, -5, 2);
    expect((after.y - before.y) / 1e-6).toBeCloseTo(0.8, 4);
    expect((after.x - before.x) / 1e-6).toBeCloseTo(-0.7, 4);
  });
});

describe('K locks', () => {
  const paddles = { discharge: 0.62, area: 0.3, opening: 0 };

  it('K1 level along a parabola', () => {
    expect(timeToLevel(paddles, 48, 2.5)).toBeCloseTo(184.26929, 4);
    expect(headAfter(paddles, 48, 2.5, 184.26929 / 2)).toBeCloseTo(0.625, 6);
    expect(headAfter(paddles, 48, 2.5, 60)).toBeCloseTo(1.1370033, 6);
    expect(headAfter(paddles, 48, 2.5, 1000)).toBe(0);
    expect(paddleFlow(paddles, 1, 2.5)).toBeCloseTo(1.3024417, 6);
    expect(paddleFlow(paddles, 1, -2.5)).toBeCloseTo(-1.3024417, 6);
    expect(timeToLevel({ ...paddles, opening: 60 }, 48, 2.5)).toBeCloseTo(214.26929, 4);
  });

  it('K2 two chambers level as one of their joint area', () => {
    expect(jointArea(48, 48)).toBe(24);
    expect(jointArea(48, Infinity)).toBe(48);
    expect(timeToLevel(paddles, jointArea(48, 48), 2.5)).toBeCloseTo(92.134644, 4);
    expect(timeToLevel(paddles, jointArea(48, 96), 2.5)).toBeCloseTo(122.84619, 4);
  });
});

describe('L level, clearance, confined water', () => {
  it('L1 twelfths and cosine', () => {
    const known = [0, 1, 3, 6, 9, 11, 12];
    known.forEach((n, hour) => expect(twelfths(hour, 6)).toBeCloseTo(n / 12, 12));
    const cosines = [0, 0.066987298, 0.25, 0.5, 0.75, 0.9330127, 1];
    cosines.forEach((share, hour) => expect(cosineTide(hour, 6)).toBeCloseTo(share, 8));
    let worst = 0;
    for (let t = 0; t <= 6; t += 0.001)
      worst = Math.max(worst, Math.abs(twelfths(t, 6) - cosineTide(t, 6)));
    expect(worst).toBeCloseTo(0.025550977, 5);
  });

  it('L2 bridge and keel', () => {
    expect(bridgeClearance(8, 5.2, 3.1, 9.4)).toBeCloseTo(0.7, 12);
    expect(bridgeClearance(8, 5.2, 3.3, 9.4)).toBeCloseTo(0.5, 12);
    expect(underKeel(1.2, 3.1, 1.9, 0.02, 0.1)).toBeCloseTo(2.28, 12);
    // A height that dries is a negative depth.
    expect(underKeel(-0.5, 3.1, 1.9)).toBeCloseTo(0.7, 12);
  });

  it('L3 a canal’s limit speed, return flow and drawdown', () => {
    expect(limitFroude(1.144 / 14)).toBeCloseTo(0.65799176, 6);
    expect(limitSpeed(1.144, 14, 1.2)).toBeCloseTo(2.2572071, 5);
    expect(limitFroude(0.1)).toBeCloseTo(0.62281444, 6);
    expect(limitFroude(0.3)).toBeCloseTo(0.36549401, 6);
    const { flow, drawdown } = returnFlow(1.144, 14, 1.2, 1.2);
    expect(flow / 0.12637681).toBeCloseTo(1, 4);
    expect(drawdown / 0.016278517).toBeCloseTo(1, 4);
  });

  it('L4 squat', () => {
    expect(squat(0.6, 5 * 0.514444, false)).toBeCloseTo(0.15, 9);
    expect(squat(0.6, 5 * 0.514444, true)).toBeCloseTo(0.3, 9);
  });
});

describe('a current that differs from place to place', () => {
  const bank = solidObstacle('b', 'b', Float64Array.from([-60, 20, 60, 20, 60, 30, -60, 30]), {
    friction: 0.5,
    stiffness: 1e5,
  });
  const pattern = {
    shear: 0,
    originX: 0,
    originY: 0,
    banks: [bank.outline!],
    bankWidth: 12,
    structures: [Float64Array.from([-2, -10, 2, -10, 2, -6, -2, -6])],
    strength: null,
    minX: -60,
    minY: -30,
    maxX: 60,
    maxY: 30,
  };
  const at = (x: number, y: number, p = pattern) => {
    const out = new Float64Array(CURRENT_COLUMNS);
    const field = currentField(1, 0, p);
    out[CURRENT.X] = x;
    out[CURRENT.Y] = y;
    setStrength(out, field, 0);
    currentAt(out, field);
    return out[CURRENT.EAST]!;
  };

  it('runs weaker along a bank, slack and a little backwards behind a structure, free elsewhere', () => {
    expect(at(-20, 0)).toBeCloseTo(1, 6);
    expect(at(-20, 18)).toBeLessThan(0.7);
    expect(at(5, -8)).toBeLessThan(0.2);
    expect(at(50, -8)).toBeGreaterThan(0.9);
  });

  it('grows to one side in a shear, and with its strength over time', () => {
    const sheared = { ...pattern, banks: [], structures: [], shear: 0.02 };
    // Setting east, right of the set is south.
    expect(at(0, -20, sheared)).toBeCloseTo(1.4, 2);
    expect(at(0, 20, sheared)).toBeCloseTo(0.6, 2);
  });

  it('carries a boat as a uniform current does where it is uniform, and turns one lying across a shear', () => {
    const still = { ...pattern, banks: [], structures: [] };
    const drift = (current: typeof pattern) => {
      const r = rig(sloop(), { weather: { currentSet: 90 * DEGREE, currentSpeed: 1, current } });
      run(r, 20);
      return r.state.motion;
    };
    const plain = rig(sloop(), { weather: { currentSet: 90 * DEGREE, currentSpeed: 1 } });
    run(plain, 20);
    const field = drift(still);
    expect(field[X]).toBeCloseTo(plain.state.motion[X]!, 6);
    expect(field[PSI]).toBeCloseTo(plain.state.motion[PSI]!, 6);
    // Heading north, more current at the boat's stern (to the south): the stern is carried east, the bow turns to port.
    expect(drift({ ...still, shear: 0.05 })[PSI]!).toBeLessThan(plain.state.motion[PSI]! - 0.05);
  });
});
