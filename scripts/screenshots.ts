import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { openBrowser } from '../e2e/support/browser';
import { startServer } from '../e2e/support/server';
import { WorkspacePage } from '../e2e/support/workspace';

// One current picture of each main view, from the demo data and the last production build.

const DIRECTORY = join(process.cwd(), 'docs', 'screenshots');

type Keep = (name: string) => Promise<void>;

/** The helm of four kinds of drive, and a run driven the wrong way, looked back at. */
async function rehearsals(page: WorkspacePage, keep: Keep): Promise<void> {
  const { driver } = page;
  const press = (...keys: string[]) =>
    keys.reduce((actions, one) => actions.sendKeys(one), driver.actions()).perform();
  const held = async (key: string, seconds: number) => {
    await driver.actions().keyDown(key).perform();
    await driver.sleep(1000 * seconds);
    await driver.actions().keyUp(key).perform();
  };
  const run = async (id: string) => {
    await page.open(id);
    await page.settled();
    await (await driver.findElement(By.xpath(`//nav//button[.='Rehearse']`))).click();
    await page.until(
      'ready',
      () => page.text('[data-testid=live-status]'),
      (t) => t.includes('Ready'),
    );
    await press(' ');
  };
  await run('off-stilt-pontoon');
  await driver.sleep(8000);
  await press(Key.ARROW_UP, Key.ARROW_UP);
  await held(Key.ARROW_RIGHT, 1);
  await driver.sleep(3000);
  await keep('rehearse-shaft');
  await run('stern-to-before-supper');
  await press('w');
  await driver.sleep(4000);
  await keep('rehearse-outdrives');
  await run('off-stilt-pontoon');
  await driver.sleep(3000);
  await press(...Array<string>(5).fill(Key.ARROW_UP));
  await driver.sleep(900);
  await held(Key.ARROW_LEFT, 1.5);
  await driver.sleep(6000);
  await press(...Array<string>(9).fill(Key.ARROW_DOWN));
  await driver.sleep(3000);
  await page.press("//button[.='Break off']");
  await page.press("//button[.='Look back']");
  await page.until('the faults', () => page.text('[data-testid=faults]'), Boolean);
  await page.press("//*[@data-testid='faults']//button[1]");
  await keep('debrief');
}

