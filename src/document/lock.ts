import { z } from 'zod';
import { lockAtRest, standingOpen, type Lock, type SitedLock } from '@/core/locks';
import { cos, legOf, sin } from '@/core/math';
import { oneOf, compass, degrees, radians, shortText, within } from './fields';

const level = within(-30, 60, 'm');
const gates = z.strictObject({
  kind: oneOf(['mitre', 'single', 'guillotine']),
  /** Looking up-stream; of a single leaf. */
  hinge: oneOf(['left', 'right']).default('left'),
  swing_s: within(2, 600, 's').default(25),
});
/** A pound whose level does not change has none. */
const poundArea = within(20, 1e8, 'm²').nullable().default(null);

const paddle = z.strictObject({
  name: shortText,
  end: oneOf(['upper', 'lower']),
  where: oneOf(['gate', 'ground']),
  side: z.enum(['left', 'right'], { error: "say 'left' or 'right', looking up-stream" }),
  area_m2: within(0.01, 10, 'm²'),
  discharge: within(0.3, 1).default(0.62),
  winding_s: within(1, 600, 's').default(30),
});

/** How a lock is worked: a chamber, its levels, gates and paddles. Levels count from the place's own nought. */
export const lockWorkingSchema = z
  .strictObject({
    /** Compass direction up-stream along the chamber; wanted where it is worked in a manoeuvre. */
    upstream_deg: compass.optional(),
    /** In a staircase, the lock whose lower gates and paddles are this one's upper ones. */
    above: shortText.optional(),
    /** Does the water below rise and fall with the place's tide? */
    tidal: z.boolean().default(false),
    length_m: within(5, 400, 'm'),
    width_m: within(1.5, 60, 'm'),
    upper_m: level,
    lower_m: level,
    upperArea_m2: poundArea,
    lowerArea_m2: poundArea,
    upperGates: gates,
    lowerGates: gates,
    paddles: z
      .array(paddle)
      .min(1, { error: 'give at least one paddle at each end' })
      .max(12, { error: 'at most twelve paddles' }),
    /** Top of the cill under the upper gates, and how far it reaches into the chamber. */
    upperCill_m: level,
    cillReach_m: within(0, 20, 'm').default(1.5),
    lowerCill_m: level,
    floor_m: level,
    /** The edge people stand on. */
    coping_m: level,
    /** Its stones stand out over the walls by so much and are so thick; nought where the wall runs up flush. */
    copingOut_m: within(0, 1, 'm').default(0),
    copingThick_m: within(0.02, 3, 'm').default(0.3),
    leakUpper_m2: within(0, 1, 'm²').default(0),
    leakLower_m2: within(0, 1, 'm²').default(0),
  })
  .superRefine((lock, context) => {
    const say = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    if (lock.upper_m <= lock.lower_m) say('upper_m', 'lies over lower_m; exchange the two');
    if (lock.floor_m >= lock.lower_m) say('floor_m', 'lies under lower_m: there is no water else');
    if (lock.upperCill_m >= lock.upper_m) say('upperCill_m', 'lies under upper_m');
    if (lock.lowerCill_m >= lock.lower_m) say('lowerCill_m', 'lies under lower_m');
    if (lock.coping_m <= lock.upper_m) say('coping_m', 'lies over upper_m');
    if (lock.cillReach_m >= lock.length_m) say('cillReach_m', 'is less than length_m');
    const { above } = lock;
    for (const end of ['upper', 'lower'] as const) {
      const has = lock.paddles.some((p) => p.end === end);
      if (end === 'upper' && above !== undefined) {
        if (has)
          say('paddles', `those at its upper end are the lower ones of '${above}'; leave them out`);
      } else if (!has) say('paddles', `none at the ${end} end; give one`);
    }
    if (above !== undefined && lock.upperArea_m2 !== null)
      say('upperArea_m2', `its water above is the chamber of '${above}'; leave it out`);
    lock.paddles.forEach(({ name }, i) => {
      if (lock.paddles.findIndex((p) => p.name === name) < i)
        say('paddles', `'${name}' is used twice; give each its own name`);
    });
  });
export type LockWorking = z.infer<typeof lockWorkingSchema>;

const area = (m2: number | null) => m2 ?? Infinity;

const gatesFrom = ({ kind, hinge, swing_s }: z.infer<typeof gates>) => ({
  kind,
  hinge,
  swing: swing_s,
});

export function toLock(working: LockWorking): Lock {
  const { upperGates, lowerGates } = working;
  return {
    length: working.length_m,
    width: working.width_m,
    upper: { level: working.upper_m, area: area(working.upperArea_m2) },
    lower: { level: working.lower_m, area: area(working.lowerArea_m2) },
    upperGates: gatesFrom(upperGates),
    lowerGates: gatesFrom(lowerGates),
    paddles: working.paddles.map(({ area_m2, winding_s, ...rest }) => ({
      ...rest,
      area: area_m2,
      winding: winding_s,
    })),
    upperCill: working.upperCill_m,
    cillReach: working.cillReach_m,
    lowerCill: working.lowerCill_m,
    floor: working.floor_m,
    leakUpper: working.leakUpper_m2,
    leakLower: working.leakLower_m2,
  };
}

