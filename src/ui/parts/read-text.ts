import { failure, success, type Result } from '@/document';

/** The text of a chosen file; one larger than is read at all is refused before anything is done with it. */
export async function readText(file: File, mostBytes: number): Promise<Result<string>> {
  if (file.size > mostBytes) {
    const megabytes = (bytes: number) => `${Math.round(bytes / 1e5) / 10} MB`;
    return failure({
      path: file.name,
      message: `is ${megabytes(file.size)}; at most ${megabytes(mostBytes)} are read`,
    });
  }
  try {
    return success(await file.text());
  } catch {
    return failure({ path: file.name, message: 'cannot be read; is it still there?' });
  }
}

/** The largest document file taken in, bytes, as the server takes it. */
export const MOST_DOCUMENT_BYTES = 24_000_000;
