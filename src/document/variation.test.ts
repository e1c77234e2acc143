import { NO_VARIATION as NOTHING_VARIED } from '@/core/search';
import { check } from './result';
import { NO_VARIATION, toVariation, variationSchema, windsSchema } from './variation';

describe('a what-if, as it is handed over', () => {
  it('of nothing changes nothing', () => {
    expect(toVariation(NO_VARIATION)).toEqual(NOTHING_VARIED);
    expect(check(variationSchema, {})).toEqual({ ok: true, value: NO_VARIATION });
  });

  it('is turned into radians and kept otherwise', () => {
    const varied = variationSchema.parse({
      windTimes: 1.5,
      windVeer_deg: -90,
      gusts: 0.25,
      currentBy_mps: -0.5,
      entryBy_mps: 0.2,
      late_s: 3,
      asternTimes: 0.6,
      waterTimes: 1.4,
      otherHand: true,
      otherSide: true,
    });
    const { windVeer, ...rest } = toVariation(varied);
    expect(windVeer).toBeCloseTo(-Math.PI / 2, 12);
    expect(rest).toEqual({
      windTimes: 1.5,
      gusts: 0.25,
      currentBy: -0.5,
      entryBy: 0.2,
      late: 3,
      asternTimes: 0.6,
      waterTimes: 1.4,
      otherHand: true,
      otherSide: true,
    });
  });

  it.each([
    ['windTimes', -1],
    ['windVeer_deg', 181],
    ['gusts', 0.6],
    ['late_s', -2],
    ['late_s', Infinity],
    ['asternTimes', Number.NaN],
    ['otherHand', 'yes'],
    ['colour', 'blue'],
  ])('refuses %s of %p, and names it', (field, value) => {
    const checked = check(variationSchema, { [field]: value });
    expect(checked.ok).toBe(false);
    if (!checked.ok)
      expect(checked.problems.some((p) => `${p.path} ${p.message}`.includes(field))).toBe(true);
  });

  it('asks for no more winds than a sheet holds, and for at least one', () => {
    expect(windsSchema.safeParse({ from_deg: [0], speeds_mps: [3] }).success).toBe(true);
    expect(windsSchema.safeParse({ from_deg: [], speeds_mps: [3] }).success).toBe(false);
    const many = Array.from({ length: 17 }, (_, i) => i);
    expect(windsSchema.safeParse({ from_deg: many, speeds_mps: [3] }).success).toBe(false);
    expect(windsSchema.safeParse({ from_deg: [0], speeds_mps: [41] }).success).toBe(false);
  });
});
