import {
  assembleCraft,
  DRIVE,
  FOIL,
  foilRow,
  HULL,
  HULL_COLUMNS,
  liftSlope,
  windShareAt,
} from '../boat';
import { jet, sloop } from '../testing/boats';
import { workRow } from '../testing/rows';
import {
  addCrossFlow,
  addCrossFlowInField,
  addFoil,
  addHullLift,
  addThruster,
  addWind,
  FLOW,
  FLOW_COLUMNS,
  foilForce,
  propellerFlow,
  resistance,
  WORK,
} from './';

const craft = assembleCraft(sloop());
const shaft = craft.spec.drives[0]!;
const drag = (u: number, v = 0, hull = craft.hull) => {
  const work = workRow({ SURGE: u, SWAY: v, DENSITY: 1025 });
  resistance(hull, craft.friction, work);
  return work[WORK.FORCE]!;
};

function thrustAt(u: number, rps: number) {
  const flows = new Float64Array(FLOW_COLUMNS);
  const work = workRow({ SURGE: u, DENSITY: 1025, RPS: rps });
  propellerFlow(flows, 0, craft.drives.values, 0, work);
  return { thrust: flows[FLOW.THRUST]!, driven: flows[FLOW.DRIVEN]! };
}

describe('F1 cross flow by strips', () => {
  it('matches the integral of a box hull', () => {
    const boat = sloop();
    const box = assembleCraft({
      ...boat,
      hull: { ...boat.hull, draughts: Float64Array.from([-4.5, 0.8, 4.5, 0.8]), crossFlowDrag: 1 },
    });
    const cases = [
      [0.5, 0, -922.5, 0],
      [0, 0.2, 0, -3362.5125],
      [1, 0.1, -3939.075, -4981.5],
      [0.2, 0.2, -675.13333, -3691.8792],
    ] as const;
    for (const [v, r, side, turn] of cases) {
      const force = new Float64Array(3);
      addCrossFlow(force, box.strips, workRow({ SWAY: v, YAW: r, DENSITY: 1025 }));
      expect(Math.abs(force[1]! - side)).toBeLessThan(0.01 * 3400);
      expect(Math.abs(force[2]! - turn)).toBeLessThan(0.01 * 4981);
    }
  });
});

describe('cross flow with more at the leading end', () => {
  const led = (u: number, v: number, r = 0) => {
    const boat = sloop();
    const craftOf = (crossFlowLead: number) =>
      assembleCraft({ ...boat, hull: { ...boat.hull, crossFlowLead } });
    return [0, 0.7].map((lead) => {
      const force = new Float64Array(3);
      addCrossFlow(
        force,
        craftOf(lead).strips,
        workRow({ SURGE: u, SWAY: v, YAW: r, DENSITY: 1025 }),
      );
      return force;
    });
  };

  it('moves its centre towards the end that goes first, either way, and not broadside on', () => {
    for (const way of [1, -1]) {
      const [even, more] = led(way, 0.4);
      expect((more![2]! / more![1]! - even![2]! / even![1]!) * way).toBeGreaterThan(0.1);
    }
    const [even, more] = led(0, 0.4);
    expect([...more!]).toEqual([...even!]);
  });

  it('only ever takes energy, and is the same strip by strip', () => {
    const { strips } = assembleCraft({ ...sloop(), hull: { ...sloop().hull, crossFlowLead: 0.9 } });
    for (let i = 1; i < 64; i++) {
      const [u, v, r] = [Math.cos(i), 0.6 * Math.sin(2.3 * i), 0.2 * Math.sin(5.1 * i)];
      const whole = new Float64Array(3);
      addCrossFlow(whole, strips, workRow({ SURGE: u, SWAY: v, YAW: r, DENSITY: 1025 }));
      expect(whole[1]! * v + whole[2]! * r).toBeLessThanOrEqual(0);
      const byStrip = new Float64Array(3);
      const none = new Float64Array(strips.x.length);
      addCrossFlowInField(
        byStrip,
        strips,
        workRow({ SURGE: u, SWAY: v, YAW: r, DENSITY: 1025 }),
        none,
      );
      expect(byStrip[1]! / whole[1]!).toBeCloseTo(1, 9);
      expect(byStrip[2]! - whole[2]!).toBeCloseTo(0, 6);
    }
  });
});

