'use client';
import { useEffect, useRef, useState } from 'react';
import type { LockOutlook } from '@/core/locks';
import type { Given } from '@/workers';
import { useNewest } from '../hooks/use-look';

/** A lock that runs is looked into so often, ms: what is told does not jump faster than one can read. */
const EVERY_MS = 200;

type Asked = Given<'lockOutlook'> | null;

/** Does nothing speak for looking again? The same lock at the same moment, its paddles wound the same, the boat where it was. */
const alike = (a: Asked, b: Asked): boolean =>
  a === b ||
  (a !== null &&
    b !== null &&
    a.lock === b.lock &&
    a.state.time === b.state.time &&
    a.state.wound.every((v, i) => v === b.state.wound[i]) &&
    JSON.stringify(a.boat) === JSON.stringify(b.boat));

/** What a lock's water is about to do, and to a boat in it, now and then as it runs; null until it is known or while nothing is asked. */
export function useLockOutlook(now: Asked): LockOutlook | null {
  const newest = useRef(now);
  useEffect(() => {
    newest.current = now;
  });
  const [looked, setLooked] = useState(now);
  useEffect(() => {
    const timer = setInterval(
      () => setLooked((last) => (alike(last, newest.current) ? last : newest.current)),
      EVERY_MS,
    );
    return () => clearInterval(timer);
  }, []);
  const { found } = useNewest('lockOutlook', looked);
  return now && looked ? found : null;
}
