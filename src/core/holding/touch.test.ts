import { fenderForce } from '../boat';
import { TouchLog } from '../monitors';
import {
  CLOCK,
  derivative,
  lookAround,
  vesselOf,
  orderEngine,
  orderRudder,
  R,
  timestep,
  TIMESTEP_S,
  U,
  V,
  X,
} from '../simulation';
import { bareBody, REFERENCE_HULL, sloop } from '../testing/boats';
import { energy, rig, run } from '../testing/rig';
import { frictionSlope, pileObstacle, seriesStiffness, solidObstacle, withLoss } from './';

const RIGID = { friction: 0, stiffness: 1e12 };
const wall = (y: number, friction = 0) =>
  solidObstacle('wall', 'wall', Float64Array.from([-50, y, 50, y, 50, y + 5, -50, y + 5]), {
    friction,
    stiffness: 1e12,
  });

/** Deck with a single corner leading, so that touches are at one known place. */
function pointed(touchLoss: number) {
  return bareBody({
    ...REFERENCE_HULL,
    touchLoss,
    touchStiffness: 20000,
    deck: Float64Array.from([-4.5, -0.5, 0, -1.0, 4, 0, 0, 1.0, -4.5, 0.5]),
  });
}

describe('J1 one corner meets a wall without friction', () => {
  // Heading north into a wall to the north: the corner at x = 4 on the centre line.
  it('gives back all the energy when nothing is lost, to the stated peak force', () => {
    const r = rig(pointed(0), { obstacles: [wall(4.2)], u: 0.3 });
    const before = energy(r);
    let peak = 0;
    for (let i = 0; i < 400; i++) {
      timestep(r, 0.01);
      for (let k = 0; k < r.scratch.touch.count; k++) {
        peak = Math.max(peak, r.scratch.touch.normalForce[k]!);
      }
    }
    expect(r.state.motion[U]).toBeCloseTo(-0.3, 3);
    expect(energy(r) / before).toBeCloseTo(1, 4);
    expect(peak).toBeCloseTo(0.3 * Math.sqrt(5250 * 20000), -2);
  });

  it.each([0.3, 1.5, 3, 6])('at %f m/s too, at the step she is run with', (speed) => {
    const r = rig(pointed(0), { obstacles: [wall(9)], u: speed });
    const log = new TouchLog(r.world);
    for (let i = 0; i < 200; i++) timestep({ ...r, watch: log }, TIMESTEP_S);
    expect(r.state.motion[U]! / -speed).toBeCloseTo(1, 2);
    expect(log.touches()[0]!.peakForce / (speed * Math.sqrt(5250 * 20000))).toBeCloseTo(1, 1);
    expect(log.touches()[0]!.speed / speed).toBeCloseTo(1, 2);
  });

  it.each([-3.5, -2, 1.5])('nor between corners, on a pile %f m ahead, at that step', (ahead) => {
    const pile = pileObstacle('pile', 'pile', 2.5, ahead, 0.1, RIGID);
    const { hull } = pointed(0);
    // So hard that it is over in a fraction of a step.
    const r = rig(bareBody({ ...hull, touchStiffness: 4e6 }), { obstacles: [pile] });
    r.state.motion[V] = 0.4;
    const before = energy(r);
    let touched = 0;
    for (let i = 0; i < 80; i++) {
      timestep(r, TIMESTEP_S);
      touched = Math.max(touched, r.scratch.touch.count);
    }
    expect(touched).toBeGreaterThan(0);
    expect(r.scratch.touch.count).toBe(0);
    expect(energy(r) / before).toBeCloseTo(1, 2);
  });

  it('J4 off the centre line she takes the effective mass, turns, and never gains', () => {
    // Beam on: heading north, wall to the east, corner at x = 4 leading to starboard.
    const boat = bareBody({
      ...REFERENCE_HULL,
      // Hard, so that the boat does not turn while it lasts.
      touchStiffness: 500000,
      touchLoss: 0,
      deck: Float64Array.from([-4, -1, 4, -1, 4, 1.6, 3.9, 1.5, -4, 1]),
    });
    const east = solidObstacle('e', 'e', Float64Array.from([2, -50, 7, -50, 7, 50, 2, 50]), RIGID);
    const r = rig(boat, { obstacles: [east], v: 0.3 });
    const before = energy(r);
    // Until just after the first corner lets go.
    let touched = false;
    for (let i = 0; i < 600; i++) {
      timestep(r, 0.005);
      if (r.scratch.touch.count > 0) touched = true;
      else if (touched) break;
    }
    // e = 1: Δv = −2 v_n m_eff M⁻¹Jᵀ with m_eff = 1975.6
    const impulse = 2 * 0.3 * 1975.6098;
    expect((0.3 - r.state.motion[V]!) / (impulse / 9000)).toBeCloseTo(1, 2);
    expect(r.state.motion[R]! / ((-impulse * 4) / 40500)).toBeCloseTo(1, 2);
    expect(energy(r) / before).toBeCloseTo(1, 3);
  });

  it('loses energy in every touch with loss, whatever the speed and angle', () => {
    for (const speed of [0.05, 0.3, 1, 2.5]) {
      for (const heading of [-0.9, -0.3, 0, 0.5, 1.3]) {
        const r = rig(sloop(), { obstacles: [wall(6, 0.4)], heading, u: speed, v: 0.2 * speed });
        let last = energy(r);
        run(r, 20, () => {
          // Springs hold some of it while touching; compare when free of touch.
          if (r.scratch.touch.count > 0) return;
          const now = energy(r);
          expect(now).toBeLessThanOrEqual(last * (1 + 1e-9) + 1e-12);
          last = now;
        });
      }
    }
  });
});

