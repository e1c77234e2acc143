'use client';
import { useState } from 'react';
import { toFile, type Manoeuvre } from '@/document';
import type { TechniqueId, Way } from '@/planner';
import { useJob } from '../hooks/use-job';
import { BUTTON, Tries } from '../parts/Tries';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { usePreferences, useUnits } from '../state/preferences';
import { TECHNIQUE_WORDS, lyingText, wayWords } from '../words/techniques';

/** Every way of doing it that fits, fitted by trying and set side by side: which school suits this boat and day. */
export function Ways() {
  const store = useWorkspaceStore();
  const manoeuvre = useWorkspace((s) => s.manoeuvre);
  const boat = useWorkspace((s) => s.boat);
  const place = useWorkspace((s) => s.place);
  const [begunOn, setBegunOn] = useState<Manoeuvre | null>(null);
  const [written, setWritten] = useState<Way<TechniqueId> | null>(null);
  const usedTechnique = usePreferences((p) => p.usedTechnique);
  const { found, busy, problems, run, stop } = useJob('compare');

  const begin = () => {
    setBegunOn(manoeuvre);
    setWritten(null);
    const file = toFile(manoeuvre, boat, place);
    run({ file });
  };
  const write = (way: Way<TechniqueId>) => {
    store.getState().edit((m) => {
      m.plan = way.proposal.plan;
      m.goal = way.goal;
    });
    usedTechnique(way.technique);
    setWritten(way);
    setBegunOn(store.getState().manoeuvre);
  };
  const overtaken = begunOn !== null && begunOn !== manoeuvre;
  const now = busy ? found?.now : null;
  return (
    <>
      <p className="pb-1.5 text-[12.5px] text-quiet">
        Schools differ: bow or stern in, this side or that, wheel and gear or gears alone, thruster
        or none. Each that fits is tried here until it is as good as it gets, which takes some
        seconds each, and in stronger winds until it fails.
      </p>
      {busy ? (
        <>
          <p>
            {found ? found.through.length + 1 : 1} of {found?.of ?? '…'}
            {now && `: ${TECHNIQUE_WORDS[now.technique][0]}`}
          </p>
          <Tries made={now?.proposal ?? null} onStop={stop} />
        </>
      ) : (
        <button type="button" className={BUTTON} onClick={begin}>
          Try every way here
        </button>
      )}
      {problems.length > 0 && (
        <p role="alert" className="border-l-4 border-hurt-fill pl-2">
          {problems.map(({ message }) => message).join('; ')}
        </p>
      )}
      {found && found.of === 0 && (
        <p className="pt-1 text-quiet">No technique fits this boat and goal.</p>
      )}
      {overtaken && found && (
        <p role="status" className="pt-1.5">
          The manoeuvre was changed since. These stand for it as it was; try again to write one in.
        </p>
      )}
      {written && !overtaken && (
        <p role="status" className="pt-1.5">
          {TECHNIQUE_WORDS[written.technique][0]} stands in the plan. Undo takes it out again.
        </p>
      )}
      <ol>
        {found?.through.map((way) => (
          <Row
            key={`${way.technique} ${way.turned}`}
            way={way}
            written={way === written}
            onWrite={overtaken || busy ? null : () => write(way)}
          />
        ))}
      </ol>
    </>
  );
}

function Row({
  way,
  written,
  onWrite,
}: {
  way: Way<TechniqueId>;
  written: boolean;
  onWrite: (() => void) | null;
}) {
  const boat = useWorkspace((s) => s.boat);
  const units = useUnits();
  const last = usePreferences((p) => p.techniques[0]);
  const gets = way.proposal.run.outcome === 'reached';
  const name = TECHNIQUE_WORDS[way.technique][0];
  const lying = lyingText(way.goal, boat);
  return (
    <li className="rule-t flex items-start gap-2 py-1.5">
      <span className="min-w-0 flex-1">
        <span className={gets ? 'font-semibold' : 'text-quiet'}>{name}</span>
        <span className="block text-[12.5px] text-quiet">
          {way.turned && 'the other way round, '}
          {lying && `${lying}: `}
          {wayWords(way, units)}
          {last === way.technique && ' – your way last time'}
        </span>
      </span>
      {gets && !written && onWrite && (
        <button
          type="button"
          aria-label={`Write in ${name}, ${lying}`}
          className="min-h-8 shrink-0 text-plan underline underline-offset-3"
          onClick={onWrite}
        >
          write it in
        </button>
      )}
    </li>
  );
}
