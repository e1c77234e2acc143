'use client';
import type { ScaleLinear } from 'd3-scale';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Run } from '@/core/plan';
import type { AskHeldBack } from '../hooks/use-run';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { cueText } from '../words/steps';
import { clock } from '../words/units';
import { END } from './layout';
import { cueAt, useRetime, WHY_NOT } from './use-retime';

const KEY_STEP_S = 0.5;
const LEAP_S = 2;
/** Pointer moved less than this is a press, px. */
const STILL_PX = 4;
const EDGE_PX = 11;

interface Edge {
  readonly step: number;
  readonly id: string;
  readonly name: string;
  readonly time: number;
}

/** Steps after the first that are come to, and the end. */
function edgesOf(run: Run, ids: readonly string[]): Edge[] {
  const begun = run.steps
    .filter(({ step }) => step > 0 && ids[step] !== undefined)
    .map(({ step, time }) => ({ step, id: ids[step]!, name: `Step ${step + 1} begins`, time }));
  const ended = run.events.some(({ is }) => is === 'end');
  const end = { step: ids.length, id: END, name: 'The end comes', time: run.duration };
  return ended ? [...begun, end] : begun;
}

/** Where steps begin, on the staves: dragged along the plan, or moved by the arrow keys, the cue's figure follows. */
export function StepEdges({
  run,
  x,
  top,
  height,
  holdBack,
}: {
  run: Run;
  x: ScaleLinear<number, number>;
  top: number;
  height: number;
  holdBack: AskHeldBack;
}) {
  const plan = useWorkspace((s) => s.manoeuvre.plan);
  const select = useWorkspace((s) => s.select);
  const point = useWorkspace((s) => s.point);
  const seek = usePlayhead((p) => p.seek);
  const units = useUnits();
  const retime = useRetime(holdBack);
  // The scale as it was when the drag began: it changes with every new run.
  const from = useRef<{ px: number; time: number; perPx: number; moved: boolean } | null>(null);
  const edges = edgesOf(
    run,
    plan.steps.map(({ id }) => id),
  );

  const down = (edge: Edge) => (event: PointerEvent) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const perPx = x.invert(1) - x.invert(0);
    from.current = { px: event.clientX, time: edge.time, perPx, moved: false };
    retime.begin(edge.step);
  };
  const move = (event: PointerEvent) => {
    const start = from.current;
    if (!start) return;
    const by = event.clientX - start.px;
    if (!start.moved && Math.abs(by) < STILL_PX) return;
    start.moved = true;
    retime.to(Math.max(0, start.time + by * start.perPx));
  };
  const up = (edge: Edge, cancelled: boolean) => () => {
    const start = from.current;
    from.current = null;
    if (!start) return;
    retime.end(cancelled);
    if (cancelled || start.moved) return;
    select(edge.id);
    seek(edge.time);
  };
  const press = (edge: Edge) => (event: KeyboardEvent) => {
    if (event.key === 'Escape' && from.current) {
      event.stopPropagation();
      up(edge, true)();
      return;
    }
    const by = {
      ArrowLeft: -KEY_STEP_S,
      ArrowRight: KEY_STEP_S,
      PageUp: -LEAP_S,
      PageDown: LEAP_S,
    }[event.key];
    if (event.key === 'Enter') {
      select(edge.id);
      seek(edge.time);
    }
    if (by === undefined) return;
    event.preventDefault();
    void retime.move(edge.step, Math.max(0, edge.time + by));
  };
  const said = edges.find(({ step }) => step === retime.step);
  const cue = said && cueText(cueAt(plan, said.step), units);

  return (
    <div className="pointer-events-none absolute inset-x-0" style={{ top, height }}>
      {edges.map((edge) => (
        <div
          key={edge.id}
          role="slider"
          tabIndex={0}
          aria-label={`${edge.name}: arrow keys move it`}
          aria-valuemin={0}
          aria-valuemax={Math.round(run.duration * 10) / 10}
          aria-valuenow={Math.round(edge.time * 10) / 10}
          aria-valuetext={`${clock(edge.time)}, ${cueText(cueAt(plan, edge.step), units)}`}
          title={`${edge.name}: drag it along`}
          onPointerDown={down(edge)}
          onPointerMove={move}
          onPointerUp={up(edge, false)}
          onPointerCancel={up(edge, true)}
          onPointerEnter={() => point(edge.id)}
          onPointerLeave={() => point(null)}
          onFocus={() => point(edge.id)}
          onBlur={() => {
            point(null);
            retime.leave();
          }}
          onKeyDown={press(edge)}
          className={`group pointer-events-auto absolute bottom-0 top-0 flex -translate-x-1/2 cursor-ew-resize touch-none justify-center ${retime.step === edge.step ? 'z-10' : ''}`}
          style={{ left: x(edge.time), width: EDGE_PX }}
        >
          <span
            aria-hidden
            className={`h-full w-px ${retime.step === edge.step ? 'bg-plan' : 'bg-transparent group-hover:bg-plan group-focus-visible:bg-plan'}`}
          />
        </div>
      ))}
      {said && retime.moving && (
        <p
          role="status"
          className="absolute top-1 z-20 max-w-[260px] bg-paper px-1.5 py-0.5 text-[12.5px] leading-4"
          style={
            x(said.time) > x.range()[1]! - 280
              ? { right: `calc(100% - ${x(said.time) - 8}px)` }
              : { left: x(said.time) + 8 }
          }
        >
          {retime.why ? WHY_NOT[retime.why] : cue}
        </p>
      )}
    </div>
  );
}
