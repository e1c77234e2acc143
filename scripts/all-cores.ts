import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { failure, problemLines, type Result } from '@/document';

/**
 * Workers of the script that runs, one for each core, given `given` from the start: of tasks each takes the next as it is through. One that fails ends the
 * others: what is left of the tasks would tell nothing any more.
 */
export class AllCores<T, D> {
  private readonly workers: Worker[] = [];

  constructor(private readonly given: unknown) {}

  private worker(i: number): Worker {
    this.workers[i] ??= new Worker(process.argv[1]!, { workerData: this.given });
    return this.workers[i];
  }

  do(tasks: readonly T[], tell: (done: D) => void): Promise<void> {
    const count = Math.max(1, Math.min(tasks.length, availableParallelism()));
    let next = 0;
    const one = (worker: Worker) =>
      new Promise<void>((resolve, reject) => {
        const go = () => {
          const task = tasks[next++];
          if (task !== undefined) return worker.postMessage(task);
          worker.off('message', heard);
          worker.off('error', reject);
          resolve();
        };
        const heard = (found: D) => {
          tell(found);
          go();
        };
        worker.on('message', heard);
        worker.on('error', reject);
        go();
      });
    return Promise.all(Array.from({ length: count }, (_, i) => one(this.worker(i)))).then(
      () => undefined,
    );
  }

  async end(): Promise<void> {
    await Promise.all(this.workers.map((worker) => worker.terminate()));
  }
}

/** Has tasks done by workers that end with them. */
export async function doneByAll<T, D>(
  given: unknown,
  tasks: readonly T[],
  tell: (done: D) => void,
): Promise<void> {
  const cores = new AllCores<T, D>(given);
  await cores.do(tasks, tell).finally(() => cores.end());
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
