import { Key, until } from 'selenium-webdriver';
import { App } from './support/app';

// A newcomer's first ten minutes: a slip of one's own drawn, a boat chosen, a plan suggested, watched as the app steers by it, looked back at, and its card printed.

const app = App.forTests();
const press = (xpath: string) => app.page.press(xpath);
const text = (css: string) => app.page.text(css);
const at = () => app.driver.getCurrentUrl();
const phase = (name: string) => press(`//nav[@aria-label='Phases']//button[.='${name}']`);
const TEN_MINUTES_MS = 600_000;

it('takes a newcomer from an empty plan of the place to a printed card in less than ten minutes', async () => {
  const { driver, page } = app;
  const began = Date.now();
  await driver.get(`${app.server.address}/places`);
  await press("//button[normalize-space()='Draw a new place']");
  await driver.wait(async () => (await at()).includes('/places/new-place'), 20_000);
  const name = await driver.wait(
    until.elementLocated({
      xpath: "//label[span[normalize-space()='the place is called']]//input",
    }),
    15_000,
  );
  await name.sendKeys(Key.chord(Key.CONTROL, 'a'), 'Our slip', Key.TAB);
  await press("//div[@role='radiogroup']//label[normalize-space()='row of fingers']");
  for (const slip of [1, 2, 4, 5])
    await press(`//fieldset[legend='taken']//label[normalize-space()='${slip}']/input`);
  await press("//button[normalize-space()='Put the row there']");
  await page.saved();

  await press("//a[normalize-space()='Begin a manoeuvre here']");
  await driver.wait(async () => (await at()).includes('/new'), 20_000);
  await page.choose('Boat', 'Quince');
  await page.until(
    'the place that was drawn',
    () => text('form[aria-label="New manoeuvre"]'),
    (t) => t.includes('Our slip') && t.includes('slip 3'),
  );
  await press("//button[normalize-space()='Begin with a suggested plan'][not(@disabled)]");
  await driver.wait(async () => (await at()).includes('/m/'), 20_000);
  const suggested = await page.until(
    'a plan put in',
    () => text('section[aria-label="Suggest a plan"]'),
    (t) => t.includes('It stands in the plan'),
    120_000,
  );
  const [, held] = /Holds in (\d+) of 25 tries/.exec(suggested)!;
  expect(Number(held)).toBeGreaterThanOrEqual(24);
  await page.until(
    'a run that gets there',
    () => page.outcome(),
    (t) => t.startsWith('Done'),
    60_000,
  );

  await phase('Rehearse');
  await page.liveStatus('Ready');
  await press("//button[@aria-label='Who steers']");
  await press("//*[@role='option'][contains(., 'you watch')]");
  await press("//button[@data-testid='run']");
  await page.liveStatus('The app steers');
  await press("//button[.='4×']");
  await page.until(
    'steered there',
    () => text('[data-testid=live-status]'),
    (t) => t.includes('Done'),
    120_000,
  );

  await phase('Card');
  const card = await page.until(
    'the card',
    () => text('main'),
    (t) => t.includes('1'),
  );
  expect(card).toContain('Quince');
  await driver.executeScript('window.printed = 0; window.print = () => { window.printed += 1; };');
  await press("//button[contains(normalize-space(), 'Print')]");
  expect(await driver.executeScript('return window.printed')).toBe(1);
  expect(Date.now() - began).toBeLessThan(TEN_MINUTES_MS);
}, 360_000);
