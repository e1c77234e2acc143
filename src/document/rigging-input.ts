import type { Craft } from '@/core/boat';
import {
  anchorFigures,
  linesOf,
  MADE,
  ropeFigures,
  usualAnchor,
  usualDiameter,
  type Lines,
  type LineSpec,
  type RopeFigures,
} from '@/core/holding';
import { levelThere, type SitedLock } from '@/core/locks';
import type { LineEnd, PointOnBoat, RiggedLine, Rigging, Whereabouts } from '@/core/plan';
import { onOf, type LineAt } from '@/core/simulation';
import type { Boat } from './boat';
import type { ManoeuvreFile } from './manoeuvre';
import type { Names } from './names';
import { placeOf, type Other } from './others';
import type { LineDocument, PersonDocument } from './rigging';

/** Slack a line is made fast with at the start where no length is given, m. */
const JUST_SLACK_M = 0.1;
/** Chain that is down at the start where no length is given: so many times the way down. */
const USUAL_SCOPE = 4;

type Sized = Pick<LineDocument, 'diameter_mm' | 'anchor'>;

/** Diameter of a line, or of a chain's link, mm: its own, or the usual one for the boat. */
export function diameterOf(line: Sized, mass: number): number {
  return line.diameter_mm ?? (line.anchor ? usualAnchor(mass).chain : usualDiameter(mass));
}

/** Mass of an anchor, kg: its own, or the usual one for the boat. */
export function anchorMassOf(anchor: NonNullable<LineDocument['anchor']>, mass: number): number {
  return anchor.mass_kg ?? usualAnchor(mass).mass;
}

/** Figures of a line or chain of a plan on a boat: SI. */
export function lineFigures(
  line: LineDocument,
  { hull }: Pick<Boat, 'hull'>,
): RopeFigures & Pick<LineSpec, 'weight' | 'anchor'> {
  const diameter = diameterOf(line, hull.mass_kg);
  const { anchor, strengthLeft } = line;
  if (!anchor) return ropeFigures(line.rope, diameter, strengthLeft, line.doubled ? 2 : 1);
  const mass = anchorMassOf(anchor, hull.mass_kg);
  const chain = anchorFigures(diameter, strengthLeft, mass, anchor.bottom);
  return { ...chain, stiffening: 0, damping: 0 };
}

/** The boat a line leads from: the boat that is handled, or one of the others by its name. */
export function boatOfLine(
  { of }: Pick<LineDocument, 'of'>,
  file: { readonly boat: Boat; readonly others: readonly Other[] },
): Boat {
  return file.others.find(({ name }) => name === of)?.boat ?? file.boat;
}

/** Load each line of a plan parts at, N. */
export function breakingLoads(
  lines: readonly LineDocument[],
  file: { readonly boat: Boat; readonly others: readonly Other[] },
): number[] {
  return lines.map((line) => lineFigures(line, boatOfLine(line, file)).breaks);
}

/** A boat with lines on it, its number among all (0: it), and where it lies as it begins. */
interface LineLying {
  readonly number: number;
  readonly boat: Boat;
  readonly start: Pick<ManoeuvreFile['start'], 'x_m' | 'y_m' | 'heading_deg'>;
}

function spanAtStart(
  { others }: ManoeuvreFile,
  { start }: LineLying,
  from: PointOnBoat,
  to: LineEnd,
  rise: number,
): number {
  const here = placeOf(start, from.x, from.y);
  const there = to.boat ? placeOf(others[to.boat - 1]!.start, to.x, to.y) : to;
  const east = there.x - here.x;
  const north = there.y - here.y;
  return Math.sqrt(east * east + north * north + rise * rise);
}

