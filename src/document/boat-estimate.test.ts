import {
  assembleCraft,
  BLADE_KINDS,
  BOAT_CLASSES,
  DRIVE_CHOICES,
  DRIVE_COLUMNS,
  FOIL_COLUMNS,
  KEEL_KINDS,
  PROPULSOR_KINDS,
} from '@/core/boat';
import { addFoil, addThrust, FLOW_COLUMNS, propellerFlow, resistance, WORK } from '@/core/forces';
import { workRow } from '@/core/testing/rows';
import { SEA_WATER_KGPM3 } from '@/core/units';
import {
  boatFromOwner,
  boatSchema,
  boatWarnings,
  check,
  ownerSchema,
  type Boat,
  toBoatSpec,
  type Owner,
} from './';

// A boat made from what its owner knows: which way each answer pulls the figures, and how the record says so.

const NAMED = { id: 'trial', name: 'Trial', kind: 'a boat', note: '' };

const SLOOP: Owner = {
  class: 'sailing yacht',
  length_m: 10,
  beam_m: 3.3,
  draught_m: 1.8,
  displacement_kg: 5500,
  waterlineLength_m: null,
  drive: 'shaft',
  engines: 1,
  power_kW: 20,
  hand: 'right',
  blades: '3 fixed',
  keel: 'fin',
  rudders: 1,
  control: 'wheel',
  freeboard_m: 1.1,
  superstructure_m: 0.4,
  mast_m: 14,
  idleSpeed_mps: null,
  screwOffset_m: 0,
  bowThruster_kW: 0,
  sternThruster_kW: 0,
  joystick: false,
};

/** Through the record's own schema, as every boat goes. */
function built(change: Partial<Owner> = {}): Boat {
  const boat = boatFromOwner({ ...SLOOP, ...change }, NAMED);
  const checked = check<Boat>(boatSchema, JSON.parse(JSON.stringify(boat)));
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  expect(checked.value).toEqual(boat);
  return checked.value;
}

const combinations = BOAT_CLASSES.flatMap((boatClass) =>
  DRIVE_CHOICES.map((drive) => [boatClass, drive] as const),
);

it.each(combinations)(
  'makes a sound record of a %s with %s, any keel and any blades',
  (boatClass, drive) => {
    for (const keel of KEEL_KINDS)
      for (const engines of drive === 'none' ? [0] : [1, 2]) {
        const blades = BLADE_KINDS[(keel.length + engines) % BLADE_KINDS.length]!;
        const boat = built({ class: boatClass, drive, engines, keel, blades });
        expect(boat.drives).toHaveLength(engines);
      }
  },
);

// The estimate works out idle with resistance and thrust in plain form; the step has them in rows and tables. They agree
// as far as a record's figures, written to three digits, let them: half a per cent in revolutions is several times that in thrust
// over drag.
it.each(PROPULSOR_KINDS)('%s at idle balances the resistance the step computes', (drive) => {
  let balanced = 0;
  for (const boatClass of BOAT_CLASSES)
    for (const idleSpeed_mps of [0.6, 1.1, 1.6]) {
      const boat = built({ class: boatClass, drive, engines: 2, power_kW: 60, idleSpeed_mps });
      const craft = assembleCraft(toBoatSpec(boat));
      const { idleRps, bollardRps } = craft.spec.drives[0]!;
      // More would be asked than idle may be: there the speed at idle is what comes of it.
      if (idleRps > 0.59 * bollardRps) continue;
      balanced += 1;
      const along = { SURGE: idleSpeed_mps, COS: 1, DENSITY: SEA_WATER_KGPM3 };
      const work = workRow(along);
      resistance(craft.hull, craft.friction, work);
      const drag = new Float64Array([work[WORK.FORCE]!, 0, 0]);
      for (let i = 0; i < craft.fins.count; i++)
        addFoil(drag, workRow(along), craft.fins.values, i * FOIL_COLUMNS);
      const thrust = new Float64Array(3);
      for (let i = 0; i < 2; i++) {
        const flows = new Float64Array(FLOW_COLUMNS);
        const turning = workRow({ ...along, RPS: idleRps });
        const at = i * DRIVE_COLUMNS;
        propellerFlow(flows, 0, craft.drives.values, at, turning);
        addThrust(thrust, flows, 0, craft.drives.values, at, turning);
      }
      expect(Math.abs(thrust[0]! / drag[0]! + 1)).toBeLessThan(0.07);
    }
  expect(balanced).toBeGreaterThan(10);
});

