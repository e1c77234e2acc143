'use client';
import type { Run } from '@/core/plan';
import { useUnits } from '../state/preferences';
import { distance, touchSpeed, type Units } from '../words/units';
import { toScreen, type Camera, type View } from './camera';
import { boxAround, type ScreenBox } from './names';
import { readAt } from './sample';

const TAG_HEIGHT_PX = 18;
const TAG_FROM_MARK_PX = 22;

/** A mark on the water with its words beside it, px. */
interface Hurt {
  readonly x: number;
  readonly y: number;
  readonly tagX: number;
  readonly tagY: number;
  readonly width: number;
  readonly text: string;
}

function widthOf(text: string): number {
  return text.length * 6.1 + 10;
}

/** Where the run comes nearest, and where it touches worst, if it does. */
function hurts(run: Run, camera: Camera, view: View, units: Units) {
  const { clearance, touch } = run.margins;
  const place = (x: number, y: number, text: string, tagX: number, tagY: number): Hurt => {
    const [px, py] = toScreen(camera, view, x, y);
    return { x: px, y: py, tagX: px + tagX, tagY: py + tagY, width: widthOf(text), text };
  };
  let near: Hurt | null = null;
  if (clearance && Number.isFinite(clearance.distance)) {
    const aside = away(run, clearance);
    const text = distance(Math.max(0, clearance.distance), units);
    near = place(clearance.x, clearance.y, text, aside.x, aside.y);
  }
  let hit: Hurt | null = null;
  if (touch && touch.grade !== 'soft') {
    const text = `${touch.grade} touch, ${touchSpeed(touch.speed)}`;
    const x = readAt(run, 'x', touch.time);
    const y = readAt(run, 'y', touch.time);
    hit = place(x, y, text, TAG_FROM_MARK_PX + widthOf(text) / 2, 4);
  }
  return { near, hit };
}

/** What the words of a run's hurts cover. */
export function hurtBoxes(run: Run, camera: Camera, view: View, units: Units): ScreenBox[] {
  const { near, hit } = hurts(run, camera, view, units);
  return [near, hit].flatMap((h) =>
    h ? [boxAround(h.tagX, h.tagY, h.width, TAG_HEIGHT_PX), boxAround(h.x, h.y, 24, 24)] : [],
  );
}

/** Where the run comes nearest, and where it touches: shape and weight first, colour second. */
export function HurtMarks({ run, camera, view }: { run: Run; camera: Camera; view: View }) {
  const units = useUnits();
  const { near, hit } = hurts(run, camera, view, units);
  return (
    <svg className="pointer-events-none absolute inset-0 size-full" aria-hidden>
      {near && (
        <>
          <path
            transform={`translate(${near.x} ${near.y})`}
            d="M-9 -9 h5 M-9 -9 v5 M9 -9 h-5 M9 -9 v5 M-9 9 h5 M-9 9 v-5 M9 9 h-5 M9 9 v-5"
            className="stroke-hurt"
            strokeWidth="2.5"
            fill="none"
          />
          <Tag hurt={near} />
        </>
      )}
      {hit && (
        <>
          <g transform={`translate(${hit.x} ${hit.y})`}>
            <path
              d="M0 -17 L15 9 L-15 9 Z"
              className="fill-hurt-fill stroke-hurt"
              strokeWidth="2"
              strokeLinejoin="round"
            />
            <path d="M0 -7 v8 M0 4 v2" stroke="#14110d" strokeWidth="2.5" strokeLinecap="round" />
          </g>
          <Tag hurt={hit} />
        </>
      )}
    </svg>
  );
}

const TAG_AWAY_PX = 30;

/** Offset of a tag from its mark: outwards from the boat, so that it does not cover it. */
function away(run: Run, mark: { time: number; x: number; y: number }): { x: number; y: number } {
  const dx = mark.x - readAt(run, 'x', mark.time);
  const dy = mark.y - readAt(run, 'y', mark.time);
  const reach = Math.max(0.1, Math.hypot(dx, dy));
  return { x: (dx / reach) * TAG_AWAY_PX, y: (-dy / reach) * TAG_AWAY_PX };
}

/** A figure in a box, centred. */
function Tag({ hurt: { tagX, tagY, width, text } }: { hurt: Hurt }) {
  return (
    <g transform={`translate(${tagX - width / 2} ${tagY})`}>
      <rect
        x="0"
        y={-TAG_HEIGHT_PX / 2}
        width={width}
        height={TAG_HEIGHT_PX}
        className="fill-paper stroke-hurt"
        strokeWidth="1"
      />
      <text
        x={width / 2}
        y="4.5"
        textAnchor="middle"
        className="figures fill-ink text-[13px] font-semibold"
      >
        {text}
      </text>
    </g>
  );
}
