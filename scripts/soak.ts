import { readdirSync, readFileSync } from 'node:fs';
import { startServer } from '../e2e/support/server';
import { demoFile } from '@/document/testing/demo';

// Mixed traffic against a server of its own on loopback, for so long.
// usage: npm run -s soak [-- MINUTES]; wants a build (`npm run demo` once).

const minutes = Number(process.argv[2] ?? 10);
/** So many ask at once, each waiting a moment in between: a person, and tabs that person left open. */
const ASKERS = 4;
const PAUSE_MS = 20;
/** Backups are made this often, ms. */
const BACK_UP_MS = 60_000;

const server = await startServer();
const IDS = readdirSync('demo/manoeuvres').map((name) => name.replace('.json', ''));
const of = (list: readonly string[], i: number) => list[i % list.length]!;
const file = demoFile('off-stilt-pontoon');
const recording = (timesteps: number) => ({
  inputs: Array.from({ length: 40 }, (_, i) => ({
    timestep: i,
    order: { do: 'wheel', after_s: 0, angle_deg: i },
  })),
  timesteps,
  end: timesteps > 90 ? 'done' : null,
});

const times = new Map<string, number[]>();
const errors = new Map<string, number>();
const fail = (what: string) => errors.set(what, (errors.get(what) ?? 0) + 1);

async function ask(
  kind: string,
  path: string,
  { expected = [200], ...init }: RequestInit & { expected?: readonly number[] } = {},
): Promise<Response | null> {
  const began = performance.now();
  try {
    const answer = await fetch(server.address + path, init);
    const text = await answer.arrayBuffer();
    const all = times.get(kind) ?? [];
    all.push(performance.now() - began);
    times.set(kind, all);
    if (!expected.includes(answer.status)) fail(`${kind}: ${answer.status}`);
    return new Response(text.byteLength > 0 ? text : null, {
      status: answer.status === 204 ? 200 : answer.status,
    });
  } catch (error) {
    fail(`${kind}: ${error instanceof Error ? error.message : 'failed'}`);
    return null;
  }
}
const json = (method: string, body: unknown, expected: readonly number[]) => ({
  method,
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(body),
  expected,
});

async function save(asker: number, i: number): Promise<void> {
  // Each asker saves manoeuvres of its own: a conflict would be right, and hide what is wrong.
  const mine = IDS.filter((_, n) => n % ASKERS === asker);
  const id = of(mine, i);
  const opened = await ask('open', `/api/manoeuvres/${id}`);
  if (opened?.status !== 200) return;
  const { manoeuvre, revision } = (await opened.json()) as { manoeuvre: object; revision: number };
  const note = `soaked ${i}`;
  const body = { revision, manoeuvre: { ...manoeuvre, note } };
  await ask('save', `/api/manoeuvres/${id}`, json('PUT', body, [200]));
}

async function drive(): Promise<void> {
  const id = crypto.randomUUID();
  const run = { id, manoeuvreId: file.id, manoeuvre: file, startedAt: Date.now() };
  await ask('run', '/api/runs', json('POST', { ...run, recording: recording(50) }, [201]));
  for (const steps of [60, 80, 100])
    await ask('run', `/api/runs/${id}`, json('PUT', { recording: recording(steps) }, [204]));
  await ask('runs', `/api/runs?manoeuvre=${file.id}`);
  await ask('sum up', '/api/runs/summaries', json('POST', { ids: [id] }, [200, 503]));
  await ask('remove', `/api/runs/${id}`, { method: 'DELETE', expected: [204] });
}

const WORK: readonly ((asker: number, i: number) => Promise<unknown>)[] = [
  save,
  (asker, i) => ask('page', `/m/${of(IDS, asker + i)}`),
  save,
  () => ask('page', '/'),
  () => drive(),
  (asker, i) => ask('page', of(['/boats', '/places', '/library', '/new'], asker + i)),
  (_, i) =>
    ask('day', `/api/day?place=tolver-wall&date=2026-05-${String(1 + (i % 28)).padStart(2, '0')}`),
  (_, i) => ask('refused', '/api/boats', json('POST', { nonsense: i }, [422])),
  (_, i) => ask('refused', `/api/manoeuvres/none-${i}`, { expected: [404] }),
  (_, i) =>
    i % 40 === 0
      ? ask('feed', `/api/feed?manoeuvre=under-sallow-bridge&pace=60&seed=${i}`, {
          expected: [200, 503],
          signal: AbortSignal.timeout(4000),
        }).catch(() => null)
      : Promise.resolve(),
];

interface State {
  readonly megabytes: number;
  readonly files: number;
}
function state(): State {
  const folder = `/proc/${server.pid()}`;
  const status = readFileSync(`${folder}/status`, 'utf8');
  return {
    megabytes: Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024),
    files: readdirSync(`${folder}/fd`).length,
  };
}

const end = Date.now() + minutes * 60_000;
const begun = state();
let highest = begun.megabytes;
const watching = setInterval(() => (highest = Math.max(highest, state().megabytes)), 1000);

async function asker(n: number): Promise<void> {
  for (let i = 0; Date.now() < end; i++) {
    await WORK[(n + i) % WORK.length]!(n, i);
    await new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
  }
}
async function backingUp(): Promise<void> {
  for (let next = Date.now() + 5000; Date.now() < end;) {
    await new Promise((resolve) => setTimeout(resolve, 500));
    if (Date.now() < next) continue;
    await ask('back up', '/api/library/backups', json('POST', { do: 'copy' }, [201]));
    await ask('export', '/api/library');
    next = Date.now() + BACK_UP_MS;
  }
}
await Promise.all([...Array.from({ length: ASKERS }, (_, n) => asker(n)), backingUp()]);
clearInterval(watching);
const ended = state();

console.log('asked for      times   p50, ms   p99, ms   longest');
for (const [kind, all] of times) {
  const sorted = all.toSorted((a, b) => a - b);
  const at = (share: number) =>
    sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  const figures = [all.length, ...[at(0.5), at(0.99), sorted.at(-1)!].map(Math.round)];
  console.log(kind.padEnd(10) + figures.map((n) => String(n).padStart(10)).join(''));
}
console.log(
  `memory: ${begun.megabytes} MB at the start, ${ended.megabytes} at the end, ${highest} at most`,
);
console.log(`open files: ${begun.files} at the start, ${ended.files} at the end`);
const wrong = [...errors].map(([what, n]) => `${what} (${n})`).join(', ');
console.log(errors.size === 0 ? 'no errors' : `errors: ${wrong}`);
await server.close();
process.exit(errors.size === 0 ? 0 : 1);
