'use client';
import { useEffect } from 'react';
import { engineAt, thrusterAt } from './keys';
import { neutral, notch, runOrPause } from './helm-keys';
import { useLive } from './use-live';

// Places of the standard gamepad mapping of the Gamepad API.
const AXIS = { LEFT_X: 0, LEFT_Y: 1, RIGHT_X: 2, RIGHT_Y: 3 } as const;
const KEY = { FIRST: 0, L1: 4, R1: 5, L2: 6, R2: 7, START: 9, UP: 12, DOWN: 13 } as const;
const DEAD = 0.12;
/** A stick pushed so far is a push, and counts again once it has come back under half of it. */
const PUSHED = 0.7;

const live0 = (value: number | undefined) =>
  value === undefined || Math.abs(value) < DEAD ? 0 : value;

/** The first gamepad there is, looked at while the page is drawn. It speaks only when it is touched. */
export function useGamepad(): void {
  const live = useLive();
  useEffect(() => {
    let frame = 0;
    let down = new Set<number>();
    let pushed = 0;
    let steered = false;
    let sticked = false;
    const { boat } = live.file;
    const thruster = (end: 'bow' | 'stern', power: number) => {
      const which = thrusterAt(boat, end);
      if (which < 0) return;
      live.move((helm) =>
        helm.thrusters[which] === power
          ? helm
          : { ...helm, thrusters: helm.thrusters.map((t, i) => (i === which ? power : t)) },
      );
    };
    const look = () => {
      frame = requestAnimationFrame(look);
      const pad = navigator.getGamepads?.().find((one) => one?.connected);
      if (!pad) return;
      const now = new Set(pad.buttons.flatMap(({ pressed }, i) => (pressed ? [i] : [])));
      const begun = (key: number) => now.has(key) && !down.has(key);
      const held = (key: number) => now.has(key) || down.has(key);
      if (begun(KEY.START)) runOrPause(live);
      if (begun(KEY.FIRST)) neutral(live);
      if (begun(KEY.UP)) notch(live, null, 1);
      if (begun(KEY.DOWN)) notch(live, null, -1);
      if (held(KEY.L1) || held(KEY.R1))
        thruster('bow', (now.has(KEY.R1) ? 1 : 0) - (now.has(KEY.L1) ? 1 : 0));
      if (held(KEY.L2) || held(KEY.R2))
        thruster('stern', (now.has(KEY.R2) ? 1 : 0) - (now.has(KEY.L2) ? 1 : 0));
      down = now;
      const x = live0(pad.axes[AXIS.LEFT_X]);
      const y = live0(pad.axes[AXIS.RIGHT_Y]);
      const across = live0(pad.axes[AXIS.RIGHT_X]);
      if (boat.joystick && (y !== 0 || across !== 0 || sticked)) {
        sticked = y !== 0 || across !== 0;
        live.move((helm) => ({ ...helm, stick: { ahead: -y, sideways: across, twist: x } }));
        return;
      }
      if (x !== 0 || steered) {
        steered = x !== 0;
        live.turnWheel(Math.round(x * live.mostWheel));
      }
      const way = Math.abs(y) > PUSHED ? -Math.sign(y) : Math.abs(y) < PUSHED / 2 ? 0 : pushed;
      if (way !== 0 && way !== pushed)
        notch(live, Math.max(0, engineAt(boat, 'starboard')), way as 1 | -1);
      pushed = way;
    };
    frame = requestAnimationFrame(look);
    return () => cancelAnimationFrame(frame);
  }, [live]);
}
