import { z } from 'zod';
import {
  idSchema,
  manoeuvreFileSchema,
  recordingSchema,
  type ManoeuvreFile,
  type RecordingDocument,
} from '@/document';

/** A run that has begun, and whose it is. */
export interface BegunRun {
  readonly id: string;
  readonly manoeuvreId: string;
  readonly manoeuvre: ManoeuvreFile;
  readonly startedAt: number;
}

const LOCAL = 'yawtrope:take:';
const leftSchema = z.object({
  id: idSchema,
  manoeuvreId: idSchema,
  manoeuvre: manoeuvreFileSchema,
  startedAt: z.number(),
});

/** Kept beside the server until it has the whole of it: a killed server or a closed tab loses nothing. */
function keepLocally(key: string, value: unknown): void {
  try {
    localStorage.setItem(LOCAL + key, JSON.stringify(value));
  } catch {
    // A full or forbidden store: the server's copy is the only one then.
  }
}

function drop(id: string): void {
  localStorage.removeItem(`${LOCAL}${id}`);
  localStorage.removeItem(`${LOCAL}${id}:recording`);
}

function json(method: string, body: unknown, keepalive = false): RequestInit {
  return {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    keepalive,
  };
}

/** Saves one run as it is driven. What could not be saved is tried again with what is saved next. */
export class RunKeeper {
  private begun = false;
  private busy = false;
  private waiting: { recording: RecordingDocument; last: boolean } | null = null;

  constructor(
    readonly run: BegunRun,
    private readonly told: (saved: boolean) => void,
  ) {
    keepLocally(run.id, run);
  }

  /** @param last nothing follows: the local copy goes once the server has it */
  save(recording: RecordingDocument, last: boolean): void {
    keepLocally(`${this.run.id}:recording`, recording);
    this.waiting = { recording, last };
    if (!this.busy) void this.next();
  }

  private async next(): Promise<void> {
    this.busy = true;
    while (this.waiting) {
      const { recording, last } = this.waiting;
      this.waiting = null;
      const saved = await this.send(recording);
      this.told(saved);
      if (saved && last && !this.waiting) drop(this.run.id);
      if (!saved) break;
    }
    this.busy = false;
  }

  private async send(recording: RecordingDocument): Promise<boolean> {
    const { id } = this.run;
    try {
      const answer = this.begun
        ? await fetch(`/api/runs/${id}`, json('PUT', { recording }, true))
        : await fetch('/api/runs', json('POST', { ...this.run, recording }));
      if (answer.ok) this.begun = true;
      return answer.ok;
    } catch {
      return false;
    }
  }
}

/** Sends the runs this browser still holds because the server was not there to take them. Returns how many it took. */
export async function sendLeftRuns(): Promise<number> {
  let sent = 0;
  const keys = Object.keys(localStorage).filter(
    (key) => key.startsWith(LOCAL) && !key.endsWith(':recording'),
  );
  for (const key of keys) {
    const run = parsed(leftSchema, localStorage.getItem(key));
    const recording = parsed(recordingSchema, localStorage.getItem(`${key}:recording`));
    if (!run || !recording) {
      drop(key.slice(LOCAL.length));
      continue;
    }
    const answer = await fetch('/api/runs', json('POST', { ...run, recording })).catch(() => null);
    if (!answer) return sent;
    // Refused for good is dropped too: it would be refused again.
    if (answer.ok || answer.status === 404 || answer.status === 422) drop(run.id);
    if (answer.ok) sent += 1;
  }
  return sent;
}

function parsed<T>(schema: z.ZodType<T>, text: string | null): T | null {
  if (text === null) return null;
  try {
    const result = schema.safeParse(JSON.parse(text));
    return result.success ? result.data : null;
  } catch {
    return null;
  }
}
