import fc from 'fast-check';
import type { BoatSpec } from '../boat';
import type { LineSpec } from '../holding';
import { between } from '../testing/arbitrary';
import { bareBody, REFERENCE_HULL, sloop } from '../testing/boats';
import { energy, rig, run, type Rig, type RigOptions } from '../testing/rig';
import { companyOf, orderEngine, PSI, R, stepTogether, U, V, X, Y, type Company } from './';

const RAFT_FRICTION = 0.3;

function company(rigs: readonly Rig[], friction = RAFT_FRICTION): Company {
  return companyOf(rigs, friction);
}

function runAll(all: Company, seconds: number, each: () => void = () => undefined, h = 0.05): void {
  const steps = Math.round(seconds / h);
  for (let i = 0; i < steps; i++) {
    stepTogether(all, h);
    each();
  }
}

interface Tie extends Omit<LineSpec, 'shoreX' | 'shoreY'> {
  readonly otherX: number;
  readonly otherY: number;
}

/** A line to the only other boat, at (otherX, otherY) of it. */
const tie = ({ otherX = 0, otherY = 0, ...spec }: Partial<Tie>): LineSpec => ({
  boatX: 0,
  boatY: 0,
  shoreX: otherY,
  shoreY: otherX,
  on: 1,
  rise: 0,
  length: 10,
  stiffness: 100000,
  damping: 0,
  ...spec,
});

/** The same led from the other boat. */
const reversed = (t: LineSpec): LineSpec => ({
  ...t,
  boatX: t.shoreY,
  boatY: t.shoreX,
  shoreX: t.boatY,
  shoreY: t.boatX,
});

/** Impulse in the world, north and east, and its moment about the place's origin, clockwise. */
function impulse({ world, state }: Rig): [number, number, number] {
  const { m11, m22, m23, m33 } = world.craft.mass;
  const { motion } = state;
  const sin = Math.sin(motion[PSI]!);
  const cos = Math.cos(motion[PSI]!);
  const p = m11 * motion[U]!;
  const q = m22 * motion[V]! + m23 * motion[R]!;
  const north = p * cos - q * sin;
  const east = p * sin + q * cos;
  const spin = m33 * motion[R]! + m23 * motion[V]!;
  return [north, east, spin + motion[Y]! * east - motion[X]! * north];
}

function total(rigs: readonly Rig[]): number[] {
  return [0, 1, 2].map((i) => rigs.reduce((sum, r) => sum + impulse(r)[i]!, 0));
}

/** A body without drag, of all its potential impulse, that lies still where it is put. */
const body = (mass: number, more: Partial<BoatSpec['hull']> = {}) =>
  bareBody({ ...REFERENCE_HULL, addedSurge: 0.05, mass: mass / 1.05, munkFactor: 1, ...more });

describe('J6 two free boats tied', () => {
  // The second line leads from a spar far ahead of the second boat, so that one or the other is always taut.
  const pair = [
    tie({ length: 20, stiffness: 200000 }),
    tie({ boatX: 30, length: 10, stiffness: 100000 }),
  ];

  it('swing on the period of the reduced mass, 2π√(μ/k)', () => {
    const one = rig(body(5250), { u: 0.1, lines: pair });
    const two = rig(body(10000), { y: 20, u: -0.05 });
    const all = company([one, two]);
    const crossings: number[] = [];
    let last = 0;
    runAll(all, 12, () => {
      const now = two.state.motion[Y]! - one.state.motion[Y]! - 20;
      if (last > 0 && now <= 0) crossings.push(one.state.time - 0.05 * (now / (now - last)));
      last = now;
    });
    expect((crossings[1]! - crossings[0]!) / 3.6865879).toBeCloseTo(1, 3);
  });

  it('a boat that hardly gives way is a post', () => {
    const mass = 1e12;
    const one = rig(body(5250), { u: 0.1 });
    const two = rig(body(mass), { y: 20, lines: pair.map(reversed) });
    const all = company([one, two]);
    const crossings: number[] = [];
    let last = 0;
    runAll(all, 12, () => {
      const now = one.state.motion[Y]!;
      if (last > 0 && now <= 0) crossings.push(one.state.time - 0.05 * (now / (now - last)));
      last = now;
    });
    expect((crossings[1]! - crossings[0]!) / 4.5526003).toBeCloseTo(1, 3);
  });
});

/** Lying roughly alongside one another, and moving. */
const swing = fc.record({
  heading: between(-0.2, 0.2),
  along: between(-3, 3),
  away: between(4.6, 6),
  u: between(-0.5, 0.5),
  v: between(-0.4, 0.4),
  r: between(-0.08, 0.08),
});

