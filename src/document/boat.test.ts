import { FLEET_IDS, fleetRecord } from './testing/fleet';
import {
  boatSchema,
  boatWarnings,
  BOAT_MIGRATIONS,
  BOAT_VERSION,
  check,
  migrateBoat,
  ownerSchema,
  type Boat,
} from './';

type Change = (boat: Boat) => void;

function problemsOf(id: string, change: Change): { path: string; message: string }[] {
  const boat = structuredClone(fleetRecord(id));
  change(boat);
  const checked = check<Boat>(boatSchema, boat);
  return checked.ok ? [] : [...checked.problems];
}

describe('a wrong boat is refused, with the field and the reason', () => {
  const cases: [string, string, Change, string, RegExp][] = [
    ['negative mass', 'brisling', (b) => (b.hull.mass_kg = -5), 'hull.mass_kg', /from 50/],
    [
      'drive outside the hull',
      'brisling',
      (b) => (b.drives[1]!.x_m = 30),
      'drives[1].x_m',
      /outside the hull/,
    ],
    [
      'drive outside the beam',
      'ottoline',
      (b) => (b.drives[0]!.y_m = -9),
      'drives[0].y_m',
      /outside the beam/,
    ],
    [
      'no blades',
      'quince',
      (b) => (b.drives[0]!.blades = 0),
      'drives[0].blades',
      /at least 2 blades/,
    ],
    [
      'half a blade',
      'quince',
      (b) => (b.drives[0]!.blades = 2.5),
      'drives[0].blades',
      /whole number/,
    ],
    [
      'idle above full',
      'flotsam',
      (b) => (b.drives[0]!.full_rpm = 100),
      'drives[0].full_rpm',
      /above idle|at most/,
    ],
    [
      'a shaft that steers',
      'quince',
      (b) => (b.drives[0]!.steering = 'wheel'),
      'drives[0].steering',
      /does not turn/,
    ],
    [
      'a race of a drive that is not there',
      'brisling',
      (b) => (b.rudders[0]!.inRaceOfDrive = 3),
      'rudders[0].inRaceOfDrive',
      /are 2 drives/,
    ],
    [
      'two drives of one name',
      'brisling',
      (b) => (b.drives[1]!.name = b.drives[0]!.name),
      'drives[1].name',
      /used twice/,
    ],
    [
      'five drives',
      'quartet',
      (b) => b.drives.push({ ...b.drives[0]!, name: 'fifth' }),
      'drives',
      /at most four/,
    ],
    [
      'a thruster like a rocket',
      'lantern',
      (b) => (b.thrusters[0]!.thrust_N = 1e6),
      'thrusters[0].thrust_N',
      /cannot be right/,
    ],
    [
      'a propeller that would make her leap',
      'quince',
      (b) => Object.assign(b.drives[0]!, { full_rpm: 5000, bollard_rpm: null }),
      'drives[0].full_rpm',
      /times its weight; at most \d+ rev/,
    ],
    [
      'the same, held by the engine from rest only',
      'brisling',
      (b) => b.drives.forEach((d) => Object.assign(d, { full_rpm: 5000, bollard_rpm: 4500 })),
      'drives[1].bollard_rpm',
      /times its weight; at most \d+ rev/,
    ],
    [
      'hulls outside the beam',
      'marram',
      (b) => (b.hull.demihullOffset_m = 5),
      'hull.demihullOffset_m',
      /half the beam/,
    ],
    [
      'not a number',
      'wicket',
      (b) => (b.windage.centreX_m = NaN),
      'windage.centreX_m',
      /give a number/,
    ],
  ];
  it.each(cases)('%s', (_, id, change, path, message) => {
    const problem = problemsOf(id, change).find((p) => p.path === path);
    expect(problem?.message).toMatch(message);
  });

  it('every boat of the fleet is taken as she is', () => {
    for (const id of FLEET_IDS) expect(problemsOf(id, () => undefined)).toEqual([]);
  });
});

describe('a merely unusual boat is taken, with a warning', () => {
  const warned = (id: string, change: Change) => {
    const boat = structuredClone(fleetRecord(id));
    change(boat);
    expect(check<Boat>(boatSchema, boat).ok).toBe(true);
    return boatWarnings(boat).map((w) => w.path);
  };

  it('names the field', () => {
    expect(warned('quince', (b) => (b.drives[0]!.pitch_m = 0.9))).toContain('drives[0].pitch_m');
    expect(warned('quince', (b) => (b.windage.lateralArea_m2 = 80))).toContain(
      'windage.lateralArea_m2',
    );
    expect(warned('tamarack-nell', (b) => (b.hull.mass_kg = 60000))).toContain('hull.mass_kg');
    expect(warned('dunlin-hatch', (b) => (b.rudders = []))).toContain('rudders');
  });
});

describe('older records', () => {
  const old = {
    $schema: 'yawtrope:boat',
    version: 1,
    id: 'old',
    name: 'Old',
    kind: 'sloop',
    hull: {
      draughts: [
        [-4, 0.1],
        [0, 0.5],
        [4, 0.1],
      ],
    },
    fins: [{ area_m2: 2, effectiveAspect: 1.7 }],
    shafts: [{ name: 'engine', hand: 'right' }],
    rudders: [{ name: 'rudder', inRaceOfShaft: 1 }],
  };

  it('are brought up one named step at a time, none left out', () => {
    expect(BOAT_MIGRATIONS).toHaveLength(BOAT_VERSION - 1);
    const now = migrateBoat(old) as Record<string, unknown>;
    expect(now).toMatchObject({
      version: BOAT_VERSION,
      drives: [{ name: 'engine', kind: 'shaft', steering: 'fixed', hand: 'right' }],
      rudders: [{ name: 'rudder', inRaceOfDrive: 1 }],
    });
    expect(now).not.toHaveProperty('shafts');
    // Keel of 2 m² at an effective aspect of 1.7 is 1.3 m deep under half a metre of body.
    expect((now.hull as { draught_m: number }).draught_m).toBeCloseTo(1.8, 2);
  });

  it('of this version and nonsense are left alone', () => {
    const current = fleetRecord('quince');
    expect(migrateBoat(current)).toBe(current);
    expect(migrateBoat(null)).toBeNull();
    expect(migrateBoat([1])).toEqual([1]);
  });
});

describe('what an owner gives', () => {
  const owner = fleetRecord('brisling').owner!;

  it('is refused where it cannot float or does not fit together', () => {
    const wrong = (change: object) => {
      const checked = check(ownerSchema, { ...owner, ...change });
      return checked.ok ? [] : checked.problems.map((p) => p.path);
    };
    expect(wrong({ displacement_kg: 300000 })).toContain('displacement_kg');
    expect(wrong({ beam_m: 20 })).toContain('beam_m');
    expect(wrong({ drive: 'none' })).toContain('drive');
    expect(wrong({ engines: 7 })).toContain('engines');
    expect(wrong({ class: 'submarine' })).toContain('class');
  });
});
