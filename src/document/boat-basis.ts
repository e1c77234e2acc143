import type { Boat } from './boat';

type Basis = Boat['basis'][number];

/** Figures that say where something is aboard: their spread is a share of the boat's length, as they may well be nought. */
const PLACES = new Set(['x_m', 'y_m', 'centreX_m', 'hullShareX_m', 'centreOfGravity_m']);

/** Is a record's field a place aboard? */
export function isPlace(field: string): boolean {
  return PLACES.has(field);
}

/** How the figure at a path was come by: its own entry, or that of the nearest whole it is part of; null if none says. */
export function basisFor(boat: Boat, path: string): Basis | null {
  let at = path;
  for (;;) {
    const entry = boat.basis.find(({ figure }) => figure === at);
    if (entry) return entry;
    const up = Math.max(at.lastIndexOf('./'), at.lastIndexOf('['));
    if (up < 0) return null;
    at = at.slice(0, up);
  }
}
