'use client';
import { breakingLoads } from '@/document';
import { TensionChart } from '../charts/TensionChart';
import type { RunState } from '../hooks/use-run';

/** What each line carries over the run. */
export function Tensions({ state }: { state: RunState }) {
  const { run, file } = state;
  const { lines } = file.plan;
  if (!run || lines.length === 0) return null;
  const breaks = breakingLoads(lines, file);
  return (
    <section aria-label="What lines carry" className="rule-t py-2.5">
      <h2 className="pb-1 text-[15px] font-semibold">What lines carry in this run</h2>
      {lines.map(({ name }, i) => {
        const tension = run.trace.lines[i]?.tension;
        return tension ? (
          <TensionChart
            key={name}
            name={name}
            time={run.trace.time}
            tension={tension}
            breaks={breaks[i]!}
          />
        ) : null;
      })}
    </section>
  );
}
