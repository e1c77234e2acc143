import { desc, eq } from 'drizzle-orm';
import { ownFigureSchema, type OwnFigure } from '@/document';
import { read } from './manoeuvres';
import type { Library } from './open';
import { writing } from './writing';
import { figures } from './schema';

/** The user's own figures that can be read, newest first. */
export function listFigures(db: Library): OwnFigure[] {
  const rows = db.select().from(figures).orderBy(desc(figures.createdAt), figures.id).all();
  return rows.flatMap(({ id, document }) => {
    const figure = read<OwnFigure>(ownFigureSchema, document, `figure '${id}'`);
    return figure.ok ? [figure.value] : [];
  });
}

/** Keeps a figure under its id, or a free one made from it. Returns the id. */
export function insertFigure(db: Library, figure: OwnFigure, now: number): string {
  return writing(db, () => {
    for (let n = 1; ; n++) {
      const id = n === 1 ? figure.id : `${figure.id.slice(0, 58)}-${n}`;
      if (db.select({ id: figures.id }).from(figures).where(eq(figures.id, id)).get()) continue;
      const document = JSON.stringify({ ...figure, id });
      db.insert(figures).values({ id, document, createdAt: now }).run();
      return id;
    }
  });
}

/** Takes a figure out. False if there is none. */
export function removeFigure(db: Library, id: string): boolean {
  return db.delete(figures).where(eq(figures.id, id)).run().changes === 1;
}
