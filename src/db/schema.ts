import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** Times are milliseconds since 1970; documents are checked JSON text, see src/document. */
export const boats = sqliteTable('boats', {
  id: text('id').primaryKey(),
  document: text('document').notNull(),
  /** Counts saves; a save must name the one it started from. */
  revision: integer('revision').notNull().default(1),
  updatedAt: integer('updated_at').notNull(),
  /** Set when put aside; it can be brought back. */
  removedAt: integer('removed_at'),
});

export const places = sqliteTable('places', {
  id: text('id').primaryKey(),
  document: text('document').notNull(),
  updatedAt: integer('updated_at').notNull(),
});

export const manoeuvres = sqliteTable(
  'manoeuvres',
  {
    id: text('id').primaryKey(),
    title: text('title').notNull(),
    boatId: text('boat_id')
      .notNull()
      .references(() => boats.id),
    placeId: text('place_id')
      .notNull()
      .references(() => places.id),
    document: text('document').notNull(),
    /** Counts saves; a save must name the one it started from. */
    revision: integer('revision').notNull(),
    createdAt: integer('created_at').notNull(),
    updatedAt: integer('updated_at').notNull(),
    openedAt: integer('opened_at'),
    /** Set when put aside; it can be brought back. */
    removedAt: integer('removed_at'),
  },
  (table) => [index('manoeuvres_by_opening').on(table.openedAt)],
);

/** A user's own figures. */
export const figures = sqliteTable('figures', {
  id: text('id').primaryKey(),
  document: text('document').notNull(),
  createdAt: integer('created_at').notNull(),
});
