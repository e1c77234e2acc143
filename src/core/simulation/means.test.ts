import { shelterShare, gustSeries } from '../air';
import { addBankEffect, deepWater, SHALLOW, shallowFactors } from '../forces';
import { solidObstacle } from '../holding';
import { seriesAt } from '../math';
import { fleetCraft } from '@/document/testing/fleet';
import { sloop } from '../testing/boats';
import { rig, run } from '../testing/rig';
import { workRow } from '../testing/rows';
import { OpenWater, turningCircle } from '../trials';
import { orderThruster, PSI, R, releaseJoystick, U, V, windAt } from './';

// Thrusters, joystick and engine limits; gusts, shelter, shallow water and banks.

describe('thrusters', () => {
  const craft = fleetCraft('lantern');

  it('push the bow their own way, wait before reversing, and only know off and full when they are switches', () => {
    const water = OpenWater.of(craft);
    water.thruster(0, 0.3);
    expect(water.state.thrusters[0]!.ordered).toBe(0);
    water.thruster(0, 1);
    water.run(3);
    expect(water.heading).toBeGreaterThan(0.03);
    water.thruster(0, -1);
    water.run(0.9);
    expect(water.state.thrusters[0]!.power).toBeGreaterThanOrEqual(0);
    water.run(3);
    expect(water.state.thrusters[0]!.power).toBeLessThan(-0.9);
  });

  it('cut out hot and come back cooled', () => {
    const water = OpenWater.of(craft);
    water.thruster(0, 1);
    expect(water.until(() => water.state.thrusters[0]!.cut, 300)).toBe(true);
    expect(water.time).toBeGreaterThan(150);
    water.run(5);
    expect(Math.abs(water.state.thrusters[0]!.power)).toBeLessThan(0.01);
    water.thruster(0, 0);
    expect(water.until(() => !water.state.thrusters[0]!.cut, 1200)).toBe(true);
  });
});

describe('the joystick', () => {
  const craft = fleetCraft('ottoline');
  const sideways = (wind = 0) => {
    const water = OpenWater.of(craft, { weather: { windFrom: Math.PI / 2, windSpeed: wind } });
    Object.assign(water.state.joystick, { active: true, sway: 0.8 });
    water.run(25);
    return water;
  };

  it('walks her sideways without much way or turning, with each leg at an angle of its own', () => {
    const water = sideways();
    expect(water.x).toBeGreaterThan(1.5);
    expect(Math.abs(water.y)).toBeLessThan(0.5 * water.x);
    const [, port, starboard] = water.state.angles;
    expect(port! * starboard!).toBeLessThan(0);
  });

  it('knows nothing of the wind, and loses ground to it', () => {
    expect(sideways(9).x).toBeLessThan(0.8 * sideways().x);
  });

  it('pulses gears below idle thrust, and lets everything go when released', () => {
    const water = OpenWater.of(craft);
    Object.assign(water.state.joystick, { active: true, surge: 0.04 });
    const gears = new Set<number>();
    water.until(() => {
      gears.add(water.state.engines[0]!.engaged);
      return false;
    }, 30);
    expect(gears).toEqual(new Set([0, 1]));
    releaseJoystick(water.state, craft);
    water.run(4);
    expect(water.state.engines.every((e) => e.engaged === 0 && e.orderedGear === 0)).toBe(true);
    orderThruster(water.state.thrusters[0]!, craft.spec.thrusters[0]!, 0);
  });
});

describe('an engine', () => {
  it('cannot turn its screw faster at rest than its torque allows, and gains as way comes on', () => {
    const craft = fleetCraft('dunlin-hatch');
    const drive = craft.spec.drives[0]!;
    const water = OpenWater.of(craft);
    water.engine(1, 1);
    water.run(3);
    expect(water.state.engines[0]!.rps).toBeLessThan(1.05 * drive.bollardRps);
    water.run(60);
    expect(water.state.engines[0]!.rps).toBeGreaterThan(1.02 * drive.bollardRps);
    expect(water.state.engines[0]!.rps).toBeLessThanOrEqual(drive.fullRps * (1 + 1e-9));
  });

  it('that refuses a gear stays in neutral', () => {
    const water = OpenWater.of(fleetCraft('quince'));
    water.state.engines[0]!.refuses = -1;
    water.engine(-1, 0.5);
    water.run(8);
    expect(water.state.engines[0]!.engaged).toBe(0);
    water.engine(1, 0);
    water.run(2);
    expect(water.state.engines[0]!.engaged).toBe(1);
  });
});

