'use client';
import { useState } from 'react';
import { openFile, useRuns } from '../debrief/use-runs';
import { Choice } from '../parts/Choice';
import { outcomeWord } from '../words/outcome-heads';
import { useLive, useLiveState } from './use-live';

const PLAN = 'plan';

/** Whose ghost goes along: the plan, played, or an earlier run. */
export function GhostChoice() {
  const live = useLive();
  const { runs } = useRuns(live.manoeuvreId);
  const ghost = useLiveState((s) => s.ghost?.id ?? PLAN);
  const [failed, setFailed] = useState(false);
  const driven = runs?.filter((run) => run.summary) ?? [];
  if (driven.length === 0) return null;
  const choose = async (id: string) => {
    if (id === PLAN) return live.ghostOf(null);
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
          { value: PLAN, text: 'the plan, played' },
          ...driven.map(({ id, number, summary }) => ({
            value: id,
            text: `run ${number}: ${outcomeWord(summary!.outcome).toLowerCase()}`,
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
