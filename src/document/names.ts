import type { LineEnd, MarkOnPlace, PointOnBoat } from '@/core/score';
import { namedPoints } from './boat-spec';
import type { ManoeuvreFile } from './manoeuvre';
import { lineEnds, namedMarks } from './place';
import type { Problem } from './result';

/** Looks names up on boat and place; a name that is not there becomes a problem with its path. */
export class Names {
  readonly problems: Problem[] = [];
  private readonly points: ReadonlyMap<string, PointOnBoat>;
  private readonly marks: ReadonlyMap<string, MarkOnPlace>;
  private readonly ends: ReadonlyMap<string, LineEnd>;

  constructor(private readonly file: ManoeuvreFile) {
    this.points = new Map(namedPoints(file.boat).map((p) => [p.name, p]));
    this.marks = new Map(namedMarks(file.place).map((m) => [m.name, m]));
    this.ends = new Map(lineEnds(file.place).map((e) => [e.name, e]));
  }

  point(name: string, path: string): PointOnBoat {
    return this.find(this.points, name, `${path}.point`, 'the boat has no point of that name');
  }

  mark(name: string, path: string): MarkOnPlace {
    return this.find(this.marks, name, `${path}.mark`, 'the place has no mark of that name');
  }

  /** What a line is made on to. */
  lineEnd(name: string, path: string): LineEnd {
    const missing = 'the place has no bollard, pile or ground line of that name';
    return { height: 0, ...this.find(this.ends, name, `${path}.to`, missing) };
  }

  /** Index of a line of the score; of somebody of the crew, null for whoever is at hand. */
  line(name: string, path: string): number {
    return this.index(this.file.score.lines, name, `${path}.line`, 'the score has no line');
  }

  person(name: string | undefined, path: string): number | null {
    if (name === undefined) return null;
    return this.index(this.file.score.crew, name, `${path}.by`, 'the crew has nobody');
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
