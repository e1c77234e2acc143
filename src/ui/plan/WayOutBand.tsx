'use client';
import type { ScaleLinear } from 'd3-scale';
import type { Moment } from '@/core/search';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { stopText, wayOutText } from '../words/way-out';
import { GUTTER } from './layout';
import { bandRuns } from './way-out-runs';

export const BAND_HEIGHT = 32;

/** The way out at every moment, as a band: whole where it stands open, half where it takes luck, strokes where there is none. */
export function WayOutBand({
  moments,
  duration,
  x,
  top,
  right,
}: {
  moments: readonly Moment[];
  duration: number;
  x: ScaleLinear<number, number>;
  top: number;
  /** Right edge of the lanes, px. */
  right: number;
}) {
  const runs = bandRuns(moments, duration);
  return (
    <g
      transform={`translate(0 ${top})`}
      data-testid="way-out-band"
      // So that it can be seen from outside how far it is known.
      data-moments={moments.length}
    >
      <text x={20} y={12} className="fill-ink text-[13px] font-semibold">
        Way out
      </text>
      <line x1={GUTTER} x2={right} y1={12} y2={12} className="stroke-hairline" strokeWidth="0.7" />
      {runs.map(({ from, to, grade }) => {
        const left = x(from);
        const width = Math.max(0.5, x(to) - left);
        if (grade === 'open')
          return (
            <rect
              key={from}
              x={left}
              y={4}
              width={width}
              height={9}
              className="fill-quiet"
              opacity={0.45}
            />
          );
        if (grade === 'luck')
          return (
            <rect key={from} x={left} y={8} width={width} height={5} className="fill-hurt-fill" />
          );
        return <Strokes key={from} left={left} width={width} />;
      })}
    </g>
  );
}

const STROKE_APART_PX = 11;

function Strokes({ left, width }: { left: number; width: number }) {
  const count = Math.max(1, Math.floor(width / STROKE_APART_PX));
  const d = Array.from(
    { length: count },
    (_, i) => `M${left + (i + 0.5) * (width / count) - 4} 14 l8 -11`,
  ).join(' ');
  return <path d={d} className="stroke-hurt" strokeWidth="2" fill="none" />;
}

/** What the band says at the playhead. */
export function WayOutReading({
  moments,
  top,
  left,
}: {
  moments: readonly Moment[];
  top: number;
  left: number;
}) {
  const time = usePlayhead((p) => p.time);
  const units = useUnits();
  const at = nearest(moments, time);
  if (!at) return null;
  const alone = at.timeToContact?.alone;
  return (
    <p
      data-testid="way-out-now"
      className="pointer-events-none absolute truncate text-[12.5px] text-plan"
      style={{ top, left, right: 20 }}
    >
      {wayOutText(at.wayOut, units)}
      <span className="text-quiet">
        {alone &&
          ` · ${Math.round(alone.seconds)} s to contact if nothing is done: ${stopText(alone)}${alone.grade === 'soft' ? ', softly' : ''}`}
        {alone === null && ' · no contact within a minute if nothing is done'}
      </span>
    </p>
  );
}

function nearest(moments: readonly Moment[], time: number): Moment | null {
  let best: Moment | null = null;
  for (const moment of moments)
    if (!best || Math.abs(moment.time - time) < Math.abs(best.time - time)) best = moment;
  return best;
}
