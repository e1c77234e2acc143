import { lineTension, ropeFigures, ROPES, strainUnder, usualDiameter } from './';

// Recalled rope-maker practice (no document looked up): break loads of new laid polyester in kN, low and high; stretch at a
// fifth of the breaking load and at it, low and high.
const BREAKS_KN: readonly [number, number, number][] = [
  [10, 13.3, 25],
  [12, 19, 35.7],
  [14, 26.5, 49.9],
  [16, 33.8, 63.7],
  [20, 53, 99.7],
];
const AT_A_FIFTH = { polyamide: [0.08, 0.18], polyester: [0.03, 0.08] } as const;
const AT_BREAK = { polyamide: [0.3, 0.45], polyester: [0.12, 0.18], hmpe: [0.03, 0.04] } as const;

describe('ropes', () => {
  it.each(BREAKS_KN)('polyester of %d mm breaks where laid rope does', (diameter, least, most) => {
    const { breaks } = ropeFigures('polyester', diameter, 1);
    expect(breaks / 1000).toBeGreaterThan(least);
    expect(breaks / 1000).toBeLessThan(most);
  });

  it.each(['polyamide', 'polyester'] as const)('%s stretches as used rope at a fifth', (rope) => {
    const { stiffness, stiffening, breaks } = ropeFigures(rope, 14, 1);
    const strain = strainUnder(breaks / 5, stiffness, stiffening);
    expect(strain).toBeGreaterThan(AT_A_FIFTH[rope][0]);
    expect(strain).toBeLessThan(AT_A_FIFTH[rope][1]);
  });

  it.each(ROPES)('%s stretches at break as far as it should', (rope) => {
    const { stiffness, stiffening, breaks } = ropeFigures(rope, 14, 1);
    const strain = strainUnder(breaks, stiffness, stiffening);
    expect(strain).toBeGreaterThan(AT_BREAK[rope][0]);
    expect(strain).toBeLessThan(AT_BREAK[rope][1]);
  });

  it.each(ROPES)('%s: the strain under a tension is what gives that tension', (rope) => {
    const { stiffness, stiffening, breaks } = ropeFigures(rope, 16, 1);
    for (const share of [0.01, 0.2, 0.6, 1]) {
      const strain = strainUnder(share * breaks, stiffness, stiffening);
      const tension = lineTension(stiffness, 7, 0, 7 * (1 + strain), 0, stiffening);
      expect(tension / (share * breaks)).toBeCloseTo(1, 9);
    }
  });

  it('age and knots take strength, not stiffness; doubled they have twice of both', () => {
    const one = ropeFigures('polyester', 12, 1);
    const worn = ropeFigures('polyester', 12, 0.5);
    const two = ropeFigures('polyester', 12, 1, 2);
    expect(worn.breaks).toBeCloseTo(one.breaks / 2, 9);
    expect(worn.stiffness).toBe(one.stiffness);
    expect(two.breaks).toBeCloseTo(2 * one.breaks, 9);
    expect(two.stiffness).toBeCloseTo(2 * one.stiffness, 9);
    expect(two.damping).toBeCloseTo(2 * one.damping, 9);
  });

  it('stiffer in this order: polyamide, polyester, HMPE; strength goes with the square of the diameter', () => {
    const stiffness = (['polyamide', 'polyester', 'hmpe'] as const).map(
      (rope) => ropeFigures(rope, 14, 1).stiffness,
    );
    expect(stiffness[0]!).toBeLessThan(stiffness[1]!);
    expect(stiffness[1]!).toBeLessThan(stiffness[2]!);
    const { breaks } = ropeFigures('polyester', 10, 1);
    expect(ropeFigures('polyester', 20, 1).breaks / breaks).toBeCloseTo(4, 9);
  });

  it.each([
    [500, 8],
    [3000, 10],
    [8000, 14],
    [20000, 20],
  ])('a boat of %d kg has lines of %d mm, and heavier ones never thinner', (mass, diameter) => {
    expect(usualDiameter(mass)).toBe(diameter);
    expect(usualDiameter(2 * mass)).toBeGreaterThanOrEqual(diameter);
    expect(usualDiameter(3e8)).toBe(80);
  });
});
