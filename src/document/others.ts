import { z } from 'zod';
import { cos, sin } from '@/core/math';
import type { LineEnd, MarkOnPlace } from '@/core/plan';
import { MOST_OTHERS } from '@/core/simulation';
import { boatSchema, type Boat } from './boat';
import { namedPoints } from './boat-spec';
import { compass, id, radians, shortText, within } from './fields';
import { lineEnds, namedMarks, type Place } from './place';

/**
 * A boat that lies there and gives way: on lines of its own, with nobody steering. It stands in the manoeuvre as it was
 * when it was put there.
 */
const other = z.strictObject({
  id,
  name: shortText,
  boat: boatSchema,
  start: z.strictObject({
    x_m: within(-20000, 20000, 'm'),
    y_m: within(-20000, 20000, 'm'),
    heading_deg: compass,
  }),
});
export type Other = z.infer<typeof other>;

export const othersSchema = z
  .array(other)
  .max(MOST_OTHERS, { error: `at most ${MOST_OTHERS} other boats` })
  .superRefine((others, context) => {
    for (const key of ['id', 'name'] as const)
      others.forEach((one, i) => {
        if (others.findIndex((o) => o[key] === one[key]) === i) return;
        const message = `'${one[key]}' is used twice; give each other boat its own ${key}`;
        context.addIssue({ code: 'custom', path: [i, key], message });
      });
  })
  .default([]);

/** What a point of another boat is called where a mark or a bollard is asked for. */
export function nameAboard(other: Pick<Other, 'name'>, point: string): string {
  return `${other.name}: ${point}`;
}

/** Points of the other boats, for cues and goals, in their own axes. */
export function marksAboard(others: readonly Other[]): MarkOnPlace[] {
  return others.flatMap((one, i) =>
    namedPoints(one.boat).map(({ name, x, y }) => ({
      name: nameAboard(one, name),
      x,
      y,
      boat: i + 1,
    })),
  );
}

/** The same as what a line can be made on to. */
export function endsAboard(others: readonly Other[]): LineEnd[] {
  return marksAboard(others).map((mark) => ({
    ...mark,
    height: others[mark.boat! - 1]!.boat.hull.freeboard_m,
  }));
}

type At = Pick<Other['start'], 'x_m' | 'y_m' | 'heading_deg'>;

/** Where a point of a boat, ahead of midships and to starboard, is on the place as that boat lies at a start, m. */
export function placeOf(
  { x_m, y_m, heading_deg }: At,
  x: number,
  y: number,
): { readonly x: number; readonly y: number } {
  const s = sin(radians(heading_deg));
  const c = cos(radians(heading_deg));
  return { x: x_m + x * s + y * c, y: y_m + x * c - y * s };
}

function atStart<T extends MarkOnPlace>(mark: T, others: readonly Other[]): Omit<T, 'boat'> {
  const { boat, ...rest } = mark;
  return boat ? { ...rest, ...placeOf(others[boat - 1]!.start, mark.x, mark.y) } : rest;
}

/** What stands about a boat: the place, and the other boats. */
export interface Around {
  readonly place: Place;
  readonly others: readonly Other[];
}

/** All a line can be made on to, where it is as the manoeuvre begins. */
export function lineEndsAtStart({ place, others }: Around): LineEnd[] {
  return [...lineEnds(place), ...endsAboard(others).map((end) => atStart(end, others))];
}

/** All a cue can name, where it is as the manoeuvre begins. */
export function marksAtStart({ place, others }: Around): MarkOnPlace[] {
  return [...namedMarks(place), ...marksAboard(others).map((mark) => atStart(mark, others))];
}

/** Another boat from a record, lying somewhere, under a name not used yet. */
export function freshOther(boat: Boat, start: Other['start'], taken: readonly Other[]): Other {
  const free = (wish: string, key: 'id' | 'name', join: string) => {
    const used = new Set(taken.map((one) => one[key]));
    if (!used.has(wish)) return wish;
    let n = 2;
    while (used.has(`${wish}${join}${n}`)) n += 1;
    return `${wish}${join}${n}`;
  };
  return {
    id: free(boat.id, 'id', '-'),
    name: free(boat.name, 'name', ' '),
    boat,
    start,
  };
}
