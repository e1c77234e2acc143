import type { Ahead } from '@/core/drive';
import type { Run } from '@/core/plan';
import type { Differences } from '@/core/debrief';
import type {
  DrivenFile,
  ManoeuvreFile,
  OrderDocument,
  RecordingDocument,
  Result,
} from '@/document';
import { Lifeline } from './lifeline';
import type { DriveUpdate, DriveWorker, Reviewed } from './protocol';

type Asked<T> = Promise<Result<T>>;

/**
 * A drive in a web worker of its own. Every call is answered; one that breaks is answered with why. A worker that ended
 * took the drive with it: it is to be opened again from its recording.
 */
export class DriveClient {
  private readonly line: Lifeline<DriveWorker>;

  /** @param lost told when the worker ended */
  constructor(lost: () => void = () => undefined) {
    this.line = new Lifeline<DriveWorker>(
      (name) => new Worker(new URL('./drive.worker.ts', import.meta.url), { type: 'module', name }),
      lost,
    );
  }

  open(file: ManoeuvreFile, recording: RecordingDocument): Asked<DriveUpdate> {
    return this.line.call((remote) => remote.open(file, recording));
  }
  advance(orders: readonly OrderDocument[], timesteps: number): Asked<DriveUpdate> {
    return this.line.call((remote) => remote.advance(orders, timesteps));
  }
  passOn(): Asked<DriveUpdate> {
    return this.line.call((remote) => remote.passOn());
  }
  end(how: 'done' | 'broke off'): Asked<DriveUpdate> {
    return this.line.call((remote) => remote.close(how));
  }
  recording(): Asked<RecordingDocument> {
    return this.line.call((remote) => remote.recording());
  }
  ahead(): Asked<Ahead> {
    return this.line.call((remote) => remote.ahead());
  }
  soFar(): Asked<Run> {
    return this.line.call((remote) => remote.soFar());
  }
  replay(file: ManoeuvreFile, recording: RecordingDocument): Asked<Run> {
    return this.line.call((remote) => remote.replay(file, recording));
  }
  review({ manoeuvre, recording }: DrivenFile): Asked<Reviewed> {
    return this.line.call((remote) => remote.review(manoeuvre, recording));
  }
  differences(reference: DrivenFile, other: DrivenFile): Asked<Differences> {
    return this.line.call((remote) => remote.differences(reference, other));
  }

  close(): void {
    this.line.close();
  }
}
