'use client';
import { Dices } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { Run } from '@/core/plan';
import { SURPRISES_WITHIN_S } from '@/core/policy';
import {
  anySurprises,
  possibleSurprises,
  SURPRISE_WORDS,
  surprisesOf,
  type SurpriseIs,
} from './chosen-surprises';
import { useLive, useLiveState } from './use-live';

const MOST_SEED = 9999;

/** What may go wrong for the sake of practice: chosen, or left to chance. When and how hard is not told before. */
export function Surprises({ planned }: { planned: Run | null }) {
  const length = planned?.outcome === 'reached' ? planned.duration : SURPRISES_WITHIN_S;
  const live = useLive();
  const status = useLiveState((s) => s.status);
  const [chosen, setChosen] = useState<readonly SurpriseIs[]>([]);
  const [seed, setSeed] = useState(1);
  const [set, setSet] = useState<string | null>(null);
  const possible = useMemo(() => possibleSurprises(live.file, planned), [live.file, planned]);
  const begin = (by: 'chosen' | 'chance') => {
    const surprises =
      by === 'chosen'
        ? surprisesOf(chosen, seed, length, live.file, planned)
        : anySurprises(seed, length, live.file, planned);
    setSet(by === 'chosen' ? `${surprises.length} to come` : 'something may come');
    void live.surprise(surprises);
  };
  return (
    <details className="rule-t py-2.5">
      <summary className="cursor-pointer font-semibold">
        Surprises{set ? <span className="font-normal text-quiet">: {set}</span> : null}
      </summary>
      <p className="text-[13px] text-quiet">
        When it comes, and how hard, chance decides; the same number gives the same again. It begins
        anew from the start.
      </p>
      {possible.map((is) => (
        <label key={is} className="flex min-h-8 items-center gap-2 text-[13px]">
          <input
            type="checkbox"
            checked={chosen.includes(is)}
            onChange={(event) =>
              setChosen(
                event.target.checked ? [...chosen, is] : chosen.filter((other) => other !== is),
              )
            }
            className="min-h-0"
          />
          {SURPRISE_WORDS[is]}
        </label>
      ))}
      <label className="flex items-center gap-2 py-1 text-[13px]">
        number
        <input
          type="number"
          min={1}
          max={MOST_SEED}
          value={seed}
          onChange={(event) =>
            setSeed(Math.max(1, Math.min(MOST_SEED, Math.round(Number(event.target.value) || 1))))
          }
          className="figures w-16"
        />
      </label>
      <div className="flex flex-wrap gap-x-4 text-[13px]">
        <button
          type="button"
          disabled={chosen.length === 0 || status === 'opening'}
          className="text-plan underline disabled:text-quiet disabled:no-underline"
          onClick={() => begin('chosen')}
        >
          Begin with these
        </button>
        <button
          type="button"
          className="flex items-center gap-1 text-plan underline"
          onClick={() => begin('chance')}
        >
          <Dices size={14} /> Leave it to chance
        </button>
        {set && (
          <button
            type="button"
            className="text-plan underline"
            onClick={() => {
              setSet(null);
              void live.surprise([]);
            }}
          >
            None
          </button>
        )}
      </div>
    </details>
  );
}
