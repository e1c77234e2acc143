import { createHash } from 'node:crypto';
import {
  createWriteStream,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Random } from '@/core/math';
import { runPlan, worldOf } from '@/core/plan';
import { openLibrary, seedDemo } from '@/db';
import { archiveEntries } from '@/db/upkeep';
import { toRunInput } from '@/document';
import { keepAsTechnique } from '@/planner';
import { DEMO_MANOEUVRES, demoFile, demoJson } from '@/document/testing/demo';
import { writeArchive } from '@/io/archive';
import { placeGeoJson } from '@/io/geojson';
import { feedSentences, readNmea } from '@/io/nmea0183';
import { recordOf } from '@/io/record';
import { shifted, spoilt, spoiltBytes, spoiltText } from './fuzz/mutate';
import { SLOW_MS, TARGETS, type Target } from './fuzz/targets';

// Gives spoilt input to everything that takes any, for so long.
// usage: npm run -s fuzz [-- MINUTES [SEED]]; a find is kept in scripts/fuzz/finds, where npm test goes through it again.

const minutes = Number(process.argv[2] ?? 10);
const seed = Number(process.argv[3] ?? Date.now() % 2 ** 31);
const FINDS = join(process.cwd(), 'scripts', 'fuzz', 'finds');
const random = new Random(seed);
const pick = <T>(list: readonly T[]): T => list[Math.floor(random.uniform() * list.length)]!;

const files = (folder: string) =>
  readdirSync(folder).map((name) => readFileSync(join(folder, name), 'utf8'));

function gpxSample(): string {
  const { lat_deg, lon_deg } = demoFile('under-sallow-bridge').place.origin!;
  const point = (tag: string, i: number) =>
    `<${tag} lat="${lat_deg + i * 1e-5}" lon="${lon_deg}"><name>point ${i % 7}</name></${tag}>`;
  const many = (tag: string, n: number) =>
    Array.from({ length: n }, (_, i) => point(tag, i)).join('');
  return `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">${many('wpt', 20)}<trk><trkseg>${many('trkpt', 200)}</trkseg></trk></gpx>`;
}

function nmeaSample(): string {
  const file = demoFile('under-sallow-bridge');
  const input = toRunInput(file);
  if (!input.ok) throw new Error('the demo cannot be read');
  const { trace } = runPlan(input.value);
  const { environment } = worldOf(input.value, input.value.limit);
  const said = feedSentences(trace, file.place.origin!, new Date(0), 1, environment);
  return [...said]
    .map(({ line }) => line)
    .join('\r\n')
    .slice(0, 60_000);
}

async function archiveSample(): Promise<Uint8Array> {
  const folder = mkdtempSync(join(tmpdir(), 'yawtrope-fuzz-'));
  const db = openLibrary(folder);
  seedDemo(db, join(process.cwd(), 'demo'), 1);
  const file = join(folder, 'a.zip');
  await pipeline(writeArchive(archiveEntries(db).slice(-12), new Date(0)), createWriteStream(file));
  db.$client.close();
  const bytes = readFileSync(file);
  rmSync(folder, { recursive: true });
  return bytes;
}

const manoeuvres = DEMO_MANOEUVRES.map(demoFile);
const short = manoeuvres.filter(({ locks, others }) => locks.length + others.length === 0);
const places = ['tolver-wall', 'tallow-quay', 'withen-lock', 'cradle-basin'].map((id) =>
  demoJson('places', id),
);
const boats = readdirSync('demo/boats').map((name) => demoJson('boats', name.replace('.json', '')));
const geo = [
  ...files('src/io/geojson/nasty'),
  ...manoeuvres.slice(0, 4).map(({ place }) => {
    const made = placeGeoJson({ ...place, origin: place.origin ?? { lat_deg: 46, lon_deg: -31 } });
    return made.ok ? JSON.stringify(made.value) : '{}';
  }),
];
const gpx = gpxSample();
const nmea = nmeaSample();
const archive = await archiveSample();
const driven = (manoeuvre: unknown) => ({
  $schema: 'yawtrope:driven',
  version: 2,
  manoeuvre,
  recording: {
    inputs: [{ timestep: 1, order: { do: 'wheel', after_s: 0, angle_deg: 10 } }],
    timesteps: 50,
    end: 'done',
    surprises: [{ is: 'gust', at_s: 5, by: 1, lasts_s: 5 }],
    skips: [],
  },
  notes: [{ at_s: 1, by: 'student', text: 'said' }],
});

