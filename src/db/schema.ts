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
  /** Counts saves; a save must name the one it started from. */
  revision: integer('revision').notNull().default(1),
  updatedAt: integer('updated_at').notNull(),
  /** Set when put aside; it can be brought back. */
  removedAt: integer('removed_at'),
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

/** What instruments recorded, laid on the place of a manoeuvre. */
export const records = sqliteTable(
  'records',
  {
    id: text('id').primaryKey(),
    manoeuvreId: text('manoeuvre_id')
      .notNull()
      .references(() => manoeuvres.id),
    document: text('document').notNull(),
    createdAt: integer('created_at').notNull(),
    /** Set when put aside; it can be brought back. */
    removedAt: integer('removed_at'),
  },
  (table) => [index('records_of_manoeuvre').on(table.manoeuvreId, table.createdAt)],
);

/** Takes driven by hand, each with the manoeuvre as it was when it was driven. */
export const takes = sqliteTable(
  'takes',
  {
    id: text('id').primaryKey(),
    /** The manoeuvre it was driven in; it may have been changed since. */
    manoeuvreId: text('manoeuvre_id')
      .notNull()
      .references(() => manoeuvres.id),
    manoeuvre: text('manoeuvre').notNull(),
    recording: text('recording').notNull(),
    notes: text('notes').notNull(),
    /** What it came to, worked out when it is first asked for. */
    summary: text('summary'),
    startedAt: integer('started_at').notNull(),
    updatedAt: integer('updated_at').notNull(),
    /** Set when put aside; it can be brought back. */
    removedAt: integer('removed_at'),
  },
  (table) => [index('takes_of_manoeuvre').on(table.manoeuvreId, table.startedAt)],
);
