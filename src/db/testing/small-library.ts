import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { toFile } from '@/document';
import { keepRun, openLibrary, openManoeuvre, seedDemo, type Library } from '..';

/** A library of three demo manoeuvres with their boats and places, and a run of one: quick to make, for tests. */

const SHIPPED = join(process.cwd(), 'demo');
export const SMALL = ['alongside-wind-off', 'off-stilt-pontoon', 'off-the-wall'] as const;
export const RUN = '7b0f2a54-3f0e-4a0c-9f37-2f8f6f3a1c55';

export const shipped = (kind: 'boats' | 'places' | 'manoeuvres', id: string) =>
  readFileSync(join(SHIPPED, kind, `${id}.json`), 'utf8');

/** A directory of demo data as it is shipped, small. */
export function smallDemo(into: string): string {
  for (const kind of ['boats', 'places', 'manoeuvres'])
    mkdirSync(join(into, kind), { recursive: true });
  const copy = (kind: string, id: string) =>
    cpSync(join(SHIPPED, kind, `${id}.json`), join(into, kind, `${id}.json`));
  for (const id of SMALL) {
    const { boatId, placeId } = JSON.parse(shipped('manoeuvres', id)) as Record<string, string>;
    copy('boats', boatId!);
    copy('places', placeId!);
    copy('manoeuvres', id);
  }
  return into;
}

export function runOf(db: Library, id = RUN, manoeuvreId = 'alongside-wind-off', startedAt = 5) {
  const opened = openManoeuvre(db, manoeuvreId);
  if (!opened?.ok) throw new Error(`no ${manoeuvreId}`);
  const { manoeuvre, boat, place } = opened.value;
  return {
    id,
    manoeuvreId,
    manoeuvre: toFile(manoeuvre, boat, place),
    recording: { inputs: [], timesteps: 40, end: 'done' as const, surprises: [], skips: [] },
    startedAt,
  };
}

/** Directories and libraries of one test file; all go after each test. */
export class Shelf {
  readonly directory = mkdtempSync(join(tmpdir(), 'yawtrope-db-'));
  readonly demo = smallDemo(join(this.directory, 'demo'));
  private readonly open: Library[] = [];

  /** An empty directory for a library. */
  place(): string {
    return mkdtempSync(join(this.directory, 'lib-'));
  }

  /** An opened library; empty unless `seeded`, which puts in the small demo and a run. */
  library(directory = this.place(), seeded = false): Library {
    const db = openLibrary(directory);
    this.open.push(db);
    if (seeded) {
      seedDemo(db, this.demo, 1);
      keepRun(db, runOf(db), 6);
    }
    return db;
  }

  close(): void {
    for (const db of this.open) db.$client.close();
    rmSync(this.directory, { recursive: true, force: true });
  }
}
