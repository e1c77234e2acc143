'use client';
import { useMemo } from 'react';
import { sin, cos } from '@/core/math';
import { currentField } from '@/core/water';
import { toWeather, type Conditions, type Place } from '@/document';
import { usePlayhead } from '../state/playhead';
import type { Camera, View } from './camera';
import { currentArrows } from './current-arrows';

/** How the current runs, where it is not the same all over: strokes as long as it is strong, at the playhead's moment. */
export function CurrentArrows({
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
    const { current, currentSet, currentSpeed } = toWeather(conditions, place);
    if (!current || currentSpeed === 0) return null;
    return currentField(currentSpeed * sin(currentSet), currentSpeed * cos(currentSet), current);
  }, [conditions, place]);
  const time = usePlayhead((p) => (field?.strength ? p.time : 0));
  const arrows = useMemo(
    () => (field ? currentArrows(field, camera, view, time) : []),
    [field, camera, view, time],
  );
  if (arrows.length === 0) return null;
  return (
    <svg
      data-testid="current-arrows"
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
