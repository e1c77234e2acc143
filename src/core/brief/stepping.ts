import { halfBreadthAt } from '../craft';
import { cos, nearestOnPolygon, sin } from '../math';
import { PROPELLER_ROOM_M, STEP_GAP_M, type RunInput, type Take } from '../score';

// Where to step off and on: schools differ, so each place is measured as she lies when the score has somebody step.

export const STEP_PLACES = ['stern', 'amidships', 'bow'] as const;
export type StepPlace = (typeof STEP_PLACES)[number];

/** Of her length ahead of amidships. */
const AT: Readonly<Record<StepPlace, number>> = { stern: -0.42, amidships: 0, bow: 0.36 };

/** A place to step from, m. */
export interface StepFrom {
  readonly place: StepPlace;
  /** From the deck's edge to what one could step on to or from. */
  readonly gap: number;
  /** To the nearest propeller; null where she has none. */
  readonly propeller: number | null;
  /** Narrow enough to step over. */
  readonly steppable: boolean;
}

/** The first time somebody is to step, and from where, the best first. */
export interface Stepping {
  readonly time: number;
  readonly who: string | null;
  readonly places: readonly StepFrom[];
}

const STEPS = new Set(['ashore', 'aboard', 'could not step']);
/** Gaps that differ by less are the same to whoever steps, m. */
const ALIKE_M = 0.1;

/** A step is better the narrower it is, in whole tenths; of gaps alike the one further from a propeller. */
function better(a: StepFrom, b: StepFrom): number {
  const gaps = Math.round(a.gap / ALIKE_M) - Math.round(b.gap / ALIKE_M);
  return gaps !== 0 ? gaps : (b.propeller ?? 0) - (a.propeller ?? 0);
}

/**
 * Where she can be stepped off or on to when the take has somebody step; null where nobody does, or nothing is near.
 * Things fixed to the place are looked at, other boats are not.
 */
export function steppingOf({ boat, obstacles, rigging }: RunInput, take: Take): Stepping | null {
  const event = take.events.find(
    (each) => each.is === 'crew' && each.time > 0 && STEPS.has(each.what),
  );
  if (event?.is !== 'crew') return null;
  const { time, x, y, heading } = take.trace;
  const i = Math.max(
    0,
    time.findIndex((t) => t >= event.time - 1e-9),
  );
  const [s, c] = [sin(heading[i]!), cos(heading[i]!)];
  const near = { x: 0, y: 0, distance: Infinity };
  const gapAt = (ahead: number, starboard: number) => {
    const east = x[i]! + ahead * s + starboard * c;
    const north = y[i]! + ahead * c - starboard * s;
    return obstacles.reduce((least, { outline }) => {
      if (!outline) return least;
      nearestOnPolygon(near, outline, east, north);
      return Math.min(least, near.distance);
    }, Infinity);
  };
  const places = STEP_PLACES.map((place): StepFrom => {
    const ahead = AT[place] * boat.hull.length;
    const half = halfBreadthAt(boat.hull.deck, ahead);
    const rails = [-half, half].map((side) => ({ side, gap: gapAt(ahead, side) }));
    const { side, gap } = rails.reduce((a, b) => (b.gap < a.gap ? b : a));
    const off = boat.drives.map((drive) => {
      const [dx, dy] = [drive.x - ahead, drive.y - side];
      return Math.sqrt(dx * dx + dy * dy);
    });
    const propeller = off.length > 0 ? Math.min(...off) : null;
    return { place, gap, propeller, steppable: gap <= STEP_GAP_M };
  });
  if (places.every(({ gap }) => gap > PROPELLER_ROOM_M)) return null;
  return {
    time: event.time,
    who: rigging?.crew[event.who]?.name ?? null,
    places: [...places].sort(better),
  };
}
