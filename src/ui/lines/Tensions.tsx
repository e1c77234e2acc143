'use client';
import type { MoreColumn } from '@/core/sim';
import { breakingLoads } from '@/document';
import { TensionChart } from '../charts/TensionChart';
import type { TakeState } from '../hooks/use-take';

/** What each line carries over the take. */
export function Tensions({ state }: { state: TakeState }) {
  const { take, file } = state;
  const { lines } = file.score;
  if (!take || lines.length === 0) return null;
  const breaks = breakingLoads(lines, file);
  return (
    <section aria-label="What lines carry" className="rule-t py-2.5">
      <h2 className="pb-1 text-[15px] font-semibold">What lines carry in this take</h2>
      {lines.map(({ name }, i) => {
        const tension = take.trace[`tension${i + 1}` as MoreColumn];
        return tension ? (
          <TensionChart
            key={name}
            name={name}
            time={take.trace.time}
            tension={tension}
            breaks={breaks[i]!}
          />
        ) : null;
      })}
    </section>
  );
}
