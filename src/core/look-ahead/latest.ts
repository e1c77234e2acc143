/** What was worked out last, by what it was worked out from: the tries of a manoeuvre differ in little of it. */
export class Latest<T> {
  private readonly known = new Map<string, T>();

  /** @param most no more than so many are kept */
  constructor(private readonly most: number) {}

  of(key: string, make: () => T): T {
    const found = this.known.get(key) ?? make();
    // The one used last stands last.
    this.known.delete(key);
    this.known.set(key, found);
    const [oldest] = this.known.keys();
    if (this.known.size > this.most) this.known.delete(oldest!);
    return found;
  }
}

/** What stands or floats there, or a boat, as text, once for each. */
const texts = new WeakMap<object, string>();
export function textOf(what: object): string {
  const known = texts.get(what);
  if (known !== undefined) return known;
  const text = JSON.stringify(what);
  texts.set(what, text);
  return text;
}
