import { existsSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { openBrowser } from '../e2e/support/browser';
import { startServer } from '../e2e/support/server';

/** What a page weighs and how soon it shows something, in a browser that has nothing of it yet. */
export interface Weight {
  readonly page: string;
  /** Scripts that were loaded by the time the page rested, compressed by gzip, kB; those of workers are not among them. */
  readonly scripts: number;
  /** From asking for the page to the first thing drawn, ms. */
  readonly paint: number;
}

const PAGES = [
  ['start page', '/'],
  ['new manoeuvre', '/new'],
  ['workspace', '/m/alongside-wind-off'],
  ['rehearse', '/m/alongside-wind-off?do=rehearse'],
  ['places', '/places'],
  ['a place', '/places/stilt-pontoon'],
  ['boats', '/boats'],
  ['backups', '/library'],
  ['guide', '/guide/first-steps'],
] as const;

const REST_MS = 4000;

/** Every main page by itself; null where there is no production build. */
export async function measureWeights(): Promise<readonly Weight[] | null> {
  if (!existsSync('.next/BUILD_ID')) return null;
  const server = await startServer();
  const weights: Weight[] = [];
  try {
    for (const [page, path] of PAGES) {
      const browser = await openBrowser();
      try {
        const { driver } = browser;
        await driver.get(`${server.address}${path}`);
        await driver.sleep(REST_MS);
        const found = await driver.executeScript<{ scripts: string[]; paint: number }>(() => ({
          scripts: performance
            .getEntriesByType('resource')
            .map(({ name }) => name)
            .filter((name) => /\/_next\/.*\.js/.test(name)),
          paint: performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? NaN,
        }));
        const sizes = await Promise.all(
          [...new Set(found.scripts)].map(async (name) => {
            const answer = await fetch(name);
            return gzipSync(Buffer.from(await answer.arrayBuffer())).length;
          }),
        );
        const bytes = sizes.reduce((sum, size) => sum + size, 0);
        weights.push({ page, scripts: bytes / 1000, paint: found.paint });
      } finally {
        await browser.close();
      }
    }
  } finally {
    await server.close();
  }
  return weights;
}
