import { createHash } from 'node:crypto';
import { createWriteStream, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { startServer } from '../e2e/support/server';
import { databaseIn, keepRun, openDatabase, openManoeuvre, openRun } from '@/db';
import { toFile } from '@/document';

// A library of many runs: exported, checked and restored, while somebody else asks for pages.
// usage: npm run -s large [-- RUNS]; wants a build. docs/reliability.md has the figures.

const runs = Number(process.argv[2] ?? 20_000);
const server = await startServer();
const db = openDatabase(databaseIn(server.directory));
const ids = ['alongside-wind-off', 'off-stilt-pontoon', 'off-the-wall'];
const files = ids.map((id) => {
  const opened = openManoeuvre(db, id);
  if (!opened?.ok) throw new Error(id);
  const { manoeuvre, boat, place } = opened.value;
  return toFile(manoeuvre, boat, place);
});
const uuid = (n: number) =>
  createHash('sha256')
    .update(String(n))
    .digest('hex')
    .replace(/^(.{8})(.{4}).(.{3}).(.{3})(.{12}).*$/, '$1-$2-4$3-a$4-$5');
for (let from = 0; from < runs; from += 500)
  db.transaction(() => {
    for (let n = from; n < Math.min(runs, from + 500); n++) {
      const manoeuvre = files[n % files.length]!;
      const inputs = Array.from({ length: 60 }, (_, i) => ({
        timestep: i * 5,
        order: { do: 'wheel' as const, after_s: 0, angle_deg: (n + i) % 40 },
      }));
      const recording = { inputs, timesteps: 400, end: 'done' as const, surprises: [], skips: [] };
      keepRun(
        db,
        { id: uuid(n), manoeuvreId: manoeuvre.id, manoeuvre, recording, startedAt: n },
        1,
      );
    }
  });
db.$client.close();
console.log(
  `${runs} runs; database ${Math.round(statSync(databaseIn(server.directory)).size / 1e6)} MB`,
);

const memory = () =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid()}/status`, 'utf8'))![1]) / 1024;

/** Does something while somebody else opens, saves and lists; tells how long that one waited and how much memory it took. */
async function beside<T>(what: string, act: () => Promise<T>): Promise<T> {
  let over = false;
  let longest = 0;
  let asked = 0;
  let most = 0;
  const other = (async () => {
    while (!over) {
      const id = ids[asked % ids.length]!;
      const began = performance.now();
      const opened = await fetch(`${server.address}/api/manoeuvres/${id}`);
      const { manoeuvre, revision } = (await opened.json()) as {
        manoeuvre: object;
        revision: number;
      };
      const between = performance.now();
      const saved = await fetch(`${server.address}/api/manoeuvres/${id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ revision, manoeuvre: { ...manoeuvre, note: String(asked) } }),
      });
      if (!saved.ok && saved.status !== 409)
        console.log(`save: ${saved.status} ${await saved.text()}`);
      longest = Math.max(longest, between - began, performance.now() - between);
      most = Math.max(most, memory());
      asked += 1;
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  })();
  const began = Date.now();
  try {
    return await act();
  } finally {
    over = true;
    await other;
    console.log(
      `${what}: ${((Date.now() - began) / 1000).toFixed(1)} s; others asked ${asked} times, waited ${Math.round(longest)} ms at most; memory ${Math.round(most)} MB at most`,
    );
  }
}

const archive = join(tmpdir(), `yawtrope-large-${process.pid}.zip`);
// Connections that were closed meanwhile are seen to be.
await new Promise((resolve) => setTimeout(resolve, 200));
// Pages and routes are loaded when they are first asked for.
for (const id of ids) await fetch(`${server.address}/api/manoeuvres/${id}`);
console.log(`memory before: ${Math.round(memory())} MB`);
await beside('nothing else', () => new Promise((resolve) => setTimeout(resolve, 3000)));
await beside('page of runs', async () => {
  const answer = await fetch(`${server.address}/api/runs?manoeuvre=${ids[0]}`);
  const { runs } = (await answer.json()) as { runs: unknown[] };
  console.log(`${runs.length} on a page`);
});
await beside('export', async () => {
  const answer = await fetch(`${server.address}/api/library`);
  await pipeline(Readable.fromWeb(answer.body! as never), createWriteStream(archive));
  console.log(`archive ${Math.round(statSync(archive).size / 1e6)} MB`);
});
const send = async (how: string) => {
  const answer = await fetch(`${server.address}/api/library?how=${how}`, {
    method: 'POST',
    headers: { 'content-type': 'application/zip' },
    body: Readable.toWeb((await import('node:fs')).createReadStream(archive)) as never,
    duplex: 'half',
  } as RequestInit);
  const text = await answer.text();
  if (!answer.ok) throw new Error(text);
  return JSON.parse(text) as { standing: { runs: Record<string, number> }; copy?: string };
};
console.log(JSON.stringify((await beside('check', () => send('preview'))).standing.runs));
const replaced = await beside('restore from the archive', () => send('replace'));
console.log(JSON.stringify(replaced.standing.runs));
await beside('restore from a backup', async () => {
  const answer = await fetch(`${server.address}/api/library/backups`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ do: 'restore', name: replaced.copy }),
  });
  if (!answer.ok) throw new Error(await answer.text());
});
const after = openDatabase(databaseIn(server.directory));
const count = after.$client.prepare('select count(*) from runs').pluck().get();
console.log(
  `${String(count)} runs there; the last of them ${openRun(after, uuid(runs - 1))?.ok ? 'opens' : 'is gone'}`,
);
after.$client.close();
rmSync(archive);
await server.close();
