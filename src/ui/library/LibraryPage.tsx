'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { z } from 'zod';
import {
  archiveStandingSchema,
  failure,
  LIBRARY_PARTS,
  success,
  type LibraryPart,
  type Problem,
  type Result,
} from '@/document';
import { AreaFrame, BUTTON } from '../parts/AreaFrame';
import { saveDocument } from '../parts/save-document';
import { Problems } from '../parts/Problems';
import { FileButton } from '../parts/FileButton';
import { dayAndTime } from '../words/when';
import { Copies, type Copy } from './Copies';
import { useWork } from './use-work';
import { Working } from './Working';

const problemsSchema = z.object({
  problems: z.array(z.object({ path: z.string(), message: z.string() })),
});
const answerSchema = z.union([
  problemsSchema,
  z.object({
    made: z.string(),
    standing: archiveStandingSchema,
  }),
]);
type FileContents = Exclude<z.infer<typeof answerSchema>, { problems: unknown }>;

const GONE = failure({ path: '(server)', message: 'did not answer; is it still running?' });

async function send(
  file: File,
  how: 'preview' | 'merge' | 'replace',
  watch: string,
): Promise<Result<FileContents>> {
  try {
    const answer = await fetch(`/api/library?how=${how}&watch=${watch}`, {
      method: 'POST',
      headers: { 'content-type': 'application/zip' },
      body: file,
    });
    const body = answerSchema.parse(await answer.json());
    return 'problems' in body ? failure(...body.problems) : success(body);
  } catch {
    return GONE;
  }
}

const writtenSchema = z.union([problemsSchema, z.object({ name: z.string(), bytes: z.number() })]);

/** Has everything written into an archive; where that can be fetched. */
async function write(watch: string): Promise<Result<string>> {
  try {
    const answer = await fetch(`/api/library/archives?watch=${watch}`, { method: 'POST' });
    const body = writtenSchema.parse(await answer.json());
    return 'problems' in body
      ? failure(...body.problems)
      : success(`/api/library/archives/${body.name}`);
  } catch {
    return GONE;
  }
}

/** Lets the browser save what stands at an address. */
function saveFrom(address: string): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = '';
  link.click();
}

const PART_WORDS: Readonly<Record<LibraryPart, string>> = {
  boats: 'boats',
  places: 'places',
  techniques: 'techniques of your own',
  manoeuvres: 'manoeuvres',
  runs: 'runs driven by hand',
  records: 'instrument records',
};

/** Of what an archive holds, what could not be read when it was made; it comes in as it is. */
const unreadableIn = (looked: FileContents) =>
  LIBRARY_PARTS.reduce((sum, part) => sum + looked.standing[part].unreadable, 0);

/** All that is kept in one file, and back again; and the copies the server makes by itself. */
export function LibraryPage({ backups }: { backups: readonly Copy[] }) {
  const router = useRouter();
  const [file, setFile] = useState<File | null>(null);
  const [looked, setLooked] = useState<FileContents | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [done, setDone] = useState<string | null>(null);
  const [asked, setAsked] = useState(false);
  const work = useWork();
  const begin = () => {
    setProblems([]);
    setDone(null);
    setAsked(false);
  };
  const notDone = (why: readonly Problem[]) =>
    work.wasStopped() ? setDone('Stopped; nothing has changed.') : setProblems(why);
  const look = async (chosen: File) => {
    begin();
    setLooked(null);
    setFile(chosen);
    const answer = await work.run((watch) => send(chosen, 'preview', watch));
    if (answer.ok) setLooked(answer.value);
    else notDone(answer.problems);
  };
  const importArchive = async (how: 'merge' | 'replace') => {
    if (!file) return;
    begin();
    const answer = await work.run((watch) => send(file, how, watch));
    if (!answer.ok) return notDone(answer.problems);
    setLooked(null);
    setDone(how === 'merge' ? 'Imported what was here.' : 'Put in place of everything.');
    router.refresh();
  };
  const server = async (wish: object, said: string): Promise<boolean> => {
    begin();
    const answer = await work.run(() =>
      saveDocument('POST', '/api/library/backups', JSON.stringify(wish)),
    );
    if (answer.ok) {
      setDone(said);
      router.refresh();
    } else setProblems(answer.problems);
    return answer.ok;
  };
  const exportAll = async () => {
    begin();
    const answer = await work.run(write);
    if (!answer.ok) return notDone(answer.problems);
    saveFrom(answer.value);
    setDone('The archive is written; the browser saves it.');
  };
  return (
    <AreaFrame area="library">
      <h1 className="border-b-2 border-ink pb-4 text-[32px] font-extrabold leading-none tracking-tight">
        Backups
      </h1>
      <div className="grid gap-x-14 md:grid-cols-2">
        <section aria-label="One file" className="py-5">
          <h2 className="text-[20px] font-bold">Everything in one file</h2>
          <p className="py-2">
            Boats, places, manoeuvres, techniques and runs: to move to another machine, or to keep
            somewhere safe.
          </p>
          <div className="flex flex-wrap gap-3">
            <button
              type="button"
              className={BUTTON}
              disabled={work.going}
              onClick={() => void exportAll()}
            >
              Export everything
            </button>
            <FileButton
              label="Archive file"
              accept=".zip,application/zip"
              className={BUTTON}
              onFile={(chosen) => void look(chosen)}
            >
              Import an archive
            </FileButton>
          </div>
          {work.going && <Working work={work} />}
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
                      in the archive
                    </th>
                    <th scope="col" className="text-right font-normal">
                      new here
                    </th>
                    <th scope="col" className="text-right font-normal">
                      here already
                    </th>
                    <th scope="col" className="text-right font-normal">
                      here, but different
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
              {unreadableIn(looked) > 0 && (
                <p role="status" className="font-semibold text-hurt">
                  {unreadableIn(looked)} of these could not be read when the file was made. They
                  come in as they are, and are listed as that.
                </p>
              )}
              <p className="text-[13px] text-quiet">
                Beside what is here: what differs is kept twice, yours and the archive&rsquo;s.
                Replace: what is here and not in the archive is gone; a backup is made first.
              </p>
              <div className="flex flex-wrap gap-3 pt-2">
                <button
                  type="button"
                  className={BUTTON}
                  onClick={() => void importArchive('merge')}
                >
                  Import beside what is here
                </button>
                {asked ? (
                  <button
                    type="button"
                    className={`${BUTTON} border-2 border-hurt text-hurt`}
                    onClick={() => void importArchive('replace')}
                  >
                    Yes, replace everything here
                  </button>
                ) : (
                  <button type="button" className={BUTTON} onClick={() => setAsked(true)}>
                    Replace everything with it
                  </button>
                )}
              </div>
            </div>
          )}
        </section>
        <Copies backups={backups} onServer={server} />
      </div>
    </AreaFrame>
  );
}
