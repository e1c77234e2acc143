import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Worker } from 'node:worker_threads';
import { build } from 'esbuild';
import { benchCases } from '../bench/cases';
import { SWEEPING } from '@/core/testing/sweep';
import {
  DEMO_CLASSES,
  DEMO_MANOEUVRES,
  demoFile,
  knownFingerprints,
} from '@/document/testing/demo';
import { trialsOf } from '@/document/testing/demo-trials';
import { openBrowser } from './support/browser';

// The same run to the last bit in Node and in Chromium: gusts, touches, lines and all.

const ENTRY = `
import { fingerprint } from './bench/fingerprint.ts';
import { fingerprintsOf } from './src/document/testing/demo-runs.ts';
import { trialsOf } from './src/document/testing/demo-trials.ts';
`;

async function bundle(platform: 'browser' | 'node'): Promise<string> {
  const tail =
    platform === 'node'
      ? `const { parentPort, workerData: d } = require('node:worker_threads'); parentPort.postMessage(fingerprint(d.file, d.lines));`
      : `self.answer = fingerprint; self.demo = fingerprintsOf; self.trials = trialsOf;`;
  const built = await build({
    stdin: { contents: ENTRY + tail, resolveDir: process.cwd() },
    bundle: true,
    write: false,
    platform,
    format: platform === 'node' ? 'cjs' : 'iife',
    target: 'es2022',
    tsconfig: 'tsconfig.json',
  });
  return built.outputFiles[0]!.text;
}

it('replays to the last bit in both engines', async () => {
  const cases = benchCases().map(({ name, file, lines }) => ({
    name,
    lines,
    file: {
      ...file,
      limit_s: 40,
      conditions: {
        ...file.conditions,
        wind: { ...file.conditions.wind, gusts: { intensity: 0.2, timeScale_s: 6, seed: 11 } },
      },
    },
  }));
  const nodeCode = await bundle('node');
  const here: string[] = [];
  for (const workerData of cases) {
    const worker = new Worker(nodeCode, { eval: true, workerData });
    here.push(
      await new Promise<string>((resolve, reject) => {
        worker.once('message', resolve);
        worker.once('error', reject);
      }),
    );
  }
  const server = createServer((_q, r) =>
    r.setHeader('content-type', 'text/html').end('<title>bits</title>'),
  );
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const browser = await openBrowser();
  try {
    await browser.driver.get(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
    const there = await browser.driver.executeScript<string[]>(
      `const [code, cases] = arguments; (0, eval)(code); return cases.map((c) => self.answer(c.file, c.lines));`,
      await bundle('browser'),
      cases,
    );
    expect(there).toEqual(here);
    expect(new Set(here).size).toBe(cases.length);
    // Drawn manoeuvres go alike as well: what is drawn, and what becomes of it.
    const drawn = demoFile('tender-out-of-the-gap');
    const tried = await browser.driver.executeScript<string>(
      `return JSON.stringify(self.trials(arguments[0], 12));`,
      drawn,
    );
    expect(tried).toBe(JSON.stringify(trialsOf(drawn, 12)));
    // What Node makes of the same demos is held by document.test.ts.
    const known = knownFingerprints();
    for (const id of SWEEPING ? DEMO_MANOEUVRES : DEMO_CLASSES) {
      const found = await browser.driver.executeScript(
        'return self.demo(arguments[0])',
        demoFile(id),
      );
      expect({ id, ...(found as object) }).toEqual({ id, ...known[id] });
    }
  } finally {
    await browser.close();
    server.close();
  }
}, 120000);
