import { z } from 'zod';
import { implausible } from './boat-sense';
import { id, longText, shortText, within } from './fields';

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
  mass_kg: within(50, 5e8, 'kg'),
  centreOfGravity_m: within(-50, 50, 'm').default(0),
  yawRadius_m: within(0.3, 130, 'm'),
  deck: halfOutline,
  waterline: halfOutline,
  draughts: stations,
  crossFlowDrag: within(0.2, 2).default(0.65),
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
  /** Number of the shaft whose race it stands in, counted from 1; null for none. */
  inRaceOfShaft: z
    .number()
    .int()
    .min(1)
    .max(1, { error: 'there is one shaft: 1, or null' })
    .nullable(),
  raceEffect: within(0, 1).default(0.45),
});

const shaft = z
  .strictObject({
    name: shortText,
    x_m: within(-250, 250, 'm'),
    y_m: within(-50, 50, 'm').default(0),
    hand: z.enum(['right', 'left'], { error: "say 'right' or 'left'" }),
    diameter_m: within(0.1, 12, 'm'),
    pitch_m: within(0.05, 15, 'm'),
    bollardThrust_kt: within(0.05, 0.8),
    asternEfficiency: within(0.1, 1).default(0.7),
    wakeFraction: within(0, 0.5).default(0.1),
    thrustDeduction: within(0, 0.4).default(0.08),
    walkAstern: within(0, 0.3).default(0.1),
    walkAhead: within(0, 0.2).default(0.02),
    idle_rpm: within(10, 3000, 'rev/min at the shaft'),
    full_rpm: within(20, 6000, 'rev/min at the shaft'),
    response_s: within(0.05, 60, 's').default(0.7),
    shiftDelay_s: within(0, 30, 's').default(0.5),
    neutralPause_s: within(0, 60, 's').default(1.5),
  })
  .refine((s) => s.full_rpm > s.idle_rpm, {
    path: ['full_rpm'],
    error: 'full revolutions must be above idle; raise this or lower idle_rpm',
  });

const windage = z.strictObject({
  frontalArea_m2: within(0.1, 5000, 'm²'),
  lateralArea_m2: within(0.1, 20000, 'm²'),
  frontalDrag: within(0.2, 2).default(0.65),
  sideDrag: within(0.2, 2).default(1),
  centreX_m: within(-150, 150, 'm'),
  centreHeight_m: within(0.1, 50, 'm'),
  centreShift: within(0, 0.3).default(0.1),
});

const fender = z.strictObject({
  name: shortText,
  x_m: within(-250, 250, 'm'),
  side: z.enum(['port', 'starboard'], { error: "say 'port' or 'starboard'" }),
  diameter_m: within(0.05, 5, 'm'),
  length_m: within(0.1, 10, 'm'),
  pressure_kPa: within(1, 200, 'kPa').default(15),
  loss_spm: within(0, 10, 's/m').default(1),
});

const point = z.strictObject({
  name: shortText,
  x_m: within(-250, 250, 'm'),
  y_m: within(-50, 50, 'm').default(0),
});

export const BOAT_SCHEMA = 'yawtrope:boat';

/** A boat as kept and exchanged: metres, kilograms, degrees, revolutions a minute. */
export const boatSchema = z
  .strictObject({
    $schema: z.literal(BOAT_SCHEMA),
    version: z.literal(1, { error: 'this program reads version 1' }),
    id,
    name: shortText,
    kind: shortText,
    note: longText.default(''),
    hull,
    fins: z.array(fin).max(6).default([]),
    shafts: z
      .array(shaft)
      .length(1, { error: 'give exactly one shaft: this version knows single-screw boats' }),
    rudders: z
      .array(rudder)
      .length(1, { error: 'give exactly one rudder: this version knows single-rudder boats' }),
    steering: z.strictObject({
      control: z.enum(['wheel', 'tiller'], { error: "say 'wheel' or 'tiller'" }),
      rate_degps: within(1, 90, 'degrees of rudder a second'),
    }),
    windage,
    fenders: z.array(fender).max(24, { error: 'at most 24 fenders' }).default([]),
    points: z.array(point).max(24, { error: 'at most 24 named points' }).default([]),
  })
  .superRefine((boat, context) => {
    const say = (path: PropertyKey[], message: string) =>
      context.addIssue({ code: 'custom', path, message });
    const half = boat.hull.length_m / 2;
    const slack = 0.02 * boat.hull.length_m;
    if (boat.hull.waterlineLength_m > boat.hull.length_m)
      say(['hull', 'waterlineLength_m'], 'cannot be longer than length_m');
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
        if (y > boat.hull.beam_m / 2 + 1e-6)
          say(['hull', name, i], 'lies outside half the beam; check beam_m');
      });
    }
    if (!(boat.hull.draughts.at(-1)![0] > boat.hull.draughts[0]![0]))
      say(['hull', 'draughts'], 'has no length');
    const inside = (path: PropertyKey[], x: number) => {
      if (Math.abs(x) > half * 1.15)
        say(path, `lies outside the hull, which reaches ${half.toFixed(1)} m from midships`);
    };
    boat.shafts.forEach((s, i) => inside(['shafts', i, 'x_m'], s.x_m));
    boat.rudders.forEach((r, i) => inside(['rudders', i, 'x_m'], r.x_m));
    boat.fins.forEach((f, i) => inside(['fins', i, 'x_m'], f.x_m));
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

export type Boat = z.infer<typeof boatSchema>;
