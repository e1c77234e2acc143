import { massFromMatrix, massRow } from '../boat';
import { deepWater } from '../forces';
import { accelerate, PSI, R, U, V, X, Y } from './';
import { bareBody, REFERENCE_HULL, sloop } from '../testing/boats';
import { energy, rig, run } from '../testing/rig';
import { nowRow } from '../testing/rows';

// Exact checks B (motions), C (energy) and D (wind and current) that this core's forces allow.

describe('B6 first instant', () => {
  it('accelerates by the mass matrix', () => {
    const rates = new Float64Array(6);
    const mass = massRow(massFromMatrix(5250, 9000, 0, 40500));
    const force = Float64Array.from([1000, 500, -4 * 500]);
    accelerate(rates, mass, deepWater(), force, nowRow(0, 0, 0), null);
    expect(rates[U]).toBeCloseTo(0.19047619, 6);
    expect(rates[V]).toBeCloseTo(0.055555556, 6);
    expect(rates[R]).toBeCloseTo(-0.049382716, 6);
  });

  it('B7 pivots at first about −I/(m2 x)', () => {
    const rates = new Float64Array(6);
    accelerate(
      rates,
      massRow(massFromMatrix(5250, 9000, 0, 40500)),
      deepWater(),
      Float64Array.from([0, 1, 3.78]),
      nowRow(0, 0, 0),
      null,
    );
    expect(-rates[V]! / rates[R]!).toBeCloseTo(-1.1904762, 6);
  });
});

it('held back by what sticks, she answers as heavier by that matrix', () => {
  const mass = massRow(massFromMatrix(5250, 9000, 700, 40500));
  const stick = Float64Array.from([3000, -500, 800, 4000, -900, 60000]);
  const force = Float64Array.from([120, -340, 560]);
  const rates = new Float64Array(6);
  accelerate(rates, mass, deepWater(), force, nowRow(0, 0, 0), stick);
  const [u, v, r] = [rates[U]!, rates[V]!, rates[R]!];
  expect((5250 + 3000) * u - 500 * v + 800 * r).toBeCloseTo(120, 9);
  expect(-500 * u + (9000 + 4000) * v + (700 - 900) * r).toBeCloseTo(-340, 9);
  expect(800 * u + (700 - 900) * v + (40500 + 60000) * r).toBeCloseTo(560, 9);
});

describe('C ideal fluid', () => {
  const body = bareBody(REFERENCE_HULL);

  it('C1 conserves energy and the impulse in the world over a minute', () => {
    const r = rig(body, { u: 1.2, v: 0.4, r: 0.15, heading: 0.3 });
    const { m11, m22 } = r.world.craft.mass;
    const impulse = () => {
      const { motion } = r.state;
      const s = Math.sin(motion[PSI]!);
      const c = Math.cos(motion[PSI]!);
      const p = m11 * motion[U]!;
      const q = m22 * motion[V]!;
      return [p * s + q * c, p * c - q * s];
    };
    const before = energy(r);
    const [e0, n0] = impulse();
    run(r, 60);
    expect(Math.abs(energy(r) / before - 1)).toBeLessThan(2e-10);
    const [e1, n1] = impulse();
    expect(Math.hypot(e1! - e0!, n1! - n0!) / Math.hypot(e0!, n0!)).toBeLessThan(1e-7);
  });

  it('C1 Coriolis terms do no work whatever the Munk factor and centre of gravity', () => {
    for (const munkFactor of [0, 0.5, 1]) {
      const r = rig(bareBody({ ...REFERENCE_HULL, munkFactor, xG: 0.4 }), {
        u: 1,
        v: -0.5,
        r: 0.2,
      });
      const before = energy(r);
      run(r, 60);
      expect(Math.abs(energy(r) / before - 1)).toBeLessThan(1e-9);
    }
  });

  it('C2 swings about broadside with the period of the Munk moment', () => {
    const r = rig(body, { v: 1, r: 1e-4 });
    const crossings: number[] = [];
    let last = r.state.motion[R]!;
    run(r, 40, () => {
      const now = r.state.motion[R]!;
      if (last > 0 && now <= 0) crossings.push(r.state.time - 0.05 * (now / (now - last)));
      last = now;
    });
    expect(crossings[1]! - crossings[0]!).toBeCloseTo(15.77067, 2);
  });

  it('C2 bow first she is unstable, growing at the known rate', () => {
    const r = rig(body, { u: 1, r: 1e-6 });
    run(r, 20);
    const early = r.state.motion[R]!;
    run(r, 10);
    expect(Math.log(r.state.motion[R]! / early) / 10 / 0.23240556).toBeCloseTo(1, 3);
  });
});

