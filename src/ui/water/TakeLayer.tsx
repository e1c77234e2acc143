'use client';
import type Konva from 'konva';
import { memo } from 'react';
import { Group, Line, Shape } from 'react-konva';
import type { BoatSpec } from '@/core/craft';
import type { Take } from '@/core/score';
import type { Palette } from '../theme/palette';

/** Metres of travel, radians of turn and seconds between hulls of the sweep. */
const SWEEP_STEP_M = 0.5;
const SWEEP_STEP_RAD = 0.05;

function tracePath(
  context: Konva.Context,
  deck: Float64Array,
  x: number,
  y: number,
  heading: number,
): void {
  const s = Math.sin(heading);
  const c = Math.cos(heading);
  for (let k = 0; k < deck.length; k += 2) {
    const px = x + deck[k]! * s + deck[k + 1]! * c;
    const py = y + deck[k]! * c - deck[k + 1]! * s;
    if (k === 0) context.moveTo(px, py);
    else context.lineTo(px, py);
  }
  context.closePath();
}

/** The water her deck passes over: every hull in one path, filled once, so that it is one even tone. */
function Sweep({ take, deck, palette }: { take: Take; deck: Float64Array; palette: Palette }) {
  return (
    <Shape
      listening={false}
      fill={palette.sweep}
      opacity={0.75}
      sceneFunc={(context, shape) => {
        const { x, y, heading } = take.trace;
        context.beginPath();
        let last = -1;
        for (let i = 0; i < x.length; i++) {
          const far =
            last < 0 ||
            i === x.length - 1 ||
            Math.hypot(x[i]! - x[last]!, y[i]! - y[last]!) > SWEEP_STEP_M ||
            Math.abs(heading[i]! - heading[last]!) > SWEEP_STEP_RAD;
          if (!far) continue;
          last = i;
          tracePath(context, deck, x[i]!, y[i]!, heading[i]!);
        }
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
        tracePath(context, deck, x, y, heading);
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
