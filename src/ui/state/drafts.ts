import { createStore, del, entries, set, type UseStore } from 'idb-keyval';
import { z } from 'zod';

/**
 * Edits the server has not acknowledged yet, kept in the browser: a server that cannot be reached and a tab that closes
 * lose nothing. Every opening of a document keeps its own, so that none writes over another's.
 */

const draftSchema = z.object({
  /** The revision the edits were made over. */
  revision: z.number(),
  /** When the last of them was made, ms since 1970. */
  at: z.number(),
  document: z.unknown(),
});
export type Draft = z.infer<typeof draftSchema>;

/** A draft that was left behind, under the key it is kept by. */
export interface LeftDraft<T> {
  readonly key: string;
  readonly revision: number;
  readonly at: number;
  readonly document: T;
}

let opened: UseStore | null = null;
const store = () => (opened ??= createStore('yawtrope', 'drafts'));

/** The key of one opening of a document. */
export const draftKey = (address: string) => `${address}#${crypto.randomUUID()}`;

/** A browser that keeps nothing, as in a private window, edits all the same. */
async function quietly<T>(attempt: () => Promise<T>, otherwise: T): Promise<T> {
  try {
    return await attempt();
  } catch {
    return otherwise;
  }
}

export const keepDraft = (key: string, draft: Draft) =>
  quietly(() => set(key, draft, store()), undefined);

export const dropDraft = (key: string) => quietly(() => del(key, store()), undefined);

/** What other openings of a document left, the newest first; what cannot be read is none. */
export async function leftDrafts<T>(
  address: string,
  schema: z.ZodType<T>,
): Promise<LeftDraft<T>[]> {
  const all = await quietly(() => entries<string, unknown>(store()), []);
  return all
    .filter(([key]) => typeof key === 'string' && key.startsWith(`${address}#`))
    .flatMap(([key, value]): LeftDraft<T>[] => {
      const draft = draftSchema.safeParse(value);
      const document = draft.success ? schema.safeParse(draft.data.document) : null;
      if (!draft.success || !document?.success) return [];
      const { revision, at } = draft.data;
      return [{ key, revision, at, document: document.data }];
    })
    .sort((a, b) => b.at - a.at);
}
