/** `npm run demo`: installs, builds, prepares data and serves, doing only what is not done yet. */
import {
  checkData,
  checkNode,
  checkPort,
  ensureBuilt,
  ensureInstalled,
  fail,
  prepareData,
  serve,
  wantedPort,
} from './lib.mjs';

checkNode();
const port = wantedPort();
await checkPort(port);
const directory = checkData();
ensureInstalled();
if (ensureBuilt() !== 0) fail('The app could not be built: see the lines above.');
prepareData(directory);
await serve(['start'], { port, directory });
