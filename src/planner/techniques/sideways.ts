import type { StepDocument, CueDocument, OrderDocument } from '@/document/plan';
import { degrees } from '@/document/fields';
import { approach, hardest, reversed, still } from './arrive';
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

const hundredth = (value: number) => Math.max(-1, Math.min(1, Math.round(value * 20) / 20));

/** Pushed sideways by whatever the boat has for it; `power` and `twist` −1 … 1 to starboard. */
export function pushed({ boat }: Setting, power: number, twist: number): OrderDocument[] {
  if (boat.joystick)
    return [
      { do: 'joystick', after_s: 0, ahead: 0, sideways: hundredth(power), twist: hundredth(twist) },
    ];
  return boat.thrusters.map(({ name, x }) => ({
    do: 'thruster',
    after_s: 0,
    thruster: name,
    power: hundredth(power + (x > 0 ? twist : -twist)),
  }));
}

function made(setting: Setting, cue: CueDocument): StepDocument {
  const words = call('step ashore when the boat is still, line on');
  const say = 'no line on: let the boat drop off, round again';
  return step('lines', 'let go, line on', cue, [...still(setting), wheel(0), words], say, 60);
}

/** What moves the boat sideways, with what is done in so many words; power and twist −1 … 1, to starboard. */
export interface Mover {
  readonly by: string;
  orders(power: number, twist: number): OrderDocument[];
}

/** By joystick or thrusters. */
export const pushing = (setting: Setting): Mover => ({
  by: setting.boat.joystick ? 'joystick' : 'thrusters',
  orders: (power, twist) => [wheel(0), ...pushed(setting, power, twist)],
});

/**
 * By two shafts and the rudders: the engine on the far side ahead, its race on rudders put over to throw the stern the
 * way the boat is to go; the other astern, so that neither the ahead thrust nor the turn is left over. Needs a rudder in
 * the race. `twist` is how much more the one ahead or the one astern gets.
 */
export function walking(setting: Setting): Mover {
  const { port, starboard } = setting.pair!;
  const lock = lockOf(setting);
  const most = hardest(setting);
  return {
    by: 'engines opposed and wheel',
    orders: (power, twist) => {
      const to = power < 0 ? -1 : 1;
      const [ahead, astern] = to > 0 ? [port, starboard] : [starboard, port];
      const share = Math.abs(power) * most;
      return [
        wheel(-to * lock),
        engine('ahead', share * (1 + 0.6 * to * twist), setting.pause, ahead),
        engine('astern', Math.min(1, 1.4 * share * (1 - 0.6 * to * twist)), setting.pause, astern),
      ];
    },
  };
}

/** Stopped off the berth and parallel to it, then moved in sideways. */
export function slidIn(setting: Setting, mover: Mover): PlanTemplate {
  const lie = lieOf(setting);
  const { length, beam, firm } = setting;
  const mark = lie.mark.name;
  const inward = headingOf(lie.heading);
  const bearing = headingOf(lie.bearing);
  const most = lie.toward > 0 ? [0.1, 1] : [-1, -0.1];
  const furthest = Math.max(0.7 * length, Math.min(4 * length, 0.85 * lie.distance));
  return template({
    parameters: {
      heading: tunable(bearing, 3, bearing - 25, bearing + 25),
      neutralAt: tunable(1.6 * length, 0.3 * length, 0.6 * length, furthest),
      back: tunable(firm, 0.1, 0.05, hardest(setting)),
      power: tunable(lie.toward * 0.6, 0.15, most[0]!, most[1]!),
      twist: tunable(0, 0.1, -0.5, 0.5),
      stop: tunable(0.6, 0.3, 0.2, 1.5 * beam),
      wait: tunable(3, 2, 0.5, 25),
    },
    write: ({ heading, neutralAt, back, power, twist, stop, wait }) =>
      planOf(
        [
          approach(lie, heading, 'steer in, idle ahead', 'turn away and go round'),
          step(
            'way-off',
            'neutral, steer parallel',
            near('bow', mark, neutralAt),
            [engine('neutral'), steer(inward)],
            'ahead, turn away and go round',
          ),
          step(
            'stop',
            'stop abreast of the berth',
            {
              is: 'any',
              of: [
                { is: 'abeam', point: 'midships', mark },
                { is: 'after', time_s: 25 },
              ],
            },
            reversed(setting, 'astern', back),
            'ahead, turn away and go round',
          ),
          step(
            'sideways',
            `${mover.by}, sideways in`,
            wayOff(12),
            [engine('neutral'), ...mover.orders(power, twist)],
            'the other way, off again',
          ),
          made(setting, {
            is: 'any',
            of: [near(lie.point.name, mark, stop), { is: 'after', time_s: 30 }],
          }),
        ],
        { is: 'after', time_s: tenth(wait) },
      ),
  });
}

