'use client';
import { scaleLinear } from 'd3-scale';
import { ChartNoAxesGantt, List, Pause, Play, Plus } from 'lucide-react';
import { useMemo, useRef, useState, type PointerEvent } from 'react';
import type { Take } from '@/core/score';
import type { Moment } from '@/core/search';
import { toBoatSpec, type Boat } from '@/document';
import { useSize } from '../hooks/use-size';
import { IconButton } from '../parts/IconButton';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { usePreferences } from '../state/preferences';
import { clock } from '../words/units';
import { BeatHeads, HEADS_HEIGHT } from './BeatHeads';
import { BeatList } from './BeatList';
import { addBeat, freshBeatId } from './edits';
import { GUTTER } from './layout';
import { LANE_GAP, lanesFor, type Lane } from './lanes';
import { Playhead } from './Playhead';
import { BAND_HEIGHT, WayOutBand, WayOutReading } from './WayOutBand';

const RIGHT = 20;
const CALLS_HEIGHT = 22;
const AXIS_HEIGHT = 20;

/** The score: beats over lanes against time, and how she moves under them, on one playhead. */
export function ScoreView({
  take,
  boat,
  moments,
  stale,
}: {
  take: Take | null;
  /** The boat the take is of. */
  boat: Boat;
  /** What stands open at its moments, as far as it is known. */
  moments: readonly Moment[];
  stale: boolean;
}) {
  const [frame, { width }] = useSize<HTMLDivElement>();
  const [asList, setAsList] = useState(false);
  const score = useWorkspace((s) => s.manoeuvre.score);
  const edit = useWorkspace((s) => s.edit);
  const select = useWorkspace((s) => s.select);
  const speed = usePreferences((p) => p.speed);
  const length = usePreferences((p) => p.length);
  const playing = usePlayhead((p) => p.playing);
  const setPlaying = usePlayhead((p) => p.setPlaying);
  const seek = usePlayhead((p) => p.seek);
  const spec = useMemo(() => toBoatSpec(boat), [boat]);

  const duration = take?.duration ?? 60;
  const x = useMemo(
    () => scaleLinear([0, Math.max(duration, 1)], [GUTTER, Math.max(GUTTER + 1, width - RIGHT)]),
    [duration, width],
  );
  const { lanes, controls } = useMemo(
    () =>
      !take || width === 0
        ? { lanes: [], controls: 0 }
        : lanesFor(take, spec, x, { speed, length }),
    [take, width, x, spec, speed, length],
  );
  const tops = laneTops(lanes, controls);
  const band = tops.at(-1) ?? 0;
  const height = band + BAND_HEIGHT + AXIS_HEIGHT;

  const dragging = useRef(false);
  const seekTo = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    seek(x.invert(event.clientX - box.left));
  };

  return (
    <section aria-label="The score" className="rule-t flex h-full flex-col bg-paper">
      <div ref={frame} className={`relative min-h-0 flex-1 ${stale ? 'opacity-50' : ''}`}>
        <div
          className="absolute left-3 top-2 z-10 flex items-center"
          style={{ width: GUTTER - 16 }}
        >
          <IconButton
            label={playing ? 'Stop playing (space)' : 'Play the take (space)'}
            onClick={() => setPlaying(!playing)}
          >
            {playing ? <Pause size={17} /> : <Play size={17} />}
          </IconButton>
          <IconButton
            label="Add a beat at the end"
            onClick={() => {
              const id = freshBeatId(score.beats);
              edit((m) => {
                m.score = addBeat(m.score, m.score.beats.length, id);
              });
              select(id);
            }}
          >
            <Plus size={17} />
          </IconButton>
          <IconButton
            label={asList ? 'Show the staves' : 'Show the beats as a list'}
            onClick={() => setAsList(!asList)}
          >
            {asList ? <ChartNoAxesGantt size={16} /> : <List size={16} />}
          </IconButton>
        </div>
        {asList && <BeatList take={take} />}
        {!asList && take && <BeatHeads take={take} x={x} width={width} />}
        {!asList && (
          <svg
            width={width}
            height={height}
            className="absolute left-0 cursor-crosshair touch-none select-none"
            style={{ top: HEADS_HEIGHT }}
            onPointerDown={(event) => {
              dragging.current = true;
              event.currentTarget.setPointerCapture(event.pointerId);
              seekTo(event);
            }}
            onPointerMove={(event) => dragging.current && seekTo(event)}
            onPointerUp={() => (dragging.current = false)}
            onPointerCancel={() => (dragging.current = false)}
            role="presentation"
          >
            {take &&
              take.beats.map(({ beat, time }) => (
                <line
                  key={beat}
                  x1={x(time)}
                  x2={x(time)}
                  y1={0}
                  y2={height - AXIS_HEIGHT}
                  className="stroke-hairline"
                />
              ))}
            {lanes.map((lane, i) => (
              <LaneView key={lane.name} lane={lane} top={tops[i]!} width={width} />
            ))}
            {take && lanes.length > 0 && (
              <Calls
                take={take}
                x={x}
                top={tops[controls]! - CALLS_HEIGHT - LANE_GAP}
                width={width}
              />
            )}
            {take && (
              <WayOutBand
                moments={moments}
                duration={duration}
                x={x}
                top={band}
                right={width - RIGHT}
              />
            )}
            <TimeAxis x={x} top={height - AXIS_HEIGHT} duration={duration} />
          </svg>
        )}
        {!asList && take && (
          <WayOutReading moments={moments} top={HEADS_HEIGHT + band + 15} left={GUTTER} />
        )}
        {!asList && take && lanes.length > 0 && (
          <Playhead x={x} lanes={lanes} tops={tops} top={HEADS_HEIGHT} height={height} />
        )}
      </div>
    </section>
  );
}

/** Tops of the lanes, px; room for the calls is left under the controls. The last entry is the foot. */
function laneTops(lanes: readonly Lane[], controls: number): number[] {
  const tops: number[] = [];
  let at = 2;
  lanes.forEach((lane, i) => {
    tops.push(at);
    at += lane.height + LANE_GAP + (i === controls - 1 ? CALLS_HEIGHT + LANE_GAP : 0);
  });
  tops.push(at);
  return tops;
}

function LaneView({ lane, top, width }: { lane: Lane; top: number; width: number }) {
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

/** What is called out, when. */
function Calls({
  take,
  x,
  top,
  width,
}: {
  take: Take;
  x: (time: number) => number;
  top: number;
  width: number;
}) {
  const calls = take.events.flatMap((event) =>
    event.is === 'order' && event.order.do === 'call'
      ? [{ time: event.time, text: event.order.text }]
      : [],
  );
  return (
    <g transform={`translate(0 ${top})`}>
      <text x={20} y={15} className="fill-ink text-[13px] font-semibold">
        Calls
      </text>
      <line
        x1={GUTTER}
        x2={width - RIGHT}
        y1={11}
        y2={11}
        className="stroke-hairline"
        strokeWidth="0.7"
      />
      {calls.map(({ time, text }, i) => {
        const from = x(time);
        const to = i + 1 < calls.length ? x(calls[i + 1]!.time) : width - RIGHT;
        return (
          <foreignObject
            key={`${time}-${text}`}
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

function TimeAxis({
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
