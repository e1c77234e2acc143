'use client';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Leg } from '@/core/brief';
import { lastWayOut } from '@/core/search';
import { toFile, type Boat, type Manoeuvre, type Place } from '@/document';
import { useAutosave } from '../hooks/use-autosave';
import { LeftEdits } from '../parts/LeftEdits';
import { boatCalled, MANOEUVRE_WIRE } from '../state/wire';
import { useBrief, useSurvey } from '../hooks/use-look';
import { useLastResult } from '../hooks/use-last-result';
import { usePlaying } from '../hooks/use-playing';
import { useRun } from '../hooks/use-run';
import { useTheme } from '../hooks/use-theme';
import { LockBeside } from '../locks/LockBeside';
import { PlanView } from '../plan/PlanView';
import { useWorkspace, useWorkspaceStore, WorkspaceProvider } from '../state/context';
import { usePlayhead } from '../state/playhead';
import type { Phase } from '../state/phases';
import { createWorkspace } from '../state/workspace';
import { Water } from '../water/Water';
import { ConflictDialog } from './ConflictDialog';
import { Card, Debrief, fetchPhases, Rehearse } from './lazy-phases';
import { SidePanel } from './SidePanel';
import type { LastKnown } from '../margins/LastTime';
import { Tour } from '../tour/Tour';
import { TopBar } from './TopBar';

const NO_LEGS: readonly Leg[] = [];

export interface OpenedManoeuvre {
  readonly manoeuvre: Manoeuvre;
  readonly boat: Boat;
  readonly place: Place;
  readonly revision: number;
  readonly updatedAt: number;
}

/** One manoeuvre: the water, the plan under it, margins and the open step beside. */
export function Workspace({
  opened,
  last,
  phase,
}: {
  opened: OpenedManoeuvre;
  /** What it came to when it was last worked out. */
  last: LastKnown | null;
  phase: Phase;
}) {
  const [store] = useState(() => createWorkspace({ ...opened, phase }));
  return (
    <WorkspaceProvider store={store}>
      <Frame opened={opened} last={last} />
    </WorkspaceProvider>
  );
}

