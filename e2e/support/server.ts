import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export interface Server {
  readonly address: string;
  readonly directory: string;
  /** Of its process. */
  pid(): number;
  /** Ends it without a word, as a crash would. */
  kill(): Promise<void>;
  /** Starts it again on the same port and data; `sound: false` where it is to come up without a library. */
  again(how?: { sound: boolean }): Promise<void>;
  close(): Promise<void>;
}

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => resolve(port));
    });
  });
}

/** The production build on a free port, with a temporary database holding the demo data. */
export async function startServer(
  directory = mkdtempSync(join(tmpdir(), 'yawtrope-data-')),
): Promise<Server> {
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  let child = await serve(address, port, directory);
  const end = async (signal: NodeJS.Signals) => {
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await ended;
  };
  return {
    address,
    directory,
    pid: () => child.pid!,
    kill: () => end('SIGKILL'),
    again: async ({ sound } = { sound: true }) => {
      child = await serve(address, port, directory, sound);
    },
    close: async () => {
      await end('SIGTERM');
      rmSync(directory, { recursive: true, force: true });
    },
  };
}

/** Starts a server and waits until it answers. */
async function serve(
  address: string,
  port: number,
  directory: string,
  sound = true,
): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['build/server.cjs', 'start'], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      MALLOC_ARENA_MAX: '2',
      YAWTROPE_PORT: String(port),
      YAWTROPE_DATA_DIR: directory,
      NEXT_TELEMETRY_DISABLED: '1',
    },
    stdio: 'ignore',
  });
  for (let tries = 0; ; tries++) {
    const up = await fetch(address).then(
      (response) => response.ok || !sound,
      () => false,
    );
    if (up) return child;
    if (tries > 150) throw new Error('the server did not come up');
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
}
