import { App } from './support/app';
import { violations } from './support/axe';

// A lock shared with another boat, and two locks in one staircase, as they stand in brief, plan and section.

const app = App.forTests();
const margins = () => app.page.margins();
const brief = () => app.page.press("//nav[@aria-label='Phases']//button[.='Brief']");

/** A brief of locks is long to compute. */
async function later(css: string, what: string): Promise<string> {
  let text = '';
  const read = () =>
    app.driver.executeScript<string>(
      'return document.querySelector(arguments[0])?.textContent ?? ""',
      css,
    );
  await app.driver.wait(async () => (text = await read()).includes(what), 90_000, what);
  return text;
}

it('a lock shared: who is first and why, the wall that is left, and a cue that waits for the boat', async () => {
  await app.page.open('pebble-shares-withen-lock');
  await app.page.until('done', margins, (t) => t.includes('Done'));
  await brief();
  const shares = await later('[data-testid=shares]', 'Wicket');
  expect(shares).toMatch(/fits in beside the boat with \d\.\d m over/);
  expect(shares).toContain('lies in it already');
  expect(await app.page.text('[data-testid=lock-ahead]')).toContain(
    'Wicket lies to the other wall',
  );
  expect(await violations(app.driver)).toEqual([]);
  // The boat's own line comes off when Wicket is through: not before, and not at all while Wicket is waited for to stop.
  await app.page.press("//nav[@aria-label='Phases']//button[.='Plan']");
  expect(await app.page.text('ol[aria-label="Steps"]')).toContain(
    'Wicket: stern abreast of Withen Lock, upper gates',
  );
  await app.page.openStep(10);
  await app.page.choose('Cue', 'stopped');
  await app.page.choose('Which boat', 'Wicket');
  expect(await violations(app.driver)).toEqual([]);
  const waits = await app.page.until('waits', margins, (t) => !t.includes('Done'));
  expect(waits).toContain('Waiting still');
  expect(await app.page.text('ol[aria-label="Steps"]')).toContain('Wicket stopped');
}, 180_000);

it('a staircase: its order in the brief, both chambers in one section, and what comes of the wrong order', async () => {
  await app.page.open('nell-up-medlar-stairs');
  await app.page.until('done', margins, (t) => t.includes('Done'));
  const section = 'section[aria-label$="long section"]';
  await later(section, 'Medlar Bottom Lock');
  await later(section, 'Medlar Top Lock');
  await brief();
  const stair = await later('[data-testid=stair]', 'staircase');
  expect(stair).toContain('Medlar Bottom Lock is filled with the water of Medlar Top Lock');
  expect(await violations(app.driver)).toEqual([]);
  // The upper chamber empty: there is no water to fill the lower one with.
  await app.page.press("//nav[@aria-label='Phases']//button[.='Plan']");
  await app.page.subject('Conditions');
  await app.page.choose('Medlar Top Lock is', 'set below, gates');
  const missed = await app.page.until('missed', margins, (t) => !t.includes('Done'));
  expect(missed).not.toContain('Done');
  await brief();
  await later('[data-testid=stair]', 'fill Medlar Top Lock first');
}, 180_000);
