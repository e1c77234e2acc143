import { cos, sin } from '../math';
import { THERE, WAITING } from '../policy';
import type { SimState, World } from '../simulation';
import { PSI, R, U, V, WORKER_FIGURES, X, Y } from '../simulation';
import { lookAhead } from './bursts';
import { distanceAt } from './field';
import { G, goOn, GUESS_SIZE, GUESS_STEP_S, order, overGround, type Weathering } from './guess';
import { felt, learn, LEARNT } from './learn';
import { putLevers } from './levers';
import type { Outlook } from './outlook';

/** How somebody who works a boat by what they see is out: distances by a factor, angles by so much, rad, speeds, m/s; and how late they are, s. */
export interface Seeing {
  readonly eye: number;
  readonly angle: number;
  readonly speed: number;
  readonly late: number;
}

/** Further off nothing is judged, m. */
const FAR_M = 10;
/** From one look to the next, s, at the least. */
const LOOKS_EVERY_S = 1.25;
/** What is done takes so long before one looks again, s. */
const ACTS_S = 0.25;
/** Places in the row of the hand behind those of the guess. */
const BESIDES = GUESS_SIZE;
const LEVERS = BESIDES + LEARNT;
const WHEEL = LEVERS + 1;
const STAGE = LEVERS + 2;
/** Looks on end at which it was nearly there. */
const NEARLY = LEVERS + 3;
/** Looks at which it was there, but not surely. */
const SURE = LEVERS + 4;
/** Looks on end at which nothing was worth doing although it was not there and hardly moved. */
const WAITED = LEVERS + 5;
if (WAITED >= WORKER_FIGURES) throw new Error('the row of a hand is too short for a guess');
/** Before the first look, chosen but not yet done, done. */
const STAGES = { NEW: 0, CHOSEN: 1, DONE: 2 } as const;

const seen = new Float64Array(GUESS_SIZE);

/**
 * Somebody who works the boat somewhere by short bursts ahead and astern: looks, thinks ahead with the boat as they know it, and does what comes out best, a
 * little late. What they had expected and what came tells them of wind and thrust they did not know of.
 */
export class Worker {
  /** Ends of the deck, m forward of midships. */
  private readonly bow: number;
  private readonly stern: number;

  constructor(
    readonly outlook: Outlook,
    private readonly seeing: Seeing,
  ) {
    const along = outlook.prospect.deck.filter((_, i) => i % 2 === 0);
    this.bow = Math.max(...along);
    this.stern = Math.min(...along);
  }

  /** Looks or acts, whichever comes next, and says when it comes again. */
  look(state: SimState, world: World): void {
    const { row } = state.hand;
    if (row[STAGE] === STAGES.CHOSEN) this.act(state, world);
    else this.choose(state, world);
  }

  /** Is it clear of everything, by eye? */
  private clear(now: readonly number[]): boolean {
    const { missed } = this.outlook.prospect;
    return missed(now[0]!, now[1]!, now[2]!) <= THERE.clear * this.seeing.eye;
  }

  /** Is it where it is to lie, as it is seen, and as good as still? One makes sure of it by a few looks more; nearly there, and staying so, is there. */
  private lies(at: Float64Array, weathering: Weathering, row: Float64Array): boolean {
    const { missed, stays, still } = this.outlook.prospect;
    const off = missed(at[G.X]!, at[G.Y]!, at[G.PSI]!);
    const rests =
      overGround(at, weathering) < (still ?? THERE.speed) && Math.abs(at[G.R]!) < THERE.rate;
    row[NEARLY] = rests && off <= THERE.nearly ? row[NEARLY]! + 1 : 0;
    // Whoever keeps it there looks whether it still is.
    if (stays && off > THERE.lie) row[SURE] = 0;
    if (rests && off <= THERE.lie) row[SURE]! += 1;
    return rests && (off <= THERE.sure || row[SURE]! >= THERE.surer || row[NEARLY]! >= THERE.looks);
  }

  /**
   * What is judged by eye: how far it is to where the boat is to lie, or to what comes before that, m, negative astern. Where it is only to be clear,
   * what the end that goes first has before it.
   */
  private before(x: number, y: number, heading: number, way: number): number {
    const { field, ways, goesOn } = this.outlook.prospect;
    const [s, c] = [sin(heading), cos(heading)];
    const far = goesOn ? way * FAR_M : (ways.frame.x - x) * s + (ways.frame.y - y) * c;
    const end = far > 0 ? this.bow : this.stern;
    const gap = Math.max(0, distanceAt(field, x + end * s, y + end * c));
    return Math.sign(far) * Math.min(Math.abs(far), gap, FAR_M);
  }

