import { GRAVITY_MPS2, SEA_WATER_KGPM3 } from '@/core/units';

/** The figures looked at: a part of what a boat file holds. */
interface BoatFigures {
  readonly hull: {
    readonly length_m: number;
    readonly mass_kg: number;
    readonly wettedArea_m2: number;
    readonly yawRadius_m: number;
    readonly draughts: readonly (readonly [number, number])[];
  };
  readonly windage: { readonly lateralArea_m2: number; readonly frontalArea_m2: number };
  readonly fins: readonly { readonly area_m2: number }[];
  readonly rudders: readonly { readonly area_m2: number }[];
  readonly drives: readonly {
    readonly diameter_m: number;
    readonly full_rpm: number;
    readonly bollard_rpm: number | null;
    readonly bollardThrust_kt: number;
  }[];
  readonly thrusters: readonly { readonly thrust_N: number }[];
}

interface Oddity {
  readonly path: PropertyKey[];
  readonly message: string;
}

/** Bounds wider than any craft of the trade, in terms of length; beyond them a figure is a slip of the pen. */
const LIGHTEST_KG_PER_M3 = 0.3;
const HEAVIEST_KG_PER_M3 = 40;
const MOST_WIND_AREA = 1;
const MOST_FIN_AREA = 0.15;
const MOST_DRAUGHT = 0.4;
const MOST_PROPELLER = 0.2;
/** Greatest push of propellers or a thruster from rest, as a share of the boat's weight: small open racing boats come near it. */
export const MOST_PUSH = 1;

/** Figures that do not go together: each with the field and what would be sensible. */
export function implausible(boat: BoatFigures): Oddity[] {
  const { hull, windage } = boat;
  const length = hull.length_m;
  const cube = length * length * length;
  const found: Oddity[] = [];
  const above = (path: PropertyKey[], value: number, most: number, unit: string) => {
    if (value <= most) return;
    const limit = Number(most.toPrecision(2));
    found.push({
      path,
      message: `cannot be right for a length of ${length} m; at most ${limit} ${unit}`,
    });
  };
  above(['hull', 'mass_kg'], hull.mass_kg, HEAVIEST_KG_PER_M3 * cube, 'kg');
  if (hull.mass_kg < LIGHTEST_KG_PER_M3 * cube) {
    const least = Number((LIGHTEST_KG_PER_M3 * cube).toPrecision(2));
    const message = `cannot be right for a length of ${length} m; at least ${least} kg`;
    found.push({ path: ['hull', 'mass_kg'], message });
  }
  above(['hull', 'wettedArea_m2'], hull.wettedArea_m2, 2 * length * length, 'm²');
  hull.draughts.forEach(([, draught], i) =>
    above(['hull', 'draughts', i, 1], draught, MOST_DRAUGHT * length, 'm'),
  );
  if (hull.yawRadius_m < 0.1 * length) {
    const message = 'cannot be under a tenth of the length; about a quarter is usual';
    found.push({ path: ['hull', 'yawRadius_m'], message });
  }
  const windArea = MOST_WIND_AREA * length * length;
  above(['windage', 'lateralArea_m2'], windage.lateralArea_m2, windArea, 'm²');
  above(['windage', 'frontalArea_m2'], windage.frontalArea_m2, windArea, 'm²');
  const finArea = MOST_FIN_AREA * length * length;
  boat.fins.forEach((fin, i) => above(['fins', i, 'area_m2'], fin.area_m2, finArea, 'm²'));
  boat.rudders.forEach((r, i) => above(['rudders', i, 'area_m2'], r.area_m2, finArea, 'm²'));
  const push = MOST_PUSH * GRAVITY_MPS2 * hull.mass_kg;
  boat.thrusters.forEach((t, i) => above(['thrusters', i, 'thrust_N'], t.thrust_N, push, 'N'));
  boat.drives.forEach((d, i) =>
    above(['drives', i, 'diameter_m'], d.diameter_m, MOST_PROPELLER * length, 'm'),
  );
  const pushes = boat.drives.map((d) => {
    const rps = Math.min(d.full_rpm, d.bollard_rpm ?? d.full_rpm) / 60;
    return SEA_WATER_KGPM3 * d.bollardThrust_kt * Math.pow(d.diameter_m, 4) * rps * rps;
  });
  const share = pushes.reduce((sum, p) => sum + p, 0) / push;
  if (share > 1) {
    boat.drives.forEach((d, i) => {
      const field =
        d.bollard_rpm !== null && d.bollard_rpm < d.full_rpm ? 'bollard_rpm' : 'full_rpm';
      const most = Number((d[field]! / Math.sqrt(share)).toPrecision(2));
      const times = Number((MOST_PUSH * share).toPrecision(2));
      const message = `the boat’s propellers would push with ${times} times its weight; at most ${most} rev/min, or a smaller propeller`;
      found.push({ path: ['drives', i, field], message });
    });
  }
  return found;
}
