import { cos, sin } from '@/core/math';
import { degrees } from '@/document/fields';
import type { LineDocument } from '@/document/rigging';
import type { CueDocument, OrderDocument } from '@/document/plan';
import { hardest, reversed } from './arrive';
import {
  step,
  call,
  compassOf,
  tunable,
  engine,
  planOf,
  steer,
  tenth,
  turnedOr,
  wheel,
  template,
  type PlanTemplate,
} from '../template';
import { bestLead, leadsFrom, letGo, lineOf, pivotFenders, sideOf } from './line-leads';
import { headingOf, lieOf, lockOf, type Setting } from '../setting';
import { refusal, type Refusal } from '../refusals';

/** A line from a cleat on the berth's side to the bollard that leads nearest to a wish, m ahead; fast as it begins. */
export function fastLine(
  setting: Setting,
  name: string,
  at: 'bow' | 'midship' | 'quarter',
  wish: number,
  side = sideOf(setting),
): LineDocument | null {
  const cleat = `${side} ${at} cleat`;
  const lead = bestLead(leadsFrom(setting, setting.input.start, cleat), wish);
  return lead && lineOf(name, cleat, lead.length, lead.name, false);
}

export const haul = (line: string, length_m?: number): OrderDocument => ({
  do: 'tend',
  after_s: 0,
  line,
  how: 'haul',
  turns: 1.5,
  winch: false,
  ...(length_m === undefined ? {} : { length_m: tenth(length_m) }),
});

export const fast = (line: string, after_s = 0): OrderDocument => ({
  do: 'tend',
  after_s,
  line,
  how: 'fast',
  turns: 1.5,
  winch: false,
});

/** A stern line that leads in rather than along: the nearest bollard to the quarter, hardly ahead or astern of it. */
function sternLine(setting: Setting): LineDocument | null {
  const cleat = `${sideOf(setting)} quarter cleat`;
  const near = leadsFrom(setting, setting.input.start, cleat).filter(
    ({ ahead }) => Math.abs(ahead) < 0.25 * setting.length,
  );
  if (near.length === 0) return null;
  const lead = near.reduce((a, b) => (b.length < a.length ? b : a));
  return lineOf('stern line', cleat, lead.length, lead.name, false);
}

export const noSternLine = (setting: Setting): Refusal | null =>
  sternLine(setting) ? null : refusal('no bollard abreast of the quarter');

/**
 * Bow line off and the stern line hauled in by hand until the boat's bow points out; then the stern line let go, and either
 * ahead and away at that angle, or astern with the walk and the wheel taking its stern off.
 */
export function sternByHand(setting: Setting, way: 'ahead' | 'astern'): PlanTemplate {
  const off = setting.off ?? 1;
  const along = degrees(setting.input.start.heading);
  const line = sternLine(setting)!;
  // As long as it was made to lie: half as much again as it has to go.
  const span = line.length_m / 1.5;
  const doubled = { ...line, doubled: true, length_m: 2 * line.length_m };
  return template({
    parameters: {
      angle: tunable(12, 4, 2, 45),
      longest: tunable(20, 6, 6, 40),
      throttle: tunable(0.2, 0.1, 0, hardest(setting)),
      steered: tunable(20, 6, -10, 60),
      run: tunable(12, 4, 3, 45),
      more: tunable(4, 3, 1, 25),
      pulled: tunable(0.5 * span, 0.2 * span, 0.2 * span, span),
    },
    write: ({ angle, longest, throttle, steered, run, more, pulled }) =>
      planOf(
        [
          step(
            'haul',
            'stern line hauled in, bow swings out',
            { is: 'start' },
            [
              call('bow line gone; haul the stern in'),
              wheel(0),
              engine('neutral'),
              haul('stern line', Math.max(0.4, pulled)),
            ],
            'bow line on again',
            5,
          ),
          step(
            'let-go',
            'let go aft',
            turnedOr(off * angle, longest),
            [letGo('stern line')],
            'hold on to it: the boat lies on one line',
          ),
          way === 'ahead'
            ? step(
                'away',
                'line home: ahead and out',
                { is: 'line', line: 'stern line', state: 'off' },
                [steer(along + off * Math.abs(steered)), engine('ahead', throttle, 0.5)],
                'neutral, let the boat lie back on its fenders',
                60,
              )
            : step(
                'away',
                'line home: look astern, astern',
                { is: 'line', line: 'stern line', state: 'off' },
                [steer(compassOf(along - off * steered)), engine('astern', throttle, 0.5)],
                'ahead, back alongside on the fenders',
                60,
              ),
          step(
            'off',
            way === 'ahead' ? 'steady along the way out' : 'ahead, take the way off',
            { is: 'after', time_s: tenth(run) },
            way === 'ahead'
              ? [steer(along + 0.4 * off * Math.abs(steered)), engine('ahead')]
              : [wheel(0), ...reversed(setting, 'ahead', 0.3)],
            'neutral, look round',
          ),
        ],
        { is: 'after', time_s: tenth(more) },
        60,
        [doubled],
        pivotFenders(setting, 'stern'),
      ),
  });
}

