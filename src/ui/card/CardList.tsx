'use client';
import type { Ticked } from '@/document';
import { useTicks } from '../hooks/use-ticks';
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
    <section aria-label={name} className="pb-3">
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
        {items.map(({ tick, text: [what, why], hurts }) => (
          <li key={tick} className="rule-t break-inside-avoid">
            <label className="flex min-h-12 cursor-pointer items-start gap-3 py-1.5 print:min-h-0 print:py-0.5">
              <input
                type="checkbox"
                className="mt-[0.15em] size-[1.15em] min-h-0 shrink-0 accent-plan"
                checked={is(tick)}
                onChange={(event) => put(tick, event.target.checked)}
              />
              <span className={hurts ? 'font-semibold text-hurt' : ''}>
                {hurts ? '▲ ' : ''}
                {what}
                {why && <span className="block text-[0.78em] font-normal text-quiet">{why}</span>}
              </span>
            </label>
          </li>
        ))}
      </ul>
    </section>
  );
}
