import { existsSync } from 'node:fs';
import { build } from 'esbuild';
import { openBrowser } from '../e2e/support/browser';
import { benchCases } from './cases';
import { measure, type Measured } from './measure';

// Prints what a manoeuvre costs, in Node and in a worker in Chromium. It measures; it does not judge.

const RUNS = 60;

const print = (line: string) => process.stdout.write(`${line}\n`);

function row(where: string, name: string, m: Measured): string {
  const ratio = m.simulatedS / (m.medianMs / 1000);
  const ms = (value: number) => value.toFixed(1).padStart(7);
  return `${where.padEnd(9)} ${name.padEnd(42)} ${m.simulatedS.toFixed(0).padStart(5)} ${ms(m.firstMs)} ${ms(m.medianMs)} ${ms(m.bestMs)} ${Math.round(ratio).toLocaleString('en').padStart(9)}`;
}

async function inChromium(file: unknown): Promise<Measured> {
  const bundle = await build({
    stdin: {
      contents: `import { measure } from './bench/measure.ts';
        onmessage = ({ data }) => postMessage(measure(data.file, data.runs));`,
      resolveDir: process.cwd(),
    },
    bundle: true,
    write: false,
    format: 'iife',
    target: 'es2022',
    tsconfig: 'tsconfig.json',
  });
  const browser = await openBrowser();
  try {
    return await browser.driver.executeAsyncScript<Measured>(
      `const [code, file, runs, done] = arguments;
       const worker = new Worker(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })));
       worker.onmessage = ({ data }) => done(data);
       worker.postMessage({ file, runs });`,
      bundle.outputFiles[0]!.text,
      file,
      RUNS,
    );
  } finally {
    await browser.close();
  }
}

async function main(): Promise<void> {
  print('Checking and playing a manoeuvre file. Times in ms; ratio is simulated s per CPU s.');
  print(`${'where'.padEnd(9)} ${'case'.padEnd(42)} sim s   first  median    best     ratio`);
  const cases = benchCases();
  for (const { name, file } of cases) print(row('Node', name, measure(file, RUNS)));
  if (!existsSync(process.env.CHROMIUM ?? '/usr/bin/chromium')) {
    print('Chromium is not installed, so it was not measured.');
    return;
  }
  for (const { name, file } of cases) print(row('Chromium', name, await inChromium(file)));
}

void main();
