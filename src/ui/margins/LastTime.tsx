import { shareOf } from '@/core/reliability';
import type { LastResult } from '@/document';
import { useUnits } from '../state/preferences';
import { outcomeWord } from '../words/outcome-heads';
import { lastWords } from '../words/start';
import { clock, distance } from '../words/units';

export interface LastKnown {
  readonly result: LastResult;
  /** Manoeuvre, boat or place was changed since. */
  readonly older: boolean;
}

/** What the manoeuvre came to when it was last worked out: shown until it is worked out anew. */
export function LastTime({ last: { result, older } }: { last: LastKnown }) {
  const units = useUnits();
  const { outcome, duration_s, clearance, touches, tries } = result;
  const share = tries && shareOf(tries.held, tries.of);
  const holds = lastWords({ last: { outcome, share, older } });
  return (
    <section aria-label="Last time" className="text-quiet">
      <p className="flex items-baseline justify-between gap-2">
        <span className="text-[20px] font-bold leading-tight">{outcomeWord(outcome)}</span>
        <span className="figures text-[15px]">{clock(duration_s)} long</span>
      </p>
      <p className="text-[13px]">
        From the last time{older && ', before the last change'}; it is being computed again …
      </p>
      <ul className="figures mt-2 text-[15px]">
        {share && (
          <li className="rule-t py-1.5">
            {holds.text} {holds.beside}
          </li>
        )}
        {clearance && (
          <li className="rule-t py-1.5">
            {distance(Math.max(0, clearance.distance_m), units)} clear of {clearance.from}
          </li>
        )}
        <li className="rule-t py-1.5">
          {touches === 1 ? '1 touch' : `${touches === 0 ? 'no' : touches} touches`}
        </li>
      </ul>
    </section>
  );
}
