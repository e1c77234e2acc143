'use client';
import { FolderOpen, Plus, Search } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { z } from 'zod';
import type { Problem } from '@/document';
import { Problems } from '../parts/Problems';
import { useTheme } from '../hooks/use-theme';
import { FileButton } from '../parts/FileButton';
import { MOST_DOCUMENT_BYTES, readText } from '../parts/read-text';
import { matching, type StartEntry } from './entries';

const answerSchema = z.union([
  z.object({ id: z.string() }),
  z.object({ problems: z.array(z.object({ path: z.string(), message: z.string() })) }),
]);

function openedWords(at: number | null): string {
  if (at === null) return 'not opened yet';
  const date = new Date(at);
  return `opened ${date.toLocaleDateString([], { day: 'numeric', month: 'short' })}, ${date.toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' })}`;
}

/** The manoeuvres, last opened first. One press opens and plays one. */
export function Start({ manoeuvres }: { manoeuvres: readonly StartEntry[] }) {
  useTheme();
  const [sought, setSought] = useState('');
  const found = matching(manoeuvres, sought);
  return (
    <main className="mx-auto max-w-[980px] px-8 pb-16 pt-14">
      <nav aria-label="Areas" className="flex justify-end gap-5 pb-3">
        <Link href="/boats" className="font-semibold hover:text-plan">
          Boats
        </Link>
        <Link href="/places" className="font-semibold hover:text-plan">
          Places
        </Link>
        <Link href="/library" className="font-semibold hover:text-plan">
          Keeping
        </Link>
      </nav>
      <header className="border-b-2 border-ink pb-6">
        <h1 className="text-[44px] font-extrabold leading-none tracking-tight">Yawtrope</h1>
        <p className="max-w-xl pt-3 text-[17px]">
          Write a manoeuvre as a plan, see what wind, current and propeller do to it, change a step,
          see again; then take the helm yourself, and look back at what was different.
        </p>
        <div className="flex flex-wrap items-start gap-3 pt-5">
          <Link
            href="/new"
            className="inline-flex min-h-10 items-center gap-2 border border-ink px-4 font-semibold hover:border-plan hover:text-plan"
          >
            <Plus size={16} /> A new manoeuvre
          </Link>
          <OpenFile />
          {manoeuvres.length > 0 && (
            <label className="ml-auto flex min-h-10 items-center gap-2 max-md:ml-0">
              <Search size={16} aria-hidden className="text-quiet" />
              <input
                type="search"
                aria-label="Find a manoeuvre"
                placeholder="by its name, boat, place or words"
                value={sought}
                onChange={(event) => setSought(event.target.value)}
                className="w-64"
              />
            </label>
          )}
        </div>
      </header>
      {manoeuvres.length === 0 ? (
        <p className="py-8">
          Manoeuvres stand here once there are some. Open a manoeuvre file to begin with.
        </p>
      ) : found.length === 0 ? (
        <p className="py-8" role="status">
          No manoeuvre has all of that in its name, boat, place or story.
        </p>
      ) : (
        <ol aria-label="Manoeuvres, last opened first">
          {found.map((entry) => (
            <li key={entry.id} className="rule-b flex items-start gap-6">
              <Link
                href={`/m/${entry.id}`}
                className="group grid flex-1 grid-cols-[minmax(0,1fr)_230px] gap-x-8 py-5 focus-visible:-outline-offset-2"
              >
                <span>
                  <span className="block text-[21px] font-bold leading-tight group-hover:text-plan">
                    {entry.title}
                  </span>
                  {entry.unreadable ? (
                    <span className="block pt-1.5 text-[15px] font-semibold text-hurt">
                      Cannot be read. It is kept as it is; open it to see what is wrong.
                    </span>
                  ) : (
                    <span className="block max-w-[60ch] pt-1.5 text-[15px]">{entry.note}</span>
                  )}
                </span>
                <span className="pt-1 text-[13.5px] text-quiet">
                  <span className="block text-ink">{entry.boat}</span>
                  <span className="block">{entry.place}</span>
                  <span className="figures block pt-1" suppressHydrationWarning>
                    {openedWords(entry.openedAt)}
                  </span>
                </span>
              </Link>
              {!entry.unreadable && (
                <Link
                  href={`/m/${entry.id}?do=rehearse`}
                  aria-label={`Drive it: ${entry.title}`}
                  className="mt-5 inline-flex min-h-9 items-center whitespace-nowrap border border-ink px-3 text-[14px] hover:border-plan hover:text-plan"
                >
                  Drive it
                </Link>
              )}
            </li>
          ))}
        </ol>
      )}
      <p className="max-w-[68ch] pt-10 text-[13px] text-quiet">
        What is shown is a rehearsal on a model that errs; it is not for navigation. Local rules,
        the harbour or lock keeper, the boat&rsquo;s manual and qualified instruction come first.
      </p>
    </main>
  );
}

/** Takes in a manoeuvre file from this computer. */
function OpenFile() {
  const router = useRouter();
  const [problems, setProblems] = useState<readonly Problem[]>([]);

  const importFile = async (file: File) => {
    const text = await readText(file, MOST_DOCUMENT_BYTES);
    if (!text.ok) return setProblems(text.problems);
    try {
      const response = await fetch('/api/manoeuvres', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: text.value,
      });
      const answer = answerSchema.parse(await response.json());
      if ('id' in answer) router.push(`/m/${answer.id}`);
      else setProblems(answer.problems);
    } catch {
      setProblems([
        { path: file.name, message: 'could not be sent; is the server still running?' },
      ]);
    }
  };

  return (
    <section className="max-md:order-last" aria-label="Open a file">
      <FileButton
        label="Manoeuvre file"
        accept=".json,application/json"
        className="flex min-h-10 items-center gap-2 border border-ink px-4 font-semibold hover:border-plan hover:text-plan"
        onFile={(file) => void importFile(file)}
      >
        <FolderOpen size={16} /> Open a manoeuvre file
      </FileButton>
      <Problems problems={problems} lead="The file was not taken in; nothing has changed." />
    </section>
  );
}
