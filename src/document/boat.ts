import { z } from 'zod';
import { PROPULSOR_KINDS, propulsorOf } from '@/core/boat';
import { BOAT_VERSION, migrateBoat } from './boat-migrations';
import { implausible } from './boat-sense';
import { oneOf, id, longText, shortText, within } from './fields';
import { ownerSchema } from './owner';

export const BOAT_SCHEMA = 'yawtrope:boat';

export const BASES = [
  'given',
  'formula',
  'class default',
  'assumption',
  'measured',
  'set by hand',
] as const;

/** Half an outline, starboard side, from aft forward: [x forward of midships, y to starboard], m. */
const halfOutline = z
  .array(z.tuple([within(-250, 250, 'm'), within(0, 50, 'm')]))
  .min(3, { error: 'give at least three points, from aft forward' })
  .max(40, { error: 'give at most 40 points' });

const stations = z
  .array(z.tuple([within(-250, 250, 'm'), within(0, 30, 'm')]))
  .min(2, { error: 'give at least two stations, from aft forward' })
  .max(40, { error: 'give at most 40 stations' });

const hull = z.strictObject({
  length_m: within(2, 400, 'm'),
  beam_m: within(0.5, 80, 'm'),
  waterlineLength_m: within(1.5, 400, 'm'),
  /** Greatest draught, keel and drives included. */
  draught_m: within(0.05, 30, 'm'),
  /** Height of the deck edge amidships, of the superstructure over it, and of the mast over the water. */
  freeboard_m: within(0.1, 30, 'm').default(1),
  superstructure_m: within(0, 60, 'm').default(0),
  mast_m: within(0, 80, 'm').default(0),
  mass_kg: within(50, 5e8, 'kg'),
  centreOfGravity_m: within(-50, 50, 'm').default(0),
  yawRadius_m: within(0.3, 130, 'm'),
  deck: halfOutline,
  waterline: halfOutline,
  draughts: stations,
  /** Each hull's centreline from the middle, for a catamaran; 0 for one hull. */
  demihullOffset_m: within(0, 20, 'm').default(0),
  crossFlowLead: within(0, 0.9).default(0),
  crossFlowDrag: within(0.2, 4).default(0.65),
  obliqueDrag: within(0, 1).default(0.1),
  liftArea_m2: within(0, 20000, 'm²').default(0),
  /** Where that lift acts going ahead, forward of midships (usually abaft: negative). */
  liftArm_m: within(-200, 200, 'm').default(0),
  liftSpread_m: within(0, 200, 'm').default(0),
  wettedArea_m2: within(1, 50000, 'm²'),
  formFactor: within(0, 1.5).default(0.15),
  residuaryQuadratic: within(0, 0.2).default(0.01),
  residuarySextic: within(0, 30).default(3),
  asternFactor: within(1, 3).default(1.4),
  addedSurge: within(0, 0.5).default(0.06),
  addedSway: within(0, 5).default(0.9),
  addedYaw: within(0, 5).default(0.6),
  munkFactor: within(0, 1).default(0.7),
  touchStiffness_Npm: within(1e4, 1e9, 'N/m').default(250000),
  touchLoss_spm: within(0, 10, 's/m').default(1.5),
});

const fin = z.strictObject({
  name: shortText,
  x_m: within(-250, 250, 'm'),
  y_m: within(-50, 50, 'm').default(0),
  area_m2: within(0.01, 500, 'm²'),
  effectiveAspect: within(0.1, 10),
  stall_deg: within(8, 45, 'degrees'),
  profileDrag: within(0, 0.1).default(0.01),
  broadsideDrag: within(0.5, 2).default(1.2),
  reversedShare: within(0.3, 1).default(0.65),
  speedShare: within(0.3, 1.1).default(1),
});

const rudder = fin.extend({
  span_m: within(0.1, 20, 'm'),
  limit_deg: within(10, 90, 'degrees'),
  /** Number of the drive whose race it stands in, counted from 1; null for none. */
  inRaceOfDrive: z
    .number({ error: 'give the number of a drive, counted from 1, or null' })
    .int()
    .min(1)
    .max(4)
    .nullable(),
  raceEffect: within(0, 1).default(0.45),
  straightening: within(0.1, 1).default(1),
  hullShare: within(0, 1).default(0),
  hullShareX_m: within(-200, 200, 'm').default(0),
  dragDeduction: within(0, 0.8).default(0),
  asternShare: within(0, 1).default(1),
});

const blades = z
  .number({ error: 'give 2 to 7 blades' })
  .int({ error: 'give a whole number of blades' })
  .min(2, { error: 'a propeller has at least 2 blades' })
  .max(7, { error: 'a propeller has at most 7 blades' });

