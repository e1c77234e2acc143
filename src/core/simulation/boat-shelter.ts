import type { Windbreak } from '../air';
import type { BoatSpec } from '../boat';
import type { Vessel } from './vessel';
import { cos, sin } from '../math';
import { PSI, X, Y } from './state';

/** Wind gets past rig, rails and canopies: a moored boat is no wall. Judgement, ±0.2. */
const POROSITY = 0.3;

/** How high a boat stands in the wind as one block, m: its side area over its length. */
const heightOf = ({ hull, windage }: BoatSpec): number => windage.lateralArea / hull.length;

/** Other boats as windbreaks, in their order; outlines yet to be written. */
export const shelteringBoats = (others: readonly Vessel[]): readonly Windbreak[] =>
  others.map(({ world }) => ({
    outline: new Float64Array(world.craft.spec.hull.deck.length),
    height: heightOf(world.craft.spec),
    porosity: POROSITY,
  }));

/** Writes where the other boats lie now into the windbreaks they are. */
export function placeShelteringBoats({ others, scratch }: Vessel): void {
  const first = scratch.windbreaks.length - others.length;
  for (let k = 0; k < others.length; k++) {
    const { world, state } = others[k]!;
    const outline = scratch.windbreaks[first + k]?.outline as Float64Array | undefined;
    if (!outline) return;
    const { deck } = world.craft.spec.hull;
    const s = sin(state.motion[PSI]!);
    const c = cos(state.motion[PSI]!);
    for (let i = 0; i < deck.length; i += 2) {
      outline[i] = state.motion[X]! + deck[i]! * s + deck[i + 1]! * c;
      outline[i + 1] = state.motion[Y]! + deck[i]! * c - deck[i + 1]! * s;
    }
  }
}
