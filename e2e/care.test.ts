import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { openBrowser, type Browser } from './support/browser';
import { startServer, type Server } from './support/server';
import { WorkspacePage } from './support/workspace';

// Bad values, two windows, files that are not what they should be, and readability for everybody.

let server: Server;
let browser: Browser;
let page: WorkspacePage;

beforeAll(async () => {
  server = await startServer();
  browser = await openBrowser();
  page = new WorkspacePage(browser.driver, server.address);
});

afterAll(async () => {
  await browser?.close();
  await server?.close();
});

describe('bad values', () => {
  it('are refused under their field in the user’s own unit, and the last sound take stays', async () => {
    await page.open('off-stilt-pontoon');
    const sound = await page.margins();
    await page.fill('Wind speed', '900');
    const message = await page.text('form[aria-label="Conditions"] [role=alert]');
    expect(message).toBe('give a number from 0 to 58 kn');
    await page.fill('Wind speed', 'e');
    expect(await page.text('form[aria-label="Conditions"] [role=alert]')).toMatch(/give a number/);
    await page.fill('Wind speed', '8');
    await page.until(
      'the same take',
      () => page.margins(),
      (t) => t === sound,
    );

    await page.openBeat(2);
    await page.fill('Rudder angle', '-40');
    expect(await page.text('form[aria-label="Beat 2"] [role=alert]')).toBe(
      'give a number from 0 to 90 degrees',
    );
  });

  it('are refused by the server with the field’s path, and nothing is written', async () => {
    const url = `${server.address}/api/manoeuvres/off-stilt-pontoon`;
    const before = (await (await fetch(url)).json()) as {
      revision: number;
      manoeuvre: { score: { beats: { orders: { throttle?: number }[] }[] } };
    };
    const spoilt = structuredClone(before.manoeuvre);
    spoilt.score.beats[1]!.orders[0]!.throttle = 7;
    const put = (body: string, type = 'application/json') =>
      fetch(url, { method: 'PUT', headers: { 'content-type': type }, body });
    const refused = await put(JSON.stringify({ revision: before.revision, manoeuvre: spoilt }));
    expect(refused.status).toBe(422);
    expect(await refused.json()).toEqual({
      problems: [
        {
          path: 'manoeuvre.score.beats[1].orders[0].throttle',
          message: 'give a number from 0 to 1',
        },
      ],
    });
    expect((await put('{')).status).toBe(422);
    expect((await put('{}', 'text/plain')).status).toBe(422);
    expect((await put(`{"a":"${'x'.repeat(4e6)}"}`)).status).toBe(422);
    expect((await fetch(`${server.address}/api/manoeuvres/nowhere`)).status).toBe(404);
    expect(await (await fetch(url)).json()).toEqual(before);
  });
});

describe('two windows', () => {
  it('do not overwrite each other: the later one is asked', async () => {
    const { driver } = browser;
    await page.open('alongside-wind-off');
    const first = await driver.getWindowHandle();
    await driver.switchTo().newWindow('tab');
    await page.open('alongside-wind-off');
    await page.fill('Wind speed', '12');
    await page.saved();
    const second = await driver.getWindowHandle();
    await driver.switchTo().window(first);
    await page.fill('Wind speed', '5');
    const dialog = await page.find('[role=alertdialog]');
    expect(await dialog.getText()).toMatch(/Changed in another window/);
    const kept = (await (
      await fetch(`${server.address}/api/manoeuvres/alongside-wind-off`)
    ).json()) as {
      manoeuvre: { conditions: { wind: { speed_mps: number } } };
    };
    expect(kept.manoeuvre.conditions.wind.speed_mps).toBeCloseTo(12 * 0.514444, 3);
    const choices = await dialog.findElements(By.css('button'));
    await choices[0]!.click();
    await page.until(
      'the other is shown',
      () => page.fieldValue('Wind speed'),
      (v) => v === '12',
    );
    await driver.switchTo().window(second);
    await driver.close();
    await driver.switchTo().window(first);
  });
});

