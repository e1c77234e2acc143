import { createReadStream } from 'node:fs';
import { open, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { freeBytes, PASSING, privateDirectory, Trouble } from '@/db';
import { partsOf } from './body';

/** Files that only pass through: an archive on its way in or out. What a killed server leaves goes at its next start. */

export function passingFile(directory: string): string {
  return join(privateDirectory(join(directory, PASSING)), `${crypto.randomUUID()}.zip`);
}

/** Left free on the disk by what comes in, bytes. */
const ROOM_BYTES = 64_000_000;

/** Writes a body to a file as it comes, has it used, and takes the file away. Throws TooLarge. */
export async function received(
  request: Request,
  directory: string,
  most: number,
  use: (file: string) => Promise<Response>,
): Promise<Response> {
  const file = passingFile(directory);
  const announced = Number(request.headers.get('content-length')) || 0;
  if (freeBytes(directory) < Math.min(announced, most) + ROOM_BYTES) throw new Trouble('disk full');
  try {
    const written = await open(file, 'wx', 0o600);
    try {
      for await (const part of partsOf(request, most)) await written.write(part);
    } finally {
      await written.close();
    }
    return await use(file);
  } finally {
    await rm(file, { force: true });
  }
}

/** A file as a download; it goes once it has been read, or nobody reads it any more. */
export async function handOver(file: string, type: string, name: string): Promise<Response> {
  const { size } = await stat(file);
  const stream = createReadStream(file);
  stream.once('close', () => void rm(file, { force: true }));
  return new Response(Readable.toWeb(stream) as ReadableStream<Uint8Array>, {
    headers: {
      'content-type': type,
      'content-length': String(size),
      'content-disposition': `attachment; filename="${name}"`,
    },
  });
}
