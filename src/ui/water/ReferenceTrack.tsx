'use client';
import { useMemo } from 'react';
import { toBoatSpec } from '@/document';
import type { Reference } from '../state/workspace';
import { toScreen, type Camera, type View } from './camera';

/** The run others are held against: its track in long dashes, hulls at its steps and end, in ink. */
export function ReferenceTrack({
  reference,
  camera,
  view,
}: {
  reference: Reference;
  camera: Camera;
  view: View;
}) {
  const d = useMemo(() => {
    const { run, file } = reference;
    const { x, y, heading } = run.trace;
    const at = (px: number, py: number) => toScreen(camera, view, px, py).join(' ');
    const track: string[] = [];
    for (let i = 0; i < x.length; i += 3) track.push(`${i === 0 ? 'M' : 'L'}${at(x[i]!, y[i]!)}`);
    // The boat's own hull: it may be another boat than the one sailed now.
    const { deck } = toBoatSpec(file.boat).hull;
    const hull = (px: number, py: number, psi: number) => {
      const s = Math.sin(psi);
      const c = Math.cos(psi);
      const corners: string[] = [];
      for (let k = 0; k < deck.length; k += 2)
        corners.push(
          at(px + deck[k]! * s + deck[k + 1]! * c, py + deck[k]! * c - deck[k + 1]! * s),
        );
      return `M${corners.join('L')}Z`;
    };
    const last = x.length - 1;
    const hulls = [
      ...run.steps.map((mark) => hull(mark.x, mark.y, mark.heading)),
      hull(x[last]!, y[last]!, heading[last]!),
    ];
    return { track: track.join(''), hulls: hulls.join('') };
  }, [reference, camera, view]);
  return (
    <svg
      data-testid="reference"
      className="pointer-events-none absolute inset-0 size-full stroke-quiet"
      fill="none"
      aria-hidden
    >
      <path d={d.track} strokeWidth="1.6" strokeDasharray="9 5" />
      <path d={d.hulls} strokeWidth="1" strokeDasharray="4 3" />
    </svg>
  );
}
