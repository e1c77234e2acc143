import { readHours, readWaters, writeHours, writeWaters } from './tide-text';

it('reads high and low waters in the place’s own time, over a change of the clocks, and writes them back', () => {
  // Clocks go forward at 01:00 on the 29th: 00:40 is in winter time, 06:55 in summer time.
  const text = '2026-03-29 00:40 4.1\n2026-03-29 06:55 0.9';
  const read = readWaters(text, 'WET');
  if (!read.ok) throw new Error(read.problems[0]!.message);
  expect(read.value).toEqual([
    { at: '2026-03-29T00:40:00Z', level_m: 4.1 },
    { at: '2026-03-29T05:55:00Z', level_m: 0.9 },
  ]);
  expect(writeWaters(read.value, 'WET')).toBe(text);
});

it.each([
  '2026-03-29',
  '29th of March 6:00 4',
  '2026-13-01 06:00 4',
  '2026-03-29 06:00 high',
  '2026-03-29 06:00 4 5',
])('says which line is wrong: %s', (line) => {
  const read = readWaters(`2026-03-28 06:00 1\n${line}`, 'WET');
  expect(read.ok ? '' : read.problems[0]!.message).toMatch(/^line 2: give day, time and level/);
});

it('reads the hours of a current, with either minus, and writes them back', () => {
  const read = readHours('−3 085 0,6\n\n0 0 0');
  if (!read.ok) throw new Error(read.problems[0]!.message);
  expect(read.value).toEqual([
    { hour: -3, set_deg: 85, rate_mps: 0.6 },
    { hour: 0, set_deg: 0, rate_mps: 0 },
  ]);
  expect(writeHours({ range_m: 3, hours: read.value })).toBe('-3 85 0.6\n0 0 0');
  expect(readHours('1 2')).toMatchObject({ ok: false });
  expect(readHours('')).toEqual({ ok: true, value: [] });
});
