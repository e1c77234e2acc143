/** Before the browser tests: their scripts are made anew, in a folder of their own. */
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { BUNDLES } from './jest-bundle.mjs';

export default function prepare() {
  rmSync(join(BUNDLES, 'e2e'), { recursive: true, force: true });
}