/** Off the berth sideways, then let go. */
export function slidOff(setting: Setting, mover: Mover): PlanTemplate {
  const off = setting.off ?? 1;
  const most = off > 0 ? [0.15, 1] : [-1, -0.15];
  return template({
    parameters: {
      power: tunable(off * 0.7, 0.2, most[0]!, most[1]!),
      twist: tunable(0, 0.1, -0.5, 0.5),
      seconds: tunable(12, 4, 3, 60),
      carry: tunable(2, 2, 0.5, 20),
    },
    write: ({ power, twist, seconds, carry }) =>
      planOf(
        [
          step(
            'off',
            `let go, ${mover.by} off the berth`,
            { is: 'start' },
            [call('all lines gone, hands inboard'), ...mover.orders(power, twist)],
            'let it go: back alongside on the fenders',
          ),
          step(
            'let-go',
            'enough, let the boat carry',
            { is: 'after', time_s: tenth(seconds) },
            still(setting),
            'push again',
          ),
        ],
        { is: 'after', time_s: tenth(carry) },
      ),
  });
}

/**
 * Off the berth in steps, by engine and wheel alone: bow out with a burst ahead, then the wheel over and a burst astern
 * that takes the headway off, then the stern out with a burst ahead and the wheel the other way, and so again.
 */
export function steppedOff(setting: Setting): PlanTemplate {
  const off = setting.off ?? 1;
  const lock = lockOf(setting);
  const along = degrees(setting.input.start.heading);
  const firm = 0.5 * setting.firm;
  return template({
    parameters: {
      ahead: tunable(firm, 0.1, 0, hardest(setting)),
      angle: tunable(10, 4, 3, 35),
      back: tunable(firm, 0.1, 0, hardest(setting)),
      astern: tunable(3, 1.5, 0.5, 12),
      kick: tunable(firm, 0.1, 0, hardest(setting)),
      square: tunable(4, 2, -5, 15),
      carry: tunable(3, 1.5, 0.5, 12),
    },
    write: ({ ahead, angle, back, astern, kick, square, carry }) => {
      const round = (n: number): StepDocument[] => {
        const away = 'neutral, let the boat lie; again when it is still';
        const out = compassOf(along + off * angle);
        const back2 = compassOf(along + off * square);
        const headed = (heading: number): CueDocument => ({
          is: 'any',
          of: [
            { is: 'heading', heading_deg: heading },
            { is: 'after', time_s: 12 },
          ],
        });
        return [
          step(
            `bow-out-${n}`,
            n === 1 ? 'let go, bow out' : 'bow out again',
            n === 1 ? { is: 'start' } : { is: 'after', time_s: tenth(carry) },
            [
              ...(n === 1 ? [call('all lines gone, hands inboard')] : [engine('neutral')]),
              wheel(off * lock),
              engine('ahead', ahead, setting.hardOver),
            ],
            away,
          ),
          step(
            `stop-${n}`,
            'astern, take the headway off',
            headed(out),
            [wheel(0), ...reversed(setting, 'astern', back)],
            away,
          ),
          step(
            `stern-out-${n}`,
            'wheel over, stern out',
            { is: 'after', time_s: tenth(astern + setting.pause) },
            [
              engine('neutral'),
              wheel(-off * lock),
              engine('ahead', kick, Math.max(setting.pause, setting.hardOver)),
            ],
            away,
          ),
          step(
            `square-${n}`,
            'neutral, along the berth again',
            headed(back2),
            [wheel(0), engine('neutral')],
            away,
          ),
        ];
      };
      return planOf([...round(1), ...round(2)], { is: 'after', time_s: tenth(carry) });
    },
  });
}
