import { releaseProxy } from 'comlink';
import { check, success, type Result } from '@/document';
import type { AnalysisName, AnalysisUpdate } from './analyses';
import { JOBS, type Job } from './analysis-jobs';
import { live } from './lifeline';
import type { AnalysisEnd, AnalysisWorker } from './protocol';

/** What is found is told this often, ms: often enough to be seen growing, seldom enough to cost nothing. */
const TELL_EVERY_MS = 40;

let latest = 0;

/** Lets messages in; a timer would be held to 4 ms. */
function breathe(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });
}

/** Goes through what a job finds, telling it in bundles, until it is through or something newer is asked. */
async function follow<G, S, T>(
  job: Job<G, S, T>,
  given: unknown,
  tell: (told: T) => void,
): Promise<Result<AnalysisEnd>> {
  const turn = ++latest;
  const asked = check<G>(job.given, given);
  if (!asked.ok) return asked;
  let found: S[] = [];
  let told = performance.now();
  const tellBundle = () => {
    const bundle = job.bundle(found);
    if (bundle !== null) tell(bundle);
    found = [];
    told = performance.now();
  };
  for (const piece of job.pieces(asked.value)) {
    if (!piece.ok) return piece;
    found.push(piece.value);
    if (performance.now() - told >= TELL_EVERY_MS) tellBundle();
    await breathe();
    if (turn !== latest) return success('overtaken');
  }
  tellBundle();
  return success('done');
}

const worker: AnalysisWorker = {
  async run<K extends AnalysisName>(
    name: K,
    given: unknown,
    tell: (told: AnalysisUpdate<K>) => void,
  ) {
    try {
      return await follow(JOBS[name] as Job<unknown, unknown, AnalysisUpdate<K>>, given, tell);
    } finally {
      // Its port would stay open for good.
      (tell as { [releaseProxy]?: () => void })[releaseProxy]?.();
    }
  },
  stop() {
    latest += 1;
  },
};

live(worker);
