'use client';
import { memo, useMemo } from 'react';
import { Group, Line, Shape } from 'react-konva';
import type { BoatSpec } from '@/core/boat';
import type { Run } from '@/core/plan';
import type { Palette } from '../theme/palette';
import { deckAt, sweepRings, tracePath } from './sweep';

/** The water the boat's deck passes over: every ring in one path, filled once, so that it is one even tone. */
function Sweep({ run, deck, palette }: { run: Run; deck: Float64Array; palette: Palette }) {
  const rings = useMemo(() => sweepRings(run, deck), [run, deck]);
  return (
    <Shape
      listening={false}
      fill={palette.sweep}
      opacity={0.75}
      sceneFunc={(context, shape) => {
        context.beginPath();
        for (const ring of rings) tracePath(context, ring);
        context.fillShape(shape);
      }}
    />
  );
}

/** The hull where each step falls. */
function Outline({
  deck,
  x,
  y,
  heading,
  palette,
  strong,
}: {
  deck: Float64Array;
  x: number;
  y: number;
  heading: number;
  palette: Palette;
  strong: boolean;
}) {
  return (
    <Shape
      listening={false}
      stroke={palette.plan}
      strokeWidth={strong ? 2.4 : 1.2}
      strokeScaleEnabled={false}
      sceneFunc={(context, shape) => {
        context.beginPath();
        tracePath(context, deckAt(deck, x, y, heading));
        context.strokeShape(shape);
      }}
    />
  );
}

/** What a run leaves on the water: sweep, track of midships, hulls at the steps. Metres. */
export const RunLayer = memo(function RunLayer({
  run,
  spec,
  palette,
  pointed,
}: {
  run: Run;
  spec: BoatSpec;
  palette: Palette;
  /** Number of the step pointed at, or null. */
  pointed: number | null;
}) {
  const { deck } = spec.hull;
  const last = run.trace.x.length - 1;
  const track: number[] = [];
  for (let i = 0; i < run.trace.x.length; i += 2) track.push(run.trace.x[i]!, run.trace.y[i]!);
  return (
    <Group listening={false}>
      <Sweep run={run} deck={deck} palette={palette} />
      <Line
        points={track}
        stroke={palette.plan}
        strokeWidth={1}
        dash={[2, 3]}
        strokeScaleEnabled={false}
      />
      {run.steps.map((mark) => (
        <Outline
          key={mark.step}
          deck={deck}
          palette={palette}
          strong={pointed === mark.step}
          {...mark}
        />
      ))}
      {last >= 0 && (
        <Outline
          deck={deck}
          palette={palette}
          strong={false}
          x={run.trace.x[last]!}
          y={run.trace.y[last]!}
          heading={run.trace.heading[last]!}
        />
      )}
    </Group>
  );
});
