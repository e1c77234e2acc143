'use client';
import type { Run } from '@/core/plan';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { usePreferences, type Up } from '../state/preferences';
import { readAt } from './sample';

/** What can be up here: a berth is there only where the boat is to lie in one. */
export function useUpWays(): readonly Up[] {
  const berth = useWorkspace((s) => s.manoeuvre.goal.is === 'lie');
  return berth ? ['north', 'boat', 'berth'] : ['north', 'boat'];
}

/**
 * Which bearing points up the screen, radians; and where the boat is, m, if the view goes with it.
 */
export function useUp(run: Pick<Run, 'trace'> | null): {
  readonly up: number;
  readonly her: { readonly x: number; readonly y: number } | null;
} {
  const ways = useUpWays();
  const wanted = usePreferences((p) => p.up);
  const way = ways.includes(wanted) ? wanted : 'north';
  const goal = useWorkspace((s) => s.manoeuvre.goal);
  const start = useWorkspace((s) => s.manoeuvre.start);
  const time = usePlayhead((p) => (way === 'boat' ? p.time : 0));
  if (way === 'berth' && goal.is === 'lie')
    return { up: (goal.heading_deg * Math.PI) / 180, her: null };
  if (way !== 'boat') return { up: 0, her: null };
  if (!run || run.trace.time.length === 0)
    return { up: (start.heading_deg * Math.PI) / 180, her: { x: start.x_m, y: start.y_m } };
  return {
    up: readAt(run, 'heading', time),
    her: { x: readAt(run, 'x', time), y: readAt(run, 'y', time) },
  };
}
