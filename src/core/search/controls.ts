import { orderEngine, orderRudder, orderThruster, releaseJoystick, type Gear } from '../simulation';
import type { Rollout } from './rollout';

/** Every engine to a gear and throttle; takes the boat from the joystick. */
export function engines({ state, world: { craft } }: Rollout, gear: Gear, throttle: number): void {
  if (state.joystick.active) releaseJoystick(state, craft);
  state.hand.active = false;
  state.engines.forEach((engine, i) => orderEngine(engine, craft.spec.drives[i]!, gear, throttle));
}

/** Share of the lock, starboard positive. */
export function wheel({ state, world: { craft } }: Rollout, share: number): void {
  state.helm.active = false;
  orderRudder(state, craft, share * craft.limits[0]!);
}

/** Engines to neutral and thrusters off, the wheel left where it is. */
export function letGo(rollout: Rollout): void {
  const { state, world } = rollout;
  engines(rollout, 0, 0);
  state.helm.active = false;
  state.thrusters.forEach((thruster, i) =>
    orderThruster(thruster, world.craft.spec.thrusters[i]!, 0),
  );
}
