import { cos, sin } from '@/core/math';
import { degrees } from '../fields';
import { beat, call, dial, engine, tenth, wheel, type Draft } from './draft';
import { lieOf, type Setting } from './setting';
import { leadsFrom, lineOf, type Pose, type Lead } from './line-leads';
import type { Person } from '@/core/score';
import type { OrderDocument } from '../score';

/** Where she lies once her goal is reached. */
function berthed(setting: Setting): Pose {
  const { point, mark, heading } = lieOf(setting);
  const s = sin(heading);
  const c = cos(heading);
  return {
    x: mark.x - point.x * s - point.y * c,
    y: mark.y - point.x * c + point.y * s,
    heading,
  };
}

const distance = (a: { x: number; y: number }, b: { x: number; y: number }) =>
  Math.sqrt((a.x - b.x) * (a.x - b.x) + (a.y - b.y) * (a.y - b.y));

/** Is somebody ashore to catch a line? */
const handAshore = ({ input }: Setting): boolean =>
  input.rigging?.crew.some(({ at }) => !at.aboard) ?? false;

/** Whoever is nearest to a cleat aboard and not at the helm, by name. */
function handAt({ input, boat }: Setting, cleat: string): string | undefined {
  const point = boat.points.find(({ name }) => name === cleat);
  const far = ({ at }: Person) => (point && at.aboard ? distance(at.point, point) : Infinity);
  const hands = input.rigging?.crew.filter(({ at }) => at.aboard && at.point.name !== 'helm') ?? [];
  if (hands.length === 0) return undefined;
  return hands.reduce((a, b) => (far(b) < far(a) ? b : a)).name;
}

function firstSpring(setting: Setting): { cleat: string; lead: Lead } | null {
  const cleat = `${lieOf(setting).side} midship cleat`;
  const near = leadsFrom(setting, berthed(setting), cleat).filter(
    ({ ahead, starboard }) => ahead < 0.1 * setting.length && Math.abs(starboard) < 3,
  );
  if (near.length === 0) return null;
  // Thrown to somebody it may lead further aft than she comes close to.
  const wish = (handAshore(setting) ? -0.5 : -0.25) * setting.length;
  const off = ({ ahead }: Lead) => Math.abs(ahead - wish);
  return { cleat, lead: near.reduce((a, b) => (off(b) < off(a) ? b : a)) };
}

export const noFirstSpring = (setting: Setting): string | null =>
  firstSpring(setting)
    ? null
    : 'no bollard or pile stands within reach of her midship cleat where she is to lie';

/** The same way in, a spring measured before dropped on as she comes by, and idle ahead on it with the wheel to hold her. */
export function onToASpring(setting: Setting, base: Draft): Draft {
  const lie = lieOf(setting);
  const { cleat, lead } = firstSpring(setting)!;
  const lock = Math.floor(degrees(setting.craft.limits[0]!));
  const away = setting.steered ? 1 : -1;
  const by = handAt(setting, cleat);
  const thrown = handAshore(setting);
  return {
    dials: [
      ...base.dials,
      dial(lead.length, 0.4, Math.max(0.8, 0.6 * lead.length), lead.length + 0.2 * setting.length),
      dial(0.5, 0.2, 0, 1),
      dial(45, 10, 15, 75),
    ],
    write: (values) => {
      const [length, wheelShare, seconds] = values.slice(-3) as [number, number, number];
      const score = base.write(values.slice(0, -3));
      const pass: OrderDocument = {
        do: 'pass',
        after_s: 0,
        line: 'first spring',
        to: lead.name,
        how: thrown ? 'throw' : 'drop',
        ...(by === undefined ? {} : { by }),
        length_m: tenth(length),
      };
      // On while her way comes off, so that it is fast as she stops.
      const stopping = score.beats.length - 2;
      return {
        ...score,
        beats: [
          ...score.beats.map((one, i) =>
            i === stopping
              ? { ...one, orders: [...one.orders, pass] }
              : i === stopping + 1
                ? { ...one, orders: [engine('neutral'), wheel(0), call('is the spring on?')] }
                : one,
          ),
          beat(
            'on-the-spring',
            'idle ahead on the spring',
            {
              is: 'all',
              of: [
                { is: 'line', line: 'first spring', state: 'fast' },
                { is: 'after', seconds: 1 },
              ],
            },
            [
              wheel(away * lie.toward * lock * wheelShare),
              engine('ahead', 0, Math.max(setting.pause, setting.hardOver)),
            ],
            'neutral; she lies on her spring',
            45,
          ),
        ],
        end: { cue: { is: 'after', seconds: tenth(seconds) }, within_s: 90 },
        lines: [lineOf('first spring', cleat, length, null, false)],
      };
    },
  };
}
