'use client';
import type { Ticked } from '@/document';
import { useTicks } from '../hooks/use-ticks';
import { TickItem } from '../parts/TickItem';
import type { CheckText } from '../words/lock-sheets';

/** A list ticked off with wet fingers; kept with the manoeuvre, undone like any other edit. */
export function CardList({
  name,
  items,
}: {
  name: string;
  items: readonly { readonly tick: Ticked; readonly text: CheckText; readonly hurts: boolean }[];
}) {
  const { told, any, is, put, clear } = useTicks(items.map(({ tick }) => tick));
  return (
    <section aria-label={name} className="pb-3 pt-2">
      <h3 className="flex items-baseline gap-3 border-b border-ink text-[0.85em] font-semibold">
        {name}
        <span role="status" className="ml-auto font-normal text-quiet print:hidden">
          {told}
        </span>
        {any && (
          <button type="button" className="text-plan underline print:hidden" onClick={clear}>
            untick them
          </button>
        )}
      </h3>
      <ul>
        {items.map(({ tick, text, hurts }) => (
          <TickItem
            key={tick}
            size="card"
            text={text}
            hurts={hurts}
            checked={is(tick)}
            onChange={(on) => put(tick, on)}
          />
        ))}
      </ul>
    </section>
  );
}
