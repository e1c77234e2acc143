import { releaseJoystick, type SimState, type World } from '../simulation';
import { ORDERS, type ControlOrder } from './orders';

/** Does what an order says to the boat's controls. Any other control takes the boat from the joystick. */
export function applyOrder(order: ControlOrder, state: SimState, world: World): void {
  const definition = ORDERS[order.do];
  if (definition.by === 'voice') return;
  if (definition.by === 'helm' && !('keepsJoystick' in definition) && state.joystick.active)
    releaseJoystick(state, world.craft);
  (definition.apply as (order: ControlOrder, state: SimState, world: World) => void)(
    order,
    state,
    world,
  );
}
