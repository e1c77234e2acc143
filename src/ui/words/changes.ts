import type { Change } from '@/core/debrief';
import type { Order } from '@/core/plan';
import { TIMESTEP_S } from '@/core/simulation';
import { DEGREES_PER_RADIAN } from '@/core/units';
import type { Boat, PlanDocument } from '@/document';
import { engineText, joystickText, thrusterText, wheelText } from './steps';
import { the } from './lines';
import { clock } from './units';
import { shareText } from './locks';

interface About {
  readonly boat: Boat;
  readonly plan: Pick<PlanDocument, 'lines' | 'crew'>;
}

const GEARS = { '1': 'ahead', '0': 'neutral', '-1': 'astern' } as const;
const HOW = {
  drop: 'dropped over',
  throw: 'thrown',
  carry: 'carried',
  haul: 'hauled',
  hold: 'held in the hand',
  turn: 'held on turns',
  keep: 'kept snug',
  fast: 'made fast',
  ease: 'eased',
} as const;

/** An order as the core has it, in words: "ahead 40 %", "wheel 20° starboard". */
export function coreOrderText(order: Order, { boat, plan }: About): string {
  const line = (index: number) => the(plan.lines[index]?.name ?? 'line');
  const who = (index: number) => plan.crew[index]?.name ?? 'somebody';
  switch (order.do) {
    case 'wheel':
      return wheelText(order.angle * DEGREES_PER_RADIAN);
    case 'steer':
      return `steering ${Math.round(order.heading * DEGREES_PER_RADIAN)}°`;
    case 'steerFor':
      return `steering for ${order.mark.name}`;
    case 'engine': {
      const several = boat.drives.length > 1 && order.engine !== null;
      const which = several ? `${boat.drives[order.engine!]?.name ?? 'engine'} ` : '';
      return which + engineText(GEARS[`${order.gear}`], order.throttle);
    }
    case 'thruster':
      return thrusterText(boat.thrusters[order.thruster]?.name ?? 'thruster', order.power);
    case 'joystick':
      return joystickText(order.ahead, order.sideways, order.twist);
    case 'pass':
    case 'tend':
      return `${line(order.line)} ${HOW[order.how]}`;
    case 'letGo':
      return `${line(order.line)} let go`;
    case 'anchor':
      return `${line(order.line)} ${order.how === 'drop' ? 'dropped' : 'weighed'}`;
    case 'stepAshore':
      return `${who(order.by)} ashore`;
    case 'stepAboard':
      return `${who(order.by)} aboard`;
    case 'go':
      return `${who(order.by)} to the ${order.point.name}`;
    case 'paddle':
      return `paddle ${order.paddle + 1} ${shareText(order.to)}`;
    case 'gates':
      return `${order.leaf === 'both' ? '' : `${order.leaf} leaf of the `}${order.end} gates ${order.to}`;
    case 'signal':
      return 'the sign to wind';
    case 'other':
      return `the other boat ${engineText(GEARS[`${order.gear}`], order.throttle)}`;
    case 'call':
      return `“${order.text}”`;
  }
}

const SURPRISES = {
  gust: 'a gust',
  veer: 'the wind’s veering',
  current: 'the current’s turning',
  'no astern': 'the gear that would not go astern',
  'thruster quits': 'the thruster that quit',
  'joystick fails': 'the joystick that failed',
  'line late': 'the line that came late',
  'line missed': 'the line that was missed',
  traffic: 'somebody in the way',
} as const;

/** What was otherwise, in one sentence: "neutral came 3.1 s later, at 0:12". */
export function changeText(change: Change, about: About): string {
  const at = (step: number) => clock(step * TIMESTEP_S);
  switch (change.is) {
    case 'moved': {
      const by = `${Math.abs(change.late).toFixed(1)} s ${change.late > 0 ? 'later' : 'sooner'}`;
      return `${coreOrderText(change.input.order, about)} came ${by}, at ${at(change.input.timestep)}`;
    }
    case 'other':
      return `${coreOrderText(change.input.order, about)} at ${at(change.input.timestep)}, not ${coreOrderText(change.reference.order, about)}`;
    case 'missing':
      return `no ${coreOrderText(change.reference.order, about)}, which was due at ${clock(Math.max(0, change.time))}`;
    case 'extra':
      return `${coreOrderText(change.input.order, about)} besides, at ${at(change.input.timestep)}`;
    case 'wind':
      return 'the wind was another';
    case 'current':
      return 'the current was another';
    case 'start':
      return 'it began from another place or heading';
    case 'surprise':
      return change.in === 'other'
        ? `${SURPRISES[change.surprise.is]} at ${clock(change.surprise.at)}`
        : `without ${SURPRISES[change.surprise.is]} of ${clock(change.surprise.at)}`;
  }
}
