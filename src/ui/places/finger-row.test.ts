import { check, fingerRow, placeSchema, type FingerRow, type Place } from '@/document';
import { cornersOf, thingOf } from './edit';
import { legOf } from './leg';

describe('a row of fingers', () => {
  const row: FingerRow = {
    name: 'North side',
    from_m: [100, 50],
    bearing_deg: 90,
    side: 'port',
    fingers: 6,
    pitch_m: 9.5,
    length_m: 10,
    width_m: 0.8,
    lean_deg: 0,
    walkwayWidth_m: 2.4,
    boats: 2,
    occupied: [2, 5],
    boatLength_m: 9,
    boatBeam_m: 3.1,
  };
  const empty: Place = {
    $schema: 'yawtrope:place',
    version: 2,
    id: 'pool',
    name: 'Pool',
    note: '',
    features: [],
    berths: [],
    areas: [],
    transits: [],
  };
  const made = (part: Partial<FingerRow> = {}) => {
    const done = fingerRow(empty, { ...row, ...part });
    if (!done.ok) throw new Error(done.problems[0]!.message);
    return done.value;
  };

  it('has its walkway, fingers, boats where somebody lies and slips where nobody does', () => {
    const { features, berths } = made();
    const kinds = features.map(({ kind }) => kind);
    expect(kinds.filter((kind) => kind === 'pontoon')).toHaveLength(7);
    expect(kinds.filter((kind) => kind === 'boat')).toHaveLength(2);
    expect(berths).toHaveLength(8);
    expect(check(placeSchema, { ...empty, features, berths }).ok).toBe(true);
    // Running east with the fingers to its left, they point north of where it begins.
    const finger = thingOf({ ...empty, features, berths }, 'north-side-finger-6')!;
    expect(cornersOf(finger)).toEqual([
      [147.1, 50],
      [147.9, 50],
      [147.9, 60],
      [147.1, 60],
    ]);
    expect(cornersOf(features[0]!).map(([, y]) => y)).toEqual([50, 50, 47.6, 47.6]);
    // The first slip lies on the first finger's far side, its mouth at the finger's end.
    expect(berths[0]).toMatchObject({
      edge_m: [
        [100.4, 60],
        [100.4, 50],
      ],
      on: ['north-side-finger-1', 'north-side-walkway'],
    });
  });

  it('turned, mirrored or leaning it keeps its lengths', () => {
    for (const bearing_deg of [0, 37, 211]) {
      for (const side of ['port', 'starboard'] as const) {
        for (const lean_deg of [-20, 0, 15]) {
          const { features, berths } = made({ bearing_deg, side, lean_deg, occupied: [] });
          const finger = cornersOf(features[2]!);
          const long = legOf(finger[1]!, finger[2]!);
          expect(long.length).toBeCloseTo(10, 1);
          const hand = side === 'port' ? -1 : 1;
          const off = ((long.bearing - bearing_deg - hand * (90 - lean_deg) + 540) % 360) - 180;
          expect(Math.abs(off)).toBeLessThan(1);
          for (const { edge_m } of berths) expect(legOf(...edge_m).length).toBeCloseTo(10, 1);
        }
      }
    }
  });

  it('says what does not fit: fingers too close, boats too broad, names that are taken', () => {
    const wrong = (part: Partial<FingerRow>, on: Place = empty) => {
      const done = fingerRow(on, { ...row, ...part });
      return done.ok ? '' : `${done.problems[0]!.path}: ${done.problems[0]!.message}`;
    };
    expect(wrong({ pitch_m: 1.6 })).toMatch(/^pitch_m/);
    expect(wrong({ boatBeam_m: 4.6 })).toMatch(/^boatBeam_m: does not fit: there are 8.7 m/);
    expect(wrong({ fingers: 0 })).toMatch(/^fingers/);
    const { features } = made();
    expect(wrong({}, { ...empty, features })).toMatch(/^name: .*already/);
  });
});
