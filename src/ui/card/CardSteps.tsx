'use client';
import type { Run } from '@/core/plan';
import type { ManoeuvreFile } from '@/document';
import { useUnits } from '../state/preferences';
import { cueText, ordersText } from '../words/steps';
import { clock } from '../words/units';

/** The steps in turn: what to wait for, what to do, and what else; when each came as it was rehearsed. */
export function CardSteps({ file, run }: { file: ManoeuvreFile; run: Run | null }) {
  const units = useUnits();
  const begun = new Map(run?.steps.map(({ step, time }) => [step, time]));
  return (
    <section aria-label="Steps">
      <ol>
        {file.plan.steps.map((step, i) => {
          const time = begun.get(i);
          const calls = step.orders.flatMap((order) => (order.do === 'call' ? [order.text] : []));
          return (
            <li
              key={step.id}
              className="grid break-inside-avoid grid-cols-[2em_minmax(0,1fr)_auto] gap-x-2 border-t border-hairline py-1.5 first:border-t-0"
            >
              <span
                className="figures text-[1.35em] font-extrabold leading-none text-plan"
                aria-hidden
              >
                {i + 1}
              </span>
              <div>
                <p className="font-semibold">{cueText(step.cue, units)}</p>
                {calls.length < Math.max(1, step.orders.length) && (
                  <p>{ordersText(step.orders, units)}</p>
                )}
                {calls.map((text) => (
                  <p key={text} className="text-[0.9em]">
                    “{text}”
                  </p>
                ))}
                {step.wayOut.note && (
                  <p className="text-[0.82em] text-quiet">or else: {step.wayOut.note}</p>
                )}
              </div>
              <span className="figures text-[0.82em] text-quiet">
                {time === undefined ? '' : clock(time)}
              </span>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
