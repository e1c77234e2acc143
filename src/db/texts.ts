import { eq } from 'drizzle-orm';
import type { Library } from './open';
import { texts } from './schema';

/** So many texts go in or out in one transaction: other writers wait a few milliseconds at most. */
const AT_ONCE = 50;

export function putText(db: Library, text: string, id: string = crypto.randomUUID()): string {
  db.insert(texts).values({ id, text }).run();
  return id;
}

export function changeText(db: Library, id: string, text: string): void {
  db.update(texts).set({ text }).where(eq(texts.id, id)).run();
}

/** The text under an id; null where it is lost. */
export function textUnder(db: Library, id: string): string | null {
  return db.select().from(texts).where(eq(texts.id, id)).get()?.text ?? null;
}

/**
 * Takes texts away that no take names: what an import that was cut off left, or what was replaced. A little at a time.
 * Nothing may be coming in meanwhile.
 */
export function sweepTexts(db: Library): number {
  const sweep = db.$client.prepare(
    `delete from texts where id in (
       select id from texts t
       where not exists (select 1 from takes where manoeuvre_text = t.id)
         and not exists (select 1 from takes where recording_text = t.id)
       limit ${AT_ONCE})`,
  );
  let swept = 0;
  for (;;) {
    const { changes } = sweep.run();
    swept += changes;
    if (changes < AT_ONCE) return swept;
  }
}
