'use client';
import type { Run } from '@/core/plan';
import type { StepDocument } from '@/document';
import { END } from '../plan/layout';
import { toScreen, type Camera, type View } from './camera';
import { boxAround, type ScreenBox } from './names';

/** The steps' numbers on the water; the same as on the plan. Pressing one opens it. */
export function StepNumbers({
  run,
  steps,
  camera,
  view,
  pointed,
  selected,
  onPoint,
  onSelect,
}: {
  run: Run;
  steps: readonly StepDocument[];
  camera: Camera;
  view: View;
  pointed: string | null;
  selected: string | null;
  onPoint: (id: string | null) => void;
  onSelect: (id: string) => void;
}) {
  return (
    <>
      {placesOf(run, steps, camera, view).map(({ id, label, at, shown: [x, y] }) => {
        const lit = pointed === id || selected === id;
        return (
          <div key={id}>
            {Math.hypot(x - at[0], y - at[1]) > 4 && (
              <svg className="pointer-events-none absolute inset-0 size-full text-plan" aria-hidden>
                <line x1={at[0]} y1={at[1]} x2={x} y2={y} stroke="currentColor" strokeWidth="1" />
              </svg>
            )}
            <button
              type="button"
              tabIndex={-1}
              aria-label={id === END ? 'The end on the water' : `Step ${label} on the water`}
              onPointerDown={(event) => event.stopPropagation()}
              onClick={() => onSelect(id)}
              onPointerEnter={() => onPoint(id)}
              onPointerLeave={() => onPoint(null)}
              className={`figures absolute flex size-[22px] -translate-1/2 items-center justify-center rounded-full border border-plan text-[14px] font-bold ${
                lit ? 'bg-paper text-plan ring-2 ring-plan' : 'bg-plan text-on-plan'
              }`}
              style={{ left: x, top: y }}
            >
              {label}
            </button>
          </div>
        );
      })}
    </>
  );
}

/** Where each number belongs, and where it is shown so that none covers another. */
function placesOf(run: Run, steps: readonly StepDocument[], camera: Camera, view: View) {
  const { x, y } = run.trace;
  const last = x.length - 1;
  const placed = [
    ...run.steps.flatMap((mark) => {
      const step = steps[mark.step];
      const at = toScreen(camera, view, mark.x, mark.y);
      return step ? [{ id: step.id, label: String(mark.step + 1), at }] : [];
    }),
    { id: END, label: '‖', at: toScreen(camera, view, x[last]!, y[last]!) },
  ];
  const shown = spread(placed.map(({ at }) => at));
  return placed.map((one, i) => ({ ...one, shown: shown[i]! }));
}

/** What the numbers cover: names give way to them. */
export const numberBoxes = (
  run: Run,
  steps: readonly StepDocument[],
  camera: Camera,
  view: View,
): ScreenBox[] =>
  placesOf(run, steps, camera, view).map(({ shown: [x, y] }) =>
    boxAround(x, y, APART_PX, APART_PX),
  );

const APART_PX = 24;

/** Moves numbers that would cover one another apart, later ones giving way. */
export function spread(points: readonly [number, number][]): [number, number][] {
  const placed: [number, number][] = [];
  for (const [x, y] of points) {
    let at: [number, number] = [x, y];
    for (let k = 0; k < 24; k++) {
      if (placed.every(([px, py]) => Math.hypot(px - at[0], py - at[1]) >= APART_PX)) break;
      const angle = -Math.PI / 2 + k * 0.9;
      const reach = APART_PX * (1 + Math.floor(k / 7));
      at = [x + reach * Math.cos(angle), y + reach * Math.sin(angle)];
    }
    placed.push(at);
  }
  return placed;
}
