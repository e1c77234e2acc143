'use client';
import { useDrag } from '../hooks/use-drag';
import { joystickText } from '../words/helm';
import { useLive, useLiveState } from './use-live';

const SIZE_PX = 104;
const DEAD = 0.08;

const dead = (share: number) => (Math.abs(share) < DEAD ? 0 : Number(share.toFixed(2)));

/** A joystick that comes back to the middle when let go: pushed for ahead and sideways, twisted by the bar under it. */
export function Joystick() {
  const live = useLive();
  const stick = useLiveState((s) => s.helm?.stick) ?? { ahead: 0, sideways: 0, twist: 0 };
  const gone = useLiveState((s) => s.now?.joystick.dead ?? false);
  const put = (part: Partial<typeof stick>) =>
    live.move((helm) => ({ ...helm, stick: { ...helm.stick, ...part } }));
  const push = useDrag(
    (across, down) => {
      const [x, y] = [2 * across - 1, 1 - 2 * down];
      const far = Math.max(1, Math.hypot(x, y));
      put({ ahead: dead(y / far), sideways: dead(x / far) });
    },
    () => put({ ahead: 0, sideways: 0 }),
  );
  const twist = useDrag(
    (across) => put({ twist: dead(Math.max(-1, Math.min(1, 2 * across - 1))) }),
    () => put({ twist: 0 }),
  );
  if (!live.file.boat.joystick) return null;
  return (
    <div>
      <p className="text-[13px] font-semibold">Joystick</p>
      <div
        data-testid="joystick"
        className={`relative touch-none border border-ink ${gone ? 'opacity-50' : ''}`}
        style={{ width: SIZE_PX, height: SIZE_PX }}
        {...push}
      >
        <div className="absolute inset-x-0 top-1/2 h-px bg-hairline" />
        <div className="absolute inset-y-0 left-1/2 w-px bg-hairline" />
        <div
          className="absolute size-6 bg-plan"
          style={{
            left: `${50 * (1 + stick.sideways)}%`,
            top: `${50 * (1 - stick.ahead)}%`,
            transform: `translate(-50%, -50%) rotate(${stick.twist * 45}deg)`,
          }}
        />
      </div>
      <div
        data-testid="twist"
        className="relative mt-1 h-6 touch-none border border-ink"
        style={{ width: SIZE_PX }}
        {...twist}
      >
        <div
          className="absolute inset-y-0 w-2 -translate-x-1/2 bg-plan"
          style={{ left: `${50 * (1 + stick.twist)}%` }}
        />
      </div>
      <output className="text-[12px] text-quiet">
        {gone
          ? 'does not answer'
          : joystickText(stick.ahead, stick.sideways, stick.twist).replace('joystick ', '')}
      </output>
    </div>
  );
}
