import { cos, sin } from '../math';
import { THERE } from '../policy';
import type { SimState, World } from '../simulation';
import { PSI, R, U, V, WORKER_FIGURES, X, Y } from '../simulation';
import { lookAhead } from './bursts';
import { distanceAt } from './field';
import { G, goOn, GUESS_SIZE, GUESS_STEP_S, order, overGround } from './guess';
import { putLevers } from './levers';
import type { Outlook } from './outlook';

/** How somebody who works a boat by what they see is out: distances by a factor, angles by so much, rad, speeds, m/s; and how late they are, s. */
export interface Seeing {
  readonly eye: number;
  readonly angle: number;
  readonly speed: number;
  readonly late: number;
}

/** From one look to the next, s, at the least. */
const LOOKS_EVERY_S = 1.25;
/** What is done takes so long before one looks again, s. */
const ACTS_S = 0.25;
/** Somebody who sees that it goes otherwise than they expected takes so much of it as going on, and forgets so much, each look. */
const BELIEVED = 0.4;
const REMEMBERED = 0.9;
/** No more than so much is put down to that, m/s² and rad/s². */
const MOST_BESIDES = [0.08, 0.08, 0.05] as const;

/** Places in the row of the hand behind those of the guess. */
const BESIDES = GUESS_SIZE;
const LEVERS = GUESS_SIZE + 3;
const WHEEL = GUESS_SIZE + 4;
const STAGE = GUESS_SIZE + 5;
if (STAGE >= WORKER_FIGURES) throw new Error('the row of a hand is too short for a guess');
/** Before the first look, chosen but not yet done, done. */
const STAGES = { NEW: 0, CHOSEN: 1, DONE: 2 } as const;

const seen = new Float64Array(GUESS_SIZE);

/**
 * Somebody who works the boat somewhere by short bursts ahead and astern: looks, thinks ahead with the boat as they know it, and does what comes out best, a
 * little late. What they had expected and what came tells them of wind and thrust they did not know of.
 */
export class Worker {
  constructor(
    readonly outlook: Outlook,
    private readonly seeing: Seeing,
  ) {}

  /** Looks or acts, whichever comes next, and says when it comes again. */
  look(state: SimState, world: World): void {
    const { row } = state.hand;
    if (row[STAGE] === STAGES.CHOSEN) this.act(state, world);
    else this.choose(state, world);
  }

  /** Is it where it is to be, as it is seen, and as good as still? */
  private there(at: Float64Array): boolean {
    const { prospect, weathering } = this.outlook;
    const { missed, goesOn } = prospect;
    const near = goesOn ? THERE.clear : THERE.lie;
    if (missed(at[G.X]!, at[G.Y]!, at[G.PSI]!) > near) return false;
    const speed = overGround(at, weathering);
    return goesOn || (speed < THERE.speed && Math.abs(at[G.R]!) < THERE.rate);
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
    const { feel, field } = prospect;
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
    if (row[STAGE] !== STAGES.NEW)
      for (let j = 0; j < 3; j++) {
        const wrong = (now[3 + j]! - row[G.U + j]!) / since;
        const most = MOST_BESIDES[j]!;
        const taken = REMEMBERED * (row[BESIDES + j]! + BELIEVED * wrong);
        row[BESIDES + j] = Math.max(-most, Math.min(most, taken));
      }
    for (let j = 0; j < GUESS_SIZE; j++) seen[j] = row[j]!;
    for (let j = 0; j < 6; j++) seen[j] = now[j]!;
    // What is further off is taken for further off, or nearer, than it is.
    const open = Math.max(0, Math.min(10, distanceAt(field, now[0]!, now[1]!)));
    const nearer = way * (eye - 1) * open;
    seen[G.X]! += nearer * sin(now[2]!);
    seen[G.Y]! += nearer * cos(now[2]!);
    seen[G.WHEEL] = state.angles[0]! / (world.craft.limits[0]! || 1);
    const feeling = { ...weathering, besides: row.subarray(BESIDES, BESIDES + 3) };
    if (this.there(seen)) {
      putLevers(state, world, feel.levers[0]!, 0);
      hand.done = true;
      return;
    }
    const before =
      row[STAGE] === STAGES.NEW ? null : { levers: row[LEVERS]!, wheel: row[WHEEL]!, cost: 0 };
    const steps = Math.round(late / GUESS_STEP_S);
    goOn(seen, feel, feeling, before?.wheel ?? seen[G.WHEEL]!, steps);
    const choice = lookAhead(prospect, feeling, seen, before);
    row[LEVERS] = choice.levers;
    row[WHEEL] = choice.wheel;
    // What will have come of it by the next look.
    for (let j = 0; j < GUESS_SIZE; j++) row[j] = seen[j]!;
    order(row, feel, choice.levers);
    goOn(row, feel, feeling, choice.wheel, Math.round(since / GUESS_STEP_S) - steps);
    row[STAGE] = STAGES.CHOSEN;
    hand.looksIn = Math.max(0.05, late);
  }
}

/** Tells the boat's hand to be worked by somebody from now on; whoever does it already goes on. */
export function workBy(state: SimState, worker: Worker): void {
  const { hand } = state;
  const goesOn = hand.active && hand.task === 'work' && hand.worker !== null;
  state.helm.active = false;
  const task = { active: true, task: 'work', worker } as const;
  Object.assign(hand, task, { done: false });
  if (goesOn) return;
  hand.row.fill(0);
  hand.looksIn = 0;
}
