'use client';
import { useMemo } from 'react';
import { sin, cos } from '@/core/math';
import { streamField } from '@/core/water';
import { toWeather, type Conditions, type Place } from '@/document';
import { usePlayhead } from '../state/playhead';
import type { Camera, View } from './camera';
import { streamArrows } from './stream-arrows';

/** How the stream runs, where it is not the same all over: strokes as long as it is strong, at the playhead's moment. */
export function StreamArrows({
  conditions,
  place,
  camera,
  view,
}: {
  conditions: Conditions;
  place: Place;
  camera: Camera;
  view: View;
}) {
  const field = useMemo(() => {
    const { stream, streamSet, streamSpeed } = toWeather(conditions, place);
    if (!stream || streamSpeed === 0) return null;
    return streamField(streamSpeed * sin(streamSet), streamSpeed * cos(streamSet), stream);
  }, [conditions, place]);
  const time = usePlayhead((p) => (field?.strength ? p.time : 0));
  const arrows = useMemo(
    () => (field ? streamArrows(field, camera, view, time) : []),
    [field, camera, view, time],
  );
  if (arrows.length === 0) return null;
  return (
    <svg
      data-testid="stream-arrows"
      className="pointer-events-none absolute inset-0 size-full text-quiet"
      aria-hidden
    >
      {arrows.map(({ x, y, dx, dy }) => (
        <g key={`${x} ${y}`} stroke="currentColor" strokeWidth="1" fill="none" opacity="0.75">
          <path d={`M${x} ${y} l${dx} ${dy}`} />
          {/* A short barb on each side of the head. */}
          <path
            d={`M${x + dx} ${y + dy} l${-0.3 * dx - 0.16 * dy} ${-0.3 * dy + 0.16 * dx} M${x + dx} ${y + dy} l${-0.3 * dx + 0.16 * dy} ${-0.3 * dy - 0.16 * dx}`}
          />
        </g>
      ))}
    </svg>
  );
}
