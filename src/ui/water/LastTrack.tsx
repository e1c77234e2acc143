'use client';
import { useMemo } from 'react';
import { wholeOutline, type Boat, type LastResult } from '@/document';
import { deckAt } from './sweep';
import { toScreen, type Camera, type View } from './camera';

const RADIANS = Math.PI / 180;

/** The boat's way as it came out the last time, in quiet, until the new run is there. */
export function LastTrack({
  last: { track, steps },
  boat,
  camera,
  view,
}: {
  last: Pick<LastResult, 'track' | 'steps'>;
  boat: Boat;
  camera: Camera;
  view: View;
}) {
  const d = useMemo(() => {
    const deck = wholeOutline(boat.hull.deck);
    const at = ([x, y]: readonly [number, number]) => toScreen(camera, view, x, y).join(' ');
    const hull = ([x, y, heading]: LastResult['track'][number]) =>
      `M${deckAt(deck, x, y, heading * RADIANS)
        .map(at)
        .join('L')}Z`;
    const way = track.map(([x, y]) => at([x, y])).join('L');
    return { way: `M${way}`, hulls: [...steps, track.at(-1)!].map(hull).join('') };
  }, [track, steps, boat, camera, view]);
  return (
    <svg
      data-testid="last-track"
      className="pointer-events-none absolute inset-0 size-full stroke-quiet"
      fill="none"
      aria-hidden
    >
      <path d={d.way} strokeWidth="1.2" strokeDasharray="2 3" />
      <path d={d.hulls} strokeWidth="1" />
    </svg>
  );
}
