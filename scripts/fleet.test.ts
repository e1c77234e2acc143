import { readFileSync } from 'node:fs';
import { boatSchema, boatWarnings, check, type Boat } from '@/document';
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
    expect(kept.basis.length).toBeGreaterThan(15);
    for (const { spread_pct, how } of kept.basis) {
      expect(spread_pct).toBeGreaterThan(0);
      expect(how).not.toBe('');
    }
  });
});

it('spans the trade: at least ten boats, every kind of drive', () => {
  expect(FLEET.length).toBeGreaterThanOrEqual(10);
  const drives = new Set(FLEET.map(({ owner }) => owner.drive));
  for (const kind of ['shaft', 'sail drive', 'outdrive', 'outboard', 'none'])
    expect(drives).toContain(kind);
});
