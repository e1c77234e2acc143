import { roseWords } from './WindRose';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;

it('says the winds it holds in from each direction, and where it holds in none', () => {
  const said = roseWords(
    [
      { from: 0, least: 0, most: 14 * 0.514444 },
      { from: Math.PI / 4, least: null, most: null },
      { from: Math.PI, least: 4 * 0.514444, most: 8 * 0.514444 },
    ],
    UNITS,
  );
  expect(said).toBe('from N 0 kn to 14 kn; from NE in no wind that was tried; from S 4 kn to 8 kn');
});
