import {
  orderEngine,
  othersOf,
  orderRudder,
  orderThruster,
  releaseJoystick,
  steerFor,
  steerHeading,
  type SimState,
  type World,
} from '../simulation';
import { markNow } from './marks';
import type { ControlOrder, HandsOrder, Order } from './types';

const HANDS: ReadonlySet<Order['do']> = new Set([
  'pass',
  'tend',
  'letGo',
  'anchor',
  'stepAshore',
  'stepAboard',
  'go',
  'lock',
]);

/** Is it for hands on lines rather than for the helm? */
export function isForHands(order: Order): order is HandsOrder {
  return HANDS.has(order.do);
}

function steerForMark(
  { mark, first }: Extract<ControlOrder, { do: 'steerFor' }>,
  state: SimState,
): void {
  const { x, y } = markNow(state, mark);
  steerFor(state, x, y, first === 'stern');
}

/** What another boat's own helm does. */
function getUnderWay(
  { boat, gear, throttle, heading, mark }: Extract<ControlOrder, { do: 'other' }>,
  state: SimState,
  world: World,
): void {
  const other = othersOf(world)[boat - 1];
  const hers = state.others[boat - 1];
  if (!other || !hers) return;
  const { drives } = other.world.craft.spec;
  hers.engines.forEach((engine, i) => orderEngine(engine, drives[i]!, gear, throttle));
  if (mark) {
    const { x, y } = markNow(state, mark);
    steerFor(hers, x, y, false);
  } else if (heading !== null) steerHeading(hers, heading);
}

/** Does what an order says to the boat's controls. Any other control takes the boat from the joystick. */
export function obey(order: ControlOrder, state: SimState, world: World): void {
  if (order.do === 'call' || order.do === 'signal') return;
  if (order.do === 'other') return getUnderWay(order, state, world);
  const { craft } = world;
  const { joystick } = state;
  if (order.do === 'joystick') {
    joystick.active = craft.spec.joystick;
    joystick.surge = order.surge;
    joystick.sway = order.sway;
    joystick.yaw = order.yaw;
    joystick.looksIn = 0;
    state.helm.active = false;
    return;
  }
  if (joystick.active) releaseJoystick(state, craft);
  switch (order.do) {
    case 'steer':
      steerHeading(state, order.heading);
      return;
    case 'steerFor':
      steerForMark(order, state);
      return;
    case 'wheel':
      state.helm.active = false;
      orderRudder(state, craft, order.angle);
      return;
    case 'engine':
      state.engines.forEach((engine, i) => {
        if (order.engine !== null && order.engine !== i) return;
        orderEngine(engine, craft.spec.drives[i]!, order.gear, order.throttle);
      });
      return;
    case 'thruster': {
      const thruster = state.thrusters[order.thruster];
      const spec = craft.spec.thrusters[order.thruster];
      if (thruster && spec) orderThruster(thruster, spec, order.power);
      return;
    }
  }
}
