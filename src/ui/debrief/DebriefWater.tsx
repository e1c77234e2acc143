'use client';
import { Group, Layer, Line } from 'react-konva';
import { useMemo } from 'react';
import { toBoatSpec, withFenders } from '@/document';
import type { Traffic } from '@/core/drive';
import { useWorkspace } from '../state/context';
import { usePreferences } from '../state/preferences';
import { PALETTES } from '../theme/palette';
import { AtPlayhead } from '../water/AtPlayhead';
import { runExtent } from '../water/extent';
import { HurtMarks } from '../water/HurtMarks';
import { goneFrom } from '../water/TrafficLayer';
import { RunLayer } from '../water/RunLayer';
import { WaterFrame } from '../water/WaterFrame';
import { SAMPLE_S, type Trace } from '@/core/simulation';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { usePlayhead } from '../state/playhead';
import type { ComparedTrack } from './compared';
import type { OpenReview } from './use-runs';

const NOBODY: readonly Traffic[] = [];
const DASHES = [
  [9, 4],
  [4, 3],
  [12, 3, 2, 3],
  [2, 3],
] as const;

/** A driven run on the water where it was driven, with the tracks of those laid over it. */
export function DebriefWater({
  open,
  laid,
  alone,
}: {
  open: OpenReview | null;
  laid: readonly ComparedTrack[];
  /** What is looked at where nothing was driven. */
  alone: Trace | null;
}) {
  const now = useWorkspace((s) => s.manoeuvre);
  const place = useWorkspace((s) => s.place);
  const boatNow = useWorkspace((s) => s.boat);
  const palette = PALETTES[usePreferences((p) => p.theme)];
  // As it was when it was driven: the manoeuvre may have been changed since.
  const boat = open?.file.manoeuvre.boat ?? boatNow;
  const plan = open?.file.manoeuvre.plan ?? now.plan;
  const others = open?.file.manoeuvre.others ?? now.others;
  const spec = useMemo(() => toBoatSpec(withFenders(boat, plan.fenders)), [boat, plan.fenders]);
  const run = open?.reviewed.run ?? null;
  const gone = useMemo(() => goneFrom(open?.reviewed.traffic ?? []), [open]);
  const extent = useMemo(
    () => runExtent(now, boat, place, run ?? (alone && { trace: alone })),
    [now, boat, place, run, alone],
  );
  return (
    <WaterFrame
      key={open?.id ?? (alone ? 'record' : 'none')}
      opening={extent}
      home={extent}
      gone={gone}
      run={run}
      named={() => ({ others, plan, goal: now.goal })}
      drawn={(_camera, origin) => (
        <>
          {run && (
            <Layer listening={false}>
              <Group {...origin}>
                <RunLayer run={run} spec={spec} palette={palette} pointed={null} />
              </Group>
            </Layer>
          )}
          {laid.length > 0 && (
            <Layer listening={false}>
              <Group {...origin}>
                {laid.map((one, i) => (
                  <Track
                    key={one.id}
                    trace={one.trace}
                    dash={DASHES[i % DASHES.length]!}
                    ink={palette.ink}
                  />
                ))}
                {laid.map((one) =>
                  one.recorded ? (
                    <Ghost key={one.id} trace={one.trace} deck={spec.hull.deck} ink={palette.ink} />
                  ) : null,
                )}
              </Group>
            </Layer>
          )}
          <AtPlayhead
            run={run}
            boat={boat}
            spec={spec}
            plan={plan}
            others={others}
            traffic={open?.reviewed.traffic ?? NOBODY}
            palette={palette}
            origin={origin}
          />
        </>
      )}
      over={(camera, view) => run && <HurtMarks run={run} camera={camera} view={view} />}
    />
  );
}

/** The boat's outline where instruments had it at the playhead. */
function Ghost({ trace, deck, ink }: { trace: Trace; deck: Float64Array; ink: string }) {
  const time = usePlayhead((p) => p.time);
  const i = Math.min(trace.time.length - 1, Math.max(0, Math.round(time / SAMPLE_S)));
  return (
    <Line
      x={trace.x[i]!}
      y={trace.y[i]!}
      // Body axes have x ahead and y to starboard; the ground has north up.
      rotation={90 - trace.heading[i]! * DEGREES_PER_RADIAN}
      scaleY={-1}
      points={[...deck]}
      closed
      stroke={ink}
      strokeWidth={2.2}
      strokeScaleEnabled={false}
    />
  );
}

function Track({ trace, dash, ink }: { trace: Trace; dash: readonly number[]; ink: string }) {
  const points = useMemo(() => {
    const { x, y } = trace;
    const flat: number[] = [];
    for (let i = 0; i < x.length; i += 3) flat.push(x[i]!, y[i]!);
    return flat;
  }, [trace]);
  return (
    <Line
      points={points}
      stroke={ink}
      strokeWidth={1.4}
      dash={[...dash]}
      strokeScaleEnabled={false}
    />
  );
}
