import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';

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
