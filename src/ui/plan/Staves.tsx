'use client';
import { clock } from '../words/units';
import { GUTTER } from './layout';
import type { Lane } from './lane';
import { LANE_GAP } from './lanes';

export const RIGHT = 20;
export const CALLS_HEIGHT = 22;
export const AXIS_HEIGHT = 20;

/** Tops of the lanes, px; room for so many rows of words is left under the controls. The last entry is the foot. */
export function laneTops(lanes: readonly Lane[], controls: number, spoken: number): number[] {
  const tops: number[] = [];
  let at = 2;
  lanes.forEach((lane, i) => {
    tops.push(at);
    at += lane.height + LANE_GAP + (i === controls - 1 ? spoken * (CALLS_HEIGHT + LANE_GAP) : 0);
  });
  tops.push(at);
  return tops;
}

export function LaneView({ lane, top, width }: { lane: Lane; top: number; width: number }) {
  return (
    <g transform={`translate(0 ${top})`}>
      <text x={20} y={13} className="fill-ink text-[13px] font-semibold">
        {lane.name}
      </text>
      <text x={GUTTER - 8} y={10} textAnchor="end" className="figures fill-quiet text-[11.5px]">
        {lane.top}
      </text>
      <text
        x={GUTTER - 8}
        y={lane.height - 2}
        textAnchor="end"
        className="figures fill-quiet text-[11.5px]"
      >
        {lane.foot}
      </text>
      <line
        x1={GUTTER}
        x2={width - RIGHT}
        y1={0}
        y2={0}
        className="stroke-hairline"
        strokeWidth="0.7"
      />
      {lane.zero !== null && (
        <line
          x1={GUTTER}
          x2={width - RIGHT}
          y1={lane.zero}
          y2={lane.zero}
          className="stroke-quiet"
          strokeWidth="0.8"
        />
      )}
      {lane.rows?.map(({ name, y }) => (
        <text key={name} x={GUTTER - 8} y={y} textAnchor="end" className="fill-quiet text-[11.5px]">
          {name.length > 10 ? `${name.slice(0, 9)}…` : name}
        </text>
      ))}
      <path
        d={lane.path}
        className={lane.filled ? 'fill-ink' : 'stroke-ink'}
        fill={lane.filled ? undefined : 'none'}
        strokeWidth={lane.filled ? undefined : 1.8}
        strokeLinejoin="round"
      />
    </g>
  );
}

export interface CalledOut {
  readonly time: number;
  readonly text: string;
}

/** What is called out or done by hand, when. */
export function Spoken({
  name,
  said,
  x,
  top,
  width,
}: {
  name: string;
  said: readonly CalledOut[];
  x: (time: number) => number;
  top: number;
  width: number;
}) {
  return (
    <g transform={`translate(0 ${top})`}>
      <text x={20} y={15} className="fill-ink text-[13px] font-semibold">
        {name}
      </text>
      <line
        x1={GUTTER}
        x2={width - RIGHT}
        y1={11}
        y2={11}
        className="stroke-hairline"
        strokeWidth="0.7"
      />
      {said.map(({ time, text }, i) => {
        const from = x(time);
        const to = i + 1 < said.length ? x(said[i + 1]!.time) : width - RIGHT;
        return (
          <foreignObject
            key={`${i} ${text}`}
            x={from}
            y={2}
            width={Math.max(0, to - from - 6)}
            height={18}
          >
            <span
              title={text}
              className="inline-block max-w-full truncate bg-paper pr-2 text-[12.5px] leading-[18px]"
            >
              {text}
            </span>
          </foreignObject>
        );
      })}
    </g>
  );
}

export function TimeAxis({
  x,
  top,
  duration,
}: {
  x: (time: number) => number;
  top: number;
  duration: number;
}) {
  const step = [5, 10, 20, 30, 60, 120, 300].find((s) => duration / s <= 10) ?? 300;
  const ticks = Array.from({ length: Math.floor(duration / step) + 1 }, (_, i) => i * step);
  return (
    <g transform={`translate(0 ${top})`}>
      {ticks.map((time) => (
        <g key={time} transform={`translate(${x(time)} 0)`}>
          <line y2={4} className="stroke-quiet" />
          <text y={15} textAnchor="middle" className="figures fill-quiet text-[11.5px]">
            {clock(time)}
          </text>
        </g>
      ))}
    </g>
  );
}
