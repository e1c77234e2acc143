import { orderEngine, orderRudder, PSI, R, U, X, type Gear } from './';
import { sloop } from '../testing/boats';
import { rig, run, type Rig, type RigOptions } from '../testing/rig';

// Signs a handler would check (F3), read on heading and on where the stern goes, not on rates alone.

const DEG = Math.PI / 180;
const STERN_X = -5;

function drive(r: Rig, gear: Gear, throttle: number, rudder = 0): void {
  orderEngine(r.state.engines[0]!, r.world.craft.spec.drives[0]!, gear, throttle);
  orderRudder(r.state, r.world.craft, rudder * DEG);
}

function after(
  seconds: number,
  gear: Gear,
  throttle: number,
  rudder: number,
  options: RigOptions = {},
  hand: 1 | -1 = 1,
) {
  const r = rig(sloop(hand), options);
  drive(r, gear, throttle, rudder);
  run(r, seconds);
  const { motion } = r.state;
  return {
    turned: motion[PSI]! / DEG,
    rate: motion[R]! / DEG,
    way: motion[U]!,
    // Sideways travel of the stern to starboard; the boat starts heading north at the origin.
    stern: motion[X]! + STERN_X * Math.sin(motion[PSI]!),
  };
}

describe('F3 rudder and propeller', () => {
  it('turns the bow the way of the wheel going ahead, the other way going astern', () => {
    expect(after(4, 0, 0, 20, { u: 1.5 }).turned).toBeGreaterThan(3);
    expect(after(4, 0, 0, 20, { u: -1.5 }).turned).toBeLessThan(-1);
  });

  it('kicks the stern before she gathers way', () => {
    const kick = after(3, 1, 0.5, 35);
    expect(kick.turned).toBeGreaterThan(1);
    expect(kick.stern).toBeLessThan(0);
    expect(kick.rate).toBeGreaterThan(2);
    expect(kick.way).toBeLessThan(0.514);
  });

  it('does nothing with the wheel alone at rest', () => {
    expect(after(5, 0, 0, 35).turned).toBe(0);
  });

  it.each([
    ['right-handed', 1],
    ['left-handed', -1],
  ] as const)('walks: %s propeller astern from rest', (_, hand) => {
    const astern = after(5, -1, 0.8, 0, {}, hand);
    const amount = hand * astern.turned;
    expect(hand * astern.stern).toBeLessThan(0);
    expect(amount).toBeGreaterThan(2);
    expect(amount).toBeLessThan(15);
    const ahead = after(5, 1, 0.8, 0, {}, hand);
    expect(hand * ahead.stern).toBeGreaterThan(0);
    expect(Math.abs(ahead.turned)).toBeLessThan(Math.abs(astern.turned));
  });

  it('hardly minds the wheel going astern from rest', () => {
    const amidships = after(3, -1, 0.8, 0).turned;
    const over = after(3, -1, 0.8, 35).turned;
    expect(Math.sign(over)).toBe(Math.sign(amidships));
    expect(Math.abs(over - amidships)).toBeLessThan(0.5 * Math.abs(amidships));
  });

  it('steers on the water, not on the ground, when she hangs in a current', () => {
    const hanging = after(4, 0, 0, 20, {
      u: 1.5,
      weather: { currentSet: Math.PI, currentSpeed: 1.5 },
    });
    expect(hanging.turned).toBeGreaterThan(3);
  });
});

describe('gearbox and wheel', () => {
  it('takes the neutral pause between ahead and astern, and only the shift otherwise', () => {
    const r = rig(sloop());
    const engine = r.state.engines[0]!;
    const waits = (gear: Gear) => {
      drive(r, gear, 0);
      const from = r.state.time;
      while (engine.engaged !== gear) run(r, 0.05);
      return r.state.time - from;
    };
    expect(waits(1)).toBeCloseTo(0.5, 1);
    run(r, 3);
    expect(waits(-1)).toBeCloseTo(1.5, 1);
    drive(r, 0, 0);
    run(r, 5);
    expect(waits(1)).toBeCloseTo(0.5, 1);
  });

  it('declutches at once and lets the shaft run down', () => {
    const r = rig(sloop());
    drive(r, 1, 0.5);
    run(r, 4);
    const driving = r.state.engines[0]!.rps;
    drive(r, 0, 0);
    run(r, 1.5);
    expect(r.state.engines[0]!.rps).toBeLessThan(0.05 * driving);
  });

  it('turns the wheel at its rate and no further than the lock', () => {
    const r = rig(sloop());
    drive(r, 0, 0, 80);
    run(r, 1);
    expect(r.state.angles[0]! / DEG).toBeCloseTo(22, 6);
    run(r, 1);
    expect(r.state.angles[0]! / DEG).toBeCloseTo(35, 6);
  });
});

describe('speeds of the class', () => {
  it('idles ahead at 1.5 to 3.2 knots and stops from 3 knots in 0.7 to 2 lengths at 60 % astern', () => {
    expect(after(120, 1, 0, 0).way / 0.514444).toBeGreaterThan(1.5);
    expect(after(120, 1, 0, 0).way / 0.514444).toBeLessThan(3.2);
    const r = rig(sloop(), { u: 3 * 0.514444 });
    drive(r, -1, 0.6);
    let run_m = 0;
    while (r.state.motion[U]! > 0) run(r, 0.05, () => (run_m += 0.05 * r.state.motion[U]!));
    expect(run_m / 10).toBeGreaterThan(0.7);
    expect(run_m / 10).toBeLessThan(2);
  });

  it('carries 4 to 15 lengths in neutral from 2 knots to half a knot', () => {
    const r = rig(sloop(), { u: 2 * 0.514444 });
    let carried = 0;
    while (r.state.motion[U]! > 0.5 * 0.514444)
      run(r, 0.05, () => (carried += 0.05 * r.state.motion[U]!));
    expect(carried / 10).toBeGreaterThan(4);
    expect(carried / 10).toBeLessThan(15);
  });
});
