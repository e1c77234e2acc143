import type { Palette } from '../theme/palette';
import type { Shape } from './shapes';

const colour = (name: keyof Palette | undefined) =>
  name ? `var(--${name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)})` : 'none';

/** The same shapes in a picture whose y goes south. */
export function SvgShapes({ shapes }: { shapes: readonly Shape[] }) {
  return shapes.map((shape, i) => {
    const paint = {
      fill: shape.is === 'line' ? 'none' : colour(shape.fill),
      stroke: colour(shape.stroke),
      strokeWidth: shape.width ?? 1,
      strokeDasharray: shape.dash?.join(' '),
      vectorEffect: 'non-scaling-stroke' as const,
    };
    if (shape.is === 'disc')
      return <circle key={i} cx={shape.at[0]} cy={-shape.at[1]} r={shape.radius} {...paint} />;
    const points = shape.points.map(([x, y]) => `${x},${-y}`).join(' ');
    return shape.is === 'ring' ? (
      <polygon key={i} points={points} {...paint} />
    ) : (
      <polyline key={i} points={points} {...paint} />
    );
  });
}
