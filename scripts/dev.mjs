/** `npm run dev`: the app with reloading, on the same data as the demo. */
import { prepare, prepareData, serve } from './lib.mjs';

const where = await prepare();
prepareData(where.directory);
await serve(['dev'], where);