/** How far along its heading the boat's berth lies from where it begins, m; null unless it begins still, lying so. */
export function alongTheBerth(setting: Setting): number | null {
  const { input, lie } = setting;
  if (!lie || input.start.speed > 0.3) return null;
  if (Math.abs(sin((lie.heading - input.start.heading) / 2)) > 0.15) return null;
  const point = lie.point;
  const s = sin(lie.heading);
  const c = cos(lie.heading);
  const east = lie.mark.x - input.start.x;
  const north = lie.mark.y - input.start.y;
  const across = east * c - north * s - point.y;
  return Math.abs(across) < 2.5 ? east * s + north * c - point.x : null;
}

const STAYS_LENGTHS = 0.2;

function holdingSpring(setting: Setting): LineDocument | null {
  const { side } = lieOf(setting);
  const { length } = setting;
  return (
    fastLine(setting, 'midship spring', 'midship', -0.4 * length, side) ??
    fastLine(setting, 'bow spring', 'bow', -0.5 * length, side)
  );
}

export function noHolding(setting: Setting): Refusal | null {
  const along = alongTheBerth(setting);
  if (along === null || Math.abs(along) > STAYS_LENGTHS * setting.length)
    return refusal('not staying alongside');
  return holdingSpring(setting) ? null : refusal('no bollard for a spring aft');
}

/** Idle ahead on a spring led aft, with as much wheel as keeps the boat along the berth while nothing else holds it. */
export function heldOnASpring(setting: Setting): PlanTemplate {
  const spring = holdingSpring(setting)!;
  const { toward, heading } = lieOf(setting);
  const lock = lockOf(setting);
  return template({
    parameters: {
      share: tunable(0.4, 0.2, -0.6, 1),
      throttle: tunable(0, 0.06, 0, hardest(setting)),
      seconds: tunable(45, 5, 30, 60),
    },
    write: ({ share, throttle, seconds }) =>
      planOf(
        [
          step(
            'on-the-spring',
            'idle ahead on the spring',
            { is: 'start' },
            [
              call('everything else off; hands clear of the spring'),
              wheel(-toward * lock * share),
              engine('ahead', throttle, setting.hardOver),
            ],
            'neutral, and the other lines on again',
            5,
          ),
          step(
            'look',
            'is the boat lying along?',
            { is: 'after', time_s: 20 },
            [call(`heading ${compassOf(headingOf(heading))}, spring tight and still`)],
            'neutral, and the other lines on again',
          ),
        ],
        { is: 'after', time_s: tenth(seconds) },
        120,
        [spring],
      ),
  });
}

/** Warped no further than a line reaches at once, nor so little that it is not worth one. */
const LEAST_LENGTHS = 0.15;
const MOST_LENGTHS = 0.8;

function warpLines(setting: Setting) {
  const along = alongTheBerth(setting) ?? 0;
  const way = along < 0 ? -1 : 1;
  const { side } = lieOf(setting);
  const { length } = setting;
  const warp = fastLine(
    setting,
    'warp',
    way > 0 ? 'bow' : 'quarter',
    way * (Math.abs(along) + 0.15 * length),
    side,
  );
  const check = fastLine(
    setting,
    'check line',
    way > 0 ? 'quarter' : 'bow',
    -way * 0.15 * length,
    side,
  );
  return { along, way, warp, check };
}

export function noWarping(setting: Setting): Refusal | null {
  const along = alongTheBerth(setting);
  const { length } = setting;
  if (along === null || Math.abs(along) < LEAST_LENGTHS * length)
    return refusal('not shifting along');
  if (Math.abs(along) > MOST_LENGTHS * length) return refusal('further than a line reaches');
  const { warp, check } = warpLines(setting);
  return warp && check ? null : refusal('no bollards to warp by');
}

/** Shifted along by hand: one line hauled, the other held on a turn, eased with the boat and made fast to stop it. */
export function warped(setting: Setting): PlanTemplate {
  const { along, warp, check } = warpLines(setting);
  const far = Math.abs(along);
  const checkLong = { ...check!, length_m: Math.ceil(check!.length_m + 1.3 * far + 3) };
  return template({
    parameters: {
      pulled: tunable(0.6 * far, 0.15 * far, 0.1 * far, far),
      seconds: tunable(far / 0.4, 4, 3, 90),
      rest: tunable(8, 4, 4, 30),
    },
    write: ({ pulled, seconds, rest }) => {
      const slack: OrderDocument = {
        do: 'tend',
        after_s: 0,
        line: 'check line',
        how: 'ease',
        turns: 1.5,
        winch: false,
        length_m: tenth(1.2 * far + 2),
      };
      const short = Math.max(0.4, warp!.length_m / 1.5 - pulled);
      const eased: CueDocument = { is: 'after', time_s: tenth(Math.max(1, seconds)) };
      return planOf(
        [
          step(
            'haul',
            'haul on the warp, ease the check line',
            { is: 'start' },
            [engine('neutral'), wheel(0), slack, haul('warp', short)],
            'hold the check line: the boat stops',
            5,
          ),
          step(
            'check',
            'stop the boat on the check line',
            eased,
            [fast('check line'), fast('warp')],
            'a turn more',
            100,
          ),
        ],
        { is: 'after', time_s: tenth(rest) },
        60,
        [warp!, checkLong],
      );
    },
  });
}
