'use client';
import { useMemo, useRef, useState } from 'react';
import {
  figuresFor,
  type FigureId,
  type Manoeuvre,
  type OwnFigure,
  type Proposal,
} from '@/document';
import { useProposal } from '../hooks/use-job';
import { useSubject } from '../hooks/use-subject';
import type { RunState } from '../hooks/use-run';
import { BUTTON, Tries } from '../parts/Tries';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { usePreferences, useUnits } from '../state/preferences';
import { FIGURE_WORDS } from '../words/figures';
import { outcomeWords } from '../words/run';
import { OwnFigures } from './OwnFigures';

const nameOf = (figure: FigureId | OwnFigure) =>
  typeof figure === 'string' ? FIGURE_WORDS[figure][0] : figure.name;

/** What came of writing a figure down. */
type Written =
  | { readonly is: 'in'; readonly figure: FigureId | OwnFigure; readonly proposal: Proposal }
  | { readonly is: 'short'; readonly figure: FigureId | OwnFigure; readonly proposal: Proposal }
  | { readonly is: 'overtaken' };

/** Techniques that write themselves into the plan, fitted to this boat, place and day; one edit each. */
export function Figures({ state }: { state: RunState }) {
  const store = useWorkspaceStore();
  const boat = useWorkspace((s) => s.boat);
  const { file } = state;
  const subject = useSubject();
  const offered = useMemo(() => figuresFor(subject), [subject]);
  const [written, setWritten] = useState<Written | null>(null);
  const [asked, setAsked] = useState<FigureId | OwnFigure | null>(null);
  const begun = useRef<{ on: Manoeuvre; figure: FigureId | OwnFigure } | null>(null);
  const used = usePreferences((p) => p.figures);
  const usedFigure = usePreferences((p) => p.usedFigure);
  const setPhase = useWorkspace((s) => s.setPhase);
  const putIn = (figure: FigureId | OwnFigure, proposal: Proposal) => {
    if (typeof figure === 'string') usedFigure(figure);
    store.getState().edit((m) => {
      m.plan = proposal.plan;
    });
    store.getState().select(null);
  };
  const { found, busy, problems, run, stop } = useProposal((proposal) => {
    const { on, figure } = begun.current!;
    // What was changed meanwhile is the user's; it is not written over.
    if (store.getState().manoeuvre !== on) return setWritten({ is: 'overtaken' });
    if (proposal.run.outcome !== 'reached') return setWritten({ is: 'short', figure, proposal });
    putIn(figure, proposal);
    setWritten({ is: 'in', figure, proposal });
  });
  const begin = (figure: FigureId | OwnFigure) => {
    begun.current = { on: store.getState().manoeuvre, figure };
    setAsked(figure);
    setWritten(null);
    run((client) => client.propose(file, figure));
  };
  if (!offered.ok) return null;
  // The way this user went last stands first.
  const rank = (id: FigureId) => (used.includes(id) ? used.indexOf(id) : used.length);
  const fit = offered.value
    .filter(({ unfit }) => unfit === null)
    .sort((a, b) => rank(a.id) - rank(b.id));
  const unfitted = offered.value.filter(({ unfit }) => unfit !== null);
  return (
    <section aria-label="Figures" className="rule-t py-2.5">
      <h2 className="pb-1 text-[15px] font-semibold">Have a figure written in</h2>
      {busy ? (
        <>
          <p>{asked && nameOf(asked)}</p>
          <Tries made={found} onStop={stop} />
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
                  {FIGURE_WORDS[id][0]}
                </span>
                <span className="block text-[12.5px] text-quiet">{FIGURE_WORDS[id][1]}</span>
              </button>
            </li>
          ))}
          {fit.length === 0 && <li className="text-quiet">None fits this boat and goal.</li>}
        </ul>
      )}
      {!busy && <OwnFigures file={file} onChoose={begin} />}
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
              <span className="font-semibold">{FIGURE_WORDS[id][0]}</span>: {unfit}
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
  onPut: (figure: FigureId | OwnFigure, proposal: Proposal) => void;
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
  const { figure, proposal } = written;
  const { run, plan, wayOut } = proposal;
  const [head, why] = outcomeWords(run, { goal, plan }, units);
  const none = wayOut?.none ?? 0;
  if (written.is === 'in')
    return (
      <p role="status" className="pt-1">
        {nameOf(figure)} stands in the plan: {why}.{' '}
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
      <button type="button" className={`${BUTTON} mt-1`} onClick={() => onPut(figure, proposal)}>
        Put it in all the same
      </button>
    </div>
  );
}
