'use client';
import { Keyboard, Volume2, VolumeX } from 'lucide-react';
import { useState } from 'react';
import type { Run } from '@/core/plan';
import { useWorkspace } from '../state/context';
import { useUnits } from '../state/preferences';
import { problemLines } from '@/document';
import { clock } from '../words/units';
import { outcomeWords } from '../words/outcomes';
import { GhostChoice } from './GhostChoice';
import { CrewOrders } from './CrewOrders';
import { KeySheet } from './KeySheet';
import { NextStep } from './NextStep';
import { AID_WORDS, AIDS, useHelmPreferences } from './preferences';
import { Readings } from './Readings';
import { Surprises } from './Surprises';
import { useCalls } from './use-calls';
import { useIsSteered, useLive, useLiveState } from './use-live';
import { WhoSteers } from './WhoSteers';

/** Beside the water while the boat is driven: how it goes, what the plan has next, what is called. */
export function RehearsePanel({ planned }: { planned: Run | null }) {
  return (
    <aside
      aria-label="Rehearsal"
      className="flex h-full min-h-0 flex-col border-l border-ink bg-paper max-md:border-l-0"
    >
      <div className="shrink-0 px-5 pb-2 pt-3">
        <State />
        <Readings />
      </div>
      <div className="relative min-h-0 flex-1 overflow-y-auto px-5 pb-3">
        <WhoSteers />
        <NextStep />
        <CrewOrders />
        <Calls />
        <Surprises planned={planned} />
        <Aids />
        <p className="rule-t pt-2.5 text-[12.5px] text-quiet">
          A rehearsal, not navigation: models err. Nobody boards, leaves or handles a line near a
          propeller that turns; fend with fenders, never with hands or feet. Local rules, the
          harbour&rsquo;s word and the boat&rsquo;s manual come first.
        </p>
      </div>
    </aside>
  );
}

/** Where the drive stands, and how it is brought to its end. */
function State() {
  const live = useLive();
  const units = useUnits();
  const status = useLiveState((s) => s.status);
  const problems = useLiveState((s) => s.problems);
  const soFar = useLiveState((s) => s.soFar);
  const saved = useLiveState((s) => s.saved);
  const setPhase = useWorkspace((s) => s.setPhase);
  const openRun = useWorkspace((s) => s.openRun);
  const runId = useLiveState((s) => s.runId);
  const steered = useIsSteered();
  const going = status === 'running' || status === 'paused';
  const words =
    status === 'over' && soFar
      ? outcomeWords(soFar, live.file, units)
      : status === 'running'
        ? ([steered ? 'The app steers' : 'You have the helm', ''] as const)
        : status === 'paused'
          ? (['Standing still', 'go on, or take it up again from any moment'] as const)
          : status === 'refused'
            ? (['Cannot be driven', ''] as const)
            : status === 'opening'
              ? (['Getting the boat ready', ''] as const)
              : ([
                  'Ready',
                  steered ? 'let it steer when you are' : 'take the helm when you are',
                ] as const);
  return (
    <div className="pb-2">
      <div role="status" data-testid="live-status">
        <p className="text-[20px] font-semibold leading-7">{words[0]}</p>
        {words[1] && <p className="text-[13px] text-quiet">{words[1]}</p>}
      </div>
      {problems.length > 0 && (
        <p role="alert" className="text-[13px] font-semibold text-hurt">
          {problemLines(problems)}
        </p>
      )}
      <div className="flex flex-wrap items-baseline gap-x-4 pt-1 text-[13px]">
        {going && (
          <>
            <button
              type="button"
              className="font-semibold text-plan underline"
              onClick={() => void live.end('done')}
            >
              Done: the boat is there
            </button>
            <button
              type="button"
              className="text-plan underline"
              onClick={() => void live.end('broke off')}
            >
              Break off
            </button>
          </>
        )}
        {status === 'over' && runId && (
          <button
            type="button"
            className="font-semibold text-plan underline"
            onClick={() => {
              openRun(runId);
              setPhase('debrief');
            }}
          >
            Look back
          </button>
        )}
        {saved !== null && (
          <span
            className={saved ? 'text-quiet' : 'font-semibold text-hurt'}
            data-testid="run-saved"
          >
            {saved ? 'kept' : 'kept in this browser only; the server does not answer'}
          </span>
        )}
      </div>
    </div>
  );
}

/** What is called out aboard, the newest first. */
function Calls() {
  const calls = useCalls();
  const voice = useHelmPreferences((p) => p.voice);
  const setVoice = useHelmPreferences((p) => p.setVoice);
  const [sheet, setSheet] = useState(false);
  return (
    <section aria-label="Called out" className="rule-t py-2.5">
      <div className="flex items-center gap-4 text-[13px]">
        <button
          type="button"
          aria-pressed={voice}
          className="flex items-center gap-1.5 text-plan underline"
          onClick={() => setVoice(!voice)}
        >
          {voice ? <Volume2 size={15} /> : <VolumeX size={15} />}
          {voice ? 'spoken' : 'not spoken'}
        </button>
        <button
          type="button"
          className="flex items-center gap-1.5 text-plan underline"
          onClick={() => setSheet(true)}
        >
          <Keyboard size={15} /> keys
        </button>
      </div>
      <ol
        aria-live="polite"
        data-testid="calls"
        className="relative h-[112px] overflow-y-auto pt-1"
      >
        {calls.length === 0 && (
          <li className="text-[13px] text-quiet">
            The crew call distances, lines and touches here.
          </li>
        )}
        {calls.map(({ time, text, urgent }, i) => (
          <li
            key={`${time}-${text}-${i}`}
            className={`flex gap-3 ${urgent ? 'font-semibold text-hurt' : ''}`}
          >
            <span className="figures w-9 shrink-0 text-quiet">{clock(time)}</span>
            {text}
          </li>
        ))}
      </ol>
      {sheet && <KeySheet onClose={() => setSheet(false)} />}
    </section>
  );
}

/** Aids, each to be switched off as skill grows. */
function Aids() {
  const aids = useHelmPreferences((p) => p.aids);
  const setAid = useHelmPreferences((p) => p.setAid);
  const setAll = useHelmPreferences((p) => p.setAllAids);
  const some = AIDS.some((aid) => aids[aid]);
  return (
    <details className="rule-t py-2.5">
      <summary className="cursor-pointer font-semibold">{some ? 'Aids' : 'Aids: none'}</summary>
      <button type="button" className="py-1 text-plan underline" onClick={() => setAll(!some)}>
        {some ? 'Bare helm: only what can be seen from the boat' : 'Tell everything again'}
      </button>
      <GhostChoice />
      {AIDS.map((aid) => (
        <label key={aid} className="flex min-h-8 items-center gap-2 text-[13px]">
          <input
            type="checkbox"
            checked={aids[aid]}
            onChange={(event) => setAid(aid, event.target.checked)}
            className="min-h-0"
          />
          {AID_WORDS[aid]}
        </label>
      ))}
    </details>
  );
}
