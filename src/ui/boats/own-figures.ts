import type { Boat } from '@/document';

/** One figure of a boat's record. */
export interface Figure {
  /** Path as in the record, such as drives[0].walkAstern. */
  readonly path: string;
  readonly field: string;
  readonly value: number | null;
}

export interface FigureGroup {
  readonly name: string;
  /** Of what there is many alike: the name of them all, under which they stand together. */
  readonly family: string | null;
  readonly figures: readonly Figure[];
}

function numbers(record: object, path: string): Figure[] {
  return Object.entries(record).flatMap(([field, value]) =>
    typeof value === 'number' ? [{ path: `${path}.${field}`, field, value }] : [],
  );
}

/** Every single number of a boat's record, grouped by what it belongs to. Outlines are left out: they are drawn. */
export function figureGroups(boat: Boat): FigureGroup[] {
  type Parts = 'fins' | 'drives' | 'rudders' | 'thrusters' | 'fenders' | 'points';
  const many = (what: Parts, family: string | null = null) =>
    boat[what].map((part, i) => ({
      family,
      name: part.name[0]!.toUpperCase() + part.name.slice(1),
      figures: numbers(part, `${what}[${i}]`).filter(({ field }) => field !== 'inRaceOfDrive'),
    }));
  return [
    { name: 'Hull', family: null, figures: numbers(boat.hull, 'hull') },
    { name: 'Wind', family: null, figures: numbers(boat.windage, 'windage') },
    { name: 'Helm', family: null, figures: numbers(boat.steering, 'steering') },
    ...many('drives'),
    ...boat.drives.flatMap(({ name, leg }, i) =>
      leg
        ? [{ name: `Leg of ${name}`, family: null, figures: numbers(leg, `drives[${i}].leg`) }]
        : [],
    ),
    ...many('rudders'),
    ...many('fins'),
    ...many('thrusters'),
    ...many('fenders', 'Fenders'),
    ...many('points', 'Named points'),
  ].filter(({ figures }) => figures.length > 0);
}

/** The boat with one figure set by hand, and that noted as its basis. */
export function withFigure(boat: Boat, path: string, value: number): Boat {
  const next = structuredClone(boat);
  const keys = path.split(/[.[\]]+/).filter(Boolean);
  let node = next as unknown as Record<string, unknown>;
  for (const key of keys.slice(0, -1)) node = node[key] as Record<string, unknown>;
  node[keys.at(-1)!] = value;
  next.basis = [
    ...boat.basis.filter(({ figure }) => figure !== path),
    { figure: path, how: 'set by hand', spread_pct: 10, note: '' },
  ];
  return next;
}

/** Paths of the figures set by hand or measured: an estimate leaves them alone. */
export function ownTechniques(boat: Boat): Figure[] {
  const set = new Set(
    boat.basis
      .filter(({ how }) => how === 'set by hand' || how === 'measured')
      .map((b) => b.figure),
  );
  return figureGroups(boat)
    .flatMap(({ figures }) => figures)
    .filter(({ path }) => set.has(path));
}

/** A newly estimated boat with the old one's own figures put back where the part is still there. */
export function keepOwn(estimated: Boat, old: Boat): Boat {
  const there = new Set(
    figureGroups(estimated).flatMap(({ figures }) => figures.map((f) => f.path)),
  );
  return ownTechniques(old).reduce((boat, { path, value }) => {
    if (!there.has(path) || value === null) return boat;
    const kept = withFigure(boat, path, value);
    const basis = old.basis.find((b) => b.figure === path)!;
    return { ...kept, basis: kept.basis.map((b) => (b.figure === path ? basis : b)) };
  }, estimated);
}
