'use client';
import { WORKING_LOAD } from '@/core/policy';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { clock, force } from '../words/units';

const WIDTH = 300;
const HEIGHT = 62;
/** Room for the words over the working load. */
const TOP = 14;
const FOOT = 12;

/** Points drawn along a curve at most. */
const MOST_POINTS = 400;

/** The most of each so many samples: a peak is never left out. */
function thinned(
  time: Float64Array,
  tension: Float64Array,
): readonly (readonly [number, number])[] {
  const stride = Math.max(1, Math.ceil(time.length / MOST_POINTS));
  const points: [number, number][] = [];
  for (let i = 0; i < time.length; i += stride)
    points.push([time[i]!, max(tension.subarray(i, i + stride)) ?? 0]);
  return points;
}

/** Tension of a line over a run, against what it is meant to work at and what parts it. */
export function TensionChart({
  name,
  time,
  tension,
  breaks,
}: {
  name: string;
  time: Float64Array;
  tension: Float64Array;
  /** N. */
  breaks: number;
}) {
  const units = useUnits();
  const now = usePlayhead((p) => p.time);
  const seek = usePlayhead((p) => p.seek);
  const most = max(tension) ?? 0;
  const working = WORKING_LOAD * breaks;
  const duration = Math.max(1, time.at(-1) ?? 1);
  const x = scaleLinear([0, duration], [0, WIDTH]);
  // Up to the working load at least, so that a light pull looks light.
  const y = scaleLinear([0, Math.max(1.1 * working, most)], [HEIGHT - FOOT, TOP]);
  const shape = area<readonly [number, number]>()
    .x(([t]) => x(t))
    .y0(y(0))
    .y1(([, pull]) => y(pull));
  const peak = time[tension.indexOf(most)] ?? 0;
  const share = Math.round((100 * most) / breaks);
  return (
    <figure className="rule-t py-1.5">
      <figcaption className="flex items-baseline justify-between gap-2">
        <span className="font-semibold">{name}</span>
        <button
          type="button"
          className={`figures text-right text-[12.5px] hover:text-plan ${most > working ? 'text-hurt' : 'text-quiet'}`}
          title={`Show ${clock(peak)}`}
          onClick={() => seek(peak)}
        >
          {most > working ? '▲ ' : ''}
          {force(most, units)} at {clock(peak)}, {share} % of what parts it
        </button>
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full"
        role="img"
        aria-label={`${name}: most ${force(most, units)} at ${clock(peak)}, ${share} % of what parts it`}
      >
        <path d={shape(thinned(time, tension)) ?? ''} className="fill-ink" />
        <line
          x1={0}
          x2={WIDTH}
          y1={y(working)}
          y2={y(working)}
          className="stroke-hurt"
          strokeWidth={1}
          strokeDasharray="5 4"
        />
        <text x={0} y={y(working) - 3} className="fill-quiet text-[10.5px]">
          working load {force(working, units)}
        </text>
        <line x1={0} x2={WIDTH} y1={y(0)} y2={y(0)} className="stroke-quiet" strokeWidth={0.8} />
        <line x1={x(now)} x2={x(now)} y1={TOP} y2={HEIGHT - FOOT} className="stroke-plan" />
        <text x={0} y={HEIGHT - 1} className="figures fill-quiet text-[10.5px]">
          0:00
        </text>
        <text
          x={WIDTH}
          y={HEIGHT - 1}
          textAnchor="end"
          className="figures fill-quiet text-[10.5px]"
        >
          {clock(duration)}
        </text>
      </svg>
    </figure>
  );
}
