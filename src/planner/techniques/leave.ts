import { hardest, reversed, still } from './arrive';
import { degrees } from '@/document/fields';
import {
  alongOut,
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
import { lockOf, type Setting } from '../setting';
import { pushed } from './sideways';
import type { OrderDocument } from '@/document/plan';

const LINES = call('lines gone in their order, the one that holds the boat last; hands inboard');
const BACK = 'lines on again while a step still reaches';

/** Seconds to wait, angle off, throttle, seconds out at it and seconds more. */
export const droppingOff = (setting: Setting) => ({
  wait: tunable(4, 3, 0.5, 40),
  angle: tunable(15, 5, 2, 60),
  throttle: tunable(0, 0.1, 0, hardest(setting)),
  out: tunable(12, 4, 3, 45),
  more: tunable(5, 4, 1, 30),
});

/** Let go, let the wind take the boat off, then ahead along the berth and out. */
export function droppedOff(setting: Setting): PlanTemplate {
  const off = setting.off ?? 1;
  const along = degrees(setting.input.start.heading);
  return template({
    parameters: droppingOff(setting),
    write: ({ wait, angle, throttle, out, more }) =>
      planOf(
        [
          step(
            'let-go',
            'let go, let the boat drop off',
            { is: 'start' },
            [LINES, wheel(0), engine('neutral')],
            BACK,
            5,
          ),
          step(
            'ahead',
            'ahead, out at an angle',
            { is: 'after', time_s: tenth(wait) },
            [steer(along + off * angle), engine('ahead', throttle, 0.3)],
            'neutral, let the wind take the boat further off',
          ),
          alongOut(out, along + 0.4 * off * angle),
        ],
        { is: 'after', time_s: tenth(more) },
      ),
  });
}

/** Bow pointed a little off into the current, just enough ahead to hold against it, so that it carries the boat off sideways. */
export function glidedOff(setting: Setting): PlanTemplate {
  const off = setting.off ?? 1;
  const along = degrees(setting.input.start.heading);
  return template({
    parameters: {
      angle: tunable(12, 4, 2, 40),
      throttle: tunable(0, 0.05, 0, 0.6 * hardest(setting)),
      out: tunable(20, 6, 5, 70),
      less: tunable(3, 3, 0, 25),
      more: tunable(6, 4, 1, 25),
    },
    write: ({ angle, throttle, out, less, more }) =>
      planOf(
        [
          step(
            'bow-off',
            'let go forward, bow off into the current',
            { is: 'start' },
            [LINES, steer(along + off * angle), engine('ahead', throttle, 0.5)],
            BACK,
            5,
          ),
          step(
            'glide',
            'glide out, held on the current',
            turnedOr(0.8 * off * angle, 25),
            [steer(along + off * angle), call('watch a mark abeam: the boat stays abreast of it')],
            'take the angle off, let the boat set back',
          ),
          step(
            'straight',
            'off and clear: straight into the current',
            { is: 'after', time_s: tenth(out) },
            [steer(along + off * Math.min(less, angle)), engine('ahead', throttle)],
            'neutral: the current takes the boat back clear of the berth',
          ),
        ],
        { is: 'after', time_s: tenth(more) },
      ),
  });
}

/** What throws the boat's stern off: a leg turned, shafts opposed, or a kick ahead against the wheel. */
function sternOut(setting: Setting, throttle: number): OrderDocument[] {
  const { steered, pair, hardOver } = setting;
  const off = setting.off ?? 1;
  const lock = lockOf(setting);
  if (steered) return [wheel(off * lock), engine('astern', throttle, hardOver)];
  if (pair) {
    const [ahead, astern] = off > 0 ? [pair.starboard, pair.port] : [pair.port, pair.starboard];
    return [
      wheel(-off * lock),
      engine('ahead', throttle, hardOver, ahead),
      engine('astern', throttle, hardOver, astern),
    ];
  }
  return [wheel(-off * lock), engine('ahead', throttle, hardOver)];
}

/** Stern thrown off first, then astern out, then ahead away. */
export function sternFirst(setting: Setting): PlanTemplate {
  const off = setting.off ?? 1;
  const along = degrees(setting.input.start.heading);
  return template({
    parameters: {
      kick: tunable(0.4 * setting.firm, 0.1, 0, hardest(setting)),
      angle: tunable(18, 5, 4, 60),
      longest: tunable(6, 2, 1, 15),
      back: tunable(0.6 * setting.firm, 0.1, 0, hardest(setting)),
      astern: tunable(10, 4, 2, 40),
      more: tunable(4, 2, 1, 20),
    },
    write: ({ kick, angle, longest, back, astern, more }) =>
      planOf(
        [
          step(
            'stern-out',
            'let go, stern out',
            { is: 'start' },
            [LINES, ...sternOut(setting, kick)],
            BACK,
            5,
          ),
          step(
            'astern',
            'look astern, astern out',
            turnedOr(-off * angle, longest),
            [steer(along - off * angle), ...reversed(setting, 'astern', back)],
            'neutral, let the boat lie off',
          ),
          step(
            'off',
            'neutral, off and clear',
            { is: 'after', time_s: tenth(astern) },
            [engine('neutral'), wheel(0)],
            'ahead idle, out along the fairway',
          ),
        ],
        { is: 'after', time_s: tenth(more) },
      ),
  });
}

/** Straight astern out of a slip, steering as soon as the boat answers. */
export function asternOut(setting: Setting): PlanTemplate {
  const lane = degrees(setting.input.start.heading);
  return template({
    parameters: {
      heading: tunable(lane, 3, lane - 25, lane + 25),
      back: tunable(0.4 * setting.firm, 0.1, 0, hardest(setting)),
      seconds: tunable(12, 4, 3, 40),
      stop: tunable(0.3 * setting.firm, 0.1, 0, hardest(setting)),
      burst: tunable(2, 1, 0.5, 10),
      more: tunable(2, 1, 0.5, 12),
    },
    write: ({ heading, back, seconds, stop, burst, more }) =>
      planOf(
        [
          step(
            'astern',
            'look astern, astern out',
            { is: 'start' },
            [LINES, steer(compassOf(heading)), engine('astern', back, 0.5)],
            'ahead, into the slip again',
            5,
          ),
          step(
            'clear',
            'ahead, take the way off',
            { is: 'after', time_s: tenth(seconds) },
            [wheel(0), ...reversed(setting, 'ahead', stop)],
            'neutral, look round',
          ),
          step(
            'neutral',
            'neutral in the aisle',
            { is: 'after', time_s: tenth(burst + setting.pause) },
            [engine('neutral')],
            'ahead or astern along the aisle',
          ),
        ],
        { is: 'after', time_s: tenth(more) },
      ),
  });
}

/** Bow pushed off by the thruster, then ahead and out. */
export function bowFirst(setting: Setting): PlanTemplate {
  const off = setting.off ?? 1;
  const along = degrees(setting.input.start.heading);
  return template({
    parameters: {
      power: tunable(off * 0.8, 0.2, off > 0 ? 0.2 : -1, off > 0 ? 1 : -0.2),
      angle: tunable(15, 4, 4, 50),
      longest: tunable(12, 3, 2, 40),
      throttle: tunable(0, 0.1, 0, hardest(setting)),
      out: tunable(12, 4, 3, 45),
      more: tunable(3, 2, 1, 25),
    },
    write: ({ power, angle, longest, throttle, out, more }) =>
      planOf(
        [
          step(
            'bow-off',
            'let go, thruster, bow off',
            { is: 'start' },
            [LINES, wheel(0), ...pushed(setting, 0, power)],
            BACK,
            5,
          ),
          step(
            'ahead',
            'ahead, out at an angle',
            turnedOr(off * angle, longest),
            [...still(setting), steer(along + off * angle), engine('ahead', throttle, 0.3)],
            'neutral, thruster again',
          ),
          alongOut(out, along + 0.5 * off * angle),
        ],
        { is: 'after', time_s: tenth(more) },
      ),
  });
}
