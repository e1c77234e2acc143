'use client';
import { useEffect, useRef } from 'react';
import type { OrderDocument } from '@/document';
import { isForCrew } from './for-crew';
import { useHelmPreferences } from './preferences';
import { useLive } from './use-live';

interface Due {
  readonly at: number;
  readonly order: OrderDocument;
}

/**
 * The second seat taken by the score: whoever handles lines, paddles and gates does at every beat what it has them do, in its own
 * time, while the helm is at the controls.
 */
export function useCrewByScore(): void {
  const live = useLive();
  const on = useHelmPreferences((p) => p.crewByScore);
  const beat = useRef(-1);
  const due = useRef<readonly Due[]>([]);
  useEffect(() => {
    if (!on) return;
    const { beats } = live.file.score;
    beat.current = live.store.getState().now?.beat ?? -1;
    due.current = [];
    return live.store.subscribe(({ now, status }, last) => {
      if (!now || now === last.now) return;
      // Gone back: what was to come is forgotten, and the beats come anew.
      if (last.now && now.time < last.now.time) {
        beat.current = now.beat;
        due.current = [];
        return;
      }
      for (let b = beat.current + 1; b <= now.beat; b++) {
        const orders = (beats[b]?.orders ?? []).filter(isForCrew);
        due.current = [
          ...due.current,
          ...orders.map((order) => ({ at: now.time + order.after_s, order })),
        ];
      }
      beat.current = now.beat;
      if (status !== 'running') return;
      const come = due.current.filter(({ at }) => at <= now.time + 1e-6);
      if (come.length === 0) return;
      due.current = due.current.filter(({ at }) => at > now.time + 1e-6);
      for (const { order } of come) live.say({ ...order, after_s: 0 });
    });
  }, [live, on]);
}
