'use client';
import { useRef, useState } from 'react';
import type { Run } from '@/core/plan';
import type { Manoeuvre, PlanDocument } from '@/document';
import { useJob } from '../hooks/use-job';
import type { RunState } from '../hooks/use-run';
import { BUTTON, Tries } from '../parts/Tries';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { DifferenceList } from '../what-if/DifferenceList';

/** Has the core try the numbers of the plan until they fit boat, place and wind; one edit, undone like any other. */
export function TunePlan({ state }: { state: RunState }) {
  const store = useWorkspaceStore();
  const plan = useWorkspace((s) => s.manoeuvre.plan);
  const [before, setBefore] = useState<Run | null>(null);
  const [fittedTo, setFittedTo] = useState<PlanDocument | null>(null);
  const [same, setSame] = useState(false);
  const [overtaken, setOvertaken] = useState(false);
  const begunOn = useRef<Manoeuvre | null>(null);
  const {
    found: fitted,
    busy,
    run: ask,
    stop,
  } = useJob('tune', (found) => {
    const now = store.getState();
    // What was changed meanwhile is the user's; it is not written over.
    if (now.manoeuvre !== begunOn.current) return setOvertaken(true);
    if (found.now >= found.before) return setSame(true);
    now.edit((m) => {
      m.plan = found.plan;
    });
    setFittedTo(store.getState().manoeuvre.plan);
  });
  const { run, file } = state;
  const begin = () => {
    setBefore(run);
    setFittedTo(null);
    setSame(false);
    setOvertaken(false);
    begunOn.current = store.getState().manoeuvre;
    ask({ file });
  };
  return (
    <section aria-label="Tune" className="rule-t py-2.5">
      {busy ? (
        <Tries made={fitted} onStop={stop} />
      ) : (
        <button type="button" className={BUTTON} disabled={!run} onClick={begin}>
          Tune the numbers
        </button>
      )}
      <p className="pt-1 text-[12.5px] text-quiet">
        Tries other cues, wheel angles and throttles in this wind, in a quarter less and a quarter
        more, and keeps what gets there with the most room. Gears, sides and marks stay. Undo puts
        it back.
      </p>
      {overtaken && (
        <p role="status" className="pt-1">
          The manoeuvre was changed meanwhile, so nothing was put in. Tune it again.
        </p>
      )}
      {same && <p className="pt-1">Nothing it tried does better than what is written.</p>}
      {fittedTo === plan && before && run && (
        <div className="pt-2">
          <DifferenceList held={before} now={run} />
        </div>
      )}
    </section>
  );
}
