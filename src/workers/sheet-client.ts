import { proxy } from 'comlink';
import type { Pivots, Sheet, SheetRanges } from '@/core/trials';
import type { Boat, Result } from '@/document';
import { Lifeline } from './lifeline';
import type { SheetWorker } from './protocol';

export interface SheetListener {
  progress(share: number): void;
  done(result: Result<Sheet>): void;
  /** Then where its figures lie, which takes many times as long. */
  rangesProgress(share: number): void;
  ranges(found: SheetRanges): void;
}

const begin = (name: string) =>
  new Worker(new URL('./sheet.worker.ts', import.meta.url), { type: 'module', name });

/** Computes a boat's sheet and its ranges in a web worker of its own; begun again if that ends. Returns what stops it. */
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
  const whole = async <T>(
    ask: 'compute' | 'ranges',
    progress: (share: number) => void,
  ): Promise<Result<T>> => {
    let result: Result<T>;
    do {
      again = false;
      result = await line.call((remote, heard) => {
        const tell = proxy((share: number) => {
          heard();
          if (!stopped) progress(share);
        });
        return remote[ask](boat, tell) as Promise<Result<T>>;
      });
      // A worker that ended tells of it after its calls have failed.
      await Promise.resolve();
    } while (again && !stopped);
    return result;
  };
  const compute = async () => {
    const result = await whole<Sheet>('compute', (share) => listener.progress(share));
    if (stopped) return;
    listener.done(result);
    if (!result.ok) return stop();
    const ranges = await whole<SheetRanges>('ranges', (share) => listener.rangesProgress(share));
    if (stopped) return;
    stop();
    if (ranges.ok) listener.ranges(ranges.value);
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
