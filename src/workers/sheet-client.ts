import { proxy } from 'comlink';
import type { Pivots, Sheet } from '@/core/trials';
import type { Boat, Result } from '@/document';
import { Lifeline } from './lifeline';
import type { SheetWorker } from './protocol';

export interface SheetListener {
  progress(share: number): void;
  done(result: Result<Sheet>): void;
}

const begin = (name: string) =>
  new Worker(new URL('./sheet.worker.ts', import.meta.url), { type: 'module', name });

/** Computes a boat's sheet in a web worker of its own; begun again if that ends. Returns what stops it. */
export function computeSheetFor(boat: Boat, listener: SheetListener): () => void {
  let stopped = false;
  let again = false;
  const line = new Lifeline<SheetWorker>(begin, (begunAgain) => {
    again = begunAgain;
  });
  const stop = () => {
    if (stopped) return;
    stopped = true;
    line.close();
  };
  const compute = async () => {
    let result: Result<Sheet>;
    do {
      again = false;
      result = await line.call((remote, heard) =>
        remote.compute(
          boat,
          proxy((share: number) => {
            heard();
            if (!stopped) listener.progress(share);
          }),
        ),
      );
      // A worker that ended tells of it after its calls have failed.
      await Promise.resolve();
    } while (again && !stopped);
    if (stopped) return;
    stop();
    listener.done(result);
  };
  void compute();
  return stop;
}

/** Finds where a boat pivots, in a worker that serves the newest request only. */
export class PivotClient {
  private readonly line = new Lifeline<SheetWorker>(begin);
  private asked = 0;

  async request(boat: Boat): Promise<Pivots | null> {
    const turn = ++this.asked;
    const result = await this.line.call((remote) => remote.pivots(boat));
    return result.ok && turn === this.asked ? result.value : null;
  }

  close(): void {
    this.asked += 1;
    this.line.close();
  }
}
