import type { BeatDocument, CueDocument, OrderDocument } from '../score';
import { approach, hardest, reversed, still } from './arrive';
import {
  beat,
  call,
  dial,
  engine,
  near,
  scoreOf,
  steer,
  tenth,
  wayOff,
  wheel,
  type Draft,
} from './draft';
import { headingOf, lieOf, type Setting } from './setting';

const hundredth = (value: number) => Math.max(-1, Math.min(1, Math.round(value * 20) / 20));

/** Pushed sideways by whatever she has for it; `power` and `twist` −1 … 1 to starboard. */
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

function made(setting: Setting, cue: CueDocument): BeatDocument {
  const words = call('step ashore when she is still, line on');
  const say = 'no line on: let her drop off, round again';
  return beat('lines', 'let go, line on', cue, [...still(setting), words], say, 60);
}

/** Stopped off the berth and parallel to it, then moved in sideways by joystick or thrusters. */
export function slidIn(setting: Setting): Draft {
  const lie = lieOf(setting);
  const { length, beam, boat, firm } = setting;
  const mark = lie.mark.name;
  const inward = headingOf(lie.heading);
  const bearing = headingOf(lie.bearing);
  const most = lie.toward > 0 ? [0.1, 1] : [-1, -0.1];
  const furthest = Math.max(0.7 * length, Math.min(4 * length, 0.85 * lie.distance));
  return {
    dials: [
      dial(bearing, 3, bearing - 25, bearing + 25),
      dial(1.6 * length, 0.3 * length, 0.6 * length, furthest),
      dial(firm, 0.1, 0.05, hardest(setting)),
      dial(lie.toward * 0.6, 0.15, most[0]!, most[1]!),
      dial(0, 0.1, -0.5, 0.5),
      dial(0.6, 0.3, 0.2, 1.5 * beam),
      dial(3, 2, 0.5, 25),
    ],
    write: ([h, d, back, power, twist, stop, wait]) =>
      scoreOf(
        [
          approach(lie, h!, 'steer in, idle ahead', 'turn away and go round'),
          beat(
            'way-off',
            'neutral, steer parallel',
            near('bow', mark, d!),
            [engine('neutral'), steer(inward)],
            'ahead, turn away and go round',
          ),
          beat(
            'stop',
            'stop abreast of the berth',
            {
              is: 'any',
              of: [
                { is: 'abeam', point: 'midships', mark },
                { is: 'after', seconds: 25 },
              ],
            },
            reversed(setting, 'astern', back!),
            'ahead, turn away and go round',
          ),
          beat(
            'sideways',
            boat.joystick ? 'joystick, sideways in' : 'thrusters, sideways in',
            wayOff(12),
            [engine('neutral'), wheel(0), ...pushed(setting, power!, twist!)],
            'push the other way, off again',
          ),
          made(setting, {
            is: 'any',
            of: [near(lie.point.name, mark, stop!), { is: 'after', seconds: 30 }],
          }),
        ],
        { is: 'after', seconds: tenth(wait!) },
      ),
  };
}

/** Off the berth sideways, by joystick or thrusters, then let go. */
export function slidOff(setting: Setting): Draft {
  const off = setting.off ?? 1;
  const most = off > 0 ? [0.15, 1] : [-1, -0.15];
  return {
    dials: [
      dial(off * 0.7, 0.2, most[0]!, most[1]!),
      dial(0, 0.1, -0.5, 0.5),
      dial(12, 4, 3, 60),
      dial(2, 2, 0.5, 20),
    ],
    write: ([power, twist, seconds, carry]) =>
      scoreOf(
        [
          beat(
            'off',
            setting.boat.joystick
              ? 'let go, joystick off the berth'
              : 'let go, thrusters off the berth',
            { is: 'start' },
            [call('all lines gone, hands inboard'), wheel(0), ...pushed(setting, power!, twist!)],
            'let it go: back alongside on her fenders',
          ),
          beat(
            'let-go',
            'enough, let her carry',
            { is: 'after', seconds: tenth(seconds!) },
            still(setting),
            'push again',
          ),
        ],
        { is: 'after', seconds: tenth(carry!) },
      ),
  };
}
