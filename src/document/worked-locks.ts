import type { SitedLock } from '@/core/locks';
import { siteLock } from './lock';
import { locksOfPlace } from './lock-sites';
import type { ManoeuvreFile } from './manoeuvre';
import type { Names } from './names';
import { inStaircase } from './staircase';

/**
 * Locks that are worked, where they lie, staircases joined; what is amiss with them is noted in `names`.
 *
 * @param below level of a tidal lock's lower water as it begins, m
 */
export function workedLocks(
  { locks, place }: Pick<ManoeuvreFile, 'locks' | 'place'>,
  names: Pick<Names, 'problems'>,
  below: number,
): SitedLock[] {
  const sites = locks.flatMap(({ lock, set, gates }, i) => {
    const path = `locks[${i}].lock`;
    const say = (message: string) => names.problems.push({ path, message });
    const known = locksOfPlace(place).find(({ name }) => name === lock);
    if (!known) {
      say(`the place has no lock called '${lock}' whose gates and paddles are known`);
      return [];
    }
    const sited = siteLock(known, set, gates, below);
    if (!sited) {
      say(
        `nobody has said which way is up-stream in '${lock}'; give its upstream_deg in the place`,
      );
      return [];
    }
    if (sited.lock.lower.level >= sited.lock.upper.level) {
      say(`the tide stands over the water above '${lock}'; take another hour`);
      return [];
    }
    return [sited];
  });
  // What is amiss with one of them is said before.
  if (sites.length < locks.length) return sites;
  const known = locksOfPlace(place);
  const works = sites.map((sited, i) => ({
    sited,
    working: known.find(({ id }) => id === sited.id)!.working,
    ...locks[i]!,
  }));
  return inStaircase(works, (i, message) =>
    names.problems.push({ path: `locks[${i}].lock`, message }),
  );
}
