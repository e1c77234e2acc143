import { max, min } from 'd3-array';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { area, curveMonotoneX, line } from 'd3-shape';
import type { Day, DayHour } from '@/document';
import type { DayRun } from '@/planner';

export const WIDTH = 1010;
export const LEFT = 118;
export const RIGHT = 24;

/** Rows of the sheet from the top: where each begins and how high it is, px. */
export const ROWS = {
  wind: { top: 26, height: 104 },
  current: { top: 144, height: 60 },
  level: { top: 218, height: 82 },
  room: { top: 314, height: 70 },
  goes: { top: 398, height: 26 },
} as const;
export const HEIGHT = 432;

type Row = keyof typeof ROWS;

export interface DayChart {
  readonly x: ScaleLinear<number, number>;
  readonly y: Readonly<Record<Exclude<Row, 'goes'>, ScaleLinear<number, number>>>;
  readonly paths: Readonly<
    Record<'wind' | 'gusts' | 'current' | 'level' | 'under' | 'over', string>
  >;
}

const scaleOf = (row: Row, least: number, most: number) =>
  scaleLinear(
    [least, most > least ? most : least + 1],
    [ROWS[row].top + ROWS[row].height, ROWS[row].top],
  ).nice(3);

/** Curves of a day, in the units they are told in. `speed` and `length` turn m/s and m into those. */
export function dayChart(
  day: Day,
  runs: readonly DayRun[],
  speed: (mps: number) => number,
  length: (m: number) => number,
): DayChart {
  const x = scaleLinear([day.from, day.to], [LEFT, WIDTH - RIGHT]);
  const hours = day.hours.filter(({ at }) => at >= day.from && at <= day.to);
  const levels = hours.flatMap(({ level_m }) => (level_m === null ? [] : [length(level_m)]));
  const rooms = runs.flatMap(({ under, over }) =>
    [under, over].flatMap((m) => (m === null ? [] : [length(m)])),
  );
  const y = {
    wind: scaleOf('wind', 0, speed(max(hours, (h) => h.wind?.gust_mps ?? 0) ?? 0)),
    current: scaleOf('current', 0, speed(max(hours, (h) => h.current?.speed_mps ?? 0) ?? 0)),
    level: scaleOf('level', Math.min(0, min(levels) ?? 0), max(levels) ?? 1),
    room: scaleOf('room', Math.min(0, min(rooms) ?? 0), max(rooms) ?? 1),
  };
  const curve = (of: (hour: DayHour) => number | null, scale: ScaleLinear<number, number>) =>
    line<DayHour>()
      .defined((hour) => of(hour) !== null)
      .x((hour) => x(hour.at))
      .y((hour) => scale(of(hour)!))
      .curve(curveMonotoneX)(hours) ?? '';
  const roomLine = (of: (run: DayRun) => number | null) =>
    line<DayRun>()
      .defined((run) => of(run) !== null)
      .x((run) => x(run.at))
      .y((run) => y.room(length(of(run)!)))([...runs]) ?? '';
  const gusts = area<DayHour>()
    .defined(({ wind }) => wind !== null)
    .x((hour) => x(hour.at))
    .y0((hour) => y.wind(speed(hour.wind!.speed_mps)))
    .y1((hour) => y.wind(speed(hour.wind!.gust_mps)))
    .curve(curveMonotoneX);
  return {
    x,
    y,
    paths: {
      wind: curve(({ wind }) => wind && speed(wind.speed_mps), y.wind),
      gusts: gusts(hours) ?? '',
      current: curve(({ current }) => current && speed(current.speed_mps), y.current),
      level: curve(({ level_m }) => (level_m === null ? null : length(level_m)), y.level),
      under: roomLine(({ under }) => under),
      over: roomLine(({ over }) => over),
    },
  };
}
