import type { HeldBack, PartHeld } from '@/core/plan';
import { degrees, radians } from '@/document/fields';
import {
  MOST_CUE_DISTANCE_M,
  MOST_CUE_SPEED_MPS,
  MOST_TURN_DEG,
  type CueDocument,
  type SimpleCue,
} from '@/document/plan';

/** A cue that comes at another moment; or why it cannot. */
export type Retimed =
  | { readonly ok: true; readonly cue: CueDocument }
  | {
      readonly ok: false;
      /**
       * It has no technique to move; it is never so at that moment; its technique hardly changes there, so tells no moment; or
       * another part of it decides.
       */
      readonly why: 'no figure' | 'not reached' | 'stands' | 'another part';
    };

const MOST_SECONDS = 600;
/** A technique that changes by less than its last place in so long tells no moment, s. */
const STANDS_S = 1.5;
const LAST_PLACE: Readonly<Partial<Record<SimpleCue['is'], number>>> = {
  heading: radians(1),
  turned: radians(1),
  speed: 0.01,
  within: 0.1,
};
const round = (value: number, places: number) => {
  const by = places === 2 ? 100 : 10;
  return Math.round(value * by) / by;
};

/** The technique a part would have to have to come true at a moment; between samples it goes straight. NaN beyond them. */
function figureAt({ times }: HeldBack, figures: Float64Array, at: number): number {
  const last = times.length - 1;
  if (last < 0 || at < times[0]! - 0.2 || at > times[last]! + 1e-9) return NaN;
  let i = 0;
  while (i < last - 1 && times[i + 1]! < at) i++;
  const span = last > 0 ? times[i + 1]! - times[i]! : 0;
  const share = span > 0 ? Math.max(0, (at - times[i]!) / span) : 0;
  return figures[i]! + share * ((figures[i + 1] ?? figures[i]!) - figures[i]!);
}

/** A part of a cue with its technique as it would have to be; null where that is out of its range. */
function withFigure(part: SimpleCue, figure: number): SimpleCue | null {
  if (!Number.isFinite(figure)) return null;
  switch (part.is) {
    case 'after': {
      const seconds = round(figure, 1);
      return seconds < 0 || seconds > MOST_SECONDS ? null : { ...part, time_s: seconds };
    }
    case 'heading':
      return { ...part, heading_deg: ((Math.round(degrees(figure)) % 360) + 360) % 360 };
    case 'turned': {
      const by_deg = Math.round(degrees(figure));
      return by_deg === 0 || Math.abs(by_deg) > MOST_TURN_DEG ? null : { ...part, by_deg };
    }
    case 'speed': {
      const speed_mps = round(figure, 2);
      return speed_mps > MOST_CUE_SPEED_MPS ? null : { ...part, speed_mps };
    }
    case 'within': {
      const distance_m = round(figure, 1);
      return distance_m > MOST_CUE_DISTANCE_M ? null : { ...part, distance_m };
    }
    default:
      return null;
  }
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
  // Nothing in the way: the one that decides now, or the next best that has a technique.
  const order = all
    .filter(figured)
    .sort((a, b) => (is === 'any' ? moments[a]! - moments[b]! : moments[b]! - moments[a]!));
  return order.length > 0 ? [order[0]!] : null;
}

/**
 * A cue given the technique with which it comes at a moment of the run: metres, degrees, knots or seconds, whichever it
 * goes by.
 *
 * @param held how she goes on while the step is held back
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
    if (Math.abs(figure - before) < (LAST_PLACE[part.is] ?? 0) && at - held.from > STANDS_S)
      return no('stands');
    const moved = withFigure(part, figure);
    if (!moved) return no('not reached');
    of.push(moved);
  }
  return { ok: true, cue: group ? { ...cue, of } : (of[0] as CueDocument) };
}
