import { desc, eq } from 'drizzle-orm';
import { ownTechniqueSchema, type OwnTechnique } from '@/document';
import { read } from './manoeuvres';
import type { Library } from './open';
import { writing } from './writing';
import { techniques } from './schema';

/** The user's own techniques that can be read, newest first. */
export function listTechniques(db: Library): OwnTechnique[] {
  const rows = db
    .select()
    .from(techniques)
    .orderBy(desc(techniques.createdAt), techniques.id)
    .all();
  return rows.flatMap(({ id, document }) => {
    const technique = read<OwnTechnique>(ownTechniqueSchema, document, `technique '${id}'`);
    return technique.ok ? [technique.value] : [];
  });
}

/** Keeps a technique under its id, or a free one made from it. Returns the id. */
export function insertTechnique(db: Library, technique: OwnTechnique, now: number): string {
  return writing(db, () => {
    for (let n = 1; ; n++) {
      const id = n === 1 ? technique.id : `${technique.id.slice(0, 58)}-${n}`;
      if (db.select({ id: techniques.id }).from(techniques).where(eq(techniques.id, id)).get())
        continue;
      const document = JSON.stringify({ ...technique, id });
      db.insert(techniques).values({ id, document, createdAt: now }).run();
      return id;
    }
  });
}

/** Takes a technique out. False if there is none. */
export function removeTechnique(db: Library, id: string): boolean {
  return db.delete(techniques).where(eq(techniques.id, id)).run().changes === 1;
}
