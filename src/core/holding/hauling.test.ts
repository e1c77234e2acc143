import { U, Y } from '../simulation';
import { bareBody, REFERENCE_HULL } from '../testing/boats';
import { rig, run } from '../testing/rig';
import { LINE, MADE } from './';

const PULL = 300;
const SPEED = 0.6;
const body = bareBody(REFERENCE_HULL);

/** A body without drag, a line from its middle to a bollard 30 m ahead, in hands that haul. */
function hauled(change: (row: Float64Array) => void = () => undefined, u = 0) {
  const line = {
    boatX: 0,
    boatY: 0,
    shoreX: 0,
    shoreY: 30,
    rise: 0,
    length: 30,
    total: 60,
    breaks: 1e5,
    stiffness: 2e5,
    damping: 200,
  };
  const r = rig(body, { lines: [line], tended: true, u });
  const row = r.state.lines;
  row[LINE.MADE] = MADE.HELD;
  row[LINE.HOLD] = PULL;
  row[LINE.PULL] = PULL;
  row[LINE.HAUL] = SPEED;
  row[LINE.UNTIL] = 1;
  change(row);
  return r;
}

describe('a boat hauled by hand', () => {
  // m v̇ = P (1 − v/w): v = w (1 − e^(−P t/m w)), whatever the step and however stiff the line.
  const mass = (r: ReturnType<typeof hauled>) => r.world.craft.mass.m11;

  it.each([0.1, 0.05, 0.0125])('comes as the pull of hands says, in steps of %f s', (h) => {
    const r = hauled();
    run(r, 20, undefined, h);
    const wear = (PULL * 20) / (mass(r) * SPEED);
    expect(r.state.motion[U]! / (SPEED * (1 - Math.exp(-wear)))).toBeCloseTo(1, 2);
    const way = SPEED * 20 - ((SPEED * SPEED * mass(r)) / PULL) * (1 - Math.exp(-wear));
    expect(r.state.motion[Y]! / way).toBeCloseTo(1, 2);
  });

  it('comes no faster than hands take in, and one that does is not pulled', () => {
    const r = hauled(undefined, 0.9);
    run(r, 5);
    expect(r.state.motion[U]).toBeCloseTo(0.9, 9);
    expect(r.scratch.tension[0]).toBe(0);
    expect(r.state.lines[LINE.LENGTH]).toBeCloseTo(30 - 5 * SPEED, 6);
  });

  it('is not pulled until the slack is in', () => {
    const r = hauled((row) => (row[LINE.LENGTH] = 33));
    run(r, 4.9, undefined, 0.1);
    expect(r.state.motion[U]).toBe(0);
    run(r, 0.5, undefined, 0.1);
    expect(r.state.motion[U]!).toBeGreaterThan(0);
    expect(r.scratch.tension[0]!).toBeLessThanOrEqual(PULL);
  });

  it('is pulled no further than the line is hauled to', () => {
    const r = hauled((row) => (row[LINE.UNTIL] = 29));
    run(r, 20);
    expect(r.state.lines[LINE.LENGTH]).toBeCloseTo(29, 6);
    expect(r.scratch.tension[0]).toBe(0);
  });

  it('by a slow winch comes alike in any step, though the line’s own stretch plays along', () => {
    const ends = [0.1, 0.05, 0.0125].map((h) => {
      const r = hauled((row) => {
        row[LINE.HOLD] = Infinity;
        row[LINE.PULL] = 3000;
        row[LINE.HAUL] = 0.15;
      });
      run(r, 6, undefined, h);
      return r.state.motion[Y]!;
    });
    expect(Math.abs(ends[0]! / ends[2]! - 1)).toBeLessThan(0.02);
    expect(Math.abs(ends[1]! / ends[2]! - 1)).toBeLessThan(0.02);
  });

  it('a line eased under load goes out evenly, alike in any step', () => {
    const ends = [0.1, 0.0125].map((h) => {
      const r = hauled((row) => {
        row[LINE.HOLD] = 5000;
        row[LINE.HAUL] = -0.4;
        row[LINE.UNTIL] = 60;
      }, -0.5);
      run(r, 6, undefined, h);
      return r.state.motion[U]!;
    });
    // The boat is brought down to the speed it goes out with.
    expect(ends[0]!).toBeLessThan(-0.3);
    expect(Math.abs(ends[0]! - ends[1]!)).toBeLessThan(0.01);
  });
});
