import { z } from 'zod';
import { oneOf, compass, idFrom, pointOnPlace, shortText, within } from './fields';
import type { Feature } from './features';
import type { Berth, Place } from './place';
import { mooredOutline, toCentimetres } from './moored';
import { check, failure, success, type Result } from './result';

/** A walkway with fingers off one side, as it is paced out. */
export const fingerRowSchema = z
  .strictObject({
    /** What its parts are called after: "north", say. */
    name: shortText,
    /** Where the walkway begins, at the edge the fingers are on, m. */
    from_m: pointOnPlace,
    /** The way it runs from there. */
    bearing_deg: compass,
    /** On which hand the fingers are, going that way. */
    side: oneOf(['port', 'starboard']),
    fingers: z.int({ error: 'give a whole number of fingers' }).min(1).max(40, {
      error: 'give 1 to 40 fingers',
    }),
    /** From the middle of one finger to the middle of the next, along the walkway. */
    pitch_m: within(1.5, 60, 'm'),
    length_m: within(1, 60, 'm'),
    width_m: within(0.3, 8, 'm'),
    /** How far the fingers lean from square to the walkway, the way it runs. */
    lean_deg: within(-60, 60, 'degrees'),
    walkwayWidth_m: within(0.5, 20, 'm'),
    /** Boats between two fingers. */
    boats: z.union([z.literal(1), z.literal(2)], { error: 'give 1 or 2 boats between fingers' }),
    /** Numbers of the slips somebody lies in, counted from 1 along the walkway. */
    occupied: z.array(z.int().min(1).max(80)).max(80),
    /** Size of who lies there. */
    boatLength_m: within(1, 60, 'm'),
    boatBeam_m: within(0.5, 20, 'm'),
  })
  .superRefine((row, context) => {
    const clear = clearWidth(row);
    const problem = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message });
    if (clear < 1)
      problem('pitch_m', `leaves ${clear.toFixed(1)} m between fingers; give at least 1 m more`);
    if (row.occupied.length > 0 && row.boatBeam_m * row.boats > clear)
      problem('boatBeam_m', `does not fit: there are ${clear.toFixed(1)} m between fingers`);
  });
export type FingerRow = z.infer<typeof fingerRowSchema>;

/** Clear water between two fingers, square to them, m. */
export function clearWidth(row: {
  readonly pitch_m: number;
  readonly width_m: number;
  readonly lean_deg: number;
}): number {
  return row.pitch_m * Math.cos((row.lean_deg * Math.PI) / 180) - row.width_m;
}

/** Slips of a row: one or two between each two fingers. */
export const slipsOf = ({ fingers, boats }: Pick<FingerRow, 'fingers' | 'boats'>) =>
  (fingers - 1) * boats;

type XY = readonly [number, number];

/**
 * Walkway, fingers, slips and who lies in them, to be added to a place. Their ids and names are free there, or it is
 * said which are not.
 */
export function fingerRow(
  place: Place,
  wish: FingerRow,
): Result<{ readonly features: Feature[]; readonly berths: Berth[] }> {
  const checked = check<FingerRow>(fingerRowSchema, wish);
  if (!checked.ok) return checked;
  const row = checked.value;
  const rad = (degrees: number) => (degrees * Math.PI) / 180;
  const hand = row.side === 'starboard' ? 1 : -1;
  const along = rad(row.bearing_deg);
  const out = along + hand * (Math.PI / 2 - rad(row.lean_deg));
  const unit = (bearing: number): XY => [Math.sin(bearing), Math.cos(bearing)];
  const [ax, ay] = unit(along);
  const [ox, oy] = unit(out);
  // Square to the fingers, the way the walkway runs.
  const [sx, sy] = unit(out - (hand * Math.PI) / 2);
  const [bx, by] = unit(along - (hand * Math.PI) / 2);
  const at = (a: number, o: number, s = 0, back = 0): [number, number] => [
    toCentimetres(row.from_m[0] + a * ax + o * ox + s * sx + back * bx),
    toCentimetres(row.from_m[1] + a * ay + o * oy + s * sy + back * by),
  ];
  const prefix = idFrom(row.name, 'row').slice(0, 40);
  const end = (row.fingers - 1) * row.pitch_m;
  const half = row.width_m / 2;
  const walk = `${prefix}-walkway`;
  const features: Feature[] = [
    {
      kind: 'pontoon',
      id: walk,
      name: `${row.name} walkway`,
      outline_m: [
        at(-half - 1, 0),
        at(end + half + 1, 0),
        at(end + half + 1, 0, 0, row.walkwayWidth_m),
        at(-half - 1, 0, 0, row.walkwayWidth_m),
      ],
    },
  ];
  const fingerId = (i: number) => `${prefix}-finger-${i + 1}`;
  for (let i = 0; i < row.fingers; i++) {
    const a = i * row.pitch_m;
    features.push({
      kind: 'pontoon',
      id: fingerId(i),
      name: `${row.name} finger ${i + 1}`,
      outline_m: [
        at(a, 0, -half),
        at(a, 0, half),
        at(a, row.length_m, half),
        at(a, row.length_m, -half),
      ],
    });
  }
  const berths: Berth[] = [];
  const clear = clearWidth(row);
  for (let slip = 0; slip < slipsOf(row); slip++) {
    const gap = Math.floor(slip / row.boats);
    const second = row.boats === 2 && slip % 2 === 1;
    // The first lies on the finger before it, the second on the one after.
    const finger = gap + (second ? 1 : 0);
    const a = finger * row.pitch_m;
    const towards = second ? -1 : 1;
    const number = slip + 1;
    if (row.occupied.includes(number)) {
      const off = half + clear / row.boats / 2;
      const middle = 0.6 + row.boatLength_m / 2;
      features.push({
        kind: 'boat',
        id: `${prefix}-boat-${number}`,
        name: `boat in ${row.name} ${number}`,
        // Bow out.
        outline_m: mooredOutline(
          at(a, middle, towards * off),
          row.boatLength_m,
          row.boatBeam_m,
          (out * 180) / Math.PI,
        ),
      });
    } else {
      berths.push({
        kind: 'slip',
        id: `${prefix}-slip-${number}`,
        name: `${row.name} slip ${number}`,
        edge_m: [at(a, row.length_m, towards * half), at(a, 0, towards * half)],
        on: [fingerId(finger), walk],
        height_m: 0.5,
      });
    }
  }
  const taken = new Set([...place.features, ...place.berths].flatMap(({ id, name }) => [id, name]));
  const clash = [...features, ...berths].find(({ id, name }) => taken.has(id) || taken.has(name));
  if (clash)
    return failure({
      path: 'name',
      message: `'${clash.name}' is there already; call this row something else`,
    });
  return success({ features, berths });
}
