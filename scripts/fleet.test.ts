import { readFileSync } from 'node:fs';
import { basisFor, boatSchema, boatWarnings, check, isPlace, type Boat } from '@/document';
import { figureGroups } from '@/ui/boats/own-figures';
import { FLEET, fleetBoat, fleetPath } from './fleet';

describe.each(FLEET.map((berth) => [berth.id, berth] as const))('%s', (_, berth) => {
  const kept = JSON.parse(readFileSync(fleetPath(berth.id), 'utf8')) as Boat;

  it('is kept as the estimate makes her from her owner’s figures', () => {
    expect(kept).toEqual(JSON.parse(JSON.stringify(fleetBoat(berth))));
  });

  it('is sound, says where her figures come from, and has nothing unusual', () => {
    const checked = check<Boat>(boatSchema, kept);
    expect(checked.ok).toBe(true);
    expect(boatWarnings(kept)).toEqual([]);
  });
});

// What is shown of a boat: its record with what it leaves out filled in.
const shown = [...FLEET.map(({ id }) => id), 'quince'].map((id) => {
  const checked = check<Boat>(boatSchema, JSON.parse(readFileSync(fleetPath(id), 'utf8')));
  if (!checked.ok) throw new Error(`${id} is not sound`);
  return [id, checked.value] as const;
});

it.each(shown)(
  '%s says of every figure how it was come by and how far it may be off',
  (_, boat) => {
    const figures = figureGroups(boat).flatMap((group) => group.figures);
    expect(figures.length).toBeGreaterThan(45);
    const outlines = ['hull.deck', 'hull.waterline', 'hull.draughts'];
    const paths = [...outlines, ...figures.map(({ path }) => path)];
    const without = paths.filter((path) => !basisFor(boat, path)?.note);
    expect(without).toEqual([]);
    // Only counts, and what is not there, are exact.
    const exact = boat.basis.filter(({ spread_pct }) => spread_pct === 0).map((b) => b.figure);
    expect(exact.filter((path) => !/blades$|demihullOffset_m$/.test(path))).toEqual([]);
    for (const { figure, spread_pct } of boat.basis)
      if (isPlace(figure.split('.').at(-1)!)) expect(spread_pct).toBeLessThanOrEqual(5);
  },
);

it.each(shown)('%s has no basis for a figure she has not', (_, boat) => {
  const paths = figureGroups(boat).flatMap((group) => group.figures.map(({ path }) => path));
  const stray = boat.basis.filter(({ figure }) => !paths.includes(figure));
  const wholes = stray.filter(
    ({ figure }) =>
      !paths.some((path) => path.startsWith(`${figure}[`)) && !figure.startsWith('hull.'),
  );
  expect(wholes.map(({ figure }) => figure)).toEqual([]);
});

it('spans the trade: at least ten boats, every kind of drive', () => {
  expect(FLEET.length).toBeGreaterThanOrEqual(10);
  const drives = new Set(FLEET.map(({ owner }) => owner.drive));
  for (const kind of ['shaft', 'sail drive', 'outdrive', 'outboard', 'none'])
    expect(drives).toContain(kind);
});
