'use client';
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { Pause, Play } from 'lucide-react';
import { useMemo, useRef, type PointerEvent } from 'react';
import { engineColumn, type MoreColumn, type TraceColumn } from '@/core/sim';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { useSize } from '../hooks/use-size';
import { IconButton } from '../parts/IconButton';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { FAULT_WORDS } from '../words/faults';
import { clock, speedIn, type Units } from '../words/units';
import type { OpenReview } from './use-takes';

const GUTTER = 118;
const RIGHT = 18;
const ROW = 40;
const GAP = 6;
const TOP = 32;
const MOST_POINTS = 600;
const DASHES = ['9 4', '4 3', '12 3 2 3', '2 3'];

interface Row {
  readonly name: string;
  readonly column: TraceColumn | MoreColumn;
  readonly shown: (value: number) => number;
  readonly unit: string;
  /** Least span shown, in the unit. */
  readonly least: readonly [number, number];
  readonly digits: number;
}

function rowsFor({ file }: OpenReview, units: Units): Row[] {
  const { boat } = file.manoeuvre;
  const rows: Row[] = [
    {
      name: 'over ground',
      column: 'groundSpeed',
      shown: (mps) => speedIn(mps, units.speed),
      unit: units.speed,
      least: [0, 1],
      digits: 1,
    },
    {
      name: 'turning',
      column: 'yawRate',
      shown: (rate) => rate * DEGREES_PER_RADIAN,
      unit: '°/s',
      least: [-2, 2],
      digits: 0,
    },
    {
      name: boat.steering.control,
      column: 'rudder',
      shown: (angle) => angle * DEGREES_PER_RADIAN,
      unit: '°',
      least: [-10, 10],
      digits: 0,
    },
  ];
  boat.drives.forEach((drive, i) => {
    rows.push({
      name: boat.drives.length > 1 ? drive.name : 'propeller',
      column: engineColumn('rps', i),
      shown: (rps) => rps * 60,
      unit: 'rpm',
      least: [-100, 100],
      digits: 0,
    });
  });
  boat.thrusters.forEach((thruster, i) => {
    rows.push({
      name: thruster.name,
      column: `thruster${i + 1}` as MoreColumn,
      shown: (power) => 100 * power,
      unit: '%',
      least: [-100, 100],
      digits: 0,
    });
  });
  return rows;
}

/** Every so many samples, the first and the last among them. */
function thinned(time: Float64Array, values: Float64Array): [number, number][] {
  const stride = Math.max(1, Math.ceil(time.length / MOST_POINTS));
  const points: [number, number][] = [];
  for (let i = 0; i < time.length; i += stride) points.push([time[i]!, values[i]!]);
  return points;
}

