'use client';
import type { TakeState } from '../hooks/use-take';
import { BUTTON } from '../parts/Tries';
import { useWorkspace, useWorkspaceStore } from '../state/context';

/** A way that looks as good and fails: put in against the present take, which is held to be compared. */
export function Tempting({ state }: { state: TakeState }) {
  const store = useWorkspaceStore();
  const tempting = useWorkspace((s) => s.manoeuvre.tempting);
  const score = useWorkspace((s) => s.manoeuvre.score);
  if (!tempting) return null;
  // Compared by what it says: a score that was saved and opened again is another object.
  const shown = JSON.stringify(score) === JSON.stringify(tempting.score);
  const { take, file } = state;
  const play = () => {
    const { edit, setReference } = store.getState();
    if (take) setReference({ kept: true, take, file });
    edit((m) => {
      m.score = tempting.score;
    });
  };
  return (
    <section aria-label="A tempting way" className="rule-t py-2.5">
      <h2 className="pb-1 text-[15px] font-semibold">A tempting way that fails</h2>
      <p>{tempting.title}.</p>
      {shown ? (
        <p className="pt-1">{tempting.why} Undo brings the other score back.</p>
      ) : (
        <button type="button" className={`${BUTTON} mt-1.5`} disabled={!take} onClick={play}>
          Play it against this take
        </button>
      )}
    </section>
  );
}