/** A lock passage: plan and section as the chamber falls, what the brief says of it, and a paddle wound too soon looked back at. */
async function passage(page: WorkspacePage, keep: Keep): Promise<void> {
  const { driver } = page;
  const press = (...keys: string[]) =>
    keys.reduce((actions, one) => actions.sendKeys(one), driver.actions()).perform();
  const closer = async (times: number) => {
    const plan = await page.find('[role=application]');
    await driver.executeScript('arguments[0].focus()', plan);
    for (let i = 0; i < times; i++) await press('+');
  };
  await page.open('nell-down-cobnut-lock');
  await page.settled();
  await closer(4);
  const playhead = await page.find('[aria-label="Playhead"]');
  for (let i = 0; i < 60; i++) await playhead.sendKeys(Key.PAGE_DOWN);
  await driver.executeScript('document.activeElement.blur()');
  await keep('passage');
  await page.press("//nav[@aria-label='Phases']//button[.='Brief']");
  await page.until('the lock ahead', () => page.text('[data-testid=lock-ahead]'), Boolean);
  await keep('passage-brief');
  await page.press("//nav[@aria-label='Phases']//button[.='Card']");
  await page.until(
    'the sheets',
    () => page.text('[data-testid=card]'),
    (t) => t.includes('In the lock, going down'),
  );
  await driver.executeScript(
    `document.activeElement.blur();
     document.querySelector('section[aria-label="In the lock, going down"]').scrollIntoView({ block: 'center' })`,
  );
  await keep('card');
  await page.rehearse('nell-up-cobnut-lock');
  await press(' ');
  await press('.');
  await press(Key.ARROW_UP);
  await driver.sleep(6000);
  await press('1');
  await driver.sleep(16000);
  await page.press("//button[.='Break off']");
  await page.press("//button[.='Look back']");
  await page.until('the faults', () => page.text('[data-testid=faults]'), Boolean);
  await page.press("//*[@data-testid='faults']//button[1]");
  await keep('passage-debrief');
}

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
    await page.find('section[aria-label="Arrive"] img');
    await keep('start');
    await driver.get(`${server.address}/new`);
    // It can be begun once it is known how the boat lies there.
    await page.find('form[aria-label="New manoeuvre"] button[type=submit]:enabled');
    await keep('new');

    await driver.get(`${server.address}/places`);
    await page.press("//button[normalize-space()='Draw a new place']");
    await page.find('[role=application]');
    await page.press("//div[@role='radiogroup']//label[normalize-space()='row of fingers']");
    for (const slip of [1, 2, 4, 7, 8])
      await page.press(`//fieldset[legend='taken']//label[normalize-space()='${slip}']/input`);
    await driver.sleep(1200);
    await keep('place');
    await page.open('under-sallow-bridge');
    await page.settled();
    await page.subject('Conditions');
    await page.press("//button[.='Choose an hour of a day']");
    await page.until(
      'the day',
      () => page.text('[data-testid=windows]'),
      (t) => t.includes('Within limits'),
    );
    await keep('day-sheet');
    await page.press("//button[.='Close']");
    await page.press("//nav//button[.='Debrief']");
    await page.until(
      'nothing driven',
      () => page.text('aside[aria-label=Debrief]'),
      (t) => t.includes('Nothing driven'),
    );
    await page.choose('How fast it runs', '30');
    await page.press("//button[.='Listen to the simulated feed']");
    await page.until(
      'kept',
      () => page.text('[data-testid=record]'),
      (t) => t.includes('sentences'),
    );
    await driver.executeScript(
      `const moment = document.querySelector('input[aria-label="Moment looked at"]');
       Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(moment, '36');
       moment.dispatchEvent(new Event('input', { bubbles: true }));`,
    );
    await keep('instruments');
    await passage(page, keep);

    await page.open('sprung-off-the-pontoon');
    await page.settled();
    await page.subject('Lines & crew');
    const ahead = await page.find('[aria-label="Playhead"]');
    for (let i = 0; i < 5; i++) await ahead.sendKeys(Key.PAGE_DOWN);
    await page.until(
      'what holds her',
      () => page.text('section[aria-label="What holds the boat"]'),
      (t) => t.includes('If one parts'),
    );
    await driver.executeScript(
      `document.activeElement.blur();
       document.querySelector('section[aria-label="Lines and crew"]').scrollIntoView()`,
    );
    await keep('lines');
    await page.open('alongside-wind-off');
    const playhead = await page.find('[aria-label="Playhead"]');
    for (let i = 0; i < 7; i++) await playhead.sendKeys(Key.PAGE_DOWN);
    await driver.executeScript('document.activeElement.blur()');
    await keep('plan');

    const phase = async (name: string) =>
      (await driver.findElement(By.xpath(`//nav//button[.='${name}']`))).click();
    await page.settled();
    await phase('Brief');
    await page.until(
      'the brief',
      () => page.text('section[aria-label="In short"]'),
      (t) => t.includes('firm astern') && t.includes('way out'),
    );
    await keep('brief');
    await phase('What if');
    const late = await page.find('[aria-label="What if: Crew late by"]');
    for (let i = 0; i < 3; i++) await late.sendKeys(Key.ARROW_RIGHT);
    await page.until(
      'what holds as told',
      () => page.text('section[aria-label="This run"]'),
      (t) => t.includes('instead of'),
    );
    await page.press("//button[contains(., 'of them on the water')]");
    await driver.executeScript(
      `document.querySelector('[data-testid=what-if]').parentElement.scrollTop = 0`,
    );
    await keep('what-if');
    await page.open('off-stilt-pontoon');
    await page.openStep(2);
    await page.fill('Degrees turned', '2');
    await page.fill('Throttle above idle', '60');
    await page.settled();
    await keep('step-gone-wrong');

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
    await driver.findElement(By.css('button[aria-label="Day colours"]')).click();
    await sheet('lantern');
    await keep('boat');
    await rehearsals(page, keep);
  } finally {
    await browser.close();
    await server.close();
  }
}

void main();
