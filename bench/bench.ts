import { existsSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { cpus } from 'node:os';
import { Worker } from 'node:worker_threads';
import { build } from 'esbuild';
import { openBrowser } from '../e2e/support/browser';
import { benchCases, type BenchCase } from './cases';
import { measureDrag } from './drag';
import { measureFrames } from './frames';
import type { Measured, Varied } from './measure';
import { measureWeights } from './weights';

// Prints what a step, a manoeuvre and a thousand varied ones cost, in Node and in a worker in Chromium. It measures; it
// does not judge. Machines are shared: compare ratios, and run it twice.

const RUNS = 60;
const VARIED = 1000;

const print = (line: string) => process.stdout.write(`${line}\n`);

/** @param full the loop's time at the machine's full pace, ms */
function row(where: string, name: string, m: Measured, full: number): string {
  const paced = m.loops * full;
  const ratio = m.simulatedS / (paced / 1000);
  const ms = (value: number, width = 7) => value.toFixed(1).padStart(width);
  const pace = Math.round((100 * full) / m.loopMs);
  return [
    where.padEnd(9),
    name.padEnd(42),
    Math.round(m.stepNs).toString().padStart(7),
    ...[m.firstMs, m.medianMs, m.bestMs, paced].map((value) => ms(value)),
    `${pace.toString().padStart(4)} %`,
    Math.round(ratio).toLocaleString('en').padStart(9),
    ms(m.checkMs),
  ].join(' ');
}

/** Both engines run the same bundle, as the app ships one. */
async function bundle(entry: string, platform: 'browser' | 'node'): Promise<string> {
  const built = await build({
    stdin: {
      contents: `import { measure, varied } from './bench/measure.ts';\n${entry}`,
      resolveDir: process.cwd(),
    },
    bundle: true,
    write: false,
    platform,
    format: platform === 'node' ? 'cjs' : 'iife',
    target: 'es2022',
    tsconfig: 'tsconfig.json',
  });
  return built.outputFiles[0]!.text;
}

async function inNode<T>(code: string, workerData: unknown): Promise<T> {
  const worker = new Worker(code, { eval: true, workerData });
  return new Promise((resolve, reject) => {
    worker.once('message', resolve);
    worker.once('error', reject);
  });
}

/** In a web worker on a page of its own; a page is served, as a blank one allows no workers. */
async function inChromium(code: string, bench: BenchCase): Promise<Measured> {
  const server = createServer((_request, response) => {
    response.setHeader('content-type', 'text/html').end('<title>bench</title>');
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  const browser = await openBrowser();
  try {
    await browser.driver.get(`http://127.0.0.1:${port}`);
    await browser.driver.manage().setTimeouts({ script: 120000 });
    return await browser.driver.executeAsyncScript<Measured>(
      `const [code, bench, runs, done] = arguments;
       const worker = new Worker(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })));
       worker.onmessage = ({ data }) => done(data);
       worker.postMessage({ bench, runs });`,
      code,
      bench,
      RUNS,
    );
  } finally {
    await browser.close();
    server.close();
  }
}

async function main(): Promise<void> {
  print(
    'A 120-s manoeuvre among 60 obstacles; times in ms, step in ns. A fixed loop timed between runs tells the pace of the machine;',
  );
  print(
    '"paced" is the median with every run counted at full pace, "pace" the median pace; ratio is simulated s per CPU s, paced.',
  );
  print(
    `${'where'.padEnd(9)} ${'case'.padEnd(42)} ${'ns/step'.padStart(7)} ${'first'.padStart(7)} ${'median'.padStart(7)} ${'best'.padStart(7)} ${'paced'.padStart(7)} ${'pace'.padStart(6)} ${'ratio'.padStart(9)} ${'check'.padStart(7)}`,
  );
  const cases = benchCases();
  const nodeCode = await bundle(
    `const { parentPort, workerData: d } = require('node:worker_threads');
     parentPort.postMessage(d.to ? varied(d.bench.file, d.bench.lines, d.from, d.to) : measure(d.bench.file, d.bench.lines, d.runs));`,
    'node',
  );
  const node: Measured[] = [];
  for (const bench of cases) node.push(await inNode<Measured>(nodeCode, { bench, runs: RUNS }));
  const cores = cpus().length;
  const many: { readonly seconds: number; readonly done: readonly Varied[] }[] = [];
  for (const bench of cases.slice(0, 3)) {
    const from = performance.now();
    const share = Math.ceil(VARIED / cores);
    const done = await Promise.all(
      Array.from({ length: cores }, (_, i) =>
        inNode<Varied>(nodeCode, {
          bench,
          from: i * share,
          to: Math.min(VARIED, (i + 1) * share),
        }),
      ),
    );
    many.push({ seconds: (performance.now() - from) / 1000, done });
  }
  const full = Math.min(
    ...[...node, ...many.flatMap(({ done }) => done)].map(({ bestLoopMs }) => bestLoopMs),
  );
  node.forEach((m, i) => print(row('Node', cases[i]!.name, m, full)));
  many.forEach(({ seconds, done }, i) => {
    const pace = full / (done.reduce((sum, { loopMs }) => sum + loopMs, 0) / cores);
    const ended = done.reduce((sum, d) => sum + d.done, 0);
    print(
      `Node      ${cases[i]!.name.padEnd(42)} ${VARIED} varied runs on ${cores} cores: ${seconds.toFixed(1)} s at a pace of ${Math.round(100 * pace)} %, ${(seconds * pace).toFixed(1)} s at full pace (${ended} to the end)`,
    );
  });
  if (!existsSync(process.env.CHROMIUM ?? '/usr/bin/chromium')) {
    print('Chromium is not installed, so it was not measured.');
    return;
  }
  const pageCode = await bundle(
    'onmessage = ({ data }) => postMessage(measure(data.bench.file, data.bench.lines, data.runs));',
    'browser',
  );
  const page: Measured[] = [];
  for (const bench of cases) page.push(await inChromium(pageCode, bench));
  const pageFull = Math.min(...page.map(({ bestLoopMs }) => bestLoopMs));
  page.forEach((m, i) => print(row('Chromium', cases[i]!.name, m, pageFull)));
  await printDrag();
  await printFrames();
  await printWeights();
}

async function printWeights(): Promise<void> {
  for (const { page, scripts, paint } of (await measureWeights()) ?? [])
    print(
      `Chromium  ${page.padEnd(16)} ${scripts.toFixed(0).padStart(4)} kB of script compressed, first paint after ${paint.toFixed(0)} ms`,
    );
}

async function printDrag(): Promise<void> {
  for (const id of ['alongside-wind-off', 'off-stilt-pontoon']) {
    const dragged = await measureDrag(id);
    if (!dragged) {
      print('There is no production build, so dragging was not measured (npx next build).');
      return;
    }
    const { frames, longest, run, brief, band } = dragged;
    const span = ([first, last]: readonly [number, number]) =>
      Number.isNaN(first) ? 'none' : `${first.toFixed(0)} to ${last.toFixed(0)}`;
    print(
      `Chromium  wind dragged, ${id}: ${frames.toFixed(0)} frames a second, longest wait ${longest.toFixed(0)} ms; ms from rest to the first and last change of run ${span(run)}, brief ${span(brief)}; to the way-out band's first moments, to all of it coarsely, to the whole ${band.map((ms) => ms.toFixed(0)).join(', ')}`,
    );
  }
}

async function printFrames(): Promise<void> {
  const driven = await measureFrames();
  if (!driven) return;
  const ms = (values: readonly number[]) => values.map((value) => value.toFixed(1)).join(', ');
  print(
    `Chromium  driven by hand among 60 things: ${driven.count} frames; ms between two, median, 90, 99 % and longest ${ms(driven.between)}; ms from a key to the control drawn otherwise, median and longest ${ms(driven.response)}`,
  );
}

void main();