describe('gusts', () => {
  const gusts = { intensity: 0.2, timeScale: 6, seed: 7 };

  it('have the mean and spread asked for, are forgotten over their time, and repeat with their seed', () => {
    const { strength } = gustSeries(gusts, 20000);
    const values = [...strength.values];
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    const spread = Math.sqrt(values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length);
    expect(mean).toBeCloseTo(1, 1);
    expect(spread).toBeCloseTo(0.2, 1);
    const lag = 12;
    const kept =
      values.slice(lag).reduce((a, v, i) => a + (v - mean) * (values[i]! - mean), 0) /
      (values.length - lag) /
      (spread * spread);
    expect(kept).toBeGreaterThan(0.25);
    expect(kept).toBeLessThan(0.5);
    expect(gustSeries(gusts, 20000).strength.values).toEqual(strength.values);
    expect(gustSeries({ ...gusts, seed: 8 }, 60).strength.values[9]).not.toBe(values[9]);
  });

  it('and changes of wind reach the boat when they come', () => {
    const later = { times: Float64Array.from([0, 10]), values: Float64Array.from([1, 2]) };
    const r = rig(sloop(), { weather: { windFrom: 1, windSpeed: 5, windStrength: later } });
    const wind = new Float64Array(2);
    windAt(wind, r.world.environment, 5);
    expect(wind[1]).toBeCloseTo(7.5, 9);
    expect(seriesAt(later, 99)).toBe(2);
    run(r, 20);
    const steady = rig(sloop(), { weather: { windFrom: 1, windSpeed: 5 } });
    run(steady, 20);
    const push = (x: typeof r) => Math.hypot(x.state.motion[U]!, x.state.motion[V]!);
    expect(push(r)).toBeGreaterThan(1.3 * push(steady));
  });
});

describe('shelter', () => {
  const shed = [{ outline: Float64Array.from([0, 0, 20, 0, 20, 8, 0, 8]), height: 6, porosity: 0 }];
  // Wind from the south blows north.
  const share = (x: number, y: number) => shelterShare(shed, x, y, 0, 1, 1.5);

  it('is deepest close behind, fades over its heights, and leaves the rest alone', () => {
    expect(share(10, 9)).toBeLessThan(0.3);
    expect(share(10, 60)).toBeGreaterThan(share(10, 20));
    expect(share(10, -5)).toBe(1);
    expect(share(60, 20)).toBe(1);
    expect(share(10, 300)).toBe(1);
  });

  it('turns a boat whose stern lies in it and bow does not', () => {
    const weather = { windFrom: Math.PI, windSpeed: 9 };
    // Heading west, the wind from the south abeam to port; the boat's stern in the lee of the shed.
    const at = { x: -1, y: 12, heading: -Math.PI / 2 };
    const half = rig(sloop(), { ...at, weather: { ...weather, windbreaks: shed } });
    const open = rig(sloop(), { ...at, weather });
    run(half, 6);
    run(open, 6);
    // Wind on the bow alone blows the bow down-wind: north, to starboard.
    expect(half.state.motion[PSI]!).toBeGreaterThan(open.state.motion[PSI]! + 0.02);
  });
});

describe('shallow and confined water', () => {
  it('grows everything as the figures have it, and nothing in deep water', () => {
    const row = deepWater();
    const sway = [2, 1.5, 1.2, 1.1].map((ratio) => {
      shallowFactors(row, 1, ratio);
      return row[SHALLOW.SWAY_MASS]!;
    });
    [1.3, 1.8, 2.8, 4].forEach((known, i) =>
      expect(Math.abs(sway[i]! / known - 1)).toBeLessThan(0.12),
    );
    shallowFactors(row, 1, 1000);
    row.forEach((factor) => expect(factor).toBeCloseTo(1, 4));
  });

  it('widens a ship’s turn about half as much again at a fifth of her draught under the keel', () => {
    const craft = fleetCraft('corvina');
    const deep = turningCircle(craft, 1, 0, 1, 3)!;
    const water = OpenWater.of(craft, {
      speed: 3,
      weather: { depth: 1.2 * craft.spec.hull.draught },
    });
    water.engine(1, 0);
    water.until(() => water.time > 26, 60);
    const x0 = water.x;
    water.wheel(1);
    water.until(() => water.heading >= Math.PI, 4000);
    const ratio = Math.abs(water.x - x0) / deep.diameter;
    expect(ratio).toBeGreaterThan(1.15);
    expect(ratio).toBeLessThan(1.9);
  });

  it('pulls her to the nearer bank and pushes the bow off it, with the square of her speed', () => {
    const force = (u: number, port: number, starboard: number) => {
      const f = new Float64Array(3);
      const hull = { length: 20, beam: 4, draught: 1 };
      addBankEffect(
        f,
        hull,
        workRow({ SURGE: u, DENSITY: 1000 }),
        Float64Array.of(port, starboard),
      );
      return f;
    };
    const near = force(2, 20, 1);
    expect(near[1]).toBeGreaterThan(0);
    expect(near[2]).toBeLessThan(0);
    expect(force(4, 20, 1)[1]! / near[1]!).toBeCloseTo(4, 9);
    expect(force(2, 3, 3)[1]).toBeCloseTo(0, 12);
    const mirror = force(2, 1, 20);
    expect(mirror[1]).toBeCloseTo(-near[1]!, 9);
  });

  it('slows a boat in a canal that is hardly wider than she is', () => {
    const wall = (y: number) =>
      solidObstacle(`w${y}`, 'w', Float64Array.from([-400, y, 400, y, 400, y + 3, -400, y + 3]), {
        friction: 0.4,
        stiffness: 1e6,
      });
    const coast = (confined: boolean) => {
      const r = rig(sloop(), {
        heading: Math.PI / 2,
        u: 1.5,
        obstacles: [wall(3), wall(-6)],
        weather: { depth: 2.2, confined },
      });
      run(r, 15);
      return r.state.motion[U]!;
    };
    expect(coast(true)).toBeLessThan(0.97 * coast(false));
    expect(Math.abs(rig(sloop()).state.motion[R]!)).toBe(0);
  });
});
