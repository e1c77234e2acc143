'use client';
import { scaleLinear } from 'd3-scale';
import { ChartNoAxesGantt, List, Pause, Play, Plus } from 'lucide-react';
import { memo, useMemo, useRef, useState, type PointerEvent } from 'react';
import type { Run } from '@/core/plan';
import type { Moment } from '@/core/search';
import { breakingLoads, toBoatSpec, type Boat } from '@/document';
import { useSize } from '../hooks/use-size';
import type { AskHeldBack } from '../hooks/use-run';
import { IconButton } from '../parts/IconButton';
import { useWorkspace } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { StepEdges } from './StepEdges';
import { StepHeads, HEADS_HEIGHT } from './StepHeads';
import { StepList } from './StepList';
import { addStep, freshStepId } from './edits';
import { GUTTER, NARROW_PX, planHeight } from './layout';
import { LANE_GAP, lanesFor } from './lanes';
import { Playhead } from './Playhead';
import { callsOf, crewDoings, hasCrewDoings } from './called-out';
import { AXIS_HEIGHT, CALLS_HEIGHT, laneTops, LaneView, RIGHT, Spoken, TimeAxis } from './Staves';
import { BAND_HEIGHT, WayOutBand, WayOutReading } from './WayOutBand';

/** The plan: steps over lanes against time, and how the boat moves under them, on one playhead. */
export const PlanView = memo(function PlanView({
  run,
  boat,
  moments,
  stale,
  holdBack,
}: {
  run: Run | null;
  /** The boat the run is of. */
  boat: Boat;
  /** What stands open at its moments, as far as it is known. */
  moments: readonly Moment[];
  stale: boolean;
  holdBack: AskHeldBack;
}) {
  const [frame, { width }] = useSize<HTMLDivElement>();
  const [chosen, setChosen] = useState<boolean | null>(null);
  // On a phone staves would be too short to read.
  const asList = chosen ?? (width > 0 && width < NARROW_PX);
  const plan = useWorkspace((s) => s.manoeuvre.plan);
  const others = useWorkspace((s) => s.manoeuvre.others);
  const edit = useWorkspace((s) => s.edit);
  const select = useWorkspace((s) => s.select);
  const units = useUnits();
  const playing = usePlayhead((p) => p.playing);
  const setPlaying = usePlayhead((p) => p.setPlaying);
  const seek = usePlayhead((p) => p.seek);
  const spec = useMemo(() => toBoatSpec(boat), [boat]);

  const breaks = useMemo(
    () => breakingLoads(plan.lines, { boat, others }),
    [plan.lines, boat, others],
  );
  const duration = run?.duration ?? 60;
  const x = useMemo(
    () => scaleLinear([0, Math.max(duration, 1)], [GUTTER, Math.max(GUTTER + 1, width - RIGHT)]),
    [duration, width],
  );
  const hands = useMemo(
    () => (run && hasCrewDoings(run) ? crewDoings(run, plan) : null),
    [run, plan],
  );
  const words = hands ? CALLS_HEIGHT + LANE_GAP : 0;
  const { lanes, controls } = useMemo(
    () =>
      !run || width === 0
        ? { lanes: [], controls: 0 }
        : lanesFor(run, spec, x, units, { lines: plan.lines, breaks, words }),
    [run, width, x, spec, units, plan.lines, breaks, words],
  );
  const tops = laneTops(lanes, controls, hands ? 2 : 1);
  const band = tops.at(-1) ?? 0;
  const height = band + BAND_HEIGHT + AXIS_HEIGHT;

  const dragging = useRef(false);
  const seekTo = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    seek(x.invert(event.clientX - box.left));
  };

  return (
    <section
      aria-label="The plan"
      className="rule-t flex max-h-[50dvh] flex-col bg-paper max-md:max-h-none max-md:min-h-[318px]"
      style={{
        height:
          asList && width < NARROW_PX ? 'auto' : planHeight(asList ? 0 : HEADS_HEIGHT + height),
      }}
    >
      <div
        ref={frame}
        className={`relative min-h-0 flex-1 overflow-x-hidden overflow-y-auto ${stale ? 'opacity-50' : ''}`}
      >
        <div
          className="absolute left-3 top-2 z-10 flex items-center"
          style={{ width: GUTTER - 16 }}
        >
          <IconButton
            label={playing ? 'Stop playing (space)' : 'Play the run (space)'}
            onClick={() => setPlaying(!playing)}
          >
            {playing ? <Pause size={17} /> : <Play size={17} />}
          </IconButton>
          <IconButton
            label="Add a step at the end"
            onClick={() => {
              const id = freshStepId(plan.steps);
              edit((m) => {
                m.plan = addStep(m.plan, m.plan.steps.length, id);
              });
              select(id);
            }}
          >
            <Plus size={17} />
          </IconButton>
          <IconButton
            label={asList ? 'Show the staves' : 'Show the steps as a list'}
            onClick={() => setChosen(!asList)}
          >
            {asList ? <ChartNoAxesGantt size={16} /> : <List size={16} />}
          </IconButton>
        </div>
        {asList && <StepList run={run} />}
        {!asList && run && <StepHeads run={run} x={x} width={width} />}
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
            {run &&
              run.steps.map(({ step, time }) => (
                <line
                  key={step}
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
            {run && lanes.length > 0 && (
              <Spoken
                name="Calls"
                said={callsOf(run)}
                x={x}
                top={tops[controls]! - CALLS_HEIGHT - LANE_GAP}
                width={width}
              />
            )}
            {hands && lanes.length > 0 && (
              <Spoken
                name="Crew"
                said={hands}
                x={x}
                top={tops[controls]! - 2 * (CALLS_HEIGHT + LANE_GAP)}
                width={width}
              />
            )}
            {run && (
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
        {!asList && run && (
          <WayOutReading moments={moments} top={HEADS_HEIGHT + band + 15} left={GUTTER} />
        )}
        {!asList && run && lanes.length > 0 && (
          <StepEdges
            run={run}
            x={x}
            top={HEADS_HEIGHT}
            height={height - AXIS_HEIGHT}
            holdBack={holdBack}
          />
        )}
        {!asList && run && lanes.length > 0 && (
          <Playhead x={x} lanes={lanes} tops={tops} top={HEADS_HEIGHT} height={height} />
        )}
      </div>
    </section>
  );
});
