'use client';
import type { Take } from '@/core/score';
import type { WayOutAt } from '@/core/search';
import { toScreen, type Camera, type View } from './camera';
import { readAt } from './sample';

const HALF_PX = 17;

/** A bar across her way where it is last time to break off. */
export function LastWayOut({
  take,
  at,
  camera,
  view,
}: {
  take: Take;
  at: WayOutAt;
  camera: Camera;
  view: View;
}) {
  const [px, py] = toScreen(camera, view, readAt(take, 'x', at.time), readAt(take, 'y', at.time));
  const heading = readAt(take, 'heading', at.time);
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
