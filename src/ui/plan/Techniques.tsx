'use client';
import { useMemo, useRef, useState } from 'react';
import type { Manoeuvre, OwnTechnique } from '@/document';
import { isRefused, techniquesFor, type Proposal, type Refusal, type TechniqueId } from '@/planner';
import { useJob } from '../hooks/use-job';
import { useSubject } from '../hooks/use-subject';
import type { RunState } from '../hooks/use-run';
import { BUTTON, Tries } from '../parts/Tries';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { usePreferences, useUnits } from '../state/preferences';
import { refusalWords } from '../words/refusals';
import { TECHNIQUE_WORDS } from '../words/techniques';
import { outcomeWords } from '../words/outcomes';
import { OwnTechniques } from './OwnTechniques';

const nameOf = (technique: TechniqueId | OwnTechnique) =>
  typeof technique === 'string' ? TECHNIQUE_WORDS[technique][0] : technique.name;

/** What came of writing a technique down. */
type Written =
  | {
      readonly is: 'in';
      readonly technique: TechniqueId | OwnTechnique;
      readonly proposal: Proposal;
    }
  | {
      readonly is: 'short';
      readonly technique: TechniqueId | OwnTechnique;
      readonly proposal: Proposal;
    }
  | { readonly is: 'refused'; readonly refusal: Refusal }
  | { readonly is: 'overtaken' };

/** Techniques that write themselves into the plan, fitted to this boat, place and day; one edit each. */
export function Techniques({ state }: { state: RunState }) {
  const store = useWorkspaceStore();
  const boat = useWorkspace((s) => s.boat);
  const { file } = state;
  const subject = useSubject();
  const offered = useMemo(() => techniquesFor(subject), [subject]);
  const [written, setWritten] = useState<Written | null>(null);
  const [asked, setAsked] = useState<TechniqueId | OwnTechnique | null>(null);
  const begun = useRef<{ on: Manoeuvre; technique: TechniqueId | OwnTechnique } | null>(null);
  const used = usePreferences((p) => p.techniques);
  const usedTechnique = usePreferences((p) => p.usedTechnique);
  const setPhase = useWorkspace((s) => s.setPhase);
  const putIn = (technique: TechniqueId | OwnTechnique, proposal: Proposal) => {
    if (typeof technique === 'string') usedTechnique(technique);
    store.getState().edit((m) => {
      m.plan = proposal.plan;
    });
    store.getState().select(null);
  };
  const { found, busy, problems, run, stop } = useJob('propose', (proposal) => {
    const { on, technique } = begun.current!;
    if (isRefused(proposal)) return setWritten({ is: 'refused', refusal: proposal.refused });
    // What was changed meanwhile is the user's; it is not written over.
    if (store.getState().manoeuvre !== on) return setWritten({ is: 'overtaken' });
    if (proposal.run.outcome !== 'reached') return setWritten({ is: 'short', technique, proposal });
    putIn(technique, proposal);
    setWritten({ is: 'in', technique, proposal });
  });
  const begin = (technique: TechniqueId | OwnTechnique) => {
    begun.current = { on: store.getState().manoeuvre, technique };
    setAsked(technique);
    setWritten(null);
    run({ file, technique });
  };
  if (!offered.ok) return null;
  // The way this user went last stands first.
  const rank = (id: TechniqueId) => (used.includes(id) ? used.indexOf(id) : used.length);
  const fit = offered.value
    .filter(({ unfit }) => unfit === null)
    .sort((a, b) => rank(a.id) - rank(b.id));
  const unfitted = offered.value.filter(({ unfit }) => unfit !== null);
  return (
    <section aria-label="Techniques" className="rule-t py-2.5">
      <h2 className="pb-1 text-[15px] font-semibold">Write in a technique</h2>
      {busy ? (
        <>
          <p>{asked && nameOf(asked)}</p>
          <Tries made={found && !isRefused(found) ? found : null} onStop={stop} />
        </>
      ) : (
        <ul>
          {fit.map(({ id }) => (
            <li key={id} className="py-0.5">
              <button
                type="button"
                className="w-full py-1 text-left hover:text-plan"
                onClick={() => begin(id)}
              >
                <span className="block font-semibold underline decoration-1 underline-offset-3">
                  {TECHNIQUE_WORDS[id][0]}
                </span>
                <span className="block text-[12.5px] text-quiet">{TECHNIQUE_WORDS[id][1]}</span>
              </button>
            </li>
          ))}
          {fit.length === 0 && <li className="text-quiet">None fits this boat and goal.</li>}
        </ul>
      )}
      {!busy && <OwnTechniques file={file} onChoose={begin} />}
      <Outcome written={written} onPut={putIn} />
      {problems.length > 0 && (
        <p role="alert" className="border-l-4 border-hurt-fill pl-2">
          {problems.map(({ message }) => message).join('; ')}
        </p>
      )}
      {!busy && fit.length > 1 && (
        <button
          type="button"
          className="py-1 text-left text-plan underline underline-offset-3"
          onClick={() => setPhase('brief')}
        >
          All of them side by side: Brief, ways of doing it
        </button>
      )}
      <details className="pt-1">
        <summary className="cursor-pointer text-[12.5px] text-quiet hover:text-plan">
          not for this manoeuvre in {boat.name}
        </summary>
        <ul className="pt-1 text-[12.5px] text-quiet">
          {unfitted.map(({ id, unfit }) => (
            <li key={id} className="py-0.5">
              <span className="font-semibold">{TECHNIQUE_WORDS[id][0]}</span>:{' '}
              {unfit && refusalWords(unfit)}
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}

function Outcome({
  written,
  onPut,
}: {
  written: Written | null;
  onPut: (technique: TechniqueId | OwnTechnique, proposal: Proposal) => void;
}) {
  const units = useUnits();
  const goal = useWorkspace((s) => s.manoeuvre.goal);
  if (!written) return null;
  if (written.is === 'overtaken')
    return (
      <p role="status" className="pt-1">
        The manoeuvre was changed meanwhile, so nothing was put in. Ask for it again.
      </p>
    );
  if (written.is === 'refused')
    return (
      <p role="alert" className="border-l-4 border-hurt-fill pl-2">
        {refusalWords(written.refusal)}
      </p>
    );
  const { technique, proposal } = written;
  const { run, plan, wayOut } = proposal;
  const [head, why] = outcomeWords(run, { goal, plan }, units);
  const none = wayOut?.none ?? 0;
  if (written.is === 'in')
    return (
      <p role="status" className="pt-1">
        {nameOf(technique)} stands in the plan: {why}.{' '}
        {none === 0
          ? 'A way out stood open at every moment looked at.'
          : `At ${none} of ${wayOut?.looked ?? 0} moments looked at there was no way out.`}{' '}
        Undo takes it out again.
      </p>
    );
  return (
    <div role="status" className="pt-1">
      <p>
        <span className="font-semibold">Does not get there in this weather.</span> The best of{' '}
        {proposal.tries} tries: {head.toLowerCase()}, {why}. Nothing was changed.
      </p>
      <button type="button" className={`${BUTTON} mt-1`} onClick={() => onPut(technique, proposal)}>
        Put it in all the same
      </button>
    </div>
  );
}
