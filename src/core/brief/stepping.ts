import { halfBreadthAt } from '../boat';
import { cos, nearestOnPolygon, sin } from '../math';
import { standsOver, type RunInput, type Run } from '../plan';
import { GAPS_ALIKE_M, STEP_GAP_M, STEP_UP_M, PROPELLER_ROOM_M } from '../policy';
import { lockRecorded } from '../simulation';

// Where to step off and on: schools differ, so each place is measured as the boat lies when the plan has somebody step.

export const STEP_PLACES = ['stern', 'amidships', 'bow'] as const;
export type StepPlace = (typeof STEP_PLACES)[number];

/** Of the boat's length ahead of amidships. */
const AT: Readonly<Record<StepPlace, number>> = { stern: -0.42, amidships: 0, bow: 0.36 };

/** A place to step from, m. */
export interface StepFrom {
  readonly place: StepPlace;
  /** From the deck's edge to what one could step on to or from. */
  readonly gap: number;
  /** To the nearest propeller; null where the boat has none. */
  readonly propeller: number | null;
  /** How high what is nearest stands over the boat's deck. */
  readonly over: number;
  /** The ladder within a step of the boat, nearest to it, by name, where it stands too high to step; null without one. */
  readonly ladder: string | null;
  /** Narrow enough to step over, and low enough or with a ladder. */
  readonly steppable: boolean;
}

/** The first time somebody is to step, and from where, the best first. */
export interface Stepping {
  readonly time: number;
  readonly who: string | null;
  readonly places: readonly StepFrom[];
}

const STEPS = new Set(['on a ladder', 'ashore', 'aboard', 'could not step', 'too high to step']);

/** A step is better the narrower it is, in whole tenths; of gaps alike the one further from a propeller. */
function better(a: StepFrom, b: StepFrom): number {
  if (a.steppable !== b.steppable) return a.steppable ? -1 : 1;
  const gaps = Math.round(a.gap / GAPS_ALIKE_M) - Math.round(b.gap / GAPS_ALIKE_M);
  return gaps !== 0 ? gaps : (b.propeller ?? 0) - (a.propeller ?? 0);
}

/**
 * Where the boat can be stepped off or on to when the run has somebody step; null where nobody does, or nothing is near.
 * Things fixed to the place are looked at, other boats are not.
 */
export function steppingOf(input: RunInput, run: Run): Stepping | null {
  const { boat, obstacles, rigging, locks = [], ladders = [] } = input;
  const event = run.events.find(
    (each) => each.is === 'crew' && each.time > 0 && STEPS.has(each.what),
  );
  if (event?.is !== 'crew') return null;
  const { time, x, y, heading } = run.trace;
  const i = Math.max(
    0,
    time.findIndex((t) => t >= event.time - 1e-9),
  );
  const [s, c] = [sin(heading[i]!), cos(heading[i]!)];
  const near = { x: 0, y: 0, distance: Infinity };
  const chambers = locks.map((sited, k) => lockRecorded(run.trace, k, sited, time[i]!).state);
  const { freeboard } = boat.hull;
  const onPlace = (ahead: number, starboard: number) => ({
    x: x[i]! + ahead * s + starboard * c,
    y: y[i]! + ahead * c - starboard * s,
  });
  const gapAt = (ahead: number, starboard: number) => {
    const here = onPlace(ahead, starboard);
    let [gap, over] = [Infinity, 0];
    for (const obstacle of obstacles) {
      if (!obstacle.outline) continue;
      nearestOnPolygon(near, obstacle.outline, here.x, here.y);
      if (near.distance >= gap) continue;
      gap = near.distance;
      over = standsOver(freeboard, locks, chambers, obstacle, { x: near.x, y: near.y });
    }
    return { gap, over };
  };
  // Along the deck to one the boat lies by is no way to speak of.
  const deck = Float64Array.from(boat.hull.deck);
  const beside = ladders.filter((ladder) => {
    const [east, north] = [ladder.x - x[i]!, ladder.y - y[i]!];
    nearestOnPolygon(near, deck, east * s + north * c, east * c - north * s);
    return near.distance <= STEP_GAP_M;
  });
  const ladderBy = (ahead: number, side: number) => {
    const here = onPlace(ahead, side);
    const off = (one: { readonly x: number; readonly y: number }) =>
      (one.x - here.x) * (one.x - here.x) + (one.y - here.y) * (one.y - here.y);
    return [...beside].sort((a, b) => off(a) - off(b))[0]?.name ?? null;
  };
  const places = STEP_PLACES.map((place): StepFrom => {
    const ahead = AT[place] * boat.hull.length;
    const half = halfBreadthAt(boat.hull.deck, ahead);
    const rails = [-half, half].map((side) => ({ side, ...gapAt(ahead, side) }));
    const { side, gap, over } = rails.reduce((a, b) => (b.gap < a.gap ? b : a));
    const off = boat.drives.map((drive) => {
      const [dx, dy] = [drive.x - ahead, drive.y - side];
      return Math.sqrt(dx * dx + dy * dy);
    });
    const propeller = off.length > 0 ? Math.min(...off) : null;
    const ladder = over > STEP_UP_M ? ladderBy(ahead, side) : null;
    const steppable = over > STEP_UP_M ? ladder !== null : gap <= STEP_GAP_M;
    return { place, gap, over, ladder, propeller, steppable };
  });
  if (places.every(({ gap }) => gap > PROPELLER_ROOM_M)) return null;
  return {
    time: event.time,
    who: rigging?.crew[event.who]?.name ?? null,
    places: [...places].sort(better),
  };
}
