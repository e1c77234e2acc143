/** A document as it came, before any check. */
export type Json = Readonly<Record<string, unknown>>;

export const isRecord = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A named step of a document's history: turns one version into the next, whatever else is wrong with it. */
export interface Migration {
  readonly name: string;
  readonly up: (document: Json) => Json;
}

/**
 * Brings a document of an older version up to date; anything else is left for the schema to judge.
 *
 * @param migrations one for each version, in order: number i turns version i + 1 into version i + 2
 */
export function migrated(value: unknown, migrations: readonly Migration[]): unknown {
  if (!isRecord(value)) return value;
  return migrations.reduce<Json>(
    (document, { up }, i) =>
      document.version === i + 1 ? { ...up(document), version: i + 2 } : document,
    value,
  );
}

/** The same with a key called otherwise, where it stood; nothing is put in its place where there is none. */
export const renamed = (document: Json, names: Readonly<Record<string, string>>): Json =>
  Object.fromEntries(Object.entries(document).map(([key, value]) => [names[key] ?? key, value]));

/** One part changed where it is there. */
export const changed = (document: Json, key: string, change: (part: unknown) => unknown): Json =>
  key in document ? { ...document, [key]: change(document[key]) } : document;

/** Every member of a list changed; what is no list is left as it is. */
export const each = (list: unknown, change: (part: Json) => unknown): unknown =>
  Array.isArray(list) ? list.map((part: unknown) => (isRecord(part) ? change(part) : part)) : list;
