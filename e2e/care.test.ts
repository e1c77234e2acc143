import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { App } from './support/app';
import { sweep } from './support/sweep';
import { violations } from './support/axe';

// Bad values, two windows, files that are not what they should be, and readability for everybody.

const app = App.forTests();

describe('bad values', () => {
  sweep(
    'are refused under their field in the user’s own unit, and the last sound take stays',
    async () => {
      await app.page.open('off-stilt-pontoon');
      const sound = await app.page.settled();
      await app.page.subject('Conditions');
      await app.page.fill('Wind speed', '900');
      const message = await app.page.text('form[aria-label="Conditions"] [role=alert]');
      expect(message).toBe('give a number from 0 to 58 kn');
      await app.page.fill('Wind speed', 'e');
      expect(await app.page.text('form[aria-label="Conditions"] [role=alert]')).toMatch(
        /give a number/,
      );
      await app.page.fill('Wind speed', '8');
      await app.page.until(
        'the same run',
        () => app.page.still(),
        (t) => t === sound,
      );

      await app.page.openStep(2);
      await app.page.fill('Rudder angle', '-40');
      expect(await app.page.text('form[aria-label="Step 2"] [role=alert]')).toBe(
        'give a number from 0 to 90 degrees',
      );
    },
  );

  it('are refused by the server with the field’s path, and nothing is written', async () => {
    const url = `${app.server.address}/api/manoeuvres/off-stilt-pontoon`;
    const before = (await (await fetch(url)).json()) as {
      revision: number;
      manoeuvre: { plan: { steps: { orders: { throttle?: number }[] }[] } };
    };
    const spoilt = structuredClone(before.manoeuvre);
    spoilt.plan.steps[1]!.orders[0]!.throttle = 7;
    const put = (body: string, type = 'application/json') =>
      fetch(url, { method: 'PUT', headers: { 'content-type': type }, body });
    const refused = await put(JSON.stringify({ revision: before.revision, manoeuvre: spoilt }));
    expect(refused.status).toBe(422);
    expect(await refused.json()).toEqual({
      problems: [
        {
          path: 'manoeuvre.plan.steps[1].orders[0].throttle',
          message: 'give a number from 0 to 1',
        },
      ],
    });
    expect((await put('{')).status).toBe(422);
    expect((await put('{}', 'text/plain')).status).toBe(422);
    expect((await put(`{"a":"${'x'.repeat(4e6)}"}`)).status).toBe(422);
    expect((await fetch(`${app.server.address}/api/manoeuvres/nowhere`)).status).toBe(404);
    expect(await (await fetch(url)).json()).toEqual(before);
  });
});

