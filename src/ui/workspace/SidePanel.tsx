'use client';
import { memo, useEffect, useRef } from 'react';
import type { Brief } from '@/core/brief';
import type { Finding } from '@/core/checks';
import { BriefPanel } from '../brief/BriefPanel';
import { ConditionsEditor } from '../conditions/ConditionsEditor';
import type { Survey } from '../hooks/use-look';
import type { RunState } from '../hooks/use-run';
import { HoldsHer } from '../lines/HoldsHer';
import { LinesPanel } from '../lines/LinesPanel';
import { LocksPanel } from '../locks/LocksPanel';
import { OthersPanel } from '../lines/OthersPanel';
import { Tensions } from '../lines/Tensions';
import { LastTime, type LastKnown } from '../margins/LastTime';
import { Margins } from '../margins/Margins';
import { StepEditor } from '../plan/StepEditor';
import { Tempting } from '../plan/Tempting';
import { SuggestPlan } from '../plan/SuggestPlan';
import { Techniques } from '../plan/Techniques';
import { TunePlan } from '../plan/TunePlan';
import { END } from '../plan/layout';
import { Checks } from '../plan/Checks';
import { EndEditor } from '../plan/EndEditor';
import { useWorkspace } from '../state/context';
import { Subjects } from './Subjects';
import { DifferenceList } from '../what-if/DifferenceList';
import { WhatIfPanel } from '../what-if/WhatIfPanel';

/** Margins always; under them the step that is open, or the conditions and what the manoeuvre is. */
export const SidePanel = memo(function SidePanel({
  state,
  survey,
  surveyed,
  brief,
  lastKnown,
}: {
  state: RunState;
  survey: Survey;
  /** Is the survey through? */
  surveyed: boolean;
  brief: { readonly found: Brief | null; readonly busy: boolean };
  /** What it came to when it was last worked out. */
  lastKnown: LastKnown | null;
}) {
  const phase = useWorkspace((s) => s.phase);
  const variation = useWorkspace((s) => s.variation);
  const selected = useWorkspace((s) => s.selected);
  const steps = useWorkspace((s) => s.manoeuvre.plan.steps);
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // Where everything stands one under another what was opened is brought into view.
    if (selected && matchMedia('(width < 48rem)').matches)
      panel.current?.scrollIntoView({ block: 'start' });
  }, [selected]);
  const index = steps.findIndex((step) => step.id === selected);
  const step = steps[index];
  return (
    <aside
      aria-label="Run and step"
      className="flex h-full min-h-0 flex-col border-l border-ink bg-paper max-md:contents"
    >
      <div className="relative max-h-[46%] shrink-0 overflow-y-auto px-5 pb-2 pt-3.5 max-md:order-2 max-md:max-h-none max-md:bg-paper">
        {state.run === null && state.problems.length === 0 && lastKnown ? (
          <LastTime last={lastKnown} />
        ) : (
          <Margins state={state} survey={survey} surveyed={surveyed} variation={variation} />
        )}
      </div>
      <div
        ref={panel}
        className="relative min-h-0 flex-1 overflow-y-auto border-t border-ink px-5 py-3 max-md:order-4 max-md:scroll-mt-24 max-md:bg-paper"
      >
        {phase === 'plan' && <Held state={state} />}
        {phase === 'brief' ? (
          <BriefPanel
            brief={brief.found}
            busy={brief.busy}
            state={state}
            survey={survey}
            surveyed={surveyed}
          />
        ) : phase === 'what if' ? (
          <WhatIfPanel state={state} />
        ) : step ? (
          <>
            <Checks
              findings={survey.checks.filter((finding) => finding.step === index)}
              named={false}
            />
            <StepEditor key={step.id} step={step} number={index + 1} />
          </>
        ) : selected === END ? (
          <EndEditor />
        ) : (
          <About checks={survey.checks} state={state} />
        )}
      </div>
    </aside>
  );
});

/** How the run differs from one that is held, while the plan is changed. */
function Held({ state }: { state: RunState }) {
  const reference = useWorkspace((s) => s.reference);
  const setReference = useWorkspace((s) => s.setReference);
  const { run } = state;
  if (!reference || !run) return null;
  return (
    <section aria-label="Compared with the run held" className="pb-3">
      <h2 className="flex items-baseline justify-between pb-1 text-[15px] font-semibold">
        Compared with the run held
        <button
          type="button"
          className="text-[13px] font-normal text-plan underline"
          onClick={() => setReference(null)}
        >
          stop comparing
        </button>
      </h2>
      {run === reference.run ? (
        <p className="text-[13px] text-quiet">Nothing differs yet. Change a step.</p>
      ) : (
        <DifferenceList held={reference.run} now={run} />
      )}
    </section>
  );
}

function About({ checks, state }: { checks: readonly Finding[]; state: RunState }) {
  const note = useWorkspace((s) => s.manoeuvre.note);
  return (
    <>
      <Subjects>
        {{
          plan: (
            <>
              <Checks findings={checks} named />
              <p className="pb-3">{note}</p>
              <SuggestPlan state={state} />
              <Techniques state={state} />
              <TunePlan state={state} />
              <Tempting state={state} />
              <p className="rule-t pt-2.5 text-[12.5px] text-quiet">
                Press a step on the plan or the water to change it. Drag wind or current on the
                water.
              </p>
            </>
          ),
          lines: (
            <>
              <LinesPanel />
              <HoldsHer state={state} />
              <Tensions state={state} />
            </>
          ),
          conditions: (
            <>
              <ConditionsEditor />
              <LocksPanel />
            </>
          ),
          others: <OthersPanel />,
        }}
      </Subjects>
      <p className="rule-t mt-2 pt-2.5 text-[12.5px] text-quiet">
        A rehearsal, not navigation: forces here carry a spread of a fifth or more, prop walk a
        half. Keep a margin, fend with fenders and never with hands or feet, keep everybody inboard
        while the propeller turns, and follow local rules, the harbour&rsquo;s word and the
        boat&rsquo;s own manual.
      </p>
    </>
  );
}
