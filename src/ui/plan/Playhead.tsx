'use client';
import type { ScaleLinear } from 'd3-scale';
import type { KeyboardEvent } from 'react';
import { usePlayhead } from '../state/playhead';
import { clock } from '../words/units';
import type { Lane } from './lane';

const KEY_STEP_S = 0.5;
const LEAP_S = 5;

/** The line through all lanes at the moment looked at, with what each lane reads there. */
export function Playhead({
  x,
  lanes,
  tops,
  top,
  height,
}: {
  x: ScaleLinear<number, number>;
  lanes: readonly Lane[];
  tops: readonly number[];
  top: number;
  height: number;
}) {
  const time = usePlayhead((p) => p.time);
  const duration = usePlayhead((p) => p.duration);
  const seek = usePlayhead((p) => p.seek);
  const at = x(time);
  const keys: Record<string, number> = {
    ArrowLeft: time - KEY_STEP_S,
    ArrowRight: time + KEY_STEP_S,
    PageUp: time - LEAP_S,
    PageDown: time + LEAP_S,
    Home: 0,
    End: duration,
  };
  const press = (event: KeyboardEvent) => {
    const to = keys[event.key];
    if (to === undefined) return;
    event.preventDefault();
    seek(to);
  };
  return (
    <div className="pointer-events-none absolute inset-x-0" style={{ top, height }}>
      <div className="absolute top-0 w-px bg-plan" style={{ left: at, height: height - 18 }} />
      {lanes.map((lane, i) => (
        <span
          key={lane.name}
          className="figures absolute left-5 text-[13px] text-plan"
          style={{ top: tops[i]! + 15 }}
        >
          {lane.read(time)}
        </span>
      ))}
      <div
        role="slider"
        tabIndex={0}
        aria-label="Playhead"
        aria-valuemin={0}
        aria-valuemax={Math.round(duration * 10) / 10}
        aria-valuenow={Math.round(time * 10) / 10}
        aria-valuetext={`${clock(time)} of ${clock(duration)}`}
        onKeyDown={press}
        className="figures absolute bottom-0 -translate-x-1/2 bg-plan px-1.5 text-[13px] font-semibold leading-[18px] text-on-plan"
        style={{ left: at }}
      >
        {clock(time)}
      </div>
    </div>
  );
}
