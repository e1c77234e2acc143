import type { LineDocument } from '@/document/rigging';
import type { StepDocument, OrderDocument } from '@/document/plan';
import { fast, haul } from './by-hand';
import {
  step,
  call,
  tunable,
  endOnLine,
  engine,
  tenth,
  wheel,
  type PlanTemplate,
} from '../template';
import { handAt, lineOf, windwardSide } from './line-leads';
import { lieOf, type Setting } from '../setting';
import { backedIn, swungIn } from './stern-first';
import { groundFor, sternLead } from './stern-to';
import { refusal, type Refusal } from '../refusals';

/** Depth where none is told, m. */
const USUAL_DEPTH_M = 4;
const ANCHOR = 'bow anchor';

export function noAnchoring(setting: Setting): Refusal | null {
  const lie = lieOf(setting);
  if (lie.point.x > -0.3 * setting.length) return refusal('not stern to the quay');
  if (groundFor(setting, 1)) return refusal('ground lines in the way');
  return sternLead(setting, 1) && sternLead(setting, -1)
    ? null
    : refusal('no bollards for both quarters');
}

/** The usual anchor for the boat at the bow, its chain as long as five lengths of it, in the depth that is told. */
function bowAnchor({ length, input, boat }: Setting): LineDocument {
  const point = boat.points.some(({ name }) => name === 'bow') ? 'bow' : boat.points[0]!.name;
  return {
    ...lineOf(ANCHOR, point, 0, null, false),
    length_m: Math.min(300, Math.max(30, Math.round(5 * length))),
    strengthLeft: 0.8,
    winch_N: 3000,
    anchor: { depth_m: tenth(Math.max(0.5, input.weather.depth ?? USUAL_DEPTH_M)), bottom: 'sand' },
  };
}

/** The same astern in, an anchor let go as the boat begins to, held as it is stopped; the stern lines, the windward one first. */
function onAnAnchor(setting: Setting, base: PlanTemplate): PlanTemplate {
  const up = windwardSide(setting);
  const first = sternLead(setting, up)!;
  const last = sternLead(setting, up > 0 ? -1 : 1)!;
  const anchor = bowAnchor(setting);
  const crewed = (setting.input.rigging?.crew.length ?? 0) > 0;
  const at = (cleat: string) => {
    const hand = handAt(setting, cleat);
    return hand === undefined ? {} : { by: hand };
  };
  const drop: OrderDocument = {
    do: 'anchor',
    after_s: 0,
    line: ANCHOR,
    how: 'drop',
    ...at(anchor.from),
  };
  const pass = (line: string, cleat: string, to: string, length_m: number): OrderDocument => ({
    do: 'pass',
    after_s: 0,
    line,
    to,
    how: crewed ? 'drop' : 'throw',
    ...at(cleat),
    length_m: tenth(length_m),
  });
  return {
    parameters: { ...base.parameters, late: tunable(0, 1, 0, 12) },
    write: (numbers) => {
      const plan = base.write(numbers);
      const added: Record<string, OrderDocument[]> = {
        astern: [
          { ...drop, after_s: tenth(numbers.late!) },
          call('let go the anchor; clear of the chain'),
        ],
        'stop-in': [{ ...fast(ANCHOR), ...at(anchor.from) }, call('hold the chain')],
      };
      const steps = plan.steps.slice(0, -1).map((one): StepDocument => ({
        ...one,
        orders: [...one.orders, ...(added[one.id] ?? [])],
      }));
      const stopped = plan.steps.at(-1)!;
      return {
        ...plan,
        steps: [
          ...steps,
          {
            ...stopped,
            title: 'neutral, windward stern line',
            orders: [
              engine('neutral'),
              wheel(0),
              call('windward stern line first'),
              pass('windward stern line', first.cleat, first.lead.name, first.lead.length),
            ],
            wayOut: {
              ...stopped.wayOut,
              note: 'no line on: heave the boat off on the chain, and come back',
            },
          },
          step(
            'leeward',
            'leeward stern line, heave taut',
            { is: 'line', line: 'windward stern line', state: 'fast' },
            [
              pass('leeward stern line', last.cleat, last.lead.name, last.lead.length),
              { ...haul(ANCHOR), ...at(anchor.from) },
              { ...fast(ANCHOR), ...at(anchor.from) },
            ],
            'heave the boat off on the chain',
            60,
          ),
        ],
        end: endOnLine('leeward stern line', 'fast', 40),
        lines: [
          anchor,
          lineOf('windward stern line', first.cleat, first.lead.length + 1, null, false),
          lineOf('leeward stern line', last.cleat, last.lead.length + 1, null, false),
        ],
      };
    },
  };
}

export const sternToOnAnchor = (setting: Setting): readonly PlanTemplate[] =>
  [swungIn(setting), backedIn(setting)].map((base) => onAnAnchor(setting, base));
