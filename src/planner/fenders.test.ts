import { fleetRecord } from '@/document/testing/fleet';
import { fendersAllRound } from './fenders';

describe('fenders hung all round', () => {
  const quince = fleetRecord('quince');

  it('hang on both sides alike, within the boat, the ends first', () => {
    const bare = { ...quince, fenders: [] };
    const hung = fendersAllRound(bare);
    const port = hung.filter(({ side }) => side === 'port').map(({ x_m }) => x_m);
    const starboard = hung.filter(({ side }) => side === 'starboard').map(({ x_m }) => x_m);
    expect(port).toEqual(starboard);
    expect(port).toHaveLength(4);
    expect(Math.max(...port)).toBeGreaterThan(0.45 * quince.hull.length_m);
    expect(Math.min(...port)).toBeLessThan(-0.4 * quince.hull.length_m);
    expect(new Set(hung.map(({ name }) => name)).size).toBe(hung.length);
  });

  it('hang where the boat has none out already', () => {
    const out = quince.fenders.filter(({ side }) => side === 'port').map(({ x_m }) => x_m);
    expect(out.length).toBeGreaterThan(0);
    for (const { side, x_m } of fendersAllRound(quince))
      if (side === 'port')
        for (const x of out)
          expect(Math.abs(x - x_m)).toBeGreaterThanOrEqual(0.07 * quince.hull.length_m);
  });
});
