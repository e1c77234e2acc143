import type { HullPart, TouchGrade } from '../debrief';
import type { SimState } from '../sim';
import { Episode, type Surroundings } from './episode';
import { letGo } from './hands';

/** What she comes to touch if nobody does anything more. */
export interface InHand {
  /** Seconds until then. */
  readonly seconds: number;
  readonly name: string;
  readonly part: HullPart;
  /** Approach speed, m/s. */
  readonly speed: number;
  readonly grade: TouchGrade;
}

/** Beyond this nobody counts seconds. */
export const LONGEST_IN_HAND_S = 60;

/**
 * Time in hand from a moment: how long until she touches something, and what; null if nothing within a minute.
 *
 * @param hands whether the controls stay as they are, or go to neutral
 */
export function inHandFrom(
  about: Surroundings,
  from: SimState,
  hands: 'as they are' | 'neutral',
): InHand | null {
  const episode = new Episode(about, from);
  if (hands === 'neutral') letGo(episode);
  // Nobody steers any more either.
  episode.state.helm.active = false;
  if (!episode.until(() => episode.touchCount > 0, LONGEST_IN_HAND_S)) return null;
  const { name, part, speed, grade, time } = episode.touches[0]!;
  return { seconds: time - from.time, name, part, speed, grade };
}
