import { spawnSync } from 'node:child_process';
import {
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer, type Server } from './support/server';

// What the server does with the hostile, the damaged and the full; no browser is needed for that.

interface Answer {
  readonly status: number;
  readonly headers: Record<string, string | string[] | undefined>;
  readonly text: string;
}

const ID = 'alongside-wind-off';
let server: Server;

beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.close());

/** A request with any headers at all, which `fetch` does not send. */
function ask(
  method: string,
  path: string,
  headers: Record<string, string> = {},
  body: string | ((send: (chunk: string) => boolean, end: () => void) => void) = '',
  of = server,
): Promise<Answer> {
  const { hostname, port } = new URL(of.address);
  return new Promise((resolve, reject) => {
    const asked = request({ hostname, port, method, path, headers }, (response) => {
      let text = '';
      response.on('data', (chunk) => (text += String(chunk)));
      response.on('end', () =>
        resolve({ status: response.statusCode!, headers: response.headers, text }),
      );
    });
    asked.on('error', reject);
    if (typeof body === 'string') asked.end(body);
    else
      body(
        (chunk) => asked.write(chunk),
        () => asked.end(),
      );
  });
}

const JSON_TYPE = { 'content-type': 'application/json' };
const problem = ({ text }: Answer) =>
  (JSON.parse(text) as { problems: { path: string; message: string }[] }).problems[0]!;

/** Everything kept, as it can be read from outside. */
async function kept(of = server): Promise<string> {
  const one = await ask('GET', `/api/manoeuvres/${ID}`, {}, '', of);
  const list = await ask('GET', '/', {}, '', of);
  return `${one.text} ${(list.text.match(/href="\/m\//g) ?? []).length}`;
}

describe('nobody else', () => {
  it('asks under another name, or from another page, and changes anything', async () => {
    const before = await kept();
    const evil = { host: 'evil.example' };
    for (const path of ['/', '/api/boats', `/m/${ID}`, '/_next/static/x.js'])
      expect([path, (await ask('GET', path, evil)).status]).toEqual([path, 421]);
    const copy = `/api/manoeuvres/${ID}/copy`;
    const foreign: Record<string, string>[] = [
      { origin: 'null' },
      { origin: 'http://evil.example' },
      { 'sec-fetch-site': 'cross-site' },
    ];
    for (const headers of foreign)
      for (const [method, path] of [
        ['POST', copy],
        ['DELETE', `/api/manoeuvres/${ID}`],
        ['PUT', `/api/manoeuvres/${ID}`],
        ['POST', '/api/library?how=replace'],
      ] as const)
        expect((await ask(method, path, { ...JSON_TYPE, ...headers }, '{}')).status).toBe(403);
    expect(await kept()).toBe(before);
  });

  it('is told how pages and answers may be used', async () => {
    const page = await ask('GET', '/');
    const policy = String(page.headers['content-security-policy']);
    const nonce = /'nonce-([^']+)'/.exec(policy)![1]!;
    const scripts = page.text.match(/<script\b[^>]*>/g)!;
    expect(scripts.length).toBeGreaterThan(3);
    for (const script of scripts) expect(script).toContain(`nonce="${nonce}"`);
    expect((await ask('GET', '/')).headers['content-security-policy']).not.toBe(policy);
    const answer = await ask('GET', '/api/boats');
    expect(answer.headers['cache-control']).toBe('no-store');
    expect(answer.headers['cross-origin-opener-policy']).toBe('same-origin');
  });

  it('reads what is kept from the disk', () => {
    const mode = (path: string) => statSync(join(server.directory, path)).mode & 0o777;
    expect([mode('.'), mode('yawtrope.sqlite')]).toEqual([0o700, 0o600]);
  });
});

describe('a body that is larger than allowed', () => {
  it('is refused by what it announces, and as it comes where it announces nothing', async () => {
    const announced = await ask(
      'POST',
      '/api/boats',
      { ...JSON_TYPE, 'content-length': '400000000' },
      (send) => {
        send('{');
      },
    );
    expect(announced.status).toBe(413);
    let sent = 0;
    const began = Date.now();
    const chunk = ' '.repeat(1_000_000);
    const refused = await ask(
      'POST',
      '/api/boats',
      { ...JSON_TYPE, 'transfer-encoding': 'chunked' },
      (send) => {
        const more = () => {
          if (sent >= 400) return;
          sent += 1;
          send(chunk);
          setTimeout(more, 2);
        };
        more();
      },
    ).catch(() => null);
    // Either answered, or cut off while it went on sending.
    if (refused) expect(refused.status).toBe(413);
    expect(sent).toBeLessThan(200);
    expect(Date.now() - began).toBeLessThan(20_000);
    expect((await ask('GET', '/api/boats')).status).toBe(200);
  });
});

describe('GET', () => {
  it('changes nothing', async () => {
    const before = await kept();
    for (const path of [
      `/m/${ID}`,
      '/',
      '/library',
      '/boats',
      '/places',
      `/api/runs?manoeuvre=${ID}`,
    ])
      await ask('GET', path);
    expect(await kept()).toBe(before);
  });
});

