import { sin } from '@/core/math';
import { degrees } from '@/document/fields';
import type { StepDocument, OrderDocument } from '@/document/plan';
import { about, approach, hardest, linesOn, reversed, still, turnSide } from './arrive';
import {
  step,
  call,
  tunable,
  engine,
  near,
  planOf,
  steer,
  tenth,
  wayOff,
  wheel,
  template,
  type PlanTemplate,
} from '../template';
import { headingOf, lieOf, type LieSetting, type Setting } from '../setting';

/** Stopped a little past the slip, swung on the spot until the boat's stern points in, then astern in. */
export function backedIn(setting: Setting): PlanTemplate {
  const lie = lieOf(setting);
  const { length, firm, input } = setting;
  const lane = degrees(input.start.heading);
  const outward = headingOf(lie.heading);
  const mark = lie.mark.name;
  const side = turnSide(setting);
  return template({
    parameters: {
      heading: tunable(lane, 2, lane - 8, lane + 8),
      past: tunable(0.5, 1, 0.1, 8),
      kick: tunable(0.6 * firm, 0.1, 0, hardest(setting)),
      off: tunable(12, 6, 2, 35),
      back: tunable(0.4 * firm, 0.1, 0, hardest(setting)),
      stop: tunable(0.4 * length, 0.12 * length, 0.1 * length, 1.1 * length),
      burst: tunable(0.5 * firm, 0.1, 0.02, hardest(setting)),
      wait: tunable(1, 4, 1, 12),
    },
    write: ({ heading, past, kick, off, back, stop, burst, wait }) =>
      planOf(
        [
          approach(lie, heading, 'idle ahead along the aisle', 'go on past, and come round again'),
          step(
            'abreast',
            'the slip is abreast',
            { is: 'abeam', point: 'midships', mark },
            [engine('neutral'), call('slip abeam')],
            'go on past, and come round again',
          ),
          step(
            'stop',
            'stop past it',
            { is: 'after', time_s: tenth(past) },
            reversed(setting, 'astern', firm),
            'ahead, away down the aisle',
            60,
          ),
          step(
            'swing',
            'swing the boat, stern to the slip',
            wayOff(15),
            [engine('neutral'), ...swing(setting, side, kick, outward)],
            'neutral, then ahead down the aisle',
            60,
          ),
          step(
            'astern',
            'look astern, astern in',
            about(outward - side * off, 20),
            [...still(setting), steer(outward), engine('astern', back, setting.pause)],
            'ahead, out into the aisle again',
            60,
          ),
          stoppedInside(setting, lie, stop, burst),
          linesOn({ is: 'any', of: [{ is: 'stopped' }, { is: 'after', time_s: 12 }] }),
        ],
        { is: 'after', time_s: tenth(wait) },
      ),
  });
}

/** The boat's bow turned away from the slip while it still has way, so that its stern comes round to it; then astern in. */
export function swungIn(setting: Setting): PlanTemplate {
  const lie = lieOf(setting);
  const { length, firm, input } = setting;
  const lane = degrees(input.start.heading);
  const outward = headingOf(lie.heading);
  const mark = lie.mark.name;
  const side = turnSide(setting);
  // How far off the mark the boat passes if it keeps its lane.
  const abreast = Math.max(
    0.5 * length,
    lie.distance * Math.abs(sin(lie.bearing - input.start.heading)),
  );
  const furthest = Math.max(abreast + length, Math.min(abreast + 3 * length, 0.85 * lie.distance));
  return template({
    parameters: {
      heading: tunable(lane, 2, lane - 10, lane + 10),
      swingAt: tunable(abreast + 0.5 * length, 0.2 * length, 0.9 * abreast, furthest),
      kick: tunable(0.4 * firm, 0.1, 0, hardest(setting)),
      off: tunable(25, 8, 2, 60),
      back: tunable(0.8 * firm, 0.1, 0, hardest(setting)),
      stop: tunable(0.4 * length, 0.12 * length, 0.1 * length, 1.1 * length),
      burst: tunable(0.4 * firm, 0.1, 0.02, hardest(setting)),
      wait: tunable(1, 4, 1, 12),
      ...(sternOn(lie, length)
        ? { square: tunable(1.2 * length, 0.2 * length, 0.4 * length, 2.5 * length) }
        : {}),
    },
    write: ({ heading, swingAt, kick, off, back, stop, burst, wait, square }) =>
      planOf(
        [
          approach(lie, heading, 'idle ahead along the aisle', 'go on past, and come round again'),
          step(
            'swing',
            'bow away, stern towards the slip',
            {
              is: 'any',
              of: [near('bow', mark, swingAt), { is: 'abeam', point: 'stern', mark }],
            },
            [steer(outward), engine('ahead', kick)],
            'wheel back, on down the aisle',
          ),
          ...backed(setting, lie, outward, outward - side * off, back, square),
          stoppedInside(setting, lie, stop, burst),
          linesOn({ is: 'any', of: [{ is: 'stopped' }, { is: 'after', time_s: 12 }] }),
        ],
        { is: 'after', time_s: tenth(wait) },
      ),
  });
}

