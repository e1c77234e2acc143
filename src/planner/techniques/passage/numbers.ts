import { hardest } from '../arrive';
import { tunable } from '../../template';
import type { Setting } from '../../setting';
import type { PassageLie } from './lie';

/** What a passage is tuned by: throttle in and out, where the boat goes out of gear and astern, how hard, how far off the wall. */
export interface PassageNumbers {
  readonly slow: number;
  readonly turned: number;
  readonly stop: number;
  readonly back: number;
  readonly angle?: number;
  readonly nextStop?: number;
}

/** The same with their bounds, as a fit begins with them. */
export function passageParameters(setting: Setting, lies: readonly PassageLie[]) {
  const { length } = setting;
  const { over, ahead, sited } = lies[0]!;
  // Along the wall the boat's bow passes what it steered for; measured to the far gates it does not matter.
  const room = sited.lock.length;
  const next = lies[1];
  return {
    // Dead slow, in and out.
    slow: tunable(0.03, 0.04, 0, 0.2),
    turned: over
      ? tunable(0.7 * length, 1.5, 3, 1.6 * length)
      : tunable(ahead + 0.6 * length, 2, ahead + 1, room),
    stop: tunable(ahead + 0.15 * length, 0.8, ahead, ahead + 0.8 * length),
    back: tunable(0.35, 0.08, 0.1, hardest(setting)),
    ...(over ? { angle: tunable(5, 2, -4, 14) } : {}),
    // From one chamber to the next the boat has less way on.
    ...(next
      ? { nextStop: tunable(next.ahead + 0.1 * length, 0.8, next.ahead, next.ahead + length) }
      : {}),
  };
}
