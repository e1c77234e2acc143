/** `npm run dev`: the app with reloading, on the same data as the demo. */
import { buildServer, prepare, serve } from './lib.mjs';

const where = await prepare();
await buildServer();
await serve('dev', where);