describe('J6 two free boats tied and touching', () => {
  /** Bodies with a hull's outline and fenders, none of whose motion the water takes. */
  const boat = (loss: number) => ({
    ...body(6000, { deck: sloop().hull.deck, touchLoss: loss, touchStiffness: 100000 }),
    fenders: sloop().fenders.map((f) => ({ ...f, loss })),
  });
  const other = (loss: number) =>
    body(15000, {
      deck: Float64Array.from([-6, 2, 5, 2, 6.5, 0, 5, -2, -6, -2]),
      touchLoss: loss,
    });
  const lines = [
    tie({ boatX: 4, boatY: 0.5, otherX: 3, otherY: -1, length: 5, stiffness: 40000, damping: 300 }),
    tie({ boatX: -4, boatY: 1, otherX: -5, otherY: 2, length: 6, stiffness: 40000, damping: 300 }),
  ];

  it('keep their impulse and its moment, whatever they do to one another', () => {
    fc.assert(
      fc.property(swing, swing, (a, b) => {
        const one = rig(boat(2), { heading: a.heading, u: a.u, v: a.v, r: a.r, lines });
        const two = rig(other(2), {
          x: b.away,
          y: b.along,
          heading: b.heading,
          u: b.u,
          v: b.v,
          r: b.r,
        });
        const all = company([one, two]);
        const before = total([one, two]);
        runAll(all, 10);
        const after = total([one, two]);
        // Of a few thousand N s and some ten thousand N m s; the scheme itself is good to a few parts in 100,000.
        after.forEach((now, i) => expect(Math.abs(now - before[i]!)).toBeLessThan([1, 1, 5][i]!));
      }),
      { numRuns: 60 },
    );
  });

  it('touch without gaining energy, and without loss give it all back', () => {
    for (const loss of [0, 2]) {
      for (const offset of [-3, 0, 2.5]) {
        const one = rig(boat(loss), { heading: Math.PI / 2, u: 0, v: -0.5 });
        const two = rig(other(loss), { x: offset, y: 5, heading: Math.PI / 2, v: 0.3 });
        const all = company([one, two], loss > 0 ? RAFT_FRICTION : 0);
        const before = energy(one) + energy(two);
        let touched = false;
        runAll(all, 8, () => (touched ||= all.pairs.some((p) => p.acts.touch.count > 0)));
        expect(touched).toBe(true);
        const share = (energy(one) + energy(two)) / before;
        if (loss > 0) expect(share).toBeLessThan(0.999);
        else expect(Math.abs(share - 1)).toBeLessThan(0.03);
      }
    }
  });

  it('her fenders meet the other side too: who is named first makes no difference', () => {
    const start = (): [Rig, Rig] => [
      rig(boat(2), { heading: 1.2, v: -0.4 }),
      rig(other(2), { x: 1, y: 5, heading: 1.5, v: 0.2 }),
    ];
    const [a, b] = start();
    const [c, d] = start();
    runAll(company([a, b]), 10);
    runAll(company([d, c]), 10);
    // The second way the hulls' sides are asked from the other end; the fenders are what touches.
    for (const i of [X, Y, PSI, U, V, R]) {
      expect(c.state.motion[i]).toBeCloseTo(a.state.motion[i]!, 6);
      expect(d.state.motion[i]).toBeCloseTo(b.state.motion[i]!, 6);
    }
  });
});

describe('boats in company', () => {
  it('one alone goes as she goes alone, to the last bit', () => {
    const options: RigOptions = { weather: { windFrom: 1, windSpeed: 8 }, heading: 0.3 };
    const alone = rig(sloop(), options);
    const one = rig(sloop(), options);
    const two = rig(sloop(), { x: 200 });
    [alone, one].forEach(({ state, world }) =>
      orderEngine(state.engines[0]!, world.craft.spec.drives[0]!, 1, 0.4),
    );
    run(alone, 30);
    runAll(company([one, two]), 30);
    expect([...one.state.motion]).toEqual([...alone.state.motion]);
  });

  it('one tows the other, and a steady current only carries both along', () => {
    const tow = (currentSpeed: number, currentSet: number) => {
      // The air goes with the water.
      const air = { windFrom: currentSet + Math.PI, windSpeed: currentSpeed };
      const weather = { currentSpeed, currentSet, ...air };
      const hawser = tie({ boatX: -4, otherX: 4.8, length: 7, stiffness: 60000, damping: 200 });
      const tug = rig(sloop(), { y: 14, heading: 0, weather, lines: [hawser] });
      const towed = rig(sloop(), { heading: 0.2, weather });
      orderEngine(tug.state.engines[0]!, tug.world.craft.spec.drives[0]!, 1, 0.3);
      const all = company([tug, towed]);
      runAll(all, 60);
      return { tug, towed, tension: tug.scratch.tension[0]! };
    };
    const still = tow(0, 0);
    expect(still.tension).toBeGreaterThan(20);
    expect(still.towed.state.motion[U]).toBeGreaterThan(0.5);
    const carried = tow(0.8, 2);
    const east = 60 * 0.8 * Math.sin(2);
    const north = 60 * 0.8 * Math.cos(2);
    for (const who of ['tug', 'towed'] as const) {
      const a = still[who].state.motion;
      const b = carried[who].state.motion;
      expect(b[X]! - east).toBeCloseTo(a[X]!, 7);
      expect(b[Y]! - north).toBeCloseTo(a[Y]!, 7);
      for (const i of [PSI, U, V, R]) expect(b[i]).toBeCloseTo(a[i]!, 7);
    }
    expect(carried.tension).toBeCloseTo(still.tension, 5);
  });
});
