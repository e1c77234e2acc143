/** Before any test: the scripts of the last run go, and if all tests are to run theirs are made at once. */
import { readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';
import { BUNDLES, options, root } from './jest-bundle.mjs';

const tests = (folder) =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.test\.tsx?$/.test(name))
    .map((name) => join(root, folder, name));

export default async function prepare({ nonFlagArgs }) {
  rmSync(BUNDLES, { recursive: true, force: true });
  if (nonFlagArgs.length === 0)
    await build({ ...options, entryPoints: [...tests('src'), ...tests('scripts')] });
}
