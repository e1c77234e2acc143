'use client';
import { type ReactNode } from 'react';
import type { Brief, ReadyItem } from '@/core/brief';
import type { Survey } from '../hooks/use-look';
import type { RunState } from '../hooks/use-run';
import { useTicks } from '../hooks/use-ticks';
import { TickItem } from '../parts/TickItem';
import { useWorkspace } from '../state/context';
import { useUnits } from '../state/preferences';
import { ableStatements, abreastStatements, pushStatements } from '../words/brief';
import { CAUTION_WORDS, READY_WORDS } from '../words/ready';
import { Hour } from '../conditions/Hour';
import { InShort } from './InShort';
import { LocksAhead } from './LocksAhead';
import { StatementList } from './StatementList';
import { Ways } from './Ways';
import { WhatToDo } from './WhatToDo';

/** What pushes the boat, what it can do, what to make ready: read before the first line is off. */
export function BriefPanel({
  brief,
  busy,
  state,
  survey,
  surveyed,
}: {
  brief: Brief | null;
  busy: boolean;
  state: RunState;
  survey: Survey;
  /** Is the survey through? */
  surveyed: boolean;
}) {
  const units = useUnits();
  const hull = useWorkspace((s) => s.boat.hull.length_m);
  const wind = useWorkspace((s) => s.manoeuvre.conditions.wind.speed_mps);
  if (!brief) return <p className="text-quiet">{busy ? 'Working it out …' : 'Nothing yet.'}</p>;
  const able = ableStatements(brief, hull, wind, units);
  return (
    <div aria-busy={busy} data-testid="brief">
      {state.run && (
        <InShort
          brief={brief}
          state={{ run: state.run, file: state.file }}
          survey={survey}
          surveyed={surveyed}
        />
      )}
      <Hour />
      <LocksAhead locks={brief.locks} water={brief.lockWater} />
      <Section name="What pushes the boat">
        <StatementList list={pushStatements(brief, units)} />
      </Section>
      <Section name="What the boat can do here">
        {able.length > 0 ? (
          <StatementList list={able} />
        ) : (
          <p className="rule-t py-1.5 text-quiet">
            {busy ? 'Trying stops and turns …' : 'Without an engine there is little to say.'}
          </p>
        )}
      </Section>
      <Section name="What to do">
        <WhatToDo brief={brief} units={units} />
      </Section>
      <Section name="Ways of doing it">
        <Ways />
      </Section>
      {brief.abreast.length > 0 && (
        <Section name="When, by the marks">
          <StatementList list={abreastStatements(brief, units)} />
        </Section>
      )}
      <Section name="Make ready">
        <Ready items={brief.ready} />
      </Section>
      <Section name="Mind" open>
        <ul>
          {brief.cautions.map((caution) => (
            <li key={caution} className="rule-t py-1.5">
              {CAUTION_WORDS[caution]}
            </li>
          ))}
          <li className="rule-t py-1.5 text-[13px] text-quiet">
            A rehearsal, not navigation. Models err; keep a margin. Local rules, the harbour or lock
            keeper, the boat’s manual and qualified instruction come first.
          </li>
        </ul>
      </Section>
    </div>
  );
}

function Section({
  name,
  open = false,
  children,
}: {
  name: string;
  /** Does it stand open as the brief is opened? */
  open?: boolean;
  children: ReactNode;
}) {
  return (
    <section aria-label={name} className="rule-t">
      <details open={open}>
        <summary className="cursor-pointer py-2 text-[15px] font-semibold hover:text-plan">
          <h2 className="inline">{name}</h2>
        </summary>
        <div className="pb-4">{children}</div>
      </details>
    </section>
  );
}

/** Ticked off as it is done; kept with the manoeuvre, undone like any other edit. */
function Ready({ items }: { items: readonly ReadyItem[] }) {
  const { told, is, put } = useTicks(items);
  return (
    <>
      <p role="status" className="pb-1 text-[13px] text-quiet">
        {told}
      </p>
      <ul>
        {items.map((item) => (
          <TickItem
            key={item}
            size="panel"
            text={READY_WORDS[item]}
            checked={is(item)}
            onChange={(on) => put(item, on)}
          />
        ))}
      </ul>
    </>
  );
}
