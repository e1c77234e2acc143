'use client';
import { useEffect, useRef, useState } from 'react';
import type { DriveNow } from '@/core/drive';
import { useUnits } from '../state/preferences';
import { callsBetween, type Call } from './calls';
import { useHelmPreferences } from './preferences';
import { useLive } from './use-live';

const KEPT = 30;

function speak(calls: readonly Call[]): void {
  if (typeof speechSynthesis === 'undefined') return;
  // What is pending is old by now when something urgent comes.
  if (calls.some(({ urgent }) => urgent)) speechSynthesis.cancel();
  for (const { text } of calls) {
    const voice = new SpeechSynthesisUtterance(text);
    voice.lang = 'en';
    voice.rate = 1.15;
    speechSynthesis.speak(voice);
  }
}

/** Everything called out so far in this drive, the newest first; spoken where the browser can and the user wants it. */
export function useCalls(): readonly Call[] {
  const live = useLive();
  const units = useUnits();
  const voice = useHelmPreferences((p) => p.voice);
  const [calls, setCalls] = useState<readonly Call[]>([]);
  const before = useRef<DriveNow | null>(null);
  const asked = useRef({ units, voice });
  useEffect(() => {
    asked.current = { units, voice };
  }, [units, voice]);
  useEffect(
    () =>
      live.store.subscribe(({ now }, last) => {
        if (!now || now === last.now) return;
        // Gone back: what was called after is not yet said.
        if (before.current && now.time < before.current.time) {
          setCalls((all) => all.filter(({ time }) => time <= now.time));
          before.current = now;
          return;
        }
        const called = callsBetween(before.current, now, live.file.plan, asked.current.units);
        before.current = now;
        if (called.length === 0) return;
        if (asked.current.voice) speak(called);
        setCalls((all) => [...called.toReversed(), ...all].slice(0, KEPT));
      }),
    [live],
  );
  return calls;
}
