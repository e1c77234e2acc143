import { z } from 'zod';
import { failure, success, type Result } from '@/document';

const answerSchema = z.union([
  z.object({ problems: z.array(z.object({ path: z.string(), message: z.string() })) }),
  z.object({ id: z.string().optional(), revision: z.number().optional() }),
]);

/** Sends something about what is kept to the server; every failure comes back as problems. */
export async function saveDocument(
  method: 'POST' | 'PUT' | 'DELETE' | 'PATCH',
  address: string,
  body: string | null,
): Promise<Result<{ id?: string; revision?: number }>> {
  try {
    const response = await fetch(address, {
      method,
      headers: body === null ? {} : { 'content-type': 'application/json' },
      body,
    });
    if (response.status === 204) return success({});
    const answer = answerSchema.parse(await response.json());
    return 'problems' in answer ? failure(...answer.problems) : success(answer);
  } catch {
    return failure({ path: '(server)', message: 'did not answer; is it still running?' });
  }
}