/** The sides of the box round an outline along its longest edge, the longer first, m. */
function sides(outline: readonly (readonly [number, number])[]): readonly [number, number] {
  const edges = outline.map(([x, y], i) => {
    const [u, v] = outline[(i + 1) % outline.length]!;
    return { dx: u - x, dy: v - y, length: Math.hypot(u - x, v - y) };
  });
  const longest = edges.reduce((a, b) => (b.length > a.length ? b : a));
  const [s, c] = [longest.dx / longest.length, longest.dy / longest.length];
  const along = outline.map(([x, y]) => x * s + y * c);
  const across = outline.map(([x, y]) => x * c - y * s);
  const span = (values: number[]) => Math.max(...values) - Math.min(...values);
  const both = [span(along), span(across)].sort((a, b) => b - a);
  const round = (m: number) => Math.round(m * 10) / 10;
  return [round(both[0]!), round(both[1]!)];
}

/** Compass direction of an outline's longest edge, in whole degrees; of its two the one nearer north. */
function bearingOf(outline: readonly (readonly [number, number])[]): number {
  const edges = outline.map((corner, i) => legOf(corner, outline[(i + 1) % outline.length]!));
  const { bearing } = edges.reduce((a, b) => (b.length > a.length ? b : a));
  const way = Math.round(degrees(bearing)) % 180;
  return way > 90 ? way + 180 : way;
}

/** The middle of an outline: of its area, so that it turns with it. */
function middleOf(outline: readonly (readonly [number, number])[]): readonly [number, number] {
  // About its first corner, so that nothing is lost far from the place's middle.
  const [ox, oy] = outline[0]!;
  let [area, east, north] = [0, 0, 0];
  outline.forEach(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length]!;
    const cross = (ax - ox) * (by - oy) - (bx - ox) * (ay - oy);
    area += cross;
    east += (ax + bx - 2 * ox) * cross;
    north += (ay + by - 2 * oy) * cross;
  });
  return [ox + east / (3 * area), oy + north / (3 * area)];
}

/** A lock of a place as the core works it. */
export interface LockOfPlace {
  readonly id: string;
  readonly name: string;
  readonly outline_m: readonly (readonly [number, number])[];
  readonly working: LockWorking;
}

/** Locks among a place's areas whose working is known. */
export function locksIn(
  areas: readonly ({ readonly kind: string } & Partial<LockOfPlace>)[],
): LockOfPlace[] {
  return areas.flatMap((a) => (a.kind === 'lock' && a.working ? [a as LockOfPlace] : []));
}

/**
 * Where a lock's chamber lies: its middle is that of its outline. Null where nobody has said which way is up-stream.
 *
 * @param below level of the lower water as it begins, where that is the tide's, m
 */
export function siteLock(
  { id, name, outline_m, working }: LockOfPlace,
  set: 'upper' | 'lower',
  gates: 'open' | 'shut',
  below: number,
): SitedLock | null {
  if (working.upstream_deg === undefined) return null;
  const up = radians(working.upstream_deg);
  const [mx, my] = middleOf(outline_m);
  const [east, north] = [-sin(up), -cos(up)];
  const usual = toLock(working);
  const lock: Lock = working.tidal ? { ...usual, lower: { ...usual.lower, level: below } } : usual;
  const begins = lockAtRest(lock, set);
  return {
    id,
    name,
    lock,
    x: mx - (east * lock.length) / 2,
    y: my - (north * lock.length) / 2,
    east,
    north,
    coping: working.coping_m,
    lip:
      working.copingOut_m > 0
        ? { out: working.copingOut_m, thick: working.copingThick_m }
        : undefined,
    tidal: working.tidal,
    begins: gates === 'open' ? standingOpen(lock, begins, set) : begins,
  };
}

/** A lock to begin from, of the size of an outline: usual gates and paddles, two metres of rise. */
export function usualLock(outline: readonly (readonly [number, number])[]): LockWorking {
  const [length, width] = sides(outline);
  const paddleOf = (
    name: string,
    end: 'upper' | 'lower',
    where: 'gate' | 'ground',
    side: 'left' | 'right',
  ) => ({
    name,
    end,
    where,
    side,
    // About five minutes for a usual rise, however large the chamber.
    area_m2: Math.max(0.05, Math.round(length * width * 0.15) / 100),
    discharge: 0.62,
    winding_s: 30,
  });
  return {
    upstream_deg: bearingOf(outline),
    tidal: false,
    length_m: Math.min(400, Math.max(5, length)),
    width_m: Math.min(60, Math.max(1.5, width)),
    upper_m: 2,
    lower_m: 0,
    upperArea_m2: null,
    lowerArea_m2: null,
    upperGates: { kind: 'single', hinge: 'left', swing_s: 20 },
    lowerGates: { kind: 'mitre', hinge: 'left', swing_s: 25 },
    paddles: [
      paddleOf('upper left', 'upper', 'ground', 'left'),
      paddleOf('upper right', 'upper', 'ground', 'right'),
      paddleOf('lower left', 'lower', 'gate', 'left'),
      paddleOf('lower right', 'lower', 'gate', 'right'),
    ],
    upperCill_m: 0.4,
    cillReach_m: 1.5,
    lowerCill_m: -1.3,
    floor_m: -1.5,
    coping_m: 2.6,
    copingOut_m: 0,
    copingThick_m: 0.3,
    leakUpper_m2: 0,
    leakLower_m2: 0.002,
  };
}
