/** `npm run dev`: the app with reloading, on the same data as the demo. */
import {
  checkData,
  checkNode,
  checkPort,
  ensureInstalled,
  prepareData,
  serve,
  wantedPort,
} from './lib.mjs';

checkNode();
const port = wantedPort();
await checkPort(port);
const directory = checkData();
ensureInstalled();
prepareData(directory);
await serve(['dev'], { port, directory });
