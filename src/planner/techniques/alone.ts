import { degrees } from '@/document/fields';
import {
  alongOut,
  step,
  engine,
  planOf,
  steer,
  tenth,
  wheel,
  template,
  type PlanTemplate,
} from '../template';
import { droppingOff } from './leave';
import type { Setting } from '../setting';
import { leadsFrom, bestLead, lineOf, sideOf, offOf, letGo, type Lead } from './line-leads';
import type { LineDocument } from '@/document/rigging';
import { refusal, type Refusal } from '../refusals';

function lastLine(setting: Setting): { cleat: string; lead: Lead } | null {
  const cleat = `${sideOf(setting)} midship cleat`;
  const near = leadsFrom(setting, setting.input.start, cleat).filter(
    ({ ahead }) => Math.abs(ahead) < 0.4 * setting.length,
  );
  if (near.length === 0) return null;
  return { cleat, lead: near.reduce((a, b) => (b.length < a.length ? b : a)) };
}

export function noLastLine(setting: Setting): Refusal | null {
  if (!setting.boat.points.some(({ name }) => name === 'helm')) return refusal('no helm named');
  return lastLine(setting) ? null : refusal('no bollard abreast of midships');
}

/**
 * Alone aboard: bow and stern line let go by walking, a doubled breast line amidships led to the helm left till last;
 * slipped from there, the boat is let drop off, and goes ahead once it is home.
 */
export function slippedAlone(setting: Setting): PlanTemplate {
  const off = setting.off ?? 1;
  const along = degrees(setting.input.start.heading);
  const { cleat, lead } = lastLine(setting)!;
  const side = sideOf(setting);
  const { length, input } = setting;
  const person =
    input.rigging?.crew.find(({ at }) => at.aboard && at.point.name === 'helm')?.name ?? 'alone';
  const more = (['bow', 'stern'] as const).flatMap((end): LineDocument[] => {
    const from = `${side} ${end === 'bow' ? 'bow' : 'quarter'} cleat`;
    const found = bestLead(
      leadsFrom(setting, input.start, from),
      (end === 'bow' ? 0.2 : -0.2) * length,
    );
    return found ? [lineOf(`${end} line`, from, found.length, found.name, true)] : [];
  });
  const last = { ...lineOf('last line', cleat, lead.length, lead.name, true), ledTo: 'helm' };
  return template({
    parameters: droppingOff(setting),
    write: ({ wait, angle, throttle, out, more: rest }) =>
      planOf(
        [
          step(
            'single-up',
            'single up to the last line',
            { is: 'start' },
            [wheel(0), engine('neutral'), ...more.map(({ name }) => letGo(name, 0, person))],
            'make them fast again',
            5,
          ),
          step(
            'slip',
            'back at the helm: slip the last line',
            offOf(more),
            [letGo('last line', 6, person)],
            'hold on to it: the boat lies on one line',
            90,
          ),
          step(
            'ahead',
            'line home: ahead, out at an angle',
            {
              is: 'all',
              of: [
                { is: 'line', line: 'last line', state: 'off' },
                { is: 'after', time_s: tenth(6 + wait) },
              ],
            },
            [steer(along + off * angle), engine('ahead', throttle, 0.4)],
            'neutral, let the wind take the boat further off',
            90,
          ),
          alongOut(out, along + 0.4 * off * angle),
        ],
        { is: 'after', time_s: tenth(rest) },
        60,
        [last, ...more],
        [],
        [{ name: person, at: { aboard: 'helm' }, pull_N: 300, throws_m: 8 }],
      ),
  });
}
