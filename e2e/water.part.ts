import { readFileSync } from 'node:fs';
import { By, Key, Origin } from 'selenium-webdriver';
import { check, manoeuvreFileSchema } from '../src/document';
import { App } from './support/app';
import { sweep } from './support/sweep';
import { violations } from './support/axe';

// The water and the plan under the hand: pan, zoom, units, pointing, seeking, copying.

const app = App.forTests();
const numberAt = (number: number) =>
  app.page.find(`button[aria-label="Step ${number} on the water"]`).then((b) => b.getRect());

it('zooms and moves the plan by wheel, hand, buttons and keys, and comes back', async () => {
  const { driver } = app;
  await app.page.open('alongside-wind-off');
  await app.page.settled();
  const home = await numberAt(1);
  const plan = await app.page.find('[role=application]');

  await driver.actions().move({ origin: plan, x: 60, y: 100 }).press().perform();
  await driver
    .actions()
    .move({ origin: Origin.POINTER, x: 50, y: -30, duration: 80 })
    .release()
    .perform();
  const dragged = await numberAt(1);
  expect(Math.abs(dragged.x - home.x - 50)).toBeLessThan(6);
  expect(Math.abs(dragged.y - home.y + 30)).toBeLessThan(6);

  const apartNow = async () => {
    const [a, b] = [await numberAt(1), await numberAt(2)];
    return Math.hypot(a.x - b.x, a.y - b.y);
  };
  const before = await apartNow();
  await driver.executeScript(
    `arguments[0].dispatchEvent(new WheelEvent('wheel', { deltaY: -300, clientX: 400, clientY: 300, bubbles: true }))`,
    plan,
  );
  await app.page.until('zoomed in', apartNow, (apart) => apart > 1.5 * before);

  await plan.sendKeys('0');
  await app.page.until(
    'back home',
    () => numberAt(1),
    (r) => Math.abs(r.x - home.x) < 2,
  );
  await plan.sendKeys(Key.ARROW_LEFT);
  await app.page.until(
    'moved by key',
    () => numberAt(1),
    (r) => r.x > home.x + 40,
  );
  await (await app.page.find('button[aria-label="Show the whole run"]')).click();
  await app.page.until(
    'home again',
    () => numberAt(1),
    (r) => Math.abs(r.x - home.x) < 2,
  );
});

sweep('shows everything in the user’s units, and keeps the choice', async () => {
  await app.page.open('alongside-wind-off');
  expect(await app.page.margins()).toMatch(/\d\.\d m\b/);
  await (await app.page.find('button[aria-label^="Lengths in m"]')).click();
  await (await app.page.find('button[aria-label^="Speeds in kn"]')).click();
  expect(await app.page.margins()).toMatch(/\d ft\b/);
  await app.page.subject('Conditions');
  expect(await app.page.text('form[aria-label="Conditions"]')).toMatch(/m\/s/);
  expect(await app.page.fieldValue('Wind speed')).toBe('4.12');
  await app.driver.navigate().refresh();
  await app.page.ready();
  await app.page.subject('Conditions');
  expect(await app.page.fieldValue('Wind speed')).toBe('4.12');
  await (await app.page.find('button[aria-label^="Lengths in ft"]')).click();
  await (await app.page.find('button[aria-label^="Speeds in m/s"]')).click();
});

sweep(
  'lights up a step on the water when it is pointed at on the plan, and opens it from the water',
  async () => {
    const { driver } = app;
    await app.page.open('alongside-wind-off');
    const [, second] = await driver.findElements(By.css('ol[aria-label="Steps"] button'));
    const ring = () =>
      app.page
        .find('button[aria-label="Step 2 on the water"]')
        .then((b) => b.getAttribute('class'));
    expect(await ring()).not.toMatch(/ring-2/);
    await driver.actions().move({ origin: second! }).perform();
    await app.page.until('lit', ring, (c) => /ring-2/.test(c ?? ''));
    await (await app.page.find('button[aria-label="Step 4 on the water"]')).click();
    await app.page.find('form[aria-label="Step 4"]');
  },
);

