import { rangeText } from './spreads';

const knots = (mps: number) => `${mps.toFixed(1)} kn`;
const degrees = (value: number) => `${Math.abs(value)}°`;

it.each([
  [{ least: 2.1, most: 2.6 }, '2.1–2.6 kn'],
  [{ least: 2.04, most: 2.01 }, 'hardly differs'],
  [{ least: 2.1, most: Infinity }, '2.1 kn or never'],
  [{ least: Infinity, most: Infinity }, ''],
])('a range %j reads %s', (range, words) => {
  expect(rangeText(range, knots)).toBe(words);
});

it('writes figures that have a side by their size, and says where both sides are possible', () => {
  expect(rangeText({ least: 5, most: 20 }, degrees)).toBe('5–20°');
  expect(rangeText({ least: -20, most: -5 }, degrees)).toBe('5–20°');
  expect(rangeText({ least: -3, most: 20 }, degrees)).toBe('3° one way to 20° the other');
});

it('does not join what is in different units, or in words', () => {
  const mixed = (value: number) => (value > 100 ? '120 m' : '0.4 L');
  expect(rangeText({ least: 1, most: 200 }, mixed)).toBe('0.4 L to 120 m');
  const words = (value: number) => (value === 0 ? 'none' : `${value} kn`);
  expect(rangeText({ least: 0, most: 9 }, words)).toBe('none to 9 kn');
  expect(rangeText({ least: 9, most: Infinity }, words, null)).toBe('9 kn and more');
  expect(rangeText({ least: 0, most: 0 }, words)).toBe('');
});
