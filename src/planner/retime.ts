import { CUES, type HeldBack, type Parameter, type Parameters, type PartHeld } from '@/core/plan';
import type { CueDocument, SimpleCue } from '@/document/plan';
import { figureInFile, keyOf, lastPlace } from '@/document/plan-codec';

/** A cue that comes at another moment; or why it cannot. */
export type Retimed =
  | { readonly ok: true; readonly cue: CueDocument }
  | {
      readonly ok: false;
      /**
       * It has no figure to move; it is never so at that moment; its figure hardly changes there, so tells no moment; or
       * another part of it decides.
       */
      readonly why: 'no figure' | 'not reached' | 'stands' | 'another part';
    };

/** A figure that changes by less than its last place in so long tells no moment, s. */
const STANDS_S = 1.5;

/** The parameter of a part that is its figure, and its key; null where it has none. */
function figureOf(part: SimpleCue): { readonly key: string; readonly of: Parameter } | null {
  const definition = CUES[part.is];
  if (!('figure' in definition) || !definition.figure) return null;
  const of = (definition.parameters as Parameters)[definition.figure.of]!;
  return { key: keyOf(definition.figure.of, of), of };
}

/** The figure a part would have to have to come true at a moment; between samples it goes straight. NaN beyond them. */
function figureAt({ times }: HeldBack, figures: Float64Array, at: number): number {
  const last = times.length - 1;
  if (last < 0 || at < times[0]! - 0.2 || at > times[last]! + 1e-9) return NaN;
  let i = 0;
  while (i < last - 1 && times[i + 1]! < at) i++;
  const span = last > 0 ? times[i + 1]! - times[i]! : 0;
  const share = span > 0 ? Math.max(0, (at - times[i]!) / span) : 0;
  return figures[i]! + share * ((figures[i + 1] ?? figures[i]!) - figures[i]!);
}

/** A part of a cue with its figure as it would have to be; null where that is out of its range. */
function withFigure(part: SimpleCue, value: number): SimpleCue | null {
  const figure = figureOf(part);
  const written = figure && figureInFile(figure.of, value);
  return written === null ? null : { ...part, [figure!.key]: written };
}

/** Which parts of a group have to be moved for it to come at a moment; null if that cannot be. */
function toMove(
  is: 'any' | 'all',
  parts: readonly SimpleCue[],
  held: readonly PartHeld[],
  at: number,
): readonly number[] | null {
  const figured = (i: number) => held[i]!.figures !== null;
  const moments = held.map(({ moment }) => moment ?? Infinity);
  const all = parts.map((_, i) => i);
  // Of any, those that would come before; of all, those that would come after.
  const inTheWay = all.filter((i) => (is === 'any' ? moments[i]! < at : moments[i]! > at));
  if (inTheWay.some((i) => !figured(i))) return null;
  if (inTheWay.length > 0) return inTheWay;
  // Nothing in the way: the one that decides now, or the next best that has a figure.
  const order = all
    .filter(figured)
    .sort((a, b) => (is === 'any' ? moments[a]! - moments[b]! : moments[b]! - moments[a]!));
  return order.length > 0 ? [order[0]!] : null;
}

/**
 * A cue given the figure with which it comes at a moment of the run: metres, degrees, knots or seconds, whichever it
 * goes by.
 *
 * @param held how the boat goes on while the step is held back
 * @param at s of the run
 */
export function retimed(cue: CueDocument, held: HeldBack, at: number): Retimed {
  const no = (why: (Retimed & { ok: false })['why']): Retimed => ({ ok: false, why });
  const group = cue.is === 'any' || cue.is === 'all';
  const parts: readonly SimpleCue[] = group ? cue.of : [cue];
  if (held.parts.every(({ figures }) => figures === null)) return no('no figure');
  const which = group ? toMove(cue.is, parts, held.parts, at) : [0];
  if (!which) return no('another part');
  const of: SimpleCue[] = [];
  for (const [i, part] of parts.entries()) {
    if (!which.includes(i)) {
      of.push(part);
      continue;
    }
    const { figures } = held.parts[i]!;
    const figure = figureAt(held, figures!, at);
    const before = figureAt(held, figures!, Math.max(held.from, at - STANDS_S));
    const place = figureOf(part);
    const finest = place ? lastPlace(place.of) : 0;
    if (Math.abs(figure - before) < finest && at - held.from > STANDS_S) return no('stands');
    const moved = withFigure(part, figure);
    if (!moved) return no('not reached');
    of.push(moved);
  }
  return { ok: true, cue: group ? { ...cue, of } : (of[0] as CueDocument) };
}
