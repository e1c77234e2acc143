import type { OrderDocument, PlanDocument } from '@/document/plan';
import { turnedIn } from './arrive';
import { step, call, endOnLine, engine, tenth, wheel, type PlanTemplate } from '../template';
import {
  handAshore,
  handAt,
  leadsFrom,
  lineOf,
  lying,
  windwardSide,
  type Lead,
} from './line-leads';
import { lieOf, type Setting } from '../setting';
import type { Side } from '@/document/fields';
import { refusal, type Refusal } from '../refusals';

/** A pile that holds the boat's stern stands no further forward than this abaft or before its quarter cleat, lengths. */
const PILE_FORWARD_LENGTHS = 0.25;

const named = (side: 1 | -1): Side => (side > 0 ? 'starboard' : 'port');

interface Moored {
  readonly cleat: string;
  readonly lead: Lead;
}

const nearest = (leads: readonly Lead[]): Lead | null =>
  leads.length === 0 ? null : leads.reduce((a, b) => (b.length < a.length ? b : a));

/** The pile on one side of the boat's stern once it lies there. */
function pileFor(setting: Setting, side: 1 | -1): Moored | null {
  const cleat = `${named(side)} quarter cleat`;
  const lead = nearest(
    leadsFrom(setting, lying(setting), cleat).filter(
      ({ ahead, starboard }) =>
        ahead < PILE_FORWARD_LENGTHS * setting.length && side * starboard > 0,
    ),
  );
  return lead && { cleat, lead };
}

/** What the boat's bow is made fast to on one side: ahead of the cleat, of two the one further to that side. */
function headFor(setting: Setting, side: 1 | -1): Moored | null {
  const cleat = `${named(side)} bow cleat`;
  const ahead = leadsFrom(setting, lying(setting), cleat).filter((lead) => lead.ahead > 0);
  const own = ahead.filter(({ starboard }) => side * starboard > 0);
  const lead = nearest(own.length > 0 ? own : ahead);
  return lead && { cleat, lead };
}

/** Why the boat is not for lying bow to between piles; null when it may be. */
export function noPiles(setting: Setting): Refusal | null {
  if (lieOf(setting).point.x < 0.3 * setting.length) return refusal('not bow to something');
  for (const side of [1, -1] as const) {
    if (!pileFor(setting, side)) return refusal('no pile', { side: named(side) });
    if (!headFor(setting, side)) return refusal('nothing ahead for bow lines');
  }
  return null;
}

/**
 * In bow first between two piles: a bight over the windward one and, with hands for it, the leeward one as they come
 * by, paid out by hand, stopped, then the windward bow line and the leeward one last.
 *
 * @param early whether hands stand by from the turn on, or from the moment the boat is in neutral
 */
function between(setting: Setting, base: PlanTemplate, early: boolean): PlanTemplate {
  const up = windwardSide(setting);
  const down = up > 0 ? -1 : 1;
  const astern = [pileFor(setting, up)!, pileFor(setting, down)!] as const;
  const ahead = [headFor(setting, up)!, headFor(setting, down)!] as const;
  const crew = setting.input.rigging?.crew ?? [];
  const hands = crew.filter(({ at }) => at.aboard && at.point.name !== 'helm').length;
  // Two piles come by within a moment: two hands, or only the windward one is taken.
  const both = crew.length === 0 || hands > 1;
  const first = handAt(setting, astern[0].cleat);
  const second = crew.find(
    ({ name, at }) => at.aboard && at.point.name !== 'helm' && name !== first,
  );
  const by = (who: string | undefined) => (who === undefined ? {} : { by: who });
  const over = (line: string, to: string, who: string | undefined): OrderDocument => ({
    do: 'pass',
    after_s: 0,
    line,
    to,
    how: 'drop',
    ...by(who),
  });
  const passing: OrderDocument[] = [
    over('windward stern line', astern[0].lead.name, first),
    ...(both ? [over('leeward stern line', astern[1].lead.name, second?.name)] : []),
  ];
  const thrown = crew.length === 0 || handAshore(setting);
  const ashore = (line: string, { lead, cleat }: Moored): OrderDocument => ({
    do: 'pass',
    after_s: 0,
    line,
    to: lead.name,
    how: thrown ? 'throw' : 'carry',
    ...by(handAt(setting, cleat)),
    length_m: tenth(lead.length + 0.3),
  });
  const fast = (line: string, who: string | undefined): OrderDocument => ({
    do: 'tend',
    after_s: 0,
    line,
    how: 'fast',
    turns: 1.5,
    winch: false,
    ...by(who),
  });
  // From the moment it is over the pile until the boat lies, a stern line runs out by the length it still has to go.
  const run = setting.length;
  const lines: PlanDocument['lines'] = [
    lineOf('windward stern line', astern[0].cleat, astern[0].lead.length + run, null, false),
    ...(both
      ? [lineOf('leeward stern line', astern[1].cleat, astern[1].lead.length + run, null, false)]
      : []),
    lineOf('windward bow line', ahead[0].cleat, ahead[0].lead.length + 1, null, false),
    lineOf('leeward bow line', ahead[1].cleat, ahead[1].lead.length + 1, null, false),
  ];
  const hold = early ? 'turn' : 'way-off';
  return {
    parameters: base.parameters,
    write: (numbers) => {
      const plan = base.write(numbers);
      const stopped = plan.steps.at(-1)!;
      return {
        ...plan,
        steps: [
          ...plan.steps
            .slice(0, -1)
            .map((one) =>
              one.id === hold
                ? { ...one, orders: [...one.orders, call('windward pile first'), ...passing] }
                : one,
            ),
          {
            ...stopped,
            id: 'bow-line',
            title: 'neutral, windward bow line',
            orders: [
              engine('neutral'),
              wheel(0),
              fast('windward stern line', first),
              ...(both ? [fast('leeward stern line', second?.name)] : []),
              call('windward bow line'),
              ashore('windward bow line', ahead[0]),
            ],
            wayOut: { ...stopped.wayOut, note: 'no line on: astern between the piles, and out' },
          },
          step(
            'leeward',
            'leeward bow line last',
            { is: 'line', line: 'windward bow line', state: 'fast' },
            [call('leeward bow line'), ashore('leeward bow line', ahead[1])],
            'the boat lies on its windward lines meanwhile',
            60,
          ),
        ],
        end: endOnLine('leeward bow line', 'fast', 40),
        lines,
      };
    },
  };
}

export const inBetweenPiles = (setting: Setting): readonly PlanTemplate[] =>
  [true, false].map((early) => between(setting, turnedIn(setting), early));
