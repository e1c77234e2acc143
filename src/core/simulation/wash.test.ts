import { box } from '../testing/boxes';
import { sloop } from '../testing/boats';
import { rig, run, type RigOptions } from '../testing/rig';
import {
  companyOf,
  Ledger,
  orderEngine,
  PSI,
  stepTogether,
  V,
  vesselOf,
  WORKS,
  X,
  Y,
  type Vessel,
  type Weather,
} from './';

// What wash does to boats as they are run: own wash off a quay, on a neighbour, and the wind another boat keeps off.

const boat = { ...sloop(1), fenders: [] };
const half = boat.hull.beam / 2;
const SCREWS = { screws: true, passing: [], times: 1 };

/** Full astern for some seconds with a quay so far off to a side (1 to starboard). */
function astern(gap: number, side: 1 | -1, wash: Weather['wash'], heading = 0): Vessel {
  const quay =
    side > 0
      ? box('quay', half + gap, -60, half + gap + 8, 60)
      : box('quay', -half - gap - 8, -60, -half - gap, 60);
  const options: RigOptions = {
    obstacles: [quay],
    weather: { ...(wash ? { wash } : {}) },
    heading,
  };
  const one = rig(boat, options);
  orderEngine(one.state.engines[0]!, boat.drives[0]!, -1, 0.4);
  run(one, 6);
  return one;
}

/** How far the stern has gone to starboard, m. */
const sternAside = ({ state }: Vessel) =>
  state.motion[X]! - 0.5 * boat.hull.length * Math.sin(state.motion[PSI]!);

describe('her own wash', () => {
  it('going astern alongside pushes the quarter off, either side; without it only her walk is left', () => {
    for (const side of [1, -1] as const) {
      const with_ = sternAside(astern(0.4, side, SCREWS));
      const without = sternAside(astern(0.4, side, undefined));
      expect(-side * (with_ - without)).toBeGreaterThan(0.03);
    }
  });

  it('is not felt far from the quay', () => {
    const far = astern(9, 1, SCREWS);
    const without = astern(9, 1, undefined);
    expect([...far.state.motion]).toEqual([...without.state.motion]);
  });

  it('is booked as work of its own', () => {
    const quay = box('quay', half + 0.4, -60, half + 8, 60);
    const { world, state } = rig(boat, { obstacles: [quay], weather: { wash: SCREWS } });
    const ledger = new Ledger();
    const one = vesselOf(world, state, { ledger });
    orderEngine(state.engines[0]!, boat.drives[0]!, -1, 0.4);
    run(one, 6);
    expect(ledger.work[WORKS.indexOf('wash')]).not.toBe(0);
  });
});

describe('wash on a neighbour', () => {
  /** One boat going ahead against a spring of its own weight in front of another that lies abaft it, for some seconds. */
  const pushed = (gear: 1 | -1 | 0, wash: Weather['wash']) => {
    const weather = wash ? { wash } : {};
    const busy = rig(boat, { weather });
    // Across the jet, two lengths astern.
    const idle = rig(boat, { weather, x: 0, y: -2 * boat.hull.length, heading: Math.PI / 2 });
    if (gear !== 0) orderEngine(busy.state.engines[0]!, boat.drives[0]!, gear, 0.4);
    const all = companyOf([busy, idle]);
    for (let i = 0; i < 160; i++) stepTogether(all, 0.05);
    return idle.state;
  };

  it('drives it away when it is turned at it, and only then', () => {
    expect(pushed(1, SCREWS).motion[Y]!).toBeLessThan(-2 * boat.hull.length - 0.01);
    expect(pushed(1, SCREWS).motion[V]!).toBeGreaterThan(0);
    const still = pushed(0, SCREWS).motion;
    expect(still[Y]).toBeCloseTo(-2 * boat.hull.length, 9);
    expect(pushed(1, undefined).motion[Y]).toBeCloseTo(-2 * boat.hull.length, 9);
    expect(pushed(-1, SCREWS).motion[Y]).toBeCloseTo(-2 * boat.hull.length, 9);
  });
});

describe('the wind another boat keeps off', () => {
  /** How far a boat drifts in a breeze from the west with another so far up-wind of it. */
  const drifted = (off: number, boatsShelter: boolean) => {
    const weather = { windFrom: 1.5 * Math.PI, windSpeed: 8, boatsShelter };
    const lee = rig(boat, { weather });
    const big = {
      ...boat,
      windage: { ...boat.windage, lateralArea: 6 * boat.windage.lateralArea },
    };
    const luff = rig(big, { weather: { ...weather, windSpeed: 0 }, x: -off });
    const all = companyOf([lee, luff]);
    for (let i = 0; i < 200; i++) stepTogether(all, 0.05);
    return lee.state.motion[X]!;
  };

  it('is kept off close in its lee, and less the further off it lies', () => {
    const open = drifted(6, false);
    expect(drifted(6, true)).toBeLessThan(0.7 * open);
    expect(drifted(40, true)).toBeGreaterThan(drifted(6, true));
    expect(drifted(400, true)).toBeCloseTo(open, 6);
  });

  it('comes back as it moves away', () => {
    const weather = { windFrom: 1.5 * Math.PI, windSpeed: 8, boatsShelter: true };
    const lee = rig(boat, { weather });
    const luff = rig(boat, { weather: { ...weather, windSpeed: 0 }, x: -5, u: 3 });
    const all = companyOf([lee, luff]);
    const air: number[] = [];
    for (let i = 0; i < 160; i++) {
      stepTogether(all, 0.05);
      if (i % 40 === 0) air.push(Math.abs(lee.scratch.air[0]!));
    }
    expect(air[0]).toBeLessThan(0.9 * air.at(-1)!);
  });
});
