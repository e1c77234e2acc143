'use client';
import { useEffect, useRef, useState } from 'react';
import { HARDER_MPS } from '@/core/policy';
import type { RunState } from '../hooks/use-run';
import { BUTTON, LINK } from '../parts/AreaFrame';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { outcomeWord } from '../words/outcome-heads';
import { STAGES, stageAfter, type Stage } from './stages';

/**
 * Somebody new is led through a manoeuvre on the workspace itself: looks, changes the wind, sees it fail, has it mended, drives. It can be left at
 * any time, and then the manoeuvre is put back as it was, as one edit that can be undone.
 */
export function Tour({ state, onLeave }: { state: RunState; onLeave: () => void }) {
  const store = useWorkspaceStore();
  const [before] = useState(() => store.getState().manoeuvre);
  const [stage, setStage] = useState<Stage>('look');
  const wind = useWorkspace((s) => s.manoeuvre.conditions.wind);
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const phase = useWorkspace((s) => s.phase);
  const boat = useWorkspace((s) => s.boat.name);
  const played = usePlayhead((p) => (p.playing ? Math.floor(p.time) : 0));
  const { run, file } = state;
  // A run of what stood there before the last edit tells nothing of what stands there now.
  const isOfNow = file.plan === manoeuvre.plan && file.conditions === manoeuvre.conditions;
  const reached = run && isOfNow ? run.outcome === 'reached' : null;
  const windChanged = wind !== before.conditions.wind;
  const driving = phase === 'rehearse';
  const next = stageAfter(stage, { played, windChanged, reached, driving });
  if (next !== stage) setStage(next);

  const box = useRef<HTMLElement>(null);
  useEffect(() => box.current?.focus(), [stage]);

  const leave = () => {
    const { manoeuvre: now, boat: its, replace, setPhase } = store.getState();
    if (now !== before) replace(before, its);
    setPhase('plan');
    onLeave();
  };
  const { edit, setPhase, setSubject } = store.getState();
  const harder = () =>
    edit((m) => {
      m.conditions.wind.speed_mps = Math.min(25, m.conditions.wind.speed_mps + HARDER_MPS);
    });
  const calmer = () =>
    edit((m) => {
      m.conditions.wind = before.conditions.wind;
    });
  const play = () => usePlayhead.setState({ time: 0, playing: true });
  const showPlans = () => {
    setPhase('plan');
    setSubject('plan');
  };

  const told: Readonly<Record<Stage, { says: string; does: [string, () => void][] }>> = {
    look: {
      says: `Look: press play, or the space bar, and watch ${boat} along the numbered steps.`,
      does: [['Play it', play]],
    },
    wind: {
      says: 'Change the wind: drag the ring by the wind arrows on the water. How it ends, and in how many of a hundred tries it holds, is computed again while you drag. Go on until it fails.',
      does: [['Blow four knots harder', harder]],
    },
    mend: {
      says: `It fails: ${run ? outcomeWord(run.outcome).toLowerCase() : ''}. The side says why. Under Plan press Suggest a plan: plans that hold in this wind are looked for. In too much of it there is none; then let it blow less.`,
      does: [
        ['Show me where', showPlans],
        ['Blow as before', calmer],
      ],
    },
    drive: {
      says: 'It works again. Now drive it yourself: press Rehearse at the top.',
      does: [['Rehearse', () => setPhase('rehearse')]],
    },
    end: {
      says: 'Take the helm (or the space bar): left and right turn the wheel, up and down move the levers, N is neutral. Pause and retry as often as you like. Back in Plan, Ctrl Z takes your changes back. The guide has the rest.',
      does: [],
    },
  };
  const { says, does } = told[stage];
  return (
    <section
      ref={box}
      tabIndex={-1}
      aria-label="First time here"
      aria-live="polite"
      className="flex flex-wrap items-center gap-x-4 gap-y-1.5 border-b-2 border-plan bg-paper px-5 py-2 focus-visible:outline-none"
    >
      <span className="figures shrink-0 text-quiet">
        {STAGES.indexOf(stage) + 1} of {STAGES.length}
      </span>
      <p className="min-w-60 max-w-[84ch] flex-1">{says}</p>
      {does.map(([words, act]) => (
        <button key={words} type="button" className={BUTTON} onClick={act}>
          {words}
        </button>
      ))}
      <button
        type="button"
        className={LINK}
        title="The manoeuvre is put back as it was"
        onClick={stage === 'end' ? onLeave : leave}
      >
        {stage === 'end' ? 'Close' : 'Leave'}
      </button>
    </section>
  );
}
