import type { Leg } from '@/core/brief';
import type { Run } from '@/core/plan';
import { sampleBefore } from './sample';

/** A side of a leg as places on the water, m: what the boat is blown towards, and what it is blown off. */
export interface LegSide {
  readonly step: number;
  readonly danger: readonly (readonly [number, number])[];
  readonly safe: readonly (readonly [number, number])[];
  /** Unit vector from the way towards the danger, per place. */
  readonly towards: readonly (readonly [number, number])[];
}

const EVERY_M = 1;

/** Lines alongside each leg at half a beam and a bit; legs driven ahead or astern have none. */
export function legSides(run: Run, legs: readonly Leg[], beam: number): LegSide[] {
  const off = 0.5 * beam + 1.2;
  const { trace } = run;
  return legs.flatMap((leg) => {
    const side = leg.lee === 'starboard' ? 1 : leg.lee === 'port' ? -1 : 0;
    if (side === 0) return [];
    const danger: [number, number][] = [];
    const safe: [number, number][] = [];
    const towards: [number, number][] = [];
    let lastX = Infinity;
    let lastY = Infinity;
    for (let i = sampleBefore(trace, leg.from); i <= sampleBefore(trace, leg.to); i++) {
      const x = trace.x[i]!;
      const y = trace.y[i]!;
      if (Math.hypot(x - lastX, y - lastY) < EVERY_M) continue;
      lastX = x;
      lastY = y;
      const heading = trace.heading[i]!;
      // Starboard of a heading lies along (cos, −sin).
      const nx = side * Math.cos(heading);
      const ny = -side * Math.sin(heading);
      danger.push([x + off * nx, y + off * ny]);
      safe.push([x - off * nx, y - off * ny]);
      towards.push([nx, ny]);
    }
    return danger.length > 1 ? [{ step: leg.step, danger, safe, towards }] : [];
  });
}
