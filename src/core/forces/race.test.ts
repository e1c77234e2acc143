import { assembleCraft } from '../craft';
import { sloop } from '../testing/boats';
import { addPropWalk, addRudder, addWind, propellerFlow, raceAtBlade, signedRoot } from '.';

const craft = assembleCraft(sloop());
const shaft = craft.shafts[0]!;
const rudder = craft.rudders[0]!;
const race = rudder.race!;
const RHO = 1025;

function flowAt(u: number, rps: number) {
  const flow = { thrust: 0, driven: 0, inflow: 0, slip: 0 };
  propellerFlow(flow, shaft, RHO, u, rps);
  return flow;
}

function raceFor(u: number, rps: number, effect = 1) {
  const out = { speed: 0, cover: 0 };
  raceAtBlade(out, { ...race, effect }, flowAt(u, rps), shaft.discArea, RHO, u);
  return out;
}

describe('the race', () => {
  it('G4 leaves at √(2T/ρA) from rest, less what has not grown yet', () => {
    const far = Math.sqrt((2 * flowAt(0, 12).driven) / (RHO * shaft.discArea));
    const here = raceFor(0, 12).speed;
    expect(here).toBeLessThan(far);
    expect(here).toBeGreaterThan(0.9 * far);
  });

  it('covers part of the span, contracted behind the propeller', () => {
    const { cover } = raceFor(0, 12);
    expect(cover).toBeGreaterThan((0.7 * shaft.diameter) / race.span);
    expect(cover).toBeLessThan(shaft.diameter / race.span);
  });

  it('hardly reaches a blade that stands in the inflow, going astern', () => {
    const ahead = raceFor(0, 12).speed;
    const astern = raceFor(0, -12).speed;
    expect(astern).toBeLessThanOrEqual(0);
    expect(Math.abs(astern)).toBeLessThan(0.1 * ahead);
  });

  it('fades into the free stream as the thrust goes', () => {
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
    const at = { speed: 0, cover: 0 };
    raceAtBlade(at, race, flowAt(u, rps), shaft.discArea, RHO, u);
    addRudder(force, new Float64Array(2), rudder, at, RHO, Math.sin(delta), Math.cos(delta), u, 0);
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
});

describe('prop walk', () => {
  const walk = (u: number, rps: number) => {
    const force = new Float64Array(3);
    addPropWalk(force, shaft, flowAt(u, rps));
    return force[1]!;
  };

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

describe('the propeller against the stream', () => {
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
    // Wind from that angle off the bow: she moves through the air towards it.
    addWind(force, craft.spec.windage, 10, 1.225, 8 * Math.cos(a), 8 * Math.sin(a));
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
