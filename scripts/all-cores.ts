import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { failure, problemLines, type Result } from '@/document';

/**
 * Has tasks done by workers of the script that runs, one for each core; each takes the next as it is through, and is given `given` from the start. One that
 * fails ends the others: what is left of the tasks would tell nothing any more.
 */
export function doneByAll<T, D>(
  given: unknown,
  tasks: readonly T[],
  tell: (done: D) => void,
): Promise<void> {
  const count = Math.max(1, Math.min(tasks.length, availableParallelism()));
  const workers: Worker[] = [];
  let next = 0;
  const one = () =>
    new Promise<void>((resolve, reject) => {
      const worker = new Worker(process.argv[1]!, { workerData: given });
      workers.push(worker);
      const go = () => {
        const task = tasks[next++];
        if (task !== undefined) return worker.postMessage(task);
        void worker.terminate();
        resolve();
      };
      worker.on('message', (found: D) => {
        tell(found);
        go();
      });
      worker.on('error', reject);
      go();
    });
  return Promise.all(Array.from({ length: count }, one))
    .finally(() => Promise.all(workers.map((worker) => worker.terminate())))
    .then(() => undefined);
}

/** Prints what a script comes to as JSON, or why it came to nothing; what goes wrong in a worker is told as a bad file is. */
export async function tellResult(work: Promise<Result<object>>): Promise<void> {
  const result = await work.catch((error: unknown) =>
    failure({
      path: process.argv[2] ?? 'FILE.json',
      message: `cannot be run: ${error instanceof Error ? error.message : String(error)}`,
    }),
  );
  if (result.ok) {
    process.stdout.write(`${JSON.stringify(result.value, null, 2)}\n`);
    return;
  }
  process.stderr.write(`${problemLines(result.problems)}\n`);
  process.exitCode = 2;
}
