'use client';
import { memo, useEffect, useRef } from 'react';
import type { Brief } from '@/core/brief';
import type { Finding } from '@/core/checks';
import { BriefPanel } from '../brief/BriefPanel';
import { ConditionsEditor } from '../conditions/ConditionsEditor';
import type { Survey } from '../hooks/use-look';
import type { TakeState } from '../hooks/use-take';
import { HoldsHer } from '../lines/HoldsHer';
import { LinesPanel } from '../lines/LinesPanel';
import { LocksPanel } from '../locks/LocksPanel';
import { OthersPanel } from '../lines/OthersPanel';
import { Tensions } from '../lines/Tensions';
import { Margins } from '../margins/Margins';
import { BeatEditor } from '../score/BeatEditor';
import { Tempting } from '../score/Tempting';
import { Figures } from '../score/Figures';
import { FitScore } from '../score/FitScore';
import { END } from '../score/layout';
import { Checks } from '../score/Checks';
import { EndEditor } from '../score/EndEditor';
import { useWorkspace } from '../state/context';
import { DifferenceList } from '../what-if/DifferenceList';
import { WhatIfPanel } from '../what-if/WhatIfPanel';

/** Margins always; under them the beat that is open, or the conditions and what the manoeuvre is. */
export const SidePanel = memo(function SidePanel({
  state,
  survey,
  brief,
}: {
  state: TakeState;
  survey: Survey;
  brief: { readonly found: Brief | null; readonly busy: boolean };
}) {
  const phase = useWorkspace((s) => s.phase);
  const selected = useWorkspace((s) => s.selected);
  const beats = useWorkspace((s) => s.manoeuvre.score.beats);
  const panel = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // Where everything stands one under another what was opened is brought into view.
    if (selected && matchMedia('(width < 48rem)').matches)
      panel.current?.scrollIntoView({ block: 'start' });
  }, [selected]);
  const index = beats.findIndex((beat) => beat.id === selected);
  const beat = beats[index];
  return (
    <aside
      aria-label="Take and beat"
      className="flex h-full min-h-0 flex-col border-l border-ink bg-paper max-md:contents"
    >
      <div className="relative max-h-[46%] shrink-0 overflow-y-auto px-5 pb-2 pt-3.5 max-md:order-2 max-md:max-h-none max-md:bg-paper">
        <Margins state={state} survey={survey} />
      </div>
      <div
        ref={panel}
        className="relative min-h-0 flex-1 overflow-y-auto border-t border-ink px-5 py-3 max-md:order-4 max-md:scroll-mt-24 max-md:bg-paper"
      >
        {phase === 'score' && <Held state={state} />}
        {phase === 'brief' ? (
          <BriefPanel brief={brief.found} busy={brief.busy} />
        ) : phase === 'what if' ? (
          <WhatIfPanel state={state} />
        ) : beat ? (
          <>
            <Checks
              findings={survey.checks.filter((finding) => finding.beat === index)}
              named={false}
            />
            <BeatEditor key={beat.id} beat={beat} number={index + 1} />
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

/** How the take differs from one that is held, while the score is changed. */
function Held({ state }: { state: TakeState }) {
  const reference = useWorkspace((s) => s.reference);
  const setReference = useWorkspace((s) => s.setReference);
  const { take } = state;
  if (!reference || !take) return null;
  return (
    <section aria-label="Against the take held" className="pb-3">
      <h2 className="flex items-baseline justify-between pb-1 text-[15px] font-semibold">
        Against the take held
        <button
          type="button"
          className="text-[13px] font-normal text-plan underline"
          onClick={() => setReference(null)}
        >
          let it go
        </button>
      </h2>
      {take === reference.take ? (
        <p className="text-[13px] text-quiet">Nothing differs yet. Change a beat.</p>
      ) : (
        <DifferenceList held={reference.take} now={take} />
      )}
    </section>
  );
}

function About({ checks, state }: { checks: readonly Finding[]; state: TakeState }) {
  const note = useWorkspace((s) => s.manoeuvre.note);
  return (
    <>
      <Checks findings={checks} named />
      <p className="pb-3">{note}</p>
      <Tempting state={state} />
      <Figures state={state} />
      <FitScore state={state} />
      <LocksPanel />
      <LinesPanel />
      <OthersPanel />
      <HoldsHer state={state} />
      <Tensions state={state} />
      <ConditionsEditor />
      <p className="rule-t pt-2.5 text-[12.5px] text-quiet">
        Press a beat on the score or the water to change it. Drag wind or stream on the water.
      </p>
      <p className="pt-2 text-[12.5px] text-quiet">
        A rehearsal, not navigation: forces here carry a spread of a fifth or more, prop walk a
        half. Keep a margin, fend with fenders and never with hands or feet, keep everybody inboard
        while the propeller turns, and follow local rules, the harbour&rsquo;s word and the
        boat&rsquo;s own manual.
      </p>
    </>
  );
}
