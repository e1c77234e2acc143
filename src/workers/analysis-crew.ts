import type { AnalysisName, Given, Part } from './analyses';
import { AnalysisClient, type AnalysisListener } from './analysis-client';

/** More workers than this are not begun: what they share is done in a second or two by then. */
const MOST_WORKERS = 8;

/** Analyses that several workers can share: each is told which part is its own. */
export type SharedName = {
  [K in AnalysisName]: Given<K> extends { readonly part?: Part } ? K : never;
}[AnalysisName];

/** Has one kind of analysis done by as many workers as there are cores, in parts; as one analysis to whoever listens. */
export class AnalysisCrew<K extends SharedName> {
  private readonly clients: readonly AnalysisClient<K>[];
  private turn = 0;
  private left = 0;

  constructor(name: K, listener: AnalysisListener<K>, cores = navigator.hardwareConcurrency || 1) {
    this.clients = Array.from(
      { length: Math.max(1, Math.min(MOST_WORKERS, cores)) },
      () =>
        new AnalysisClient<K>(name, {
          found: (told) => listener.found(told, this.turn),
          ended: (result) => {
            if (this.left === 0) return;
            this.left = result.ok ? this.left - 1 : 0;
            if (!result.ok) this.rest();
            if (this.left === 0) listener.ended(result, this.turn);
          },
        }),
    );
  }

  run(given: Given<K>): void {
    this.turn += 1;
    const of = this.clients.length;
    this.left = of;
    this.clients.forEach((client, at) => client.run({ ...given, part: { at, of } }));
  }

  /** What one cannot do the others need not go on with. */
  private rest(): void {
    for (const client of this.clients) client.stop();
  }

  stop(): void {
    this.turn += 1;
    this.left = 0;
    this.rest();
  }

  close(): void {
    for (const client of this.clients) client.close();
  }
}
