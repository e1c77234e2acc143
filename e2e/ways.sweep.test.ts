import { Key } from 'selenium-webdriver';
import { App } from './support/app';
import { violations } from './support/axe';

// Ways of doing a manoeuvre, tried and set side by side; and forces in other units.

const app = App.forTests();
const SECTION = 'section[aria-label="Ways of doing it"]';
const press = (xpath: string) => app.page.press(xpath);
const heads = () => app.page.text('ol[aria-label="Steps"]');

/** Waits longer than the page does elsewhere: every technique takes seconds. */
async function through(): Promise<string> {
  for (let waited = 0; waited < 240; waited++) {
    const text = await app.page.text(SECTION);
    if (text.includes('Try every way here')) return text;
    await app.driver.sleep(500);
  }
  throw new Error('not through in two minutes');
}

it('every way that fits is tried, one is written in, and undone as one edit', async () => {
  await app.page.open('waiting-for-the-gust');
  await app.page.settled();
  const before = await heads();
  await press("//nav//button[.='Brief']");
  await app.page.unfold('Ways of doing it');
  await app.page.find(SECTION);
  await press("//button[.='Try every way here']");
  await app.page.until(
    'it says which of how many',
    () => app.page.text(SECTION),
    (t) => /1 of \d/.test(t),
  );
  const found = await through();
  expect(found).toContain('Stop straight');
  expect(found).toMatch(/gets there, [\d.]+ m clear/);
  expect(await violations(app.driver)).toEqual([]);
  await press("//button[starts-with(@aria-label, 'Write in ')]");
  expect(await app.page.text(SECTION)).toContain('stands in the plan');
  await app.page.until('another plan', heads, (t) => t !== before);
  await app.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await app.page.until('the old plan', heads, (t) => t === before);
  await app.page.saved();
});

it('forces are shown in newtons, kilograms-force or pounds-force', async () => {
  await app.page.open('sprung-off-the-pontoon');
  await app.page.settled();
  const margins = () => app.page.margins();
  expect(await margins()).toMatch(/\d N of \d+ kN/);
  const unit = () => app.page.find('button[aria-label^="Forces in"]');
  await (await unit()).click();
  expect(await app.page.until('kgf', margins, (t) => t.includes('kgf'))).toMatch(
    /\d kgf of \d+ kgf/,
  );
  await (await unit()).click();
  await app.page.until('lbf', margins, (t) => t.includes('lbf'));
  await (await unit()).click();
  await app.page.until('N', margins, (t) => /\d N of/.test(t));
});
