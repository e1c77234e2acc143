import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import { fenderForce } from '../boat';
import { PSI, U, V, X, Y } from '../simulation';
import { bareBody, jet, plainShaft, REFERENCE_HULL, sloop } from '../testing/boats';
import { berthingEnergy, eccentricity, gyration } from '../testing/berthing';
import { energy, rig, run } from '../testing/rig';
import { carriedOnTurns, lineTension, pileObstacle, solidObstacle, type LineSpec } from './';

const line = (spec: Partial<LineSpec>): LineSpec => ({
  boatX: 0,
  boatY: 0,
  shoreX: 0,
  shoreY: 0,
  rise: 0,
  length: 10,
  stiffness: 100000,
  damping: 0,
  ...spec,
});

const body = bareBody(REFERENCE_HULL);

describe('I lines', () => {
  // Ahead of the boat and astern of it, both just taut: what oscillates is M on twice k.
  it('I1 swings with added mass on the period of EA/L', () => {
    const both = [line({ shoreY: 10 }), line({ shoreY: -10 })];
    const r = rig(body, { lines: both, u: 0.2 });
    const crossings: number[] = [];
    let last = r.state.motion[Y]!;
    run(r, 12, () => {
      const now = r.state.motion[Y]!;
      if (last > 0 && now <= 0) crossings.push(r.state.time - 0.05 * (now / (now - last)));
      last = now;
    });
    // One line at a time is taut, so the stiffness is one line's throughout.
    expect((crossings[1]! - crossings[0]!) / 4.5526003).toBeCloseTo(1, 2);
  });

  it('I1 takes a known snap load, and stretches by F/k', () => {
    const r = rig(body, { lines: [line({ shoreY: -10 })], u: 0.5 });
    let peak = 0;
    run(r, 3, () => (peak = Math.max(peak, r.scratch.tension[0]!)), 0.01);
    expect(peak / 3622.8442).toBeCloseTo(1, 2);
    expect(lineTension(100000, 10, 0, 10.1, 0)).toBeCloseTo(1000, 9);
  });

  it('I2 motoring ahead on a spring: line, fender and rudder balance', () => {
    // Heading north, port side to a quay in the west. Thrust by a screw on the centre line; the rudder's 495 N to port
    // by a jet of that force where the rudder is.
    const T = 1500;
    const theta = (20 * Math.PI) / 180;
    const boat = {
      ...bareBody({
        ...REFERENCE_HULL,
        crossFlowDrag: 0.9,
        wettedArea: 25,
        deck: Float64Array.from([-4.5, -1, 0, -1.2, 4.5, 0, 0, 1.2, -4.5, 1]),
      }),
      fenders: [
        { name: 'f', x: 2, y: -1.6 - 0.11, diameter: 0.22, length: 0.6, pressure: 15000, loss: 5 },
      ],
      drives: [plainShaft(T)],
      thrusters: [jet(-4.5, 495.22047)],
    };
    // Fenders pressed as far as the force asked for, so that the boat lies parallel.
    let pressedBy = 0;
    while (fenderForce(pressedBy, 0.22, 0.6, 15000) < 1041.1758) pressedBy += 1e-5;
    const west = -1.6 - 0.22 + pressedBy;
    const quay = solidObstacle(
      'q',
      'quay',
      Float64Array.from([west - 4, -40, west, -40, west, 40, west - 4, 40]),
      { friction: 0, stiffness: 1e9 },
    );
    // From a cleat 3.5 m forward on the port side, 20° off the keel, leading aft to the quay.
    const spring = line({
      boatX: 3.5,
      boatY: -1.6,
      shoreX: -1.6 - 8 * Math.sin(theta),
      shoreY: 3.5 - 8 * Math.cos(theta),
      length: 8,
      stiffness: 4e6,
      damping: 3000,
    });
    // As far ahead as stretches the spring to its load, everything already pulling: a slack spring and
    // a pressed fender would throw the boat off a balance that does not hold itself for ever.
    const stretch = (1596.2667 * 8) / 4e6;
    const r = rig(boat, { obstacles: [quay], lines: [spring], y: stretch / Math.cos(theta) });
    const engine = r.state.engines[0]!;
    Object.assign(engine, { orderedGear: 1, engaged: 1, rps: sloop().drives[0]!.idleRps });
    Object.assign(r.state.thrusters[0]!, { ordered: -1, power: -1 });
    run(r, 20);
    const pressed = r.scratch.touch;
    let fender = 0;
    for (let k = 0; k < pressed.count; k++) fender += pressed.normalForce[k]!;
    expect(Math.abs(r.scratch.tension[0]! / 1596.2667 - 1)).toBeLessThan(0.01);
    expect(Math.abs(fender / 1041.1758 - 1)).toBeLessThan(0.01);
  });

  it('I3 never pushes, stretched or shortening fast', () => {
    const any = between(-5, 5);
    fc.assert(
      fc.property(any, any, (over, growing) => {
        const tension = lineTension(1e5, 10, 3000, 10 + over, growing);
        expect(tension).toBeGreaterThanOrEqual(0);
        if (over <= 0) expect(tension).toBe(0);
      }),
    );
  });

  it('I3 and never gives a boat energy', () => {
    const r = rig(sloop(), {
      u: 0.8,
      v: 0.4,
      lines: [line({ boatX: 4, shoreX: 3, shoreY: 2, length: 6, damping: 500 })],
    });
    /** What its spring holds: ½ k e², by how far it is stretched where the boat is. */
    const stored = () => {
      const { motion } = r.state;
      const x = motion[X]! + 4 * Math.sin(motion[PSI]!);
      const y = motion[Y]! + 4 * Math.cos(motion[PSI]!);
      const stretched = Math.max(0, Math.hypot(3 - x, 2 - y) - 6);
      return 0.5 * (100000 / 6) * stretched * stretched;
    };
    const before = energy(r);
    let most = 0;
    run(r, 60, () => {
      most = Math.max(most, stored());
      expect(energy(r) + stored()).toBeLessThanOrEqual(before * (1 + 1e-3));
    });
    // It did come taut, and took a good part of what the boat had.
    expect(most).toBeGreaterThan(0.05 * before);
  });

  it('I4 holds by turns round a post', () => {
    const known = [911.87626, 415.75915, 86.427837, 17.966582];
    // What is held behind the turns carries 2 kN.
    [0.5, 1, 2, 3].forEach((turns, i) =>
      expect(carriedOnTurns(known[i]!, 0.25, turns) / 2000).toBeCloseTo(1, 7),
    );
  });

  it('I5 a pair under tension holds sideways as 2 T₀/L', () => {
    // Two lines of 6 m, fore and aft, each with 500 N: EA and slack length for k = 10 kN/m.
    const stretched = (boatX: number, shoreY: number) =>
      line({ boatX, shoreX: 0, shoreY, length: 5.95, stiffness: 59500 });
    const r = rig(body, { x: 0.02, lines: [stretched(0, 6), stretched(0, -6)] });
    run(r, 0.05);
    // Starting 2 cm to the side the boat is pulled back with 2 T₀/L·2 cm = 3.33 N on 9 t.
    expect(r.state.motion[4]! / 0.05 / (-166.67 * 0.02) / (1 / 9000)).toBeCloseTo(1, 2);
  });

  it('I6 moored in a current she pulls with her drag at that speed, not four times, not nought', () => {
    const dragging = bareBody({ ...REFERENCE_HULL, residuaryQuadratic: (55 * 9) / 5000 });
    const r = rig(dragging, {
      u: 1.5,
      lines: [line({ shoreY: 10.005, damping: 8000 })],
      weather: { currentSet: Math.PI, currentSpeed: 1.5 },
    });
    // Not for ever: held amidships the boat would in the end lie across the current.
    run(r, 40);
    expect(r.scratch.tension[0]! / 123.75).toBeCloseTo(1, 2);
    expect(r.state.motion[U]).toBeCloseTo(1.5, 4);
    expect(Math.abs(r.state.motion[X]!)).toBeLessThan(1e-6);
  });

  it('I8 a stiff line is stepped finely enough to keep its energy', () => {
    const r = rig(body, { lines: [line({ shoreY: -10, stiffness: 2e7 })], u: 0.3 });
    const before = energy(r);
    run(r, 2);
    expect(r.state.motion[U]).toBeCloseTo(-0.3, 2);
    expect(energy(r) / before).toBeGreaterThan(0.98);
    expect(energy(r) / before).toBeLessThan(1 + 1e-9);
  });
});

