import fc from 'fast-check';
import { between } from '@/core/testing/arbitrary';
import { assembleCraft, BLADE_KINDS, BOAT_CLASSES, DRIVE_CHOICES, KEEL_KINDS } from '@/core/boat';
import { runPlan, type Order, type RunInput, type TimedOrder } from '@/core/plan';
import { linesOf, solidObstacle } from '@/core/holding';
import {
  boatFromOwner,
  boatSchema,
  boatWarnings,
  check,
  ownerSchema,
  toBoatSpec,
  type Boat,
  type Owner,
} from './';
import { namedColumns } from '@/core/simulation';

// Any boat an owner can describe: estimated, sound by the record's own schema, and finite and bounded under any
// orders in any weather, the same twice.

const owner = fc
  .record({
    class: fc.constantFrom(...BOAT_CLASSES),
    length: between(Math.log(3.5), Math.log(250)).map(Math.exp),
    slender: between(0.11, 0.45),
    deep: between(0.04, 0.2),
    full: between(0.15, 0.75),
    drive: fc.constantFrom(...DRIVE_CHOICES),
    engines: fc.integer({ min: 1, max: 4 }),
    push: between(0.5, 40),
    hand: fc.constantFrom('right' as const, 'left' as const),
    blades: fc.constantFrom(...BLADE_KINDS),
    keel: fc.constantFrom(...KEEL_KINDS),
    rudders: fc.integer({ min: 0, max: 2 }),
    control: fc.constantFrom('wheel' as const, 'tiller' as const),
    high: between(0.04, 0.2),
    thrusters: fc.boolean(),
    joystick: fc.boolean(),
  })
  .map((o): Owner => {
    const beam = o.length * o.slender;
    const draught = o.length * o.deep;
    const weight = Math.max(90, 1025 * o.length * beam * draught * o.full);
    return {
      class: o.class,
      length_m: o.length,
      beam_m: Math.max(0.8, beam),
      draught_m: Math.max(0.1, draught),
      displacement_kg: weight,
      waterlineLength_m: null,
      drive: o.drive,
      engines: o.drive === 'none' ? 0 : o.engines,
      power_kW: Math.max(0.5, Math.min(50000, (o.push * weight) / 1000 / o.engines)),
      hand: o.hand,
      blades: o.blades,
      keel: o.keel,
      rudders: o.rudders,
      control: o.control,
      freeboard_m: Math.min(24, Math.max(0.1, o.high * o.length)),
      superstructure_m: Math.min(39, 0.5 * o.high * o.length),
      mast_m: 0,
      idleSpeed_mps: null,
      screwOffset_m: 0,
      bowThruster_kW: o.thrusters ? Math.max(1, weight / 4000) : 0,
      sternThruster_kW: o.thrusters ? Math.max(1, weight / 5000) : 0,
      joystick: o.joystick,
    };
  });

const order: fc.Arbitrary<Order> = fc.oneof(
  between(-1.5, 1.5).map((angle): Order => ({ do: 'wheel', angle })),
  fc
    .record({
      engine: fc.constantFrom(null, 0, 1, 2, 3),
      gear: fc.constantFrom(-1 as const, 0 as const, 1 as const),
      throttle: between(0, 1),
    })
    .map((o): Order => ({ do: 'engine', ...o })),
  fc
    .record({ thruster: fc.constantFrom(0, 1), power: between(-1, 1) })
    .map((o): Order => ({ do: 'thruster', ...o })),
  fc
    .record({ ahead: between(-1, 1), sideways: between(-1, 1), twist: between(-1, 1) })
    .map((o): Order => ({ do: 'joystick', ...o })),
);

const weather = fc.record({
  wind: between(0, 25),
  from: between(0, 6.28),
  current: between(0, 2),
  set: between(0, 6.28),
  gusty: fc.boolean(),
  depth: fc.constantFrom(Infinity, 1.05, 1.5, 3),
  seed: fc.integer(),
});

