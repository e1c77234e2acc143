import { assembleCraft, BLADE, DRIVE, FOIL, liftSlope, raceLeftAside, rudderRow } from '../boat';
import { sloop } from '../testing/boats';
import { workRow } from '../testing/rows';
import {
  addBlade,
  addWind,
  FLOW,
  FLOW_COLUMNS,
  propellerFlow,
  propWalk,
  raceAtBlade,
  setAxialFlow,
  signedRoot,
} from './';

const craft = assembleCraft(sloop());
const shaft = craft.spec.drives[0]!;
const propeller = craft.drives.values;
const disc = propeller[DRIVE.DISC]!;
const span = craft.spec.rudders[0]!.span;
const RHO = 1025;

/** Working row of something going ahead at u, its axis or blade at an angle. */
const flow = (u: number, rps = 0, delta = 0) =>
  workRow({ SURGE: u, SIN: Math.sin(delta), COS: Math.cos(delta), DENSITY: RHO, RPS: rps });

/** The same at a blade. */
function bladeFlow(u: number, delta = 0, blade = craft.blades.values) {
  const row = flow(u, 0, delta);
  setAxialFlow(row, blade, 0);
  return row;
}

function flowRow(u: number, rps: number) {
  const flows = new Float64Array(FLOW_COLUMNS);
  propellerFlow(flows, 0, propeller, 0, flow(u, rps));
  return flows;
}

function flowAt(u: number, rps: number) {
  const flows = flowRow(u, rps);
  return { thrust: flows[FLOW.THRUST]!, driven: flows[FLOW.DRIVEN]! };
}

function raceFor(u: number, rps: number, effect = 1) {
  const out = new Float64Array(3);
  const blade = craft.blades.values.slice();
  blade[BLADE.EFFECT] = effect;
  blade[BLADE.SPEED] = 1;
  raceAtBlade(out, blade, 0, flowRow(u, rps), 0, propeller, 0, bladeFlow(u, 0, blade));
  return { speed: out[0]!, cover: out[1]! };
}

describe('the race', () => {
  it('G4 leaves at √(2T/ρA) from rest, less what has not grown yet', () => {
    const far = Math.sqrt((2 * flowAt(0, 12).driven) / (RHO * disc));
    const here = raceFor(0, 12).speed;
    expect(here).toBeLessThan(far);
    expect(here).toBeGreaterThan(0.9 * far);
  });

  it('covers part of the span, contracted behind the propeller', () => {
    const { cover } = raceFor(0, 12);
    expect(cover).toBeGreaterThan((0.7 * shaft.diameter) / span);
    expect(cover).toBeLessThan(shaft.diameter / span);
  });

  it('hardly reaches a blade that stands in the inflow, going astern', () => {
    const ahead = raceFor(0, 12).speed;
    const astern = raceFor(0, -12).speed;
    expect(astern).toBeLessThanOrEqual(0);
    expect(Math.abs(astern)).toBeLessThan(0.1 * ahead);
  });

  it('fades into the free current as the thrust goes', () => {
    expect(raceFor(1.5, 0)).toEqual({ speed: 1.5, cover: 0 });
    const gained = (u: number) => raceFor(u, 6.5).speed - u;
    expect(gained(2.2)).toBeLessThan(0.25 * gained(0));
  });

  it('is taken up in part: about half its pressure', () => {
    const full = raceFor(0, 12, 1).speed;
    expect(raceFor(0, 12, 0.45).speed / full).toBeCloseTo(Math.sqrt(0.45), 9);
    expect(signedRoot(-4)).toBe(-2);
  });
});

describe('the rudder in it', () => {
  function side(u: number, rps: number, delta: number): number {
    const force = new Float64Array(3);
    const at = new Float64Array(3);
    const { values } = craft.blades;
    raceAtBlade(at, values, 0, flowRow(u, rps), 0, propeller, 0, bladeFlow(u));
    addBlade(force, bladeFlow(u, delta), values, 0, at);
    return force[1]!;
  }

  it('pushes the stern to port for wheel to starboard, more with a burst', () => {
    const carry = side(1, 0, 0.3);
    const burst = side(1, 12, 0.3);
    expect(carry).toBeLessThan(0);
    expect(burst).toBeLessThan(2 * carry);
    expect(side(0, 12, 0.3)).toBeLessThan(0);
    expect(side(0, 12, -0.3)).toBeCloseTo(-side(0, 12, 0.3), 9);
  });

  it('pushes the other way with sternway', () => {
    expect(side(-1, 0, 0.3)).toBeGreaterThan(0);
  });

  it('goes through no thrust without a step, at every angle of wheel and drift', () => {
    // Revolutions at which the screw just overcomes the inflow.
    let low = 0;
    let high = 12;
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      if (flowAt(1.2, middle).driven > 0) high = middle;
      else low = middle;
    }
    for (const degrees of [8, 21, 28, 35, 45]) {
      const delta = (degrees * Math.PI) / 180;
      const before = side(1.2, low - 1e-6, delta);
      expect(Math.abs(side(1.2, low + 1e-6, delta) / before - 1)).toBeLessThan(1e-4);
    }
  });

  it('stalls later the more of the flow is race, and no later than its lift allows', () => {
    const spec = craft.spec.rudders[0]!;
    const row = rudderRow(spec, craft.spec.drives, craft.strips);
    const later = row[FOIL.STALL_FROM]! + row[FOIL.LATER_FROM]!;
    const angle = Math.asin(Math.sqrt(later));
    expect(angle).toBeGreaterThan(spec.stallAngle);
    expect(liftSlope(spec.effectiveAspect) * Math.sin(angle) * Math.cos(angle)).toBeLessThan(1.36);
  });

  it('keeps less of its force astern where a keel stands before it, and all of it ahead', () => {
    const hung = rudderRow(
      { ...craft.spec.rudders[0]!, asternShare: 0.1 },
      craft.spec.drives,
      craft.strips,
    );
    const push = (values: Float64Array, u: number, v = 0) => {
      const force = new Float64Array(3);
      const row = workRow({
        SURGE: u,
        SWAY: v,
        SIN: Math.sin(0.3),
        COS: Math.cos(0.3),
        DENSITY: RHO,
      });
      setAxialFlow(row, values, 0);
      addBlade(force, row, values, 0, Float64Array.from([0, 0, 0]));
      return force[1]!;
    };
    const { values } = craft.blades;
    expect(push(hung, -1) / push(values, -1)).toBeCloseTo(0.1, 9);
    expect(push(hung, 1)).toBe(push(values, 1));
    // Broadside on nothing stands before it.
    expect(push(hung, -1e-6, 0.5) / push(values, -1e-6, 0.5)).toBeCloseTo(1, 6);
  });
});

