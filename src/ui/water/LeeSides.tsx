'use client';
import { useMemo } from 'react';
import type { Leg } from '@/core/brief';
import type { Run } from '@/core/plan';
import { toPixels, toScreen, type Camera, type View } from './camera';
import { legSides } from './lee-sides';

const TOOTH_PX = 5;

/** The dangerous side of every leg with teeth towards what the boat is blown on to, the safe side dotted. */
export function LeeSides({
  run,
  legs,
  beam,
  camera,
  view,
}: {
  run: Run;
  legs: readonly Leg[];
  beam: number;
  camera: Camera;
  view: View;
}) {
  const sides = useMemo(() => legSides(run, legs, beam), [run, legs, beam]);
  if (sides.length === 0) return null;
  const at = ([x, y]: readonly [number, number]) => toScreen(camera, view, x, y);
  const tooth = { ...camera, scale: TOOTH_PX };
  const line = (places: readonly (readonly [number, number])[]) =>
    places.map((place, i) => `${i === 0 ? 'M' : 'L'}${at(place).join(' ')}`).join('');
  return (
    <svg
      data-testid="lee-sides"
      className="pointer-events-none absolute inset-0 size-full"
      aria-hidden
    >
      {sides.map(({ step, danger, safe, towards }) => (
        <g key={step} fill="none">
          <path d={line(safe)} className="stroke-quiet" strokeWidth="1.2" strokeDasharray="1 5" />
          <path d={line(danger)} className="stroke-hurt" strokeWidth="1.2" />
          <path
            className="stroke-hurt"
            strokeWidth="2"
            d={danger
              .map((place, i) => {
                const [px, py] = at(place);
                const [nx, ny] = towards[i]!;
                return `M${px} ${py} l${toPixels(tooth, nx, ny).join(' ')}`;
              })
              .join('')}
          />
        </g>
      ))}
    </svg>
  );
}
