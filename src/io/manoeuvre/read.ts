import {
  check,
  manoeuvreFileSchema,
  manoeuvreSchema,
  parseJson,
  type Manoeuvre,
  type ManoeuvreFile,
  type Result,
} from '@/document';

/** Largest manoeuvre file read, characters. */
export const MOST_CHARACTERS = 2_000_000;

/** Reads a manoeuvre file that stands alone, boat and place within. */
export function readManoeuvreFile(text: string): Result<ManoeuvreFile> {
  const json = parseJson(text, MOST_CHARACTERS);
  return json.ok ? check(manoeuvreFileSchema, json.value) : json;
}

/** A manoeuvre that names its boat and place by id, or one that carries them. */
export type EitherManoeuvre =
  | { readonly stands: 'alone'; readonly file: ManoeuvreFile }
  | { readonly stands: 'on library'; readonly manoeuvre: Manoeuvre };

/** Reads either kind: one with `boatId` and `placeId`, or one with `boat` and `place`. */
export function readEither(text: string): Result<EitherManoeuvre> {
  const json = parseJson(text, MOST_CHARACTERS);
  if (!json.ok) return json;
  const names = typeof json.value === 'object' && json.value !== null && 'boatId' in json.value;
  if (names) {
    const checked = check(manoeuvreSchema, json.value);
    if (!checked.ok) return checked;
    return { ok: true, value: { stands: 'on library', manoeuvre: checked.value } };
  }
  const checked = check(manoeuvreFileSchema, json.value);
  return checked.ok ? { ok: true, value: { stands: 'alone', file: checked.value } } : checked;
}
