import type { HeldBack, Run } from '@/core/plan';
import type { ManoeuvreFile, Result, VariationDocument } from '@/document';
import { Lifeline } from './lifeline';
import type { RunWorker } from './protocol';

export type RunListener = (result: Result<Run>, file: ManoeuvreFile) => void;

interface RunAsked {
  readonly file: ManoeuvreFile;
  readonly variation: VariationDocument;
}

/**
 * Plays manoeuvres in a web worker. While one is being played only the newest request waits;
 * those between are dropped, so dragging never queues up work.
 */
export class RunClient {
  private readonly line: Lifeline<RunWorker>;
  private playing: RunAsked | null = null;
  private waiting: RunAsked | null = null;
  private closed = false;

  constructor(private readonly listener: RunListener) {
    this.line = new Lifeline<RunWorker>(
      (name) => new Worker(new URL('./run.worker.ts', import.meta.url), { type: 'module', name }),
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

  /** How it goes on while a step is held back; null if that cannot be told. */
  async holdBack(
    file: ManoeuvreFile,
    variation: VariationDocument,
    step: number,
  ): Promise<HeldBack | null> {
    const found = await this.line.call((remote) => remote.holdBack(file, variation, step));
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
