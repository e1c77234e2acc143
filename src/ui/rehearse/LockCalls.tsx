'use client';
import { useState } from 'react';
import type { OrderDocument } from '@/document';
import { Choice } from '../parts/Choice';
import { ABSENT } from '../plan/part-values';
import { useNames } from '../plan/use-names';
import { CALL } from './call-style';
import { useLive } from './use-live';
import { worksLock } from './works-lock';

const UP = [
  [0, 'down'],
  [0.5, 'half'],
  [1, 'full'],
] as const;

/** What may be called for at a lock that is worked: the signal to wind, every paddle, the gates; and who does it. */
export function LockCalls() {
  const { locks, crew } = useNames();
  return locks.map((lock) => (
    <OneLock key={lock.name} name={lock.name} paddles={lock.paddles} crew={crew} />
  ));
}

function OneLock({
  name,
  paddles,
  crew,
}: {
  name: string;
  paddles: readonly string[];
  crew: readonly string[];
}) {
  const live = useLive();
  const [who, setWho] = useState(() => worksLock(live.file.plan, name) ?? ABSENT);
  const by = who === ABSENT ? {} : { by: who };
  const call = (text: string, label: string, order: OrderDocument) => (
    <button
      key={label}
      type="button"
      aria-label={label}
      className={CALL}
      onClick={() => live.say(order)}
    >
      {text}
    </button>
  );
  const base = { after_s: 0, lock: name, ...by } as const;
  return (
    <div className="rule-t flex flex-col gap-1 pt-1" role="group" aria-label={name}>
      <p className="flex flex-wrap items-baseline gap-x-2 text-[13px]">
        <span className="font-semibold">{name}</span>
        <Choice
          label={`Who works ${name}`}
          value={who}
          options={[
            { value: ABSENT, text: 'the keeper' },
            ...crew.map((value) => ({ value, text: value })),
          ]}
          onChange={setWho}
        />
      </p>
      <div className="flex flex-wrap gap-1">
        {call('Signal to wind', 'signal to wind', { do: 'signal', after_s: 0 })}
        <button
          type="button"
          className={CALL}
          onClick={() => {
            for (const paddle of paddles) live.say({ do: 'paddle', ...base, paddle, to: 0 });
          }}
        >
          All paddles down
        </button>
      </div>
      {paddles.map((paddle) => (
        <div key={paddle} className="flex flex-wrap items-center gap-1 text-[13px]">
          <span className="mr-auto">{paddle}</span>
          {UP.map(([to, text]) =>
            call(text, `${paddle} ${text}`, { do: 'paddle', ...base, paddle, to }),
          )}
        </div>
      ))}
      {(['upper', 'lower'] as const).map((end) => (
        <div key={end} className="flex flex-wrap items-center gap-1 text-[13px]">
          <span className="mr-auto">{end} gates</span>
          {call('open', `${end} gates open`, {
            do: 'gates',
            ...base,
            end,
            leaf: 'both',
            to: 'open',
          })}
          {call('one leaf', `${end} gates, one leaf open`, {
            do: 'gates',
            ...base,
            end,
            leaf: 'left',
            to: 'open',
          })}
          {call('shut', `${end} gates shut`, {
            do: 'gates',
            ...base,
            end,
            leaf: 'both',
            to: 'shut',
          })}
        </div>
      ))}
    </div>
  );
}
