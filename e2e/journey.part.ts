import { By, Key, Origin } from 'selenium-webdriver';
import { App } from './support/app';
import { sweep } from './support/sweep';
import { violations } from './support/axe';

// A newcomer's way through: from the start page to a changed manoeuvre that is still there next time.

const app = App.forTests();

it('goes from the start page to a running take in two presses, and recomputes while the wind is dragged', async () => {
  const { driver } = app;
  await driver.get(app.server.address);
  await driver.findElement(By.partialLinkText('Alongside, the wind blowing off')).click();
  await app.page.ready();
  expect(await app.page.outcome()).toBe('Done');
  await (await app.page.find('button[aria-label^="Play the run"]')).click();
  const time = () =>
    app.page.find('[aria-label="Playhead"]').then((p) => p.getAttribute('aria-valuenow'));
  await app.page.until('the playhead runs', time, (t) => Number(t) > 0.5);
  await (await app.page.find('button[aria-label^="Stop playing"]')).click();
  const before = await app.page.settled();
  const grip = await app.page.find('[data-grip="Wind"]');
  const seen = new Set<string>();
  await driver.actions().move({ origin: grip }).press().perform();
  for (let i = 1; i <= 8; i++) {
    await driver.actions().move({ origin: Origin.POINTER, x: -4, y: -9, duration: 60 }).perform();
    seen.add(await app.page.margins());
  }
  await driver.actions().release().perform();
  // Several different takes were shown before the button was let go.
  expect(seen.size).toBeGreaterThan(2);
  const wind = await grip.getAttribute('aria-valuetext');
  expect(wind).not.toMatch(/^10 kn/);
  const after = await app.page.settled();
  expect(after).not.toBe(before);

  await app.page.saved();
  await driver.navigate().refresh();
  await app.page.ready();
  expect(await (await app.page.find('[data-grip="Wind"]')).getAttribute('aria-valuetext')).toBe(
    wind,
  );
});

sweep('undoes and redoes the drag as one step', async () => {
  const { driver } = app;
  await app.page.open('alongside-wind-off');
  const before = await app.page.settled();
  const grip = await app.page.find('[data-grip="Wind"]');
  await driver.actions().move({ origin: grip }).press().perform();
  for (let i = 0; i < 4; i++) {
    await driver.actions().move({ origin: Origin.POINTER, x: 4, y: 9, duration: 40 }).perform();
  }
  await driver.actions().release().perform();
  const changed = await app.page.settled();
  expect(changed).not.toBe(before);
  await driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await app.page.until(
    'undone',
    () => app.page.still(),
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
  await app.page.until(
    'redone',
    () => app.page.still(),
    (t) => t === changed,
  );
  await driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await app.page.saved();
});

sweep(
  'changes one step, sees the outcome change, closes the browser and finds it again',
  async () => {
    await app.page.open('off-stilt-pontoon');
    await app.page.openStep(2);
    // The bow not given time to fall off: ahead after five degrees, with a firm burst.
    await app.page.fill('Degrees turned', '2');
    await app.page.fill('Throttle above idle', '60');
    const outcome = await app.page.until(
      'another outcome',
      () => app.page.outcome(),
      (text) => text === 'Hard touch',
    );
    expect(await app.page.margins()).toMatch(/hard touch on/);
    await app.page.saved();
    await app.browser.close();

    await app.openBrowser();
    await app.driver.get(app.server.address);
    // Last opened first.
    const first = await app.page.find('section[aria-label="Opened last"] a');
    expect(await first.getText()).toMatch(/Blown off/);
    await first.click();
    await app.page.ready();
    expect(await app.page.outcome()).toBe(outcome);
    await app.page.openStep(2);
    expect(await app.page.fieldValue('Degrees turned')).toBe('2');
    expect(await app.page.fieldValue('Throttle above idle')).toBe('60');
  },
);

sweep('adds, moves and removes steps by keyboard, and takes it all back', async () => {
  const { driver } = app;
  await app.page.open('alongside-wind-off');
  const heads = () => driver.findElements(By.css('ol[aria-label="Steps"] button'));
  expect(await heads()).toHaveLength(7);
  await (await app.page.find('button[aria-label="Add a step at the end"]')).sendKeys(Key.ENTER);
  await app.page.find('form[aria-label="Step 7"]');
  await (await app.page.find('button[aria-label="Earlier"]')).sendKeys(Key.ENTER);
  await app.page.find('form[aria-label="Step 6"]');
  await (await app.page.find('button[aria-label="Remove this step"]')).sendKeys(Key.ENTER);
  await app.page.until(
    'seven heads again',
    async () => (await heads()).length,
    (n) => n === 7,
  );
  await (await app.page.find('button[aria-label^="Undo"]')).click();
  await app.page.until(
    'eight heads',
    async () => (await heads()).length,
    (n) => n === 8,
  );
  await (await app.page.find('button[aria-label^="Undo"]')).click();
  await (await app.page.find('button[aria-label^="Undo"]')).click();
  await app.page.until(
    'seven heads',
    async () => (await heads()).length,
    (n) => n === 7,
  );
  await app.page.saved();
});

sweep('sails the manoeuvre in another boat, keeps the boat, and comes back by undo', async () => {
  const { driver } = app;
  await app.page.open('alongside-wind-off');
  const before = await app.page.settled();
  const header = () => app.page.text('header');
  await (await app.page.find('button[aria-label="More"]')).click();
  await driver.findElement(By.xpath('//*[@role="menuitem"][contains(., "Another boat")]')).click();
  await app.page.find('[role=radio][value=pebble]');
  expect(await violations(driver)).toEqual([]);
  await (await app.page.find('[role=radio][value=pebble]')).click();
  await driver.findElement(By.xpath('//button[contains(., "Use this boat")]')).click();
  await app.page.until('the boat’s name', header, (t) => t.includes('Pebble'));
  const theirs = await app.page.settled();
  expect(theirs).not.toBe(before);
  await app.page.saved();
  await driver.navigate().refresh();
  await app.page.ready();
  expect(await header()).toContain('Pebble');
  expect(await app.page.settled()).toBe(theirs);
  await (await app.page.find('button[aria-label="More"]')).click();
  await driver.findElement(By.xpath('//*[@role="menuitem"][contains(., "Another boat")]')).click();
  await (await app.page.find('[role=radio][value=brisling]')).click();
  await driver.findElement(By.xpath('//button[contains(., "Use this boat")]')).click();
  await app.page.until('the boat’s name', header, (t) => t.includes('Brisling'));
  await driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await app.page.until('the boat’s name', header, (t) => t.includes('Pebble'));
});
