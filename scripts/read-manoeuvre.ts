import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import {
  boatSchema,
  check,
  failure,
  parseJson,
  placeSchema,
  success,
  toFile,
  type Manoeuvre,
  type ManoeuvreFile,
  type Result,
} from '@/document';
import { MOST_CHARACTERS, readEither } from '@/io/manoeuvre';

/** The text of a file, or why it cannot be read. */
export function readText(path: string): Result<string> {
  try {
    return success(readFileSync(path, 'utf8'));
  } catch (error) {
    const code = error instanceof Error && 'code' in error ? String(error.code) : 'unreadable';
    return failure({ path, message: `cannot be read (${code})` });
  }
}

/** Boat and place of a manoeuvre that names them, from ../boats and ../places beside its folder. */
function fromLibrary(manoeuvre: Manoeuvre, file: string): Result<ManoeuvreFile> {
  const library = join(dirname(file), '..');
  const load = <T>(kind: string, id: string, schema: Parameters<typeof check<T>>[0]): Result<T> => {
    const path = join(library, kind, `${id}.json`);
    const text = readText(path);
    if (!text.ok) return text;
    const json = parseJson(text.value, MOST_CHARACTERS);
    const checked = json.ok ? check(schema, json.value) : json;
    if (checked.ok) return checked;
    return failure(...checked.problems.map((p) => ({ ...p, path: `${path}: ${p.path}` })));
  };
  const boat = load('boats', manoeuvre.boatId, boatSchema);
  if (!boat.ok) return boat;
  const place = load('places', manoeuvre.placeId, placeSchema);
  if (!place.ok) return place;
  return success(toFile(manoeuvre, boat.value, place.value));
}

/** The manoeuvre a text holds: one that stands alone, or one of a library beside it. */
export function manoeuvreIn(text: string, file: string): Result<ManoeuvreFile> {
  const either = readEither(text);
  if (!either.ok) return either;
  return either.value.stands === 'alone'
    ? success(either.value.file)
    : fromLibrary(either.value.manoeuvre, file);
}
