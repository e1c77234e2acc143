import { parentPort, workerData } from 'node:worker_threads';
import type { Spread } from '@/core/uncertainty';
import { tryOut, type Tried, type Tries } from '@/planner';
import { AllCores } from './all-cores';

/** A list of tries by its number, and its place in it. */
interface Task {
  readonly list: number;
  readonly at: number;
  readonly tries: Tries;
}
interface Done {
  readonly list: number;
  readonly at: number;
  readonly tried: Tried;
}

/** Workers that try under a spread; they stay, as each knows the ways it found. The script that has them runs `tryAsAsked` in its workers. */
export const coresToTryOn = (spread: Spread) => new AllCores<Task, Done>(spread);

/** What a worker does: tries what it is asked to under the spread it was given. */
export function tryAsAsked(): void {
  const spread = workerData as Spread;
  parentPort!.on('message', ({ list, at, tries }: Task) =>
    parentPort!.postMessage({ list, at, tried: tryOut(tries, spread) }),
  );
}

/** Lists of tries, tried on all cores at once. */
export const triedBy =
  (cores: ReturnType<typeof coresToTryOn>) => async (all: readonly (readonly Tries[])[]) => {
    const tasks = all.flatMap((list, i) => list.map((tries, at): Task => ({ list: i, at, tries })));
    const found = all.map((list) => new Array<Tried>(list.length));
    await cores.do(tasks, ({ list, at, tried }) => {
      found[list]![at] = tried;
    });
    return found;
  };
