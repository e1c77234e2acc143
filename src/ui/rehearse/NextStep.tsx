'use client';
import type { CueLeft } from '@/core/drive';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { useWorkspace } from '../state/context';
import { useUnits } from '../state/preferences';
import { cueText, ordersText } from '../words/steps';
import { boatSpeed, distance, type Units } from '../words/units';
import { useHelmPreferences } from './preferences';
import { useLive, useLiveState } from './use-live';

function leftWords({ value, unit }: CueLeft, units: Units): string {
  switch (unit) {
    case 's':
      return `${value.toFixed(0)} s to go`;
    case 'rad':
      return `${Math.round(value * DEGREES_PER_RADIAN)}° to go`;
    case 'm/s':
      return `${boatSpeed(value, units)} to go`;
    case 'm':
      return `${distance(value, units)} to go`;
    case 'N':
      return '';
  }
}

/** The step of the plan come to, and the one that comes: its cue, counting down, and what it orders. */
export function NextStep() {
  const units = useUnits();
  const on = useHelmPreferences((p) => p.aids.plan);
  const plan = useWorkspace((s) => s.manoeuvre.plan);
  const step = useLiveState((s) => s.now?.step ?? -1);
  const done = useLiveState((s) => s.now?.planDone ?? false);
  const live = useLive();
  const going = useLiveState((s) => s.status === 'running' || s.status === 'paused');
  const left = useLiveState((s) => s.now?.cueLeft ?? null);
  if (!on) return null;
  const now = plan.steps[step];
  const next = plan.steps[step + 1];
  const cue = next ? next.cue : plan.end.cue;
  return (
    <section aria-label="The plan followed" className="rule-t py-2.5" data-testid="next-step">
      {now && !done && (
        <p className="text-[13px]">
          <span className="figures mr-2 font-semibold">{step + 1}</span>
          {ordersText(now.orders, units)}
        </p>
      )}
      {done ? (
        <p className="font-semibold">The plan is through.</p>
      ) : (
        <p>
          <span className="figures mr-2 font-semibold text-plan">{next ? step + 2 : 'end'}</span>
          <span className="font-semibold">{cueText(cue, units)}</span>
          {left && <span className="figures ml-2 text-plan">{leftWords(left, units)}</span>}
          {next && <span className="block text-quiet">{ordersText(next.orders, units)}</span>}
          {going && (
            <button
              type="button"
              className="text-[13px] text-plan underline"
              onClick={() => void live.passOn()}
            >
              Skip to the next step
            </button>
          )}
        </p>
      )}
    </section>
  );
}
