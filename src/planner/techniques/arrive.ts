import { wrapHalfTurn } from '@/core/math';
import { degrees } from '@/document/fields';
import type { StepDocument, CueDocument, OrderDocument } from '@/document/plan';
import {
  step,
  call,
  compassOf,
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

const ROUND = 'astern, stop, and come round again';
const OFF = 'no line on: neutral, let the boat drop off, round again';

export const ready = ({ side }: LieSetting): OrderDocument =>
  call(`fenders ${side} side, line ready amidships`);

/** Under way and steered, idle ahead, fenders and line ready: the first step of coming in. */
export const approach = (
  lie: LieSetting,
  heading: number,
  title: string,
  say: string,
  which?: string,
): StepDocument => {
  const gears =
    which === undefined ? [engine('ahead')] : [engine('neutral'), engine('ahead', 0, 0, which)];
  return step('approach', title, { is: 'start' }, [ready(lie), steer(heading), ...gears], say);
};

/** Neutral and a line on, the last step of coming in. */
export const linesOn = (cue: CueDocument): StepDocument =>
  step(
    'lines',
    'neutral, line on',
    cue,
    [engine('neutral'), wheel(0), call('step ashore when the boat is still, line on')],
    OFF,
    60,
  );

/** Beyond this a burst is a roar. Judgement. */
const MOST_BURST = 0.6;

/** Most a burst may ask for: a little over a firm one. */
export const hardest = ({ firm }: Setting) => Math.min(MOST_BURST, 1.4 * firm + 0.1);

/** The way the boat turns from start to berth. */
export const turnSide = ({ input, lie }: Setting): 1 | -1 =>
  wrapHalfTurn((lie?.heading ?? 0) - input.start.heading) < 0 ? -1 : 1;

/** The other gear, by way of neutral. */
export const reversed = (
  { pause }: Setting,
  gear: 'ahead' | 'astern',
  throttle: number,
): OrderDocument[] => [engine('neutral'), engine(gear, throttle, pause)];

/** A heading reached, or waited for in vain for so long. */
export const about = (heading: number, seconds: number): CueDocument => ({
  is: 'any',
  of: [
    { is: 'heading', heading_deg: compassOf(heading) },
    { is: 'after', time_s: seconds },
  ],
});

/** The last turn along the berth, by the helm with a burst ahead, or by the outer engine astern alone. */
function lastTurn(setting: Setting, lie: LieSetting, gears: boolean, burst: number, back: number) {
  if (gears) {
    const { port, starboard } = setting.pair!;
    const outer = lie.side === 'port' ? starboard : port;
    return [wheel(0), engine('astern', 0.6 * back, setting.pause, outer)];
  }
  const turn = [steer(headingOf(lie.heading))];
  if (burst < 0.025) return turn;
  return [...turn, engine('ahead', burst, 0.6), engine('neutral', 0, 2)];
}

/**
 * Alongside: steered in at an angle, neutral and carry, turned along the berth, stopped with a burst astern.
 *
 * @param gears the last turn is made with the outer engine, not the wheel
 */
export function angledIn(setting: Setting, gears: boolean): PlanTemplate {
  const lie = lieOf(setting);
  const { length, firm } = setting;
  const mark = lie.mark.name;
  const bearing = degrees(lie.bearing);
  const inward = headingOf(lie.heading);
  const furthest = Math.max(0.7 * length, Math.min(6 * length, 0.85 * lie.distance));
  return template({
    parameters: {
      heading: tunable(bearing, 3, bearing - 25, bearing + 25),
      neutralAt: tunable(2.2 * length, 0.4 * length, 0.6 * length, furthest),
      turnAt: tunable(0.7 * length, 0.12 * length, 0.3 * length, 1.8 * length),
      burst: tunable(0.15, 0.1, 0, 0.5),
      off: tunable(12, 5, 2, 45),
      back: tunable(firm, 0.1, 0.05, hardest(setting)),
      wait: tunable(1, 4, 1, 30),
    },
    write: ({ heading, neutralAt, turnAt, burst, off, back, wait }) =>
      planOf(
        [
          approach(
            lie,
            heading,
            'steer in, idle ahead',
            'turn away and go round: there is water behind the boat',
          ),
          step(
            'way-off',
            'neutral, carry',
            near('bow', mark, neutralAt),
            [engine('neutral'), call('distance, falling')],
            ROUND,
          ),
          step(
            'turn',
            gears ? 'outer engine astern, stern in' : 'turn along the berth',
            near('bow', mark, Math.min(neutralAt, turnAt)),
            lastTurn(setting, lie, gears, burst, back),
            ROUND,
            60,
          ),
          step(
            'stop',
            'astern, stop the boat',
            about(inward + lie.toward * off, 15),
            [gears ? wheel(0) : steer(inward), ...reversed(setting, 'astern', back)],
            OFF,
            60,
          ),
          linesOn(wayOff(15)),
        ],
        { is: 'after', time_s: tenth(wait) },
      ),
  });
}

/**
 * Turned in while still in gear, then neutral, then stopped by a mark on the boat: into a slip, or along a wall.
 *
 * @param which the one engine it comes in on, of several: slower than on all of them
 */
export function turnedIn(setting: Setting, which?: string): PlanTemplate {
  const lie = lieOf(setting);
  const { length, firm, input } = setting;
  const mark = lie.mark.name;
  const lane = degrees(input.start.heading);
  const inward = headingOf(lie.heading);
  const side = turnSide(setting);
  return template({
    parameters: {
      heading: tunable(lane, 2, lane - 12, lane + 12),
      turnAt: tunable(
        1.3 * length,
        0.15 * length,
        0.4 * length,
        Math.max(length, Math.min(2.6 * length, 0.85 * lie.distance)),
      ),
      throttle: tunable(0.1, 0.1, 0, 0.6),
      off: tunable(20, 8, 3, 50),
      stop: tunable(0.5 * length, 0.12 * length, 0.05 * length, 1.1 * length),
      back: tunable(firm, 0.1, 0.05, hardest(setting)),
      wait: tunable(1, 4, 1, 20),
    },
    write: ({ heading, turnAt, throttle, off, stop, back, wait }) =>
      planOf(
        [
          approach(
            lie,
            heading,
            which === undefined ? 'idle ahead along the aisle' : `idle ahead on ${which} alone`,
            'go on past, and come round again',
            which,
          ),
          step(
            'turn',
            'turn in',
            near('bow', mark, turnAt),
            [steer(inward), engine('ahead', throttle, 0.4, which)],
            ROUND,
          ),
          step(
            'way-off',
            'neutral, carry in',
            about(inward - side * off, 25),
            [engine('neutral'), call('distance, falling')],
            ROUND,
            60,
          ),
          step(
            'stop',
            'astern, stop the boat',
            {
              is: 'any',
              of: [near(lie.point.name, mark, Math.max(0.3, stop)), { is: 'after', time_s: 30 }],
            },
            reversed(setting, 'astern', back),
            ROUND,
            60,
          ),
          linesOn(wayOff(20)),
        ],
        { is: 'after', time_s: tenth(wait) },
      ),
  });
}

/** Engines to neutral and thrusters off; any gear takes the boat from a joystick. */
export const still = ({ boat }: Setting): OrderDocument[] => [
  engine('neutral'),
  ...(boat.joystick
    ? []
    : boat.thrusters.map(({ name }): OrderDocument => ({
        do: 'thruster',
        after_s: 0,
        thruster: name,
        power: 0,
      }))),
];

/** Held up into the current at an angle, so that the boat goes sideways; the angle comes off as it nears. */
export function glidedIn(setting: Setting): PlanTemplate {
  const lie = lieOf(setting);
  const { length } = setting;
  const mark = lie.mark.name;
  const point = lie.point.name;
  const inward = headingOf(lie.heading);
  return template({
    parameters: {
      angle: tunable(25, 6, 1, 70),
      throttle: tunable(0.05, 0.08, 0, 0.6),
      ease: tunable(length, 0.2 * length, 0.2 * length, Math.max(length, 0.85 * lie.distance)),
      less: tunable(8, 4, 0, 35),
      along: tunable(0.35 * length, 0.08 * length, 0.08 * length, length),
      carry: tunable(3, 2, 0.5, 20),
      back: tunable(0.3 * setting.firm, 0.1, 0, hardest(setting)),
      wait: tunable(1, 3, 1, 15),
    },
    write: ({ angle, throttle, ease, less, along, carry, back, wait }) =>
      planOf(
        [
          step(
            'glide',
            'up into the current, gliding across',
            { is: 'start' },
            [ready(lie), steer(inward + lie.toward * angle), engine('ahead', throttle)],
            'point out into the current, and glide off again',
          ),
          step(
            'ease',
            'take the angle off',
            near(point, mark, Math.max(ease, along)),
            [steer(inward + lie.toward * Math.min(angle, less)), engine('ahead')],
            'point out into the current, and glide off again',
          ),
          step(
            'along',
            'parallel, neutral',
            near(point, mark, along),
            [steer(inward), engine('neutral')],
            'ahead, point out into the current',
          ),
          step(
            'stop',
            'astern, still over the ground',
            { is: 'after', time_s: tenth(carry) },
            reversed(setting, 'astern', back),
            'ahead, point out into the current',
          ),
          linesOn({
            is: 'any',
            of: [
              { is: 'stopped' },
              { is: 'speed', over: 'ground', compare: 'below', speed_mps: 0.15 },
              { is: 'after', time_s: 12 },
            ],
          }),
        ],
        { is: 'after', time_s: tenth(wait) },
      ),
  });
}