describe('touches faster than the step', () => {
  it.each([
    ['lossy', 4.5e5, 10, 1e9],
    ['stiff', 1e9, 1.5, 1e9],
    ['stiff and lossy', 1e9, 10, 1e9],
    ['soft against stiff', 1e4, 10, 1e9],
    ['stiff against soft', 1e9, 10, 1e6],
  ])('a %s hull stays finite and gains nothing', (_, touchStiffness, touchLoss, stiffness) => {
    const boat = sloop();
    const hard = { ...boat, fenders: [], hull: { ...boat.hull, touchStiffness, touchLoss } };
    const quay = solidObstacle('q', 'q', Float64Array.from([7, -90, 30, -90, 30, 90, 7, 90]), {
      friction: 0.3,
      stiffness,
    });
    for (const speed of [2.5, 5, 8]) {
      for (const heading of [-1.2, 0, 0.4, Math.PI / 2]) {
        const ahead = speed * Math.sin(heading);
        const across = speed * Math.cos(heading);
        const r = rig(hard, { obstacles: [quay], heading, u: ahead, v: across });
        const before = energy(r);
        const log = new TouchLog(r.world);
        for (let i = 0; i < 100; i++) timestep({ ...r, watch: log }, 0.1);
        expect(log.touches().length).toBeGreaterThan(0);
        expect(energy(r)).toBeLessThan(before);
        // The boat has not been shot through it, nor away.
        expect(r.state.motion[X]!).toBeLessThan(9);
        expect(Math.abs(r.state.motion[X]!)).toBeLessThan(10 * speed);
      }
    }
  });

  it('many places pressing at once are followed as one stiff touch', () => {
    // A long flat side, all of it landing at the same moment.
    const boat = bareBody({
      ...REFERENCE_HULL,
      touchStiffness: 1e6,
      touchLoss: 3,
      deck: Float64Array.from([-9, -3, 9, -3, 9, 3, -9, 3]),
    });
    const quay = solidObstacle('q', 'q', Float64Array.from([3.2, -90, 9, -90, 9, 90, 3.2, 90]), {
      friction: 0.3,
      stiffness: 1e8,
    });
    const r = rig(boat, { obstacles: [quay], v: 0.5 });
    const before = energy(r);
    let most = 0;
    run(r, 3, () => (most = Math.max(most, r.scratch.touch.count)));
    expect(most).toBeGreaterThan(20);
    expect(energy(r)).toBeLessThan(before * (1 + 1e-6));
  });
});

describe('I3 one-sided laws', () => {
  it('neither fender nor hull ever pulls, and friction opposes slip', () => {
    expect(withLoss(1000, 1.5, -5)).toBe(0);
    expect(withLoss(1000, 1.5, 0.2)).toBeCloseTo(1300, 9);
    for (const slip of [-1, -0.1, -1e-4, 0, 1e-4, 0.1, 1]) {
      const force = -slip * frictionSlope(0.3, 800, slip, 0.0005);
      expect(force * slip).toBeLessThanOrEqual(0);
      expect(Math.abs(force)).toBeLessThanOrEqual(240);
    }
    expect(-frictionSlope(0.3, 800, 1, 0.0005)).toBeCloseTo(-240, 3);
    expect(seriesStiffness(2e5, 2e5)).toBe(1e5);
  });
});

