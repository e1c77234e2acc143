import { playRecording, trafficOf, withSurprises, type Recording, type Traffic } from '../drive';
import type { ControlOrder, Order, RunInput, Run } from '../plan';
import { lastWayOut, Surroundings, waysOutFrom, type WayOutAt } from '../search';
import { cos, sin } from '../math';
import { WAYS_OUT_EVERY_S } from '../policy';
import { type Gear, type SimState, type Trace, type World } from '../simulation';

const MOST_WAYS = 60;

/** An order as it was given. */
export interface Given<T extends Order = Order> {
  readonly time: number;
  readonly order: T;
}

/** A stretch of time in which an engine drove one way. */
export interface Driving {
  readonly engine: number;
  readonly gear: Exclude<Gear, 0>;
  readonly from: number;
  readonly to: number;
}

/** What the rules look at: a run, where it was driven, and what was done in it. SI, radians. */
export interface Review {
  readonly input: RunInput;
  readonly world: World;
  readonly run: Run;
  readonly trace: Trace;
  readonly orders: readonly Given[];
  readonly driving: readonly Driving[];
  /** Everybody else under way. */
  readonly traffic: readonly Traffic[];
  /** Numbers of what is the boat's berth. */
  readonly berth: ReadonlySet<number>;
  /** The way out at moments all over it, and the last there was. */
  readonly ways: readonly WayOutAt[];
  readonly lastWayOut: WayOutAt | null;
}

/** Sample at or before a time. */
export function sampleAt({ time }: Trace, at: number): number {
  let low = 0;
  let high = time.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (time[middle]! <= at + 1e-9) low = middle;
    else high = middle - 1;
  }
  return low;
}

export function poseAt({ x, y, heading }: Trace, i: number) {
  return { x: x[i]!, y: y[i]!, heading: heading[i]! };
}

/** Way over ground along the boat's heading, m/s, from where it was a moment before and after. */
export function alongAt(trace: Trace, i: number): number {
  const a = Math.max(0, i - 1);
  const b = Math.min(trace.time.length - 1, i + 1);
  const dt = trace.time[b]! - trace.time[a]!;
  if (!(dt > 0)) return 0;
  const psi = trace.heading[i]!;
  const east = (trace.x[b]! - trace.x[a]!) / dt;
  const north = (trace.y[b]! - trace.y[a]!) / dt;
  return east * sin(psi) + north * cos(psi);
}

/** Orders of one kind, in their order. */
export function ordersOf<D extends ControlOrder['do']>(
  { orders }: Pick<Review, 'orders'>,
  what: D,
): Given<Extract<ControlOrder, { do: D }>>[] {
  return orders.filter(
    (given): given is Given<Extract<ControlOrder, { do: D }>> => given.order.do === what,
  );
}

/** When each engine drove, and which way, from its gear as it was. */
function drivingOf({ time, engines }: Trace): Driving[] {
  const all: Driving[] = [];
  engines.forEach(({ gear }, engine) => {
    let from = 0;
    for (let i = 1; i <= gear.length; i++) {
      if (i < gear.length && gear[i] === gear[from]) continue;
      const way = gear[from]!;
      if (way !== 0)
        all.push({
          engine,
          gear: way > 0 ? 1 : -1,
          from: time[from]!,
          to: time[Math.min(i, gear.length - 1)]!,
        });
      from = i;
    }
  });
  return all.sort((a, b) => a.from - b.from);
}

/** Plays a driven run again and gets together what the rules look at. */
export function reviewOf(input: RunInput, recording: Recording): Review {
  const surprised = withSurprises(input, recording.surprises);
  const about = new Surroundings(surprised);
  const states: SimState[] = [];
  const every = Math.max(WAYS_OUT_EVERY_S, (recording.timesteps * 0.1) / MOST_WAYS);
  let next = 0;
  const { run } = playRecording(input, recording, recording.timesteps, (state) => {
    if (state.time + 1e-9 < next) return;
    next += every;
    states.push(about.copyOf(state));
  });
  const ways = waysOutFrom(about, states);
  const { world, berth } = about;
  const { trace } = run;
  return {
    input,
    world,
    run,
    trace,
    orders: run.events.flatMap((event) =>
      event.is === 'order' ? [{ time: event.time, order: event.order }] : [],
    ),
    traffic: trafficOf(recording),
    driving: drivingOf(trace),
    berth,
    ways,
    lastWayOut: lastWayOut(ways),
  };
}

/** Speed through the water at a moment, m/s. */
export function waterSpeedAt(trace: Trace, time: number): number {
  const i = sampleAt(trace, time);
  const u = trace.surge[i]!;
  const v = trace.sway[i]!;
  return Math.sqrt(u * u + v * v);
}