const drive = z
  .strictObject({
    name: shortText,
    kind: oneOf(PROPULSOR_KINDS),
    x_m: within(-250, 250, 'm'),
    y_m: within(-50, 50, 'm').default(0),
    /** Held fast, turned by the wheel, or also by itself under a joystick. */
    steering: oneOf(['fixed', 'wheel', 'own']),
    hand: oneOf(['right', 'left']),
    blades: blades.default(3),
    folding: oneOf(['fixed', 'folding', 'feathering']).default('fixed'),
    power_kW: within(0.1, 100000, 'kW').nullable().default(null),
    diameter_m: within(0.1, 12, 'm'),
    pitch_m: within(0.05, 15, 'm'),
    bollardThrust_kt: within(0.05, 0.8),
    asternEfficiency: within(0.1, 1).default(0.7),
    wakeFraction: within(0, 0.6).default(0.1),
    thrustDeduction: within(0, 0.4).default(0.08),
    walkAstern: within(0, 0.3).default(0.1),
    walkAhead: within(0, 0.2).default(0.02),
    idle_rpm: within(5, 3000, 'rev/min at the propeller'),
    full_rpm: within(10, 6000, 'rev/min at the propeller'),
    /** Most the engine turns from rest; null if it reaches full there. */
    bollard_rpm: within(10, 6000, 'rev/min at the propeller').nullable().default(null),
    response_s: within(0.05, 60, 's').default(0.7),
    shiftDelay_s: within(0, 30, 's').default(0.5),
    neutralPause_s: within(0, 60, 's').default(1.5),
    /** The leg in the water, a small rudder; null for a shaft. */
    leg: fin.omit({ name: true, x_m: true, y_m: true }).nullable().default(null),
  })
  .superRefine((d, context) => {
    const say = (field: string, message: string) =>
      context.addIssue({ code: 'custom', path: [field], message });
    if (d.full_rpm <= d.idle_rpm)
      say('full_rpm', 'full revolutions must be above idle; raise this or lower idle_rpm');
    if (d.bollard_rpm !== null && d.bollard_rpm <= d.idle_rpm)
      say('bollard_rpm', 'must be above idle; raise this or lower idle_rpm');
    if (d.steering !== 'fixed' && !propulsorOf(d.kind).turns)
      say('steering', `a ${d.kind} does not turn; say 'fixed', or choose another kind`);
  });

const thruster = z.strictObject({
  name: shortText,
  x_m: within(-250, 250, 'm'),
  thrust_N: within(10, 2e6, 'N'),
  jetSpeed_mps: within(1, 15, 'm/s').default(5),
  control: oneOf(['on-off', 'proportional']).default('on-off'),
  response_s: within(0.05, 20, 's').default(0.4),
  reverseDelay_s: within(0, 20, 's').default(1),
  /** Seconds at full power until it cuts out hot; null for none. */
  heat_s: within(5, 7200, 's').nullable().default(180),
  cool_s: within(5, 7200, 's').default(600),
});

const windage = z.strictObject({
  frontalArea_m2: within(0.1, 5000, 'm²'),
  lateralArea_m2: within(0.1, 20000, 'm²'),
  frontalDrag: within(0.2, 2).default(0.65),
  /** Wind from astern; as from ahead if not given. */
  sternDrag: within(0.2, 2).optional(),
  sideDrag: within(0.2, 2).default(1),
  centreX_m: within(-150, 150, 'm'),
  centreHeight_m: within(0.1, 50, 'm'),
  centreShift: within(0, 0.3).default(0.1),
});

export const fenderSchema = z.strictObject({
  name: shortText,
  x_m: within(-250, 250, 'm'),
  side: oneOf(['port', 'starboard']),
  diameter_m: within(0.05, 5, 'm'),
  length_m: within(0.1, 10, 'm'),
  /** Its middle over the water; at the height of what the boat meets if not given. */
  height_m: within(-5, 30, 'm').optional(),
  pressure_kPa: within(1, 200, 'kPa').default(15),
  loss_spm: within(0, 10, 's/m').default(1),
});

const point = z.strictObject({
  name: shortText,
  x_m: within(-250, 250, 'm'),
  y_m: within(-50, 50, 'm').default(0),
});

/** How a figure was come by, and how far to trust it. */
const basis = z.strictObject({
  /** The figure's path, such as hull.wettedArea_m2 or drives[0].walkAstern, or that of the whole it is part of (fenders). */
  figure: z.string().min(1).max(80),
  how: z.enum(BASES, {
    error: "say 'given', 'formula', 'class default', 'assumption', 'measured' or 'set by hand'",
  }),
  /** Likely error either way, per cent of the figure; of the boat's length for a place aboard (x_m, y_m and the like). */
  spread_pct: within(0, 100, '%'),
  note: z.string().max(200, { error: 'keep it to 200 characters' }).default(''),
});

