import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import Piscina from 'piscina';
import { Trouble, type TroubleCode } from '@/db';
import { Stopped } from './stopped';
import type { Answer, Given, TaskName, Tell } from './tasks';
import type { Back } from './worker';

export type { Sentence, TakenOver, TaskName } from './tasks';
export { Stopped } from './stopped';
export { progressOf, stopWork, watched } from './watched';

/** What a thread runs; made by scripts/build-server.mjs. */
const FILE = () => join(process.cwd(), 'build', 'jobs.cjs');

/** Whatever reads or writes the whole library goes one after the other; what only computes does not wait for it. */
const QUEUE_OF: Readonly<Record<TaskName, 'library' | 'computing'>> = {
  backUp: 'library',
  inspectBackup: 'library',
  restoreBackup: 'library',
  writeArchive: 'library',
  takeArchive: 'library',
  summarise: 'computing',
  exportRun: 'computing',
  feed: 'computing',
  begin: 'computing',
  beginPassage: 'computing',
};

/** So many more may wait for a thread; the next is told to come again. */
const MOST_WAITING = 16;

/** What a thread's heap may grow to: it holds one document at a time, or one run. */
const HEAP = { maxOldGenerationSizeMb: 256, maxYoungGenerationSizeMb: 16 } as const;

const POOLS = Symbol.for('yawtrope.jobs');
type Keeper = typeof globalThis & { [POOLS]?: Partial<Record<'library' | 'computing', Piscina>> };

function poolOf(name: TaskName): Piscina {
  const pools = ((globalThis as Keeper)[POOLS] ??= {});
  return (pools[QUEUE_OF[name]] ??= new Piscina({
    filename: FILE(),
    minThreads: 0,
    maxThreads: 1,
    maxQueue: MOST_WAITING,
    idleTimeout: 20_000,
    resourceLimits: HEAP,
  }));
}

/** What stops by itself when it is asked to, and leaves nothing half done; of the others the thread is ended. */
const STOPS: ReadonlySet<TaskName> = new Set(['writeArchive', 'takeArchive']);

/**
 * Has a task done off the thread that answers requests. Throws a Trouble for what is wrong with disk or database, and
 * one that says so where too much is waiting already; Stopped when it was stopped.
 */
export async function runJob<T extends TaskName>(
  name: T,
  given: Given<T>,
  { tell, signal }: { tell?: Tell; signal?: AbortSignal } = {},
): Promise<Answer<T>> {
  const pool = poolOf(name);
  if (pool.queueSize >= MOST_WAITING)
    throw new Trouble('busy', 'the server has much to compute just now; try again in a moment');
  const { port1, port2 } = new MessageChannel();
  if (tell) port1.on('message', tell);
  port1.unref();
  const stop = () => port1.postMessage('stop');
  const gently = signal !== undefined && STOPS.has(name);
  if (gently) signal.addEventListener('abort', stop);
  try {
    if (signal?.aborted) throw new Stopped();
    const options = { transferList: [port2], ...(signal && !gently ? { signal } : {}) };
    const back = (await pool.run({ name, given, port: port2 }, options)) as Back;
    if (back.is === 'stopped') throw new Stopped();
    if (back.is === 'trouble') throw new Trouble(back.code as TroubleCode, back.message);
    return back.answer as Answer<T>;
  } catch (error) {
    throw signal?.aborted && !gently ? new Stopped() : error;
  } finally {
    if (gently) signal.removeEventListener('abort', stop);
    port1.close();
  }
}

/** Ends all threads. */
export async function closeJobs(): Promise<void> {
  const keeper = globalThis as Keeper;
  await Promise.all(Object.values(keeper[POOLS] ?? {}).map((pool) => pool.destroy()));
  keeper[POOLS] = undefined;
}
