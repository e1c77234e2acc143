import { NextResponse } from 'next/server';
import { z } from 'zod';
import { library, type DocumentRepository } from '@/db';
import { done, missing, refuse, route } from './define';
import { bringBack, savedAnswer } from './schemas';

/** What can be asked of one boat or one place; `what` is what its field in a body is called. */
export function keptRoutes<T extends { readonly id: string; readonly name: string }>(
  kept: DocumentRepository<T>,
  schema: z.ZodType<T>,
  what: 'boat' | 'place',
) {
  const saveSchema = z.strictObject({ revision: z.number().int().min(1), [what]: schema });
  const openedSchema = z.object({
    [what]: schema,
    revision: z.number(),
    updatedAt: z.number(),
    uses: z.number(),
  });
  return {
    GET: route(
      { says: `One ${what}, with its revision.`, answers: { 200: openedSchema } },
      ({ id }) => {
        const opened = kept.open(library(), id);
        if (!opened) return missing(id, what);
        if (!opened.ok) return refuse(500, opened.problems);
        const { document, ...rest } = opened.value;
        return NextResponse.json({ [what]: document, ...rest });
      },
    ),

    PUT: route(
      {
        says: `Saves a ${what} over the revision named; 409 if somebody else saved first.`,
        body: saveSchema,
        answers: { 200: savedAnswer, 409: openedSchema.partial() },
      },
      ({ id, body }) => {
        const { revision } = body as unknown as { revision: number };
        const document = (body as unknown as Record<string, T>)[what]!;
        if (document.id !== id)
          return refuse(422, [
            { path: `${what}.id`, message: `must be '${id}', as in the address` },
          ]);
        const saved = kept.save(library(), document, revision, Date.now());
        if (saved.is === 'missing') return missing(id, what);
        if (saved.is === 'conflict') {
          const now = kept.open(library(), id);
          return NextResponse.json(
            {
              revision: saved.revision,
              ...(now?.ok ? { [what]: now.value.document } : {}),
              problems: [
                {
                  path: 'revision',
                  message: 'was changed in another window meanwhile; nothing was overwritten',
                },
              ],
            },
            { status: 409 },
          );
        }
        return NextResponse.json({ revision: saved.revision, updatedAt: saved.updatedAt });
      },
    ),

    DELETE: route(
      { says: `Removes a ${what}; PATCH brings it back.`, answers: { 204: null } },
      ({ id }) => (kept.setAside(library(), id, Date.now()) ? done() : missing(id, what)),
    ),

    PATCH: route(
      { says: `Brings a removed ${what} back.`, body: bringBack, answers: { 204: null } },
      ({ id }) => (kept.setAside(library(), id, null) ? done() : missing(id, what)),
    ),
  };
}
