'use client';
import { useRef, useState } from 'react';
import type { HeldBack } from '@/core/plan';
import type { CueDocument, PlanDocument } from '@/document';
import { retimed, type Retimed } from '@/planner';
import type { AskHeldBack } from '../hooks/use-run';
import { useWorkspaceStore } from '../state/context';
import { Gesture } from '../state/workspace';

type WhyNotRetimed = (Retimed & { ok: false })['why'];

/** Why a step does not follow the pointer, and what to do instead. */
export const WHY_NOT: Readonly<Record<WhyNotRetimed, string>> = {
  'no figure': 'its cue has no figure to move: choose another mark or cue for it',
  'not reached': 'its cue is not so at that moment',
  stands: 'what its cue goes by hardly changes there: it tells no moment',
  'another part': 'another part of its cue decides then: change that in the step',
};

export const cueAt = ({ steps, end }: PlanDocument, step: number): CueDocument =>
  (steps[step] ?? end).cue;

/** Writes a step's cue, or the end's for the number of steps. */
export function withCue(plan: PlanDocument, step: number, cue: CueDocument): PlanDocument {
  if (step >= plan.steps.length) return { ...plan, end: { ...plan.end, cue } };
  return { ...plan, steps: plan.steps.map((b, i) => (i === step ? { ...b, cue } : b)) };
}

interface Drag {
  readonly step: number;
  readonly gesture: Gesture;
  readonly cue: CueDocument;
  held: HeldBack | null;
  /** Where it was last asked to be, s. */
  at: number | null;
}

/**
 * Steps moved in time: the cue's own figure is what changes. The boat is run once with the step held back, and every moment
 * of a drag is read from that.
 */
export function useRetime(holdBack: AskHeldBack) {
  const store = useWorkspaceStore();
  const drag = useRef<Drag | null>(null);
  const [why, setWhy] = useState<WhyNotRetimed | null>(null);
  const [step, setStep] = useState<number | null>(null);
  const [moving, setMoving] = useState(false);

  const apply = (now: Drag) => {
    if (!now.held || now.at === null) return;
    const moved = retimed(now.cue, now.held, now.at);
    setWhy(moved.ok ? null : moved.why);
    if (moved.ok)
      now.gesture.edit((m) => {
        m.plan = withCue(m.plan, now.step, moved.cue);
      });
  };
  const begin = async (which: number) => {
    const plan = store.getState().manoeuvre.plan;
    const now: Drag = {
      step: which,
      gesture: new Gesture(store),
      cue: cueAt(plan, which),
      held: null,
      at: null,
    };
    drag.current = now;
    setStep(which);
    setWhy(null);
    setMoving(false);
    now.held = await holdBack(which);
    if (drag.current === now) apply(now);
    return now;
  };
  return {
    /** The step taken hold of; is it being moved; why it does not follow. */
    step,
    moving,
    why,
    begin: (which: number) => void begin(which),
    to(at: number) {
      if (!drag.current) return;
      drag.current.at = at;
      setMoving(true);
      apply(drag.current);
    },
    end(cancelled: boolean) {
      const now = drag.current;
      drag.current = null;
      setStep(null);
      setMoving(false);
      setWhy(null);
      if (cancelled) now?.gesture.cancel();
      else now?.gesture.end();
    },
    /** Moved to a moment at once, as keys do. */
    async move(which: number, at: number) {
      const now = await begin(which);
      if (drag.current !== now) return;
      now.at = at;
      apply(now);
      now.gesture.end();
      drag.current = null;
      setMoving(true);
    },
    /** Nothing more is said of what was moved last. */
    leave() {
      if (!drag.current) setStep(null);
    },
  };
}
