'use client';
import { toGround, toScreen, type Camera, type View } from '../water/camera';
import { cornersOf, isBerth, moved, withCornerAfter, withCorners, withoutCorner } from './edit';
import type { Thing } from './hit';
import type { XY } from './snap';
import { useGrab } from './use-grab';

const STEP_M = 0.1;
/** Shorter edges have no room for a handle of their own, px. */
const LEAST_EDGE_PX = 44;
const ARROWS: Readonly<Record<string, XY>> = {
  ArrowLeft: [-STEP_M, 0],
  ArrowRight: [STEP_M, 0],
  ArrowUp: [0, STEP_M],
  ArrowDown: [0, -STEP_M],
};

/** The chosen thing taken hold of: by its middle, or by a corner. Arrow keys move what has the focus by a decimetre. */
export function Handles({
  thing,
  kept,
  camera,
  view,
  onDrag,
  onDone,
}: {
  /** As it is drawn now, and as it was before it was taken hold of. */
  thing: Thing;
  kept: Thing;
  camera: Camera;
  view: View;
  onDrag: (thing: Thing) => void;
  /** Null where it was let go unchanged. */
  onDone: (thing: Thing | null) => void;
}) {
  const corners = cornersOf(thing);
  const at = corners.map(([x, y]) => toScreen(camera, view, x, y));
  const many = corners.length > 1;
  /** What moves the kept thing by a corner, or all of it. */
  const mover = (corner: number | null): Mover => {
    const by = (dx: number, dy: number): Thing =>
      corner === null
        ? moved(kept, dx, dy)
        : withCorners(
            kept,
            cornersOf(kept).map(([x, y], i): XY => (i === corner ? [x + dx, y + dy] : [x, y])),
          );
    return {
      onMove: (right, down) => onDrag(by(...toGround(camera, right, down))),
      onEnd: (end) => onDone(end && by(...toGround(camera, end[0], end[1]))),
      onTimestep: (dx, dy) => onDone(by(dx, dy)),
    };
  };
  const middle: XY = [
    at.reduce((sum, [x]) => sum + x / at.length, 0),
    at.reduce((sum, [, y]) => sum + y / at.length, 0),
  ];
  return (
    <div className="pointer-events-none absolute inset-0 overflow-hidden">
      {many && (
        <svg className="absolute inset-0 size-full" aria-hidden>
          <Outline at={at} mover={mover(null)} solid={!isBerth(thing)} />
        </svg>
      )}
      <Handle
        at={middle}
        mover={mover(null)}
        label={`${thing.name}: drag to move it, or arrow keys`}
        shape="size-3 rotate-45"
      />
      {many &&
        at.map((corner, i) => (
          <Handle
            key={i}
            at={corner}
            mover={mover(i)}
            label={
              isBerth(thing)
                ? `End ${i + 1} of ${thing.name}: drag, or arrow keys`
                : `Corner ${i + 1} of ${thing.name}: drag, or arrow keys; Delete takes it away`
            }
            shape="size-2.5 rounded-full"
            onRemove={() => onDone(withoutCorner(kept, i))}
          />
        ))}
      {'outline_m' in thing &&
        at.map(([x, y], i) => {
          const [u, v] = at[(i + 1) % at.length]!;
          if (Math.hypot(u - x, v - y) < LEAST_EDGE_PX) return null;
          const label = `One more corner between ${i + 1} and ${((i + 1) % at.length) + 1}`;
          return (
            <button
              key={`edge ${i}`}
              type="button"
              aria-label={label}
              title={label}
              className="pointer-events-auto absolute flex size-6 -translate-1/2 items-center justify-center text-[15px] text-plan"
              style={{ left: (x + u) / 2, top: (y + v) / 2 }}
              onClick={() => onDone(withCornerAfter(kept, i))}
            >
              +
            </button>
          );
        })}
    </div>
  );
}

interface Mover {
  onMove(right: number, down: number): void;
  onEnd(by: readonly [number, number] | null): void;
  onTimestep(east: number, north: number): void;
}

/** The whole of an outline, taken hold of anywhere. */
function Outline({
  at,
  mover,
  solid,
}: {
  at: readonly (readonly [number, number])[];
  mover: Mover;
  solid: boolean;
}) {
  const grab = useGrab(mover.onMove, mover.onEnd);
  return (
    <polygon
      points={at.map((p) => p.join(',')).join(' ')}
      className={`fill-transparent stroke-plan ${solid ? 'pointer-events-auto cursor-move' : ''}`}
      strokeWidth="2"
      {...grab}
    />
  );
}

function Handle({
  at,
  mover,
  label,
  shape,
  onRemove,
}: {
  at: readonly [number, number];
  mover: Mover;
  label: string;
  shape: string;
  onRemove?: () => void;
}) {
  const grab = useGrab(mover.onMove, mover.onEnd);
  return (
    <button
      type="button"
      aria-label={label}
      className="pointer-events-auto absolute flex size-7 -translate-1/2 cursor-grab touch-none items-center justify-center"
      style={{ left: at[0], top: at[1] }}
      {...grab}
      onKeyDown={(event) => {
        if (event.key === 'Delete' && onRemove) {
          // The whole thing is taken away by the same key elsewhere.
          event.preventDefault();
          event.stopPropagation();
          event.nativeEvent.stopImmediatePropagation();
          onRemove();
          return;
        }
        const step = ARROWS[event.key];
        if (!step) return;
        event.preventDefault();
        event.stopPropagation();
        mover.onTimestep(step[0], step[1]);
      }}
    >
      <span className={`${shape} border-2 border-plan bg-paper`} />
    </button>
  );
}
