import { toScreen, type Camera, type View } from '../water/camera';
import { useUnits } from '../state/preferences';
import { distance } from '../words/units';
import { legOf } from './leg';
import type { Snapped, XY } from './snap';
import type { Tool } from './store';

const SNAP_WORDS: Readonly<Record<Snapped['to'], string>> = {
  corner: 'corner',
  edge: 'on the edge',
  'right angle': 'square',
  parallel: 'parallel',
  grid: '',
};

/** What is being drawn, with the length and direction of the leg at hand. */
export function DraftLine({
  tool,
  points,
  pointer: over,
  camera,
  view,
}: {
  tool: Tool;
  points: readonly XY[];
  pointer: Snapped | null;
  camera: Camera;
  view: View;
}) {
  const units = useUnits();
  // Measured already: the next press begins anew.
  const pointer = tool.is === 'measure' && points.length === 2 ? null : over;
  const one = tool.is === 'spot' || tool.is === 'boat' || tool.is === 'row';
  const legs = pointer && !one ? [...points, pointer.at] : points;
  const at = legs.map(([x, y]) => toScreen(camera, view, x, y));
  const last = points.at(-1);
  const leg = last && pointer && !one ? legOf(last, pointer.at) : null;
  const end = pointer && toScreen(camera, view, pointer.at[0], pointer.at[1]);
  const words = [
    leg && `${distance(leg.length, units)} at ${String(leg.bearing).padStart(3, '0')}°`,
    pointer && SNAP_WORDS[pointer.to],
  ].filter(Boolean);
  return (
    <svg className="pointer-events-none absolute inset-0 size-full" aria-hidden>
      <path
        d={at.map((p, i) => `${i === 0 ? 'M' : 'L'}${p.join(' ')}`).join('')}
        fill="none"
        className="stroke-plan"
        strokeWidth="1.6"
        strokeDasharray={tool.is === 'measure' ? '6 3' : undefined}
      />
      {points.map(([x, y], i) => {
        const [px, py] = toScreen(camera, view, x, y);
        return (
          <circle
            key={i}
            cx={px}
            cy={py}
            r="4"
            className="fill-paper stroke-plan"
            strokeWidth="2"
          />
        );
      })}
      {end && (
        <>
          <circle cx={end[0]} cy={end[1]} r="2.5" className="fill-plan" />
          <text
            x={end[0] + 14}
            y={end[1] - 10}
            className="figures fill-ink stroke-water text-[13px]"
            strokeWidth="3"
            paintOrder="stroke"
          >
            {words.join(', ')}
          </text>
        </>
      )}
    </svg>
  );
}