function figureAt(boat: Boat, path: string): unknown {
  return path
    .split(/[.[\]]+/)
    .filter((part) => part !== '')
    .reduce<unknown>((at, part) => (at as Record<string, unknown> | undefined)?.[part], boat);
}

it('says of every figure it names how it was come by, and names none the record lacks', () => {
  const boat = built({ bowThruster_kW: 3, rudders: 2, keel: 'twin', engines: 2 });
  expect(boat.basis.length).toBeGreaterThan(40);
  const missing = boat.basis.filter(({ figure }) => figureAt(boat, figure) === undefined);
  expect(missing.map(({ figure }) => figure)).toEqual([]);
  for (const { how, spread_pct: spread, note } of boat.basis) {
    expect(['given', 'formula', 'class default', 'assumption']).toContain(how);
    expect(spread).toBeGreaterThanOrEqual(0);
    // A class default says so by its kind.
    if (how !== 'class default') expect(note).not.toBe('');
  }
  // Nothing is told twice.
  const figures = boat.basis.map(({ figure }) => figure);
  expect(new Set(figures).size).toBe(figures.length);
});

describe('what the owner says pulls the right way:', () => {
  it('a bigger engine pushes harder, and turns a bigger screw', () => {
    const [small, big] = [10, 40].map((power_kW) => built({ power_kW }).drives[0]!);
    expect(big!.power_kW).toBe(40);
    expect(big!.diameter_m).toBeGreaterThan(small!.diameter_m);
  });

  it('folding blades do worse astern', () => {
    const fixed = built().drives[0]!;
    const folding = built({ blades: '2 folding' }).drives[0]!;
    expect(folding.folding).toBe('folding');
    expect(folding.asternEfficiency).toBeLessThan(fixed.asternEfficiency);
    expect(folding.blades).toBe(2);
  });

  it('the hand of the propeller is hers, and two engines turn opposite ways', () => {
    expect(built({ hand: 'left' }).drives[0]!.hand).toBe('left');
    const { drives } = built({ engines: 2, class: 'motor yacht', keel: 'none', mast_m: 0 });
    expect(new Set(drives.map(({ hand }) => hand)).size).toBe(2);
    expect(drives[0]!.y_m).toBeCloseTo(-drives[1]!.y_m, 6);
  });

  it('higher sides and a house catch more wind', () => {
    const low = built({ mast_m: 0 }).windage;
    const high = built({ mast_m: 0, freeboard_m: 1.6, superstructure_m: 1 }).windage;
    expect(high.lateralArea_m2).toBeGreaterThan(low.lateralArea_m2);
    expect(high.frontalArea_m2).toBeGreaterThan(low.frontalArea_m2);
    expect(high.centreHeight_m).toBeGreaterThan(low.centreHeight_m);
  });

  it('a long keel holds her more than none, along more of her', () => {
    const plan = (keel: Owner['keel']) =>
      built({ keel }).fins.reduce((sum, { area_m2 }) => sum + area_m2, 0);
    const run = (keel: Owner['keel']) => {
      const along = built({ keel }).fins.map(({ x_m }) => x_m);
      return Math.max(...along) - Math.min(...along);
    };
    expect(plan('fin')).toBeGreaterThan(plan('none'));
    expect(plan('long')).toBeGreaterThan(plan('fin'));
    expect(run('long')).toBeGreaterThan(run('fin'));
  });

  it('legs steer by themselves, shafts do not', () => {
    const legs = built({ drive: 'outdrive', rudders: 0, class: 'motor yacht', keel: 'none' });
    expect(legs.drives[0]!.steering).not.toBe('fixed');
    expect(legs.drives[0]!.leg).not.toBeNull();
    expect(built().drives[0]).toMatchObject({ steering: 'fixed', leg: null });
  });

  it('thrusters push in the ends they are in', () => {
    const { thrusters } = built({ bowThruster_kW: 3, sternThruster_kW: 2 });
    expect(thrusters.map(({ x_m }) => Math.sign(x_m))).toEqual([1, -1]);
    expect(thrusters[0]!.thrust_N).toBeGreaterThan(thrusters[1]!.thrust_N);
  });

  it('a slower idle is a slower screw', () => {
    const [slow, fast] = [0.8, 1.6].map((idleSpeed_mps) => built({ idleSpeed_mps }).drives[0]!);
    expect(slow!.idle_rpm).toBeLessThan(fast!.idle_rpm);
  });

  it('a catamaran has two hulls, other boats one', () => {
    const { hull } = built({ class: 'sailing catamaran', beam_m: 5.5, keel: 'twin' });
    const half = Math.max(...hull.waterline.map(([, y]) => y));
    // Apart from one another, and under the deck.
    expect(hull.demihullOffset_m).toBeGreaterThan(2 * half);
    expect(hull.demihullOffset_m + half).toBeLessThanOrEqual(hull.beam_m / 2);
    expect(built().hull.demihullOffset_m).toBe(0);
    const wide = { ...hull, demihullOffset_m: 2.6 };
    const refused = check(boatSchema, { ...built(), hull: wide });
    expect(refused.ok ? [] : refused.problems.map((p) => p.path)).toContain('hull.waterline[3]');
  });
});

