import { randomBytes } from 'node:crypto';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import next from 'next';
import { dataDirectory, troubleOf } from '@/db';
import { makeReady, type Damage } from '@/db/upkeep';
import { keepBackups } from './backups';
import { refusalOf } from './guard';
import { headersFor } from './headers';
import { answerDamaged } from './recovery';

/**
 * The server: looks at every request before Next does, and serves the one page there is while the library is damaged.
 * usage: node build/server.cjs [dev]; port and data directory by YAWTROPE_PORT and YAWTROPE_DATA_DIR.
 */

// Left to itself the heap grows to twice what is needed before anything is cleared; this is a guest on somebody's machine.
setFlagsFromString('--heap-growing-percent=25');

const HOST = '127.0.0.1';
/** A request's header has to be there by then, ms; its body may take longer, as an archive is large. */
const HEADERS_MS = 10_000;
const REQUEST_MS = 30 * 60_000;

const development = process.argv[2] === 'dev';
const port = Number(process.env.YAWTROPE_PORT || 4780);
const directory = dataDirectory();
const demo = join(process.cwd(), 'demo');

function stop(sentence: string): never {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}

function ready(): Damage | null {
  try {
    return makeReady(directory, demo, Date.now());
  } catch (error) {
    const why = error instanceof Error ? error.message : String(error);
    const trouble = troubleOf(error);
    if (trouble?.code === 'not writable')
      stop(
        `Yawtrope cannot write to its data directory '${directory}' (${why}); set YAWTROPE_DATA_DIR to one it can write to.`,
      );
    stop(`Yawtrope cannot open its library in '${directory}': ${trouble?.message ?? why}`);
  }
}

function refuse(response: ServerResponse, status: number, message: string): void {
  const body = JSON.stringify({ problems: [{ path: '(request)', message }] });
  // What else a refused client is sending is not waited for.
  response.writeHead(status, { 'content-type': 'application/json', connection: 'close' });
  response.end(body);
}

async function main(): Promise<void> {
  let damage = ready();
  if (damage)
    process.stderr.write(`The database ${damage.why}; open the start page to choose a backup.\n`);
  const app = next({ dev: development, hostname: HOST, port, turbopack: development });
  const server = createServer({ headersTimeout: HEADERS_MS, requestTimeout: REQUEST_MS });
  let stopBackups: () => void = () => undefined;
  const whenSound = () => {
    stopBackups = keepBackups(directory);
  };

  const answer = async (request: IncomingMessage, response: ServerResponse) => {
    const nonce = randomBytes(16).toString('base64');
    const url = request.url ?? '/';
    const headers = headersFor(url.split('?')[0]!, nonce, development);
    for (const [name, value] of Object.entries(headers)) response.setHeader(name, value);
    const refusal = refusalOf({ method: request.method ?? 'GET', url, headers: request.headers });
    if (refusal) return refuse(response, refusal.status, refusal.message);
    if (damage) {
      if (await answerDamaged(request, response, { directory, damage, demo })) {
        damage = null;
        whenSound();
      }
      return;
    }
    // Next takes the nonce of its own scripts from this header, the layout that of ours from the other.
    request.headers['content-security-policy'] = headers['Content-Security-Policy'];
    request.headers['x-nonce'] = nonce;
    await handle(request, response);
  };

  await app.prepare();
  const handle = app.getRequestHandler();
  server.on('request', (request, response) => {
    answer(request, response).catch((error: unknown) => {
      console.error(error);
      if (!response.headersSent)
        refuse(response, 500, 'the server stumbled; its log says over what');
      else response.destroy();
    });
  });
  if (development) {
    const upgrade = app.getUpgradeHandler();
    server.on('upgrade', (request, socket, head) => {
      const asked = { method: 'GET', url: request.url ?? '/', headers: request.headers };
      if (refusalOf(asked)) socket.destroy();
      else void upgrade(request, socket, head);
    });
  }
  server.once('error', (error) =>
    stop(`The server cannot listen on port ${port}: ${error.message}`),
  );
  server.listen(port, HOST, () => {
    if (!damage) whenSound();
    process.stdout.write(`listening on ${port}\n`);
  });

  const end = () => {
    stopBackups();
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    // A download in progress is not waited for longer than this.
    setTimeout(() => process.exit(0), 3000).unref();
  };
  process.once('SIGINT', end);
  process.once('SIGTERM', end);
}

void main();