describe('J7 inflatable fenders', () => {
  it.each([
    [0.15, 0.4, 2534],
    [0.22, 0.55, 5110],
    [0.3, 0.8, 10136],
  ])('%f × %f m at half its diameter', (diameter, length, newtons) => {
    expect(fenderForce(diameter / 2, diameter, length, 15000) / newtons).toBeCloseTo(1, 3);
  });

  it('hardens: the second half of the squeeze costs more than the first', () => {
    const quarter = fenderForce(0.055, 0.22, 0.55, 15000);
    expect(fenderForce(0.11, 0.22, 0.55, 15000)).toBeGreaterThan(2.2 * quarter);
  });
});

describe('touch log', () => {
  it('reports the approach speed, the fender and the energy, once', () => {
    const r = rig(sloop(), {
      obstacles: [
        solidObstacle('q', 'quay', Float64Array.from([2.6, -60, 8, -60, 8, 60, 2.6, 60]), {
          friction: 0.3,
          stiffness: 1e6,
        }),
      ],
      v: 0.2,
    });
    const log = new TouchLog(r.world);
    for (let i = 0; i < 400; i++) timestep({ ...r, watch: log }, 0.05);
    const [first] = log.touches();
    expect(first!.name).toBe('quay');
    expect(first!.fender).toMatch(/starboard/);
    expect(first!.speed).toBeGreaterThan(0.1);
    expect(first!.speed).toBeLessThanOrEqual(0.2);
    expect(first!.energy).toBeLessThanOrEqual(0.5 * r.world.craft.mass.m22 * first!.speed ** 2);
    expect(first!.peakForce).toBeGreaterThan(100);
  });

  it('forgets what a retaken step had added', () => {
    const r = rig(sloop(), { obstacles: [pileObstacle('p', 'pile', 0, 5.25, 0.2, RIGID)], u: 1 });
    const seen = new TouchLog(r.world);
    seen.save();
    for (let i = 0; i < 20; i++) timestep({ ...r, watch: seen }, 0.05);
    expect(seen.touches().length).toBe(1);
    seen.restore();
    expect(seen.touches().length).toBe(0);
  });
});

it('the listed pairs miss no touch that looking at everything afresh finds', () => {
  const between = (y: number) => pileObstacle(`p${y}`, `pile ${y}`, 2.05, y, 0.2, RIGID);
  const quay = Float64Array.from([-6, -20, -2, -20, -1.9, 4, -3.5, 12, -2.2, 30, -6, 30]);
  const r = rig(sloop(), {
    obstacles: [
      solidObstacle('far', 'far', Float64Array.from([30, 0, 40, 0, 40, 5, 30, 5]), RIGID),
      solidObstacle('q', 'q', quay, { friction: 0.3, stiffness: 1e7 }),
      ...[-8, -2, 4, 9, 15].map(between),
    ],
    y: -14,
    u: 2,
    r: 0.05,
  });
  orderRudder(r.state, r.world.craft, 0.2);
  orderEngine(r.state.engines[0]!, r.world.craft.spec.drives[0]!, 1, 0.6);
  let touches = 0;
  for (let i = 0; i < 400; i++) {
    timestep(r, TIMESTEP_S);
    const forces = [r, vesselOf(r.world, r.state)].map((vessel) => {
      const { scratch } = vessel;
      scratch.clock[CLOCK.STEP] = TIMESTEP_S;
      lookAround(r.state.motion, vessel);
      derivative(scratch.slopes[0], r.state.motion, vessel, 0);
      return [
        scratch.touch.count,
        ...scratch.touch.normalForce.slice(0, scratch.touch.count),
      ].sort();
    });
    const [listed, afresh] = forces;
    expect(listed).toHaveLength(afresh!.length);
    // Faces are turned step by step, or from their outline: the last bits may differ.
    listed!.forEach((force, k) => expect(force).toBeCloseTo(afresh![k]!, 6));
    touches += r.scratch.touch.count;
  }
  expect(touches).toBeGreaterThan(50);
});
