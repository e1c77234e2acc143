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
} from '../holding';
import { turnGround, setGround } from './derivative';
import { setLineRates } from './line-rates';
import { advanceLocks } from './locks-now';
import type { SimState } from './state';
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
  timestep,
} from './timestep';
import {
  CLOCK,
  makeScratch,
  othersOf,
  type Company,
  type Pair,
  type Party,
  type Scratch,
  type TouchWatch,
  type World,
} from './world';

/** Friction of one hull or fender on another's side. Judgement, ± a third. */
const HULL_FRICTION = 0.3;

/** What boat `other` is to lines of boat `boat`: her ON. The others are counted in the order of all. */
export function onOf(boat: number, other: number): number {
  return other < boat ? other + 1 : other;
}

/**
 * Every boat with every other. A line leads from the boat whose it is to what its ON says of the others.
 *
 * @param friction of one hull on another
 */
export function companyOf(parties: readonly Party[], friction = HULL_FRICTION): Company {
  const pairs: Pair[] = [];
  parties.forEach((one, boat) => {
    parties.forEach((two, other) => {
      if (other <= boat) return;
      const on = [onOf(boat, other), onOf(other, boat)] as const;
      const [first, second] = between(one.world.craft, two.world.craft, friction, on);
      pairs.push({ boat, other, acts: first }, { boat: other, other: boat, acts: second });
    });
  });
  for (const { boat, acts } of pairs) parties[boat]!.scratch.views[acts.on] = acts.seen;
  for (const party of parties) {
    const others = parties.filter((other) => other !== party);
    party.scratch.alongside = others.map(({ world }) => world.craft);
    party.scratch.neighbours = others.map(({ state, world }) => ({
      motion: state.motion,
      hull: world.craft.spec.hull,
    }));
    setLineRates(party.scratch, party.world.lines, 0);
  }
  return {
    parties,
    pairs,
    grounds: parties.map(() => new Float64Array(GROUND_COLUMNS)),
    at: parties.map(({ state }) => state.motion),
    rates: new Float64Array(2),
  };
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
    const { scratch, world } = parties[boat]!;
    const theirs = parties[other]!.scratch.outside;
    const { lines, pulling, tension, span } = scratch;
    addBetween(scratch.outside, theirs, acts, world.lines, lines, pulling, tension, span);
  }
}

/** What may touch within the step, and how fast it all can act. */
function lookAll(company: Company, dt: number): void {
  const { parties, pairs, rates, at } = company;
  rates.fill(0);
  for (let i = 0; i < parties.length; i++) at[i] = parties[i]!.state.motion;
  // Lines to the others are looked at as she is seen now.
  seeAll(company);
  for (let i = 0; i < parties.length; i++) {
    const { state, world, scratch } = parties[i]!;
    scratch.clock[CLOCK.STEP] = dt;
    beginStep(state, world, scratch);
    joinRates(rates, scratch.rates);
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
  const { parties, pairs, rates, at } = company;
  lookAll(company, dt);
  if (apart(company)) {
    for (let i = 0; i < parties.length; i++) {
      const { state, world, scratch, watch } = parties[i]!;
      scratch.outside.fill(0);
      goThrough(state, world, scratch, watch);
    }
    return;
  }
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
    for (let p = 0; p < pairs.length; p++) see(company, pairs[p]!);
  }
}

/** Is there nothing between any two of them in the step in hand: no touch that may come, no line? */
function apart({ parties, pairs }: Company): boolean {
  for (let p = 0; p < pairs.length; p++) if (pairs[p]!.acts.touch.active > 0) return false;
  for (let i = 0; i < parties.length; i++) {
    const { world, scratch } = parties[i]!;
    for (let k = 0; k < world.lines.count; k++) {
      const at = k * LINE_COLUMNS;
      if (scratch.lines[at + LINE.ON] !== 0 && scratch.lines[at + LINE.HOLD] !== 0) return false;
    }
  }
  // What they last did to one another is over.
  for (let p = 0; p < pairs.length; p++) pairs[p]!.acts.touch.count = 0;
  return true;
}

/** Shows a pair's touches to whoever keeps those of either boat. */
function see({ parties }: Company, { boat, other, acts }: Pair): void {
  if (acts.touch.count === 0) return;
  const one = parties[boat]!;
  const two = parties[other]!;
  one.watch?.seeBoat?.(one.state, one.world, two.world, acts, false);
  two.watch?.seeBoat?.(two.state, two.world, one.world, acts, true);
}

/** The company of a boat and the others of her world, hers the first; made once for a state and its working memory. */
function companyAbout(
  state: SimState,
  world: World,
  scratch: Scratch,
  watch: TouchWatch | null,
): Company {
  const known = scratch.company;
  if (known && known.parties[0]!.state === state && known.parties[0]!.watch === watch) return known;
  const others = othersOf(world).map((other, i) => {
    const at = makeScratch(other.world);
    if (other.world.lines.tended) at.lines = state.others[i]!.lines;
    return { world: other.world, state: state.others[i]!, scratch: at, watch: null };
  });
  scratch.company = companyOf([{ world, state, scratch, watch }, ...others]);
  return scratch.company;
}

/** One step of `dt` seconds of a boat and of all the others that her world knows of; alone, as `step` makes it. */
export function advance(
  state: SimState,
  world: World,
  scratch: Scratch,
  dt: number,
  watch: TouchWatch | null,
): void {
  advanceLocks(state, world, dt);
  if (othersOf(world).length === 0) timestep(state, world, scratch, dt, watch);
  else stepTogether(companyAbout(state, world, scratch, watch), dt);
}

/** Works out what she lies against and hangs on at this moment, the others with her, without moving anything. */
export function lookAbout(
  state: SimState,
  world: World,
  scratch: Scratch,
  watch: TouchWatch | null,
): Company | null {
  if (othersOf(world).length === 0) return null;
  const company = companyAbout(state, world, scratch, watch);
  lookAll(company, scratch.clock[CLOCK.STEP]!);
  actAll(company);
  return company;
}
