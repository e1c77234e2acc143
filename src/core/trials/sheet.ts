import type { Craft } from '../boat';
import { MPS_PER_KNOT } from '../units';
import { canSteer, firmThrottle, HALF, hasDrive } from './open-water';
import {
  backAndFill,
  kickAhead,
  opposedEngines,
  turningCircle,
  type BackAndFill,
  type Circle,
  type Kick,
  type Opposed,
} from './turning';
import {
  aheadSteeringSpeed,
  asternSteeringSpeed,
  carryFrom,
  propWalk,
  steadySpeed,
  steeringRate,
  stopFrom,
  type Carry,
  type Stop,
  type Walk,
} from './way';
import {
  driftFrom,
  holdsBow,
  thrusterAgainstSpeed,
  type Drift,
  type HoldsBow,
  type ThrusterAt,
} from './wind';

/** What trials on open water say of a boat. SI, radians; null where it cannot do it. */
export interface Sheet {
  /** Throttle of a firm burst, share of the range above idle. */
  readonly firm: number;
  readonly speeds: {
    readonly idleAhead: number | null;
    readonly halfAhead: number | null;
    readonly idleAstern: number | null;
  };
  readonly stops: readonly { readonly from: number; readonly stop: Stop | null }[];
  /** From 2 to ½ kn in neutral. */
  readonly carry: Carry | null;
  readonly circles: {
    readonly aheadIdle: Circle | null;
    readonly aheadHalf: Circle | null;
    readonly asternIdle: Circle | null;
    readonly asternHalf: Circle | null;
  };
  readonly kick: Kick | null;
  readonly walk: Walk | null;
  readonly backAndFill: {
    readonly starboard: BackAndFill | null;
    readonly port: BackAndFill | null;
  };
  readonly opposed: Opposed | null;
  /** Least speeds that steer, and the rate of turn that counts as steering ahead, rad/s. */
  readonly steering: {
    readonly rate: number;
    readonly ahead: number | null;
    readonly astern: number | null;
  };
  readonly drifts: readonly Drift[];
  readonly thrusters: readonly { readonly name: string; readonly at: readonly ThrusterAt[] }[];
  readonly holds: HoldsBow;
}

/** Winds and angles off the bow the boat is let go in. */
export const SHEET_WINDS_KN = [5, 10, 15, 20, 25] as const;
const ANGLES = Array.from({ length: 13 }, (_, i) => (i * Math.PI) / 12);
/** Wind abeam: the angle a sheet's lines are of, rad. */
export const BEAM_ON = ANGLES[6]!;
/** Trials besides those in wind. */
const ONCE = 18;

/**
 * Runs every trial of a boat's sheet, in the order of the record.
 *
 * @param progress told the share done, 0 … 1, between trials
 * @param angles off the bow that the wind comes from, rad
 */
export function computeSheet(
  craft: Craft,
  progress: (share: number) => void = () => undefined,
  angles: readonly number[] = ANGLES,
): Sheet {
  const driven = hasDrive(craft);
  const steered = driven && canSteer(craft);
  let done = 0;
  const total = ONCE + SHEET_WINDS_KN.length * angles.length;
  const trial = <T>(can: boolean, run: () => T): T | null => {
    const result = can ? run() : null;
    done += 1;
    progress(done / total);
    return result;
  };
  const firm = firmThrottle(craft);
  // Big craft take their time, as the square root of their length.
  const settles = 150 * Math.max(1, Math.sqrt(craft.spec.hull.length / 15));
  const idleAhead = trial(driven, () => steadySpeed(craft, 1, 0));
  const halfAhead = trial(driven, () => steadySpeed(craft, 1, HALF));
  const idleAstern = trial(driven, () => steadySpeed(craft, -1, 0));
  const stops = [2, 3].map((knots) => {
    const from = knots * MPS_PER_KNOT;
    return { from, stop: trial(driven, () => stopFrom(craft, from)) };
  });
  const carry = trial(true, () => carryFrom(craft, 2 * MPS_PER_KNOT, 0.5 * MPS_PER_KNOT));
  const circles = {
    aheadIdle: trial(steered, () => turningCircle(craft, 1, 0, 1, idleAhead!)),
    aheadHalf: trial(steered, () => turningCircle(craft, 1, HALF, 1, halfAhead!)),
    asternIdle: trial(steered, () => turningCircle(craft, -1, 0)),
    asternHalf: trial(steered, () => turningCircle(craft, -1, HALF)),
  };
  const kick = trial(steered, () => kickAhead(craft));
  const walk = trial(driven, () => propWalk(craft));
  const filled = {
    starboard: trial(steered, () => backAndFill(craft, 1)),
    port: trial(steered, () => backAndFill(craft, -1)),
  };
  const opposed = trial(driven, () => opposedEngines(craft));
  const steering = {
    rate: steeringRate(craft),
    ahead: trial(steered, () => aheadSteeringSpeed(craft)),
    astern: trial(steered, () => asternSteeringSpeed(craft)),
  };
  const drifts = SHEET_WINDS_KN.flatMap((knots) =>
    angles.map((angle) =>
      trial(true, () => driftFrom(craft, knots * MPS_PER_KNOT, angle, settles))!,
    ),
  );
  const holds = trial(true, () => holdsBow(craft))!;
  return {
    firm,
    speeds: { idleAhead, halfAhead, idleAstern },
    stops,
    carry,
    circles,
    kick,
    walk,
    backAndFill: filled,
    opposed,
    steering,
    drifts,
    thrusters: craft.spec.thrusters.map(({ name }, i) => ({
      name,
      at: thrusterAgainstSpeed(craft, i),
    })),
    holds,
  };
}

/** Where the boat pivots, m forward of midships: at the first kick, in a steady turn ahead and astern; null where it does not turn. */
export interface Pivots {
  readonly kick: number | null;
  readonly ahead: number | null;
  readonly astern: number | null;
}

export function pivotsOf({ kick, circles }: Pick<Sheet, 'kick' | 'circles'>): Pivots {
  return {
    kick: kick && pivotOfKick(kick),
    ahead: circles.aheadIdle?.pivot ?? null,
    astern: circles.asternIdle?.pivot ?? null,
  };
}

const pivotOfKick = ({ turns, pivot }: Kick) => (turns ? pivot : null);

export function computePivots(craft: Craft): Pivots {
  if (!hasDrive(craft) || !canSteer(craft)) return { kick: null, ahead: null, astern: null };
  return {
    kick: pivotOfKick(kickAhead(craft, 1)),
    ahead: turningCircle(craft, 1, 0)?.pivot ?? null,
    astern: turningCircle(craft, -1, 0)?.pivot ?? null,
  };
}
