import { failure, parseJson, success, type Result } from '@/document';

/** The largest bodies taken, bytes, by what they are. */
export const MOST_BYTES = {
  /** A document; a driven run of as many inputs as its schema allows is the largest. */
  json: 24_000_000,
  nmea: 24_000_000,
  archive: 2_000_000_000,
} as const;

/** A body that is longer than allowed; nothing more of it is read. */
export class TooLarge extends Error {
  constructor(readonly most: number) {
    super(`is larger than ${most / 1e6} MB`);
    this.name = 'TooLarge';
  }
}

/** The parts of a body as they come. Throws TooLarge as soon as it is: whether its length was announced or not. */
export async function* partsOf(request: Request, most: number): AsyncGenerator<Uint8Array> {
  if (Number(request.headers.get('content-length')) > most) throw new TooLarge(most);
  if (!request.body) return;
  const reader = request.body.getReader();
  let length = 0;
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return;
      length += value.length;
      if (length > most) throw new TooLarge(most);
      yield value;
    }
  } finally {
    reader.releaseLock();
  }
}

/** A body as text. Throws TooLarge. */
export async function textOf(request: Request, most: number): Promise<string> {
  const decoder = new TextDecoder();
  let text = '';
  for await (const part of partsOf(request, most)) text += decoder.decode(part, { stream: true });
  return text + decoder.decode();
}

/** A body as JSON, not checked any further; only what says it is JSON is taken. */
export async function jsonOf(request: Request): Promise<Result<unknown>> {
  const wrong = sentAs(request, 'application/json');
  if (!wrong.ok) return wrong;
  return parseJson(await textOf(request, MOST_BYTES.json), MOST_BYTES.json, '(request)');
}

/** Whether a body says it is of a type. */
export function sentAs(request: Request, type: string): Result<null> {
  const given = request.headers.get('content-type') ?? '';
  return given.split(';')[0]!.trim() === type
    ? success(null)
    : failure({ path: '(request)', message: `send it with content-type ${type}` });
}
