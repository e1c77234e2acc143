import type { Moment, WayOutGrade } from '@/core/search';
import { bandRuns } from './way-out-runs';

const moment = (time: number, grade: WayOutGrade): Moment => ({
  time,
  wayOut: { time, grade, by: null, spare: null },
  timeToContact: null,
});

it('joins moments of one grade and gives each the time half-way to its neighbours', () => {
  const moments = [
    moment(0, 'open'),
    moment(2, 'open'),
    moment(4, 'luck'),
    moment(6, 'none'),
    moment(10, 'none'),
  ];
  expect(bandRuns(moments, 10)).toEqual([
    { from: 0, to: 3, grade: 'open' },
    { from: 3, to: 5, grade: 'luck' },
    { from: 5, to: 10, grade: 'none' },
  ]);
  expect(bandRuns([], 10)).toEqual([]);
  expect(bandRuns([moment(3, 'luck')], 9)).toEqual([{ from: 0, to: 9, grade: 'luck' }]);
});
