import type { LineEnd, MarkOnPlace, PointOnBoat } from '@/core/plan';
import { namedPoints } from './boat-spec';
import type { ManoeuvreFile } from './manoeuvre';
import { endsAboard, marksAboard } from './others';
import { locksOfPlace } from './lock-sites';
import { lineEnds, namedMarks } from './place';
import type { Problem } from './result';

const byName = <T extends { readonly name: string }>(all: readonly T[]): ReadonlyMap<string, T> =>
  new Map(all.map((one) => [one.name, one]));

/** What has a name on boat, place and other boats: the same whatever plan is looked up. */
export const namedThings = ({ boat, place, others }: ManoeuvreFile) => ({
  points: byName<PointOnBoat & { name: string }>(namedPoints(boat)),
  marks: byName<MarkOnPlace>([...namedMarks(place), ...marksAboard(others)]),
  ends: byName<LineEnd>([...lineEnds(place), ...endsAboard(others)]),
});

/** Looks names up on boat and place; a name that is not there becomes a problem with its path. */
export class Names {
  readonly problems: Problem[] = [];

  constructor(
    private readonly file: ManoeuvreFile,
    private readonly known = namedThings(file),
  ) {}

  point(name: string, path: string): PointOnBoat {
    return this.find(
      this.known.points,
      name,
      `${path}.point`,
      'the boat has no point of that name',
    );
  }

  /** The same in a cue or an expectation, where it may be a point of another boat. */
  pointOfAny(name: string, path: string): PointOnBoat {
    const aboard = marksAboard(this.file.others).find((mark) => mark.name === name);
    return aboard ?? this.point(name, path);
  }

  mark(name: string, path: string): MarkOnPlace {
    return this.find(this.known.marks, name, `${path}.mark`, 'the place has no mark of that name');
  }

  /** What a line is made on to. */
  lineEnd(name: string, path: string): LineEnd {
    const missing = "there is no bollard, pile, ground line or other boat's cleat of that name";
    return { height: 0, ...this.find(this.known.ends, name, `${path}.to`, missing) };
  }

  /** Number of another boat, from 1; its own if none is named, or none of that name is there. */
  boat(name: string | undefined, path: string, field = 'of'): number {
    if (name === undefined) return 0;
    const at = this.index(this.file.others, name, `${path}.${field}`, 'there is no other boat');
    return at < this.file.others.length ? 1 + at : 0;
  }

  /** A point of one of the boats, by their numbers. */
  pointOf(boat: number, name: string, path: string): PointOnBoat {
    const other = this.file.others[boat - 1];
    if (!other) return this.point(name, path);
    const points = new Map(namedPoints(other.boat).map((p) => [p.name, p]));
    return this.find(points, name, `${path}.from`, `'${other.name}' has no point of that name`);
  }

  /** Index of a line of the plan; of somebody of the crew, null for whoever is at hand. */
  line(name: string, path: string): number {
    return this.index(this.file.plan.lines, name, `${path}.line`, 'the plan has no line');
  }

  /** The same of one without an anchor, to be passed or let go. */
  rope(name: string, path: string): number {
    const line = this.line(name, path);
    const known = this.file.plan.lines[line];
    if (known && known.name === name && known.anchor) {
      const message = `'${name}' has an anchor at its end; drop or weigh it`;
      this.problems.push({ path: `${path}.line`, message });
    }
    return line;
  }

  /** The same of a line that has to have an anchor at its end. */
  anchor(name: string, path: string): number {
    const line = this.line(name, path);
    const known = this.file.plan.lines[line];
    if (known && known.name === name && !known.anchor) {
      const message = `'${name}' has no anchor; give it one, or choose a line that has`;
      this.problems.push({ path: `${path}.line`, message });
    }
    return line;
  }

  /** Who sees to a line; another boat's is the business of those aboard it. */
  handOn(lineName: string, by: string | undefined, path: string): number | null {
    const of = this.file.plan.lines.find(({ name }) => name === lineName)?.of;
    if (of === undefined || by === undefined) return this.person(by, path);
    const message = `'${lineName}' is of '${of}', whose own hands see to it; leave out who does it`;
    this.problems.push({ path: `${path}.by`, message });
    return null;
  }

  person(name: string | undefined, path: string): number | null {
    if (name === undefined) return null;
    return this.index(this.file.plan.crew, name, `${path}.by`, 'the crew has nobody');
  }

  /** Somebody a cue waits for. */
  somebody(name: string, path: string): number {
    return this.index(this.file.plan.crew, name, `${path}.who`, 'the crew has nobody');
  }

  /** Index of a lock that is worked, and of a paddle of it. */
  lock(name: string, path: string): number {
    const worked = this.file.locks.map(({ lock }) => ({ name: lock }));
    return this.index(worked, name, `${path}.lock`, 'no lock is worked');
  }

  paddle(lock: string, name: string, path: string): number {
    const paddles = locksOfPlace(this.file.place).find((one) => one.name === lock)?.working.paddles;
    return this.index(paddles ?? [], name, `${path}.paddle`, `'${lock}' has no paddle`);
  }

  /** Index of an engine, null for all there are; of a thruster. */
  engine(name: string | undefined, path: string): number | null {
    if (name === undefined && this.file.boat.drives.length > 0) return null;
    if (name === undefined) {
      this.problems.push({
        path: `${path}.do`,
        message: 'the boat has no engine; remove the order',
      });
      return null;
    }
    return this.index(this.file.boat.drives, name, `${path}.engine`, 'the boat has no engine');
  }

  thruster(name: string, path: string): number {
    return this.index(
      this.file.boat.thrusters,
      name,
      `${path}.thruster`,
      'the boat has no thruster',
    );
  }

  helm(path: string): void {
    const { rudders, drives } = this.file.boat;
    if (rudders.length > 0 || drives.some(({ steering }) => steering !== 'fixed')) return;
    const message = 'the boat has neither rudder nor steered drive; remove the order';
    this.problems.push({ path: `${path}.do`, message });
  }

  engines(path: string): void {
    if (this.file.boat.drives.length > 0) return;
    const message = 'the boat has no engine; remove the order';
    this.problems.push({ path: `${path}.do`, message });
  }

  joystick(path: string): void {
    if (!this.file.boat.joystick)
      this.problems.push({
        path: `${path}.do`,
        message: 'the boat has no joystick; remove the order',
      });
  }

  private index(
    things: readonly { name: string }[],
    name: string,
    path: string,
    missing: string,
  ): number {
    const found = things.findIndex((thing) => thing.name === name);
    if (found >= 0) return found;
    const known = things.map((thing) => thing.name).join(', ') || 'none';
    const message = `${missing} of that name: '${name}'; choose one of: ${known}`;
    this.problems.push({ path, message });
    return 0;
  }

  private find<T extends { x: number; y: number; name: string }>(
    map: ReadonlyMap<string, T>,
    name: string,
    path: string,
    missing: string,
  ): T | { name: string; x: number; y: number } {
    const found = map.get(name);
    if (found) return found;
    const known = [...map.keys()].join(', ') || 'none';
    this.problems.push({ path, message: `${missing}: '${name}'; choose one of: ${known}` });
    return { name, x: 0, y: 0 };
  }
}
