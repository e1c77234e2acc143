'use client';
import { Shape } from 'react-konva';
import type { Pose } from '@/core/reliability';
import { useWorkspace } from '../state/context';
import type { Palette } from '../theme/palette';
import { deckAt, tracePath } from './sweep';

/** What tries of the plan look like from above, where it is asked for: faint hulls as steps began, strong ones where it hit. */
export function FanLayer({ deck, palette }: { deck: Float64Array; palette: Palette }) {
  const fan = useWorkspace((s) => (s.fanShown ? s.fan : null));
  if (!fan) return null;
  return (
    <>
      <Hulls deck={deck} poses={fan.poses} stroke={palette.plan} opacity={0.3} />
      <Hulls deck={deck} poses={fan.hits} stroke={palette.hurt} opacity={0.8} />
    </>
  );
}

function Hulls({
  deck,
  poses,
  stroke,
  opacity,
}: {
  deck: Float64Array;
  poses: readonly Pose[];
  stroke: string;
  opacity: number;
}) {
  return (
    <Shape
      listening={false}
      stroke={stroke}
      opacity={opacity}
      strokeWidth={1}
      strokeScaleEnabled={false}
      sceneFunc={(context, shape) => {
        context.beginPath();
        for (const { x, y, heading } of poses) tracePath(context, deckAt(deck, x, y, heading));
        context.strokeShape(shape);
      }}
    />
  );
}
