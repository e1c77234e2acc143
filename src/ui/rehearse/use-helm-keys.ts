'use client';
import { useEffect, useMemo, useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { notched } from './helm-orders';
import { engineAt, HELM_ACTIONS, thrusterAt, type HelmAction } from './keys';
import { RATES, type Live } from './live';
import { useLockKeys } from './use-lock-keys';
import { useHelmPreferences } from './preferences';
import { useLive } from './use-live';

/** Degrees the wheel goes at a press while the boat stands still. */
const STILL_WHEEL_DEG = 5;
/** How far a key pushes the joystick. */
const STICK = 0.6;
const STEP_BACK_S = 5;

/** Notches every lever, or one of them. */
export function notch(live: Live, which: number | null, by: 1 | -1): void {
  live.move((helm) => ({
    ...helm,
    levers: helm.levers.map((lever, i) =>
      which === null || which === i ? notched(lever, by) : lever,
    ),
  }));
}

function push(live: Live, thruster: number, power: number): void {
  if (thruster < 0) return;
  live.move((helm) => ({
    ...helm,
    thrusters: helm.thrusters.map((now, i) => (i === thruster ? power : now)),
  }));
}

export function neutral(live: Live): void {
  live.move((helm) => ({
    ...helm,
    levers: helm.levers.map(() => ({ gear: 'neutral', throttle: 0 })),
  }));
}

/** To the next slower or faster pace. */
export function pace(live: Live, by: 1 | -1): void {
  const { rate } = live.store.getState();
  const next = RATES[RATES.indexOf(rate as (typeof RATES)[number]) + by];
  if (next) live.setRate(next);
}

export function stepBack(live: Live): void {
  const { now } = live.store.getState();
  if (now && now.time > 0) void live.retry(now.time - STEP_BACK_S);
}

export function runOrPause(live: Live): void {
  if (live.store.getState().status === 'running') void live.pause();
  else live.run();
}

/** The stick as the held keys put it. */
function stickOf(held: ReadonlySet<HelmAction>) {
  const axis = (more: HelmAction, less: HelmAction) =>
    STICK * ((held.has(more) ? 1 : 0) - (held.has(less) ? 1 : 0));
  return {
    ahead: axis('stickAhead', 'stickAstern'),
    sideways: axis('stickStarboard', 'stickPort'),
    twist: axis('twistStarboard', 'twistPort'),
  };
}

/** Everything at the helm by keys. A lever that reaches neutral stays there while its key repeats. */
export function useHelmKeys(): void {
  const live = useLive();
  const keys = useHelmPreferences((p) => p.keys);
  const held = useRef(new Set<HelmAction>());
  const { boat } = live.file;
  const lockKeys = useLockKeys();

  const byKey = useMemo(
    () => new Map(HELM_ACTIONS.map((action) => [keys[action], action] as const)),
    [keys],
  );

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
  }, [live]);

  const pressed = (action: HelmAction, repeated: boolean) => {
    const thruster = (end: 'bow' | 'stern', power: number) =>
      push(live, thrusterAt(boat, end), power);
    const lever = (which: number | null, by: 1 | -1) => {
      const { helm } = live.store.getState();
      const first = helm?.levers[which ?? 0];
      if (repeated && first?.gear === 'neutral') return;
      notch(live, which, by);
    };
    const { helm, status } = live.store.getState();
    switch (action) {
      case 'wheelPort':
      case 'wheelStarboard':
        if (status !== 'running' && helm)
          live.turnWheel(helm.wheel + (action === 'wheelPort' ? -1 : 1) * STILL_WHEEL_DEG);
        return;
      case 'amidships':
        return live.turnWheel(0);
      case 'leversUp':
        return lever(null, 1);
      case 'leversDown':
        return lever(null, -1);
      case 'neutral':
        return neutral(live);
      case 'firstUp':
      case 'firstDown':
      case 'lastUp':
      case 'lastDown': {
        const engine = engineAt(boat, action.startsWith('first') ? 'port' : 'starboard');
        if (engine >= 0) lever(engine, action.endsWith('Up') ? 1 : -1);
        return;
      }
      case 'bowPort':
      case 'bowStarboard':
        return thruster('bow', action === 'bowPort' ? -1 : 1);
      case 'sternPort':
      case 'sternStarboard':
        return thruster('stern', action === 'sternPort' ? -1 : 1);
      case 'sign':
      case 'paddle1':
      case 'paddle2':
      case 'paddle3':
      case 'paddle4':
      case 'upperGates':
      case 'lowerGates':
      case 'paddlesDown':
        if (!repeated) lockKeys(action);
        return;
      case 'transit':
        if (!repeated) live.takeTransit();
        return;
      case 'passOn':
        if (!repeated) void live.passOn();
        return;
      case 'run':
        if (!repeated) runOrPause(live);
        return;
      case 'stepBack':
        if (!repeated) stepBack(live);
        return;
      case 'again':
        if (!repeated) void live.retry(0);
        return;
      case 'slower':
        return pace(live, -1);
      case 'faster':
        return pace(live, 1);
      default:
        if (boat.joystick) live.move((at) => ({ ...at, stick: stickOf(held.current) }));
    }
  };

  const released = (action: HelmAction) => {
    if (action.startsWith('bow')) push(live, thrusterAt(boat, 'bow'), 0);
    else if (action.startsWith('stern')) push(live, thrusterAt(boat, 'stern'), 0);
    else if ((action.startsWith('stick') || action.startsWith('twist')) && boat.joystick)
      live.move((at) => ({ ...at, stick: stickOf(held.current) }));
  };

  useHotkeys(
    HELM_ACTIONS.map((action) => keys[action]),
    (event, { hotkey }) => {
      const action = byKey.get(hotkey);
      if (!action) return;
      if (event.type === 'keydown') {
        const repeated = held.current.has(action);
        held.current.add(action);
        pressed(action, repeated);
      } else {
        held.current.delete(action);
        released(action);
      }
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
