import { By, Key } from 'selenium-webdriver';
import { App } from './support/app';
import { sweep } from './support/sweep';
import { violations } from './support/axe';

// The Boats area: from the list to a sheet, a boat of one's own, a figure set by hand, bad values, both themes.

const app = App.forTests();
const go = (path: string) => app.driver.get(`${app.server.address}${path}`);
const text = (css: string) => app.page.text(css);
const sheetReady = () =>
  app.page.until(
    'the trials to be done',
    () => text('main'),
    (t) => t.includes('In wind, let go beam on'),
  );

describe('the fleet', () => {
  it('is two presses from the start page, with every boat’s plan', async () => {
    await go('/');
    await (await app.page.find('a[href="/boats"]')).click();
    await app.page.find('ul[aria-label="Boats by name"]');
    const entries = await app.driver.findElements(By.css('ul[aria-label="Boats by name"] > li'));
    expect(entries.length).toBeGreaterThanOrEqual(15);
    expect(await violations(app.driver)).toEqual([]);
  });

  sweep(
    'a boat’s sheet is computed while one waits, with what it means and how far to trust it',
    async () => {
      await go('/boats/brisling');
      const sheet = await sheetReady();
      for (const words of [
        'Stop from 3.0 kn',
        'Circle, hard over, idle ahead',
        'Engines opposed',
        'Bow thruster alone',
        '±50 %',
      ])
        expect(sheet).toContain(words);
      expect(await text('ul[aria-label="Pivot points"]')).toMatch(
        /turning astern: .* abaft midships/,
      );
      expect(await violations(app.driver)).toEqual([]);
    },
  );

  sweep('speaks the user’s units', async () => {
    await (await app.page.find('button[aria-label^="Speeds in kn"]')).click();
    await app.page.until(
      'metres a second',
      () => text('main'),
      (t) => t.includes('Stop from 1.5 m/s'),
    );
    await (await app.page.find('button[aria-label^="Speeds in m/s"]')).click();
  });
});

describe('a figure set by hand', () => {
  it('is refused with the reason when it cannot be, kept with its basis when it can', async () => {
    await go('/boats/pebble');
    await sheetReady();
    const field = await app.page.find('input[aria-label="displacement, hull.mass_kg"]');
    const set = async (value: string) => {
      await field.sendKeys(Key.chord(Key.CONTROL, 'a'), value, Key.ENTER);
    };
    await set('-3');
    await app.page.until(
      'a reason',
      () => text('main'),
      (t) => t.includes('give a number from 50 to'),
    );
    const before = (await (await fetch(`${app.server.address}/api/boats/pebble`)).json()) as {
      boat: { hull: { mass_kg: number } };
    };
    expect(before.boat.hull.mass_kg).toBe(3400);
    await set('3600');
    await app.page.until(
      'the new figure kept',
      async () =>
        JSON.stringify(await (await fetch(`${app.server.address}/api/boats/pebble`)).json()),
      (t) => t.includes('"mass_kg":3600') && t.includes('set by hand'),
    );
  });
});

describe('a boat of one’s own', () => {
  it('is drawn while one types, refused where it cannot float, and kept', async () => {
    await go('/boats/new');
    await app.page.fill('Name', 'Tern <b>II</b>');
    await app.page.fill('Displacement', '900000');
    await app.page.until(
      'the reason',
      () => text('main'),
      (t) => t.includes('cannot float'),
    );
    await app.page.fill('Displacement', '5200');
    await app.page.fill('Length over all', '9.4');
    await app.page.until(
      'the drawing',
      () => text('main'),
      (t) => t.includes('9.40 m long'),
    );
    await app.page.until(
      'the pivots',
      () => text('main'),
      (t) => t.includes('first kick'),
    );
    expect(await violations(app.driver)).toEqual([]);
    await app.driver.findElement(By.css('button[type=submit]')).click();
    const page = await sheetReady();
    // Users' text is shown as text.
    expect(page).toContain('Tern <b>II</b>');
    expect(await app.driver.getCurrentUrl()).toMatch(/\/boats\/tern-b-ii-b$/);
  });

  it('can be removed and brought back', async () => {
    await app.driver.findElement(By.xpath('//button[contains(., "Remove")]')).click();
    await app.page.until(
      'put aside',
      () => text('main'),
      (t) => t.includes('has been removed'),
    );
    await app.driver.findElement(By.xpath('//button[contains(., "Bring it back")]')).click();
    await app.page.until(
      'back',
      () => text('main'),
      (t) => t.includes('Remove'),
    );
  });

  sweep('by night, axe finds nothing either', async () => {
    await (await app.page.find('button[aria-label="Night colours"]')).click();
    await sheetReady();
    expect(await violations(app.driver)).toEqual([]);
    await (await app.page.find('button[aria-label="Day colours"]')).click();
  });
});

describe('the server', () => {
  const send = (method: string, path: string, body: unknown) =>
    fetch(`${app.server.address}${path}`, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });

  it('refuses a wrong boat by field, a stale save, and what is not there', async () => {
    const opened = (await (await fetch(`${app.server.address}/api/boats/wicket`)).json()) as {
      boat: { hull: { mass_kg: number } };
      revision: number;
    };
    const wrong = structuredClone(opened.boat);
    wrong.hull.mass_kg = -1;
    const refused = await send('POST', '/api/boats', wrong);
    expect(refused.status).toBe(422);
    expect(await refused.text()).toContain('hull.mass_kg');
    const stale = await send('PUT', '/api/boats/wicket', {
      revision: opened.revision + 5,
      boat: opened.boat,
    });
    expect(stale.status).toBe(409);
    expect((await fetch(`${app.server.address}/api/boats/nobody`)).status).toBe(404);
    expect((await send('PUT', '/api/boats/other', { revision: 1, boat: opened.boat })).status).toBe(
      422,
    );
  });
});
