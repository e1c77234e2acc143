import { GRAVITY_MPS2 } from '../units';
import { draughtAt, hullMiddles, STRIP_COUNT } from './hull-rows';
import { halfBreadthAt } from './hull-shape';
import type { BoatSpec } from './spec';

/**
 * What of the boat may take the ground, as rows: place x, y in body axes, m; draught there, m; and, over the water's density, the force
 * that bears on the bottom for every metre it is short of that, m³/s².
 */
export const KEEL = { X: 0, Y: 1, DRAUGHT: 2, BEARING: 3 } as const;
export const KEEL_COLUMNS = 4;

/** Share of a draught at which the canoe body counts as the boat's deepest part. */
const AS_DEEP = 0.97;
/** Twin keels are as large as each other, but for rounding. */
const ALIKE = 0.999;
/** A keel's tip bears part of what the whole waterplane would: the boat tilts off it. Judgement. */
const TIP_SHARE = 0.5;

/** A blade or leg that takes the ground bears no more than this of the waterplane before it gives way. Judgement. */
const BLADE_SHARE = 0.05;

/** How deep a rudder, or a leg with its propeller, hangs: under the canoe body there, and no deeper than the boat draws. */
function bladeDraught({ hull }: BoatSpec, x: number, span: number): number {
  return Math.min(hull.draught, Math.max(0, draughtAt(hull.draughts, x)) + span);
}

/**
 * Points along each hull's middle at the canoe body's draught, one at the foot of each rudder and leg that hangs under it, and, where something hangs deeper, one at the greatest draught
 * under the boat's largest foil, or each of several as large (or its drives). Bearing is the buoyancy lost for every metre it is lifted, over the water's density:
 * waterline breadth times length, m².
 */
export function keelRows(spec: BoatSpec): Float64Array {
  const { hull, foils, rudders, drives } = spec;
  const { draughts, waterline } = hull;
  const aft = draughts[0]!;
  const dx = (draughts[draughts.length - 2]! - aft) / STRIP_COUNT;
  const rows: number[] = [];
  let deepest = 0;
  let plane = 0;
  for (const middle of hullMiddles(hull.demihullOffset)) {
    for (let i = 0; i < STRIP_COUNT; i++) {
      const x = aft + (i + 0.5) * dx;
      const draught = draughtAt(draughts, x);
      const area = 2 * halfBreadthAt(waterline, x) * dx;
      rows.push(x, middle, draught, area * GRAVITY_MPS2);
      deepest = Math.max(deepest, draught);
      plane += area;
    }
  }
  if (deepest < AS_DEEP * hull.draught) {
    const blades = [...foils, ...rudders];
    const most = Math.max(0, ...blades.map(({ area }) => area));
    const keels = blades.filter(({ area }) => area >= ALIKE * most);
    const hung = keels.length > 0 ? keels : drives.length > 0 ? drives : [{ x: 0, y: 0 }];
    const bears = (TIP_SHARE * plane * GRAVITY_MPS2) / hung.length;
    for (const { x, y } of hung) rows.push(x, y, hull.draught, bears);
  }
  const hung = [
    ...rudders.map(({ x, y, span }) => ({ x, y, span })),
    ...drives.flatMap(({ x, y, leg, diameter }) => (leg ? [{ x, y, span: diameter }] : [])),
  ];
  for (const { x, y, span } of hung) {
    const draught = bladeDraught(spec, x, span);
    if (draught > draughtAt(draughts, x))
      rows.push(x, y, draught, BLADE_SHARE * plane * GRAVITY_MPS2);
  }
  return Float64Array.from(rows);
}