  private act(state: SimState, world: World): void {
    const { hand } = state;
    const { row } = hand;
    const { feel } = this.outlook.prospect;
    putLevers(state, world, feel.levers[row[LEVERS]!]!, row[WHEEL]!);
    hand.active = true;
    row[STAGE] = STAGES.DONE;
    hand.looksIn = Math.max(ACTS_S, LOOKS_EVERY_S - this.seeing.late);
  }

  private choose(state: SimState, world: World): void {
    const { hand, motion } = state;
    const { row } = hand;
    const { prospect, weathering } = this.outlook;
    const { feel } = prospect;
    const { eye, angle, speed, late } = this.seeing;
    const since = Math.max(LOOKS_EVERY_S, late + ACTS_S);
    const way = motion[U]! >= 0 ? 1 : -1;
    const now = [
      motion[X]!,
      motion[Y]!,
      motion[PSI]! + angle,
      motion[U]! + way * speed,
      motion[V]!,
      motion[R]!,
    ];
    for (let j = 0; j < GUESS_SIZE; j++) seen[j] = row[j]!;
    for (let j = 0; j < 6; j++) seen[j] = now[j]!;
    if (row[STAGE] !== STAGES.NEW) learn(row.subarray(BESIDES, BESIDES + LEARNT), seen, row, since);
    // Taken to be further off: as if the boat were further from it.
    const further = (eye - 1) * this.before(now[0]!, now[1]!, now[2]!, way);
    const east = -further * sin(now[2]!);
    const north = -further * cos(now[2]!);
    seen[G.X]! += east;
    seen[G.Y]! += north;
    seen[G.WHEEL] = state.angles[0]! / (world.craft.limits[0]! || 1);
    const feeling = felt(weathering, row.subarray(BESIDES, BESIDES + LEARNT));
    const there = prospect.goesOn ? this.clear(now) : this.lies(seen, feeling, row);
    hand.done = there;
    if (there && !prospect.stays) {
      putLevers(state, world, feel.levers[0]!, 0);
      return;
    }
    const before =
      row[STAGE] === STAGES.NEW ? null : { levers: row[LEVERS]!, wheel: row[WHEEL]!, cost: 0 };
    const steps = Math.round(late / GUESS_STEP_S);
    goOn(seen, feel, feeling, before?.wheel ?? seen[G.WHEEL]!, steps);
    const out = { levers: 0, wheel: before?.wheel ?? 0 };
    const restless = prospect.stays === true && row[WAITED]! >= WAITING.looks;
    const choice = there ? out : lookAhead(prospect, feeling, seen, before, restless);
    const waits =
      !there && (restless || choice.levers === 0) && overGround(seen, feeling) < WAITING.slow;
    row[WAITED] = waits ? row[WAITED]! + 1 : 0;
    row[LEVERS] = choice.levers;
    row[WHEEL] = choice.wheel;
    // What will have come of it by the next look.
    for (let j = 0; j < GUESS_SIZE; j++) row[j] = seen[j]!;
    order(row, feel, choice.levers);
    goOn(row, feel, feeling, choice.wheel, Math.round(since / GUESS_STEP_S) - steps);
    // How the boat is set shows by how things pass, not by how far off they are taken to be.
    row[G.X]! -= east;
    row[G.Y]! -= north;
    row[STAGE] = STAGES.CHOSEN;
    hand.looksIn = Math.max(0.05, late);
  }
}

/** Tells the boat's hand to be worked by somebody from now on; whoever does it already goes on. */
export function workBy(state: SimState, worker: Worker): void {
  const { hand } = state;
  // Whoever did something else before, as motoring on a spring, left other figures.
  const goesOn = hand.active && hand.task === 'work' && hand.worker instanceof Worker;
  state.helm.active = false;
  const task = { active: true, task: 'work', worker } as const;
  Object.assign(hand, task, { done: false });
  if (goesOn) return;
  hand.row.fill(0);
  hand.looksIn = 0;
}
