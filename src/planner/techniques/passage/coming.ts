import type { SitedLock } from '@/core/locks';
import { degrees } from '@/document/fields';
import { nameAboard } from '@/document/others';
import type { StepDocument, CueDocument, OrderDocument } from '@/document/plan';
import { step, compassOf, near, tenth } from '../../template';
import { letGo, offOf } from '../line-leads';
import { BACKS, COMES, overAt, type Entry } from './entry';
import { leadsOf, type LockNeighbour, type WayThrough } from './neighbour';
import { WAITS_WITHIN_S } from './landing';
import type { Setting } from '../../setting';

// Another boat comes in by the gates that stand open, before it or after it.

/** The steps the neighbour comes in by, until its lines are on their way; the first at a cue, with what is done beside. */
export function comingIn(
  setting: Setting,
  sited: SitedLock,
  neighbour: LockNeighbour,
  way: WayThrough,
  cue: CueDocument,
  beside: OrderDocument[],
  { straightens, stop, stops, heading }: Entry,
): StepDocument[] {
  const { other, comes } = neighbour;
  if (!comes) return [];
  const { name } = other;
  const gates = `${sited.name}, ${way.to} gates`;
  const entered = `${sited.name}, ${way.from} gates`;
  const bow = nameAboard(other, 'bow');
  const along = compassOf(degrees(way.along));
  const under = { do: 'other', after_s: 0, boat: name } as const;
  const passes = leadsOf(setting, sited, neighbour, way.going).map(
    ({ line, to }): OrderDocument => ({ do: 'pass', after_s: 1, line, to, how: 'throw' }),
  );
  const hold = `tell ${name} to hold off`;
  const slips = comes.waits.map(({ name: line }) => letGo(line, 0, undefined));
  return [
    ...(slips.length > 0
      ? [
          step(
            'her-slip',
            `${name} slips from the landing`,
            cue,
            [...beside, ...slips],
            hold,
            WAITS_WITHIN_S,
          ),
        ]
      : []),
    step(
      'her-in',
      comes.first ? `${name} goes in first, dead slow` : `${name} comes in beside, dead slow`,
      slips.length > 0 ? offOf(comes.waits) : cue,
      [
        ...(slips.length > 0 ? [] : beside),
        { ...under, gear: 'ahead', throttle: COMES, mark: entered },
      ],
      hold,
      120,
    ),
    step(
      'her-over',
      `${name} is in by the gates: over to its wall`,
      near(bow, entered, overAt(other.boat.hull.length_m)),
      [{ ...under, gear: 'ahead', throttle: COMES, mark: comes.aim }],
      hold,
      240,
    ),
    step(
      'her-wall',
      `${name} straightens up along its wall`,
      near(bow, gates, straightens),
      [{ ...under, gear: 'ahead', throttle: COMES, heading_deg: compassOf(degrees(heading)) }],
      hold,
      180,
    ),
    step(
      'her-stop',
      `${name} goes astern, stops`,
      near(bow, gates, stop),
      [{ ...under, gear: 'astern', throttle: BACKS }],
      hold,
    ),
    step(
      'her-lines-on',
      `${name} stopped: its lines`,
      {
        is: 'any',
        of: [
          { is: 'stopped', boat: name },
          { is: 'after', time_s: tenth(stops) },
        ],
      },
      [{ ...under, gear: 'neutral', throttle: 0, heading_deg: along }, ...passes],
      'fend off with fenders, not with hands',
    ),
  ];
}
