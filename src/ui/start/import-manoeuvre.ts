import { z } from 'zod';
import { failure, success, type Result } from '@/document';
import { MOST_DOCUMENT_BYTES, readText } from '../parts/read-text';

const answerSchema = z.union([
  z.object({ id: z.string() }),
  z.object({ problems: z.array(z.object({ path: z.string(), message: z.string() })) }),
]);

/** Sends a manoeuvre file to the server; the id it is kept under there. */
export async function importManoeuvre(file: File): Promise<Result<string>> {
  const text = await readText(file, MOST_DOCUMENT_BYTES);
  if (!text.ok) return text;
  try {
    const response = await fetch('/api/manoeuvres', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: text.value,
    });
    const answer = answerSchema.parse(await response.json());
    return 'id' in answer ? success(answer.id) : failure(...answer.problems);
  } catch {
    return failure({ path: file.name, message: 'could not be sent; is the server still running?' });
  }
}
