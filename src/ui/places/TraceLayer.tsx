import type { GpxLayer } from '@/io/gpx';
import { toScreen, type Camera, type View } from '../water/camera';

/** Tracks and waypoints of a file over the plan, to draw by. */
export function TraceLayer({
  layers,
  camera,
  view,
}: {
  layers: readonly GpxLayer[];
  camera: Camera;
  view: View;
}) {
  return (
    <svg className="pointer-events-none absolute inset-0 size-full" aria-hidden>
      {layers.flatMap(({ name, tracks }) =>
        tracks.map((track, i) => (
          <path
            key={`${name} ${i}`}
            d={track
              .map(([x, y], k) => `${k === 0 ? 'M' : 'L'}${toScreen(camera, view, x, y).join(' ')}`)
              .join('')}
            fill="none"
            className="stroke-ink"
            strokeWidth="1.2"
            strokeDasharray="1 4"
            strokeLinecap="round"
          />
        )),
      )}
      {layers.flatMap(({ name, waypoints }) =>
        waypoints.map(({ name: called, at }, i) => {
          const [x, y] = toScreen(camera, view, at[0], at[1]);
          return (
            <g key={`${name} ${i}`}>
              <path
                d={`M${x - 5} ${y} h10 M${x} ${y - 5} v10`}
                className="stroke-ink"
                strokeWidth="1.4"
              />
              <text x={x + 8} y={y - 6} className="fill-quiet text-[11px]">
                {called}
              </text>
            </g>
          );
        }),
      )}
    </svg>
  );
}
