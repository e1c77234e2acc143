'use client';
import { useEffect, useRef } from 'react';
import type { OrderDocument } from '@/document';
import { isForCrew } from './for-crew';
import { useHelmPreferences } from './preferences';
import { useLive } from './use-live';

interface DueOrder {
  readonly at: number;
  readonly order: OrderDocument;
}

/**
 * The second seat taken by the plan: whoever handles lines, paddles and gates does at every step what it has them do, in its own
 * time, while the helm is at the controls.
 */
export function useCrewByPlan(): void {
  const live = useLive();
  const on = useHelmPreferences((p) => p.crewByPlan);
  const step = useRef(-1);
  const due = useRef<readonly DueOrder[]>([]);
  useEffect(() => {
    if (!on) return;
    const { steps } = live.file.plan;
    step.current = live.store.getState().now?.step ?? -1;
    due.current = [];
    return live.store.subscribe(({ now, status }, last) => {
      if (!now || now === last.now) return;
      // Gone back: what was to come is forgotten, and the steps come anew.
      if (last.now && now.time < last.now.time) {
        step.current = now.step;
        due.current = [];
        return;
      }
      for (let b = step.current + 1; b <= now.step; b++) {
        const orders = (steps[b]?.orders ?? []).filter(isForCrew);
        due.current = [
          ...due.current,
          ...orders.map((order) => ({ at: now.time + order.after_s, order })),
        ];
      }
      step.current = now.step;
      if (status !== 'running') return;
      const come = due.current.filter(({ at }) => at <= now.time + 1e-6);
      if (come.length === 0) return;
      due.current = due.current.filter(({ at }) => at > now.time + 1e-6);
      for (const { order } of come) live.say({ ...order, after_s: 0 });
    });
  }, [live, on]);
}
