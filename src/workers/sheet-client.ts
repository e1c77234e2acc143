import { proxy, releaseProxy, wrap } from 'comlink';
import type { Pivots, Sheet } from '@/core/trials';
import type { Boat, Result } from '@/document';
import type { SheetWorker } from './protocol';

export interface SheetListener {
  progress(share: number): void;
  done(result: Result<Sheet>): void;
}

/** Computes a boat's sheet in a web worker of its own. Returns what stops it. */
export function computeSheetFor(boat: Boat, listener: SheetListener): () => void {
  const worker = new Worker(new URL('./sheet.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<SheetWorker>(worker);
  let stopped = false;
  const stop = () => {
    if (stopped) return;
    stopped = true;
    remote[releaseProxy]();
    worker.terminate();
  };
  const progress = proxy((share: number) => {
    if (!stopped) listener.progress(share);
  });
  remote
    .compute(boat, progress)
    .catch((error: unknown): Result<Sheet> => ({
      ok: false,
      problems: [{ path: '(worker)', message: error instanceof Error ? error.message : 'stopped' }],
    }))
    .then((result) => {
      if (stopped) return;
      stop();
      listener.done(result);
    });
  return stop;
}

/** Finds where a boat pivots, in a worker that serves the newest request only. */
export class PivotClient {
  private readonly worker = new Worker(new URL('./sheet.worker.ts', import.meta.url), {
    type: 'module',
  });
  private readonly remote = wrap<SheetWorker>(this.worker);
  private asked = 0;

  async request(boat: Boat): Promise<Pivots | null> {
    const turn = ++this.asked;
    const result = await this.remote.pivots(boat).catch(() => null);
    return result?.ok && turn === this.asked ? result.value : null;
  }

  close(): void {
    this.asked += 1;
    this.remote[releaseProxy]();
    this.worker.terminate();
  }
}
