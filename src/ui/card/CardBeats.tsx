'use client';
import type { Take } from '@/core/score';
import type { ManoeuvreFile } from '@/document';
import { useUnits } from '../state/preferences';
import { cueText, ordersText } from '../words/beats';
import { clock } from '../words/units';

/** The beats in turn: what to wait for, what to do, and what else; when each came as it was rehearsed. */
export function CardBeats({ file, take }: { file: ManoeuvreFile; take: Take | null }) {
  const units = useUnits();
  const begun = new Map(take?.beats.map(({ beat, time }) => [beat, time]));
  return (
    <section aria-label="Beats">
      <ol>
        {file.score.beats.map((beat, i) => {
          const time = begun.get(i);
          const calls = beat.orders.flatMap((order) => (order.do === 'call' ? [order.text] : []));
          return (
            <li
              key={beat.id}
              className="grid break-inside-avoid grid-cols-[2em_minmax(0,1fr)_auto] gap-x-2 border-t border-hairline py-1.5 first:border-t-0"
            >
              <span
                className="figures text-[1.35em] font-extrabold leading-none text-plan"
                aria-hidden
              >
                {i + 1}
              </span>
              <div>
                <p className="font-semibold">{cueText(beat.cue, units)}</p>
                <p>{ordersText(beat.orders)}</p>
                {calls.map((text) => (
                  <p key={text} className="text-[0.9em]">
                    “{text}”
                  </p>
                ))}
                {beat.wayOut.note && (
                  <p className="text-[0.82em] text-quiet">or else: {beat.wayOut.note}</p>
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
