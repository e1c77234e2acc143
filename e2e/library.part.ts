import { mkdtempSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { App } from './support/app';
import { violations } from './support/axe';

// Everything kept as one file and taken in again; a copy of the database restored.

const app = App.forTests();
const press = (xpath: string) => app.page.press(xpath);
const text = (css: string) => app.page.text(css);
const titles = async () => {
  const answer = await fetch(app.server.address);
  if (!answer.ok) throw new Error(`the start page answered ${answer.status}`);
  return (await answer.text()).includes('Off the wall');
};
const aside = () =>
  fetch(`${app.server.address}/api/manoeuvres/off-the-wall`, { method: 'DELETE' });
const said = (what: string) =>
  app.page.until(
    what,
    () => text('section[aria-label="One file"] [role=status]'),
    (t) => t.includes(what),
  );

it('looks into an archive before anything is changed, takes it in beside, and says what is wrong with a bad one', async () => {
  const answer = await fetch(`${app.server.address}/api/library`);
  const folder = mkdtempSync(join(tmpdir(), 'yawtrope-library-'));
  const path = join(folder, 'all.zip');
  writeFileSync(path, Buffer.from(await answer.arrayBuffer()));
  expect((await aside()).status).toBe(204);
  expect(await titles()).toBe(false);
  await app.driver.get(`${app.server.address}/library`);
  const give = async (file: string) =>
    (await app.driver.findElement({ css: 'input[aria-label="Archive file"]' })).sendKeys(file);
  await give(path);
  const looked = await app.page.until('looked', () => text('[data-testid=looked]'), Boolean);
  const shipped = readdirSync(join(process.cwd(), 'demo', 'manoeuvres')).length;
  expect(looked).toContain(`manoeuvres 0 ${shipped} 0`);
  expect(await violations(app.driver)).toEqual([]);
  expect(await titles()).toBe(false);
  await press("//button[.='Import beside what is here']");
  await said('Imported');
  expect(await titles()).toBe(true);

  const bad = join(folder, 'bad.zip');
  writeFileSync(bad, 'no zip at all');
  await give(bad);
  await app.page.until(
    'refused',
    () => text('main [role=alert]'),
    (t) => t.includes('not a ZIP file'),
  );
}, 60_000);

it('restores a copy, asked twice', async () => {
  await app.driver.get(`${app.server.address}/library`);
  await press("//button[.='Back up now']");
  await said('Backed up');
  expect((await aside()).status).toBe(204);
  expect(await titles()).toBe(false);
  await app.driver.navigate().refresh();
  await press("(//section[@aria-label='Copies']//li//button[.='restore'])[1]");
  await press("//button[.='Yes, replace everything here']");
  await said('Restored');
  await app.page.until('its title back on the start page', titles, Boolean);
}, 60_000);
