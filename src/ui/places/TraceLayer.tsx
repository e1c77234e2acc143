import { useMemo } from 'react';
import type { GpxLayer } from '@/io/gpx';
import type { Camera, View } from '../water/camera';
import { trackPath, waypointMarks } from './trace-drawing';

interface Seen {
  readonly camera: Camera;
  readonly view: View;
}

/** Tracks and waypoints of files over the plan, to draw by. */
export function TraceLayer({ layers, ...seen }: { layers: readonly GpxLayer[] } & Seen) {
  return (
    <svg className="pointer-events-none absolute inset-0 size-full" aria-hidden>
      {layers.map((layer, i) => (
        <Trace key={`${layer.name} ${i}`} layer={layer} {...seen} />
      ))}
    </svg>
  );
}

function Trace({ layer, camera, view }: { layer: GpxLayer } & Seen) {
  const tracks = useMemo(
    () => layer.tracks.map((track) => trackPath(track, camera, view)).join(''),
    [layer, camera, view],
  );
  const { path, names } = useMemo(
    () => waypointMarks(layer.waypoints, camera, view),
    [layer, camera, view],
  );
  return (
    <>
      <path
        d={tracks}
        fill="none"
        className="stroke-ink"
        strokeWidth="1.2"
        strokeDasharray="1 4"
        strokeLinecap="round"
      />
      <path d={path} className="stroke-ink" strokeWidth="1.4" />
      {names.map(({ name, x, y }) => (
        <text key={`${x} ${y}`} x={x} y={y} className="fill-quiet text-[11px]">
          {name}
        </text>
      ))}
    </>
  );
}
