import fc from 'fast-check';
import { between } from '../testing/arbitrary';
import { allocate, type Effector } from './';

const along = (y: number, most = 1e5): Effector => ({
  surge: 1,
  sway: 0,
  yaw: -y,
  least: -most,
  most,
});
const across = (x: number, most = 1e5): Effector => ({
  surge: 0,
  sway: 1,
  yaw: x,
  least: -most,
  most,
});

describe('H sharing a wanted force over what the boat has', () => {
  it('H1 two azimuth drives push her sideways with their lines meeting at the middle', () => {
    const shares = allocate([along(-0.9), across(-4.5), along(0.9), across(-4.5)], 0, 2000, 0, 5);
    const known = [5000, 1000, -5000, 1000];
    known.forEach((v, i) => expect(shares[i]! / v).toBeCloseTo(1, 3));
    expect(Math.hypot(shares[0]!, shares[1]!) / 5099.0195).toBeCloseTo(1, 3);
    expect(Math.atan2(shares[1]!, shares[0]!) * (180 / Math.PI)).toBeCloseTo(11.3099, 2);
  });

  it('H2 two shafts and a bow thruster walk her', () => {
    const shares = allocate([along(-1.2), along(1.2), across(4)], 0, 800, 0, 5);
    expect(shares[0]! / -1333.3333).toBeCloseTo(1, 3);
    expect(shares[1]! / 1333.3333).toBeCloseTo(1, 3);
  });

  it('H3 bow and stern thruster share by their levers, about any point', () => {
    const aboutOrigin = allocate([across(4), across(-4.2)], 0, 1500, 0, 5);
    expect(aboutOrigin[0]! / 768.29268).toBeCloseTo(1, 3);
    const aboutClr = allocate([across(4), across(-4.2)], 0, 1500, -0.5 * 1500, 5);
    expect(aboutClr[0]! / 676.82927).toBeCloseTo(1, 3);
    expect(aboutClr[1]! / 823.17073).toBeCloseTo(1, 3);
  });

  it('gets to the least miss also where sets of bounds would go round for ever', () => {
    // Found by the property beneath: surge, sway, yaw and limits as drawn.
    const drawn = [
      [1, 0, 0.8564, 1964.47031],
      [0, 0, 0.22879, 1912.62969],
      [1, 1, -4.43119, 1324.2844],
      [0, 0, -2.23599, 2218.52164],
      [0, 1, 4.74196, 2314.7219],
      [1, 0, 3.6193, 2140.25839],
      [0, 1, -2.33107, 2020.15308],
    ] as const;
    const effectors = drawn.map(([surge, sway, yaw, most]) => ({
      surge,
      sway,
      yaw,
      most,
      least: -most,
    }));
    const wanted = [4999.96, -4999.84, 1571.13 / 3];
    const shares = allocate(effectors, wanted[0]!, wanted[1]!, 3 * wanted[2]!, 3);
    const miss = [0, 1, 2].map((a) =>
      effectors.reduce(
        (sum, e, i) => sum + [e.surge, e.sway, e.yaw / 3][a]! * shares[i]!,
        -wanted[a]!,
      ),
    );
    effectors.forEach((e, i) => {
      const slope = e.surge * miss[0]! + e.sway * miss[1]! + (e.yaw / 3) * miss[2]!;
      // At a bound it would go further; inside it nothing is gained either way.
      if (Math.abs(shares[i]!) < e.most - 1e-6) expect(Math.abs(slope)).toBeLessThan(0.01);
      else expect(slope * Math.sign(shares[i]!)).toBeLessThan(0.01);
    });
  });

  it('never passes a bound, and what it misses no single step inside the bounds would lessen', () => {
    const effector = fc.record({
      surge: fc.constantFrom(0, 1),
      sway: fc.constantFrom(0, 1),
      yaw: between(-5, 5),
      most: between(10, 3000),
    });
    const wanted = between(-5000, 5000);
    fc.assert(
      fc.property(
        fc.array(effector, { minLength: 1, maxLength: 8 }),
        wanted,
        wanted,
        wanted,
        (list, x, y, n) => {
          const effectors = list.map((e) => ({ ...e, least: -e.most }));
          const shares = allocate(effectors, x, y, n, 3);
          const miss = (u: Float64Array) => {
            let [a, b, c] = [-x, -y, -n / 3];
            effectors.forEach((e, i) => {
              a += e.surge * u[i]!;
              b += e.sway * u[i]!;
              c += (e.yaw / 3) * u[i]!;
            });
            return a * a + b * b + c * c;
          };
          const here = miss(shares);
          shares.forEach((share, i) => {
            expect(Math.abs(share)).toBeLessThanOrEqual(effectors[i]!.most * (1 + 1e-9));
            for (const way of [-1, 1]) {
              const next = shares.slice();
              next[i] = Math.max(-effectors[i]!.most, Math.min(effectors[i]!.most, share + way));
              expect(miss(next)).toBeGreaterThanOrEqual(here - 0.02 * (1 + Math.sqrt(here)));
            }
          });
        },
      ),
      { numRuns: 300 },
    );
  });
});
