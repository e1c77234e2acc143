'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { z } from 'zod';
import {
  failure,
  LIBRARY_PARTS,
  success,
  type LibraryPart,
  type Problem,
  type Result,
} from '@/document';
import { AreaFrame, BUTTON, LINK } from '../parts/AreaFrame';
import { sendKept } from '../parts/send-kept';
import { Problems } from '../parts/Problems';
import { FileButton } from '../parts/FileButton';
import { dayAndExactTime, dayAndTime } from '../words/when';

const standing = z.object({ fresh: z.number(), same: z.number(), different: z.number() });
const answerSchema = z.union([
  z.object({ problems: z.array(z.object({ path: z.string(), message: z.string() })) }),
  z.object({
    made: z.string(),
    standing: z.object({
      boats: standing,
      places: standing,
      figures: standing,
      manoeuvres: standing,
      takes: standing,
      records: standing,
    }),
  }),
]);
type Looked = Exclude<z.infer<typeof answerSchema>, { problems: unknown }>;

async function send(file: File, how: 'preview' | 'merge' | 'replace'): Promise<Result<Looked>> {
  try {
    const answer = await fetch(`/api/library?how=${how}`, {
      method: 'POST',
      headers: { 'content-type': 'application/zip' },
      body: file,
    });
    const body = answerSchema.parse(await answer.json());
    return 'problems' in body ? failure(...body.problems) : success(body);
  } catch {
    return failure({ path: '(server)', message: 'did not answer; is it still running?' });
  }
}

const PART_WORDS: Readonly<Record<LibraryPart, string>> = {
  boats: 'boats',
  places: 'places',
  figures: 'figures of your own',
  manoeuvres: 'manoeuvres',
  takes: 'takes driven by hand',
  records: 'instrument records',
};

interface Copy {
  readonly name: string;
  readonly at: number;
  readonly bytes: number;
}

/** All that is kept in one file, and back again; and the copies the server makes by itself. */
export function LibraryPage({ backups }: { backups: readonly Copy[] }) {
  const router = useRouter();
  const [file, setFile] = useState<File | null>(null);
  const [looked, setLooked] = useState<Looked | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [done, setDone] = useState<string | null>(null);
  const [asked, setAsked] = useState<string | null>(null);
  const begin = () => {
    setProblems([]);
    setDone(null);
    setAsked(null);
  };
  const look = async (chosen: File) => {
    begin();
    setLooked(null);
    setFile(chosen);
    const answer = await send(chosen, 'preview');
    if (answer.ok) setLooked(answer.value);
    else setProblems(answer.problems);
  };
  const take = async (how: 'merge' | 'replace') => {
    if (!file) return;
    begin();
    const answer = await send(file, how);
    if (!answer.ok) return setProblems(answer.problems);
    setLooked(null);
    setDone(how === 'merge' ? 'Taken in beside what was here.' : 'Put in place of everything.');
    router.refresh();
  };
  const server = async (wish: object, said: string) => {
    begin();
    const answer = await sendKept('POST', '/api/library/backups', JSON.stringify(wish));
    if (!answer.ok) return setProblems(answer.problems);
    setDone(said);
    router.refresh();
  };
  return (
    <AreaFrame area="library">
      <h1 className="border-b-2 border-ink pb-4 text-[32px] font-extrabold leading-none tracking-tight">
        Keeping and restoring
      </h1>
      <div className="grid gap-x-14 md:grid-cols-2">
        <section aria-label="One file" className="py-5">
          <h2 className="text-[20px] font-bold">Everything in one file</h2>
          <p className="py-2">
            Boats, places, manoeuvres, figures and takes, each as its own document, with checksums.
          </p>
          <div className="flex flex-wrap gap-3">
            <a className={BUTTON} href="/api/library" download>
              Keep everything as a file
            </a>
            <FileButton
              label="Archive file"
              accept=".zip,application/zip"
              className={BUTTON}
              onFile={(chosen) => void look(chosen)}
            >
              Look into such a file
            </FileButton>
          </div>
          <Problems problems={problems} lead="That was not done; nothing has changed." />
          {done && (
            <p role="status" className="pt-3 font-semibold">
              {done}
            </p>
          )}
          {looked && file && (
            <div data-testid="looked" className="pt-4">
              <p>
                <span className="font-semibold">{file.name}</span>, made{' '}
                {dayAndTime(Date.parse(looked.made))}
              </p>
              <table className="figures my-2 w-full text-left">
                <thead>
                  <tr className="text-[13px] text-quiet">
                    <th scope="col" className="font-normal">
                      of what it holds
                    </th>
                    <th scope="col" className="text-right font-normal">
                      new here
                    </th>
                    <th scope="col" className="text-right font-normal">
                      here alike
                    </th>
                    <th scope="col" className="text-right font-normal">
                      here otherwise
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {LIBRARY_PARTS.map((part) => {
                    const { fresh, same, different } = looked.standing[part];
                    return (
                      <tr key={part} className="rule-t">
                        <th scope="row" className="font-normal">
                          {PART_WORDS[part]}
                        </th>
                        {[fresh, same, different].map((n, i) => (
                          <td key={i} className="text-right">
                            {n}
                          </td>
                        ))}
                      </tr>
                    );
                  })}
                </tbody>
              </table>
              <p className="text-[13px] text-quiet">
                Taken in beside: what is here otherwise stays, and the file&rsquo;s own comes beside
                it. In place: what is here and not in the file is gone, and a copy is made first.
              </p>
              <div className="flex flex-wrap gap-3 pt-2">
                <button type="button" className={BUTTON} onClick={() => void take('merge')}>
                  Take it in beside
                </button>
                {asked === 'replace' ? (
                  <button
                    type="button"
                    className={`${BUTTON} border-2 border-hurt text-hurt`}
                    onClick={() => void take('replace')}
                  >
                    Yes: in place of everything here
                  </button>
                ) : (
                  <button type="button" className={BUTTON} onClick={() => setAsked('replace')}>
                    Put it in place of everything
                  </button>
                )}
              </div>
            </div>
          )}
        </section>
        <section aria-label="Copies" className="py-5">
          <h2 className="text-[20px] font-bold">Copies on this server</h2>
          <p className="py-2">
            Made every hour it runs, and before anything is replaced. The newest six stay, and the
            last of each day for a fortnight.
          </p>
          <button
            type="button"
            className={BUTTON}
            onClick={() => void server({ do: 'copy' }, 'Copied.')}
          >
            Make a copy now
          </button>
          {backups.length === 0 && <p className="pt-3 text-quiet">There is no copy yet.</p>}
          <ul className="pt-3">
            {backups.map(({ name, at, bytes }) => (
              <li key={name} className="rule-t flex items-baseline gap-4 py-1.5">
                <span className="figures">{dayAndExactTime(at)}</span>
                <span className="figures text-quiet">
                  {(bytes / 1e6).toFixed(1)} MB
                  {name.includes('before') ? ', before something came in' : ''}
                </span>
                <span className="ml-auto">
                  {asked === name ? (
                    <button
                      type="button"
                      className="font-semibold text-hurt underline"
                      onClick={() => void server({ do: 'restore', name }, 'Restored.')}
                    >
                      Yes: in place of everything here
                    </button>
                  ) : (
                    <button
                      type="button"
                      className={LINK}
                      aria-label={`Restore the copy of ${dayAndExactTime(at)}`}
                      onClick={() => setAsked(name)}
                    >
                      restore
                    </button>
                  )}
                </span>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </AreaFrame>
  );
}