function Frame({ opened, last: lastKnown }: { opened: OpenedManoeuvre; last: LastKnown | null }) {
  useTheme();
  usePlaying();
  const router = useRouter();
  const store = useWorkspaceStore();
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const boat = useWorkspace((s) => s.boat);
  const { place } = opened;
  const file = useMemo(() => toFile(manoeuvre, boat, place), [manoeuvre, boat, place]);
  const variation = useWorkspace((s) => s.variation);
  const phase = useWorkspace((s) => s.phase);
  const reference = useWorkspace((s) => s.reference);
  const state = useRun(file, variation);
  const save = useAutosave(manoeuvre, opened, MANOEUVRE_WIRE);
  useLastResult(state, file, save.state.is === 'saved' ? save.savedAs(manoeuvre) : null);
  const stale = state.problems.length > 0;
  const survey = useSurvey(stale ? null : file, variation);
  const brief = useBrief(stale || (phase !== 'brief' && phase !== 'card') ? null : file);
  const known = survey.found;
  const last = useMemo(() => lastWayOut(known.moments.map(({ wayOut }) => wayOut)), [known]);
  const legs = phase === 'brief' ? (brief.found?.legs ?? NO_LEGS) : NO_LEGS;

  // The water goes with the hand; the run's figures and staves may come a frame later.
  const calm = useDeferredValue(state);

  const [touring, setTouring] = useState(() =>
    new URLSearchParams(window.location.search).has('tour'),
  );
  const setRun = usePlayhead((p) => p.setRun);
  const { run } = state;
  useEffect(() => {
    if (run) setRun(run.duration, run.steps);
  }, [run, setRun]);
  useEffect(() => fetchPhases(), []);
  useEffect(() => {
    // Another manoeuvre's moment means nothing here.
    usePlayhead.setState({ time: 0, playing: false });
  }, []);

  // Grips and playhead are sliders, which the package would take for form fields.
  const keys = { preventDefault: true, enableOnFormTags: ['slider'] } as const;
  useHotkeys('mod+z', () => store.temporal.getState().undo(), keys);
  useHotkeys('mod+shift+z, mod+y', () => store.temporal.getState().redo(), keys);
  useHotkeys(
    'space',
    () =>
      store.getState().phase !== 'rehearse' &&
      usePlayhead.getState().setPlaying(!usePlayhead.getState().playing),
    // A focused button answers the space bar itself.
    {
      ...keys,
      ignoreEventWhen: (event) =>
        event.target instanceof HTMLElement &&
        event.target.closest('button, [role=combobox]') !== null,
    },
  );
  useHotkeys('escape', () => {
    const { picking, rigging, setPicking, setRigging, select } = store.getState();
    if (picking) setPicking(null);
    else if (rigging) setRigging(false);
    else select(null);
  });

  useEffect(() => {
    // Said beside the opening, not by it: nothing hangs on whether it can be written.
    void fetch(`/api/manoeuvres/${opened.manoeuvre.id}/opened`, { method: 'POST' }).catch(
      () => undefined,
    );
  }, [opened.manoeuvre.id]);

  const theirs = save.state.is === 'conflict' ? save.state.theirs : null;
  const showTheirs = () => {
    if (!theirs) return;
    save.takeTheirs();
    store.getState().replace(theirs.manoeuvre, theirs.boat);
  };
  const { left } = save;
  /** Edits that were left, as one edit that can be undone; in the boat they were made for. */
  const takeUpLeft = async (edits: Manoeuvre) => {
    const theirBoat = edits.boatId === boat.id ? boat : await boatCalled(edits.boatId);
    if (!theirBoat) return;
    store.getState().replace(edits, theirBoat);
    save.settleLeft();
  };
  const keepBoth = async () => {
    const response = await fetch('/api/manoeuvres', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...file, title: `${manoeuvre.title.slice(0, 73)}, copy` }),
    });
    if (!response.ok) return;
    const made = (await response.json()) as { id: string };
    showTheirs();
    router.push(`/m/${made.id}`);
  };

  return (
    // On a phone one under another: the water, how it went, the steps as a list, then what is open.
    <main className="grid h-dvh min-h-[600px] grid-cols-[minmax(0,1fr)_348px] grid-rows-[minmax(44px,auto)_minmax(0,1fr)_auto] overflow-hidden max-md:flex max-md:h-auto max-md:flex-col max-md:overflow-visible print:block print:h-auto print:overflow-visible">
      <div className="col-span-2 print:hidden max-md:sticky max-md:top-0 max-md:z-20">
        <TopBar save={save.state} onTour={() => setTouring(true)} />
        {touring && (
          <Tour
            state={state}
            onLeave={() => {
              setTouring(false);
              // Coming back to the page does not begin it again.
              window.history.replaceState(null, '', window.location.pathname);
            }}
          />
        )}
        {left && (
          <LeftEdits
            at={left.at}
            older={left.revision < opened.revision}
            onUse={() => void takeUpLeft(left.document)}
            onDiscard={save.settleLeft}
          />
        )}
      </div>
      {phase === 'rehearse' ? (
        <Rehearse file={file} planned={state.run} />
      ) : phase === 'debrief' ? (
        <Debrief manoeuvreId={manoeuvre.id} />
      ) : phase === 'card' ? (
        <Card state={calm} brief={brief.found} busy={brief.busy} survey={known} />
      ) : (
        <>
          <LockBeside run={state.run}>
            <Water
              run={state.run}
              boat={state.file.boat}
              legs={legs}
              lastWayOut={last}
              reference={reference}
              stale={stale}
              lastKnown={lastKnown?.result ?? null}
            />
          </LockBeside>
          <div className="col-start-2 row-span-2 row-start-2 min-h-0 max-md:contents">
            <SidePanel
              state={calm}
              survey={known}
              surveyed={!survey.busy}
              brief={brief}
              lastKnown={lastKnown}
            />
          </div>
          <div className="min-h-0 border-t border-ink max-md:order-3">
            <PlanView
              run={calm.run}
              boat={calm.file.boat}
              moments={known.moments}
              stale={stale}
              holdBack={calm.holdBack}
            />
          </div>
        </>
      )}
      {theirs && (
        <ConflictDialog
          onMine={save.keepMine}
          onTheirs={showTheirs}
          onCopy={() => void keepBoth()}
        />
      )}
    </main>
  );
}
