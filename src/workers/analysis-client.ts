import { proxy, type Remote } from 'comlink';
import type { Result } from '@/document';
import type { AnalysisName, Given, AnalysisUpdate } from './analyses';
import { Lifeline } from './lifeline';
import type { AnalysisEnd, AnalysisWorker } from './protocol';

export interface AnalysisListener<K extends AnalysisName> {
  /** Something more was found by analysis number `turn`; the last of it may come after the end is told. */
  found(told: AnalysisUpdate<K>, turn: number): void;
  /** It is through; not told of one that was overtaken. */
  ended(result: Result<AnalysisEnd>, turn: number): void;
}

type Run<K extends AnalysisName> = (
  name: K,
  given: Given<K>,
  tell: (told: AnalysisUpdate<K>) => void,
) => Promise<Result<AnalysisEnd>>;

/** Has one kind of analysis done in a worker of its own; the newest overtakes the one before. */
export class AnalysisClient<K extends AnalysisName> {
  private readonly line: Lifeline<AnalysisWorker>;
  private turn = 0;
  /** What is being worked out. */
  private going: Given<K> | null = null;

  constructor(
    private readonly name: K,
    private readonly listener: AnalysisListener<K>,
  ) {
    this.line = new Lifeline<AnalysisWorker>(
      (worker) =>
        new Worker(new URL('./analysis.worker.ts', import.meta.url), {
          type: 'module',
          name: worker,
        }),
      // Begun anew, as another: what was found by the one that ended is not added to.
      (begunAgain) => {
        if (begunAgain && this.going) this.run(this.going);
      },
    );
  }

  run(given: Given<K>): void {
    const turn = ++this.turn;
    this.going = given;
    const ask = (remote: Remote<AnalysisWorker>, heard: () => void) => {
      const tell = proxy((told: AnalysisUpdate<K>) => {
        heard();
        if (turn === this.turn) this.listener.found(told, turn);
      });
      return (remote.run as unknown as Run<K>)(this.name, given, tell);
    };
    void this.line.call(ask).then((result) => {
      if (turn !== this.turn) return;
      this.going = null;
      if (!result.ok || result.value === 'done') this.listener.ended(result, turn);
    });
  }

  /** Gives up what is going on; nothing more is told. */
  stop(): void {
    this.turn += 1;
    this.going = null;
    this.line.tell((remote) => remote.stop());
  }

  close(): void {
    this.turn += 1;
    this.line.close();
  }
}
