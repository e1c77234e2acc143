import type { Boat } from '@/document/boat';
import type { PlanDocument } from '@/document/plan';
import { tenth } from './template';

type Hung = PlanDocument['fenders'];

/** Where fenders may be hung on either side, as shares of the way from midships to the end: the ends first, which a boat that is worked in touches with. */
const PLACES = [
  ['stem', 0.985],
  ['transom', -0.985],
  ['shoulder', 0.7],
  ['quarter', -0.75],
  ['bow', 0.87],
  ['middle', 0.1],
  ['waist', -0.35],
] as const;
/** A plan hangs so many on a side beside those the boat always has out. */
const A_SIDE = 4;
/** Nearer to another than so many lengths one more is of no use. */
const APART_LENGTHS = 0.07;
/** A usual fender: so many lengths across, m, and no less. */
const ACROSS = { lengths: 0.022, least: 0.2 } as const;

/** Fenders on both sides as they are hung before a boat is worked into a berth or out of one: where it has none out already. */
export function fendersAllRound({ hull, fenders }: Boat): Hung {
  const diameter_m = Math.max(ACROSS.least, tenth(ACROSS.lengths * hull.length_m));
  const along = hull.deck.map(([x]) => x);
  const ends = { ahead: Math.max(...along), astern: -Math.min(...along) };
  return (['port', 'starboard'] as const).flatMap((side) => {
    const out = fenders.filter((one) => one.side === side).map(({ x_m }) => x_m);
    const hung: Hung = [];
    for (const [name, share] of PLACES) {
      const x_m = tenth(share * (share > 0 ? ends.ahead : ends.astern));
      const near = out.some((x) => Math.abs(x - x_m) < APART_LENGTHS * hull.length_m);
      if (near || hung.length === A_SIDE) continue;
      out.push(x_m);
      hung.push({
        name: `${side} ${name} fender`,
        x_m,
        side,
        diameter_m,
        length_m: tenth(3 * diameter_m),
        pressure_kPa: 15,
        loss_spm: 1,
      });
    }
    return hung;
  });
}
