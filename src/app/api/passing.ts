import { createReadStream, existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import { open, rm, stat } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { Readable } from 'node:stream';
import { freeBytes, PASSING, privateDirectory, Trouble } from '@/db';
import { Stopped } from '@/jobs';
import { partsOf } from './body';

/** Files that only pass through: an archive on its way in or out. What a killed server leaves goes at its next start. */

/** What nobody wrote to or fetched for so long goes when the next one is made, ms. */
const STALE_MS = 3600_000;

export const ARCHIVE_TYPE = 'application/zip';
export const archiveName = (at: Date) => `yawtrope-${at.toISOString().slice(0, 10)}.zip`;

const NAME = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}\.zip$/;

export function passingFile(directory: string): string {
  const folder = privateDirectory(join(directory, PASSING));
  for (const name of readdirSync(folder)) {
    const file = join(folder, name);
    // Another request may take it away at the same moment.
    const { mtimeMs = Date.now() } = statSync(file, { throwIfNoEntry: false }) ?? {};
    if (mtimeMs < Date.now() - STALE_MS) rmSync(file, { force: true });
  }
  return join(folder, `${crypto.randomUUID()}.zip`);
}

export const passingName = (file: string) => basename(file);

/** The passing file of a name; null where there is none. */
export function passed(directory: string, name: string): string | null {
  const file = join(directory, PASSING, name);
  return NAME.test(name) && existsSync(file) ? file : null;
}

/** So much comes in before it is put on the disk: all at once would hold up a save of somebody else, bytes. */
const SETTLE_BYTES = 4_000_000;

/** Left free on the disk by what comes in, bytes. */
const ROOM_BYTES = 64_000_000;

/** Throws Stopped once nobody wants the work any more. */
function goOn(signal: AbortSignal): void {
  if (signal.aborted) throw new Stopped();
}

/**
 * Writes a body to a file as it comes, has it used, and takes the file away. Throws TooLarge, and Stopped.
 *
 * @param tell told the share that has come, where its length was announced
 */
export async function received(
  request: Request,
  directory: string,
  { most, signal, tell }: { most: number; signal: AbortSignal; tell: (share: number) => void },
  use: (file: string) => Promise<Response>,
): Promise<Response> {
  const file = passingFile(directory);
  const announced = Number(request.headers.get('content-length')) || 0;
  if (freeBytes(directory) < Math.min(announced, most) + ROOM_BYTES) throw new Trouble('disk full');
  try {
    const written = await open(file, 'wx', 0o600);
    try {
      let length = 0;
      let unsettled = 0;
      for await (const part of partsOf(request, most)) {
        goOn(signal);
        await written.write(part);
        length += part.length;
        if (announced > 0) tell(length / announced);
        unsettled += part.length;
        if (unsettled < SETTLE_BYTES) continue;
        await written.datasync();
        unsettled = 0;
      }
    } finally {
      await written.close();
    }
    return await use(file);
  } finally {
    await rm(file, { force: true });
  }
}

/** An archive that was written, as a download. */
export async function handOver(file: string, { once }: { once: boolean }): Promise<Response> {
  const { size } = await stat(file);
  const stream = createReadStream(file);
  // Once it has been read, or nobody reads it any more.
  if (once) stream.once('close', () => void rm(file, { force: true }));
  return new Response(Readable.toWeb(stream) as ReadableStream<Uint8Array>, {
    headers: {
      'content-type': ARCHIVE_TYPE,
      'content-length': String(size),
      'content-disposition': `attachment; filename="${archiveName(new Date())}"`,
    },
  });
}