it('seeks by pressing in the plan; the lanes read that moment', async () => {
  const { driver } = app;
  await app.page.open('alongside-wind-off');
  const plan = await app.page.find('section[aria-label="The plan"] svg[role=presentation]');
  await driver.actions().move({ origin: plan, x: 100, y: 60 }).press().release().perform();
  const playhead = await app.page.find('[aria-label="Playhead"]');
  expect(Number(await playhead.getAttribute('aria-valuenow'))).toBeGreaterThan(10);
  expect(await app.page.text('section[aria-label="The plan"]')).toMatch(/\d+\.\d kn/);
});

sweep('changes the current by its grip and the end of the plan by its own editor', async () => {
  const { driver } = app;
  await app.page.open('alongside-wind-off');
  const before = await app.page.settled();
  const grip = await app.page.find('[data-grip="Current"]');
  await grip.sendKeys(Key.ARROW_UP, Key.ARROW_UP, Key.ARROW_UP, Key.ARROW_UP);
  expect(await grip.getAttribute('aria-valuetext')).toMatch(/^0\.4 kn to 084°/);
  expect(await app.page.settled()).not.toBe(before);
  for (let i = 0; i < 4; i++) await grip.sendKeys(Key.ARROW_DOWN);
  await app.page.until(
    'as before',
    () => app.page.still(),
    (t) => t === before,
  );

  const heads = await driver.findElements(By.css('ol[aria-label="Steps"] button'));
  await heads.at(-1)!.click();
  await app.page.find('form[aria-label="End of the plan"]');
  await app.page.fill('Longest wait for the cue', '0.5');
  await app.page.until(
    'waiting still',
    () => app.page.outcome(),
    (t) => t === 'Waiting still',
  );
  const latest = await driver.findElement(
    By.xpath('//label[.="out of time after"]/following-sibling::input'),
  );
  await latest.sendKeys(Key.chord(Key.CONTROL, 'a'), '0.2', Key.ENTER);
  await app.page.until(
    'out of time',
    () => app.page.outcome(),
    (t) => t === 'Out of time',
  );
});

sweep('copies a manoeuvre, and gives it out as a file that stands alone', async () => {
  const { driver } = app;
  await app.page.open('off-stilt-pontoon');
  await (await app.page.find('button[aria-label="More"]')).click();
  await driver.findElement(By.xpath('//*[@role="menuitem"][contains(., "Make a copy")]')).click();
  await app.page.until(
    'the copy',
    () => driver.getCurrentUrl(),
    (url) => url.endsWith('/m/off-stilt-pontoon-2'),
  );
  await app.page.ready();
  expect(await app.page.text('h1')).toMatch(/, copy$/);
  const file: unknown = await (
    await fetch(`${app.server.address}/api/manoeuvres/off-stilt-pontoon-2/file`)
  ).json();
  expect(check(manoeuvreFileSchema, file).ok).toBe(true);
  const shipped = JSON.parse(readFileSync('demo/boats/quince.json', 'utf8')) as { id: string };
  expect(file).toMatchObject({ boat: { id: shipped.id } });
});

it('on a phone stands one under another: the water, how it went, the steps as a list, the step that is opened', async () => {
  const wide = await app.driver.manage().window().getRect();
  await app.driver.manage().window().setRect({ width: 500, height: 844 });
  try {
    await app.page.open('off-stilt-pontoon');
    await app.page.settled();
    const width = await app.driver.executeScript<[number, number]>(
      'return [innerWidth, document.documentElement.scrollWidth]',
    );
    expect(width[1]).toBeLessThanOrEqual(width[0]);
    const list = await app.page.text('[data-testid=step-list]');
    expect(list).toMatch(/turned \d+° to port/);
    await app.page.press("(//ol[@aria-label='Steps as a list']//button[@aria-pressed])[2]");
    const form = await app.page.find('form[aria-label="Step 2"]');
    await app.page.until(
      'the step in view',
      () =>
        app.driver.executeScript<number>('return arguments[0].getBoundingClientRect().top', form),
      (top) => top >= 0 && top < 400,
    );
    expect(await violations(app.driver)).toEqual([]);
  } finally {
    await app.driver.manage().window().setRect(wide);
  }
});
