import { z } from 'zod';
import { degrees, id, longText, shortText, within, compass } from '../fields';
import type { ManoeuvreFile } from '../manoeuvre';
import { namedPoints } from '../boat-spec';
import { marksAboard } from '../others';
import { lineEnds, namedMarks } from '../place';
import type { LineDocument } from '../rigging';
import { failure, success, type Result } from '../result';
import { planNumbers } from '../fit-plan';
import { migrateTechnique, TECHNIQUE_SCHEMA, TECHNIQUE_VERSION } from '../technique-migrations';
import {
  planSchema,
  type CueDocument,
  type OrderDocument,
  type PlanDocument,
  type SimpleCue,
} from '../plan';
import { SIDES, type Side } from './berths';
import { compassOf, dial, tenth, type Draft } from './draft';
import { settingOf, type Setting } from './setting';
import { GOAL_WORDS, goesText } from './goal-words';

/** A user's own steps kept as a figure, with what they were written for, so that they can be laid elsewhere. */
const currentTechnique = z.strictObject({
  $schema: z.literal(TECHNIQUE_SCHEMA),
  version: z.literal(TECHNIQUE_VERSION, { error: 'this program reads versions 1 and 2' }),
  id,
  name: shortText,
  note: longText.default(''),
  basis: z.strictObject({
    goal: z.enum(['clear', 'through', 'lie']),
    length_m: within(1, 500, 'm'),
    /** Of the berth, or where she lay. */
    heading_deg: compass,
    /** On which the berth was; null in open water. */
    side: z.enum(SIDES).nullable(),
    mark: z.string().min(1).max(80).nullable(),
    engines: z.array(z.string().max(80)).max(8),
    thrusters: z.array(z.string().max(80)).max(8),
  }),
  plan: planSchema,
});
export type OwnFigure = z.infer<typeof currentTechnique>;

/** Of any version. */
export const ownFigureSchema = z.preprocess(migrateTechnique, currentTechnique);

const sideOf = ({ lie, off }: Setting): Side | null =>
  lie ? lie.side : off === null ? null : off > 0 ? 'port' : 'starboard';

const headingAt = ({ lie, input }: Setting) =>
  compassOf(degrees(lie ? lie.heading : input.start.heading));

/** The plan of a manoeuvre kept as a figure. */
export function keepAsFigure(
  file: ManoeuvreFile,
  figureId: string,
  name: string,
): Result<OwnFigure> {
  const setting = settingOf(file);
  if (!setting.ok) return setting;
  const { boat, goal, plan } = file;
  return success({
    $schema: TECHNIQUE_SCHEMA,
    version: TECHNIQUE_VERSION,
    id: figureId,
    name,
    note: '',
    basis: {
      goal: goal.is,
      length_m: boat.hull.length_m,
      heading_deg: headingAt(setting.value),
      side: sideOf(setting.value),
      mark: goal.is === 'lie' ? goal.mark : null,
      engines: boat.drives.map((d) => d.name),
      thrusters: boat.thrusters.map((t) => t.name),
    },
    plan: { ...plan, steps: plan.steps.map((step) => ({ ...step, expect: [] })) },
  });
}

/** Why a figure of one's own is not for a manoeuvre; null when it may be tried. */
export function unfitOwn(figure: OwnFigure, file: ManoeuvreFile): string | null {
  if (figure.basis.goal === file.goal.is) return null;
  return `it was written for ${GOAL_WORDS[figure.basis.goal].of}; ${goesText(file.goal.is)}`;
}

/** Lays a kept plan on another boat, berth and side: headings turned, sides swapped, distances by her length. */
class Laying {
  private readonly flip: 1 | -1;
  private readonly base: number;
  private readonly scale: number;
  private readonly marks: ReadonlySet<string>;
  private readonly points: ReadonlySet<string>;

  constructor(
    private readonly figure: OwnFigure,
    private readonly file: ManoeuvreFile,
    setting: Setting,
  ) {
    const side = sideOf(setting);
    const from = figure.basis.side;
    this.flip = side !== null && from !== null && side !== from ? -1 : 1;
    this.base = headingAt(setting);
    this.scale = file.boat.hull.length_m / figure.basis.length_m;
    this.marks = new Set(namedMarks(file.place).map(({ name }) => name));
    this.points = new Set(
      [...namedPoints(file.boat), ...marksAboard(file.others)].map(({ name }) => name),
    );
  }

  plan(): PlanDocument {
    const { steps, end, lines, fenders } = this.figure.plan;
    return {
      lines: lines.map((line) => this.line(line)),
      crew: this.file.plan.crew,
      fenders: fenders.map((fender) => ({
        ...fender,
        x_m: fender.x_m * this.scale,
        side: this.flip > 0 ? fender.side : fender.side === 'port' ? 'starboard' : 'port',
      })),
      steps: steps.map((step) => ({
        ...step,
        cue: this.cue(step.cue),
        orders: step.orders.map((order) => this.order(order)),
        wayOut: { ...step.wayOut, orders: step.wayOut.orders.map((order) => this.order(order)) },
      })),
      end: { ...end, cue: this.cue(end.cue) },
    };
  }

