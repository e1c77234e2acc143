import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  boatSchema,
  check,
  figuresFor,
  manoeuvreSchema,
  placeSchema,
  propose,
  subjectOf,
  toFile,
  type ManoeuvreFile,
  type Proposal,
} from '@/document';

// Has every figure that fits written down for every demo manoeuvre, in its own wind and in a calm, and writes down what
// came of it. Takes several minutes; what it prints is docs/proposals.md.

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

function words({ take, wayOut }: Proposal): string {
  const hard = take.margins.touch?.grade === 'hard' ? ', hard touch' : '';
  const way = wayOut ? `, way out at ${wayOut.looked - wayOut.none} of ${wayOut.looked}` : '';
  const clear = take.margins.clearance?.distance.toFixed(1) ?? '–';
  return `${take.outcome}${hard}, ${clear} m clear${way}`;
}

const lines = [
  '# What the figures come to',
  '',
  'Every figure that fits, written down for every demo manoeuvre: in its own wind and stream, and with the wind taken away.',
  'Made by `npm run proposals`.',
  '',
  '| manoeuvre | figure | in its wind | in a calm |',
  '| --- | --- | --- | --- |',
];
for (const name of readdirSync(join(DEMO, 'manoeuvres')).sort()) {
  const id = name.replace('.json', '');
  const file = demo(id);
  const offered = figuresFor(subjectOf(file));
  if (!offered.ok) throw new Error(JSON.stringify(offered.problems));
  for (const figure of offered.value.filter(({ unfit }) => unfit === null)) {
    const found = [file, inCalm(file)].map((one) => {
      let last: Proposal | null = null;
      for (const proposal of propose(one, figure.id)) if (proposal.ok) last = proposal.value;
      return last ? words(last) : 'does not fit';
    });
    lines.push(`| ${id} | ${figure.id} | ${found.join(' | ')} |`);
    process.stdout.write(`${lines.at(-1)!}\n`);
  }
}
writeFileSync(join(process.cwd(), 'docs', 'proposals.md'), `${lines.join('\n')}\n`);
