import {
  addBetween,
  between,
  GROUND_COLUMNS,
  LINE,
  LINE_COLUMNS,
  LIST,
  lookForTouches,
  setSeen,
  setTouchRates,
  type Between,
} from '../holding';
import { shelteringBoats } from './boat-shelter';
import { turnGround, setGround } from './derivative';
import { setLineRates } from './line-rates';
import {
  beginPiece,
  beginStep,
  cutStep,
  endPiece,
  finishPiece,
  goThrough,
  joinRates,
  setSlope,
  setStage,
  STAGES,
} from './timestep';
import { CLOCK } from './scratch';
import type { Vessel } from './vessel';

/** What one of two boats does to the other. */
export interface Pair {
  readonly boat: number;
  readonly other: number;
  readonly acts: Between;
}

/** Boats that may touch one another and be tied to one another, and what is known of them together. */
export interface Company {
  readonly vessels: readonly Vessel[];
  readonly pairs: readonly Pair[];
  /** Columns GROUND of each boat at the stage in hand, and where it is at it. */
  readonly grounds: readonly Float64Array[];
  readonly at: Float64Array[];
  readonly rates: Float64Array;
}

/** Friction of one hull or fender on another's side. Judgement, ± a third. */
const HULL_FRICTION = 0.3;

/** What boat `other` is to lines of boat `boat`: its ON. The others are counted in the order of all. */
export function onOf(boat: number, other: number): number {
  return other < boat ? other + 1 : other;
}

/**
 * Every boat with every other. A line leads from the boat whose it is to what its ON says of the others.
 *
 * @param friction of one hull on another
 */
export function companyOf(vessels: readonly Vessel[], friction = HULL_FRICTION): Company {
  const pairs: Pair[] = [];
  vessels.forEach((one, boat) => {
    one.others = vessels.filter((other) => other !== one);
    const { environment } = one.world;
    if (environment.boatsShelter)
      one.scratch.windbreaks = [...environment.windbreaks, ...shelteringBoats(one.others)];
    vessels.forEach((two, other) => {
      if (other <= boat) return;
      const on = [onOf(boat, other), onOf(other, boat)] as const;
      const [first, second] = between(one.world.craft, two.world.craft, friction, on);
      pairs.push({ boat, other, acts: first }, { boat: other, other: boat, acts: second });
    });
  });
  for (const { boat, acts } of pairs) vessels[boat]!.scratch.views[acts.on] = acts.seen;
  for (const vessel of vessels) setLineRates(vessel, 0);
  return {
    vessels,
    pairs,
    grounds: vessels.map(() => new Float64Array(GROUND_COLUMNS)),
    at: vessels.map(({ state }) => state.motion),
    rates: new Float64Array(2),
  };
}

/** How every boat lies to every other at the stage in hand. */
function seeAll({ vessels, pairs, grounds, at }: Company): void {
  for (let i = 0; i < vessels.length; i++) {
    const { scratch, world } = vessels[i]!;
    turnGround(grounds[i]!, scratch.turn, at[i]!);
    setGround(grounds[i]!, at[i]!, world.environment.row);
  }
  for (let p = 0; p < pairs.length; p++) {
    const { acts, boat, other } = pairs[p]!;
    setSeen(acts.seen, grounds[boat]!, grounds[other]!);
  }
}

/** What the boats do to one another at the stage in hand, into each one's `outside`. */
export function actAll(company: Company): void {
  const { vessels, pairs } = company;
  seeAll(company);
  for (let i = 0; i < vessels.length; i++) vessels[i]!.scratch.outside.fill(0);
  for (let p = 0; p < pairs.length; p++) {
    const { acts, boat, other } = pairs[p]!;
    const vessel = vessels[boat]!;
    const { outside, pulling, tension, span } = vessel.scratch;
    const theirs = vessels[other]!.scratch.outside;
    const { lines } = vessel.world;
    addBetween(outside, theirs, acts, lines, vessel.rows, pulling, tension, span);
  }
}

/** What may touch within the step, and how fast it all can act. */
export function lookAll(company: Company, dt: number): void {
  const { vessels, pairs, rates, at } = company;
  rates.fill(0);
  for (let i = 0; i < vessels.length; i++) at[i] = vessels[i]!.state.motion;
  // Lines to the others are looked at as the boat is seen now.
  seeAll(company);
  for (let i = 0; i < vessels.length; i++) {
    const vessel = vessels[i]!;
    vessel.scratch.clock[CLOCK.STEP] = dt;
    beginStep(vessel);
    joinRates(rates, vessel.scratch.rates);
  }
  for (let p = 0; p < pairs.length; p++) {
    const { touch, craft, side, seen } = pairs[p]!.acts;
    touch.list[LIST.SECONDS] = dt;
    lookForTouches(touch, craft, side, seen);
    if (touch.active === 0) continue;
    setTouchRates(touch, craft.touch, side);
    joinRates(rates, touch.rates);
  }
}

/**
 * One step of `dt` seconds (at most STEP_S) of all boats at once, in place: as `step` does for one, with the stages
 * taken together, so that what acts between two acts on both at the same moment.
 */
export function stepTogether(company: Company, dt: number): void {
  const { vessels, pairs, rates, at } = company;
  lookAll(company, dt);
  if (apart(company)) {
    for (let i = 0; i < vessels.length; i++) {
      const vessel = vessels[i]!;
      vessel.scratch.outside.fill(0);
      goThrough(vessel);
    }
    return;
  }
  let pieces = 1;
  for (let i = 0; i < vessels.length; i++) pieces = cutStep(vessels[i]!.scratch, rates);
  for (let piece = 0; piece < pieces; piece++) {
    for (let i = 0; i < vessels.length; i++) beginPiece(vessels[i]!);
    for (let k = 0; k < STAGES; k++) {
      for (let i = 0; i < vessels.length; i++) {
        const { state, scratch } = vessels[i]!;
        at[i] = setStage(state.motion, scratch, k);
      }
      actAll(company);
      for (let i = 0; i < vessels.length; i++) setSlope(at[i]!, vessels[i]!, k);
    }
    for (let i = 0; i < vessels.length; i++) {
      finishPiece(vessels[i]!);
      endPiece(vessels[i]!);
    }
    for (let p = 0; p < pairs.length; p++) see(company, pairs[p]!);
  }
}

/** Is there nothing between any two of them in the step in hand: no touch that may come, no line? */
function apart({ vessels, pairs }: Company): boolean {
  for (let p = 0; p < pairs.length; p++) if (pairs[p]!.acts.touch.active > 0) return false;
  for (let i = 0; i < vessels.length; i++) {
    const vessel = vessels[i]!;
    const { rows } = vessel;
    for (let k = 0; k < vessel.world.lines.count; k++) {
      const at = k * LINE_COLUMNS;
      if (rows[at + LINE.ON] !== 0 && rows[at + LINE.HOLD] !== 0) return false;
    }
  }
  // What they last did to one another is over.
  for (let p = 0; p < pairs.length; p++) pairs[p]!.acts.touch.count = 0;
  return true;
}

/** Shows a pair's touches to whoever keeps those of either boat. */
function see({ vessels }: Company, { boat, other, acts }: Pair): void {
  if (acts.touch.count === 0) return;
  const one = vessels[boat]!;
  const two = vessels[other]!;
  one.watch?.seeBoat?.(one, two.world, acts, false);
  two.watch?.seeBoat?.(two, one.world, acts, true);
}
