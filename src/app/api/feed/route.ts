import { z } from 'zod';
import { dataDirectory } from '@/db';
import { idSchema } from '@/document';
import { runJob, type Sentence } from '@/jobs';
import { refuse, route } from '../define';

export const dynamic = 'force-dynamic';

const askedSchema = z.strictObject({
  manoeuvre: idSchema,
  /** How many times as fast as life. */
  pace: z.coerce.number().min(1).max(60).default(1),
  seed: z.coerce.number().int().min(0).max(2147483647).default(1),
});

/** So many feeds run at once. */
const MOST_FEEDS = 8;
let running = 0;

/** The sentences as they would be said, each in its time; whoever goes away ends them. */
function spoken(sentences: readonly Sentence[], pace: number): ReadableStream<Uint8Array> {
  const began = Date.now();
  const text = new TextEncoder();
  const left = sentences.values();
  let over = false;
  const end = () => {
    if (!over) running -= 1;
    over = true;
  };
  return new ReadableStream<Uint8Array>({
    async pull(controller) {
      const next = left.next();
      if (next.done) {
        end();
        return controller.close();
      }
      const wait = began + (1000 * next.value.at) / pace - Date.now();
      if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait));
      if (!over) controller.enqueue(text.encode(`${next.value.line}\r\n`));
    },
    cancel: end,
  });
}

export const GET = route(
  {
    says: 'A simulated instrument feed: NMEA 0183 sentences, a line each, as a boat sailing the manoeuvre by its plan would send them, some of them spoilt on the way. Ends when the manoeuvre does.',
    query: askedSchema,
    answers: { 200: 'application/x-nmea0183' },
  },
  async ({ query: { manoeuvre, pace, seed }, request }) => {
    if (running >= MOST_FEEDS)
      return refuse(503, [
        { path: '(server)', message: `gives ${MOST_FEEDS} feeds at once; end one of them first` },
      ]);
    running += 1;
    let begun = false;
    try {
      const made = await runJob(
        'feed',
        { directory: dataDirectory(), id: manoeuvre, seed },
        { signal: request.signal },
      );
      if (!made.ok) return refuse(made.problems[0]?.path === 'id' ? 404 : 422, made.problems);
      begun = true;
      return new Response(spoken(made.value, pace), {
        headers: { 'content-type': 'application/x-nmea0183' },
      });
    } finally {
      if (!begun) running -= 1;
    }
  },
);
