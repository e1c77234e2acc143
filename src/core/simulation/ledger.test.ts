import { box } from '../testing/manoeuvre';
import { bareBody, jet, plainShaft, REFERENCE_HULL } from '../testing/boats';
import { rig, run, type Rig } from '../testing/rig';
import { kineticEnergy, Ledger, WORKS, X, Y, type Work } from './';

const body = bareBody(REFERENCE_HULL);

/** Runs a rig with books kept, and gives them back with the change of the boat's energy. */
function booked(r: Rig, seconds: number) {
  const ledger = new Ledger();
  const before = kineticEnergy(r.state, r.world.craft);
  run({ ...r, ledger }, seconds);
  const change = kineticEnergy(r.state, r.world.craft) - before;
  const of = (work: Work) => ledger.work[WORKS.indexOf(work)]!;
  const total = ledger.work.reduce((sum, joules) => sum + joules, 0);
  return { of, change, total, ledger };
}

describe('a ledger', () => {
  it('books a thruster’s work as its push along the way she went', () => {
    const r = rig({ ...body, thrusters: [jet(0, 400)] });
    Object.assign(r.state.thrusters[0]!, { ordered: 1, power: 1 });
    const { of, change, total } = booked(r, 12);
    // Straight to starboard: force times distance, the water's drag apart.
    expect(of('thrusters') / (400 * r.state.motion[X]!)).toBeCloseTo(1, 3);
    expect(total / change).toBeCloseTo(1, 6);
    expect(of('wind')).toBe(0);
  });

  it('books what the water takes as she coasts: all she loses', () => {
    const r = rig(bareBody({ ...REFERENCE_HULL, wettedArea: 25 }), { u: 2 });
    const { of, change, total } = booked(r, 30);
    expect(change).toBeLessThan(0);
    expect(of('hull') / change).toBeCloseTo(1, 6);
    expect(total / change).toBeCloseTo(1, 6);
  });

  it('books a propeller’s thrust to propellers', () => {
    const boat = { ...body, drives: [plainShaft(900)] };
    const r = rig(boat);
    const { idleRps } = boat.drives[0]!;
    Object.assign(r.state.engines[0]!, { orderedGear: 1, engaged: 1, rps: idleRps });
    const { of, change, total } = booked(r, 10);
    // At most its pull from rest along the way the boat went: it falls as it gathers way.
    const share = of('propellers') / (900 * r.state.motion[Y]!);
    expect(share).toBeGreaterThan(0.4);
    expect(share).toBeLessThan(1);
    expect(total / change).toBeCloseTo(1, 6);
  });

  it('books a line’s spring as taken while it stretches and given back after', () => {
    const line = {
      boatX: 0,
      boatY: 0,
      shoreX: 0,
      shoreY: -10,
      rise: 0,
      length: 10,
      stiffness: 1e5,
      damping: 0,
    };
    const r = rig(body, { lines: [line], u: 0.5 });
    const { of, change, total } = booked(r, 1.1);
    // Near the furthest point: most of the boat's energy stands in the line.
    expect(of('lines')).toBeLessThan(
      -0.5 * Math.abs(kineticEnergy(rig(body, { u: 0.5 }).state, r.world.craft)),
    );
    expect(total / change).toBeCloseTo(1, 5);
    const back = booked(rig(body, { lines: [line], u: 0.5 }), 6);
    expect(Math.abs(back.of('lines'))).toBeLessThan(1);
  });

  it('books touches, the friction that holds her included', () => {
    const r = rig(body, {
      obstacles: [box('quay', 2.6, -30, 9, 30)],
      u: 0.6,
      v: 0.25,
    });
    const { of, change, total } = booked(r, 8);
    expect(of('touches')).toBeLessThan(0);
    expect(Math.abs(total - change) / Math.abs(of('touches'))).toBeLessThan(1e-3);
  });

  it('goes back to what was kept, so that a step taken again is not booked twice', () => {
    const r = rig(bareBody({ ...REFERENCE_HULL, wettedArea: 25 }), { u: 2 });
    const { ledger } = booked(r, 1);
    const kept = ledger.work.slice();
    ledger.save();
    run({ ...r, ledger }, 1);
    expect(ledger.work).not.toEqual(kept);
    ledger.restore();
    expect(ledger.work).toEqual(kept);
  });

  it('books what was not looked at as it was in the middle, or in a straight line from the start, at its own speed', () => {
    const hull = WORKS.indexOf('hull');
    const force = new Float64Array(3);
    const at = (speed: number) => Float64Array.of(0, 0, 0, speed, 0, 0);
    const booked = (onward: boolean) => {
      const ledger = new Ledger();
      [100, 140].forEach((push, stage) => {
        ledger.begin(stage);
        force.fill(0);
        ledger.note(WORKS.indexOf('other boats'), force, at(0));
        force[0] = push;
        ledger.note(hull, force, at(0));
      });
      ledger.begin(3);
      force.fill(0);
      ledger.note(WORKS.indexOf('other boats'), force, at(2));
      force[0] = onward ? 180 : 140;
      ledger.run([hull], force, at(2), onward);
      ledger.sum(6);
      return ledger.work[hull]!;
    };
    // Six seconds at a sixth: the power of the last stage alone, as the boat stood still at the others.
    expect(booked(true)).toBeCloseTo(2 * 180, 9);
    expect(booked(false)).toBeCloseTo(2 * 140, 9);
  });
});
