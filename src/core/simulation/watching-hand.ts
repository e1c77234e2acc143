import type { HandWorker, SimState } from './state';
import type { World } from './world';

/** From one look to the next, s. */
export const LOOKS_EVERY_S = 1;
/** What was seen has yet to be acted on: first of the figures such a hand keeps. */
const SEEN = 0;

/** Somebody who looks, and does what they found is to be done a little later. */
export abstract class WatchingHand implements HandWorker {
  /** @param late from seeing something to doing it, s */
  constructor(private readonly late: number) {}

  look(state: SimState, of: object): void {
    const world = of as World;
    const { hand } = state;
    if (hand.row[SEEN] === 1) {
      this.act(state, world);
      hand.row[SEEN] = 0;
      hand.looksIn = Math.max(0.1, LOOKS_EVERY_S - this.late);
    } else {
      hand.row[SEEN] = 1;
      hand.looksIn = Math.max(0.05, this.late);
      this.see(state, world);
    }
  }

  /** Looks, and keeps in the figures of the hand, from the second on, what is to be done. */
  protected abstract see(state: SimState, world: World): void;
  protected abstract act(state: SimState, world: World): void;
}

/** From the beginning again: whoever had seen something keeps nothing of it but that they looked. */
export function begin(row: Float64Array): void {
  row.fill(0);
  row[SEEN] = 1;
}

/** Has the boat's hand watch from now on. */
export function watchWith(state: SimState, worker: WatchingHand): void {
  const { hand } = state;
  state.helm.active = false;
  Object.assign(hand, { active: true, task: 'work', worker, done: false, looksIn: 0 });
  hand.row.fill(0);
}
