'use client';
import { useEffect, useMemo, useRef, type RefObject } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { HELM_KEYS } from './helm-keys';
import { HELM_ACTIONS, type HelmAction } from './keys';
import type { Live } from './live';
import { useHelmPreferences } from './preferences';
import { useLive } from './use-live';
import { useLockKeys } from './use-lock-keys';

/** Turns the wheel while one of its keys is held; keys let go while the window is away count as let go. */
function useHeldWheel(live: Live, held: RefObject<Set<HelmAction>>): void {
  useEffect(() => {
    const letGo = () => held.current.clear();
    window.addEventListener('blur', letGo);
    const stop = live.onFrame((seconds) => {
      const way =
        (held.current.has('wheelStarboard') ? 1 : 0) - (held.current.has('wheelPort') ? 1 : 0);
      const { helm } = live.store.getState();
      if (way !== 0 && helm) live.turnWheel(helm.wheel + way * live.wheelRate * seconds);
    });
    return () => {
      window.removeEventListener('blur', letGo);
      stop();
    };
  }, [live, held]);
}

/** Everything at the helm by keys. */
export function useHelmKeys(): void {
  const live = useLive();
  const keys = useHelmPreferences((p) => p.keys);
  const held = useRef(new Set<HelmAction>());
  const worksLock = useLockKeys();
  const byKey = useMemo(
    () => new Map(HELM_ACTIONS.map((action) => [keys[action], action] as const)),
    [keys],
  );
  useHeldWheel(live, held);
  useHotkeys(
    HELM_ACTIONS.map((action) => keys[action]),
    (event, { hotkey }) => {
      const action = byKey.get(hotkey);
      if (!action) return;
      const at = { live, held: held.current, worksLock };
      const { once, press, release } = HELM_KEYS[action];
      if (event.type !== 'keydown') {
        held.current.delete(action);
        release?.(at);
        return;
      }
      const repeated = held.current.has(action);
      held.current.add(action);
      if (!once || !repeated) press(at, repeated);
    },
    {
      keydown: true,
      keyup: true,
      preventDefault: true,
      enableOnFormTags: ['slider'],
      // A button with the focus answers the space bar itself.
      ignoreEventWhen: (event) =>
        event.code === 'Space' &&
        event.target instanceof HTMLElement &&
        event.target.closest('button, [role=combobox]') !== null,
    },
    [live, byKey],
  );
}
