import { linesOf, MADE, ropeFigures, type LineSpec } from '../holding';
import type { CrewOrder, Person, RiggedLine, Rigging, RunInput, TimedOrder } from '../plan';

export const end = (name: string, x: number, y: number, height = 0.5) => ({ name, x, y, height });

export const hands = (order: CrewOrder, after = 0): TimedOrder => ({ after, order });

/** A line from a point aboard, aboard itself or fast to (shoreX, shoreY). */
export interface TestLine {
  readonly x: number;
  readonly y: number;
  readonly fast?: { readonly x: number; readonly y: number; readonly length: number };
  readonly doubled?: boolean;
  readonly winch?: number;
  /** Where aboard it is led to. */
  readonly led?: RiggedLine['at'];
  readonly spec?: Partial<LineSpec>;
}

/** What hands may do with such lines of 14 mm polyester, 20 m each, between ends of one height. */
export function riggedWith(
  lines: readonly TestLine[],
  crew: readonly Person[] = [],
  rest: Partial<Rigging> = {},
): Pick<RunInput, 'lines' | 'rigging'> {
  const rope = ropeFigures('polyester', 14, 0.6);
  const specs = lines.map(({ x, y, fast, spec }): LineSpec => {
    const ends = { boatX: x, boatY: y, rise: 0, ...rope, total: 20 };
    if (!fast) return { ...ends, shoreX: 0, shoreY: 0, length: 1, made: MADE.ABOARD, ...spec };
    return { ...ends, shoreX: fast.x, shoreY: fast.y, length: fast.length, ...spec };
  });
  const named = lines.map(({ x, y, doubled, winch, led }, i): RiggedLine => ({
    name: `line ${i + 1}`,
    from: { name: `cleat ${i + 1}`, x, y },
    at: led ?? { name: `cleat ${i + 1}`, x, y },
    height: 0.5,
    doubled: doubled ?? false,
    winch: winch ?? null,
  }));
  return {
    lines: linesOf(specs, true),
    rigging: { lines: named, crew, helm: { name: 'helm', x: -3, y: 0 }, seed: 1, ...rest },
  };
}

export const aboard = (name: string, x: number, y: number): Person => ({
  name,
  at: { aboard: true, point: { name: 'place', x, y } },
  pull: 300,
  throws: 8,
});

export const ashore = (name: string, x: number, y: number): Person => ({
  ...aboard(name, 0, 0),
  at: { aboard: false, mark: { name: 'place', x, y } },
});
