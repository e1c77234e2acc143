import { z } from 'zod';
import { runTake, worldOf } from '@/core/score';
import { library, openManoeuvre } from '@/db';
import { check, idSchema, toFile, toRunInput } from '@/document';
import { feedSentences } from '@/io/nmea0183';
import { missing, refuse } from '../respond';

export const dynamic = 'force-dynamic';

const askedSchema = z.strictObject({
  manoeuvre: idSchema,
  /** How many times as fast as life. */
  pace: z.coerce.number().min(1).max(60).default(1),
  seed: z.coerce.number().int().min(0).max(2147483647).default(1),
});

/**
 * A simulated instrument feed: NMEA 0183 sentences, a line each, as a boat sailing the manoeuvre by its score would send them,
 * some of them spoilt on the way. Ends when she does.
 */
export function GET(request: Request) {
  const asked = check<z.infer<typeof askedSchema>>(
    askedSchema,
    Object.fromEntries(new URL(request.url).searchParams),
  );
  if (!asked.ok) return refuse(422, asked.problems);
  const { manoeuvre: id, pace, seed } = asked.value;
  const opened = openManoeuvre(library(), id);
  if (!opened) return missing(id);
  if (!opened.ok) return refuse(422, opened.problems);
  const { manoeuvre: document, boat, place } = opened.value;
  const { origin } = place;
  if (!origin)
    return refuse(422, [
      { path: 'place.origin', message: 'the place has no position on the earth yet' },
    ]);
  const input = toRunInput(toFile(document, boat, place));
  if (!input.ok) return refuse(422, input.problems);
  const { trace } = runTake(input.value);
  const { environment } = worldOf(input.value, input.value.limit);
  const sentences = feedSentences(trace, origin, new Date(), seed, environment);
  const began = Date.now();
  const text = new TextEncoder();
  const stream = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const next = sentences.next();
      if (next.done) return controller.close();
      const wait = began + (1000 * next.value.at) / pace - Date.now();
      if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait));
      controller.enqueue(text.encode(`${next.value.line}\r\n`));
    },
  });
  return new Response(stream, {
    headers: { 'content-type': 'application/x-nmea0183', 'cache-control': 'no-store' },
  });
}
