import { expose, releaseProxy, wrap, type Remote } from 'comlink';
import { failure, type Problem, type Result } from '@/document';

/**
 * What keeps a page from waiting for a worker that is no more.
 *
 * A worker that dies says nothing: its calls stay open for good, and what it computed last stands there as if it were
 * the newest. So every worker holds a lock of its own as long as it lives; the page asks for the same lock, and gets it
 * when the worker is gone, however it went. One that lives and says nothing is given up after a while.
 */

/** A worker that has a call open and was not heard of for so long is given up, ms. The longest step of a fit takes seconds. */
const QUIET_MS = 90_000;
/** It has to be there by then, ms, on a machine that has much else to do. */
const START_MS = 30_000;
/** Ended so often within the time, ms, it is not begun again: it would only end again. */
const MOST_ENDS = 3;
const WITHIN_MS = 60_000;

/** Where a problem is said to be that is none of what was given: the computation itself stopped. */
const WORKER = '(worker)';
export const stopsComputing = ({ path }: Problem): boolean => path === WORKER;

const LOST: Problem = {
  path: WORKER,
  message: 'the computation stopped; it is begun again',
};
const GIVEN_UP: Problem = {
  path: WORKER,
  message: 'the computation keeps stopping; reload the page, and tell us what you did before',
};

/** What every worker offers beside its own calls. */
export interface Living {
  /** Answers once the worker holds its lock. */
  alive(): Promise<void>;
}

/** In a worker: offers its calls, and holds its lock for good. */
export function live<T extends object>(calls: T): void {
  const held = new Promise<void>((resolve) => {
    const { locks } = navigator as Partial<Pick<Navigator, 'locks'>>;
    // Where there are none, a quiet worker is found by its silence.
    if (!locks || !self.name) return resolve();
    void locks.request(self.name, () => {
      resolve();
      return new Promise<never>(() => undefined);
    });
  });
  const living: Living = { alive: () => held };
  expose({ ...calls, ...living });
}

/** On the page: one worker, begun when it is first asked something, and again when it ends. */
export class Lifeline<T extends object> {
  private worker: Worker | null = null;
  private remote: Remote<T & Living> | null = null;
  private readonly open = new Set<(why: Problem) => void>();
  private ends: number[] = [];
  private closed = false;

  /**
   * @param make begins the worker, under the name given
   * @param lost told when one ended, and with it all it held; and whether another may be begun
   */
  constructor(
    private readonly make: (name: string) => Worker,
    private readonly lost: (begunAgain: boolean) => void = () => undefined,
  ) {}

  private begin(): void {
    const name = `yawtrope-${crypto.randomUUID()}`;
    const worker = this.make(name);
    const remote = wrap<T & Living>(worker);
    this.worker = worker;
    this.remote = remote;
    const ended = () => this.end(worker);
    worker.addEventListener('error', ended);
    worker.addEventListener('messageerror', ended);
    void this.watch(remote, name, ended);
  }

  /** Waits for the worker to hold its lock, and then for it to let go. */
  private async watch(remote: Remote<T & Living>, name: string, ended: () => void): Promise<void> {
    if (!navigator.locks) return;
    const late = setTimeout(ended, START_MS);
    await (remote as unknown as Living).alive();
    clearTimeout(late);
    await navigator.locks.request(name, ended);
  }

  private end(worker: Worker): void {
    if (this.closed || worker !== this.worker) return;
    worker.terminate();
    this.worker = null;
    this.remote = null;
    this.ends = [...this.recentEnds(), Date.now()];
    const again = this.ends.length < MOST_ENDS;
    const waiting = [...this.open];
    this.open.clear();
    for (const give of waiting) give(again ? LOST : GIVEN_UP);
    this.lost(again);
  }

  private recentEnds(): number[] {
    const now = Date.now();
    return this.ends.filter((at) => now - at < WITHIN_MS);
  }

  /**
   * Asks something of the worker. A worker that ends meanwhile, or is not heard of, is a failure.
   *
   * @param ask is given what it is to call whenever something is heard that is not the answer yet
   */
  call<R>(
    ask: (remote: Remote<T>, heard: () => void) => PromiseLike<Result<R>>,
  ): Promise<Result<R>> {
    if (this.closed || (!this.worker && this.recentEnds().length >= MOST_ENDS))
      return Promise.resolve(failure(GIVEN_UP));
    if (!this.worker) this.begin();
    const worker = this.worker!;
    return new Promise((resolve) => {
      let quiet: ReturnType<typeof setTimeout>;
      const heard = () => {
        clearTimeout(quiet);
        quiet = setTimeout(() => this.end(worker), QUIET_MS);
      };
      const settle = (result: Result<R>) => {
        clearTimeout(quiet);
        this.open.delete(fail);
        resolve(result);
      };
      const fail = (why: Problem) => settle(failure(why));
      this.open.add(fail);
      heard();
      Promise.resolve(ask(this.remote as unknown as Remote<T>, heard)).then(
        settle,
        (error: unknown) =>
          fail({ path: WORKER, message: error instanceof Error ? error.message : 'stopped' }),
      );
    });
  }

  /** Says something to the worker that wants no answer; one that is not there need not hear it. */
  tell(say: (remote: Remote<T>) => unknown): void {
    if (this.remote) say(this.remote as unknown as Remote<T>);
  }

  close(): void {
    this.closed = true;
    this.open.clear();
    this.remote?.[releaseProxy]();
    this.worker?.terminate();
  }
}
