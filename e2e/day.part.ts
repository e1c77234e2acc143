import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { App } from './support/app';
import { sweep } from './support/sweep';
import { violations } from './support/axe';

// An hour taken from the day sheet; what instruments recorded, taken in and listened to.

const app = App.forTests();
const press = (xpath: string) => app.page.press(xpath);
const text = (css: string) => app.page.text(css);
const phase = (name: string) => press(`//nav[@aria-label='Phases']//button[.='${name}']`);

sweep(
  'shows when a manoeuvre is within limits, and takes an hour chosen by keyboard',
  async () => {
    await app.page.open('under-sallow-bridge');
    await app.page.settled();
    const before = await app.page.margins();
    await app.page.subject('Conditions');
    await press("//button[.='Choose an hour of a day']");
    await app.page.until(
      'asked',
      () => text('[role=dialog]'),
      (t) => t.includes('constituents'),
    );
    const day = await app.driver.findElement({ css: 'input[type=date]' });
    await app.driver.executeScript(
      `const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
     set.call(arguments[0], '2026-05-04');
     arguments[0].dispatchEvent(new Event('input', { bubbles: true }));`,
      day,
    );
    const windows = await app.page.until(
      'played',
      () => text('[data-testid=windows]'),
      (t) => t.includes('Within limits'),
    );
    expect(windows).toMatch(/\d\d:\d\d/);
    expect(await violations(app.driver)).toEqual([]);
    const slider = await app.driver.findElement({ css: '[role=dialog] [role=slider]' });
    const was = await slider.getAttribute('aria-valuetext');
    await app.driver.executeScript('arguments[0].focus()', slider);
    await app.driver.actions().sendKeys(Key.PAGE_UP).sendKeys(Key.ARROW_RIGHT).perform();
    const hour = await slider.getAttribute('aria-valuetext');
    expect(hour).not.toBe(was);
    expect(await text('[data-testid=hour]')).toContain(hour);
    await press("//button[.='Take this hour']");
    await app.page.until(
      'said',
      () => text('aside'),
      (t) => t.includes(`4 May 2026, ${hour}`),
    );
    await app.page.until(
      'another run',
      () => app.page.margins(),
      (t) => t !== before,
    );
    await app.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
    await app.page.until(
      'undone',
      () => text('aside'),
      (t) => !t.includes('May 2026'),
    );
    await app.page.saved();
  },
  120_000,
);

sweep(
  'reckons wind and current from what is seen, with how far it can be out',
  async () => {
    await app.page.open('under-sallow-bridge');
    await app.page.settled();
    await press("//summary[contains(.,'Reckon them')]");
    await app.page.choose('How a light flag looks', 'currents out');
    await app.page.until(
      'wind',
      () => text('[data-testid=read-off]'),
      (t) => /13 ± \d kn/.test(t),
    );
    expect(await violations(app.driver)).toEqual([]);
    await press("//button[.='Use it']");
    await app.page.until(
      'used',
      () => text('section[aria-label="The water"], main'),
      (t) => t.includes('13 kn'),
    );
    await app.page.saved();
  },
  60_000,
);

it('takes in a recording, tells what was bad in it, lays it on the place and puts it aside and back', async () => {
  const answer = await fetch(
    `${app.server.address}/api/feed?manoeuvre=under-sallow-bridge&pace=60&seed=4`,
  );
  const feed = await answer.text();
  const path = join(mkdtempSync(join(tmpdir(), 'yawtrope-nmea-')), 'evening <b>run.nmea');
  writeFileSync(path, `$GPGSV,1,1,01,03,54,120,30*4F\r\nrubbish\r\n${feed}`);
  await app.page.open('under-sallow-bridge');
  await app.page.settled();
  await phase('Debrief');
  const give = async (file: string) =>
    (await app.driver.findElement({ css: 'input[aria-label="NMEA 0183 recording"]' })).sendKeys(
      file,
    );
  await press("//*[.='Nothing driven yet']");
  await give(path);
  const told = await app.page.until(
    'laid',
    () => text('[data-testid=record]'),
    (t) => t.includes('sentences'),
  );
  expect(told).toMatch(/bad \(.*no sentence 1/);
  expect(told).toMatch(/m from (east|west) pier|Plover Moon/);
  expect(await text('section[aria-label="Instruments"]')).toContain('evening <b>run');
  expect(await violations(app.driver)).toEqual([]);
  writeFileSync(path, 'no sentences here');
  await give(path);
  await app.page.until(
    'refused',
    () => text('section[aria-label="Instruments"] [role=alert]'),
    (t) => t.includes('no track'),
  );
  await press("//button[.='remove it']");
  await press("//button[.='Bring it back']");
  await app.page.until(
    'back',
    () => text('section[aria-label="Instruments"]'),
    (t) => t.includes('evening'),
  );
}, 120_000);

sweep(
  'listens to the simulated feed and keeps it when it is stopped',
  async () => {
    await app.page.open('pebble-waits-for-the-lock');
    await app.page.settled();
    await phase('Debrief');
    await app.page.until(
      'there',
      () => text('aside[aria-label=Debrief]'),
      (t) => t.includes('Nothing driven'),
    );
    await app.page.choose('How fast it runs', '10');
    await press("//button[contains(.,'Listen to the simulated feed')]");
    await app.page.until(
      'heard',
      () => text('section[aria-label="Instruments"]'),
      (t) => /[1-9]\d* positions/.test(t),
    );
    await press("//button[.='Stop and keep it']");
    await app.page.until(
      'kept',
      () => text('[data-testid=record]'),
      (t) => t.includes('sentences'),
    );
  },
  120_000,
);