describe('two windows', () => {
  sweep('do not overwrite each other: the later one is asked', async () => {
    const { driver } = app;
    await app.page.open('alongside-wind-off');
    const first = await driver.getWindowHandle();
    await driver.switchTo().newWindow('tab');
    await app.page.open('alongside-wind-off');
    await app.page.subject('Conditions');
    await app.page.fill('Wind speed', '12');
    await app.page.saved();
    const second = await driver.getWindowHandle();
    await driver.switchTo().window(first);
    await app.page.subject('Conditions');
    await app.page.fill('Wind speed', '5');
    const dialog = await app.page.find('[role=alertdialog]');
    expect(await dialog.getText()).toMatch(/Changed in another window/);
    const kept = (await (
      await fetch(`${app.server.address}/api/manoeuvres/alongside-wind-off`)
    ).json()) as {
      manoeuvre: { conditions: { wind: { speed_mps: number } } };
    };
    expect(kept.manoeuvre.conditions.wind.speed_mps).toBeCloseTo(12 * 0.514444, 3);
    const choices = await dialog.findElements(By.css('button'));
    await choices[0]!.click();
    await app.page.until(
      'the other is shown',
      () => app.page.fieldValue('Wind speed'),
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
    const path = join(app.server.directory, 'given.json');
    writeFileSync(path, text);
    await app.driver.get(app.server.address);
    const input = await app.page.find('input[type=file]');
    await input.sendKeys(path);
  }

  it('are taken out and in again without loss, and users’ words are shown as words', async () => {
    const out = await fetch(`${app.server.address}/api/manoeuvres/off-stilt-pontoon/file`);
    const file = (await out.json()) as Record<string, unknown>;
    const title = '<img src=x onerror=alert(1)> & co';
    await give(JSON.stringify({ ...file, id: 'taken-in', title }));
    await app.page.ready();
    expect(await app.page.text('h1')).toBe(title);
    const again = await fetch(`${app.server.address}/api/manoeuvres/taken-in/file`);
    expect(await again.json()).toEqual({ ...file, id: 'taken-in', title });
  });

  it('that are wrong are refused with the reason, and nothing is taken in', async () => {
    await give('not json');
    expect(await app.page.text('section [role=alert]')).toMatch(/is not JSON/);
    const boat = demo('boats', 'quince');
    const manoeuvre = demo('manoeuvres', 'off-stilt-pontoon');
    boat.hull.mass_kg = -5;
    const { boatId: _b, placeId: _p, ...rest } = manoeuvre;
    await give(JSON.stringify({ ...rest, boat, place: demo('places', 'stilt-pontoon') }));
    expect(await app.page.text('section [role=alert]')).toMatch(/boat\.hull\.mass_kg.*50 to/);
  });
});

describe('readability', () => {
  const SCREENS = ['/library', '/new', '/m/off-stilt-pontoon', '/'];

  async function looksRight(theme: 'day' | 'night'): Promise<void> {
    const { driver } = app;
    await driver.get(app.server.address);
    await driver.executeScript(
      `localStorage.setItem('yawtrope-preferences', JSON.stringify({ state: { theme: '${theme}', speed: 'kn', length: 'm' }, version: 0 }))`,
    );
    for (const path of SCREENS) {
      await driver.get(app.server.address + path);
      await app.page.find('h1, [data-testid=outcome]');
      // By day it is said once the page's own script has read what is preferred.
      await app.page.until(
        theme,
        () => driver.executeScript<string>('return document.documentElement.dataset.theme'),
        (now) => now === theme,
      );
      expect([path, await violations(driver)]).toEqual([path, []]);
    }
  }

  it('axe finds nothing by day, and no page complains of its policy or of anything', async () => {
    const { driver } = app;
    // What the tests before were refused is theirs.
    await driver.manage().logs().get('browser');
    await looksRight('day');
    await app.page.open('off-stilt-pontoon');
    await app.page.openStep(2);
    expect(await violations(driver)).toEqual([]);
    for (const path of ['/boats', '/boats/new', '/places', '/places/tolver-wall'])
      await driver.get(app.server.address + path);
    const severe = await driver.manage().logs().get('browser');
    expect(severe.map(({ message }) => message)).toEqual([]);
    await driver.get(`${app.server.address}/m/nowhere`);
    await app.page.find('h1');
    expect(await violations(driver)).toEqual([]);
  });

  sweep('axe finds nothing by night', () => looksRight('night'));

  sweep('the wind can be set and the run played by keyboard alone', async () => {
    const { driver } = app;
    await app.page.open('alongside-wind-off');
    const grip = await app.page.find('[data-grip="Wind"]');
    const before = await grip.getAttribute('aria-valuetext');
    await grip.sendKeys(Key.ARROW_UP, Key.ARROW_RIGHT);
    expect(await grip.getAttribute('aria-valuetext')).not.toBe(before);
    const playhead = await app.page.find('[aria-label="Playhead"]');
    await playhead.sendKeys(Key.END);
    await app.page.until(
      'at the end',
      () => playhead.getAttribute('aria-valuenow'),
      (v) => Number(v) > 20,
    );
    expect(
      await driver.executeScript('return document.scrollingElement.scrollHeight <= innerHeight'),
    ).toBe(true);
  });
});
