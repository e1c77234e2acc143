'use client';
import type { RunState } from '../hooks/use-run';
import { BUTTON } from '../parts/Tries';
import { useWorkspace, useWorkspaceStore } from '../state/context';

/** A way that looks as good and fails: put in against the present run, which is held to be compared. */
export function Tempting({ state }: { state: RunState }) {
  const store = useWorkspaceStore();
  const tempting = useWorkspace((s) => s.manoeuvre.tempting);
  const plan = useWorkspace((s) => s.manoeuvre.plan);
  if (!tempting) return null;
  // Compared by what it says: a plan that was saved and opened again is another object.
  const shown = JSON.stringify(plan) === JSON.stringify(tempting.plan);
  const { run, file } = state;
  const play = () => {
    const { edit, setReference } = store.getState();
    if (run) setReference({ kept: true, run, file });
    edit((m) => {
      m.plan = tempting.plan;
    });
  };
  return (
    <section aria-label="A tempting way" className="rule-t py-2.5">
      <h2 className="pb-1 text-[15px] font-semibold">A tempting way that fails</h2>
      <p>{tempting.title}.</p>
      {shown ? (
        <p className="pt-1">{tempting.why} Undo brings the other plan back.</p>
      ) : (
        <button type="button" className={`${BUTTON} mt-1.5`} disabled={!run} onClick={play}>
          Play it against this run
        </button>
      )}
    </section>
  );
}