describe('a thruster under way', () => {
  it('loses its side force before its turning moment, and neither at rest', () => {
    const row = thrusterRows();
    const push = (u: number) => {
      const force = new Float64Array(3);
      addThruster(force, row, 0, workRow({ SURGE: u, POWER: 1 }));
      return { side: force[1]!, turn: force[2]! };
    };
    const still = push(0);
    expect(still.turn / still.side).toBeCloseTo(4, 9);
    expect(push(1.5).side / still.side).toBeCloseTo(0.5, 9);
    expect(push(2.75).turn / still.turn).toBeCloseTo(0.5, 9);
    expect(push(-1.5).side).toBe(push(1.5).side);
  });

  const thrusterRows = () =>
    assembleCraft({ ...sloop(), thrusters: [{ ...jet(4, 500), jetSpeed: 5 }] }).thrusters.values;
});

describe('F2 resistance', () => {
  it('opposes way on either way, more going astern', () => {
    const ahead = drag(1.2);
    const astern = drag(-1.2);
    expect(ahead).toBeLessThan(0);
    expect(astern).toBeCloseTo(-ahead * craft.spec.hull.asternFactor, 9);
    expect(drag(0)).toBe(0);
  });
});

describe('hull lift', () => {
  const lift = (u: number, v: number, r: number) => {
    const hull = new Float64Array(HULL_COLUMNS);
    hull[HULL.LIFT] = 1.2;
    hull[HULL.LIFT_ARM] = -2;
    hull[HULL.LIFT_SPREAD2] = 4;
    const force = new Float64Array(3);
    addHullLift(force, hull, workRow({ SURGE: u, SWAY: v, YAW: r, DENSITY: 1000 }));
    return force;
  };

  it('acts abaft the middle whichever way she goes', () => {
    // 1000 · 1.2 · 1 · 0.1 to port; two metres abaft the middle is forward of it when the boat goes astern.
    expect(lift(1, 0.1, 0)[1]).toBeCloseTo(-120, 9);
    expect(lift(1, 0.1, 0)[2]).toBeCloseTo(240, 9);
    expect(lift(-1, 0.1, 0)[1]).toBeCloseTo(-120, 9);
    expect(lift(-1, 0.1, 0)[2]).toBeCloseTo(-240, 9);
  });

  it('resists turning either way, by arm and spread, and takes energy', () => {
    // Turning about the middle: sway of its place −2 r ahead, +2 r astern; 1200 (−2·0.2·−2 … ) as written out.
    expect(lift(1, 0, 0.2)[2]).toBeCloseTo(-1200 * (0.8 + 0.8), 9);
    expect(lift(-1, 0, 0.2)[2]).toBeCloseTo(-1200 * (0.8 + 0.8), 9);
    for (const u of [-2, -0.3, 0.3, 2])
      for (const v of [-0.6, 0, 0.4])
        for (const r of [-0.3, 0, 0.2]) {
          const [x, y, n] = lift(u, v, r);
          expect(x! * u + y! * v + n! * r).toBeLessThanOrEqual(1e-9);
        }
  });
});

describe('thruster', () => {
  const push = (power: number, u: number) => {
    const force = new Float64Array(3);
    addThruster(force, Float64Array.from([4, 900, 5, 0]), 0, workRow({ POWER: power, SURGE: u }));
    return force;
  };

  it('pushes its end, with the square of the power', () => {
    expect([...push(1, 0)]).toEqual([0, 900, 3600]);
    expect([...push(-0.5, 0)]).toEqual([0, -225, -900]);
  });

  it('loses half at three tenths of its jet’s speed, ahead or astern, and ever more', () => {
    expect(push(1, 1.5)[1]).toBeCloseTo(450, 9);
    expect(push(1, -1.5)[1]).toBeCloseTo(450, 9);
    expect(push(1, 0.75)[1]).toBeCloseTo(720, 9);
    expect(push(1, 3)[1]).toBeCloseTo(180, 9);
  });
});

describe('waves', () => {
  it('grow steeply up to the hump and only with the friction and the square beyond', () => {
    const hump = Math.sqrt(craft.hull[HULL.HUMP2]!);
    const waves = (u: number) => {
      const bare = craft.hull.slice();
      bare[HULL.SEXTIC] = 0;
      return drag(u, 0, bare) - drag(u);
    };
    expect(waves(hump) / waves(hump / 2)).toBeCloseTo(64, 6);
    expect(waves(1.5 * hump) / waves(hump)).toBeCloseTo(1, 9);
    expect(drag(1.5 * hump)).toBeLessThan(drag(hump));
  });
});

