/** Runs a TypeScript program after installing what is missing: `node scripts/run-ts.mjs FILE [args]`. */
import { checkNode, ensureInstalled, runTypeScript } from './lib.mjs';

checkNode();
ensureInstalled({ quiet: true });
const [file, ...args] = process.argv.slice(2);
process.exitCode = await runTypeScript(file, args);
