/**
 * Jest's transform: a test file with everything it imports as one script.
 *
 * Loaded module by module in Jest's sandbox every call from one module into another goes through a getter, which
 * doubles the time of whatever simulates. In one script they are plain functions. Packages stay outside where they are
 * native, or where a test and a tool must share one instance of them.
 */
import { createHash } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { buildSync } from 'esbuild';

export const root = join(import.meta.dirname, '..');
export const BUNDLES = join(root, 'node_modules', '.cache', 'yawtrope-tests');

/** Within a test's own context every look at a global is slow, and the step looks at these all the time. */
const NEAR =
  'Array, Error, Float64Array, Int32Array, Map, Math, Number, Object, Set, String, WeakMap';

/** What esbuild is told for one test file or for all of them at once. */
export const options = {
  absWorkingDir: root,
  outbase: '.',
  outdir: BUNDLES,
  bundle: true,
  format: 'cjs',
  platform: 'node',
  target: 'node20',
  jsx: 'automatic',
  sourcemap: 'linked',
  sourcesContent: false,
  banner: {
    js: `'use strict'; const NaN = 0 / 0, Infinity = 1 / 0, { ${NEAR} } = globalThis;`,
  },
  external: [
    'better-sqlite3',
    'esbuild',
    'selenium-webdriver',
    'piscina',
    'fast-check',
    'react',
    'react-dom',
    '@testing-library/*',
    'jsdom',
  ],
  // Where a worker's script would be; a component test has its calls answered in the page.
  define: { 'import.meta.url': '"file:///in-the-page.js"' },
  loader: { '.css': 'empty' },
  logLevel: 'warning',
};

/** Where the script made of a test file stands. */
const bundleOf = (path) => join(BUNDLES, relative(root, path).replace(/\.(tsx?|mjs)$/, '.js'));

function built(path) {
  const bundle = bundleOf(path);
  // One test asked for by name is built when it is come to; jest-prepare builds all of them at once.
  if (!existsSync(bundle)) buildSync({ ...options, entryPoints: [path] });
  return readFileSync(bundle, 'utf8');
}

export default {
  getCacheKey: (_text, path) => createHash('sha256').update(built(path)).digest('hex'),
  process(_text, path) {
    return { code: built(path), map: readFileSync(`${bundleOf(path)}.map`, 'utf8') };
  },
};