describe('a library that was damaged', () => {
  it('is told on one page, restored from there, and nothing of it was thrown away', async () => {
    const damaged = await startServer();
    try {
      const made = await ask('POST', '/api/library/backups', JSON_TYPE, '{"do":"copy"}', damaged);
      expect(made.status).toBe(201);
      const before = await kept(damaged);
      await damaged.kill();
      const file = join(damaged.directory, 'yawtrope.sqlite');
      const bytes = readFileSync(file);
      bytes.fill(0xaa, 4096, 300_000);
      writeFileSync(file, bytes);
      await damaged.again({ sound: false });
      const page = await ask('GET', `/m/${ID}`, {}, '', damaged);
      expect([page.status, page.text.includes('could not be opened')]).toEqual([503, true]);
      expect(page.text).not.toContain('<script');
      const api = await ask('GET', '/api/boats', {}, '', damaged);
      expect([api.status, problem(api).message]).toEqual([
        503,
        expect.stringContaining('restore a backup'),
      ]);
      const form = { 'content-type': 'application/x-www-form-urlencoded' };
      const evil = { ...form, origin: 'http://evil.example' };
      expect((await ask('POST', '/recovery', evil, 'begin=anew', damaged)).status).toBe(403);
      const wrong = await ask('POST', '/recovery', form, 'backup=nothing.sqlite', damaged);
      expect([wrong.status, wrong.text.includes('Not restored')]).toEqual([422, true]);
      const name = /value="([^"]+\.sqlite)"/.exec(page.text)![1]!;
      expect((await ask('POST', '/recovery', form, `backup=${name}`, damaged)).status).toBe(303);
      const after = await kept(damaged);
      expect(after.replace(/"revision":\d+/, '')).toBe(before.replace(/"revision":\d+/, ''));
      const aside = readdirSync(damaged.directory).find((one) => one.startsWith('damaged-'))!;
      expect(readFileSync(join(damaged.directory, aside, 'yawtrope.sqlite')).equals(bytes)).toBe(
        true,
      );
    } finally {
      await damaged.close();
    }
  }, 60_000);
});

/** A disk of a few megabytes; null where none may be mounted. */
function smallDisk(): { path: string; gone: () => void } | null {
  const path = mkdtempSync(join(tmpdir(), 'yawtrope-small-'));
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=40m', 'tmpfs', path]).status === 0;
  const gone = () => {
    if (mounted) spawnSync('umount', ['-l', path]);
    rmSync(path, { recursive: true, force: true });
  };
  if (mounted) return { path, gone };
  gone();
  return null;
}

describe('a disk that is full', () => {
  const disk = smallDisk();
  afterAll(() => disk?.gone());
  // Who may not mount a disk tests the same with the file system's own words, in db/backups.test.ts.
  if (!disk) return;

  it('is called full; what was saved stays, and opening and backing up say what they can', async () => {
    const small = await startServer(join(disk.path, 'data'));
    try {
      const opened = JSON.parse(
        (await ask('GET', `/api/manoeuvres/${ID}`, {}, '', small)).text,
      ) as {
        manoeuvre: Record<string, unknown>;
        revision: number;
      };
      const fill = join(disk.path, 'fill');
      for (let megabytes = 39; megabytes > 0 && !existsSync(fill); megabytes -= 1) {
        const done = spawnSync('fallocate', ['-l', `${megabytes}M`, fill]).status === 0;
        if (!done) rmSync(fill, { force: true });
      }
      spawnSync('dd', ['if=/dev/zero', `of=${fill}2`, 'bs=4k'], { stdio: 'ignore' });
      const save = (note: string) =>
        ask(
          'PUT',
          `/api/manoeuvres/${ID}`,
          JSON_TYPE,
          JSON.stringify({ revision: opened.revision, manoeuvre: { ...opened.manoeuvre, note } }),
          small,
        );
      // The write-ahead log may have a little room left.
      let refused = await save('first');
      for (let i = 0; i < 60 && refused.status === 200; i++) {
        opened.revision += 1;
        refused = await save(`again ${i} ${'x'.repeat(1500)}`);
      }
      expect([refused.status, problem(refused).message]).toEqual([
        507,
        expect.stringContaining('disk is full'),
      ]);
      expect((await ask('GET', `/m/${ID}`, {}, '', small)).status).toBe(200);
      const backups = async () => (await ask('GET', '/api/library/backups', {}, '', small)).text;
      const before = await backups();
      const copy = await ask('POST', '/api/library/backups', JSON_TYPE, '{"do":"copy"}', small);
      expect([copy.status, problem(copy).message]).toEqual([
        507,
        expect.stringContaining('disk is too full'),
      ]);
      expect(await backups()).toBe(before);
      rmSync(fill, { force: true });
      rmSync(`${fill}2`, { force: true });
      const now = JSON.parse((await ask('GET', `/api/manoeuvres/${ID}`, {}, '', small)).text) as {
        revision: number;
      };
      expect(now.revision).toBe(opened.revision);
      expect((await save('there is room again')).status).toBe(200);
    } finally {
      await small.close();
    }
  }, 60_000);
});
