import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { listManoeuvres, setAside } from '@/db';
import { Shelf, SMALL } from '@/db/testing/small-library';
import { Stopped } from './stopped';
import { tasks, type Course } from './tasks';
import { progressOf, stopWork, watched } from './watched';

let shelf: Shelf;
beforeEach(() => (shelf = new Shelf()));
afterEach(() => shelf.close());

const on: Course = { tell: () => undefined, check: () => undefined };
/** A task that is asked to stop once it has come so far. */
const stoppedAfter = (most: number): Course => {
  let checks = 0;
  return {
    tell: () => undefined,
    check: () => {
      if ((checks += 1) > most) throw new Stopped();
    },
  };
};

it('an archive that is stopped while it is written leaves no file', async () => {
  const directory = shelf.place();
  shelf.library(directory, true);
  const file = join(directory, 'all.zip');
  await expect(tasks.writeArchive({ directory, file }, stoppedAfter(2))).rejects.toThrow(Stopped);
  expect(existsSync(file)).toBe(false);
  await tasks.writeArchive({ directory, file }, on);
  expect(existsSync(file)).toBe(true);
});

it('an import that is stopped changes nothing, and leaves no texts behind', async () => {
  const directory = shelf.place();
  const db = shelf.library(directory, true);
  const file = join(directory, 'all.zip');
  await tasks.writeArchive({ directory, file }, on);
  setAside(db, 'off-the-wall', 2);
  db.$client.prepare('delete from runs').run();
  const texts = () => db.$client.prepare('select count(*) from texts').pluck().get();
  const taking = { directory, file, how: 'replace' as const };
  // Two boats, two places and the manoeuvres are in by then; the run is not.

  await expect(tasks.takeArchive(taking, stoppedAfter(7))).rejects.toThrow(Stopped);
  expect(listManoeuvres(db).map(({ id }) => id)).not.toContain('off-the-wall');
  expect(texts()).toBe(0);
  expect((await tasks.takeArchive(taking, on)).ok).toBe(true);
  expect(listManoeuvres(db)).toHaveLength(SMALL.length);
  expect(texts()).toBe(2);
});

it('work is watched and stopped by its id while it goes on, and not after', async () => {
  const id = crypto.randomUUID();
  expect([progressOf(id), stopWork(id)]).toEqual([null, false]);
  const { signal } = new AbortController();
  const seen = await watched(id, signal, ({ signal: wanted, doing }) => {
    const tell = doing('writing');
    const begun = progressOf(id);
    tell(0.5);
    const later = progressOf(id);
    return Promise.resolve([begun, later, wanted.aborted, stopWork(id), wanted.aborted]);
  });
  const writing = (share: number | null) => ({ doing: 'writing', share });
  expect(seen).toEqual([writing(null), writing(0.5), false, true, true]);
  expect(progressOf(id)).toBeNull();
});
