'use client';
import { useState } from 'react';
import { openFile, useTakes } from '../debrief/use-takes';
import { Choice } from '../parts/Choice';
import { outcomeWord } from '../words/take';
import { useLive, useLiveState } from './use-live';

const SCORE = 'score';

/** Whose ghost goes along: the score, played, or an earlier take. */
export function GhostChoice() {
  const live = useLive();
  const { takes } = useTakes(live.manoeuvreId);
  const ghost = useLiveState((s) => s.ghost?.id ?? SCORE);
  const [failed, setFailed] = useState(false);
  const driven = takes?.filter((take) => take.summary) ?? [];
  if (driven.length === 0) return null;
  const choose = async (id: string) => {
    if (id === SCORE) return live.ghostOf(null);
    const file = await openFile(id);
    setFailed(!file || !(await live.ghostOf({ id, file })));
  };
  return (
    <p className="pb-1 text-[13px]">
      the ghost is{' '}
      <Choice
        label="Whose ghost goes along"
        value={ghost}
        options={[
          { value: SCORE, text: 'the score, played' },
          ...driven.map(({ id, number, summary }) => ({
            value: id,
            text: `take ${number}: ${outcomeWord(summary!.outcome).toLowerCase()}`,
          })),
        ]}
        onChange={(id) => void choose(id)}
      />
      {failed && (
        <span role="alert" className="block font-semibold text-hurt">
          That take could not be fetched.
        </span>
      )}
    </p>
  );
}
