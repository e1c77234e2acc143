import type { HoldsBow, HoldsHer, Walk } from '../trials';
import type { CarryHere, StopHere, TurnHere } from './capabilities';
import type { DriftFrom, EnvironmentForce } from './environment-force';

/** Lying where the boat is to lie, or where it starts from. */
export interface PushedWhere {
  readonly where: 'start' | 'berth';
  readonly push: EnvironmentForce;
  readonly letGo: DriftFrom;
  /** Seconds into the run. */
  readonly at: number;
}

/** What the boat can do here, in this wind and current. */
export interface Capabilities {
  /** From the speed the boat has two lengths off, or the fastest of the run; null where it has no way on. */
  readonly stop: StopHere | null;
  /** The same with the engine idling astern. */
  readonly gentle: StopHere | null;
  readonly carry: CarryHere | null;
  /** Prop walk alone: heading change by astern from rest in calm water. */
  readonly walk: Walk | null;
  /** Half a turn on the spot where the run turns most of all places with room, both ways; none without engine or room. */
  readonly turnsAt: number | null;
  readonly turns: readonly TurnHere[];
  /** Winds abeam that the boat's means can hold the bow against (see trials). */
  readonly holds: HoldsBow & HoldsHer;
}
