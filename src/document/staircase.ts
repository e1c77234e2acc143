import {
  feed,
  joined,
  lockAtRest,
  outOfLock,
  standingOpen,
  type Lock,
  type LockState,
  type SitedLock,
} from '@/core/locks';
import { usualLock, type LockOfPlace, type LockWorking } from './lock';
import type { Locking } from './locking';

/** A lock that is worked: where it lies, how it is worked, and how it stands as the manoeuvre begins. */
export interface Worked extends Pick<Locking, 'set' | 'gates'> {
  readonly sited: SitedLock;
  readonly working: LockWorking;
}

/** Gates that two locks share lie in one place, within so much, m, and their chambers along one line (3°). */
const ONE_PLACE_M = 0.6;
const ONE_LINE = 0.9986;
const ONE_LEVEL_M = 0.02;

/** Why one lock cannot lie above another; null where it can. */
function amiss(upper: Worked, lower: Worked): string | null {
  const named = `'${upper.sited.name}'`;
  const gates = outOfLock(upper.sited, upper.sited.lock.length, 0);
  const [dx, dy] = [lower.sited.x - gates.x, lower.sited.y - gates.y];
  const line = upper.sited.east * lower.sited.east + upper.sited.north * lower.sited.north;
  if (Math.sqrt(dx * dx + dy * dy) > ONE_PLACE_M || line < ONE_LINE)
    return `its upper gates do not lie where the lower gates of ${named} are; move or turn one of them`;
  if (Math.abs(upper.working.lower_m - lower.working.upper_m) > ONE_LEVEL_M)
    return `its level above is not the level below of ${named}; make them one`;
  if (upper.working.tidal) return `${named} has the tide below it; take it from there`;
  if (lower.set === 'upper' && lower.gates === 'open')
    return `its upper gates are the lower gates of ${named}; say there that they stand open`;
  if (upper.set === 'lower' && upper.gates === 'open' && lower.set !== 'upper')
    return `the gates between it and ${named} do not stand open while it is set below`;
  return null;
}

const LEVELS = [
  'upper_m',
  'lower_m',
  'upperCill_m',
  'lowerCill_m',
  'floor_m',
  'coping_m',
] as const satisfies readonly (keyof LockWorking)[];

/**
 * How a lock is worked under another, whose lower gates and paddles are its upper ones; null for one by itself again, with the
 * usual paddles at its upper end.
 *
 * @param outline of its chamber, m
 */
export function underLock(
  { above: _before, ...working }: LockWorking,
  upper: LockOfPlace | null,
  outline: readonly (readonly [number, number])[],
): LockWorking {
  const own = working.paddles.filter(({ end }) => end === 'lower');
  if (upper) {
    // Let down as a whole, so that the water between the two is one.
    const by = upper.working.lower_m - working.upper_m;
    const levels = LEVELS.map((key) => [key, Math.round(1000 * (working[key] + by)) / 1000]);
    return {
      ...working,
      ...Object.fromEntries(levels),
      above: upper.name,
      upperArea_m2: null,
      paddles: own,
    };
  }
  const usual = usualLock(outline).paddles.filter(({ end }) => end === 'upper');
  return { ...working, paddles: [...usual, ...own] };
}

function beginning(lock: Lock, { set, gates }: Worked): LockState {
  const rest = lockAtRest(lock, set);
  return gates === 'open' ? standingOpen(lock, rest, set) : rest;
}

/** The locks that are worked, those one above the other made staircases; what is amiss with one is said by its number. */
export function inStaircase(
  works: readonly Worked[],
  say: (lock: number, message: string) => void,
): SitedLock[] {
  const sites = works.map(({ sited }) => sited);
  works.forEach((lower, i) => {
    const { above } = lower.working;
    if (above === undefined) return;
    const j = works.findIndex(({ sited }) => sited.name === above);
    if (j < 0 || j === i)
      return say(
        i,
        `'${above}' lies above it and shares its gates; put it under the locks as well`,
      );
    const upper = works[j]!;
    const wrong = amiss(upper, lower);
    if (wrong) return say(i, wrong);
    const locks = joined(sites[j]!.lock, sites[i]!.lock);
    const over = beginning(locks.upper, upper);
    const under = beginning(locks.lower, lower);
    over.lower = under.chamber;
    feed(locks.lower, under, locks.upper, over);
    sites[j] = { ...sites[j]!, lock: locks.upper, below: i, begins: over };
    sites[i] = { ...sites[i]!, lock: locks.lower, above: j, begins: under };
  });
  return sites;
}
