import { useMemo } from 'react';
import type { SitedLock } from '@/core/locks';
import { workedLocks } from '@/document';
import { useWorkspace } from '../state/context';

/** The locks that are worked in the manoeuvre, where they lie, in its order, staircases joined. */
export function useWorkedLocks(): readonly SitedLock[] {
  const place = useWorkspace((s) => s.place);
  const locks = useWorkspace((s) => s.manoeuvre.locks);
  const level = useWorkspace((s) => s.manoeuvre.conditions.level);
  return useMemo(
    () => workedLocks({ locks, place }, { problems: [] }, level?.[0]?.level_m ?? 0),
    [place, locks, level],
  );
}
