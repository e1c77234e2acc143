'use client';
import { memo, useMemo } from 'react';
import type { BoatSpec } from '@/core/boat';
import { toWeather, type Conditions, type Place } from '@/document';
import type { Camera, View } from './camera';
import { windShelter } from './wind-shelter';

/** Where the wind is kept off, for this boat: plain strokes down the wind, as short as little is left of it. */
export const WindShelter = memo(function WindShelter({
  conditions,
  place,
  spec,
  camera,
  view,
}: {
  conditions: Conditions;
  place: Place;
  spec: BoatSpec;
  camera: Camera;
  view: View;
}) {
  const strokes = useMemo(() => {
    const { windbreaks, windFrom, windSpeed } = toWeather(conditions, place);
    if (!windbreaks || windSpeed === 0) return [];
    return windShelter(windbreaks, windFrom, spec.windage.centreHeight, camera, view);
  }, [conditions, place, spec, camera, view]);
  if (strokes.length === 0) return null;
  return (
    <svg
      data-testid="wind-shelter"
      className="pointer-events-none absolute inset-0 size-full text-quiet"
      aria-hidden
    >
      {strokes.map(({ x, y, dx, dy }) => (
        <path
          key={`${x} ${y}`}
          d={`M${x} ${y} l${dx} ${dy}`}
          stroke="currentColor"
          strokeWidth="1.6"
          strokeLinecap="round"
          opacity="0.55"
        />
      ))}
    </svg>
  );
});
