import { NextResponse } from 'next/server';
import type { z } from 'zod';
import { troubleOf, type TroubleCode } from '@/db';
import { check, idSchema, type Problem } from '@/document';
import { Stopped } from '@/jobs';
import { jsonOf, TooLarge } from './body';

/** What a route takes and gives: checked at every request, and told in docs/openapi.json. */
export interface Spec<Query, Body> {
  readonly says: string;
  /** What its `?…` may hold. */
  readonly query?: z.ZodType<Query>;
  /** A JSON body. */
  readonly body?: z.ZodType<Body>;
  /** A body that is no JSON, which the handler reads itself: its content type. */
  readonly sends?: string;
  /** What it answers by status; null for no JSON. */
  readonly answers: Readonly<Record<number, z.ZodType | string | null>>;
}

export interface Given<Query, Body> {
  readonly request: Request;
  /** The id in the address; '' where there is none. */
  readonly id: string;
  readonly query: Query;
  readonly body: Body;
}

interface Context {
  readonly params: Promise<{ readonly id?: string } | undefined>;
}

/** A route handler with what it was made from. */
export interface Route<Query, Body> {
  (request: Request, context: Context): Promise<Response>;
  readonly spec: Spec<Query, Body>;
}

const STATUS: Readonly<Record<TroubleCode, number>> = {
  'disk full': 507,
  'not writable': 500,
  damaged: 500,
  newer: 500,
  'not ours': 422,
  'not restorable': 422,
  busy: 503,
  missing: 404,
};

export function refuse(status: number, problems: readonly Problem[]) {
  return NextResponse.json({ problems }, { status });
}

export function missing(id: string, what = 'manoeuvre') {
  return refuse(404, [{ path: 'id', message: `there is no ${what} '${id}'` }]);
}

export const done = () => new NextResponse(null, { status: 204 });

/** What went wrong, in words; what nobody foresaw goes to the log, and says so. */
function answerTo(error: unknown): Response {
  if (error instanceof TooLarge) {
    const answer = refuse(413, [{ path: '(request)', message: error.message }]);
    // The rest of it is not waited for.
    answer.headers.set('connection', 'close');
    return answer;
  }
  if (error instanceof Stopped)
    return refuse(409, [{ path: '(request)', message: 'was stopped; nothing has changed' }]);
  const trouble = troubleOf(error);
  if (trouble)
    return refuse(STATUS[trouble.code], [{ path: '(server)', message: trouble.message }]);
  console.error(error);
  return refuse(500, [
    { path: '(server)', message: 'stumbled over this; what was saved is safe, its log says more' },
  ]);
}

/** Makes a route handler: checks what is given, and answers every failure with problems in words. */
export function route<Query = Record<string, never>, Body = null>(
  spec: Spec<Query, Body>,
  handle: (given: Given<Query, Body>) => Response | Promise<Response>,
): Route<Query, Body> {
  const handler = async (request: Request, context: Context): Promise<Response> => {
    try {
      // Where an address names nothing, Next gives no params.
      const { id = '' } = (await context.params) ?? {};
      // An id that is none is of nothing kept: it need not be looked for.
      if (id !== '' && !idSchema.safeParse(id).success && !/^[\w.-]{1,120}$/.test(id))
        return missing(id.slice(0, 80), 'such thing');
      const query = spec.query
        ? check<Query>(spec.query, Object.fromEntries(new URL(request.url).searchParams))
        : { ok: true as const, value: {} as Query };
      if (!query.ok) return refuse(422, query.problems);
      let body = null as Body;
      if (spec.body) {
        const json = await jsonOf(request);
        const checked = json.ok ? check<Body>(spec.body, json.value) : json;
        if (!checked.ok) return refuse(422, checked.problems);
        body = checked.value;
      }
      return await handle({ request, id, query: query.value, body });
    } catch (error) {
      return answerTo(error);
    }
  };
  return Object.assign(handler, { spec });
}

/** A file to keep. */
export function download(body: BodyInit, type: string, name: string): Response {
  return new Response(body, {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
    },
  });
}
