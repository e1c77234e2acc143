import type { Random } from '@/core/math';

/** Spoils documents and texts at random; the same seed spoils the same way. */

const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.min(list.length - 1, Math.floor(random.uniform() * list.length))]!;

const ODD: readonly unknown[] = [
  null,
  true,
  '',
  0,
  -0,
  -1,
  1e308,
  5e-324,
  -1e9,
  0.1 + 0.2,
  [],
  {},
  'constructor',
  '__proto__',
  'x'.repeat(5000),
  '\u0000\u0007\u202e abc \ud800',
  [[[[[[]]]]]],
  { $schema: 'yawtrope:boat' },
];

function oddNumber(random: Random, value: number): number {
  return pick(random, [
    -value,
    value * 1e6,
    value * 1e-6,
    value + 360,
    Math.round(value),
    value * (0.5 + random.uniform()),
    Number.MAX_SAFE_INTEGER,
  ]);
}

type Node = Record<string, unknown> | unknown[];
const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null;

/** A node somewhere in a document, and one of its keys; null for a document that has none. */
function somewhere(random: Random, document: unknown): { at: Node; key: string } | null {
  let at = document;
  for (let depth = 0; depth < 12 && isNode(at); depth++) {
    const keys = Object.keys(at);
    if (keys.length === 0) return null;
    const key = pick(random, keys);
    const next = (at as Record<string, unknown>)[key];
    if (!isNode(next) || random.uniform() < 0.25) return { at, key };
    at = next;
  }
  return null;
}

function spoilOnce(random: Random, document: unknown): void {
  const found = somewhere(random, document);
  if (!found) return;
  const { key } = found;
  const at = found.at as Record<string, unknown>;
  const value = at[key];
  const how = random.uniform();
  if (typeof value === 'number' && how < 0.7) at[key] = oddNumber(random, value);
  else if (Array.isArray(value) && how < 0.5) {
    if (value.length > 0 && random.uniform() < 0.7)
      for (let n = Math.floor(40 * random.uniform() ** 3) + 1; n > 0; n--)
        value.push(structuredClone(pick(random, value)));
    else value.reverse();
  } else if (how < 0.2) {
    if (Array.isArray(at)) at.splice(Number(key), 1);
    else Reflect.deleteProperty(at, key);
  } else if (how < 0.3) at[`${key}2`] = structuredClone(value);
  else at[key] = structuredClone(pick(random, ODD));
}

/** A copy of a document, spoilt in one to six places. */
export function spoilt<T>(random: Random, document: T): unknown {
  const copy = structuredClone(document);
  for (let n = 1 + Math.floor(6 * random.uniform() ** 2); n > 0; n--) spoilOnce(random, copy);
  return copy;
}

/** A copy of a document with a few of its numbers a little otherwise: mostly still sound. */
export function shifted<T>(random: Random, document: T): T {
  const copy = structuredClone(document);
  for (let n = 1 + Math.floor(4 * random.uniform()); n > 0; n--) {
    const found = somewhere(random, copy);
    const at = found?.at as Record<string, unknown> | undefined;
    const value = at?.[found!.key];
    if (typeof value === 'number') at![found!.key] = value * (0.2 + 1.8 * random.uniform());
  }
  return copy;
}

const BITS = [
  '<',
  '>',
  '"',
  '{',
  '}',
  '[',
  ']',
  ',',
  '$GPRMC,',
  '*',
  '\r\n',
  '1e999',
  '\u0000',
  '&#x0;',
  '<!DOCTYPE a>',
  '-',
  './',
];

/** A text spoilt: pieces cut out, doubled, many times over, or replaced. */
export function spoiltText(random: Random, text: string): string {
  let out = text;
  for (let n = 1 + Math.floor(5 * random.uniform()); n > 0; n--) {
    const from = Math.floor(out.length * random.uniform());
    const long = Math.floor(1 + 60 * random.uniform() ** 2);
    const piece = out.slice(from, from + long);
    const how = random.uniform();
    if (how < 0.25) out = out.slice(0, from) + out.slice(from + long);
    else if (how < 0.5) out = out.slice(0, from) + pick(random, BITS) + out.slice(from);
    else if (how < 0.7) out = out.slice(0, from) + piece + out.slice(from);
    else if (how < 0.75)
      out =
        out.slice(0, from) + piece.repeat(Math.floor(3000 * random.uniform())) + out.slice(from);
    else if (how < 0.9)
      out =
        out.slice(0, from) + String.fromCharCode(65536 * random.uniform()) + out.slice(from + 1);
    else out = out.slice(0, from);
    if (out.length > 3_000_000) out = out.slice(0, 3_000_000);
  }
  return out;
}

/** Bytes spoilt: some overwritten, or the end cut off. */
export function spoiltBytes(random: Random, bytes: Uint8Array): Uint8Array {
  const out = bytes.slice(
    0,
    random.uniform() < 0.2 ? bytes.length * random.uniform() : bytes.length,
  );
  for (let n = Math.floor(20 * random.uniform()); n > 0 && out.length > 0; n--)
    out[Math.floor(out.length * random.uniform())] = Math.floor(256 * random.uniform());
  return out;
}
