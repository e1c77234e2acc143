import { releaseProxy, wrap, type Remote } from 'comlink';
import type { HeldBack, Take } from '@/core/score';
import type { ManoeuvreFile, Result, VariationDocument } from '@/document';
import type { TakeWorker } from './protocol';

export type TakeListener = (result: Result<Take>, file: ManoeuvreFile) => void;

/**
 * Plays manoeuvres in a web worker. While one is being played only the newest request waits;
 * those between are dropped, so dragging never queues up work.
 */
export class TakeClient {
  private readonly worker: Worker;
  private readonly remote: Remote<TakeWorker>;
  private playing = false;
  private waiting: { file: ManoeuvreFile; variation: VariationDocument } | null = null;
  private closed = false;

  constructor(private readonly listener: TakeListener) {
    this.worker = new Worker(new URL('./take.worker.ts', import.meta.url), { type: 'module' });
    this.remote = wrap<TakeWorker>(this.worker);
  }

  request(file: ManoeuvreFile, variation: VariationDocument): void {
    this.waiting = { file, variation };
    if (!this.playing) void this.next();
  }

  /** How it goes on while a beat is held back; null if that cannot be told. */
  async holdBack(
    file: ManoeuvreFile,
    variation: VariationDocument,
    beat: number,
  ): Promise<HeldBack | null> {
    const found = await this.remote.holdBack(file, variation, beat).catch(() => null);
    return found?.ok ? found.value : null;
  }

  private async next(): Promise<void> {
    this.playing = true;
    while (this.waiting && !this.closed) {
      const { file, variation } = this.waiting;
      this.waiting = null;
      const result = await this.remote
        .play(file, variation)
        .catch((error: unknown): Result<Take> => ({
          ok: false,
          problems: [
            { path: '(worker)', message: error instanceof Error ? error.message : 'stopped' },
          ],
        }));
      if (!this.closed) this.listener(result, file);
    }
    this.playing = false;
  }

  close(): void {
    this.closed = true;
    this.remote[releaseProxy]();
    this.worker.terminate();
  }
}
