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
  /** SHA-256 of the demo text last put in here; null for what a user made. */
  shipped: text('shipped'),
});

export const places = sqliteTable('places', {
  id: text('id').primaryKey(),
  document: text('document').notNull(),
  /** Counts saves; a save must name the one it started from. */
  revision: integer('revision').notNull().default(1),
  updatedAt: integer('updated_at').notNull(),
  /** Set when put aside; it can be brought back. */
  removedAt: integer('removed_at'),
  /** SHA-256 of the demo text last put in here; null for what a user made. */
  shipped: text('shipped'),
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
    /** SHA-256 of the demo text last put in here; null for what a user made. */
    shipped: text('shipped'),
  },
  (table) => [index('manoeuvres_by_opening').on(table.openedAt)],
);

/**
 * What each manoeuvre came to when it was last worked out, with the revisions it was worked out from. Only a convenience: it
 * goes with its manoeuvre, and is in no archive.
 */
export const lastResults = sqliteTable('last_results', {
  manoeuvreId: text('manoeuvre_id')
    .primaryKey()
    .references(() => manoeuvres.id, { onDelete: 'cascade' }),
  manoeuvreRevision: integer('manoeuvre_revision').notNull(),
  boatRevision: integer('boat_revision').notNull(),
  placeRevision: integer('place_revision').notNull(),
  document: text('document').notNull(),
  updatedAt: integer('updated_at').notNull(),
});

/** A user's own techniques. */
export const techniques = sqliteTable('techniques', {
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

/**
 * Long texts that runs are made of. They stand apart so that many runs can come in or go in one short transaction:
 * a text no run names is not there for anybody, and is swept away.
 */
export const texts = sqliteTable('texts', {
  id: text('id').primaryKey(),
  text: text('text').notNull(),
});

/** Takes driven by hand, each with the manoeuvre as it was when it was driven. */
export const runs = sqliteTable(
  'runs',
  {
    id: text('id').primaryKey(),
    /** The manoeuvre it was driven in; it may have been changed since. */
    manoeuvreId: text('manoeuvre_id')
      .notNull()
      .references(() => manoeuvres.id),
    /** The manoeuvre's file as it was then. */
    manoeuvreText: text('manoeuvre_text')
      .notNull()
      .references(() => texts.id),
    recordingText: text('recording_text')
      .notNull()
      .references(() => texts.id),
    notes: text('notes').notNull(),
    /** What it came to. */
    summary: text('summary'),
    startedAt: integer('started_at').notNull(),
    updatedAt: integer('updated_at').notNull(),
    /** Set when put aside; it can be brought back. */
    removedAt: integer('removed_at'),
  },
  (table) => [
    index('runs_of_manoeuvre').on(table.manoeuvreId, table.startedAt),
    index('runs_by_manoeuvre_text').on(table.manoeuvreText),
    index('runs_by_recording_text').on(table.recordingText),
  ],
);

/** What is kept of the library itself, a number under each name. */
export const counters = sqliteTable('counters', {
  name: text('name').primaryKey(),
  value: integer('value').notNull(),
});
