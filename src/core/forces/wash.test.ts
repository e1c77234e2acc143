import fc from 'fast-check';
import { assembleCraft } from '../boat';
import { TURN_COLUMNS } from '../math';
import { between } from '../testing/arbitrary';
import { sloop } from '../testing/boats';
import {
  addNeighbourWash,
  addOwnWash,
  addPassingWash,
  FLOW,
  FLOW_COLUMNS,
  JET,
  JET_COLUMNS,
  WASHED,
  type PassingWash,
} from './';

const hull = { length: 10, beam: 3.2, draught: 1.2 };

/** Push of the sloop's own wash at so much driven thrust, with walls so far off. */
function pushOf(
  driven: number,
  gaps: Partial<Record<keyof typeof WASHED, number>>,
  hand: 1 | -1 = 1,
  times = 1,
) {
  const force = new Float64Array(3);
  const flows = new Float64Array(FLOW_COLUMNS);
  flows[FLOW.DRIVEN] = driven;
  const washed = new Float64Array(3).fill(Infinity);
  for (const [name, gap] of Object.entries(gaps)) washed[WASHED[name as keyof typeof WASHED]] = gap;
  const { values } = assembleCraft(sloop(hand)).drives;
  addOwnWash(force, hull, flows, 0, values, 0, washed, times);
  return { surge: force[0]!, sway: force[1]!, yaw: force[2]! };
}

describe('a boat’s own wash off walls', () => {
  it('is nought with the screw still, and with nothing near', () => {
    expect(pushOf(0, { PORT: 0.2, STARBOARD: 0.2, ASTERN: 1 })).toEqual({
      surge: 0,
      sway: 0,
      yaw: 0,
    });
    expect(pushOf(-900, {})).toEqual({ surge: 0, sway: 0, yaw: 0 });
    expect(pushOf(900, { PORT: 0.1, STARBOARD: 0.1 }).sway).toBe(0);
  });

  it('astern alongside sets the quarter off, the stern more than the bow', () => {
    const port = pushOf(-900, { PORT: 0.3 });
    expect(port.sway).toBeGreaterThan(0);
    // Bow to port: the stern goes off to starboard.
    expect(port.yaw).toBeLessThan(0);
    expect(pushOf(-900, { STARBOARD: 0.3 }).sway).toBeLessThan(0);
  });

  it('pushes off harder on the side the swirl lifts the wash to: to starboard of a right-handed screw', () => {
    expect(-pushOf(-900, { STARBOARD: 0.3 }).sway).toBeGreaterThan(
      1.5 * pushOf(-900, { PORT: 0.3 }).sway,
    );
  });

  it('grows with thrust, falls with the gap, is never more than the thrust, and mirrors', () => {
    fc.assert(
      fc.property(between(1, 20000), between(0, 8), between(0, 8), (thrust, port, starboard) => {
        const now = pushOf(-thrust, { PORT: port, STARBOARD: starboard });
        expect(Math.abs(now.sway)).toBeLessThanOrEqual(0.4 * thrust);
        const mirror = pushOf(-thrust, { PORT: starboard, STARBOARD: port }, -1);
        expect(mirror.sway).toBeCloseTo(-now.sway, 6);
        expect(mirror.yaw).toBeCloseTo(-now.yaw, 6);
        const twice = pushOf(-2 * thrust, { PORT: port, STARBOARD: starboard });
        expect(twice.sway).toBeCloseTo(2 * now.sway, 6);
        const further = pushOf(-thrust, { PORT: port + 0.5 }).sway;
        expect(further).toBeLessThanOrEqual(pushOf(-thrust, { PORT: port }).sway + 1e-12);
      }),
    );
  });

  it('ahead, a wall close astern helps a little, and less the further it is', () => {
    const at = (gap: number) => pushOf(900, { ASTERN: gap }).surge;
    expect(at(0.5)).toBeGreaterThan(0.05 * 900);
    expect(at(0.5)).toBeLessThan(0.13 * 900);
    expect(at(5)).toBeLessThan(0.4 * at(0.5));
    expect(pushOf(-900, { ASTERN: 0.5 }).surge).toBe(0);
    expect(pushOf(900, { ASTERN: 0.5 }, 1, 1.6).surge).toBeCloseTo(1.6 * at(0.5), 9);
  });
});

