'use client';
import type { Take } from '@/core/score';
import { usePreferences } from '../state/preferences';
import { distance, touchSpeed } from '../words/units';
import { toScreen, type Camera, type View } from './camera';
import { readAt } from './sample';

/** Where the take comes nearest, and where it touches: shape and weight first, colour second. */
export function HurtMarks({ take, camera, view }: { take: Take; camera: Camera; view: View }) {
  const speed = usePreferences((p) => p.speed);
  const length = usePreferences((p) => p.length);
  const units = { speed, length };
  const { clearance, touch } = take.margins;
  const near =
    clearance && Number.isFinite(clearance.distance)
      ? toScreen(camera, view, clearance.x, clearance.y)
      : null;
  const hit = touch
    ? toScreen(camera, view, readAt(take, 'x', touch.time), readAt(take, 'y', touch.time))
    : null;
  return (
    <svg className="pointer-events-none absolute inset-0 size-full" aria-hidden>
      {near && clearance && (
        <g transform={`translate(${near[0]} ${near[1]})`}>
          <path
            d="M-9 -9 h5 M-9 -9 v5 M9 -9 h-5 M9 -9 v5 M-9 9 h5 M-9 9 v-5 M9 9 h-5 M9 9 v-5"
            className="stroke-hurt"
            strokeWidth="2.5"
            fill="none"
          />
          <Tag {...away(take, clearance)} text={distance(Math.max(0, clearance.distance), units)} />
        </g>
      )}
      {hit && touch && touch.grade !== 'soft' && (
        <g transform={`translate(${hit[0]} ${hit[1]})`}>
          <path
            d="M0 -17 L15 9 L-15 9 Z"
            className="fill-hurt-fill stroke-hurt"
            strokeWidth="2"
            strokeLinejoin="round"
          />
          <path d="M0 -7 v8 M0 4 v2" stroke="#14110d" strokeWidth="2.5" strokeLinecap="round" />
          <Tag x={92} y={4} text={`${touch.grade} touch, ${touchSpeed(touch.speed)}`} />
        </g>
      )}
    </svg>
  );
}

const TAG_AWAY_PX = 30;

/** Offset of a tag from its mark: outwards from the boat, so that it does not cover her. */
function away(take: Take, mark: { time: number; x: number; y: number }): { x: number; y: number } {
  const dx = mark.x - readAt(take, 'x', mark.time);
  const dy = mark.y - readAt(take, 'y', mark.time);
  const reach = Math.max(0.1, Math.hypot(dx, dy));
  return { x: (dx / reach) * TAG_AWAY_PX, y: (-dy / reach) * TAG_AWAY_PX };
}

/** A figure in a box, centred. */
function Tag({ x, y, text }: { x: number; y: number; text: string }) {
  const width = text.length * 6.6 + 10;
  return (
    <g transform={`translate(${x - width / 2} ${y})`}>
      <rect
        x="0"
        y="-9"
        width={width}
        height="18"
        className="fill-paper stroke-hurt"
        strokeWidth="1"
      />
      <text x="5" y="4.5" className="figures fill-ink text-[13px] font-semibold">
        {text}
      </text>
    </g>
  );
}
