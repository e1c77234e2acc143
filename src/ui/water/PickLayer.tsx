'use client';
import { marksAtStart, type Around } from '@/document';
import { useWorkspace } from '../state/context';
import type { Picking } from '../state/workspace';
import { toScreen, type Camera, type View } from './camera';

/** Every mark a cue can name as something to press; Esc leaves it as it was. */
export function PickLayer({
  picking,
  around,
  camera,
  view,
}: {
  picking: Picking;
  around: Around;
  camera: Camera;
  view: View;
}) {
  const setPicking = useWorkspace((s) => s.setPicking);
  const marks = marksAtStart(around);
  return (
    <div className="absolute inset-0 overflow-hidden" data-testid="pick">
      <p className="absolute left-1/2 top-3 -translate-x-1/2 border border-plan bg-paper px-3 py-1 text-[13px]">
        {marks.length > 0
          ? 'Press a mark or a pile. Esc leaves it as it was.'
          : 'This place has neither marks nor piles to name.'}
      </p>
      {marks.map(({ name, x, y }) => {
        const [px, py] = toScreen(camera, view, x, y);
        return (
          <button
            key={name}
            type="button"
            aria-label={name}
            title={name}
            onClick={() => {
              picking.choose(name);
              setPicking(null);
            }}
            className="absolute flex size-7 -translate-1/2 items-center justify-center rounded-full border-2 border-plan bg-paper/60 hover:bg-plan focus-visible:bg-plan"
            style={{ left: px, top: py }}
          >
            <span className="size-1.5 rounded-full bg-ink" />
          </button>
        );
      })}
    </div>
  );
}