/** What she did, against time, with the moments of faults and of notes; others laid over it in dashes. */
export function Traces({ open, laid }: { open: OpenReview | null; laid: readonly OpenReview[] }) {
  const [frame, view] = useSize<HTMLDivElement>();
  const units = useUnits();
  const time = usePlayhead((p) => p.time);
  const seek = usePlayhead((p) => p.seek);
  const playing = usePlayhead((p) => p.playing);
  const setPlaying = usePlayhead((p) => p.setPlaying);
  const dragging = useRef(false);
  const rows = useMemo(() => (open ? rowsFor(open, units) : []), [open, units]);
  const longest = Math.max(
    1,
    ...[...(open ? [open] : []), ...laid].map(({ reviewed }) => reviewed.take.duration),
  );
  const x = useMemo(
    () => scaleLinear([0, longest], [GUTTER, Math.max(GUTTER + 1, view.width - RIGHT)]),
    [longest, view.width],
  );
  const drawn = useMemo(
    () =>
      open && view.width > 0
        ? rows.map((row, i) => curves(row, TOP + i * (ROW + GAP), x, [open, ...laid]))
        : [],
    [open, laid, rows, x, view.width],
  );
  const height = TOP + rows.length * (ROW + GAP) + 18;
  const drag = (event: PointerEvent<SVGSVGElement>) => {
    if (!dragging.current) return;
    seek(x.invert(event.clientX - event.currentTarget.getBoundingClientRect().left));
  };
  return (
    <section
      aria-label="Traces"
      className="rule-t relative h-[236px] overflow-y-auto bg-paper max-md:h-auto print:h-auto print:break-inside-avoid"
      ref={frame}
    >
      {open ? (
        <>
          <div className="absolute left-3 top-1 z-10 flex items-center">
            <IconButton
              label={playing ? 'Stop playing (space)' : 'Play the take (space)'}
              onClick={() => setPlaying(!playing)}
            >
              {playing ? <Pause size={17} /> : <Play size={17} />}
            </IconButton>
            <output className="figures text-[15px]">{clock(time)}</output>
          </div>
          <svg
            width={view.width}
            height={height}
            className="touch-none select-none"
            onPointerDown={(event) => {
              dragging.current = true;
              event.currentTarget.setPointerCapture(event.pointerId);
              drag(event);
            }}
            onPointerMove={drag}
            onPointerUp={() => (dragging.current = false)}
            onPointerCancel={() => (dragging.current = false)}
            aria-hidden
          >
            {drawn.map(({ row, top, paths, zero, low, high }) => (
              <g key={row.column}>
                <text x={12} y={top + ROW / 2 + 4} className="fill-ink text-[12.5px]">
                  {row.name}
                </text>
                <text
                  x={GUTTER - 6}
                  y={top + 9}
                  textAnchor="end"
                  className="figures fill-quiet text-[10.5px]"
                >
                  {high}
                </text>
                <text
                  x={GUTTER - 6}
                  y={top + ROW}
                  textAnchor="end"
                  className="figures fill-quiet text-[10.5px]"
                >
                  {low}
                </text>
                <line
                  x1={GUTTER}
                  x2={view.width - RIGHT}
                  y1={zero}
                  y2={zero}
                  className="stroke-hairline"
                />
                {paths.map((d, i) => (
                  <path
                    key={i}
                    d={d}
                    fill="none"
                    className={i === 0 ? 'stroke-plan' : 'stroke-ink'}
                    strokeWidth={i === 0 ? 1.8 : 1}
                    strokeDasharray={i === 0 ? undefined : DASHES[(i - 1) % DASHES.length]}
                  />
                ))}
              </g>
            ))}
            {open.reviewed.faults.map((fault, i) => (
              <g key={`${fault.rule}-${i}`}>
                <line
                  x1={x(fault.time)}
                  x2={x(fault.time)}
                  y1={TOP - 4}
                  y2={height - 16}
                  className="stroke-hurt"
                  strokeWidth={1}
                  strokeDasharray="2 3"
                />
                <path
                  d={`M${x(fault.time) - 5} ${TOP - 14} h10 l-5 9 Z`}
                  className="fill-hurt-fill stroke-hurt"
                >
                  <title>{FAULT_WORDS[fault.rule].name}</title>
                </path>
              </g>
            ))}
            {open.file.notes.map((note, i) => (
              <circle key={i} cx={x(note.at_s)} cy={TOP - 9} r={3.5} className="fill-plan">
                <title>{note.text}</title>
              </circle>
            ))}
            <line
              x1={x(time)}
              x2={x(time)}
              y1={4}
              y2={height - 14}
              className="stroke-ink"
              strokeWidth={1.4}
            />
            {x.ticks(8).map((t) => (
              <text
                key={t}
                x={x(t)}
                y={height - 4}
                textAnchor="middle"
                className="figures fill-quiet text-[11px]"
              >
                {clock(t)}
              </text>
            ))}
          </svg>
          <input
            type="range"
            aria-label="Moment looked at"
            aria-valuetext={clock(time)}
            min={0}
            max={open.reviewed.take.duration}
            step={0.1}
            value={time}
            onChange={(event) => seek(Number(event.target.value))}
            className="absolute right-4 top-1 h-5 w-36 accent-[var(--plan)]"
          />
        </>
      ) : (
        <p className="px-5 py-4 text-quiet">Traces of a driven take stand here.</p>
      )}
    </section>
  );
}

function curves(row: Row, top: number, x: (t: number) => number, takes: readonly OpenReview[]) {
  const columns = takes.map(({ reviewed }) => reviewed.take.trace[row.column]);
  const spans = columns.flatMap((column) =>
    column ? (extent(column, row.shown) as [number, number]) : [],
  );
  const low = Math.min(row.least[0], ...spans);
  const high = Math.max(row.least[1], ...spans);
  const y = scaleLinear([low, high], [top + ROW, top + 2]);
  const path = line<[number, number]>()
    .x(([t]) => x(t))
    .y(([, value]) => y(row.shown(value)));
  return {
    row,
    top,
    zero: y(0),
    low: `${low.toFixed(row.digits)} ${row.unit}`,
    high: `${high.toFixed(row.digits)} ${row.unit}`,
    paths: takes.map(({ reviewed }, i) => {
      const column = columns[i];
      return column ? (path(thinned(reviewed.take.trace.time, column)) ?? '') : '';
    }),
  };
}