describe('files', () => {
  const demo = (kind: string, name: string) =>
    JSON.parse(readFileSync(join(process.cwd(), 'demo', kind, `${name}.json`), 'utf8'));

  async function give(text: string): Promise<void> {
    const path = join(server.directory, 'given.json');
    writeFileSync(path, text);
    await browser.driver.get(server.address);
    const input = await page.find('input[type=file]');
    await input.sendKeys(path);
  }

  it('are taken out and in again without loss, and users’ words are shown as words', async () => {
    const out = await fetch(`${server.address}/api/manoeuvres/off-stilt-pontoon/file`);
    const file = (await out.json()) as Record<string, unknown>;
    const title = '<img src=x onerror=alert(1)> & co';
    await give(JSON.stringify({ ...file, id: 'taken-in', title }));
    await page.ready();
    expect(await page.text('h1')).toBe(title);
    const again = await fetch(`${server.address}/api/manoeuvres/taken-in/file`);
    expect(await again.json()).toEqual({ ...file, id: 'taken-in', title });
  });

  it('that are wrong are refused with the reason, and nothing is taken in', async () => {
    await give('not json');
    expect(await page.text('section [role=alert]')).toMatch(/is not JSON/);
    const boat = demo('boats', 'quince');
    const manoeuvre = demo('manoeuvres', 'off-stilt-pontoon');
    boat.hull.mass_kg = -5;
    const { boatId: _b, placeId: _p, ...rest } = manoeuvre;
    await give(JSON.stringify({ ...rest, boat, place: demo('places', 'stilt-pontoon') }));
    expect(await page.text('section [role=alert]')).toMatch(/boat\.hull\.mass_kg.*50 to/);
  });
});

describe('readability', () => {
  const source = readFileSync(join(process.cwd(), 'node_modules/axe-core/axe.min.js'), 'utf8');

  async function violations(): Promise<string[]> {
    await browser.driver.executeScript(source);
    return browser.driver.executeAsyncScript<string[]>(
      `const done = arguments[arguments.length - 1];
       axe.run(document).then((r) => done(r.violations.map((v) => v.id + ': ' + v.nodes.map((n) => n.target.join(' ')).join(', '))));`,
    );
  }

  it.each(['day', 'night'])('axe finds nothing on any screen by %s', async (theme) => {
    const { driver } = browser;
    await driver.get(server.address);
    await driver.executeScript(
      `localStorage.setItem('yawtrope-preferences', JSON.stringify({ state: { theme: '${theme}', speed: 'kn', length: 'm' }, version: 0 }))`,
    );
    await driver.navigate().refresh();
    await page.find('ol[aria-label^="Manoeuvres"]');
    expect(await violations()).toEqual([]);
    await page.open('off-stilt-pontoon');
    expect(await driver.executeScript('return document.documentElement.dataset.theme')).toBe(
      theme === 'night' ? 'night' : 'day',
    );
    expect(await violations()).toEqual([]);
    await page.openBeat(2);
    expect(await violations()).toEqual([]);
    await driver.get(`${server.address}/m/nowhere`);
    await page.find('h1');
    expect(await violations()).toEqual([]);
  });

  it('the wind can be set and the take played by keyboard alone', async () => {
    const { driver } = browser;
    await page.open('alongside-wind-off');
    const grip = await page.find('[data-grip="Wind"]');
    const before = await grip.getAttribute('aria-valuetext');
    await grip.sendKeys(Key.ARROW_UP, Key.ARROW_RIGHT);
    expect(await grip.getAttribute('aria-valuetext')).not.toBe(before);
    const playhead = await page.find('[aria-label="Playhead"]');
    await playhead.sendKeys(Key.END);
    await page.until(
      'at the end',
      () => playhead.getAttribute('aria-valuenow'),
      (v) => Number(v) > 20,
    );
    expect(
      await driver.executeScript('return document.scrollingElement.scrollHeight <= innerHeight'),
    ).toBe(true);
  });
});
