import { NextResponse } from 'next/server';
import { z } from 'zod';
import { library, type Kept } from '@/db';
import { missing, readBody, refuse } from './respond';

export interface Context {
  params: Promise<{ id: string }>;
}

/** What can be asked of one boat or one place; `what` is what its field in a body is called. */
export function keptRoutes<T extends { readonly id: string; readonly name: string }>(
  kept: Kept<T>,
  schema: z.ZodType<T>,
  what: 'boat' | 'place',
) {
  const saveSchema = z.strictObject({ revision: z.number().int().min(1), document: schema });
  const named = (body: unknown) => {
    // On the wire it goes by its own name.
    if (typeof body !== 'object' || body === null || !(what in body)) return body;
    const { [what]: document, ...rest } = body as Record<string, unknown>;
    return { ...rest, document };
  };
  return {
    async GET(_request: Request, { params }: Context) {
      const { id } = await params;
      const opened = kept.open(library(), id);
      if (!opened) return missing(id, what);
      if (!opened.ok) return refuse(500, opened.problems);
      const { document, ...rest } = opened.value;
      return NextResponse.json({ [what]: document, ...rest });
    },

    /** Saves over the revision named. 409 if somebody else saved first. */
    async PUT(request: Request, { params }: Context) {
      const { id } = await params;
      const body = await readBody(request, z.preprocess(named, saveSchema));
      if (!body.ok)
        return refuse(
          422,
          body.problems.map((p) => ({ ...p, path: p.path.replace(/^document\b/, what) })),
        );
      const { document, revision } = body.value;
      if (document.id !== id)
        return refuse(422, [{ path: `${what}.id`, message: `must be '${id}', as in the address` }]);
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

    /** Puts it aside; PATCH brings it back. */
    async DELETE(_request: Request, { params }: Context) {
      const { id } = await params;
      return kept.setAside(library(), id, Date.now())
        ? new NextResponse(null, { status: 204 })
        : missing(id, what);
    },

    async PATCH(request: Request, { params }: Context) {
      const { id } = await params;
      const body = await readBody(request, z.strictObject({ aside: z.literal(false) }));
      if (!body.ok) return refuse(422, body.problems);
      return kept.setAside(library(), id, null)
        ? new NextResponse(null, { status: 204 })
        : missing(id, what);
    },
  };
}
