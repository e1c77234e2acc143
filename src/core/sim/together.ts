import {
  addBetween,
  between,
  GROUND_COLUMNS,
  LIST,
  lookForTouches,
  setSeen,
  setTouchRates,
  SPAN_COLUMNS,
  type Between,
  type TieSpec,
} from '../holding';
import { setGround, turnGround } from './derivative';
import type { SimState } from './state';
import {
  beginPiece,
  beginStep,
  cutStep,
  endPiece,
  finishPiece,
  joinRates,
  setSlope,
  setStage,
  STAGES,
  type TouchWatch,
} from './step';
import { CLOCK, setLineRates, type Scratch, type World } from './world';

/** One of several boats under way at once. */
export interface Party {
  readonly world: World;
  readonly state: SimState;
  readonly scratch: Scratch;
  readonly watch: TouchWatch | null;
}

/** Lines between two of them, by their numbers. */
export interface Tied {
  readonly boat: number;
  readonly other: number;
  readonly ties: readonly TieSpec[];
}

interface Pair {
  readonly boat: number;
  readonly other: number;
  readonly acts: Between;
  /** Columns RATES of its lines alone, then with its touches. */
  readonly lineRates: Float64Array;
  readonly rates: Float64Array;
}

/** Boats that may touch one another and be tied to one another, each with her own surroundings, and working memory. */
export interface Company {
  readonly parties: readonly Party[];
  readonly pairs: readonly Pair[];
  /** Columns GROUND of each boat at the stage in hand, and where she is at it. */
  readonly grounds: readonly Float64Array[];
  readonly at: Float64Array[];
  readonly rates: Float64Array;
}

/**
 * Every boat with every other. Lines between two stand in the order given, as `tension` of the pair's first half does.
 *
 * @param friction of one hull on another
 */
export function companyOf(
  parties: readonly Party[],
  tied: readonly Tied[],
  friction: number,
): Company {
  const pairs: Pair[] = [];
  parties.forEach((one, boat) => {
    parties.forEach((two, other) => {
      if (other <= boat) return;
      const ties = tied.flatMap((t) => {
        if (t.boat === boat && t.other === other) return t.ties;
        return t.boat === other && t.other === boat ? t.ties.map(turned) : [];
      });
      const [first, second] = between(one.world.craft, two.world.craft, friction, ties);
      pairs.push(pairOf(boat, other, first, two.world), pairOf(other, boat, second, one.world));
    });
  });
  return {
    parties,
    pairs,
    grounds: parties.map(() => new Float64Array(GROUND_COLUMNS)),
    at: parties.map(({ state }) => state.motion),
    rates: new Float64Array(2),
  };
}

function turned(tie: TieSpec): TieSpec {
  const { boatX, boatY, otherX, otherY, rise } = tie;
  return { ...tie, boatX: otherX, boatY: otherY, otherX: boatX, otherY: boatY, rise: -rise };
}

function pairOf(boat: number, other: number, acts: Between, { craft }: World): Pair {
  const rates = new Float64Array(2);
  const span = new Float64Array(SPAN_COLUMNS);
  setLineRates(rates, acts.craft, acts.lines, acts.lines.rows, null, craft, span);
  return { boat, other, acts, lineRates: rates, rates: rates.slice() };
}

/** How every boat lies to every other at the stage in hand. */
function seeAll({ parties, pairs, grounds, at }: Company): void {
  for (let i = 0; i < parties.length; i++) {
    const { scratch, world } = parties[i]!;
    turnGround(grounds[i]!, scratch.turn, at[i]!);
    setGround(grounds[i]!, at[i]!, world.environment.row);
  }
  for (let p = 0; p < pairs.length; p++) {
    const { acts, boat, other } = pairs[p]!;
    setSeen(acts.seen, grounds[boat]!, grounds[other]!);
  }
}

/** What the boats do to one another at the stage in hand, into each one's `outside`. */
function actAll(company: Company): void {
  const { parties, pairs } = company;
  seeAll(company);
  for (let i = 0; i < parties.length; i++) parties[i]!.scratch.outside.fill(0);
  for (let p = 0; p < pairs.length; p++) {
    const { acts, boat, other } = pairs[p]!;
    addBetween(parties[boat]!.scratch.outside, parties[other]!.scratch.outside, acts);
  }
}

/** What may touch within the step, and how fast it all can act. */
function lookAll(company: Company, dt: number): void {
  const { parties, pairs, rates, at } = company;
  rates.fill(0);
  for (let i = 0; i < parties.length; i++) {
    const { state, world, scratch } = parties[i]!;
    scratch.clock[CLOCK.STEP] = dt;
    beginStep(state, world, scratch);
    joinRates(rates, scratch.rates);
    at[i] = state.motion;
  }
  seeAll(company);
  for (let p = 0; p < pairs.length; p++) {
    const pair = pairs[p]!;
    const { touch, craft, side, seen } = pair.acts;
    touch.list[LIST.SECONDS] = dt;
    lookForTouches(touch, craft, side, seen);
    pair.rates.set(pair.lineRates);
    if (touch.active > 0) {
      setTouchRates(touch, craft.touch, side);
      joinRates(pair.rates, touch.rates);
    }
    joinRates(rates, pair.rates);
  }
}

/**
 * One step of `dt` seconds (at most STEP_S) of all boats at once, in place: as `step` does for one, with the stages
 * taken together, so that what acts between two acts on both at the same moment.
 */
export function stepTogether(company: Company, dt: number): void {
  const { parties, rates, at } = company;
  lookAll(company, dt);
  let pieces = 1;
  for (let i = 0; i < parties.length; i++) pieces = cutStep(parties[i]!.scratch, rates);
  for (let piece = 0; piece < pieces; piece++) {
    for (let i = 0; i < parties.length; i++) {
      const { state, world, scratch } = parties[i]!;
      beginPiece(state, world, scratch);
    }
    for (let k = 0; k < STAGES; k++) {
      for (let i = 0; i < parties.length; i++) {
        const { state, scratch } = parties[i]!;
        at[i] = setStage(state.motion, scratch, k);
      }
      actAll(company);
      for (let i = 0; i < parties.length; i++) {
        const { world, scratch } = parties[i]!;
        setSlope(at[i]!, world, scratch, k);
      }
    }
    for (let i = 0; i < parties.length; i++) {
      const { state, world, scratch, watch } = parties[i]!;
      finishPiece(state.motion, scratch);
      endPiece(state, world, scratch, watch);
    }
  }
}
