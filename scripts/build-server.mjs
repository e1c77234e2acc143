/** Builds what runs beside Next: the server around it, and the jobs its threads do. Quick enough for every start. */
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
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

/** A file is replaced whole: another that is just being started reads the one or the other. */
function put(path, contents) {
  if (existsSync(path) && readFileSync(path).equals(contents)) return;
  mkdirSync(dirname(path), { recursive: true });
  const part = `${path}.${process.pid}`;
  writeFileSync(part, contents);
  renameSync(part, path);
}

/** One program as a script beside them, its packages left where they are. Returns where it is. */
export async function buildScript(file) {
  const outfile = join(root, 'build', 'scripts', `${basename(file, '.ts')}.mjs`);
  const { outputFiles } = await build({
    absWorkingDir: root,
    entryPoints: [file],
    outfile,
    write: false,
    bundle: true,
    packages: 'external',
    // Node finds this module by its whole name only.
    alias: { 'next/server': 'next/server.js' },
    format: 'esm',
    platform: 'node',
    target: 'node20',
    sourcemap: 'linked',
    sourcesContent: false,
    logLevel: 'warning',
  });
  for (const { path, contents } of outputFiles) put(path, contents);
  return outfile;
}