describe('foils', () => {
  it('F4 lift slope lies between the two known fits', () => {
    const known = [
      [1, 1.401, 1.886],
      [2, 2.4435, 2.885],
      [3, 3.138, 3.503],
    ] as const;
    for (const [aspect, low, high] of known) {
      expect(liftSlope(aspect)).toBeGreaterThan(low * 0.85);
      expect(liftSlope(aspect)).toBeLessThan(high * 1.15);
    }
  });

  it('never does work on a blade moved through still water, all the way round', () => {
    const out = workRow({});
    for (const foil of [craft.fins.values, craft.blades.values]) {
      for (let i = 0; i < 360; i++) {
        const a = Math.cos((i * Math.PI) / 180);
        const b = Math.sin((i * Math.PI) / 180);
        out.set([a, b], 2);
        foilForce(out, foil, 0);
        expect(out[0]! * a + out[1]! * b).toBeLessThan(0);
      }
    }
  });

  it('stalls: lift at twice the stall angle is below its peak, and weaker trailing edge first', () => {
    const spec = sloop().foils[0]!;
    const foil = foilRow(spec);
    const side = (degrees: number, way = 1) => {
      const a = (degrees * Math.PI) / 180;
      const out = workRow({ ALONG: way * Math.cos(a), ACROSS: Math.sin(a) });
      foilForce(out, foil, 0);
      return -out[1]!;
    };
    const lift = (degrees: number) => side(degrees) * Math.cos((degrees * Math.PI) / 180);
    expect(lift(48)).toBeLessThan(lift(25));
    expect(side(12, -1)).toBeLessThan(0.8 * side(12));
    expect(side(90) / (0.5 * spec.area)).toBeCloseTo(spec.broadsideDrag + spec.profileDrag, 9);
  });

  it('past stall pushes nearly as the sine of its angle, 0.85 at 35°, with no step and no peak over 1.4', () => {
    const spec = { ...sloop().rudders[0]!, profileDrag: 0 };
    const foil = foilRow(spec);
    const coefficient = (degrees: number) => {
      const a = (degrees * Math.PI) / 180;
      const out = workRow({ ALONG: Math.cos(a), ACROSS: Math.sin(a) });
      foilForce(out, foil, 0);
      return -out[WORK.NORMAL]! / (0.5 * spec.area);
    };
    expect(coefficient(35)).toBeCloseTo(0.85, 2);
    let last = 0;
    for (let degrees = 0.25; degrees <= 90; degrees += 0.25) {
      const now = coefficient(degrees);
      expect(now).toBeLessThan(1.4);
      expect(Math.abs(now - last)).toBeLessThan(0.03);
      last = now;
    }
    const sines = [40, 55, 70, 90].map((a) => coefficient(a) / Math.sin((a * Math.PI) / 180));
    expect(Math.max(...sines) / Math.min(...sines)).toBeLessThan(1.25);
    for (const degrees of [38, 50, 64, 80])
      expect(coefficient(degrees + 5)).toBeGreaterThan(coefficient(degrees));
  });

  it('a keel ahead of midships turns the bow away from the drift', () => {
    const force = new Float64Array(3);
    addFoil(force, workRow({ SURGE: 1, SWAY: 0.2, DENSITY: 1025 }), craft.fins.values, 0);
    expect(force[1]).toBeLessThan(0);
    expect(force[2]! / force[1]!).toBeCloseTo(craft.fins.values[FOIL.X]!, 9);
  });
});

describe('G propeller', () => {
  it('G1 stays well below the actuator-disc ceiling at full throttle', () => {
    const out = thrustAt(0, shaft.fullRps);
    const ceiling = Math.cbrt(2 * 1025 * craft.drives.values[DRIVE.DISC]! * 20000 * 20000);
    expect(out.thrust / ceiling).toBeGreaterThan(0.4);
    expect(out.thrust / ceiling).toBeLessThan(0.75);
  });

  it('G3 half the revolutions give a quarter of the thrust', () => {
    expect(thrustAt(0, 12).thrust / thrustAt(0, 6).thrust).toBeCloseTo(4, 9);
  });

  it('brakes when trailed and throws no race', () => {
    const out = thrustAt(2, 0);
    expect(out.thrust).toBeLessThan(0);
    expect(out.driven).toBe(0);
  });
});

describe('wind', () => {
  it('D3 follows the square law and the height profile', () => {
    const { windage } = sloop();
    const force = new Float64Array(3);
    const flat = { ...sloop(), windage: { ...windage, frontalArea: 10, sternDrag: 1 } };
    addWind(force, assembleCraft(flat).windage, workRow({ SURGE: -10, DENSITY: 1.225 }));
    expect(force[0]).toBeCloseTo(612.5, 9);
    expect(windShareAt(10)).toBeCloseTo(1, 12);
    expect(windShareAt(3)).toBeCloseTo(0.3 ** 0.11, 12);
  });
});
