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
    await driver.get(`${server.address}/new`);
    await page.find('form[aria-label="A new manoeuvre"]');
    await keep('new');

    await page.open('quince-takes-a-slip');
    await page.settled();
    await keep('figures');
    await page.open('glide-to-the-steps');
    await page.settled();
    await (await driver.findElement(By.xpath(`//nav//button[.='Brief']`))).click();
    await page.until(
      'the lines weighed',
      () => page.text('section[aria-label="What to do"]'),
      (t) => t.includes('holds her best'),
    );
    await driver.executeScript(
      `document.querySelector('section[aria-label="What to do"]').scrollIntoView()`,
    );
    await keep('what-to-do');

    await page.open('quince-takes-a-slip');
    await page.settled();
    await (await driver.findElement(By.xpath(`//nav//button[.='Brief']`))).click();
    await page.find('section[aria-label="Ways of doing it"]');
    await driver.executeScript(
      `document.querySelector('section[aria-label="Ways of doing it"]').scrollIntoView()`,
    );
    await (await driver.findElement(By.xpath(`//button[.='Try every way here']`))).click();
    const ways = () => page.text('section[aria-label="Ways of doing it"]');
    for (let waited = 0; waited < 180 && !(await ways()).includes('Try every way'); waited++)
      await driver.sleep(1000);
    await driver.executeScript(
      `document.querySelector('section[aria-label="Ways of doing it"]').scrollIntoView()`,
    );
    await keep('ways');
    await page.open('stern-to-before-supper');
    await page.settled();
    const back = await page.find('[aria-label="Playhead"]');
    for (let i = 0; i < 16; i++) await back.sendKeys(Key.PAGE_DOWN);
    await driver.executeScript('document.activeElement.blur()');
    await keep('stern-to');

    await page.open('rafted-up-to-wicket');
    await page.settled();
    const rafted = await page.find('[aria-label="Playhead"]');
    for (let i = 0; i < 13; i++) await rafted.sendKeys(Key.PAGE_DOWN);
    await driver.executeScript(
      `document.activeElement.blur();
       document.querySelector('section[aria-label="Other boats"]').scrollIntoView({ block: 'center' })`,
    );
    await keep('raft');

    await page.open('sprung-off-the-pontoon');
    await page.settled();
    const ahead = await page.find('[aria-label="Playhead"]');
    for (let i = 0; i < 5; i++) await ahead.sendKeys(Key.PAGE_DOWN);
    await page.until(
      'what holds her',
      () => page.text('section[aria-label="What holds her"]'),
      (t) => t.includes('If one parts'),
    );
    await driver.executeScript(
      `document.activeElement.blur();
       document.querySelector('section[aria-label="Lines and people"]').scrollIntoView()`,
    );
    await keep('lines');
    await driver.findElement(By.xpath("//button[.='Rig a line on the water']")).click();
    await driver.findElement(By.css('button[aria-label="From the port midship cleat"]')).click();
    const bollard = await page.find('button[aria-label="To cleat 6"]');
    await driver.executeScript('arguments[0].focus()', bollard);
    await keep('rigging');

    await page.open('alongside-wind-off');
    const playhead = await page.find('[aria-label="Playhead"]');
    for (let i = 0; i < 7; i++) await playhead.sendKeys(Key.PAGE_DOWN);
    await driver.executeScript('document.activeElement.blur()');
    await keep('score');

    const phase = async (name: string) =>
      (await driver.findElement(By.xpath(`//nav//button[.='${name}']`))).click();
    await page.settled();
    await phase('Brief');
    await page.until(
      'the brief',
      () => page.text('[data-testid=brief]'),
      (t) => t.includes('she stops in'),
    );
    await driver.findElement(By.xpath("//summary[contains(., 'In the berth')]")).click();
    await driver.findElement(By.xpath("//summary[contains(., 'All the way')]")).click();
    await keep('brief');
    await phase('What if');
    const late = await page.find('[aria-label="What if: Hands late by"]');
    for (let i = 0; i < 3; i++) await late.sendKeys(Key.ARROW_RIGHT);
    await page.settled();
    await driver.executeScript(
      `document.querySelector('[data-testid=what-if]').parentElement.scrollTop = 0`,
    );
    await keep('what-if');
    await driver.findElement(By.xpath("//button[.='As written']")).click();
    await driver.findElement(By.xpath("//button[starts-with(., 'A sheet of winds')]")).click();
    await page.until(
      'the sheet',
      () => page.text('[role=dialog]'),
      (t) => t.includes('of 32 succeed'),
    );
    await keep('sheet-of-winds');

    await page.open('off-stilt-pontoon');
    await page.openBeat(2);
    await page.fill('Degrees turned', '2');
    await page.fill('Throttle above idle', '60');
    await page.settled();
    await keep('beat-gone-wrong');

    await page.fill('Throttle above idle', '900');
    await driver.findElement(By.css('button[aria-label="Night colours"]')).click();
    await driver.executeScript(
      `document.querySelector('input[aria-invalid=true]').scrollIntoView({ block: 'center' })`,
    );
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