const text = (value: unknown) => JSON.stringify(value);
const kept = keepAsTechnique(manoeuvres[0]!, 'own', 'Own');
if (!kept.ok) throw new Error(kept.problems[0]!.message);
const technique = kept.value;

function recordSample(): unknown {
  const read = readNmea(nmea);
  const called = {
    id: '7b0f2a54-3f0e-4a0c-9f37-2f8f6f3a1c55',
    manoeuvreId: 'm',
    name: 'R',
    source: 'file' as const,
  };
  const record = read.ok
    ? recordOf(read.value, demoFile('under-sallow-bridge').place, called)
    : read;
  if (!record.ok) throw new Error(record.problems[0]!.message);
  return record.value;
}
const record = recordSample();

const MAKE: Readonly<Record<Target, () => string>> = {
  boat: () => text(spoilt(random, pick(boats))),
  place: () => text(spoilt(random, pick(places))),
  manoeuvre: () => text(spoilt(random, pick(manoeuvres))),
  driven: () => text(spoilt(random, driven(pick(short)))),
  record: () => text(spoilt(random, record)),
  technique: () => text(spoilt(random, technique)),
  geojson: () => {
    const one = pick(geo);
    if (random.uniform() < 0.5) return spoiltText(random, one);
    try {
      return text(spoilt(random, JSON.parse(one)));
    } catch {
      return spoiltText(random, one);
    }
  },
  gpx: () => spoiltText(random, gpx),
  nmea: () => spoiltText(random, nmea),
  archive: () => Buffer.from(spoiltBytes(random, archive)).toString('base64'),
  run: () =>
    text(random.uniform() < 0.8 ? shifted(random, pick(short)) : spoilt(random, pick(short))),
};

const targets = Object.keys(TARGETS) as Target[];
const counts = Object.fromEntries(
  targets.map((t) => [t, { tried: 0, taken: 0, finds: 0, slowest: 0 }]),
) as Record<Target, { tried: number; taken: number; finds: number; slowest: number }>;

function keep(target: Target, given: string, why: string): void {
  counts[target].finds += 1;
  const name = `${target}-${createHash('sha256').update(given).digest('hex').slice(0, 12)}.json`;
  writeFileSync(join(FINDS, name), JSON.stringify({ target, why, given }));
  console.log(`find: ${name}: ${why}`);
}

/** How long a target computes at a case, ms; what it throws is thrown. */
async function timed(target: Target, given: string): Promise<{ took: number; taken: boolean }> {
  const began = process.cpuUsage();
  const taken = await TARGETS[target](given);
  const { user, system } = process.cpuUsage(began);
  return { took: (user + system) / 1000, taken };
}

async function once(target: Target): Promise<void> {
  const given = MAKE[target]();
  const so = counts[target];
  so.tried += 1;
  try {
    const first = await timed(target, given);
    if (first.taken) so.taken += 1;
    let { took } = first;
    // A shared machine stalls now and then: what is slow is slow again.
    for (let again = 0; again < 2 && took > SLOW_MS[target]; again++)
      took = Math.min(took, (await timed(target, given)).took);
    so.slowest = Math.max(so.slowest, took);
    if (took > SLOW_MS[target]) keep(target, given, `took ${Math.round(took)} ms of computing`);
  } catch (error) {
    keep(
      target,
      given,
      error instanceof Error
        ? (error.stack ?? error.message).split('\n').slice(0, 3).join(' ')
        : String(error),
    );
  }
}

console.log(`seed ${seed}, ${minutes} minutes`);
const end = Date.now() + minutes * 60_000;
for (let i = 0; Date.now() < end; i++) await once(targets[i % targets.length]!);
console.log('target       tried    taken    finds  slowest, ms of computing');
for (const target of targets) {
  const { tried, taken, finds, slowest } = counts[target];
  console.log(
    target.padEnd(10) +
      [tried, taken, finds, Math.round(slowest)].map((n) => String(n).padStart(9)).join(''),
  );
}
const found = targets.reduce((sum, target) => sum + counts[target].finds, 0);
console.log(`${found} found`);
process.exit(found === 0 ? 0 : 1);
