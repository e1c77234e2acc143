'use client';
import type { Run } from '@/core/plan';
import type { WayOutAt } from '@/core/search';
import { toScreen, type Camera, type View } from './camera';
import { readAt } from './sample';

const HALF_PX = 17;

/** A bar across the boat's way where it is last time to break off. */
export function LastWayOut({
  run,
  at,
  camera,
  view,
}: {
  run: Run;
  at: WayOutAt;
  camera: Camera;
  view: View;
}) {
  const [px, py] = toScreen(camera, view, readAt(run, 'x', at.time), readAt(run, 'y', at.time));
  const heading = readAt(run, 'heading', at.time);
  const dx = HALF_PX * Math.cos(heading);
  const dy = HALF_PX * Math.sin(heading);
  return (
    <svg
      data-testid="last-way-out"
      className="pointer-events-none absolute inset-0 size-full overflow-hidden"
      aria-hidden
    >
      <path
        d={`M${px - dx} ${py - dy} L${px + dx} ${py + dy}`}
        className="stroke-hurt-fill"
        strokeWidth="5"
      />
      <text
        x={px + dx + 6}
        y={py + dy + 4}
        className="fill-ink text-[12.5px] font-semibold [paint-order:stroke] [stroke-width:4px] [stroke:var(--water)]"
      >
        last way out
      </text>
    </svg>
  );
}
