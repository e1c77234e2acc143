import type { HeldBack, Take } from '@/core/score';
import type { ManoeuvreFile, Result, VariationDocument } from '@/document';
import { Lifeline } from './lifeline';
import type { TakeWorker } from './protocol';

export type TakeListener = (result: Result<Take>, file: ManoeuvreFile) => void;

interface Wish {
  readonly file: ManoeuvreFile;
  readonly variation: VariationDocument;
}

/**
 * Plays manoeuvres in a web worker. While one is being played only the newest request waits;
 * those between are dropped, so dragging never queues up work.
 */
export class TakeClient {
  private readonly line: Lifeline<TakeWorker>;
  private playing: Wish | null = null;
  private waiting: Wish | null = null;
  private closed = false;

  constructor(private readonly listener: TakeListener) {
    this.line = new Lifeline<TakeWorker>(
      (name) => new Worker(new URL('./take.worker.ts', import.meta.url), { type: 'module', name }),
      // What was being played is played again, unless something newer waits.
      (begunAgain) => {
        if (begunAgain) this.waiting ??= this.playing;
      },
    );
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
    const found = await this.line.call((remote) => remote.holdBack(file, variation, beat));
    return found.ok ? found.value : null;
  }

  private async next(): Promise<void> {
    while (this.waiting && !this.closed) {
      const { file, variation } = (this.playing = this.waiting);
      this.waiting = null;
      const result = await this.line.call((remote) => remote.play(file, variation));
      if (!this.closed) this.listener(result, file);
    }
    this.playing = null;
  }

  close(): void {
    this.closed = true;
    this.line.close();
  }
}
