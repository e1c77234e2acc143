'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import {
  copyLock,
  lockAtRest,
  orderLock,
  workLock,
  type End,
  type Lock,
  type LockOrder,
  type LockRefusal,
  type LockState,
} from '@/core/locks';

const FRAME_MOST_S = 0.1;

/** A lock being worked: its state as it runs, and orders to it. */
export function useLockRun(lock: Lock) {
  const [state, setState] = useState<LockState>(() => lockAtRest(lock, 'lower'));
  const [pace, setPace] = useState(0);
  const [refused, setRefused] = useState<LockRefusal | null>(null);
  const now = useRef(state);
  useEffect(() => {
    if (pace === 0) return;
    let frame = 0;
    let last = performance.now();
    const run = (at: number) => {
      const dt = Math.min(FRAME_MOST_S, (at - last) / 1000);
      last = at;
      const next = copyLock(now.current);
      if (dt > 0) workLock(lock, next, pace * dt);
      now.current = next;
      setState(next);
      frame = requestAnimationFrame(run);
    };
    frame = requestAnimationFrame(run);
    return () => cancelAnimationFrame(frame);
  }, [lock, pace]);
  const put = useCallback((next: LockState) => {
    now.current = next;
    setState(next);
  }, []);
  return useMemo(
    () => ({
      state,
      pace,
      refused,
      setPace,
      order: (order: LockOrder) => {
        const next = copyLock(now.current);
        setRefused(orderLock(lock, next, order));
        put(next);
      },
      reset: (set: End) => {
        setRefused(null);
        setPace(0);
        put(lockAtRest(lock, set));
      },
    }),
    [state, pace, refused, lock, put],
  );
}
