'use client';
import { useState } from 'react';
import { lockingSchema, locksOfPlace, check, type Locking } from '@/document';
import { Choice } from '../parts/Choice';
import { FieldError } from '../parts/Field';
import { useWorkspace, useWorkspaceStore } from '../state/context';

type How = 'left' | `${Locking['set']} ${Locking['gates']}`;
const HOW: readonly { value: How; text: string }[] = [
  { value: 'left', text: 'left as it is drawn' },
  { value: 'lower open', text: 'set below, lower gates open' },
  { value: 'lower shut', text: 'set below, gates shut' },
  { value: 'upper open', text: 'set above, upper gates open' },
  { value: 'upper shut', text: 'set above, gates shut' },
];

/** Which locks of the place are worked in this manoeuvre, and how each stands as it begins. */
export function LocksPanel() {
  const store = useWorkspaceStore();
  const place = useWorkspace((s) => s.place);
  const locks = useWorkspace((s) => s.manoeuvre.locks);
  const [said, setSaid] = useState<string | null>(null);
  const there = locksOfPlace(place);
  if (there.length === 0) return null;
  const change = (lock: string, how: How) => {
    const rest = locks.filter((one) => one.lock !== lock);
    const [set, gates] = how.split(' ') as [Locking['set'], Locking['gates']];
    const result = check(lockingSchema, how === 'left' ? rest : [...rest, { lock, set, gates }]);
    setSaid(result.ok ? null : result.problems[0]!.message);
    if (!result.ok) return;
    store.getState().edit((m) => {
      m.locks = result.value;
    });
  };
  return (
    <section aria-label="The lock" className="rule-t py-2.5">
      <h2 className="pb-1 text-[15px] font-semibold">{there.length > 1 ? 'Locks' : 'The lock'}</h2>
      {there.map(({ id, name, working }) => {
        const now = locks.find(({ lock }) => lock === name);
        return (
          <div key={id} className="py-0.5">
            <p>{name}</p>
            {working.upstream_deg === undefined ? (
              <p className="text-[13px] text-quiet">
                To be worked it wants a direction up-stream: give it one in the place.
              </p>
            ) : (
              <Choice
                label={`${name} is`}
                value={now ? (`${now.set} ${now.gates}` as How) : 'left'}
                options={HOW}
                onChange={(how) => change(name, how)}
              />
            )}
          </div>
        );
      })}
      {said && <FieldError error={said} />}
      <p className="pt-1 text-[12.5px] text-quiet">
        What is wound and swung, and by whom, stands in the steps: add a paddle, gates or the sign
        to wind to one.
      </p>
    </section>
  );
}
