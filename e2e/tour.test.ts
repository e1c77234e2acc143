import { App } from './support/app';
import { violations } from './support/axe';

// Somebody new is shown round: looks, changes the wind, sees it fail, has it mended, drives.

const app = App.forTests();
const press = (xpath: string) => app.page.press(xpath);
const told = () => app.page.text('section[aria-label="First time here"]');
const stage = (n: number) =>
  app.page.until(`stage ${n}`, told, (t) => t.startsWith(`${n} of 5`), 40_000);

it('from the start page, step by step, to the helm; and does not come back unasked', async () => {
  await app.driver.get(app.server.address);
  expect(await violations(app.driver)).toEqual([]);
  await press("//a[normalize-space()='Show me round']");
  await app.page.ready();
  expect(await stage(1)).toContain('press play');
  expect(await violations(app.driver)).toEqual([]);
  await press("//button[.='Play it']");
  await stage(2);
  // From 7 kn to 23: it fails from 16 on.
  for (let i = 0; i < 4; i++) await press("//button[.='Blow four knots harder']");
  await app.page.until('stage 3', told, (t) => t.startsWith('3 of 5'), 90_000);
  await press("//button[.='Blow as before']");
  await stage(4);
  await press("//section[@aria-label='First time here']//button[.='Rehearse']");
  expect(await stage(5)).toContain('Take the helm');
  await press("//section[@aria-label='First time here']//button[.='Close']");
  await app.page.saved();
  expect(await app.driver.getCurrentUrl()).not.toContain('tour');
  await app.driver.get(app.server.address);
  await app.page.find('section[aria-label="Opened last"]');
  expect(await app.page.text('main')).not.toContain('First time here');
}, 240_000);

it('left, it puts the manoeuvre back as it was', async () => {
  await app.driver.get(`${app.server.address}/m/off-stilt-pontoon?tour`);
  await app.page.ready();
  const wind = async () => {
    const answer = await fetch(`${app.server.address}/api/manoeuvres/off-stilt-pontoon`);
    return ((await answer.json()) as { manoeuvre: { conditions: { wind: unknown } } }).manoeuvre
      .conditions.wind;
  };
  const before = await wind();
  await press("//button[.='Play it']");
  await stage(2);
  await press("//button[.='Blow four knots harder']");
  await app.page.saved();
  expect(await wind()).not.toEqual(before);
  await press("//section[@aria-label='First time here']//button[.='Leave']");
  await app.page.saved();
  expect(await wind()).toEqual(before);
}, 60_000);

it('the guide is in the app, page by page, with its pictures', async () => {
  await app.driver.get(`${app.server.address}/guide`);
  await app.page.until(
    'the first page',
    () => app.page.text('article'),
    (t) => t.includes('First steps'),
  );
  expect(await violations(app.driver)).toEqual([]);
  await press("//nav[@aria-label='Guide']//a[.='Words']");
  await app.page.until(
    'the words',
    () => app.page.text('article'),
    (t) => t.includes('prop walk'),
  );
  expect(await violations(app.driver)).toEqual([]);
  const status = async (path: string) => (await fetch(`${app.server.address}${path}`)).status;
  expect(await status('/guide/pictures/plan')).toBe(200);
  expect(await status('/guide/pictures/..%2F..%2Fpackage')).toBe(404);
  expect(await status('/guide/no-such-page')).toBe(404);
});
