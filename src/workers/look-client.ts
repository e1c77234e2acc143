import type { Motored } from '@/core/brief';
import { proxy, releaseProxy, wrap, type Remote } from 'comlink';
import type {
  Day,
  FigureId,
  ManoeuvreFile,
  OwnFigure,
  Result,
  VariationDocument,
  Winds,
} from '@/document';
import type { Looked, LookEnd, LookWorker } from './protocol';

export interface LookListener {
  /** Something more was found by look number `turn`; the last of it may come after the end is told. */
  found(part: Looked, turn: number): void;
  /** It is through; not told of a look that was overtaken. */
  ended(result: Result<LookEnd>, turn: number): void;
}

type Ask = (remote: Remote<LookWorker>, tell: (found: Looked) => void) => Promise<Result<LookEnd>>;

/** Looks into manoeuvres in a worker of its own; the newest look overtakes the one before. */
export class LookClient {
  private readonly worker: Worker;
  private readonly remote: Remote<LookWorker>;
  private turn = 0;

  constructor(private readonly listener: LookListener) {
    this.worker = new Worker(new URL('./look.worker.ts', import.meta.url), { type: 'module' });
    this.remote = wrap<LookWorker>(this.worker);
  }

  brief(file: ManoeuvreFile): void {
    this.look((remote, tell) => remote.brief(file, tell));
  }

  survey(file: ManoeuvreFile, variation: VariationDocument): void {
    this.look((remote, tell) => remote.survey(file, variation, tell));
  }

  grid(file: ManoeuvreFile, variation: VariationDocument, winds: Winds): void {
    this.look((remote, tell) => remote.grid(file, variation, winds, tell));
  }

  fit(file: ManoeuvreFile): void {
    this.look((remote, tell) => remote.fit(file, tell));
  }

  propose(file: ManoeuvreFile, figure: FigureId | OwnFigure): void {
    this.look((remote, tell) => remote.propose(file, figure, tell));
  }

  compare(file: ManoeuvreFile): void {
    this.look((remote, tell) => remote.compare(file, tell));
  }

  day(file: ManoeuvreFile, day: Day, moments: readonly number[]): void {
    this.look((remote, tell) => remote.day(file, day, moments, tell));
  }

  hold(file: ManoeuvreFile, motored: Motored): void {
    this.look((remote, tell) => remote.hold(file, motored, tell));
  }

  /** Gives up what is going on; nothing more is told. */
  stop(): void {
    this.turn += 1;
    void this.remote.stop();
  }

  close(): void {
    this.turn += 1;
    this.remote[releaseProxy]();
    this.worker.terminate();
  }

  private look(ask: Ask): void {
    const turn = ++this.turn;
    const tell = proxy((found: Looked) => {
      if (turn === this.turn) this.listener.found(found, turn);
    });
    ask(this.remote, tell)
      .catch((error: unknown): Result<LookEnd> => ({
        ok: false,
        problems: [
          { path: '(worker)', message: error instanceof Error ? error.message : 'stopped' },
        ],
      }))
      .then((result) => {
        if (turn !== this.turn) return;
        if (!result.ok || result.value === 'done') this.listener.ended(result, turn);
      });
  }
}
