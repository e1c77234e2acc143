import type { Known } from '@/core/plan';
import { basisFor } from './boat-basis';
import type { Boat } from './boat';
import type { Conditions } from './conditions';
import { radians } from './fields';

/** Parts of a spread that are a boat's own, and the figures each stands for: those of a drive or rudder, of every one it has. */
const FIGURES = {
  thrust: { drives: ['bollardThrust_kt'] },
  thrustAstern: { drives: ['asternEfficiency'] },
  propWalk: { drives: ['walkAstern'] },
  windForce: { whole: ['windage.lateralArea_m2', 'windage.sideDrag'] },
  windCentre: { whole: ['windage.centreX_m'] },
  hullDrag: { whole: ['hull.wettedArea_m2', 'hull.crossFlowDrag'] },
} as const satisfies Partial<
  Record<keyof Known, { drives?: readonly string[]; whole?: readonly string[] }>
>;

/** Somebody has found these out on the boat; what was estimated is as far out as the standard spread has it. */
const FOUND_OUT: readonly string[] = ['measured', 'set by hand'];

/** How far a boat's figures may be out where every one of a part was found out: together, as the root of their squares. */
export function knownOfBoat(boat: Boat): Known {
  const known: Record<string, number> = {};
  for (const [part, { drives = [], whole = [] }] of Object.entries(FIGURES) as [
    keyof typeof FIGURES,
    { drives?: readonly string[]; whole?: readonly string[] },
  ][]) {
    // Of several drives the least known one counts: they are drawn alike.
    const each = boat.drives.flatMap((_, i) => drives.map((name) => `drives[${i}].${name}`));
    const bases = [...each, ...whole].map((path) => basisFor(boat, path));
    if (bases.length === 0 || bases.some((b) => !b || !FOUND_OUT.includes(b.how))) continue;
    const shares = bases.map((b) => b!.spread_pct / 100);
    known[part] =
      whole.length > 0 ? Math.sqrt(shares.reduce((sum, s) => sum + s * s, 0)) : Math.max(...shares);
  }
  return known;
}

/** How far wind and current may be out where the conditions say: read off on the spot, or a forecast of some hours. */
function knownOfDay({ wind, current }: Conditions): Known {
  return {
    ...(wind.spread && { windSpeed: wind.spread.speed_pct / 100 }),
    ...(wind.spread && { windFrom: radians(wind.spread.from_deg) }),
    ...(current.spread && { current: current.spread.speed_pct / 100 }),
    ...(current.spread && { currentSet: radians(current.spread.set_deg) }),
  };
}

/** What is known of a manoeuvre's boat and day beyond the standard spread; nothing where nothing is. */
export function knownOf(boat: Boat, conditions: Conditions): Known | undefined {
  const known = { ...knownOfBoat(boat), ...knownOfDay(conditions) };
  return Object.keys(known).length > 0 ? known : undefined;
}
