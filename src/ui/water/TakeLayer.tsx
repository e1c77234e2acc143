'use client';
import type Konva from 'konva';
import { memo, useMemo } from 'react';
import { Group, Line, Shape } from 'react-konva';
import type { BoatSpec } from '@/core/craft';
import type { Take } from '@/core/score';
import type { Palette } from '../theme/palette';
import { deckAt, sweepRings } from './sweep';

function tracePath(context: Konva.Context, ring: readonly (readonly [number, number])[]): void {
  ring.forEach(([x, y], k) => (k === 0 ? context.moveTo(x, y) : context.lineTo(x, y)));
  context.closePath();
}

/** The water her deck passes over: every ring in one path, filled once, so that it is one even tone. */
function Sweep({ take, deck, palette }: { take: Take; deck: Float64Array; palette: Palette }) {
  const rings = useMemo(() => sweepRings(take, deck), [take, deck]);
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

/** The hull where each beat falls. */
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

/** What a take leaves on the water: sweep, track of midships, hulls at the beats. Metres. */
export const TakeLayer = memo(function TakeLayer({
  take,
  spec,
  palette,
  pointed,
}: {
  take: Take;
  spec: BoatSpec;
  palette: Palette;
  /** Number of the beat pointed at, or null. */
  pointed: number | null;
}) {
  const { deck } = spec.hull;
  const last = take.trace.x.length - 1;
  const track: number[] = [];
  for (let i = 0; i < take.trace.x.length; i += 2) track.push(take.trace.x[i]!, take.trace.y[i]!);
  return (
    <Group listening={false}>
      <Sweep take={take} deck={deck} palette={palette} />
      <Line
        points={track}
        stroke={palette.plan}
        strokeWidth={1}
        dash={[2, 3]}
        strokeScaleEnabled={false}
      />
      {take.beats.map((mark) => (
        <Outline
          key={mark.beat}
          deck={deck}
          palette={palette}
          strong={pointed === mark.beat}
          {...mark}
        />
      ))}
      {last >= 0 && (
        <Outline
          deck={deck}
          palette={palette}
          strong={false}
          x={take.trace.x[last]!}
          y={take.trace.y[last]!}
          heading={take.trace.heading[last]!}
        />
      )}
    </Group>
  );
});
