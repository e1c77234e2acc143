import { DAY, NIGHT, type Palette } from './palette';

function luminance(hex: string): number {
  const part = (from: number) => {
    const c = parseInt(hex.slice(from, from + 2), 16) / 255;
    return c <= 0.03928 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * part(1) + 0.7152 * part(3) + 0.0722 * part(5);
}

function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light! + 0.05) / (dark! + 0.05);
}

const PAIRS: readonly [keyof Palette, keyof Palette][] = [
  ['ink', 'paper'],
  ['quiet', 'paper'],
  ['plan', 'paper'],
  ['hurt', 'paper'],
  ['onPlan', 'plan'],
  ['ink', 'water'],
  ['quiet', 'water'],
];

// Words on the water may also fall on land, pontoons and moored boats.
const OVER_PLACE: readonly [keyof Palette, keyof Palette][] = [['ink', 'land']];

it.each([
  ['day', DAY],
  ['night', NIGHT],
])('words are readable by %s (AA, 4.5 to 1)', (_, palette) => {
  for (const [text, ground] of [...PAIRS, ...OVER_PLACE]) {
    expect([text, ground, contrast(palette[text], palette[ground]) >= 4.5]).toEqual([
      text,
      ground,
      true,
    ]);
  }
});

it('night is dim and low in blue', () => {
  for (const name of ['paper', 'water', 'land', 'float'] as const) {
    expect(luminance(NIGHT[name])).toBeLessThan(0.04);
  }
  for (const colour of Object.values(NIGHT) as string[]) {
    const red = parseInt(colour.slice(1, 3), 16);
    const blue = parseInt(colour.slice(5, 7), 16);
    expect(blue).toBeLessThanOrEqual(red);
  }
});
