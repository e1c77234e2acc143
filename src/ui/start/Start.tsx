'use client';
import { Plus, Search } from 'lucide-react';
import Link from 'next/link';
import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { AreaFrame } from '../parts/AreaFrame';
import { JOB_WORDS } from '../words/jobs';
import { Entry, UnreadableEntry } from './Entry';
import { firstToSee, grouped, matching, type StartEntry } from './entries';
import { OpenFile } from './OpenFile';

const JOBS = Object.keys(JOB_WORDS) as (keyof typeof JOB_WORDS)[];

const HEADINGS = {
  ...JOB_WORDS,
  opened: 'Opened last',
  unreadable: 'Cannot be read',
} as const;

const ACTION =
  'inline-flex min-h-10 items-center gap-2 border border-ink px-4 font-semibold hover:border-plan hover:text-plan';
const FIRST =
  'inline-flex min-h-10 items-center gap-2 border border-plan bg-plan px-4 font-semibold text-on-plan';

/** The manoeuvres as pictures, by what they are for. One press opens one, one drives it. */
export function Start({ manoeuvres }: { manoeuvres: readonly StartEntry[] }) {
  const [sought, setSought] = useState('');
  const [job, setJob] = useState<string>('');
  const found = matching(manoeuvres, sought).filter((entry) => !job || entry.job === job);
  const narrowed = sought.trim() !== '' || job !== '';
  const groups = grouped(found, JOBS).filter(({ of }) => !narrowed || of !== 'opened');
  const isNew = manoeuvres.every(({ openedAt }) => openedAt === null);
  return (
    <AreaFrame area="manoeuvres">
      <header className="flex flex-wrap items-end gap-x-8 gap-y-4 pb-5">
        <div className="max-w-[56ch]">
          <h1 className="text-[30px] font-extrabold leading-none tracking-tight">Manoeuvres</h1>
          <p className="pt-2 text-[15px]">
            Plan a manoeuvre, see what wind, current and propeller do to it and how many times in a
            hundred it works, then take the helm yourself.
          </p>
        </div>
        <div className="ml-auto flex flex-wrap items-start gap-3 max-md:ml-0">
          <Link href="/new" className={isNew ? ACTION : FIRST}>
            <Plus size={16} aria-hidden /> New manoeuvre
          </Link>
          <OpenFile />
        </div>
      </header>
      {isNew && <FirstStep entry={firstToSee(manoeuvres)} />}
      {manoeuvres.length > 0 && (
        <div className="rule-t flex flex-wrap items-center gap-x-6 gap-y-2 py-3">
          <ToggleGroup.Root
            type="single"
            aria-label="Show only"
            value={job}
            onValueChange={setJob}
            className="flex flex-wrap gap-x-5"
          >
            {JOBS.map((one) => (
              <ToggleGroup.Item
                key={one}
                value={one}
                className="min-h-9 border-b-2 border-transparent font-semibold text-quiet hover:text-ink data-[state=on]:border-plan data-[state=on]:text-ink"
              >
                {JOB_WORDS[one]}
              </ToggleGroup.Item>
            ))}
          </ToggleGroup.Root>
          <label className="ml-auto flex min-h-9 items-center gap-2 max-md:ml-0">
            <Search size={16} aria-hidden className="text-quiet" />
            <input
              type="search"
              aria-label="Find a manoeuvre"
              placeholder="name, boat, place or words"
              value={sought}
              onChange={(event) => setSought(event.target.value)}
              className="w-60"
            />
          </label>
        </div>
      )}
      {manoeuvres.length === 0 ? (
        <p className="py-8">
          Manoeuvres stand here once there are some. Press New manoeuvre to make the first, or open
          a file.
        </p>
      ) : found.length === 0 ? (
        <p className="py-8" role="status">
          No manoeuvre matches. Use fewer words, or show all of them again.
        </p>
      ) : (
        groups.map(({ of, entries }) => (
          <section key={of} aria-label={HEADINGS[of]} className="pb-6">
            <h2 className="pb-2 pt-1 text-[17px] font-bold">{HEADINGS[of]}</h2>
            <ul
              className={
                of === 'unreadable'
                  ? ''
                  : 'grid grid-cols-[repeat(auto-fill,minmax(216px,1fr))] gap-x-5 gap-y-4 max-sm:grid-cols-1'
              }
            >
              {entries.map((entry) =>
                entry.unreadable ? (
                  <UnreadableEntry key={entry.id} entry={entry} />
                ) : (
                  <Entry key={entry.id} entry={entry} />
                ),
              )}
            </ul>
          </section>
        ))
      )}
      <p className="max-w-[68ch] pt-6 text-[13px] text-quiet">
        Everything here is computed on a model that errs; it is not for navigation. Local rules, the
        harbour or lock keeper, the boat&rsquo;s manual and qualified instruction come first.
      </p>
    </AreaFrame>
  );
}

/** For somebody who has opened nothing yet: one manoeuvre that holds, to look at and to drive. */
function FirstStep({ entry }: { entry: StartEntry | null }) {
  if (!entry) return null;
  return (
    <section
      aria-label="First time here"
      className="rule-t flex flex-wrap items-center gap-x-6 gap-y-3 py-4"
    >
      <p className="max-w-[62ch] text-[15px]">
        <strong>First time here?</strong> Three minutes with “{entry.title}”: watch {entry.boat}{' '}
        come in, change the wind, see it fail, have it mended, and take the helm.
      </p>
      <span className="ml-auto flex flex-wrap gap-3 max-md:ml-0">
        <Link href={`/m/${entry.id}?tour`} className={FIRST}>
          Show me round
        </Link>
        <Link href={`/m/${entry.id}?do=rehearse`} className={ACTION}>
          Drive it
        </Link>
      </span>
    </section>
  );
}
