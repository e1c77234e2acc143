import { z } from 'zod';

const keptSchema = z.object({ id: z.string() });
const refusedSchema = z.object({ problems: z.array(z.object({ message: z.string() })) });

/** Sends a recording to be kept with a manoeuvre: its id, or what is wrong with it. */
export async function keepRecording(
  manoeuvre: string,
  text: string,
  name: string,
  source: 'file' | 'feed',
): Promise<{ readonly id: string } | { readonly why: string }> {
  const query = new URLSearchParams({ manoeuvre, name, source });
  try {
    const answer = await fetch(`/api/records?${query.toString()}`, {
      method: 'POST',
      headers: { 'content-type': 'application/x-nmea0183' },
      body: text,
    });
    const body: unknown = await answer.json();
    const kept = keptSchema.safeParse(body);
    if (answer.ok && kept.success) return { id: kept.data.id };
    const refused = refusedSchema.safeParse(body);
    return { why: refused.success ? (refused.data.problems[0]?.message ?? '') : 'it was not kept' };
  } catch {
    return { why: 'the server does not answer; it was not kept' };
  }
}
