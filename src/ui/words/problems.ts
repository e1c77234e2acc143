import type { Problem } from '@/document';

const PARTS: readonly [RegExp, (n: number) => string][] = [
  [/^plan\.steps\[(\d+)\]/, (n) => `step ${n + 1}`],
  [/^plan\.end/, () => 'the end'],
  [/^\.wayOut/, () => 'way out'],
  [/^\.orders\[(\d+)\]/, (n) => `order ${n + 1}`],
  [/^\.expect\[(\d+)\]/, (n) => `expectation ${n + 1}`],
  [/^\.cue/, () => 'cue'],
  [/^\.of\[(\d+)\]/, (n) => `part ${n + 1}`],
];

/** Where a problem is, as the plan on the screen is counted: "step 2, way out, order 1"; other paths as they are. */
export function whereWords(path: string): string {
  const words: string[] = [];
  let rest = path;
  for (;;) {
    const part = PARTS.find(([pattern]) => pattern.test(rest));
    if (!part) break;
    const [pattern, say] = part;
    const found = pattern.exec(rest)!;
    words.push(say(Number(found[1] ?? 0)));
    rest = rest.slice(found[0].length);
  }
  return words.length > 0 ? words.join(', ') : path;
}

/** Problems by what is wrong, each with all the places where it is. */
export function gathered(
  problems: readonly Problem[],
): { readonly message: string; readonly where: string }[] {
  const places = new Map<string, string[]>();
  for (const { path, message } of problems) {
    places.set(message, [...(places.get(message) ?? []), whereWords(path)]);
  }
  return [...places].map(([message, where]) => ({ message, where: where.join('; ') }));
}