/** A boat as kept and exchanged, version 2: metres, kilograms, degrees, revolutions a minute. */
const currentBoat = z
  .strictObject({
    $schema: z.literal(BOAT_SCHEMA),
    version: z.literal(BOAT_VERSION, { error: 'this program reads versions 1 and 2' }),
    id,
    name: shortText,
    kind: shortText,
    note: longText.default(''),
    /** What the owner knows, from which the rest was estimated; null if it was not. */
    owner: ownerSchema.nullable().default(null),
    basis: z.array(basis).max(600, { error: 'at most 600 entries' }).default([]),
    hull,
    fins: z.array(fin).max(8, { error: 'at most eight fins' }).default([]),
    drives: z.array(drive).max(4, { error: 'at most four drives' }).default([]),
    rudders: z.array(rudder).max(3, { error: 'at most three rudders' }).default([]),
    thrusters: z.array(thruster).max(2, { error: 'at most two thrusters' }).default([]),
    steering: z.strictObject({
      control: oneOf(['wheel', 'tiller']),
      rate_degps: within(0.5, 90, 'degrees of rudder a second'),
      driveLimit_deg: within(5, 180, 'degrees').default(30),
    }),
    joystick: z.boolean().default(false),
    windage,
    fenders: z.array(fenderSchema).max(24, { error: 'at most 24 fenders' }).default([]),
    points: z.array(point).max(24, { error: 'at most 24 named points' }).default([]),
  })
  .superRefine((boat, context) => {
    const say = (path: PropertyKey[], message: string) =>
      context.addIssue({ code: 'custom', path, message });
    const half = boat.hull.length_m / 2;
    const slack = 0.02 * boat.hull.length_m;
    if (boat.hull.waterlineLength_m > boat.hull.length_m)
      say(['hull', 'waterlineLength_m'], 'cannot be longer than length_m');
    if (boat.hull.demihullOffset_m > boat.hull.beam_m / 2)
      say(['hull', 'demihullOffset_m'], 'lies outside half the beam; check beam_m');
    if (boat.hull.beam_m > boat.hull.length_m)
      say(['hull', 'beam_m'], 'cannot be more than length_m');
    if (boat.hull.yawRadius_m > half)
      say(['hull', 'yawRadius_m'], 'cannot be more than half the length; about a quarter is usual');
    if (Math.abs(boat.hull.centreOfGravity_m) > half)
      say(['hull', 'centreOfGravity_m'], 'lies outside the hull');
    for (const name of ['deck', 'waterline', 'draughts'] as const) {
      boat.hull[name].forEach(([x], i) => {
        if (Math.abs(x) > half + slack) say(['hull', name, i], 'lies outside the hull');
        const before = boat.hull[name][i - 1];
        if (before && x < before[0]) say(['hull', name, i], 'points must run from aft forward');
      });
    }
    for (const name of ['deck', 'waterline'] as const) {
      const points = boat.hull[name];
      if (!(points.at(-1)![0] > points[0]![0])) say(['hull', name], 'has no length');
      if (!points.some(([, y]) => y > 0)) say(['hull', name], 'has no breadth');
      points.forEach(([, y], i) => {
        const middle = name === 'waterline' ? boat.hull.demihullOffset_m : 0;
        if (y + middle > boat.hull.beam_m / 2 + 1e-6)
          say(['hull', name, i], 'lies outside half the beam; check beam_m');
      });
    }
    if (!(boat.hull.draughts.at(-1)![0] > boat.hull.draughts[0]![0]))
      say(['hull', 'draughts'], 'has no length');
    const inside = (path: PropertyKey[], x: number) => {
      if (Math.abs(x) > half * 1.15)
        say(path, `lies outside the hull, which reaches ${half.toFixed(1)} m from midships`);
    };
    const athwart = (path: PropertyKey[], y: number) => {
      if (Math.abs(y) > boat.hull.beam_m / 2)
        say(path, `lies outside the beam, which reaches ${(boat.hull.beam_m / 2).toFixed(1)} m`);
    };
    for (const what of ['drives', 'rudders', 'fins', 'thrusters'] as const)
      boat[what].forEach((part, i) => {
        inside([what, i, 'x_m'], part.x_m);
        if ('y_m' in part) athwart([what, i, 'y_m'], part.y_m);
      });
    for (const what of ['drives', 'rudders', 'thrusters'] as const)
      boat[what].forEach(({ name }, i) => {
        if (boat[what].findIndex((other) => other.name === name) < i)
          say([what, i, 'name'], 'is used twice; give each its own name');
      });
    boat.rudders.forEach((r, i) => {
      if (r.inRaceOfDrive !== null && r.inRaceOfDrive > boat.drives.length)
        say(
          ['rudders', i, 'inRaceOfDrive'],
          `there ${boat.drives.length === 1 ? 'is 1 drive' : `are ${boat.drives.length} drives`}; give one of them, or null`,
        );
    });
    boat.fenders.forEach((f, i) => inside(['fenders', i, 'x_m'], f.x_m));
    boat.points.forEach((p, i) => {
      inside(['points', i, 'x_m'], p.x_m);
      if (boat.points.findIndex((q) => q.name === p.name) < i)
        say(['points', i, 'name'], 'is used twice; give each point its own name');
    });
    for (const { path, message } of implausible(boat)) say(path, message);
    if (Math.abs(boat.windage.centreX_m) > half)
      say(['windage', 'centreX_m'], 'lies outside the hull');
  });

/** A boat of any version, brought up to date as it is read. */
export const boatSchema = z.preprocess(migrateBoat, currentBoat);

export type Boat = z.infer<typeof currentBoat>;
