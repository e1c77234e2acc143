import { NEVER_TOO_FAST_MPS, ROOM_THAT_IS_NONE_M } from '../../policy';
import { roomAlong } from '../../search';
import { firmThrottle, stopFrom } from '../../trials';
import { alongAt, poseAt, type Review } from '../context';

/** Speeds the boat's stopping way is worked out for, m/s; between them by straight lines. */
const SPEED_STEP_MPS = 0.25;
const EVERY = 3;

/** A moment at which the boat could not be stopped any more in the room there was. */
export interface Overrun {
  readonly time: number;
  readonly speed: number;
  readonly room: number;
  readonly needs: number;
  readonly obstacle: number;
  readonly way: 1 | -1;
}

const known = new WeakMap<Review, readonly Overrun[]>();

/** Moments at which what a firm burst against the boat's way needs to stop it is more than the room ahead; its berth left out. */
export function overruns(review: Review): readonly Overrun[] {
  const before = known.get(review);
  if (before) return before;
  const { trace, world, berth } = review;
  const { craft, shore } = world;
  const throttle = firmThrottle(craft);
  const table: number[] = [];
  const needs = (speed: number) => {
    const at = speed / SPEED_STEP_MPS;
    const low = Math.floor(at);
    const of = (i: number) =>
      (table[i] ??=
        i === 0 ? 0 : (stopFrom(craft, i * SPEED_STEP_MPS, throttle)?.distance ?? Infinity));
    return of(low) + (at - low) * (of(low + 1) - of(low));
  };
  const found: Overrun[] = [];
  for (let i = 0; i < trace.time.length; i += EVERY) {
    const along = alongAt(trace, i);
    const speed = Math.abs(along);
    // What the boat lies against already was struck before.
    if (speed < NEVER_TOO_FAST_MPS || trace.clearance[i]! < ROOM_THAT_IS_NONE_M) continue;
    const way = along > 0 ? 1 : -1;
    const most = needs(speed);
    if (!Number.isFinite(most)) continue;
    const { distance: room, obstacle } = roomAlong(
      craft,
      shore,
      berth,
      poseAt(trace, i),
      way,
      most,
    );
    if (obstacle < 0) continue;
    found.push({ time: trace.time[i]!, speed, room, needs: most, obstacle, way });
  }
  known.set(review, found);
  return found;
}
