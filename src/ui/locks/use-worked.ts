import { useMemo } from 'react';
import type { SitedLock } from '@/core/locks';
import { locksOfPlace, siteLock } from '@/document';
import { useWorkspace } from '../state/context';

/** The locks that are worked in the manoeuvre, where they lie, in its order. */
export function useWorkedLocks(): readonly SitedLock[] {
  const place = useWorkspace((s) => s.place);
  const locks = useWorkspace((s) => s.manoeuvre.locks);
  const level = useWorkspace((s) => s.manoeuvre.conditions.level);
  return useMemo(
    () =>
      locks.flatMap(({ lock, set, gates }) => {
        const known = locksOfPlace(place).find(({ name }) => name === lock);
        const sited = known && siteLock(known, set, gates, level?.[0]?.level_m ?? 0);
        return sited ? [sited] : [];
      }),
    [place, locks, level],
  );
}