  private heading(value: number): number {
    return compassOf(this.base + this.flip * (value - this.figure.basis.heading_deg));
  }

  private line(line: LineDocument): LineDocument {
    const { fast, ...rest } = line;
    const to = fast ? this.lineEnd(fast.to) : null;
    return { ...rest, from: this.point(line.from), ...(to === null ? {} : { fast: { to } }) };
  }

  /** A bollard or pile of that name, else the one nearest to where she starts. */
  private lineEnd(name: string): string | null {
    const { place, start } = this.file;
    const ends = lineEnds(place);
    if (ends.some((end) => end.name === name)) return name;
    const far = (end: { x: number; y: number }) => Math.hypot(end.x - start.x_m, end.y - start.y_m);
    return ends.length > 0 ? ends.reduce((a, b) => (far(b) < far(a) ? b : a)).name : null;
  }

  /** The mark of the goal stands for the old one, and for any this place has not got. */
  private mark(name: string): string {
    const { goal, place } = this.file;
    if (name !== this.figure.basis.mark && this.marks.has(name)) return name;
    return goal.is === 'lie' ? goal.mark : (namedMarks(place)[0]?.name ?? name);
  }

  private point(name: string): string {
    const swapped =
      this.flip > 0
        ? name
        : name.replace(/\b(port|starboard)\b/, (side) => (side === 'port' ? 'starboard' : 'port'));
    return this.points.has(swapped) ? swapped : 'midships';
  }

  private simple(cue: SimpleCue): SimpleCue {
    switch (cue.is) {
      case 'heading':
        return { ...cue, heading_deg: this.heading(cue.heading_deg) };
      case 'turned':
        return { ...cue, by_deg: this.flip * cue.by_deg };
      case 'abeam':
        return { ...cue, point: this.point(cue.point), mark: this.mark(cue.mark) };
      case 'within':
        return {
          ...cue,
          point: this.point(cue.point),
          mark: this.mark(cue.mark),
          distance_m: tenth(this.scale * cue.distance_m),
        };
      default:
        return cue;
    }
  }

  private cue(cue: CueDocument): CueDocument {
    if (cue.is === 'any' || cue.is === 'all')
      return { ...cue, of: cue.of.map((part) => this.simple(part)) };
    return this.simple(cue);
  }

  private order(order: OrderDocument): OrderDocument {
    switch (order.do) {
      case 'wheel':
        return { ...order, angle_deg: this.flip * order.angle_deg };
      case 'steer':
        return { ...order, heading_deg: this.heading(order.heading_deg) };
      case 'other':
        return {
          ...order,
          ...(order.heading_deg === undefined
            ? {}
            : { heading_deg: this.heading(order.heading_deg) }),
          ...(order.mark === undefined ? {} : { mark: this.mark(order.mark) }),
        };
      case 'steerFor':
        return { ...order, mark: this.mark(order.mark) };
      case 'engine': {
        if (order.engine === undefined) return order;
        const { engines } = this.figure.basis;
        return { ...order, engine: this.standIn(order.engine, engines, this.file.boat.drives) };
      }
      case 'thruster': {
        const { thrusters } = this.figure.basis;
        const { boat } = this.file;
        const thruster = this.standIn(order.thruster, thrusters, boat.thrusters);
        return { ...order, thruster, power: this.flip * order.power };
      }
      case 'joystick':
        return {
          ...order,
          sideways: this.flip * order.sideways,
          twist: this.flip * order.twist,
        };
      default:
        return order;
    }
  }

  /** Whatever stands in the same place aboard, or in the mirrored place when sides are swapped. */
  private standIn(name: string, had: readonly string[], has: readonly { name: string }[]): string {
    const at = had.indexOf(name);
    const index = this.flip < 0 && has.length === had.length ? has.length - 1 - at : at;
    return has[index]?.name ?? name;
  }
}

/** How far the numbers of a kept figure are looked for from what was written, in their own first steps. */
const STEPS = 4;

/** A kept figure laid on a manoeuvre as a draft, its numbers open near what was written. */
export function draftOfOwn(figure: OwnFigure, file: ManoeuvreFile): Result<Draft> {
  const setting = settingOf(file);
  if (!setting.ok) return setting;
  const unfit = unfitOwn(figure, file);
  if (unfit) return failure({ path: 'figure', message: unfit });
  const plan = new Laying(figure, file, setting.value).plan();
  const numbers = planNumbers(plan);
  return success({
    dials: numbers.map(({ value, step, least, most }) =>
      dial(
        value,
        step,
        Math.max(least, value - STEPS * step),
        Math.min(most, value + STEPS * step),
      ),
    ),
    write: (values) => numbers.reduce((so, { write }, i) => write(so, values[i]!), plan),
  });
}
