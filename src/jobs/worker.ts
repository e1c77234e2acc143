import { receiveMessageOnPort, type MessagePort } from 'node:worker_threads';
import { troubleOf } from '@/db';
import { Stopped } from './stopped';
import { tasks, type Course, type TaskName } from './tasks';

/** What a thread is sent. */
export interface Sent {
  readonly name: TaskName;
  readonly given: unknown;
  /** Where the share done is told; a word on it asks the task to stop. */
  readonly port: MessagePort;
}

/** What comes back: an error's own fields do not cross from thread to thread. */
export type Back =
  | { readonly is: 'done'; readonly answer: unknown }
  | { readonly is: 'stopped' }
  | { readonly is: 'trouble'; readonly code: string; readonly message: string };

/** Runs one task in a thread of the pool. Errors that are no trouble of disk or database are thrown. */
export default async function run({ name, given, port }: Sent): Promise<Back> {
  const task = tasks[name] as (given: unknown, course: Course) => unknown;
  const course: Course = {
    tell: (share) => port.postMessage(share),
    check: () => {
      if (receiveMessageOnPort(port)) throw new Stopped();
    },
  };
  try {
    return { is: 'done', answer: await task(given, course) };
  } catch (error) {
    if (error instanceof Stopped) return { is: 'stopped' };
    const trouble = troubleOf(error);
    if (!trouble) throw error;
    return { is: 'trouble', code: trouble.code, message: trouble.message };
  } finally {
    port.close();
  }
}
