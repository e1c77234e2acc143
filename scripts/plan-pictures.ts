import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openBrowser } from '../e2e/support/browser';
import { startServer } from '../e2e/support/server';
import { WorkspacePage } from '../e2e/support/workspace';

// A picture of each of the suggested plans that docs/planner.md reads aloud, as the app finds them for demos, from the last production build.

const DIRECTORY = join(process.cwd(), 'docs', 'plans');
const DEMOS = [
  'crosswind-slip',
  'two-hulls-in-a-calm',
  'round-in-the-basin',
  'off-stilt-pontoon',
  'stern-to-before-supper',
];

async function main(): Promise<void> {
  mkdirSync(DIRECTORY, { recursive: true });
  const server = await startServer();
  const browser = await openBrowser();
  const { driver } = browser;
  const page = new WorkspacePage(driver, server.address);
  try {
    await driver.manage().window().setRect({ width: 1280, height: 800 });
    for (const id of DEMOS) {
      await page.open(id);
      await page.settled();
      await page.press("//button[normalize-space()='Suggest a plan']");
      const panel = () => page.text('section[aria-label="Suggest a plan"]');
      for (let waited = 0; waited < 180 && !(await panel()).includes('Suggest again'); waited++)
        await driver.sleep(1000);
      await page.press("//button[normalize-space()='Put it in the plan']");
      await page.settled();
      await driver.sleep(3000);
      await driver.executeScript('document.activeElement.blur()');
      const picture = await driver.takeScreenshot();
      writeFileSync(join(DIRECTORY, `${id}.png`), picture, 'base64');
    }
  } finally {
    await browser.close();
    await server.close();
  }
}

void main();
