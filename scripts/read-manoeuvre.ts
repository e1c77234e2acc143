import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import {
  boatSchema,
  check,
  failure,
  parseJson,
  placeSchema,
  spreadSchema,
  success,
  toFile,
  toSpread,
  type Manoeuvre,
  type ManoeuvreFile,
  type Result,
  type SpreadDocument,
} from '@/document';
import { usualLimitFor } from '@/core/policy';
import { STANDARD_SPREAD, type Spread } from '@/core/uncertainty';
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

/** The spread a file tells; the standard one where none is named. */
export function spreadIn(path: string | null): Result<Spread> {
  if (path === null) return success(STANDARD_SPREAD);
  const text = readText(path);
  if (!text.ok) return text;
  const json = parseJson(text.value, MOST_CHARACTERS);
  const checked = json.ok ? check<SpreadDocument>(spreadSchema, json.value) : json;
  if (checked.ok) return success(toSpread(checked.value));
  return failure(...checked.problems.map((p) => ({ ...p, path: `${path}: ${p.path}` })));
}

/** A whole number of an option; null where it is none, or out of its bounds. */
export const wholeIn = (text: string | undefined, least: number, most: number): number | null => {
  const value = Number(text);
  return Number.isInteger(value) && value >= least && value <= most ? value : null;
};

/** What a manoeuvre has besides boat, place, start, goal and conditions, where a file leaves it out. */
const BARE = {
  $schema: 'yawtrope:manoeuvre',
  version: 2,
  id: 'manoeuvre',
  title: 'Manoeuvre',
  plan: {
    steps: [{ id: 'begin', cue: { is: 'start' } }],
    end: { cue: { is: 'after', time_s: 1 } },
  },
};

/** The same of a text that may leave out all but boat, place, berth, start, goal and conditions: its plan does nothing. */
export function bareManoeuvreIn(text: string, file: string): Result<ManoeuvreFile> {
  const json = parseJson(text, MOST_CHARACTERS);
  if (!json.ok) return json;
  const given: unknown = json.value;
  if (typeof given !== 'object' || given === null || Array.isArray(given))
    return manoeuvreIn(text, file);
  const bare = manoeuvreIn(JSON.stringify({ ...BARE, ...given }), file);
  if (!bare.ok || 'limit_s' in given) return bare;
  return success({ ...bare.value, limit_s: usualLimitFor(bare.value.boat.hull.length_m) });
}
