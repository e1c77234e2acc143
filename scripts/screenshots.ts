import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { openBrowser } from '../e2e/support/browser';
import { startServer } from '../e2e/support/server';
import { WorkspacePage } from '../e2e/support/workspace';

// One current picture of each main view, from the demo data and the last production build.

const DIRECTORY = join(process.cwd(), 'docs', 'screenshots');

async function main(): Promise<void> {
  mkdirSync(DIRECTORY, { recursive: true });
  const server = await startServer();
  const browser = await openBrowser();
  const { driver } = browser;
  const page = new WorkspacePage(driver, server.address);
  const keep = async (name: string) => {
    await driver.sleep(500);
    writeFileSync(join(DIRECTORY, `${name}.png`), await driver.takeScreenshot(), 'base64');
    process.stdout.write(`docs/screenshots/${name}.png\n`);
  };
  try {
    await driver.get(server.address);
    await page.find('ol[aria-label^="Manoeuvres"]');
    await keep('start');

    await page.open('alongside-wind-off');
    const playhead = await page.find('[aria-label="Playhead"]');
    for (let i = 0; i < 7; i++) await playhead.sendKeys(Key.PAGE_DOWN);
    await driver.executeScript('document.activeElement.blur()');
    await keep('score');

    await page.open('off-stilt-pontoon');
    await page.openBeat(2);
    await page.fill('Degrees turned', '2');
    await page.fill('Throttle above idle', '60');
    await page.settled();
    await keep('beat-gone-wrong');

    await page.fill('Throttle above idle', '900');
    await driver.findElement(By.css('button[aria-label="Night colours"]')).click();
    await keep('night-and-refusal');

    const sheet = async (id: string) => {
      await driver.get(`${server.address}/boats/${id}`);
      await page.until(
        'the trials',
        () => page.text('main'),
        (t) => t.includes('In wind, let go beam on'),
      );
    };
    const scrollTo = (heading: string) =>
      driver.executeScript(
        `[...document.querySelectorAll('h2')].find((h) => h.textContent.startsWith(arguments[0])).scrollIntoView()`,
        heading,
      );
    await sheet('tamarack-nell');
    await scrollTo('Her figures');
    await keep('boat-night');
    await driver.findElement(By.css('button[aria-label="Day colours"]')).click();
    await driver.get(`${server.address}/boats`);
    await keep('boats');
    await sheet('lantern');
    await keep('boat');
    await scrollTo('What trials');
    await keep('boat-sheet');
    await driver.get(`${server.address}/boats/new`);
    await page.until(
      'the pivots',
      () => page.text('main'),
      (t) => t.includes('first kick'),
    );
    await keep('boat-new');
  } finally {
    await browser.close();
    await server.close();
  }
}

void main();
