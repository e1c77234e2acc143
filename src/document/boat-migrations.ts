import { isRecord, migrated, type Json, type Migration } from './migrate';

/** The version of a boat's record this program writes. */
export const BOAT_VERSION = 2;

/** Deepest of canoe body, and of fins and rudders by their mean span, m: version 1 did not say. */
function draughtOf(boat: Json): number {
  const number = (value: unknown) => (typeof value === 'number' ? value : 0);
  const hull = isRecord(boat.hull) ? boat.hull : {};
  const stations = Array.isArray(hull.draughts) ? hull.draughts : [];
  const body = Math.max(0, ...stations.map((s) => (Array.isArray(s) ? number(s[1]) : 0)));
  const fins = Array.isArray(boat.fins) ? boat.fins.filter(isRecord) : [];
  // A fin's mirror makes its effective aspect twice span over chord.
  const span = ({ area_m2, effectiveAspect }: Json) =>
    Math.sqrt((number(area_m2) * number(effectiveAspect)) / 2);
  return Math.max(0.05, body + Math.max(0, ...fins.map(span)));
}

/** One for each version of a boat: see `migrated`. */
export const BOAT_MIGRATIONS: readonly Migration[] = [
  {
    name: 'drives of every kind',
    up: ({ shafts, rudders, hull, ...rest }) => ({
      ...rest,
      version: 2,
      hull: isRecord(hull)
        ? { obliqueDrag: 0, draught_m: draughtOf({ ...rest, hull }), ...hull }
        : hull,
      drives: Array.isArray(shafts)
        ? shafts.map((s) => (isRecord(s) ? { kind: 'shaft', steering: 'fixed', ...s } : s))
        : shafts,
      rudders: Array.isArray(rudders)
        ? rudders.map((r) => {
            if (!isRecord(r)) return r;
            const { inRaceOfShaft, ...blade } = r;
            return { ...blade, inRaceOfDrive: inRaceOfShaft ?? null };
          })
        : rudders,
    }),
  },
];

/** Brings a boat of an older version up to date; anything else is left for the schema to judge. */
export const migrateBoat = (value: unknown): unknown => migrated(value, BOAT_MIGRATIONS);
