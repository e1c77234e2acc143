'use client';
import type { KeyboardEvent } from 'react';
import { useDrag } from '../hooks/use-drag';
import { useLive, useLiveState } from './use-live';

const KEY_STEP_DEG = 5;

/** Degrees to port or starboard, in words. */
export function rudderWords(degrees: number): string {
  const whole = Math.round(Math.abs(degrees));
  return whole === 0 ? 'amidships' : `${whole}° ${degrees < 0 ? 'port' : 'starboard'}`;
}

/** Wheel or tiller as a scale from hard to port to hard to starboard: where it is wanted, and where the rudder is. */
export function Wheel() {
  const live = useLive();
  const wanted = useLiveState((s) => s.helm?.wheel ?? 0);
  const rudder = useLiveState((s) => ((s.now?.wheel.angle ?? 0) * 180) / Math.PI);
  const most = live.mostWheel;
  const share = (degrees: number) => `${(50 * (degrees / most + 1)).toFixed(2)}%`;
  // Amidships is found without looking.
  const drag = useDrag((across) => {
    const at = 2 * across - 1;
    live.turnWheel(Math.abs(at) < 0.04 ? 0 : Math.round(at * most));
  });
  const keys: Record<string, number> = {
    ArrowLeft: wanted - KEY_STEP_DEG,
    ArrowRight: wanted + KEY_STEP_DEG,
    Home: -most,
    End: most,
  };
  const marks = [-1, -2 / 3, -1 / 3, 0, 1 / 3, 2 / 3, 1];
  const { control } = live.file.boat.steering;
  return (
    <div className="min-w-[150px] max-w-[340px] flex-1">
      <p className="flex justify-between text-[13px]">
        <span className="font-semibold">{control === 'tiller' ? 'Tiller' : 'Wheel'}</span>
        <output className="figures">{rudderWords(wanted)}</output>
      </p>
      <div
        role="slider"
        aria-label={control === 'tiller' ? 'Tiller' : 'Wheel'}
        aria-valuemin={Math.round(-most)}
        aria-valuemax={Math.round(most)}
        aria-valuenow={Math.round(wanted)}
        aria-valuetext={rudderWords(wanted)}
        tabIndex={0}
        data-testid="wheel"
        className="relative h-14 cursor-ew-resize touch-none select-none"
        {...drag}
        onKeyDown={(event: KeyboardEvent) => {
          const to = keys[event.key];
          if (to === undefined) return;
          event.preventDefault();
          event.stopPropagation();
          live.turnWheel(to);
        }}
      >
        <div className="absolute inset-x-0 top-1/2 h-px bg-ink" />
        {marks.map((at) => (
          <div
            key={at}
            className={`absolute w-px -translate-x-1/2 ${at === 0 ? 'h-8 bg-ink' : 'h-4 bg-quiet'}`}
            style={{ left: share(at * most), top: at === 0 ? 12 : 20 }}
          />
        ))}
        {/* The rudder itself, from amidships. */}
        <div
          className="absolute top-1/2 h-2 -translate-y-1/2"
          style={{
            left: share(Math.min(0, rudder)),
            width: `${(50 * Math.abs(rudder)) / most}%`,
            background: rudder < 0 ? 'var(--port)' : 'var(--starboard)',
          }}
        />
        <svg
          className="absolute top-0.5 -translate-x-1/2 text-plan"
          style={{ left: share(wanted) }}
          width="26"
          height="52"
          viewBox="0 0 26 52"
          aria-hidden
        >
          <path
            d="M13 44 V8 M4 8 H22 M4 44 H22"
            stroke="currentColor"
            strokeWidth="4"
            fill="none"
          />
        </svg>
      </div>
      <p className="flex justify-between gap-2 whitespace-nowrap text-[12px] text-quiet">
        <span>port {Math.round(most)}°</span>
        <button type="button" className="text-plan underline" onClick={() => live.turnWheel(0)}>
          amidships
        </button>
        <span>{Math.round(most)}° stbd</span>
      </p>
    </div>
  );
}
