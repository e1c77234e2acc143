import type { Between } from '../holding';
import type { Ledger } from './ledger';
import { setLineRates } from './line-rates';
import { makeScratch, type Scratch } from './scratch';
import type { SimState } from './state';
import type { World } from './world';

/** One boat under way: its surroundings, its state, and working memory of its own. */
export interface Vessel {
  readonly world: World;
  readonly state: SimState;
  readonly scratch: Scratch;
  /** Rows of columns LINE of the boat's lines: the state's own where they may change. */
  readonly rows: Float64Array;
  /** Is shown the boat's touches; nobody if null. */
  readonly watch: TouchWatch | null;
  /** Books of the work done on the boat, if somebody keeps them. */
  readonly ledger: Ledger | null;
  /** The other boats in the same water, in the order that ON of its lines counts them. */
  others: readonly Vessel[];
}

/** Looks at the touches of every piece of a step, and comes back to where it was when a step is taken again. */
export interface TouchWatch {
  see(vessel: Vessel): void;
  /**
   * The same of touches between two boats. `acts` has them in the frame of the one taken as the place: that is the
   * boat itself if `turned`, else the other.
   */
  seeBoat?(vessel: Vessel, other: World, acts: Between, turned: boolean): void;
  save?(): void;
  restore?(): void;
}

/** Who looks on as a boat moves, and who keeps the books. */
export interface Watching {
  readonly watch?: TouchWatch | null;
  readonly ledger?: Ledger | null;
}

/** A boat alone in its water, with fresh working memory. */
export function vesselOf(
  world: World,
  state: SimState,
  { watch = null, ledger = null }: Watching = {},
): Vessel {
  const rows = world.lines.tended ? state.lines : world.lines.rows;
  const vessel = { world, state, scratch: makeScratch(world), rows, watch, ledger, others: [] };
  setLineRates(vessel, 0);
  return vessel;
}
