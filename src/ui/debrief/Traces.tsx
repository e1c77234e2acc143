'use client';
import { scaleLinear } from 'd3-scale';
import { Pause, Play } from 'lucide-react';
import { useMemo, useRef, useState, type PointerEvent } from 'react';
import { sameBy, wayMade } from '@/core/debrief';
import { useSize } from '../hooks/use-size';
import { IconButton } from '../parts/IconButton';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { FAULT_WORDS } from '../words/faults';
import { clock } from '../words/units';
import { curves, ROW, rowsFor } from './trace-rows';
import type { ComparedTrack, LookedBackAt } from './compared';

const GUTTER = 118;
const RIGHT = 18;
const GAP = 6;
const TOP = 32;
const DASHES = ['9 4', '4 3', '12 3 2 3', '2 3'];

/** The moments of a run as another's clock has them: when that one was at the same place along its track. */
function clockOf(laid: ComparedTrack, open: LookedBackAt): Float64Array {
  const from = { trace: laid.trace, way: wayMade(laid.trace) };
  const to = { trace: open.trace, way: wayMade(open.trace) };
  return from.trace.time.map((time) => sameBy(from, to, time));
}

/** What the boat did, against time, with the moments of faults and of notes; others laid over it in dashes. */
export function Traces({
  open,
  laid,
}: {
  open: LookedBackAt | null;
  laid: readonly ComparedTrack[];
}) {
  const [frame, view] = useSize<HTMLDivElement>();
  const units = useUnits();
  const time = usePlayhead((p) => p.time);
  const seek = usePlayhead((p) => p.seek);
  const playing = usePlayhead((p) => p.playing);
  const setPlaying = usePlayhead((p) => p.setPlaying);
  const dragging = useRef(false);
  const rows = useMemo(() => (open ? rowsFor(open, units) : []), [open, units]);
  const [byPlace, setByPlace] = useState(false);
  const drawnOf = useMemo(() => {
    if (!open) return [];
    const times = laid.map((one) => (byPlace ? clockOf(one, open) : one.trace.time));
    return [open, ...laid].map(({ trace }, i) => ({
      trace,
      times: times[i - 1] ?? trace.time,
    }));
  }, [open, laid, byPlace]);
  const longest = Math.max(1, ...drawnOf.map(({ times }) => times.at(-1) ?? 0));
  const x = useMemo(
    () => scaleLinear([0, longest], [GUTTER, Math.max(GUTTER + 1, view.width - RIGHT)]),
    [longest, view.width],
  );
  const drawn = useMemo(
    () =>
      view.width > 0 ? rows.map((row, i) => curves(row, TOP + i * (ROW + GAP), x, drawnOf)) : [],
    [drawnOf, rows, x, view.width],
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
          <div className="absolute left-3 top-1 z-10 flex items-center print:hidden">
            <IconButton
              label={playing ? 'Stop playing (space)' : 'Play the run (space)'}
              onClick={() => setPlaying(!playing)}
            >
              {playing ? <Pause size={17} /> : <Play size={17} />}
            </IconButton>
            <output className="figures text-[15px]">{clock(time)}</output>
            {laid.length > 0 && (
              <label className="ml-5 flex min-h-8 items-center gap-1.5 text-[12.5px]">
                <input
                  type="checkbox"
                  className="min-h-0"
                  checked={byPlace}
                  onChange={(event) => setByPlace(event.target.checked)}
                />
                others where they were at the same place, not at the same second
              </label>
            )}
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
              <g key={row.name}>
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
            {open.faults.map((fault, i) => (
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
            {open.notes.map((note, i) => (
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
            max={open.duration}
            step={0.1}
            value={time}
            onChange={(event) => seek(Number(event.target.value))}
            className="absolute right-4 top-1 h-5 w-36 accent-[var(--plan)] print:hidden"
          />
        </>
      ) : (
        <p className="px-5 py-4 text-quiet">Traces of a driven run stand here.</p>
      )}
    </section>
  );
}
