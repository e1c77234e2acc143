import { eq } from 'drizzle-orm';
import type { Library } from './open';
import { texts } from './schema';
import { writing } from './writing';

/** So many texts go in or out in one transaction: other writers wait a few milliseconds at most. */
const AT_ONCE = 50;
const BREATH_MS = 12;

export function putText(db: Library, text: string, id: string = crypto.randomUUID()): string {
  db.insert(texts).values({ id, text }).run();
  return id;
}

export function changeText(db: Library, id: string, text: string): void {
  db.update(texts).set({ text }).where(eq(texts.id, id)).run();
}

// Thousands of runs are read one after the other: making a query anew takes longer than its answer.
const reading = new WeakMap<Library, { readonly get: (id: string) => unknown }>();

/** The text under an id; null where it is lost. */
export function textUnder(db: Library, id: string): string | null {
  let query = reading.get(db);
  if (!query) {
    query = db.$client.prepare<[string]>('select text from texts where id = ?').pluck();
    reading.set(db, query);
  }
  return (query.get(id) as string | undefined) ?? null;
}

/** Texts that no run names: what an import that was cut off left, or what was replaced. */
function orphans(db: Library): string[] {
  return db.$client
    .prepare(
      `select id from texts t
       where not exists (select 1 from runs where manoeuvre_text = t.id)
         and not exists (select 1 from runs where recording_text = t.id)`,
    )
    .pluck()
    .all() as string[];
}

function* sweeping(db: Library): Generator<void, number> {
  const found = orphans(db);
  const remove = db.$client.prepare('delete from texts where id = ?');
  for (let from = 0; from < found.length; from += AT_ONCE) {
    writing(db, () => found.slice(from, from + AT_ONCE).forEach((id) => remove.run(id)));
    yield;
  }
  return found.length;
}

/** Takes texts away that no run names, at once: where nobody else has the library open. Returns how many. */
export function sweepTexts(db: Library): number {
  const steps = sweeping(db);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

/** The same a little at a time, so that who saves meanwhile does not wait. Nothing may be coming in meanwhile. */
export async function sweepTextsGently(db: Library): Promise<void> {
  for (const _ of sweeping(db)) await breath();
}

/** A moment in which others can write: one who waits looks again every few milliseconds. */
export const breath = () => new Promise<void>((resolve) => setTimeout(resolve, BREATH_MS));
