import { By, Key, Origin } from 'selenium-webdriver';
import { openBrowser, type Browser } from './support/browser';
import { startServer, type Server } from './support/server';
import { WorkspacePage } from './support/workspace';

// A newcomer's way through: from the start page to a changed manoeuvre that is still there next time.

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

it('goes from the start page to a running take in two presses', async () => {
  const { driver } = browser;
  await driver.get(server.address);
  await driver.findElement(By.partialLinkText('Blown off')).click();
  await page.ready();
  expect(await page.outcome()).toBe('Done');
  await (await page.find('button[aria-label^="Play the take"]')).click();
  const time = () =>
    page.find('[aria-label="Playhead"]').then((p) => p.getAttribute('aria-valuenow'));
  await page.until('the playhead runs', time, (t) => Number(t) > 0.5);
  await (await page.find('button[aria-label^="Stop playing"]')).click();
});

it('recomputes while the wind is dragged, in one undo, and keeps it over a reload', async () => {
  const { driver } = browser;
  await page.open('alongside-wind-off');
  const before = await page.margins();
  const grip = await page.find('[data-grip="Wind"]');
  const seen = new Set<string>();
  await driver.actions().move({ origin: grip }).press().perform();
  for (let i = 1; i <= 8; i++) {
    await driver.actions().move({ origin: Origin.POINTER, x: -4, y: -9, duration: 60 }).perform();
    seen.add(await page.margins());
  }
  await driver.actions().release().perform();
  // Several different takes were shown before the button was let go.
  expect(seen.size).toBeGreaterThan(2);
  const wind = await grip.getAttribute('aria-valuetext');
  expect(wind).not.toMatch(/^10 kn/);
  const after = await page.settled();
  expect(after).not.toBe(before);

  await page.saved();
  await driver.navigate().refresh();
  await page.ready();
  expect(await (await page.find('[data-grip="Wind"]')).getAttribute('aria-valuetext')).toBe(wind);
  expect(await page.margins()).toBe(after);
});

it('undoes and redoes the drag as one step', async () => {
  const { driver } = browser;
  await page.open('alongside-wind-off');
  const before = await page.margins();
  const grip = await page.find('[data-grip="Wind"]');
  await driver.actions().move({ origin: grip }).press().perform();
  for (let i = 0; i < 4; i++) {
    await driver.actions().move({ origin: Origin.POINTER, x: 4, y: 9, duration: 40 }).perform();
  }
  await driver.actions().release().perform();
  const changed = await page.settled();
  expect(changed).not.toBe(before);
  await driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await page.until(
    'undone',
    () => page.margins(),
    (t) => t === before,
  );
  await driver
    .actions()
    .keyDown(Key.CONTROL)
    .keyDown(Key.SHIFT)
    .sendKeys('z')
    .keyUp(Key.SHIFT)
    .keyUp(Key.CONTROL)
    .perform();
  await page.until(
    'redone',
    () => page.margins(),
    (t) => t === changed,
  );
  await driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
});

it('changes one beat, sees the outcome change, closes the browser and finds it again', async () => {
  await page.open('off-stilt-pontoon');
  await page.openBeat(2);
  // The bow not given time to fall off: ahead after five degrees, with a firm burst.
  await page.fill('Degrees turned', '2');
  await page.fill('Throttle above idle', '60');
  const outcome = await page.until(
    'another outcome',
    () => page.outcome(),
    (text) => text === 'Hard touch',
  );
  expect(await page.margins()).toMatch(/hard touch on/);
  await page.saved();
  await browser.close();

  browser = await openBrowser();
  page = new WorkspacePage(browser.driver, server.address);
  await browser.driver.get(server.address);
  // Last opened first.
  const first = await page.find('ol[aria-label^="Manoeuvres"] a');
  expect(await first.getText()).toMatch(/Blown off/);
  await first.click();
  await page.ready();
  expect(await page.outcome()).toBe(outcome);
  await page.openBeat(2);
  expect(await page.fieldValue('Degrees turned')).toBe('2');
  expect(await page.fieldValue('Throttle above idle')).toBe('60');
});

it('adds, moves and removes beats by keyboard, and takes it all back', async () => {
  const { driver } = browser;
  await page.open('alongside-wind-off');
  const heads = () => driver.findElements(By.css('ol[aria-label="Beats"] button'));
  expect(await heads()).toHaveLength(6);
  await (await page.find('button[aria-label="Add a beat at the end"]')).sendKeys(Key.ENTER);
  await page.find('form[aria-label="Beat 6"]');
  await (await page.find('button[aria-label="Earlier"]')).sendKeys(Key.ENTER);
  await page.find('form[aria-label="Beat 5"]');
  await (await page.find('button[aria-label="Remove this beat"]')).sendKeys(Key.ENTER);
  await page.until(
    'six heads again',
    async () => (await heads()).length,
    (n) => n === 6,
  );
  await (await page.find('button[aria-label^="Undo"]')).click();
  await page.until(
    'seven heads',
    async () => (await heads()).length,
    (n) => n === 7,
  );
  await (await page.find('button[aria-label^="Undo"]')).click();
  await (await page.find('button[aria-label^="Undo"]')).click();
  await page.until(
    'six heads',
    async () => (await heads()).length,
    (n) => n === 6,
  );
});
