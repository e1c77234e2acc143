'use client';
import { useState } from 'react';
import { outcomeWord } from '../words/outcome-heads';
import { clock } from '../words/units';
import { dayAndTime } from '../words/when';
import type { ListedRun } from './use-runs';

/** Every run driven of this manoeuvre, the newest first: one is looked at, others can be laid over it. */
export function RunList({
  runs,
  more,
  id,
  over,
  onOpen,
  onOver,
  onChanged,
}: {
  runs: readonly ListedRun[];
  /** Fetches earlier ones; null where all are there. */
  more: (() => void) | null;
  id: string | null;
  over: readonly string[];
  onOpen: (id: string | null) => void;
  onOver: (ids: readonly string[]) => void;
  onChanged: () => void;
}) {
  const [aside, setAside] = useState<string | null>(null);
  const put = async (run: string, back: boolean) => {
    const answer = await fetch(`/api/runs/${run}`, {
      method: back ? 'PATCH' : 'DELETE',
      headers: { 'content-type': 'application/json' },
      ...(back ? { body: JSON.stringify({ aside: false }) } : {}),
    }).catch(() => null);
    if (!answer?.ok) return;
    setAside(back ? null : run);
    if (!back && run === id) onOpen(null);
    onChanged();
  };
  return (
    <section aria-label="Runs" className="rule-t py-2">
      <h2 className="text-[15px] font-semibold">Runs</h2>
      {aside && (
        <p role="status" className="text-[13px]">
          Removed.{' '}
          <button
            type="button"
            className="text-plan underline"
            onClick={() => void put(aside, true)}
          >
            Bring it back
          </button>
        </p>
      )}
      <ul>
        {runs.toReversed().map((run) => (
          <li key={run.id} className="rule-t flex items-center gap-2 py-0.5 text-[13px]">
            <label className="flex items-center print:hidden" title="Lay it over the one looked at">
              <span className="sr-only">Lay run {run.number} over</span>
              <input
                type="checkbox"
                className="min-h-0"
                disabled={run.id === id}
                checked={over.includes(run.id)}
                onChange={(event) =>
                  onOver(
                    event.target.checked ? [...over, run.id] : over.filter((one) => one !== run.id),
                  )
                }
              />
            </label>
            <button
              type="button"
              aria-current={run.id === id ? 'true' : undefined}
              className={`flex min-h-8 flex-1 items-baseline gap-2 text-left hover:text-plan ${run.id === id ? 'font-semibold' : ''}`}
              onClick={() => onOpen(run.id)}
            >
              <span className="figures min-w-5">{run.number}</span>
              <span className="flex-1">
                {run.summary
                  ? outcomeWord(run.summary.outcome)
                  : run.summary === null
                    ? 'cannot be played'
                    : '…'}
              </span>
              <span className="figures text-quiet">
                {run.summary ? clock(run.summary.duration_s) : ''}
              </span>
              <span className="figures text-quiet">{dayAndTime(run.startedAt)}</span>
            </button>
            <button
              type="button"
              className="text-plan underline print:hidden"
              onClick={() => void put(run.id, false)}
              aria-label={`Put run ${run.number} aside`}
            >
              aside
            </button>
          </li>
        ))}
      </ul>
      {more && (
        <button type="button" className="min-h-8 text-plan underline print:hidden" onClick={more}>
          Show earlier takes
        </button>
      )}
    </section>
  );
}
