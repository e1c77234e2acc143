'use client';
import { Gauge, Pause, Play, RotateCcw, StepBack } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { usePlayhead } from '../state/playhead';
import { clock } from '../words/units';
import { RATES } from './live';
import { runOrPause, stepBack } from './helm-keys';
import { useIsSteered, useLive, useLiveState } from './use-live';

const BUTTON =
  'flex h-11 min-w-11 items-center justify-center gap-1.5 border-2 border-ink px-2 text-[13px] aria-disabled:border-quiet aria-disabled:text-quiet aria-disabled:opacity-60 disabled:border-quiet disabled:text-quiet disabled:opacity-60 enabled:hover:border-plan enabled:hover:text-plan';

/** Time: go and stand still, slower and faster, back, and again from any moment. */
export function Transport() {
  const live = useLive();
  const status = useLiveState((s) => s.status);
  const rate = useLiveState((s) => s.rate);
  const time = useLiveState((s) => s.now?.time ?? 0);
  const soFar = useLiveState((s) => s.soFar);
  const shown = usePlayhead((p) => p.time);
  const seek = usePlayhead((p) => p.seek);
  const steered = useIsSteered();
  const running = status === 'running';
  const still = soFar !== null;
  const at = still ? shown : time;
  const inside = still && shown > 0.05 && shown < time - 0.05;
  const first = useRef<HTMLButtonElement>(null);
  useEffect(() => first.current?.focus({ preventScroll: true }), []);
  return (
    <div className="flex w-[212px] shrink-0 flex-col gap-2 max-md:w-full">
      <div className="flex items-center gap-1.5">
        <button
          type="button"
          data-testid="run"
          // Whoever has chosen to rehearse wants to begin: the space bar does.
          ref={first}
          className={`${BUTTON} flex-1 ${running ? '' : 'border-plan bg-plan text-on-plan enabled:hover:text-on-plan'}`}
          aria-disabled={status === 'opening'}
          onClick={() => (status === 'over' ? void live.retry(0) : runOrPause(live))}
        >
          {running ? <Pause size={16} /> : <Play size={16} />}
          {running
            ? 'Pause'
            : status === 'over'
              ? 'Again'
              : status === 'paused'
                ? 'Go on'
                : steered
                  ? 'Let it steer'
                  : 'Take the helm'}
        </button>
        <output data-testid="live-time" className="figures w-12 text-right text-[19px]">
          {clock(at)}
        </output>
      </div>
      <div className="flex gap-1.5">
        <button
          type="button"
          className={BUTTON}
          aria-label="5 s back"
          title="Five seconds back"
          disabled={time <= 0}
          onClick={() => stepBack(live)}
        >
          <StepBack size={16} /> 5 s
        </button>
        <button
          type="button"
          data-testid="retry"
          className={`${BUTTON} flex-1`}
          disabled={time <= 0 || (status === 'over' && !inside)}
          onClick={() => void live.retry(inside ? shown : 0)}
        >
          <RotateCcw size={15} />
          {inside || status === 'over' ? 'Retry from here' : 'Again'}
        </button>
      </div>
      {still ? (
        <input
          type="range"
          aria-label="Moment looked at"
          min={0}
          max={Math.max(0.1, time)}
          step={0.1}
          value={shown}
          onChange={(event) => seek(Number(event.target.value))}
          className="h-6 w-full accent-[var(--plan)]"
        />
      ) : (
        <div className="flex items-center gap-1 text-[12.5px]" role="group" aria-label="Pace">
          <Gauge size={14} aria-hidden />
          {RATES.map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={rate === one}
              onClick={() => live.setRate(one)}
              className={`figures h-6 px-1.5 ${rate === one ? 'bg-plan text-on-plan' : 'hover:text-plan'}`}
            >
              {one}×
            </button>
          ))}
        </div>
      )}
    </div>
  );
}
