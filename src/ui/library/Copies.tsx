'use client';
import { useState } from 'react';
import { z } from 'zod';
import { backupContentsSchema } from '@/document';
import { BUTTON, LINK } from '../parts/AreaFrame';
import { dayAndExactTime } from '../words/when';

/** A copy of the library that the server made. */
export interface Copy {
  readonly name: string;
  readonly at: number;
  readonly bytes: number;
  /** Made before something was replaced. */
  readonly before: boolean;
}

const refusedSchema = z.object({ problems: z.array(z.object({ message: z.string() })).min(1) });

/** What is in a copy, in words; or why it cannot be restored. */
type Inside = { readonly words: string } | { readonly why: string };

async function lookInto(name: string): Promise<Inside> {
  try {
    const answer = await fetch(`/api/library/backups/${name}`);
    const body: unknown = await answer.json();
    if (!answer.ok) return { why: refusedSchema.parse(body).problems[0]!.message };
    const { counts, changedAt } = backupContentsSchema.parse(body);
    const { manoeuvres, runs, boats, places, records } = counts;
    const last = changedAt === null ? '' : `, last changed ${dayAndExactTime(changedAt)}`;
    return {
      words: `${manoeuvres} manoeuvres, ${runs} runs, ${boats} boats, ${places} places, ${records} records${last}`,
    };
  } catch {
    return { why: 'the server did not answer; is it still running?' };
  }
}

/** The copies the server makes by itself: made, looked into, restored. */
export function Copies({
  backups,
  onServer,
}: {
  backups: readonly Copy[];
  /** Asks the server for something; says whether it was done. */
  onServer: (wish: object, said: string) => Promise<boolean>;
}) {
  const [asked, setAsked] = useState<{ name: string; inside: Inside | null } | null>(null);
  const ask = async (name: string) => {
    setAsked({ name, inside: null });
    const inside = await lookInto(name);
    setAsked((now) => (now?.name === name ? { name, inside } : now));
  };
  const restore = async (name: string) => {
    if (await onServer({ do: 'restore', name }, 'Restored.')) setAsked(null);
  };
  return (
    <section aria-label="Copies" className="py-5">
      <h2 className="text-[20px] font-bold">Backups on this server</h2>
      <p className="py-2">
        One is made every hour the server runs, and before anything is replaced. The last of each of
        24 hours, 14 days and 8 weeks stay; those made before something was replaced are counted
        apart.
      </p>
      <button
        type="button"
        className={BUTTON}
        onClick={() => void onServer({ do: 'copy' }, 'Backed up.')}
      >
        Back up now
      </button>
      {backups.length === 0 && <p className="pt-3 text-quiet">There is no backup yet.</p>}
      <ul className="pt-3">
        {backups.map(({ name, at, bytes, before }) => (
          <li key={name} className="rule-t py-1.5">
            <div className="flex items-baseline gap-4">
              <span className="figures">{dayAndExactTime(at)}</span>
              <span className="figures text-quiet">
                {(bytes / 1e6).toFixed(1)} MB{before ? ', made before an import' : ''}
              </span>
              <button
                type="button"
                className={`${LINK} ml-auto`}
                aria-label={`Restore the backup of ${dayAndExactTime(at)}`}
                aria-expanded={asked?.name === name}
                onClick={() => void ask(name)}
              >
                restore
              </button>
            </div>
            {asked?.name === name && (
              <Chosen
                inside={asked.inside}
                onRestore={() => void restore(name)}
                onCancel={() => setAsked(null)}
              />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What is in the copy one is about to restore, before it is. */
function Chosen({
  inside,
  onRestore,
  onCancel,
}: {
  inside: Inside | null;
  onRestore: () => void;
  onCancel: () => void;
}) {
  if (inside === null)
    return (
      <p role="status" className="text-quiet">
        Reading it …
      </p>
    );
  if ('why' in inside)
    return (
      <p role="alert" className="font-semibold text-hurt">
        It cannot be restored: {inside.why}.
      </p>
    );
  return (
    <div role="status" data-testid="inside">
      <p>It holds {inside.words}.</p>
      <p className="flex flex-wrap gap-4">
        <button type="button" className="font-semibold text-hurt underline" onClick={onRestore}>
          Yes, replace everything here
        </button>
        <button type="button" className={LINK} onClick={onCancel}>
          Cancel
        </button>
      </p>
    </div>
  );
}
