import { assembleCraft } from '@/core/boat';
import {
  intoLock,
  IN_LOCK,
  lockAtRest,
  outOfLock,
  standingOpen,
  type End,
  type SitedLock,
} from '@/core/locks';
import { runPlan, type PlanStep, type RunInput } from '@/core/plan';
import { toBoatSpec } from '@/document/boat-spec';
import { radians } from '@/document/fields';
import type { PassageLie } from './lie';
import type { LockNeighbour } from './neighbour';
import type { Setting } from '../../setting';

// Where another boat has to go astern to stop where it is to lie: tried in the lock itself, as the water between its walls
// stops it in half the way open water does.

/** Throttles the neighbour comes in and is stopped with. */
export const COMES = 0;
export const BACKS = 0.35;
/** So far before it goes astern the neighbour straightens up along the wall, in its lengths. */
const STRAIGHTENS = 0.8;
/** A bow is so near to the gates it comes in by, m, that it need steer for them no longer: over to its wall. */
export const overAt = (length: number): number => Math.max(1, 0.25 * length);
/** Looked for within so many lengths before where the neighbour is to stop, until so near, m. */
const FURTHEST_LENGTHS = 2.5;
const NEAR_M = 0.3;
const LOOKS = 9;
const LONGEST_S = 300;
/** Of what stopping turns it by so much is taken off beforehand, and no more than this. */
const LEADS_SHARE = 0.7;
const MOST_LEAD = Math.PI / 12;

/** The neighbour's bow is so far off the gates ahead, m, as it straightens up, and as it goes astern; and how long its way takes to come off, s. */
export interface Entry {
  readonly straightens: number;
  readonly stop: number;
  readonly stops: number;
  /** Its heading until then, rad: what its screw turns it by as it is stopped is taken off beforehand. */
  readonly heading: number;
}

/** A lock as it stands once it has been made ready for who comes to one end. */
const openTo = (sited: SitedLock, from: End): SitedLock => ({
  ...sited,
  begins: standingOpen(sited.lock, lockAtRest(sited.lock, from), from),
});

/** How the neighbour would come in alone, going astern at a distance off the gates ahead. */
function entering(
  { input, ends }: Setting,
  { sited, from, to }: PassageLie,
  { other, comes }: LockNeighbour,
  { straightens, stop, heading }: Omit<Entry, 'stops'>,
): RunInput {
  const boat = toBoatSpec(other.boat);
  const { start } = other;
  const bow = { name: 'bow', x: boat.hull.length / 2, y: 0 };
  const gate = (end: End) => ({
    name: `${end} gates`,
    ...outOfLock(sited, end === 'upper' ? 0 : sited.lock.length, 0),
  });
  const gates = gate(to);
  const entered = gate(from);
  const aim = ends.find(({ name }) => name === comes!.aim)!;
  const plain = {
    within: LONGEST_S,
    expect: [],
    wayOut: { automatic: false, orders: [] },
  } as const;
  const engine = (gear: 1 | -1, throttle: number) =>
    ({ after: 0, order: { do: 'engine', engine: null, gear, throttle } }) as const;
  const steer = { after: 0, order: { do: 'steer', heading } } as const;
  const off = (distance: number) => ({ is: 'within', point: bow, mark: gates, distance }) as const;
  const steps: PlanStep[] = [
    {
      ...plain,
      id: 'in',
      cue: { is: 'start' },
      orders: [
        { after: 0, order: { do: 'steerFor', mark: entered, first: 'bow' } },
        engine(1, COMES),
      ],
    },
    {
      ...plain,
      id: 'over',
      cue: { is: 'within', point: bow, mark: entered, distance: overAt(boat.hull.length) },
      orders: [{ after: 0, order: { do: 'steerFor', mark: aim, first: 'bow' } }],
    },
    { ...plain, id: 'straight', cue: off(straightens), orders: [steer] },
    { ...plain, id: 'astern', cue: off(stop), orders: [steer, engine(-1, BACKS)] },
  ];
  const { rigging: _rigging, lines: _lines, others: _others, where: _where, ...rest } = input;
  return {
    ...rest,
    boat,
    craft: assembleCraft(boat),
    locks: input.locks!.map((each) => (each === sited ? openTo(sited, from) : each)),
    start: { x: start.x_m, y: start.y_m, heading: radians(start.heading_deg), speed: 0 },
    plan: {
      steps,
      end: { cue: { is: 'any', of: [{ is: 'sternway' }, { is: 'stopped' }] }, within: LONGEST_S },
    },
    goal: { is: 'clear', distance: -10 },
    berth: new Set(input.obstacles.map(({ id }) => id)),
    limit: LONGEST_S,
  };
}

/** Where the neighbour goes astern to lie as it is to; null where it does not come in, or does not stop. */
export function entryOf(setting: Setting, lie: PassageLie, neighbour: LockNeighbour): Entry | null {
  const { sited, to } = lie;
  const { lock } = sited;
  const { length_m: length, beam_m: beam } = neighbour.other.boat.hull;
  const across = (lock.width - beam) / 2;
  const slant = (far: number) => Math.sqrt(far * far + across * across);
  const where = new Float64Array(2);
  /** How far from the gates ahead its bow has come to lie. */
  const tried = (far: number, lead: number) => {
    const way = {
      straightens: slant(far + STRAIGHTENS * length),
      stop: slant(far),
      heading: lie.along - lead,
    };
    const run = runPlan(entering(setting, lie, neighbour, way));
    const astern = run.steps.find(({ step }) => step === 3);
    if (run.outcome === 'cue never came' || !astern) return null;
    intoLock(where, sited, run.trace.x.at(-1)!, run.trace.y.at(-1)!);
    const s = where[IN_LOCK.S]!;
    const lies = (to === 'upper' ? s : lock.length - s) - length / 2;
    const turned = run.trace.heading.at(-1)! - astern.heading;
    return { lies, turned, entry: { ...way, stops: run.duration - astern.time } };
  };
  let [near, far] = [neighbour.ahead, neighbour.ahead + FURTHEST_LENGTHS * length];
  let best: { readonly off: number; readonly entry: Entry } | null = null;
  let lead = 0;
  for (let i = 0; i < LOOKS; i++) {
    const middle = (near + far) / 2;
    const found = tried(middle, lead);
    if (found) lead = Math.max(-MOST_LEAD, Math.min(MOST_LEAD, LEADS_SHARE * found.turned));
    // It did not come so far: later.
    const off = found ? found.lies - neighbour.ahead : Infinity;
    if (found && (!best || Math.abs(off) < Math.abs(best.off))) best = { off, entry: found.entry };
    if (Math.abs(off) < NEAR_M) break;
    if (off > 0) far = middle;
    else near = middle;
  }
  return best?.entry ?? null;
}