describe('J2, J3 berthing', () => {
  it('shares the energy by where and how the contact is', () => {
    const k = gyration(10, 0.5);
    expect(k).toBeCloseTo(2.05, 9);
    const sticks = [0.20801881, 0.30066301, 0.6040094];
    const slides = [0.20801881, 0.22925826, 0.34439664];
    [90, 70, 45].forEach((degrees, i) => {
      const share = eccentricity(k, 4, (degrees * Math.PI) / 180);
      expect(share.sticks).toBeCloseTo(sticks[i]!, 6);
      expect(share.slides).toBeCloseTo(slides[i]!, 6);
    });
    expect(berthingEnergy(12000, 0.3, 0.5, 1, 3.8)).toBeCloseTo(412.10526, 4);
  });

  it('a boat let go against a pile comes to rest and stays there', () => {
    const r = rig(sloop(), {
      u: 0.5,
      obstacles: [pileObstacle('p', 'pile', 0.4, 9, 0.2, { friction: 0.3, stiffness: 1e6 })],
    });
    const begun = energy(r);
    // What the spring of the touch gives back is never more than it took.
    run(r, 40, () => expect(energy(r)).toBeLessThanOrEqual(begun * (1 + 1e-9)));
    // A bare hull gives back six tenths of a knock's speed at half a metre a second, and carries that for a while.
    expect(energy(r)).toBeLessThan(0.25 * begun);
    run(r, 120);
    expect(energy(r)).toBeLessThan(0.1 * begun);
    expect(Math.hypot(r.state.motion[U]!, r.state.motion[V]!)).toBeLessThan(0.2);
  });
});
