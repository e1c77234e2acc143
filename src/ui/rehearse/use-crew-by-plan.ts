'use client';
import { useEffect } from 'react';
import { isForCrew } from './for-crew';
import { OrdersDue } from './orders-due';
import { useHelmPreferences } from './preferences';
import { useLive } from './use-live';

/**
 * The second seat taken by the plan: whoever handles lines, paddles and gates does at every step what it has them do, in its own
 * time, while the helm is at the controls.
 */
export function useCrewByPlan(): void {
  const live = useLive();
  const on = useHelmPreferences((p) => p.crewByPlan);
  useEffect(() => {
    if (!on) return;
    const { steps } = live.file.plan;
    const due = new OrdersDue(isForCrew);
    let step = live.store.getState().now?.step ?? -1;
    return live.store.subscribe(({ now, status }, last) => {
      if (!now || now === last.now) return;
      // Gone back: what was to come is forgotten, and the steps come anew.
      if (last.now && now.time < last.now.time) {
        step = now.step;
        due.forget();
        return;
      }
      for (const one of steps.slice(step + 1, now.step + 1)) due.begin(one, now.time);
      step = now.step;
      if (status === 'running') for (const order of due.come(now.time)) live.say(order);
    });
  }, [live, on]);
}
