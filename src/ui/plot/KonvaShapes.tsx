'use client';
import { Circle, Line } from 'react-konva';
import type { Palette } from '../theme/palette';
import type { Shape } from './shapes';

/** Shapes on the water's canvas; the group around them carries the camera. */
export function KonvaShapes({ shapes, palette }: { shapes: readonly Shape[]; palette: Palette }) {
  return shapes.map((shape, i) => {
    const paint = {
      ...(shape.fill ? { fill: palette[shape.fill] } : {}),
      ...(shape.stroke ? { stroke: palette[shape.stroke], strokeWidth: shape.width ?? 1 } : {}),
      ...(shape.dash ? { dash: [...shape.dash] } : {}),
      opacity: shape.opacity ?? 1,
      strokeScaleEnabled: false,
    };
    return shape.is === 'disc' ? (
      <Circle key={i} x={shape.at[0]} y={shape.at[1]} radius={shape.radius} {...paint} />
    ) : (
      <Line
        key={i}
        points={shape.points.flat()}
        closed={shape.is === 'ring'}
        lineJoin="round"
        {...paint}
      />
    );
  });
}
