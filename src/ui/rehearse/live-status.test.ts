import { isUnderWay, mayFollow, type LiveStatus } from './live-status';

const ALL: readonly LiveStatus[] = ['opening', 'ready', 'running', 'paused', 'over', 'refused'];
const after = (status: LiveStatus) => ALL.filter((next) => mayFollow(status, next));

it('a drive can be begun again from wherever it is, and what is over or refused goes on no other way', () => {
  for (const status of ALL) expect(mayFollow(status, 'opening')).toBe(true);
  expect(after('over')).toEqual(['opening']);
  expect(after('refused')).toEqual(['opening']);
});

it('it runs only from where it was opened or stood still, and is over once', () => {
  expect(ALL.filter((status) => mayFollow(status, 'running'))).toEqual(['ready', 'paused']);
  expect(ALL.filter((status) => mayFollow(status, 'over'))).toEqual([
    'opening',
    'running',
    'paused',
  ]);
  expect(ALL.filter(isUnderWay)).toEqual(['running', 'paused']);
});
