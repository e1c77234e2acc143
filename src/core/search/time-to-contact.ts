import type { HullPart, TouchGrade } from '../monitors';
import { LONGEST_TIME_TO_CONTACT_S } from '../policy';
import type { SimState } from '../simulation';
import { Rollout, type Surroundings } from './rollout';
import { letGo } from './controls';

/** What the boat comes to touch, or what stops it, if nobody does anything more. */
export interface TimeToContact {
  /** Seconds until then. */
  readonly seconds: number;
  /** A thing the boat touches, the bottom, or a bridge that is too low for it. */
  readonly on: 'thing' | 'bottom' | 'bridge';
  readonly name: string;
  /** Of the boat; not known of what is caught under a bridge. */
  readonly part: HullPart | null;
  /** Approach speed, m/s; over ground on the bottom and under a bridge. */
  readonly speed: number;
  /** As a touch is graded; the bottom and a bridge count as hard. */
  readonly grade: TouchGrade;
}

/**
 * Time in hand from a moment: how long until the boat touches something, takes the ground or is caught under a bridge, and what it
 * is; null if nothing within a minute.
 *
 * @param hands whether the controls stay as they are, or go to neutral
 */
export function timeToContactFrom(
  about: Surroundings,
  from: SimState,
  hands: 'as they are' | 'neutral',
): TimeToContact | null {
  const rollout = new Rollout(about, from);
  if (hands === 'neutral') letGo(rollout);
  // Nobody steers any more either.
  rollout.state.helm.active = false;
  rollout.state.hand.active = false;
  const stopped = () => rollout.touchCount > 0 || rollout.aground || rollout.overhead !== null;
  if (!rollout.until(stopped, LONGEST_TIME_TO_CONTACT_S)) return null;
  const [touch] = rollout.touches;
  if (touch) {
    const { name, part, speed, grade, time } = touch;
    return { seconds: time - from.time, on: 'thing', name, part, speed, grade };
  }
  const then = {
    seconds: rollout.time - from.time,
    speed: rollout.overGround,
    grade: 'hard',
  } as const;
  const { overhead, deepest: part } = rollout;
  return overhead !== null
    ? { ...then, on: 'bridge', name: overhead, part: null }
    : { ...then, on: 'bottom', name: 'the bottom', part };
}
