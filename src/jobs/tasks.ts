import { createWriteStream, rmSync } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import { playRecording } from '@/core/drive';
import { runPlan, worldOf } from '@/core/plan';
import {
  beginIn,
  beginPassageIn,
  databaseIn,
  openDatabase,
  openManoeuvre,
  openRun,
  saveSummary,
  type CopyReason,
  type Library,
} from '@/db';
import { archiveEntries, backUp, Incomings, inspectBackup, restoreBackup } from '@/db/upkeep';
import {
  failure,
  success,
  summarise,
  toDrive,
  toFile,
  toRunInput,
  type ArchiveStanding,
  type BackupContents,
  type Result,
  type RunSummary,
} from '@/document';
import type { Begin, BeginPassage } from '@/planner';
import { openArchive, writeArchive } from '@/io/archive';
import { feedSentences } from '@/io/nmea0183';
import { RUN_EXPORTERS, type RunFormat } from '@/io/exporters';

/** What is told while a task goes on: the share done. */
export type Tell = (share: number) => void;

/** A task's line to whoever asked for it. */
export interface Course {
  readonly tell: Tell;
  /** Throws Stopped when the task was asked to stop. */
  check(): void;
}

/** Told so often, in documents. */
const TELL_EVERY = 20;

/** A sentence of a simulated feed, and when it is said, s from the start. */
export interface Sentence {
  readonly at: number;
  readonly line: string;
}

/** What came of an archive, or would come. */
export interface TakenOver {
  readonly made: string;
  readonly standing: ArchiveStanding;
}

/** A library of a directory for the length of a task. */
async function withLibrary<T>(directory: string, use: (db: Library) => Promise<T> | T): Promise<T> {
  const db = openDatabase(databaseIn(directory));
  try {
    return await use(db);
  } finally {
    db.$client.close();
  }
}

const noSuch = (what: string, id: string) =>
  failure({ path: 'id', message: `there is no ${what} '${id}'` });

/** Everything longer than a blink that a route asks for. Run off the thread that answers requests. */
export const tasks = {
  backUp: ({ directory, reason }: { directory: string; reason: CopyReason }): Promise<string> =>
    backUp(directory, Date.now(), reason),

  inspectBackup: ({ directory, name }: { directory: string; name: string }): BackupContents =>
    inspectBackup(directory, name),

  restoreBackup: ({ directory, name }: { directory: string; name: string }): Promise<string> =>
    withLibrary(directory, (db) => restoreBackup(db, directory, name, Date.now())),

  /** Writes the archive of a library to a file, as it stands at one moment; the file is whole, or not there. */
  writeArchive: (
    { directory, file }: { directory: string; file: string },
    { tell, check }: Course,
  ): Promise<void> =>
    withLibrary(directory, async (db) => {
      // One moment for all of it: in a write-ahead log a reader keeps nobody from writing.
      db.$client.exec('begin');
      const entries = archiveEntries(db);
      const each = (done: number) => {
        check();
        if (done % TELL_EVERY === 0) tell(done / entries.length);
      };
      try {
        await pipeline(
          writeArchive(entries, new Date(), each),
          createWriteStream(file, { mode: 0o600 }),
        );
      } catch (error) {
        rmSync(file, { force: true });
        throw error;
      }
      db.$client.exec('commit');
    }),

  /** Looks an archive over, or takes it in: beside what is kept, or in its place. */
  takeArchive: (
    {
      directory,
      file,
      how,
    }: { directory: string; file: string; how: 'look' | 'merge' | 'replace' },
    { tell, check }: Course,
  ): Promise<Result<TakenOver>> =>
    withLibrary(directory, async (db) => {
      const opened = await openArchive(file);
      if (!opened.ok) return opened;
      const archive = opened.value;
      const incomings = new Incomings(db, how);
      try {
        let done = 0;
        for await (const item of archive.items()) {
          check();
          if (!item.ok) {
            await incomings.drop();
            return item;
          }
          incomings.add(item.value);
          done += 1;
          if (done % TELL_EVERY === 0) tell(done / archive.count);
        }
        if (how !== 'look') await incomings.finish(Date.now());
        return success({ made: archive.made, standing: incomings.standing });
      } catch (error) {
        await incomings.drop();
        throw error;
      } finally {
        archive.close();
      }
    }),

  /** What runs came to, played again, noted with them; null for one that cannot be played. */
  summarise: ({ directory, ids }: { directory: string; ids: readonly string[] }) =>
    withLibrary(directory, (db): Record<string, RunSummary | null> => {
      const one = (id: string): RunSummary | null => {
        const opened = openRun(db, id);
        if (!opened?.ok) return null;
        const { file } = opened.value;
        const drive = toDrive(file);
        if (!drive.ok) return null;
        const { run } = playRecording(drive.value.input, drive.value.recording);
        const summary = summarise(run, file.manoeuvre);
        saveSummary(db, id, file.recording, summary);
        return summary;
      };
      return Object.fromEntries(ids.map((id) => [id, one(id)]));
    }),

  /** A run in a format that is not this program’s own. */
  exportRun: ({ directory, id, as }: { directory: string; id: string; as: RunFormat }) =>
    withLibrary(directory, (db): Result<string> => {
      const opened = openRun(db, id);
      if (!opened) return noSuch('run', id);
      if (!opened.ok) return opened;
      const { file, startedAt } = opened.value;
      return RUN_EXPORTERS[as].write(file, startedAt);
    }),

  /** What instruments would have said of a manoeuvre sailed by its plan. */
  feed: ({ directory, id, seed }: { directory: string; id: string; seed: number }) =>
    withLibrary(directory, (db): Result<Sentence[]> => {
      const opened = openManoeuvre(db, id);
      if (!opened) return noSuch('manoeuvre', id);
      if (!opened.ok) return opened;
      const { manoeuvre, boat, place } = opened.value;
      if (!place.origin)
        return failure({
          path: 'place.origin',
          message: 'the place has no position on the earth yet',
        });
      const input = toRunInput(toFile(manoeuvre, boat, place));
      if (!input.ok) return input;
      const { trace } = runPlan(input.value);
      const { environment } = worldOf(input.value, input.value.limit);
      return success([...feedSentences(trace, place.origin, new Date(), seed, environment)]);
    }),

  begin: ({ directory, wish }: { directory: string; wish: Begin }): Promise<Result<string>> =>
    withLibrary(directory, (db) => beginIn(db, wish, Date.now())),

  beginPassage: ({ directory, wish }: { directory: string; wish: BeginPassage }) =>
    withLibrary(directory, (db): Result<string> => beginPassageIn(db, wish, Date.now())),
} as const;

export type TaskName = keyof typeof tasks;
export type Given<T extends TaskName> = Parameters<(typeof tasks)[T]>[0];
export type Answer<T extends TaskName> = Awaited<ReturnType<(typeof tasks)[T]>>;
