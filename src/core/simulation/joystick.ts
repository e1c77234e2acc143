import { allocate, type Effector } from '../control';
import { DRIVE, DRIVE_COLUMNS, type Craft } from '../boat';
import { atan2, sin } from '../math';
import { orderEngine, orderThruster } from './actuators';
import type { EngineState, SimState } from './state';

/** How often a joystick's computer looks and orders anew, s. */
export const JOYSTICK_PERIOD_S = 0.2;
/** Throttle a joystick allows itself, share of the range above idle. */
const MOST_THROTTLE = 0.5;
/** Seconds of idle thrust owed before it clicks a gear in. */
const CLICK_S = 0.6;

/** Thrust of a drive at rest, N, at revolutions n (1/s), by the sign of n. */
function staticThrust(craft: Craft, drive: number, rps: number, density: number): number {
  const at = drive * DRIVE_COLUMNS;
  const column = rps >= 0 ? DRIVE.AHEAD_SQUARED : DRIVE.ASTERN_SQUARED;
  return density * craft.drives.values[at + column]! * rps * Math.abs(rps);
}

/** One thing a joystick moves: a whole drive, the side part of a steered drive, or a thruster. */
interface Moved extends Effector {
  readonly drive: number;
  readonly thruster: number;
  readonly part: 'along' | 'across';
}

/** What a joystick may move on a boat, with limits at rest, N. */
export function joystickEffectors(craft: Craft, density: number): Moved[] {
  const moved: Moved[] = [];
  craft.spec.drives.forEach((d, i) => {
    const top = d.idleRps + MOST_THROTTLE * (Math.min(d.fullRps, d.bollardRps) - d.idleRps);
    const most = staticThrust(craft, i, top, density);
    const least = staticThrust(craft, i, -top, density);
    moved.push({
      surge: 1,
      sway: 0,
      yaw: -d.y,
      least,
      most,
      drive: i,
      thruster: -1,
      part: 'along',
    });
    if (d.steering !== 'own') return;
    const side = sin(craft.spec.steering.driveLimit) * Math.min(most, -least);
    moved.push({
      surge: 0,
      sway: 1,
      yaw: d.x,
      least: -side,
      most: side,
      drive: i,
      thruster: -1,
      part: 'across',
    });
  });
  craft.spec.thrusters.forEach((t, i) => {
    const { thrust, x } = t;
    moved.push({
      surge: 0,
      sway: 1,
      yaw: x,
      least: -thrust,
      most: thrust,
      drive: -1,
      thruster: i,
      part: 'across',
    });
  });
  return moved;
}

/** Ahead, astern or a click between, so that over time the engine gives the thrust wanted. */
function give(
  engine: EngineState,
  craft: Craft,
  drive: number,
  wanted: number,
  density: number,
): void {
  const spec = craft.spec.drives[drive]!;
  const way = wanted >= 0 ? 1 : -1;
  const idle = Math.abs(staticThrust(craft, drive, way * spec.idleRps, density));
  const size = Math.abs(wanted);
  if (size >= idle) {
    const full = Math.abs(staticThrust(craft, drive, way * spec.fullRps, density));
    const rps = spec.fullRps * Math.sqrt(size / full);
    const throttle = (rps - spec.idleRps) / (spec.fullRps - spec.idleRps);
    orderEngine(engine, spec, way, Math.max(0, Math.min(MOST_THROTTLE, throttle)));
    engine.owed = 0;
    return;
  }
  const given = engine.engaged === 0 ? 0 : engine.engaged * idle;
  engine.owed += (wanted - given) * JOYSTICK_PERIOD_S;
  const owedWay = engine.owed >= 0 ? 1 : -1;
  if (engine.orderedGear === 0) {
    if (Math.abs(engine.owed) > CLICK_S * idle && idle > 0) orderEngine(engine, spec, owedWay, 0);
  } else if (engine.orderedGear !== owedWay || Math.abs(engine.owed) < 0.05 * idle) {
    orderEngine(engine, spec, 0, 0);
  } else {
    orderEngine(engine, spec, engine.orderedGear, 0);
  }
}

/** Levels the joystick off: engines to neutral, thrusters still. */
export function releaseJoystick(state: SimState, craft: Craft): void {
  state.joystick.active = false;
  state.engines.forEach((engine, i) => orderEngine(engine, craft.spec.drives[i]!, 0, 0));
  state.thrusters.forEach((t, i) => orderThruster(t, craft.spec.thrusters[i]!, 0));
  for (let c = 0; c < craft.channels; c++) state.ordered[c] = 0;
}

/**
 * A joystick's computer, looking every JOYSTICK_PERIOD_S: shares the wanted surge, sway and yaw over
 * what the boat has (control/allocate.ts), without knowing wind, current or way on; then orders gears,
 * throttles, drive angles and thrusters, which have their steps and delays. So it pulses below idle
 * thrust, saturates, and loses the bow to the wind.
 */
export function lookJoystick(state: SimState, craft: Craft, density: number): void {
  const { joystick } = state;
  const moved = joystickEffectors(craft, density);
  const sum = (pick: (m: Moved) => number) => moved.reduce((s, m) => s + pick(m), 0);
  const ahead = sum((m) => (m.surge !== 0 ? m.most : 0));
  const astern = -sum((m) => (m.surge !== 0 ? m.least : 0));
  const side = sum((m) => (m.sway !== 0 ? m.most : 0));
  const turn = sum((m) => Math.abs(m.yaw) * Math.min(m.most, -m.least));
  const lever = craft.spec.hull.length / 4;
  const shares = allocate(
    moved,
    joystick.surge * (joystick.surge >= 0 ? ahead : astern),
    joystick.sway * side,
    joystick.yaw * turn,
    lever,
  );
  const along = new Float64Array(craft.spec.drives.length);
  const across = new Float64Array(craft.spec.drives.length);
  moved.forEach((m, i) => {
    if (m.thruster >= 0) {
      const spec = craft.spec.thrusters[m.thruster]!;
      const share = spec.thrust > 0 ? shares[i]! / spec.thrust : 0;
      const power = share >= 0 ? Math.sqrt(share) : -Math.sqrt(-share);
      orderThruster(state.thrusters[m.thruster]!, spec, power);
    } else if (m.part === 'along') along[m.drive] = shares[i]!;
    else across[m.drive] = shares[i]!;
  });
  state.ordered[0] = 0;
  craft.spec.drives.forEach((d, i) => {
    const c = craft.driveChannel[i]!;
    const limit = craft.limits[c]!;
    const x = along[i]!;
    const y = across[i]!;
    const thrust = Math.sqrt(x * x + y * y);
    if (d.steering !== 'own') {
      give(state.engines[i]!, craft, i, x, density);
      return;
    }
    // Side thrust to starboard wants the leg turned so that it pushes that way, ahead or astern.
    const way = x >= 0 ? 1 : -1;
    const angle = thrust > 0 ? atan2(-way * y, Math.abs(x)) : 0;
    state.ordered[c] = Math.max(-limit, Math.min(limit, angle));
    give(state.engines[i]!, craft, i, way * thrust, density);
  });
}
