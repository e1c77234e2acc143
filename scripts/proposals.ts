import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  boatSchema,
  check,
  manoeuvreSchema,
  placeSchema,
  toFile,
  type ManoeuvreFile,
} from '@/document';
import { isRefused, propose, subjectOf, techniquesFor, type Proposal } from '@/planner';

// Has every technique that fits written down for every demo manoeuvre, in its own wind and in a calm, and writes down what
// came of it: docs/proposals.md. Takes an hour and more for all of them; with ids of manoeuvres only those are done anew,
// and what stands of the others is kept.

const DEMO = join(process.cwd(), 'demo');

function read<T>(schema: Parameters<typeof check<T>>[0], kind: string, id: string): T {
  const checked = check<T>(
    schema,
    JSON.parse(readFileSync(join(DEMO, kind, `${id}.json`), 'utf8')),
  );
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return checked.value;
}

function demo(id: string): ManoeuvreFile {
  const manoeuvre = read(manoeuvreSchema, 'manoeuvres', id);
  return toFile(
    manoeuvre,
    read(boatSchema, 'boats', manoeuvre.boatId),
    read(placeSchema, 'places', manoeuvre.placeId),
  );
}

const inCalm = (file: ManoeuvreFile): ManoeuvreFile => ({
  ...file,
  conditions: {
    ...file.conditions,
    wind: { from_deg: file.conditions.wind.from_deg, speed_mps: 0 },
  },
});

function words({ run, wayOut }: Proposal): string {
  const hard = run.margins.touch?.grade === 'hard' ? ', hard touch' : '';
  const way = wayOut ? `, way out at ${wayOut.looked - wayOut.none} of ${wayOut.looked}` : '';
  const clear = run.margins.clearance?.distance.toFixed(1) ?? '–';
  return `${run.outcome}${hard}, ${clear} m clear${way}`;
}

const OUT = join(process.cwd(), 'docs', 'proposals.md');
const HEAD = [
  '# What the techniques come to',
  '',
  'Every technique that fits, written down for every demo manoeuvre: in its own wind and current, and with the wind taken away.',
  'Made by `npm run proposals`, or for some manoeuvres by `npm run proposals -- ID ID`: rows of the others then stand as they',
  'were made before, and lack techniques that came later.',
  '',
  '| manoeuvre | technique | in its wind | in a calm |',
  '| --- | --- | --- | --- |',
];

const all = readdirSync(join(DEMO, 'manoeuvres'))
  .map((name) => name.replace('.json', ''))
  .sort();
const asked = process.argv.slice(2);
const unknown = asked.filter((id) => !all.includes(id));
if (unknown.length > 0) throw new Error(`no demo manoeuvre ${unknown.join(', ')}`);

const cells = (row: string) =>
  row
    .split('|')
    .slice(1, -1)
    .map((cell) => cell.trim());
const kept = new Map<string, string[]>();
for (const row of asked.length > 0 ? readFileSync(OUT, 'utf8').split('\n') : []) {
  const [id] = row.startsWith('|') ? cells(row) : [];
  if (id && all.includes(id) && !asked.includes(id))
    kept.set(id, [...(kept.get(id) ?? []), `| ${cells(row).join(' | ')} |`]);
}

function rowsOf(id: string): string[] {
  const file = demo(id);
  const offered = techniquesFor(subjectOf(file));
  if (!offered.ok) throw new Error(JSON.stringify(offered.problems));
  return offered.value
    .filter(({ unfit }) => unfit === null)
    .map((technique) => {
      const found = [file, inCalm(file)].map((one) => {
        let last: Proposal | null = null;
        for (const proposal of propose(one, technique.id))
          if (proposal.ok && !isRefused(proposal.value)) last = proposal.value;
        return last ? words(last) : 'does not fit';
      });
      const row = `| ${id} | ${technique.id} | ${found.join(' | ')} |`;
      process.stdout.write(`${row}\n`);
      return row;
    });
}

for (const id of asked.length > 0 ? asked : all) {
  kept.set(id, rowsOf(id));
  // After each, so that what is done is not lost when it is stopped.
  const rows = all.flatMap((one) => kept.get(one) ?? []);
  const text = `${[...HEAD, ...rows].join('\n')}\n`;
  writeFileSync(OUT, text);
}
