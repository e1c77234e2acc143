import { failure, success, type Result } from './result';

/** Brackets within brackets that are read: checking goes down them one by one. */
const MOST_DEEP = 60;

/** Does JSON text nest its brackets deeper than this program follows? Brackets inside strings do not count. */
function tooDeep(text: string): boolean {
  let depth = 0;
  let inside = false;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (inside) {
      if (c === 0x5c) i += 1;
      else if (c === 0x22) inside = false;
    } else if (c === 0x22) inside = true;
    else if (c === 0x5b || c === 0x7b) {
      depth += 1;
      if (depth > MOST_DEEP) return true;
    } else if (c === 0x5d || c === 0x7d) depth -= 1;
  }
  return false;
}

/**
 * JSON text from outside as a value, or what is wrong with it.
 *
 * @param most characters that are read
 * @param path what the text is, in problems
 */
export function parseJson(text: string, most: number, path = '(file)'): Result<unknown> {
  if (text.length > most)
    return failure({
      path,
      message: `is ${text.length} characters long; at most ${most} are read`,
    });
  if (tooDeep(text))
    return failure({
      path,
      message: `nests brackets deeper than ${MOST_DEEP} levels; no file of ours does`,
    });
  try {
    return success(JSON.parse(text) as unknown);
  } catch (error) {
    const why = error instanceof Error ? error.message : 'unreadable';
    return failure({ path, message: `is not JSON: ${why}` });
  }
}
