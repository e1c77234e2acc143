import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo, type Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

// What cannot work is said in one sentence, with a way on, before anything is installed or built.

const directory = mkdtempSync(join(tmpdir(), 'yawtrope-start-'));
let taken: Server;

beforeAll(
  () => new Promise<void>((resolve) => (taken = createServer().listen(0, '127.0.0.1', resolve))),
);
afterAll(() => {
  taken.close();
  rmSync(directory, { recursive: true, force: true });
});

function demo(env: Record<string, string>, args: string[] = []) {
  const done = spawnSync(process.execPath, [...args, 'scripts/demo.mjs'], {
    encoding: 'utf8',
    env: { ...process.env, ...env },
    timeout: 20000,
  });
  return { status: done.status, sentence: done.stderr.trim().split('\n') };
}

it('says which port is in use', () => {
  const { port } = taken.address() as AddressInfo;
  const { status, sentence } = demo({ YAWTROPE_PORT: String(port), YAWTROPE_DATA_DIR: directory });
  expect(status).toBe(1);
  expect(sentence).toEqual([
    `Port ${port} on 127.0.0.1 is in use; set YAWTROPE_PORT to another one.`,
  ]);
});

it.each(['0', '70000', 'http', '80.5'])('refuses the port %s', (given) => {
  const { status, sentence } = demo({ YAWTROPE_PORT: given });
  expect(status).toBe(1);
  expect(sentence).toEqual([`YAWTROPE_PORT is '${given}'; give a port number from 1 to 65535.`]);
});

it('says which directory cannot be written', () => {
  const file = join(directory, 'a-file');
  writeFileSync(file, '');
  const { status, sentence } = demo({
    YAWTROPE_PORT: '47991',
    YAWTROPE_DATA_DIR: join(file, 'data'),
  });
  expect(status).toBe(1);
  expect(sentence).toHaveLength(1);
  expect(sentence[0]).toMatch(/cannot be written \(ENOTDIR\); set YAWTROPE_DATA_DIR/);
});

it('does not hang on a directory that cannot be made', () => {
  const { status, sentence } = demo({ YAWTROPE_PORT: '47991', YAWTROPE_DATA_DIR: '/proc/x/y' });
  expect(status).toBe(1);
  expect(sentence[0]).toMatch(/'\/proc\/x\/y' cannot be written \(\w+\)/);
});

it('says when Node is too old', () => {
  const older = join(directory, 'older.cjs');
  writeFileSync(
    older,
    "Object.defineProperty(process, 'versions', { value: { ...process.versions, node: '18.20.0' } });",
  );
  const { status, sentence } = demo({}, ['--require', older]);
  expect(status).toBe(1);
  expect(sentence).toEqual([
    'Yawtrope needs Node.js 20.9 or newer; this is 18.20.0. Install a newer Node.js and try again.',
  ]);
});
