/** Builds what runs beside Next: the server around it, and the jobs its threads do. Quick enough for every start. */
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  writeFileSync,
} from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { build, transform } from 'esbuild';
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

/** Only what is larger than this is worth writing again, bytes. */
const LARGE = 100_000;

/**
 * Writes the scripts Next has built for the server again without their spaces and comments, and every letter beyond ASCII as
 * its escape; of those that are the same, each route has its own, all but one refer to that one. The program keeps the text
 * of what it has loaded, and takes two bytes a letter as soon as one is wide: of 250 MB a server took, 100 were that. Names
 * stay, so that an error can be read; Next's own minifying takes a minute.
 */
export async function tightenServer() {
  const built = join(root, '.next', 'server');
  const written = new Map();
  for (const name of readdirSync(built, { recursive: true }).sort()) {
    if (!name.endsWith('.js')) continue;
    const path = join(built, name);
    const text = readFileSync(path, 'utf8');
    if (text.length < LARGE) continue;
    const same = `${dirname(path)} ${text}`;
    const first = written.get(same);
    if (first) {
      put(path, Buffer.from(`module.exports=require(${JSON.stringify(`./${basename(first)}`)});`));
      continue;
    }
    written.set(same, path);
    const { code } = await transform(text, {
      loader: 'js',
      charset: 'ascii',
      minifyWhitespace: true,
      legalComments: 'none',
    });
    put(path, Buffer.from(code));
  }
}