describe('wash on a neighbour’s hull', () => {
  // A box of a hull, 8 by 2.
  const ring = Float64Array.from([-4, -1, 4, -1, 4, 1, -4, 1]);
  const pushed = (jet: Partial<Record<keyof typeof JET, number>>, draught = 0.8) => {
    const force = new Float64Array(3);
    const row = new Float64Array(JET_COLUMNS);
    for (const [name, value] of Object.entries({ THRUST: 1000, DISC: 0.15, ...jet }))
      row[JET[name as keyof typeof JET]] = value!;
    addNeighbourWash(force, ring, draught, row, 1);
    return [...force];
  };

  it('pushes it along the jet, and turns it about where it is met', () => {
    const [surge, sway, yaw] = pushed({ X: 3, Y: -6, ALONG_Y: 1 });
    expect(surge).toBe(0);
    expect(sway).toBeGreaterThan(0);
    expect(yaw).toBeCloseTo(3 * sway!, 9);
  });

  it('is nought where the jet goes by or the screw is still', () => {
    expect(pushed({ X: 4.5, Y: -6, ALONG_Y: 1 })).toEqual([0, 0, 0]);
    expect(pushed({ X: 3, Y: -6, ALONG_Y: -1 })).toEqual([0, 0, 0]);
    expect(pushed({ X: 3, Y: -6, ALONG_Y: 1, THRUST: 0 })).toEqual([0, 0, 0]);
  });

  it('takes no more than the jet has, less the further it comes and the shallower the hull', () => {
    const sway = (off: number, draught = 0.8) =>
      pushed({ X: 0, Y: -1 - off, ALONG_Y: 1 }, draught)[1]!;
    expect(sway(0.01)).toBeLessThanOrEqual(500);
    for (const off of [0.5, 2, 5, 10]) expect(sway(off * 1.3)).toBeLessThanOrEqual(sway(off));
    expect(sway(5, 0.3)).toBeLessThan(sway(5, 0.8));
    // Deep enough for all of it; a jet that wanders has lost some on the way.
    expect(sway(1e-6, 50)).toBeCloseTo(500, 3);
    expect(sway(5, 50)).toBeLessThan(500);
  });

  it('is the same turned with everything', () => {
    fc.assert(
      fc.property(between(-3, 3), between(-3.9, 3.9), between(1.1, 7), (angle, x, off) => {
        const straight = pushed({ X: x, Y: -off, ALONG_Y: 1 });
        const s = Math.sin(angle);
        const c = Math.cos(angle);
        const turned = (px: number, py: number) => [px * c - py * s, px * s + py * c] as const;
        const corners = Array.from({ length: 4 }, (_, i) => turned(ring[2 * i]!, ring[2 * i + 1]!));
        const force = new Float64Array(3);
        const row = new Float64Array(JET_COLUMNS);
        [row[JET.X], row[JET.Y]] = turned(x, -off);
        [row[JET.ALONG_X], row[JET.ALONG_Y]] = turned(0, 1);
        row[JET.THRUST] = 1000;
        row[JET.DISC] = 0.15;
        addNeighbourWash(force, Float64Array.from(corners.flat()), 0.8, row, 1);
        const [fx, fy] = turned(straight[0]!, straight[1]!);
        expect(force[0]).toBeCloseTo(fx, 6);
        expect(force[1]).toBeCloseTo(fy, 6);
        expect(force[2]).toBeCloseTo(straight[2]!, 6);
      }),
    );
  });
});

describe('wash of what passes', () => {
  const wash: PassingWash = { time: 30, from: 0, height: 0.3, period: 3 };
  const turn = new Float64Array(TURN_COLUMNS);
  const forceAt = (time: number, heading: number, size = hull) => {
    const force = new Float64Array(3);
    const sc = { sin: Math.sin(heading), cos: Math.cos(heading) };
    addPassingWash(force, size, { m11: 1000, m22: 1500 }, [wash], time, sc, 1, turn);
    return [...force];
  };

  it('carries something small to and fro as far as the water goes, and leaves it where it was', () => {
    const small = { length: 0.2, beam: 0.1, draught: 0.02 };
    const h = 0.005;
    let [v, x, most, last] = [0, 0, 0, 0];
    for (let t = 0; t < 60; t += h) {
      v += (forceAt(t, 0, small)[0]! / 1000) * h;
      x += v * h;
      most = Math.max(most, Math.abs(x));
      last = x;
    }
    // Half the height is how far a particle at the surface swings (Airy).
    expect(most).toBeGreaterThan(0.13);
    expect(most).toBeLessThan(0.16);
    expect(Math.abs(v)).toBeLessThan(1e-3);
    expect(Math.abs(last)).toBeLessThan(0.01);
  });

  it('is nought long before and after, steeper waves push harder, and a long hull less', () => {
    expect(forceAt(2, 0)).toEqual([0, 0, 0]);
    expect(forceAt(60, 0)).toEqual([0, 0, 0]);
    const long = { length: 40, beam: 8, draught: 2 };
    expect(Math.abs(forceAt(30, 0, long)[0]!)).toBeLessThan(0.3 * Math.abs(forceAt(30, 0)[0]!));
  });

  it('pushes from where it comes: from ahead astern at the crest’s face, abeam sideways', () => {
    const [ahead, aside] = forceAt(30, 0);
    expect(ahead).toBeLessThan(0);
    expect(Math.abs(aside!)).toBeLessThan(1e-9);
    // Heading east, what comes from the north comes from port: it goes to starboard.
    const abeam = forceAt(30, Math.PI / 2);
    expect(Math.abs(abeam[0]!)).toBeLessThan(1e-9);
    expect(abeam[1]).toBeGreaterThan(0);
  });
});
