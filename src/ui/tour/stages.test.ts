import { stageAfter, STAGES, type Seen, type Stage } from './stages';

const NOTHING: Seen = { played: 0, windChanged: false, reached: true, driving: false };
const after = (stage: Stage, seen: Partial<Seen> = {}) =>
  stageAfter(stage, { ...NOTHING, ...seen });

it('waits at each stage for what it asks for', () => {
  for (const stage of STAGES.filter((one) => one !== 'mend')) expect(after(stage)).toBe(stage);
  expect(after('mend', { reached: false })).toBe('mend');
  expect(after('mend', { reached: null })).toBe('mend');
});

it('goes on once that has come', () => {
  expect(after('look', { played: 3 })).toBe('look');
  expect(after('look', { played: 5 })).toBe('wind');
  expect(after('wind', { reached: false })).toBe('wind');
  expect(after('wind', { windChanged: true })).toBe('wind');
  expect(after('wind', { windChanged: true, reached: null })).toBe('wind');
  expect(after('wind', { windChanged: true, reached: false })).toBe('mend');
  expect(after('mend', { reached: true })).toBe('drive');
  expect(after('drive', { driving: true })).toBe('end');
});