it('warns of what is unusual, not of what is ordinary', () => {
  expect(boatWarnings(built())).toEqual([]);
  const odd = boatWarnings(built({ beam_m: 1, displacement_kg: 3000 }));
  expect(odd.length).toBeGreaterThan(0);
  for (const { path, message } of odd) {
    expect(path).toMatch(/^[a-z]+[.[]/);
    expect(message).toMatch(/usual/);
  }
});

it.each([
  [60, 0.9],
  [110, 1.1],
  [220, 1.9],
])('takes a fast open boat of %f kW on %f t', (power_kW, tonnes) => {
  const boat = built({
    class: 'open boat',
    length_m: 5.5 + tonnes / 2,
    beam_m: 2.2,
    draught_m: 0.6,
    displacement_kg: 1000 * tonnes,
    drive: 'outboard',
    power_kW,
    keel: 'none',
    rudders: 0,
    freeboard_m: 0.6,
    superstructure_m: 0,
    mast_m: 0,
  });
  expect(boat.drives[0]!.power_kW).toBe(power_kW);
});

it('says the most power that would do, and takes that', () => {
  const refused = check<Owner>(ownerSchema, { ...SLOOP, engines: 2, power_kW: 9000 });
  if (refused.ok) throw new Error('was taken');
  const most = Number(/at most (\d+) kW each/.exec(refused.problems[0]!.message)![1]);
  expect(most).toBeGreaterThan(50);
  expect(most).toBeLessThan(9000);
  expect(check<Owner>(ownerSchema, { ...SLOOP, engines: 2, power_kW: most }).ok).toBe(true);
  built({ engines: 2, power_kW: most });
});

it.each<[string, Partial<Record<keyof Owner, unknown>>, string]>([
  ['engines without a drive', { drive: 'none' }, 'drive'],
  ['a drive without engines', { engines: 0 }, 'engines'],
  ['half an engine', { engines: 1.5 }, 'engines'],
  ['five engines', { engines: 5 }, 'engines'],
  ['three rudders', { rudders: 3 }, 'rudders'],
  ['a keel nobody knows', { keel: 'wing' }, 'keel'],
  ['an engine for a ship in a sloop', { power_kW: 4000 }, 'power_kW'],
  ['a bow thruster for a ship', { bowThruster_kW: 1500 }, 'bowThruster_kW'],
  ['a stern thruster for a ship', { sternThruster_kW: 1500 }, 'sternThruster_kW'],
  ['a negative weight', { displacement_kg: -1 }, 'displacement_kg'],
  ['a beam that is no number', { beam_m: '3' }, 'beam_m'],
  ['more weight than floats', { displacement_kg: 70000 }, 'displacement_kg'],
])('refuses %s at its field', (_, change, field) => {
  const checked = check<Owner>(ownerSchema, { ...SLOOP, ...change });
  if (checked.ok) throw new Error('was taken');
  expect(checked.problems.map(({ path }) => path)).toEqual([field]);
  expect(checked.problems[0]!.message.length).toBeGreaterThan(5);
});
