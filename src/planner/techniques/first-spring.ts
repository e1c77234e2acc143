import { step, call, tunable, engine, tenth, wheel, type PlanTemplate } from '../template';
import { lineFigures } from '@/document/rigging-input';
import type { Boat } from '@/document/boat';
import type { RopeFigures } from '@/core/holding';
import { lieOf, lockOf, type Setting } from '../setting';
import { berthed, handAshore, handAt, leadsFrom, lineOf, type Lead } from './line-leads';
import type { OrderDocument } from '@/document/plan';
import { refusal, type Refusal } from '../refusals';

function firstSpring(setting: Setting): { cleat: string; lead: Lead } | null {
  const cleat = `${lieOf(setting).side} midship cleat`;
  const near = leadsFrom(setting, berthed(setting), cleat).filter(
    ({ ahead, starboard }) => ahead < 0.1 * setting.length && Math.abs(starboard) < 3,
  );
  if (near.length === 0) return null;
  // Thrown to somebody it may lead further aft than the boat comes close to.
  const wish = (handAshore(setting) ? -0.5 : -0.25) * setting.length;
  const off = ({ ahead }: Lead) => Math.abs(ahead - wish);
  return { cleat, lead: near.reduce((a, b) => (off(b) < off(a) ? b : a)) };
}

export const noFirstSpring = (setting: Setting): Refusal | null =>
  firstSpring(setting) ? null : refusal('no bollard near midships');

/** A spring to stop the boat on where it is to lie: what it leads from and to, and its length there, m. */
export interface StoppingSpring {
  readonly cleat: string;
  readonly to: string;
  readonly span: number;
  readonly rope: RopeFigures;
  /** With the water that moves with the boat, kg. */
  readonly mass: number;
}

/** The spring that would stop the boat at its berth, of its usual rope; null where none can lead aft there, or it goes off. */
export function stoppingSpringOf(setting: Setting, boat: Boat): StoppingSpring | null {
  if (!setting.lie) return null;
  const cleat = `${setting.lie.side} midship cleat`;
  // One that leads across holds the boat in; it does not stop it.
  const aft = leadsFrom(setting, berthed(setting), cleat).filter(
    ({ ahead, starboard }) => ahead < -1 && -ahead > Math.abs(starboard),
  );
  if (aft.length === 0) return null;
  const off = ({ ahead }: Lead) => Math.abs(ahead + 0.35 * setting.length);
  const lead = aft.reduce((a, b) => (off(b) < off(a) ? b : a));
  const { hull } = setting.boat;
  return {
    cleat,
    to: lead.name,
    span: lead.length,
    rope: lineFigures(lineOf('spring', cleat, lead.length, null, false), boat),
    mass: hull.mass * (1 + hull.addedSurge),
  };
}

/** The same way in, a spring measured before dropped on as the boat comes by, and idle ahead on it with the wheel to hold it. */
export function onToASpring(setting: Setting, base: PlanTemplate): PlanTemplate {
  const lie = lieOf(setting);
  const { cleat, lead } = firstSpring(setting)!;
  const lock = lockOf(setting);
  const by = handAt(setting, cleat);
  const thrown = handAshore(setting);
  return {
    parameters: {
      ...base.parameters,
      spring: tunable(
        lead.length,
        0.4,
        Math.max(0.8, 0.6 * lead.length),
        lead.length + 0.2 * setting.length,
      ),
      wheelShare: tunable(0.5, 0.2, 0, 1),
      seconds: tunable(45, 10, 15, 75),
    },
    write: (numbers) => {
      const [length, wheelShare, seconds] = [
        numbers.spring!,
        numbers.wheelShare!,
        numbers.seconds!,
      ];
      const plan = base.write(numbers);
      const pass: OrderDocument = {
        do: 'pass',
        after_s: 0,
        line: 'first spring',
        to: lead.name,
        how: thrown ? 'throw' : 'drop',
        ...(by === undefined ? {} : { by }),
        length_m: tenth(length),
      };
      // On while the boat's way comes off, so that it is fast as it stops.
      const stopping = plan.steps.length - 2;
      return {
        ...plan,
        steps: [
          ...plan.steps.map((one, i) =>
            i === stopping
              ? { ...one, orders: [...one.orders, pass] }
              : i === stopping + 1
                ? { ...one, orders: [engine('neutral'), wheel(0), call('is the spring on?')] }
                : one,
          ),
          step(
            'on-the-spring',
            'idle ahead on the spring',
            {
              is: 'all',
              of: [
                { is: 'line', line: 'first spring', state: 'fast' },
                { is: 'after', time_s: 1 },
              ],
            },
            [
              wheel(-lie.toward * lock * wheelShare),
              engine('ahead', 0, Math.max(setting.pause, setting.hardOver)),
            ],
            'neutral; the boat lies on its spring',
            45,
          ),
        ],
        end: { cue: { is: 'after', time_s: tenth(seconds) }, within_s: 90 },
        lines: [lineOf('first spring', cleat, length, null, false)],
      };
    },
  };
}
