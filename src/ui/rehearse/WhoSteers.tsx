'use client';
import { useEffect } from 'react';
import { Choice } from '../parts/Choice';
import { useWorkspace } from '../state/context';
import { handedOverWords, HELM_BY_WORDS, helmByStepWords } from '../words/rehearse';
import type { HelmBy } from './helm-by';
import { HelmByPlan } from './helm-by-plan';
import { useLive, useLiveState } from './use-live';

/** Whose the helm is: the user's, the app's by the plan, or the app's but for one step that is practised. */
export function WhoSteers() {
  const live = useLive();
  useEffect(() => new HelmByPlan(live).follow(), [live]);
  const steps = useWorkspace((s) => s.manoeuvre.plan.steps);
  const helmBy = useLiveState((s) => s.helmBy);
  const handedOver = useLiveState((s) => s.handedOver);
  const options = [
    { value: 'you', text: HELM_BY_WORDS.you },
    { value: 'app', text: HELM_BY_WORDS.app },
    ...steps.map((step, i) => ({ value: `${i}`, text: helmByStepWords(step, i) })),
  ];
  const chosen = (value: string): HelmBy =>
    value === 'you' || value === 'app' ? value : Number(value);
  return (
    <section aria-label="At the helm" className="rule-t flex flex-col gap-1 py-2.5">
      <p className="flex flex-wrap items-baseline gap-x-2">
        <span className="font-semibold">At the helm</span>
        <Choice
          label="Who steers"
          value={`${helmBy}`}
          options={options}
          onChange={(value) => live.setHelmBy(chosen(value))}
        />
      </p>
      {helmBy !== 'you' && (
        <p className="text-[13px] text-quiet">
          The app does what the plan has the helm do. Touch a control and the helm is yours.
        </p>
      )}
      {handedOver && (
        <p role="alert" className="border-l-4 border-hurt-fill pl-2 text-[13px]">
          {handedOverWords(handedOver)}
        </p>
      )}
    </section>
  );
}
