import { degrees, type Side } from '@/document/fields';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { namedPoints } from '@/document/boat-spec';
import { marksAboard } from '@/document/others';
import { lineEnds, namedMarks } from '@/document/place';
import type { LineDocument } from '@/document/rigging';
import { success, type Result } from '@/document/result';
import { planNumbers } from './tune';
import type { OwnTechnique } from '@/document/technique';
import { TECHNIQUE_SCHEMA, TECHNIQUE_VERSION } from '@/document/technique-migrations';
import type { CueDocument, OrderDocument, PlanDocument, SimpleCue } from '@/document/plan';
import { withParameters } from '@/document/plan-codec';
import { compassOf, tunable, tenth, type PlanTemplate } from './template';
import { settingOf, type Setting } from './setting';
import { refusal, type Refusal, type Unless } from './refusals';

const sideOf = ({ lie, off }: Setting): Side | null =>
  lie ? lie.side : off === null ? null : off > 0 ? 'port' : 'starboard';

const headingAt = ({ lie, input }: Setting) =>
  compassOf(degrees(lie ? lie.heading : input.start.heading));

/** The plan of a manoeuvre kept as a technique. */
export function keepAsTechnique(
  file: ManoeuvreFile,
  techniqueId: string,
  name: string,
): Result<OwnTechnique> {
  const setting = settingOf(file);
  if (!setting.ok) return setting;
  const { boat, goal, plan } = file;
  return success({
    $schema: TECHNIQUE_SCHEMA,
    version: TECHNIQUE_VERSION,
    id: techniqueId,
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

/** Why a technique of one's own is not for a manoeuvre; null when it may be tried. */
export function unfitOwn(technique: OwnTechnique, file: ManoeuvreFile): Refusal | null {
  const { goal } = technique.basis;
  return goal === file.goal.is
    ? null
    : refusal('written for another goal', { for: goal, is: file.goal.is });
}

/** Lays a kept plan on another boat, berth and side: headings turned, sides swapped, distances by its length. */
class Laying {
  private readonly flip: 1 | -1;
  private readonly base: number;
  private readonly scale: number;
  private readonly marks: ReadonlySet<string>;
  private readonly points: ReadonlySet<string>;

  constructor(
    private readonly technique: OwnTechnique,
    private readonly file: ManoeuvreFile,
    setting: Setting,
  ) {
    const side = sideOf(setting);
    const from = technique.basis.side;
    this.flip = side !== null && from !== null && side !== from ? -1 : 1;
    this.base = headingAt(setting);
    this.scale = file.boat.hull.length_m / technique.basis.length_m;
    this.marks = new Set(namedMarks(file.place).map(({ name }) => name));
    this.points = new Set(
      [...namedPoints(file.boat), ...marksAboard(file.others)].map(({ name }) => name),
    );
  }

  plan(): PlanDocument {
    const { steps, end, lines, fenders } = this.technique.plan;
    return {
      lines: lines.map((line) => this.line(line)),
      crew: this.file.plan.crew,
      fenders: fenders.map((fender) => ({
        ...fender,
        x_m: this.aboard(fender.x_m * this.scale),
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

  /** So far forward of midships, m, as the boat's deck goes: another's ends may be nearer for its length. */
  private aboard(x: number): number {
    const along = this.file.boat.hull.deck.map(([at]) => at);
    return Math.max(Math.min(...along), Math.min(Math.max(...along), x));
  }

  private heading(value: number): number {
    return compassOf(this.base + this.flip * (value - this.technique.basis.heading_deg));
  }

  private line(line: LineDocument): LineDocument {
    const { fast, ...rest } = line;
    const to = fast ? this.lineEnd(fast.to) : null;
    return { ...rest, from: this.point(line.from), ...(to === null ? {} : { fast: { to } }) };
  }

  /** A bollard or pile of that name, else the one nearest to where the boat starts. */
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
    if (name !== this.technique.basis.mark && this.marks.has(name)) return name;
    return goal.is === 'lie' ? goal.mark : (namedMarks(place)[0]?.name ?? name);
  }

  private point(name: string): string {
    const swapped =
      this.flip > 0
        ? name
        : name.replace(/\b(port|starboard)\b/, (side) => (side === 'port' ? 'starboard' : 'port'));
    return this.points.has(swapped) ? swapped : 'midships';
  }

  private cue(cue: CueDocument): CueDocument {
    if (cue.is === 'any' || cue.is === 'all')
      return { ...cue, of: cue.of.map((part) => this.laid(part)) };
    return this.laid(cue);
  }

  private order(order: OrderDocument): OrderDocument {
    return this.laid(order);
  }

  /** Every parameter by its kind: headings turned, sides swapped, distances by the boat's length, names found again. */
  private laid<T extends OrderDocument | SimpleCue>(part: T): T {
    const { engines, thrusters } = this.technique.basis;
    const { boat } = this.file;
    return withParameters(part, (p, value) => {
      switch (p.kind) {
        case 'heading':
          return this.heading(value);
        case 'angle':
          return this.flip * value;
        case 'share':
          return p.lateral ? this.flip * value : undefined;
        case 'distance':
          return tenth(this.scale * value);
        case 'mark':
          return 'do' in part && part.do === 'stepAshore' ? undefined : this.mark(value);
        case 'anyPoint':
          return this.point(value);
        case 'engine':
          return this.standIn(value, engines, boat.drives);
        case 'thruster':
          return this.standIn(value, thrusters, boat.thrusters);
        default:
          return undefined;
      }
    });
  }

  /** Whatever stands in the same place aboard, or in the mirrored place when sides are swapped. */
  private standIn(name: string, had: readonly string[], has: readonly { name: string }[]): string {
    const at = had.indexOf(name);
    const index = this.flip < 0 && has.length === had.length ? has.length - 1 - at : at;
    return has[index]?.name ?? name;
  }
}

/** How far the numbers of a kept technique are looked for from what was written, in their own first steps. */
const STEPS = 4;

/** A kept technique laid on a manoeuvre as a template, its numbers open near what was written. */
export function templateOfOwn(
  technique: OwnTechnique,
  file: ManoeuvreFile,
): Result<Unless<PlanTemplate>> {
  const setting = settingOf(file);
  if (!setting.ok) return setting;
  const unfit = unfitOwn(technique, file);
  if (unfit) return success({ refused: unfit });
  const plan = new Laying(technique, file, setting.value).plan();
  const numbers = planNumbers(plan);
  return success({
    parameters: Object.fromEntries(
      numbers.map(({ name, value, step, least, most }) => [
        name,
        tunable(
          value,
          step,
          Math.max(least, value - STEPS * step),
          Math.min(most, value + STEPS * step),
        ),
      ]),
    ),
    write: (written) => numbers.reduce((so, { name, write }) => write(so, written[name]!), plan),
  });
}
