import { drawOf, NO_SPREAD, spreadFor, STANDARD_SPREAD } from '@/core/uncertainty';
import { conditionsAt, conditionsSchema, toRunInput, type ManoeuvreFile } from '.';
import { knownOf } from './known';
import { demoFile } from './testing/demo';

const file = demoFile('off-the-wall');
const { boat, conditions } = file;

/** The boat with some figures found out to so many per cent. */
const foundOut = (figures: Readonly<Record<string, number>>): ManoeuvreFile['boat'] => ({
  ...boat,
  basis: [
    ...boat.basis.filter(({ figure }) => !(figure in figures)),
    ...Object.entries(figures).map(([figure, spread_pct]) => ({
      figure,
      how: 'measured' as const,
      spread_pct,
      note: '',
    })),
  ],
});

describe('what is known of a boat', () => {
  it('is nothing while its figures are estimated', () => {
    expect(knownOf({ ...boat, basis: [] }, conditions)).toBeUndefined();
    expect(knownOf(boat, conditions)).toBeUndefined();
  });

  it('counts a part once every figure it stands for was found out', () => {
    const area = foundOut({ 'windage.lateralArea_m2': 6 });
    expect(knownOf(area, conditions)).toBeUndefined();
    const both = foundOut({ 'windage.lateralArea_m2': 6, 'windage.sideDrag': 8 });
    expect(knownOf(both, conditions)!.windForce).toBeCloseTo(0.1, 12);
  });

  it('takes of several drives the one that is known least', () => {
    const walks = Object.fromEntries(
      boat.drives.map((_, i) => [`drives[${i}].walkAstern`, 20 + 5 * i]),
    );
    expect(knownOf(foundOut(walks), conditions)).toEqual({
      propWalk: (20 + 5 * (boat.drives.length - 1)) / 100,
    });
  });

  it('goes into the run, and narrows what is drawn of it alone', () => {
    const thrusts = Object.fromEntries(
      boat.drives.map((_, i) => [`drives[${i}].bollardThrust_kt`, 3]),
    );
    const input = toRunInput({ ...file, boat: foundOut(thrusts) });
    if (!input.ok) throw new Error('the demo runs');
    const spread = spreadFor(STANDARD_SPREAD, input.value.known);
    for (let k = 0; k < 20; k++) {
      const [standard, narrow] = [STANDARD_SPREAD, spread].map((s) => drawOf(s, 1, k));
      expect(narrow!.thrust - 1).toBeCloseTo((standard!.thrust - 1) / 5, 9);
      expect(narrow!.propWalk).toBe(standard!.propWalk);
    }
    expect(spreadFor(NO_SPREAD, input.value.known)).toEqual(NO_SPREAD);
  });
});

describe('what is known of a day', () => {
  const wind = { ...conditions.wind, speed_mps: 4, spread: { speed_pct: 30, from_deg: 18 } };
  const current = { ...conditions.current, spread: { speed_pct: 10, set_deg: 9 } };

  it('is what the conditions say', () => {
    const known = knownOf(boat, { ...conditions, wind, current })!;
    expect(known.windSpeed).toBeCloseTo(0.3, 12);
    expect(known.windFrom).toBeCloseTo(Math.PI / 10, 12);
    expect(known.current).toBeCloseTo(0.1, 12);
    expect(known.currentSet).toBeCloseTo(Math.PI / 20, 12);
  });

  it('is refused beyond its bounds, with the field', () => {
    const wrong = conditionsSchema.safeParse({
      ...conditions,
      wind: { ...wind, spread: { speed_pct: 130, from_deg: 18 } },
    });
    expect(wrong.error!.issues[0]!.path).toEqual(['wind', 'spread', 'speed_pct']);
  });

  const hour = (at: number) => ({
    at,
    wind: { from_deg: 200, speed_mps: 6, gust_mps: 8 },
    level_m: null,
    current: { set_deg: 90, speed_mps: 0.5 },
  });
  const hours = { hours: [0, 3600, 400_000, 403_600].map(hour) };

  it('is gone with another hour, and a forecast is further out the further ahead it looks', () => {
    const at = (asked: number) => {
      const told = conditionsAt({ ...conditions, wind, current }, hours, 400_000, 60, asked);
      if (!told.ok) throw new Error(JSON.stringify(told.problems));
      return told.value;
    };
    expect(at(400_000).wind.spread).toBeUndefined();
    expect(at(400_000).current.spread).toBeUndefined();
    const twoDays = at(400_000 - 2 * 86_400).wind.spread!;
    const fourDays = at(400_000 - 4 * 86_400).wind.spread!;
    expect(twoDays.speed_pct).toBeGreaterThan(20);
    expect(fourDays.speed_pct).toBeGreaterThan(twoDays.speed_pct);
    expect(fourDays.from_deg).toBeGreaterThan(twoDays.from_deg);
  });
});