describe('a race beside its axis', () => {
  it('falls off as a bell, wider with distance, alike on both sides', () => {
    expect(raceLeftAside(0, 0.25, 1)).toBe(1);
    expect(raceLeftAside(0.35, 0.25, 1)).toBeCloseTo(Math.exp(-1), 12);
    expect(raceLeftAside(-0.3, 0.25, 1)).toBe(raceLeftAside(0.3, 0.25, 1));
    expect(raceLeftAside(0.5, 0.25, 3)).toBeGreaterThan(raceLeftAside(0.5, 0.25, 1));
    expect(raceLeftAside(4.7 * 0.25, 0.25, 1)).toBeLessThan(1e-4);
  });

  it('leaves a blade far aside as if there were no screw', () => {
    const far = { ...craft.spec.rudders[0]!, y: 1.3 };
    const row = rudderRow(far, craft.spec.drives, craft.strips);
    expect(row[BLADE.RACE_OF]).toBe(-1);
    const near = rudderRow({ ...far, y: 0.15 }, craft.spec.drives, craft.strips);
    expect(near[BLADE.EFFECT]).toBeLessThan(craft.blades.values[BLADE.EFFECT]!);
    expect(near[BLADE.EFFECT]).toBeGreaterThan(0);
  });
});

describe('prop walk', () => {
  const walk = (u: number, rps: number) => propWalk(flowRow(u, rps), 0, propeller, 0);

  it('is strongest from rest and fades as she gathers sternway', () => {
    const rest = walk(0, -12);
    expect(rest).toBeLessThan(0);
    expect(walk(-1, -12) / rest).toBeLessThan(0.7);
    expect(walk(-2, -12) / rest).toBeLessThan(0.35);
    expect(Math.abs(walk(0, 12))).toBeLessThan(0.5 * Math.abs(rest));
  });

  it('is a twentieth to a fifth of the thrust astern', () => {
    const share = Math.abs(walk(0, -12) / flowAt(0, -12).thrust);
    expect(share).toBeGreaterThan(0.05);
    expect(share).toBeLessThan(0.2);
  });
});

describe('the propeller against the current', () => {
  it('astern at headway pushes about as from rest, not much more', () => {
    const rest = flowAt(0, -12).thrust;
    expect(flowAt(1.5, -12).thrust / rest).toBeGreaterThan(1);
    expect(flowAt(1.5, -12).thrust / rest).toBeLessThan(1.25);
  });

  it('loses thrust with way ahead, to nothing a little above its pitch', () => {
    const speeds = [0, 0.5, 1, 1.5, 2].map((u) => flowAt(u, 6.5).thrust);
    speeds.slice(1).forEach((thrust, i) => expect(thrust).toBeLessThan(speeds[i]!));
    expect(flowAt(2.6, 6.5).thrust).toBeLessThan(0);
  });
});

describe('the centre of wind', () => {
  const lever = (degrees: number) => {
    const force = new Float64Array(3);
    const a = (degrees * Math.PI) / 180;
    // Wind from that angle off the bow: the boat moves through the air towards it.
    const work = workRow({ SURGE: 8 * Math.cos(a), SWAY: 8 * Math.sin(a), DENSITY: 1.225 });
    addWind(force, craft.windage, work);
    return force[2]! / force[1]!;
  };

  it('lies further forward with the wind ahead of the beam, further aft abaft it', () => {
    expect(lever(90)).toBeCloseTo(craft.spec.windage.centreX, 9);
    expect(lever(45)).toBeGreaterThan(lever(90));
    expect(lever(135)).toBeLessThan(lever(90));
    expect(lever(45) - lever(90)).toBeCloseTo(0.1 * 10 * Math.SQRT1_2, 9);
    expect(lever(-45)).toBeCloseTo(lever(45), 12);
  });
});
