import { degrees } from '@/document/fields';
import { reversed } from './arrive';
import {
  step,
  call,
  tunable,
  endOnLine,
  engine,
  near,
  planOf,
  steer,
  wheel,
  template,
  type PlanTemplate,
} from '../template';
import { handAt, lineOf } from './line-leads';
import { lieOf, type Setting } from '../setting';
import { refusal, type Refusal } from '../refusals';

/** A line is got through the ring of a buoy that is no further off, m. */
const REACH_M = 2;
const LINE = 'mooring line';

const cleatOf = ({ boat }: Setting) =>
  boat.points.find(({ name }) => name === 'bow') ??
  boat.points.find(({ x }) => x > 0) ??
  boat.points[0]!;

export function noBuoy(setting: Setting): Refusal | null {
  const { mark, point } = lieOf(setting);
  if (!setting.buoys.includes(mark.name)) return refusal('no buoy');
  return point.x > 0.3 * setting.length ? null : refusal('not bow at the buoy');
}

/**
 * Up to the buoy against what pushes most, slowly, stopped with it at the boat's bow, and the line through its ring at once; then
 * it drops back on it.
 */
export function pickedUp(setting: Setting): PlanTemplate {
  const lie = lieOf(setting);
  const { length, firm, boat } = setting;
  const mark = lie.mark.name;
  const cleat = cleatOf(setting).name;
  const hand = handAt(setting, cleat);
  const by = hand === undefined ? {} : { by: hand };
  const bearing = degrees(lie.bearing);
  // Where the boat turns up to it: abreast of it and down-wind, a little further than it needs to come up straight.
  const furthest = Math.max(length, 0.85 * lie.distance);
  return template({
    parameters: {
      heading: tunable(bearing, 4, bearing - 40, bearing + 40),
      turn: tunable(Math.min(furthest, 3 * length), 0.4 * length, 0.8 * length, furthest),
      carry: tunable(1.2 * length, 0.2 * length, 0.3 * length, 3 * length),
      stop: tunable(REACH_M, 0.6, 0.8, 6),
      burst: tunable(0.5 * firm, 0.1, 0.02, firm),
    },
    write: ({ heading, turn, carry, stop, burst }) => ({
      ...planOf(
        [
          step(
            'approach',
            'idle ahead, to lee of the buoy',
            { is: 'start' },
            [
              call('boat hook and line forward, outside everything'),
              steer(heading),
              engine('ahead'),
            ],
            'bear away, round again',
          ),
          step(
            'up',
            'up to the buoy',
            near('bow', mark, turn),
            [{ do: 'steerFor', after_s: 0, mark, first: 'bow' }, call('distance, falling')],
            'bear away, round again',
            90,
          ),
          step(
            'carry',
            'neutral, carry',
            { is: 'any', of: [near('bow', mark, carry), { is: 'after', time_s: 60 }] },
            [engine('neutral')],
            'bear away, round again',
            90,
          ),
          step(
            'stop',
            'stop the boat, line through the ring',
            {
              is: 'any',
              of: [near('bow', mark, stop), { is: 'stopped' }, { is: 'after', time_s: 40 }],
            },
            [
              wheel(0),
              ...reversed(setting, 'astern', burst),
              { do: 'pass', after_s: 0, line: LINE, to: mark, how: 'drop', ...by, length_m: 3 },
            ],
            'neutral; let the boat drop off, round again',
            60,
          ),
          step(
            'lie-to-it',
            'neutral, drop back on it',
            {
              is: 'any',
              of: [{ is: 'sternway' }, { is: 'stopped' }, { is: 'after', time_s: 12 }],
            },
            [engine('neutral')],
            'missed: let the boat drop off, round again',
            60,
          ),
        ],
        endOnLine(LINE, 'fast', 40).cue,
      ),
      lines: [lineOf(LINE, cleat, Math.max(4, 0.5 * boat.hull.beam), null, true)],
    }),
  });
}
