import { releaseProxy, wrap, type Remote } from 'comlink';
import type { Ahead } from '@/core/drive';
import type { Take } from '@/core/score';
import type { Differences } from '@/core/review';
import type {
  DrivenFile,
  ManoeuvreFile,
  OrderDocument,
  RecordingDocument,
  Result,
} from '@/document';
import type { DriveTold, DriveWorker, Reviewed } from './protocol';

type Asked<T> = Promise<Result<T>>;

/** A drive in a web worker of its own. Every call is answered; one that breaks is answered with why. */
export class DriveClient {
  private readonly worker = new Worker(new URL('./drive.worker.ts', import.meta.url), {
    type: 'module',
  });
  private readonly remote: Remote<DriveWorker> = wrap<DriveWorker>(this.worker);

  open(file: ManoeuvreFile, recording: RecordingDocument): Asked<DriveTold> {
    return answered(this.remote.open(file, recording));
  }
  step(orders: readonly OrderDocument[], steps: number): Asked<DriveTold> {
    return answered(this.remote.step(orders, steps));
  }
  passOn(): Asked<DriveTold> {
    return answered(this.remote.passOn());
  }
  end(how: 'done' | 'broke off'): Asked<DriveTold> {
    return answered(this.remote.close(how));
  }
  recording(): Asked<RecordingDocument> {
    return answered(this.remote.recording());
  }
  ahead(): Asked<Ahead> {
    return answered(this.remote.ahead());
  }
  soFar(): Asked<Take> {
    return answered(this.remote.soFar());
  }
  replay(file: ManoeuvreFile, recording: RecordingDocument): Asked<Take> {
    return answered(this.remote.replay(file, recording));
  }
  review({ manoeuvre, recording }: DrivenFile): Asked<Reviewed> {
    return answered(this.remote.review(manoeuvre, recording));
  }
  differences(reference: DrivenFile, other: DrivenFile): Asked<Differences> {
    return answered(this.remote.differences(reference, other));
  }

  close(): void {
    this.remote[releaseProxy]();
    this.worker.terminate();
  }
}

function answered<T>(asked: Promise<Result<T>>): Asked<T> {
  return asked.catch((error: unknown): Result<T> => ({
    ok: false,
    problems: [{ path: '(worker)', message: error instanceof Error ? error.message : 'stopped' }],
  }));
}
