'use client';
import { useMemo } from 'react';
import type { TechniqueSubject } from '@/planner';
import { useWorkspace } from '../state/context';

/** What of the manoeuvre says which techniques it may be done by: dragging the wind makes no other. */
export function useSubject(): TechniqueSubject {
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  const start = useWorkspace((s) => s.manoeuvre.start);
  const goal = useWorkspace((s) => s.manoeuvre.goal);
  const berth = useWorkspace((s) => s.manoeuvre.berth);
  const others = useWorkspace((s) => s.manoeuvre.others);
  const locks = useWorkspace((s) => s.manoeuvre.locks);
  const limit_s = useWorkspace((s) => s.manoeuvre.limit_s);
  const crew = useWorkspace((s) => s.manoeuvre.plan.crew);
  const current = useWorkspace((s) => s.manoeuvre.conditions.current);
  const level = useWorkspace((s) => s.manoeuvre.conditions.level);
  return useMemo(
    () => ({
      boat,
      place,
      start,
      goal,
      berth,
      others,
      locks,
      limit_s,
      crew,
      current,
      ...(level ? { level } : {}),
    }),
    [boat, place, start, goal, berth, others, locks, limit_s, crew, current, level],
  );
}
