import { degrees } from '@/document/fields';
import type { StepDocument } from '@/document/plan';
import { hardest, reversed } from './arrive';
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
import { headingOf, lieOf, lockOf, type Setting } from '../setting';

const WAIT = 'neutral: the boat lies in the middle, look again';
/** Wheel hard over (and reversed with the gear where thrust is steered), bursts ahead and astern until the boat heads right. */
export function backAndFill(setting: Setting, side: 1 | -1): PlanTemplate {
  const lie = lieOf(setting);
  const { firm, steered, pause, hardOver } = setting;
  // A leg has to come right across with every gear.
  const across = steered ? Math.max(pause, 2 * hardOver) : pause;
  const lock = lockOf(setting);
  return template({
    parameters: {
      pairs: tunable(3, 1, 1, 9),
      ahead: tunable(5, 1.5, 2, 16),
      astern: tunable(5, 1.5, 2, 16),
      throttle: tunable(firm, 0.1, 0.1, hardest(setting)),
      lead: tunable(18, 6, 0, 50),
      more: tunable(2, 1, 0.5, 12),
    },
    write: ({ pairs, ahead, astern, throttle, lead, more }) => {
      const bursts: StepDocument[] = [];
      const count = Math.round(pairs);
      for (let i = 0; i < count; i++) {
        const cue =
          i === 0 ? ({ is: 'start' } as const) : { is: 'after' as const, time_s: tenth(astern) };
        const back = steered ? [wheel(-side * lock)] : [];
        bursts.push(
          step(
            `ahead-${i + 1}`,
            i === 0 ? 'wheel hard over, burst ahead' : 'burst ahead',
            cue,
            [
              engine('neutral'),
              wheel(side * lock),
              engine('ahead', throttle, i === 0 ? Math.max(pause, hardOver) : across),
            ],
            WAIT,
            60,
          ),
          step(
            `astern-${i + 1}`,
            'burst astern',
            { is: 'after', time_s: tenth(ahead) },
            [engine('neutral'), ...back, engine('astern', throttle, across)],
            WAIT,
            60,
          ),
        );
      }
      return planOf(
        [
          ...bursts,
          step(
            'meet',
            'neutral, meet the swing',
            {
              is: 'any',
              of: [
                { is: 'heading', heading_deg: compassOf(headingOf(lie.heading) - side * lead) },
                { is: 'after', time_s: 14 },
              ],
            },
            [engine('neutral'), wheel(0)],
            WAIT,
            60,
          ),
        ],
        { is: 'after', time_s: tenth(more) },
      );
    },
  });
}

/** Engines opposed until the boat nearly heads right, more on the one that drives astern. */
export function opposed(setting: Setting, side: 1 | -1): PlanTemplate {
  const lie = lieOf(setting);
  const { firm, pair, hardOver } = setting;
  const lock = lockOf(setting);
  const [ahead, astern] = side > 0 ? [pair!.port, pair!.starboard] : [pair!.starboard, pair!.port];
  return template({
    parameters: {
      fore: tunable(0.5 * firm, 0.1, 0, hardest(setting)),
      back: tunable(0.7 * firm, 0.1, 0, hardest(setting)),
      lead: tunable(15, 6, 0, 60),
      more: tunable(2, 1, 0.5, 15),
    },
    write: ({ fore, back, lead, more }) =>
      planOf(
        [
          step(
            'opposed',
            'engines opposed',
            { is: 'start' },
            [
              wheel(side * lock),
              engine('ahead', fore, hardOver, ahead),
              engine('astern', back, hardOver, astern),
            ],
            WAIT,
          ),
          step(
            'meet',
            'neutral, meet the swing',
            { is: 'heading', heading_deg: compassOf(headingOf(lie.heading) - side * lead) },
            [engine('neutral'), wheel(0)],
            WAIT,
            90,
          ),
        ],
        { is: 'after', time_s: tenth(more) },
      ),
  });
}

/** Aimed off to the other side of what the propeller does, then stopped astern, coming straight as the boat stops. */
export function stoppedStraight(setting: Setting): PlanTemplate {
  const lie = lieOf(setting);
  const { length, firm } = setting;
  const lane = headingOf(lie.heading);
  return template({
    parameters: {
      aimOffAt: tunable(
        2 * length,
        0.4 * length,
        0.4 * length,
        Math.max(0.5 * length, 0.9 * lie.distance),
      ),
      aim: tunable(0, 5, -25, 25),
      wait: tunable(2.5, 1, 0.5, 10),
      back: tunable(firm, 0.1, 0.1, hardest(setting)),
      lead: tunable(lane, 2, lane - 10, lane + 10),
    },
    write: ({ aimOffAt, aim, wait, back, lead }) =>
      planOf(
        [
          step(
            'lane',
            'idle ahead, down the middle',
            { is: 'start' },
            [steer(lead), engine('ahead')],
            'astern, stop',
          ),
          step(
            'aim-off',
            'neutral, aim off',
            near(lie.point.name, lie.mark.name, aimOffAt),
            [engine('neutral'), steer(lane + aim), call('aiming off, then astern')],
            'astern, stop',
          ),
          step(
            'stop',
            'wheel amidships, astern',
            { is: 'after', time_s: tenth(wait) },
            [wheel(0), ...reversed(setting, 'astern', back)],
            'neutral, ahead again round whatever lies there',
          ),
          step('still', 'neutral', wayOff(25), [engine('neutral')], 'ahead, on along the fairway'),
        ],
        { is: 'after', time_s: 1 },
      ),
  });
}

/** How long a gust is waited out, s. */
const GUST_S = 30;

/** Held where the boat is, bow to the weather, by short bursts ahead with neutral between. */
export function waitedOut(setting: Setting): PlanTemplate {
  const lie = lieOf(setting);
  const { weather } = setting.input;
  const inWind = weather.windSpeed > 0.5 ? degrees(weather.windFrom) : headingOf(lie.heading);
  const bow = compassOf(inWind);
  return template({
    parameters: {
      on: tunable(3, 1, 1, 12),
      rest: tunable(4, 1.5, 0.5, 15),
      throttle: tunable(0.1, 0.1, 0, hardest(setting)),
      heading: tunable(bow, 8, bow - 40, bow + 40),
    },
    write: ({ on, rest, throttle, heading }) => {
      const span = on + rest;
      const count = Math.min(14, Math.max(1, Math.ceil(GUST_S / span)));
      const steps: StepDocument[] = [];
      for (let i = 0; i < count; i++) {
        steps.push(
          step(
            `burst-${i + 1}`,
            'a burst ahead',
            i === 0 ? { is: 'start' } : { is: 'after', time_s: tenth(rest) },
            [steer(heading), engine('ahead', throttle, 0.3)],
            'ahead, out to where there is room',
          ),
          step(
            `rest-${i + 1}`,
            'neutral',
            { is: 'after', time_s: tenth(on) },
            [engine('neutral')],
            'ahead, out to where there is room',
          ),
        );
      }
      return planOf(steps, { is: 'after', time_s: tenth(rest) });
    },
  });
}