function specOf(
  file: ManoeuvreFile,
  line: LineDocument,
  lying: LineLying,
  from: PointOnBoat,
  names: Names,
  path: string,
  floats: (lying: LineLying) => number,
): LineSpec {
  const { hull } = lying.boat;
  const figures = lineFigures(line, lying.boat);
  // A doubled line goes there and back.
  const total = line.doubled ? line.length_m / 2 : line.length_m;
  const ends = { boatX: from.x, boatY: from.y, ...figures, total };
  if (!line.fast) return { ...ends, shoreX: 0, shoreY: 0, rise: 0, length: 1, made: MADE.ABOARD };
  const to: LineEnd = line.anchor
    ? { ...names.mark(line.fast.to, `${path}.fast`), height: 0 }
    : names.lineEnd(line.fast.to, `${path}.fast`);
  if (to.boat === lying.number && to.boat > 0)
    names.problems.push({
      path: `${path}.fast.to`,
      message: `'${line.name}' would lead from '${line.of}' to itself; choose something else`,
    });
  const rise = line.anchor
    ? -(line.anchor.depth_m + hull.freeboard_m)
    : to.height - hull.freeboard_m - (to.boat || to.afloat ? 0 : floats(lying));
  const span = spanAtStart(file, lying, from, to, rise);
  if (span > total)
    names.problems.push({
      path: `${path}.length_m`,
      message: `'${line.name}' is ${total.toFixed(1)} m long${line.doubled ? ' doubled' : ''} and has ${span.toFixed(1)} m to go; make it longer, or choose another bollard`,
    });
  const usual = line.anchor ? Math.max(span, -USUAL_SCOPE * rise) : span;
  const length = line.fast.length_m ?? Math.min(total, usual + JUST_SLACK_M);
  if (length < (line.anchor ? span : 0.8 * span))
    names.problems.push({
      path: `${path}.fast.length_m`,
      message: `'${line.name}' would be stretched from ${length.toFixed(1)} to ${span.toFixed(1)} m at the start; give it more length`,
    });
  if (!to.boat) return { ...ends, shoreX: to.x, shoreY: to.y, rise, length, made: MADE.FAST };
  // On another boat: how far to starboard of its midships, and how far ahead.
  const on = onOf(lying.number, to.boat);
  return { ...ends, shoreX: to.y, shoreY: to.x, on, rise, length, made: MADE.FAST };
}

function whereabouts({ at }: PersonDocument, names: Names, path: string): Whereabouts {
  if ('aboard' in at) return { aboard: true, point: names.point(at.aboard, path) };
  return { aboard: false, mark: names.mark(at.ashore, path) };
}

/** Lines, by the boat they are of, and people of a plan, as they are run. */
export interface Rigged {
  /** The boat's first, then those of the other boats. */
  readonly lines: readonly Lines[];
  readonly where: readonly LineAt[];
  readonly rigging: Rigging;
}

/** @param locks what is worked: boats in a chamber float at its level */
export function toRigging(
  file: ManoeuvreFile,
  craft: Craft,
  names: Names,
  locks: readonly SitedLock[],
): Rigged {
  const begin = locks.map(({ begins }) => begins);
  const floats = ({ start }: LineLying) =>
    locks.length > 0 ? levelThere(locks, begin, start.x_m, start.y_m) : 0;
  const { lines, crew, fenders } = file.plan;
  const half = file.boat.hull.length_m / 2;
  fenders.forEach(({ name, x_m }, i) => {
    if (Math.abs(x_m) <= half * 1.05) return;
    names.problems.push({
      path: `plan.fenders[${i}].x_m`,
      message: `'${name}' would hang outside the hull, which reaches ${half.toFixed(1)} m from midships`,
    });
  });
  const boats: LineLying[] = [file, ...file.others].map(({ boat, start }, number) => ({
    number,
    boat,
    start,
  }));
  const specs: LineSpec[][] = boats.map(() => []);
  const where: LineAt[] = [];
  const rigged = lines.map((line, i): RiggedLine => {
    const path = `plan.lines[${i}]`;
    const boat = names.boat(line.of, path);
    const from = names.pointOf(boat, line.from, path);
    const lying = boats[boat]!;
    where.push({ boat, row: specs[boat]!.length });
    specs[boat]!.push(specOf(file, line, lying, from, names, path, floats));
    return {
      name: line.name,
      ...(boat > 0 ? { boat } : {}),
      from,
      at: line.ledTo === undefined ? from : names.pointOf(boat, line.ledTo, `${path}.ledTo`),
      height: lying.boat.hull.freeboard_m,
      doubled: line.doubled,
      winch: line.winch_N ?? null,
      anchor: line.anchor ? { depth: line.anchor.depth_m } : null,
    };
  });
  return {
    lines: specs.map((of) => linesOf(of, of.length > 0)),
    where,
    rigging: {
      lines: rigged,
      crew: crew.map((person, i) => ({
        name: person.name,
        at: whereabouts(person, names, `plan.crew[${i}].at`),
        pull: person.pull_N,
        throws: person.throws_m,
      })),
      helm: craft.spec.points.find(({ name }) => name === 'helm') ?? null,
      seed: file.conditions.wind?.gusts?.seed ?? 1,
    },
  };
}