/** Is the mark the boat lies at right astern of it there, so that its stern can be steered for it? */
const sternOn = ({ point }: LieSetting, length: number) =>
  point.x < -0.3 * length && Math.abs(point.y) < 0.1 * length;

/** Astern in: the boat's stern steered for the mark behind it, if there is one, and squared up as it nears. */
function backed(
  setting: Setting,
  lie: LieSetting,
  outward: number,
  from: number,
  back: number,
  square: number | undefined,
): StepDocument[] {
  const out = 'ahead, out into the aisle again';
  const astern = reversed(setting, 'astern', back);
  const begin = about(from, 20);
  if (square === undefined)
    return [step('astern', 'look astern, astern in', begin, [steer(outward), ...astern], out, 60)];
  const mark = lie.mark.name;
  return [
    step(
      'astern',
      'look astern, stern for the berth',
      begin,
      [{ do: 'steerFor', after_s: 0, mark, first: 'stern' }, ...astern],
      out,
      60,
    ),
    step(
      'square',
      'neutral, square up, carry in',
      { is: 'any', of: [near(lie.point.name, mark, square), { is: 'after', time_s: 80 }] },
      [steer(outward), engine('neutral')],
      out,
      100,
    ),
  ];
}

/** The last of the sternway taken off when a point of the boat is so near its mark. */
const stoppedInside = (setting: Setting, lie: LieSetting, stop: number, burst: number) =>
  step(
    'stop-in',
    'ahead, stop the boat',
    {
      is: 'any',
      of: [near(lie.point.name, lie.mark.name, Math.max(0.3, stop)), { is: 'after', time_s: 45 }],
    },
    [wheel(0), ...reversed(setting, 'ahead', burst)],
    'ahead, out into the aisle again',
    60,
  );

/** Turned where the boat lies by what it has for it: a joystick's twist, engines opposed, or kicks ahead. */
function swing(setting: Setting, side: 1 | -1, power: number, to: number): OrderDocument[] {
  const { boat, pair, pause } = setting;
  const share = Math.min(1, power / Math.max(0.05, hardest(setting)));
  if (boat.joystick)
    return [
      { do: 'joystick', after_s: 0, ahead: 0, sideways: 0, twist: side * tenth(0.3 + 0.7 * share) },
    ];
  const thrusters = boat.thrusters.map(({ name, x }): OrderDocument => ({
    do: 'thruster',
    after_s: 0,
    thruster: name,
    power: x > 0 ? side : -side,
  }));
  if (!pair) return [...thrusters, steer(to), engine('ahead', power, pause)];
  const [ahead, astern] = side > 0 ? [pair.port, pair.starboard] : [pair.starboard, pair.port];
  return [
    ...thrusters,
    engine('ahead', power, pause, ahead),
    engine('astern', Math.min(1, 1.3 * power), pause, astern),
  ];
}
