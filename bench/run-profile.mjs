import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';

// Bundles bench/profile.ts and runs it with a young generation so large that nothing is collected while it measures.

const directory = mkdtempSync(join(process.cwd(), 'node_modules', '.yawtrope-profile-'));
const outfile = join(directory, 'profile.cjs');
try {
  await build({
    entryPoints: ['bench/profile.ts'],
    bundle: true,
    platform: 'node',
    format: 'cjs',
    target: 'es2022',
    outfile,
    external: ['better-sqlite3'],
    tsconfig: 'tsconfig.json',
    logLevel: 'error',
  });
  const node = ['--max-semi-space-size=512', '--min-semi-space-size=512', outfile];
  process.exitCode = spawnSync(process.execPath, node, { stdio: 'inherit' }).status ?? 1;
} finally {
  rmSync(directory, { recursive: true, force: true });
}
