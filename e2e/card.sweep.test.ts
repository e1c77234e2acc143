import { By, Key } from 'selenium-webdriver';
import { App } from './support/app';
import { violations } from './support/axe';

// The card: steps, what hurts, and lists ticked off, kept with the manoeuvre; one that fails says so.

const app = App.forTests();
/** Every lock is tried at its gates before there are lists; two boats in one on a busy machine take their time. */
const LOOKED_INTO_MS = 60_000;
const page = () => app.page;
const card = (id: string) => app.driver.get(`${app.server.address}/m/${id}?do=card`);
const list = (name: string) => page().text(`section[aria-label='${name}']`);

it('has the sheets of a passage alone and down, ticked by keyboard and kept', async () => {
  await card('quince-alone-down-withen-lock');
  await page().until(
    'the sheets',
    () => page().text('[data-testid=card]'),
    (text) => text.includes('In the lock, going down') && text.includes('Alone'),
    LOOKED_INTO_MS,
  );
  expect(await page().text('[data-testid=card]')).toMatch(/Rehearsed: past the lower gates/);
  expect(await list('In the lock, going down')).toMatch(
    /stern forward of the cill mark: [\d.]+ m over/,
  );
  expect(await list('Steps')).toMatch(/Withen Lock level with the water below/);
  expect(await violations(app.driver)).toEqual([]);

  const box = await app.driver.findElement(
    By.css("section[aria-label='In the lock, going down'] input[type=checkbox]"),
  );
  await app.driver.executeScript('arguments[0].focus()', box);
  await box.sendKeys(Key.SPACE);
  await page().until(
    'ticked',
    () => list('In the lock, going down'),
    (text) => /7 of 8 to do/.test(text),
  );
  await page().press("//button[@aria-label='larger type']");
  await page().until(
    'kept',
    () => page().text('header'),
    (text) => /saved/.test(text),
  );
  await card('quince-alone-down-withen-lock');
  await page().until(
    'still ticked',
    () => list('In the lock, going down'),
    (text) => /7 of 8 to do/.test(text),
    LOOKED_INTO_MS,
  );
  await page().press("//section[@aria-label='In the lock, going down']//button[.='untick them']");
  await page().until(
    'unticked',
    () => list('In the lock, going down'),
    (text) => /8 of 8 to do/.test(text),
  );
}, 240_000);

it('shared, it says who goes first; and in too much wind that it is no card to go by', async () => {
  await card('pebble-shares-withen-lock');
  await page().until(
    'the sheet',
    () => page().text('[data-testid=card]'),
    (text) => /Sharing it[\s\S]*fits in with [\d.]+ m over/.test(text),
    LOOKED_INTO_MS,
  );
  await page().press("//nav[@aria-label='Phases']//button[.='Plan']");
  await page().subject('Conditions');
  await page().fill('Wind speed', '38');
  await page().press("//nav[@aria-label='Phases']//button[.='Card']");
  await page().until(
    'it fails',
    () => page().text('[data-testid=card]'),
    (text) => /fails: .*Not a card to go by/.test(text),
    LOOKED_INTO_MS,
  );
}, 240_000);
