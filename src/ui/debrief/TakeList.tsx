'use client';
import { useState } from 'react';
import { outcomeWord } from '../words/take';
import { clock } from '../words/units';
import { dayAndTime } from '../words/when';
import type { ListedTake } from './use-takes';

/** Every take driven of this manoeuvre, the newest first: one is looked at, others can be laid over it. */
export function TakeList({
  takes,
  more,
  id,
  over,
  onOpen,
  onOver,
  onChanged,
}: {
  takes: readonly ListedTake[];
  /** Fetches earlier ones; null where all are there. */
  more: (() => void) | null;
  id: string | null;
  over: readonly string[];
  onOpen: (id: string | null) => void;
  onOver: (ids: readonly string[]) => void;
  onChanged: () => void;
}) {
  const [aside, setAside] = useState<string | null>(null);
  const put = async (take: string, back: boolean) => {
    const answer = await fetch(`/api/takes/${take}`, {
      method: back ? 'PATCH' : 'DELETE',
      headers: { 'content-type': 'application/json' },
      ...(back ? { body: JSON.stringify({ aside: false }) } : {}),
    }).catch(() => null);
    if (!answer?.ok) return;
    setAside(back ? null : take);
    if (!back && take === id) onOpen(null);
    onChanged();
  };
  return (
    <section aria-label="Takes" className="rule-t py-2">
      <h2 className="text-[15px] font-semibold">Takes</h2>
      {aside && (
        <p role="status" className="text-[13px]">
          Put aside.{' '}
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
        {takes.toReversed().map((take) => (
          <li key={take.id} className="rule-t flex items-center gap-2 py-0.5 text-[13px]">
            <label className="flex items-center print:hidden" title="Lay it over the one looked at">
              <span className="sr-only">Lay take {take.number} over</span>
              <input
                type="checkbox"
                className="min-h-0"
                disabled={take.id === id}
                checked={over.includes(take.id)}
                onChange={(event) =>
                  onOver(
                    event.target.checked
                      ? [...over, take.id]
                      : over.filter((one) => one !== take.id),
                  )
                }
              />
            </label>
            <button
              type="button"
              aria-current={take.id === id ? 'true' : undefined}
              className={`flex min-h-8 flex-1 items-baseline gap-2 text-left hover:text-plan ${take.id === id ? 'font-semibold' : ''}`}
              onClick={() => onOpen(take.id)}
            >
              <span className="figures min-w-5">{take.number}</span>
              <span className="flex-1">
                {take.summary
                  ? outcomeWord(take.summary.outcome)
                  : take.summary === null
                    ? 'cannot be played'
                    : '…'}
              </span>
              <span className="figures text-quiet">
                {take.summary ? clock(take.summary.duration_s) : ''}
              </span>
              <span className="figures text-quiet">{dayAndTime(take.startedAt)}</span>
            </button>
            <button
              type="button"
              className="text-plan underline print:hidden"
              onClick={() => void put(take.id, false)}
              aria-label={`Put take ${take.number} aside`}
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
