import { degrees } from '@/document/fields';
import { hardest, reversed } from './arrive';
import {
  alongOut,
  step,
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
import {
  lineOf,
  springFor,
  others,
  pivotFenders,
  outer,
  offOf,
  letGo,
  singledUp,
} from './line-leads';

/**
 * Motoring ahead on a bow spring with the wheel towards the berth until the boat's stern is off, then astern and the spring
 * slipped as it goes slack.
 */
export function sprungByTheBow(setting: Setting): PlanTemplate {
  const spring = springFor(setting, 'bow')!;
  const off = setting.off ?? 1;
  const lock = lockOf(setting);
  const along = degrees(setting.input.start.heading);
  const more = others(setting, spring);
  const lines = [
    lineOf('bow spring', spring.cleat, spring.lead.length, spring.lead.name, true),
    ...more,
  ];
  return template({
    parameters: {
      push: tunable(0.25 * setting.firm, 0.08, 0, hardest(setting)),
      angle: tunable(38, 6, 8, 75),
      longest: tunable(30, 8, 8, 60),
      back: tunable(0.8 * setting.firm, 0.1, 0.05, hardest(setting)),
      astern: tunable(14, 4, 5, 40),
      rest: tunable(4, 2, 2, 20),
    },
    write: ({ push, angle, longest, back, astern, rest }) =>
      planOf(
        [
          singledUp(more),
          step(
            'on-the-spring',
            'ahead on the spring, stern out',
            offOf(more),
            [wheel(-off * lock), engine('ahead', push, setting.hardOver, outer(setting))],
            'neutral: the boat lies back alongside',
            60,
          ),
          step(
            'astern',
            'look astern, astern, slip the spring',
            turnedOr(-off * angle, longest),
            [
              wheel(0),
              ...reversed(setting, 'astern', back),
              letGo('bow spring', tenth(setting.pause + 2)),
            ],
            'ahead on the spring again while it is on',
          ),
          step(
            'off',
            'neutral, off and clear',
            { is: 'after', time_s: tenth(astern) },
            [engine('neutral'), steer(compassOf(along))],
            'astern again',
          ),
        ],
        {
          is: 'all',
          of: [
            { is: 'after', time_s: tenth(rest) },
            { is: 'line', line: 'bow spring', state: 'off' },
          ],
        },
        60,
        lines,
        pivotFenders(setting, 'bow'),
      ),
  });
}

/** Motoring astern on a stern spring until the boat's bow is off, the spring slipped and home, then ahead and out. */
export function sprungByTheStern(setting: Setting): PlanTemplate {
  const spring = springFor(setting, 'stern')!;
  const off = setting.off ?? 1;
  const along = degrees(setting.input.start.heading);
  const more = others(setting, spring);
  const lines = [
    lineOf('stern spring', spring.cleat, spring.lead.length, spring.lead.name, true),
    ...more,
  ];
  return template({
    parameters: {
      push: tunable(0.3 * setting.firm, 0.1, 0, hardest(setting)),
      angle: tunable(35, 6, 8, 70),
      longest: tunable(25, 8, 6, 60),
      throttle: tunable(0.3, 0.1, 0, hardest(setting)),
      out: tunable(14, 4, 4, 40),
      rest: tunable(3, 2, 1, 20),
    },
    write: ({ push, angle, longest, throttle, out, rest }) =>
      planOf(
        [
          singledUp(more),
          step(
            'on-the-spring',
            'astern on the spring, bow out',
            offOf(more),
            [wheel(0), engine('astern', push, 0.5, outer(setting))],
            'neutral: the boat lies back alongside',
            60,
          ),
          step(
            'slip',
            'neutral, slip the spring',
            turnedOr(off * angle, longest),
            [engine('neutral'), letGo('stern spring')],
            'make it fast again: the boat lies back alongside',
          ),
          step(
            'ahead',
            'spring aboard: ahead and out',
            { is: 'line', line: 'stern spring', state: 'off' },
            [steer(along + off * angle), engine('ahead', throttle, 0.4)],
            'neutral, let the boat lie back on its fenders',
            40,
          ),
          alongOut(out, along + 0.3 * off * angle),
        ],
        { is: 'after', time_s: tenth(rest) },
        60,
        lines,
        pivotFenders(setting, 'stern'),
      ),
  });
}
