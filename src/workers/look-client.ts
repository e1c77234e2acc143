import type { Motored } from '@/core/brief';
import { proxy, type Remote } from 'comlink';
import type {
  Day,
  ManoeuvreFile,
  OwnTechnique,
  Result,
  VariationDocument,
  Winds,
} from '@/document';
import type { TechniqueId } from '@/planner';
import { Lifeline } from './lifeline';
import type { AnalysisUpdate, LookEnd, LookWorker } from './protocol';

export interface LookListener {
  /** Something more was found by look number `turn`; the last of it may come after the end is told. */
  found(part: AnalysisUpdate, turn: number): void;
  /** It is through; not told of a look that was overtaken. */
  ended(result: Result<LookEnd>, turn: number): void;
}

type Ask = (
  remote: Remote<LookWorker>,
  tell: (found: AnalysisUpdate) => void,
) => Promise<Result<LookEnd>>;

/** Looks into manoeuvres in a worker of its own; the newest look overtakes the one before. */
export class LookClient {
  private readonly line: Lifeline<LookWorker>;
  private turn = 0;
  /** What is being looked into. */
  private going: Ask | null = null;

  constructor(private readonly listener: LookListener) {
    this.line = new Lifeline<LookWorker>(
      (name) => new Worker(new URL('./look.worker.ts', import.meta.url), { type: 'module', name }),
      // Looked into anew, as another look: what was found of the one that ended is not added to.
      (begunAgain) => {
        if (begunAgain && this.going) this.look(this.going);
      },
    );
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

  propose(file: ManoeuvreFile, technique: TechniqueId | OwnTechnique): void {
    this.look((remote, tell) => remote.propose(file, technique, tell));
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
    this.going = null;
    this.line.tell((remote) => remote.stop());
  }

  close(): void {
    this.turn += 1;
    this.line.close();
  }

  private look(ask: Ask): void {
    const turn = ++this.turn;
    this.going = ask;
    void this.line
      .call((remote, heard) => {
        const tell = proxy((found: AnalysisUpdate) => {
          heard();
          if (turn === this.turn) this.listener.found(found, turn);
        });
        return ask(remote, tell);
      })
      .then((result) => {
        if (turn !== this.turn) return;
        this.going = null;
        if (!result.ok || result.value === 'done') this.listener.ended(result, turn);
      });
  }
}
