import { matching, type StartEntry } from './entries';

const entry = (id: string, rest: Partial<StartEntry> = {}): StartEntry => ({
  id,
  title: id,
  note: '',
  boat: '',
  place: '',
  openedAt: null,
  wind: 4,
  job: 'arrive',
  last: null,
  unreadable: false,
  ...rest,
});

describe('finding a manoeuvre', () => {
  const all = [
    entry('a', { title: 'Out backwards', boat: 'Flotsam', place: 'Stilt Pontoon' }),
    entry('b', {
      title: 'Round in the basin',
      note: 'Twelve metres of boat',
      boat: 'Dunlin Hatch',
    }),
    entry('c', { title: 'Café quay', boat: 'Flotsam', place: 'Tallow Quay' }),
  ];
  const ids = (sought: string) => matching(all, sought).map(({ id }) => id);

  it('is by every word, wherever it stands, in whatever case', () => {
    expect(ids('flotsam')).toEqual(['a', 'c']);
    expect(ids('  TALLOW  flot ')).toEqual(['c']);
    expect(ids('twelve basin')).toEqual(['b']);
    expect(ids('flotsam basin')).toEqual([]);
  });

  it('asks for no accents, and leaves all when nothing is sought', () => {
    expect(ids('cafe')).toEqual(['c']);
    expect(ids('café')).toEqual(['c']);
    expect(ids(' ')).toEqual(['a', 'b', 'c']);
  });
});
