import { DateTime } from 'luxon';
import { failure, instantOf, success, type Result, type TideDocument } from '@/document';

type Waters = Extract<TideDocument['level'], { by: 'table' }>['waters'];
type Hours = NonNullable<TideDocument['current']>['hours'];

const DAY = 'yyyy-MM-dd';
const FORMATS = [`${DAY} HH:mm`, `${DAY} H:mm`, 'd.M.yyyy H:mm'];

const lines = (text: string) =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);

/** High and low waters as lines in the place's own time: "2026-05-04 06:30 4.1". */
export function writeWaters(waters: Waters, zone: string): string {
  return waters
    .map(({ at, level_m }) => {
      const time = DateTime.fromISO(at, { zone }).toFormat(`${DAY} HH:mm`);
      return `${time} ${level_m}`;
    })
    .join('\n');
}

export function readWaters(text: string, zone: string): Result<Waters> {
  const waters: Waters = [];
  for (const [i, line] of lines(text).entries()) {
    const [day, time, level, ...rest] = line.split(/[\s;]+/);
    const path = `line ${i + 1}`;
    const moments = FORMATS.map((format) =>
      DateTime.fromFormat(`${day} ${time}`, format, { zone }),
    );
    const moment = moments.find(({ isValid }) => isValid);
    const level_m = Number(level?.replace(',', '.'));
    if (!moment || level === undefined || !Number.isFinite(level_m) || rest.length > 0)
      return failure({
        path,
        message: `${path}: give day, time and level, as '2026-05-04 06:30 4.1'`,
      });
    waters.push({ at: instantOf(moment.toSeconds()), level_m });
  }
  return success(waters);
}

/** Hours of a current as lines: "-3 085 0.6". */
export function writeHours(current: TideDocument['current']): string {
  return (current?.hours ?? [])
    .map(({ hour, set_deg, rate_mps }) => `${hour} ${set_deg} ${rate_mps}`)
    .join('\n');
}

export function readHours(text: string): Result<Hours> {
  const hours: Hours = [];
  for (const [i, line] of lines(text).entries()) {
    const figures = line
      .split(/[\s;]+/)
      .map((one) => Number(one.replace(',', '.').replace('−', '-')));
    const [hour, set_deg, rate_mps] = figures;
    if (figures.length !== 3 || figures.some((one) => !Number.isFinite(one)))
      return failure({
        path: `line ${i + 1}`,
        message: `line ${i + 1}: give three figures, as '-3 085 0.6'`,
      });
    hours.push({ hour: hour!, set_deg: set_deg!, rate_mps: rate_mps! });
  }
  return success(hours);
}