function made(
  boat: Boat,
  orders: readonly TimedOrder[],
  w: {
    wind: number;
    from: number;
    current: number;
    set: number;
    gusty: boolean;
    depth: number;
    seed: number;
  },
): RunInput {
  const spec = toBoatSpec(boat);
  const l = spec.hull.length;
  const quay = solidObstacle(
    'q',
    'quay',
    Float64Array.from([-6 * l, -0.9 * l, 6 * l, -1.1 * l, 6 * l, -2 * l, -6 * l, -2 * l]),
    { friction: 0.4, stiffness: 5e6 },
  );
  return {
    boat: spec,
    obstacles: [quay],
    lines: linesOf([
      {
        boatX: 0.3 * l,
        boatY: 0,
        shoreX: 0.3 * l,
        shoreY: -1.02 * l,
        rise: 0.5,
        length: 1.6 * l,
        stiffness: 2 * spec.hull.mass,
        damping: 0.1 * spec.hull.mass,
      },
    ]),
    weather: {
      windFrom: w.from,
      windSpeed: w.wind,
      currentSet: w.set,
      currentSpeed: w.current,
      waterDensity: 1025,
      ...(w.gusty ? { gusts: { intensity: 0.25, timeScale: 6, seed: w.seed } } : {}),
      ...(w.depth < Infinity ? { depth: w.depth * spec.hull.draught, confined: true } : {}),
    },
    start: { x: 0, y: 0, heading: 1.2, speed: 0.5 },
    plan: {
      steps: [
        {
          id: 'a',
          cue: { is: 'start' },
          within: 5,
          orders,
          expect: [],
          wayOut: { automatic: false, orders: [] },
        },
      ],
      end: { cue: { is: 'after', time: 30 }, within: 60 },
    },
    goal: { is: 'clear', distance: 0 },
    berth: new Set(),
    limit: 30,
  };
}

it('is estimated, sound, bounded and the same twice', () => {
  let played = 0;
  let refused = 0;
  fc.assert(
    fc.property(
      owner,
      fc.array(fc.record({ after: between(0, 25), order }), { minLength: 1, maxLength: 8 }),
      weather,
      (o, orders, w) => {
        const known = check<Owner>(ownerSchema, o);
        if (!known.ok) {
          refused += 1;
          for (const p of known.problems) expect([p.path, p.message]).not.toContain('');
          return;
        }
        const boat = boatFromOwner(known.value, { id: 'any', name: 'Any', kind: 'any', note: '' });
        const checked = check<Boat>(boatSchema, boat);
        if (!checked.ok) {
          // Nonsense proportions are refused by name of the field, never let through to the step.
          refused += 1;
          for (const p of checked.problems) expect(p.path).not.toBe('(file)');
          return;
        }
        boatWarnings(checked.value).forEach((p) => expect(p.message).not.toMatch(/NaN|Infinity/));
        played += 1;
        const input = made(checked.value, orders, w);
        const run = runPlan(input);
        for (const [name, column] of Object.entries(namedColumns(run.trace)))
          expect([name, name === 'clearance' || column.every(Number.isFinite)]).toEqual([
            name,
            true,
          ]);
        // No faster than the boat's screws' pitch at full revolutions and a half, or the wind and current can drive it.
        const { drives } = input.boat;
        const screws = Math.max(0, ...drives.map((d) => d.pitch * d.fullRps));
        const most = 1.5 * screws + 0.35 * w.wind * 1.9 + 3 * w.current + 2.5;
        expect(Math.max(...run.trace.groundSpeed)).toBeLessThan(most);
        const again = runPlan(input);
        expect(again.trace.x).toEqual(run.trace.x);
        expect(again.trace.heading).toEqual(run.trace.heading);
        assembleCraft(input.boat);
      },
    ),
    { numRuns: 80 },
  );
  process.stdout.write(`${played} boats played, ${refused} refused\n`);
  expect(played).toBeGreaterThan(30);
}, 180000);
