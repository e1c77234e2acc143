/** Builds what runs beside Next: the server around it, and the jobs its threads do. Quick enough for every start. */
import { join } from 'node:path';
import { build } from 'esbuild';
import { root } from './lib.mjs';

export async function buildServer() {
  await build({
    absWorkingDir: root,
    entryPoints: { server: 'src/server/main.ts', jobs: 'src/jobs/worker.ts' },
    outdir: join(root, 'build'),
    outExtension: { '.js': '.cjs' },
    bundle: true,
    format: 'cjs',
    platform: 'node',
    target: 'node20',
    sourcemap: 'linked',
    sourcesContent: false,
    external: ['next', 'better-sqlite3', 'piscina'],
    logLevel: 'warning',
  });
}
