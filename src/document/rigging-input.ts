import type { Craft } from '@/core/craft';
import {
  linesOf,
  MADE,
  ropeFigures,
  usualDiameter,
  type Lines,
  type LineSpec,
  type RopeFigures,
} from '@/core/holding';
import { cos, sin } from '@/core/math';
import type { LineEnd, PointOnBoat, Rigging, Whereabouts } from '@/core/score';
import type { Boat } from './boat';
import { radians } from './fields';
import type { ManoeuvreFile } from './manoeuvre';
import type { Names } from './names';
import type { LineDocument, PersonDocument } from './rigging';

/** Slack a line is made fast with at the start where no length is given, m. */
const JUST_SLACK_M = 0.1;

/** Diameter of a line, mm: its own, or the usual one for the boat. */
export function diameterOf(line: Pick<LineDocument, 'diameter_mm'>, mass: number): number {
  return line.diameter_mm ?? usualDiameter(mass);
}

/** Figures of a line of a score on a boat: SI. */
export function lineFigures(line: LineDocument, { hull }: Pick<Boat, 'hull'>): RopeFigures {
  const diameter = diameterOf(line, hull.mass_kg);
  return ropeFigures(line.rope, diameter, line.strengthLeft, line.doubled ? 2 : 1);
}

/** Load each line of a score parts at, N. */
export function breakingLoads(lines: readonly LineDocument[], boat: Pick<Boat, 'hull'>): number[] {
  return lines.map((line) => lineFigures(line, boat).breaks);
}

function spanAtStart(
  { x_m, y_m, heading_deg }: ManoeuvreFile['start'],
  from: PointOnBoat,
  to: LineEnd,
  rise: number,
): number {
  const s = sin(radians(heading_deg));
  const c = cos(radians(heading_deg));
  const east = to.x - (x_m + from.x * s + from.y * c);
  const north = to.y - (y_m + from.x * c - from.y * s);
  return Math.sqrt(east * east + north * north + rise * rise);
}

function specOf(
  file: ManoeuvreFile,
  line: LineDocument,
  from: PointOnBoat,
  names: Names,
  path: string,
): LineSpec {
  const { hull } = file.boat;
  const rope = lineFigures(line, file.boat);
  // A doubled line goes there and back.
  const total = line.doubled ? line.length_m / 2 : line.length_m;
  const ends = { boatX: from.x, boatY: from.y, ...rope, total };
  if (!line.fast) return { ...ends, shoreX: 0, shoreY: 0, rise: 0, length: 1, made: MADE.ABOARD };
  const to = names.lineEnd(line.fast.to, `${path}.fast`);
  const rise = to.height - hull.freeboard_m;
  const span = spanAtStart(file.start, from, to, rise);
  if (span > total)
    names.problems.push({
      path: `${path}.length_m`,
      message: `'${line.name}' is ${total.toFixed(1)} m long${line.doubled ? ' doubled' : ''} and has ${span.toFixed(1)} m to go; make it longer, or choose another bollard`,
    });
  const length = line.fast.length_m ?? Math.min(total, span + JUST_SLACK_M);
  if (length < 0.8 * span)
    names.problems.push({
      path: `${path}.fast.length_m`,
      message: `'${line.name}' would be stretched from ${length.toFixed(1)} to ${span.toFixed(1)} m at the start; give it more length`,
    });
  return { ...ends, shoreX: to.x, shoreY: to.y, rise, length, made: MADE.FAST };
}

function whereabouts({ at }: PersonDocument, names: Names, path: string): Whereabouts {
  if ('aboard' in at) return { aboard: true, point: names.point(at.aboard, path) };
  return { aboard: false, mark: names.mark(at.ashore, path) };
}

/** Lines and people of a score, as they are run. */
export function toRigging(
  file: ManoeuvreFile,
  craft: Craft,
  names: Names,
): { readonly lines: Lines; readonly rigging: Rigging } {
  const { lines, crew, fenders } = file.score;
  const half = file.boat.hull.length_m / 2;
  fenders.forEach(({ name, x_m }, i) => {
    if (Math.abs(x_m) <= half * 1.05) return;
    names.problems.push({
      path: `score.fenders[${i}].x_m`,
      message: `'${name}' would hang outside the hull, which reaches ${half.toFixed(1)} m from midships`,
    });
  });
  const from = lines.map((line, i) => names.point(line.from, `score.lines[${i}]`));
  const at = lines.map(({ ledTo }, i) =>
    ledTo === undefined ? from[i]! : names.point(ledTo, `score.lines[${i}].ledTo`),
  );
  const specs = lines.map((line, i) => specOf(file, line, from[i]!, names, `score.lines[${i}]`));
  return {
    lines: linesOf(specs, specs.length > 0),
    rigging: {
      lines: lines.map(({ name, doubled, winch_N }, i) => ({
        name,
        from: from[i]!,
        at: at[i]!,
        height: file.boat.hull.freeboard_m,
        doubled,
        winch: winch_N ?? null,
      })),
      crew: crew.map((person, i) => ({
        name: person.name,
        at: whereabouts(person, names, `score.crew[${i}].at`),
        pull: person.pull_N,
        throws: person.throws_m,
      })),
      helm: craft.spec.points.find(({ name }) => name === 'helm') ?? null,
      seed: file.conditions.wind?.gusts?.seed ?? 1,
    },
  };
}
