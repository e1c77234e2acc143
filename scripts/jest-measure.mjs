import { appendFileSync } from 'node:fs';

// For `npm run measured`: notes what the numeric assertions of every test found, and keeps those that came nearest to failing.

const plain = globalThis.expect;
const noted = new Map();

/** How much of its room an assertion used up; the larger, the nearer to failing. */
const USED = {
  toBeCloseTo: (found, [expected, digits = 2]) =>
    Math.abs(found - expected) / (0.5 * 10 ** -digits),
  toBeLessThan: (found, [bound]) => found - bound,
  toBeLessThanOrEqual: (found, [bound]) => found - bound,
  toBeGreaterThan: (found, [bound]) => bound - found,
  toBeGreaterThanOrEqual: (found, [bound]) => bound - found,
};

function note(matcher, found, args) {
  const test = plain.getState().currentTestName;
  if (!test) return;
  const kinds = noted.get(test) ?? {};
  noted.set(test, kinds);
  const used = USED[matcher](found, args);
  const last = kinds[matcher];
  const count = (last?.count ?? 0) + 1;
  kinds[matcher] = last && last.used >= used ? { ...last, count } : { used, found, args, count };
}

function watched(found) {
  const matchers = plain(found);
  if (typeof found !== 'number') return matchers;
  return new Proxy(matchers, {
    get(target, key) {
      const matcher = target[key];
      if (!(key in USED)) return matcher;
      return (...args) => {
        note(key, found, args);
        return matcher.apply(target, args);
      };
    },
  });
}

globalThis.expect = Object.assign(watched, plain);

afterAll(() => {
  for (const [test, kinds] of noted) {
    const record = { test, kinds };
    appendFileSync(process.env.YAWTROPE_MEASURED, `${JSON.stringify(record)}\n`);
  }
});
