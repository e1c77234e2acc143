import { existsSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Worker } from 'node:worker_threads';
import { build } from 'esbuild';
import { openBrowser } from '../e2e/support/browser';
import { benchCases } from './cases';
import type { Measured } from './measure';

// Prints what a manoeuvre costs, in Node and in a worker in Chromium. It measures; it does not judge.

const RUNS = 60;

const print = (line: string) => process.stdout.write(`${line}\n`);

function row(where: string, name: string, m: Measured): string {
  const ratio = m.simulatedS / (m.medianMs / 1000);
  const ms = (value: number) => value.toFixed(1).padStart(7);
  return `${where.padEnd(9)} ${name.padEnd(42)} ${m.simulatedS.toFixed(0).padStart(5)} ${ms(m.firstMs)} ${ms(m.medianMs)} ${ms(m.bestMs)} ${Math.round(ratio).toLocaleString('en').padStart(9)}`;
}

/** Both engines run the same bundle, as the app ships one. */
async function bundle(entry: string, platform: 'browser' | 'node'): Promise<string> {
  const built = await build({
    stdin: {
      contents: `import { measure } from './bench/measure.ts';\n${entry}`,
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

async function inNode(code: string, file: unknown): Promise<Measured> {
  const worker = new Worker(code, { eval: true, workerData: { file, runs: RUNS } });
  return new Promise((resolve, reject) => {
    worker.once('message', resolve);
    worker.once('error', reject);
  });
}

/** In a web worker on a page of its own; a page is served, as a blank one allows no workers. */
async function inChromium(code: string, file: unknown): Promise<Measured> {
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
      `const [code, file, runs, done] = arguments;
       const worker = new Worker(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })));
       worker.onmessage = ({ data }) => done(data);
       worker.postMessage({ file, runs });`,
      code,
      file,
      RUNS,
    );
  } finally {
    await browser.close();
    server.close();
  }
}

async function main(): Promise<void> {
  print('Checking and playing a manoeuvre file. Times in ms; ratio is simulated s per CPU s.');
  print(`${'where'.padEnd(9)} ${'case'.padEnd(42)} sim s   first  median    best     ratio`);
  const cases = benchCases();
  const nodeCode = await bundle(
    `const { parentPort, workerData } = require('node:worker_threads');
     parentPort.postMessage(measure(workerData.file, workerData.runs));`,
    'node',
  );
  for (const { name, file } of cases) print(row('Node', name, await inNode(nodeCode, file)));
  if (!existsSync(process.env.CHROMIUM ?? '/usr/bin/chromium')) {
    print('Chromium is not installed, so it was not measured.');
    return;
  }
  const pageCode = await bundle(
    'onmessage = ({ data }) => postMessage(measure(data.file, data.runs));',
    'browser',
  );
  for (const { name, file } of cases)
    print(row('Chromium', name, await inChromium(pageCode, file)));
}

void main();
