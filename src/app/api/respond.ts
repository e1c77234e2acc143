import { NextResponse } from 'next/server';
import { check, failure, parseJson, type Problem, type Result } from '@/document';
import type { z } from 'zod';

const MOST_BYTES = 3_000_000;

export function refuse(status: number, problems: readonly Problem[]) {
  return NextResponse.json({ problems }, { status });
}

export function missing(id: string, what = 'manoeuvre') {
  return refuse(404, [{ path: 'id', message: `there is no ${what} '${id}'` }]);
}

/** The checked JSON body of a request, or what is wrong with it. Only JSON is taken, which keeps other sites' forms out. */
export async function readBody<T>(request: Request, schema: z.ZodType<T>): Promise<Result<T>> {
  const type = request.headers.get('content-type') ?? '';
  if (!type.startsWith('application/json')) {
    return failure({ path: '(request)', message: 'send JSON with content-type application/json' });
  }
  const announced = Number(request.headers.get('content-length'));
  if (announced > MOST_BYTES)
    return failure({ path: '(request)', message: `is larger than ${MOST_BYTES} bytes` });
  const json = parseJson(await request.text(), MOST_BYTES, '(request)');
  return json.ok ? check(schema, json.value) : json;
}
