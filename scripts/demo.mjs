/** `npm run demo`: installs, builds, prepares data and serves, doing only what is not done yet. */
import { ensureBuilt, fail, prepare, serve } from './lib.mjs';

const where = await prepare();
if ((await ensureBuilt()) !== 0) fail('The app could not be built: see the lines above.');
await serve('start', where);