describe('C3 a boat left alone only loses energy', () => {
  it('through every drift angle and turn', () => {
    for (let i = 0; i < 24; i++) {
      const a = (i / 24) * 2 * Math.PI;
      const r = rig(sloop(), {
        u: 1.5 * Math.cos(a),
        v: 1.5 * Math.sin(a),
        r: 0.3 * Math.sin(5 * a),
      });
      let last = energy(r);
      run(r, 30, () => {
        const now = energy(r);
        expect(now).toBeLessThanOrEqual(last * (1 + 1e-12));
        last = now;
      });
    }
  });
});

describe('D wind and current', () => {
  // Area and drag chosen so that q of the check, 0.0491947, comes out: beam on, no yaw lever.
  function beamBoat() {
    const boat = bareBody({
      draughts: Float64Array.from([-4, 1, 4, 1]),
      crossFlowDrag: 1,
      addedYaw: 1e6,
    });
    return {
      ...boat,
      windage: {
        frontalArea: 0,
        lateralArea: 18,
        frontalDrag: 1,
        sternDrag: 1,
        sideDrag: 0.9,
        centreX: 0,
        centreHeight: 10,
        centreShift: 0,
      },
    };
  }

  it('D1 drifts at V q/(1 + q): apparent wind, not true', () => {
    const r = rig(beamBoat(), { weather: { windFrom: -Math.PI / 2, windSpeed: 10 } });
    run(r, 120);
    expect(r.state.motion[V]! / 0.46888088).toBeCloseTo(1, 3);
  });

  it('D2 still air holds a drifting boat back in a current', () => {
    const r = rig(beamBoat(), { weather: { currentSet: Math.PI / 2, currentSpeed: 1.5 } });
    run(r, 300);
    const x = r.state.motion[X]!;
    run(r, 10);
    expect((r.state.motion[X]! - x) / 10 / 1.4296679).toBeCloseTo(1, 3);
  });

  it('D4 wind is named by where it comes from', () => {
    const pushes = [0, 90, 180, 270].map((from) => {
      const r = rig(sloop(), { weather: { windFrom: (from * Math.PI) / 180, windSpeed: 8 } });
      run(r, 5);
      return [Math.round(r.state.motion[Y]! * 10), Math.round(r.state.motion[X]! * 10)].map(
        Math.sign,
      );
    });
    expect(pushes.map(([north]) => north)[0]).toBe(-1);
    expect(pushes[1]![1]).toBe(-1);
    expect(pushes[2]![0]).toBe(1);
    expect(pushes[3]![1]).toBe(1);
  });

  it('D5 the bow falls off down-wind when the wind centre lies ahead, and comes up when it lies abaft', () => {
    const turned = (centreX: number) => {
      const boat = beamBoat();
      const free = {
        ...boat,
        hull: { ...boat.hull, addedYaw: 0.6, xG: 0 },
        windage: { ...boat.windage, centreX },
      };
      // Wind from port, abeam.
      const r = rig(free, { weather: { windFrom: -Math.PI / 2, windSpeed: 8 } });
      run(r, 2);
      return r.state.motion[PSI]!;
    };
    expect(turned(0.5)).toBeGreaterThan(1e-4);
    expect(turned(-0.5)).toBeLessThan(-1e-4);
    expect(Math.abs(turned(0))).toBeLessThan(1e-9);
  });

  it('G5 hangs over the ground when her thrust meets her drag at the current’s speed', () => {
    const speed = 1.5;
    const boat = sloop();
    const hung = rig(boat, {
      u: speed,
      weather: { currentSet: Math.PI, currentSpeed: speed, windFrom: 0, windSpeed: 0 },
    });
    const free = rig(boat, { u: speed });
    for (const r of [hung, free]) {
      const engine = r.state.engines[0]!;
      engine.orderedGear = engine.engaged = 1;
      engine.throttle = 0.12;
      run(r, 90);
    }
    // Through the water the boat does as it would without a current but for the still air; over the ground the difference.
    const through = hung.state.motion[U]!;
    expect(Math.abs(through / free.state.motion[U]! - 1)).toBeLessThan(0.05);
    const north = hung.state.motion[Y]!;
    run(hung, 10);
    expect((hung.state.motion[Y]! - north) / 10 / (through - speed)).toBeCloseTo(1, 3);
  });

  it('twice the wind is four times the push', () => {
    const push = (windSpeed: number) => {
      const r = rig(sloop(), { weather: { windFrom: 1, windSpeed } });
      run(r, 0.05);
      return r.state.motion[V]!;
    };
    expect(push(8) / push(4)).toBeCloseTo(4, 2);
  });
});
