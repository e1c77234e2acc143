import { By, Key } from 'selenium-webdriver';
import { App } from './support/app';

// Edits outlive a server that is not there and a tab that closes; workers that die are noticed and begun again.

const app = App.forTests();
const ID = 'alongside-wind-off';

interface Chrome {
  sendDevToolsCommand(command: string, parameters: object): Promise<void>;
}

/** Makes every worker of the pages that follow reachable from the page, as `window.workers`. */
async function watchWorkers(): Promise<void> {
  const source = `window.workers = [];
    window.Worker = class extends window.Worker {
      constructor(...given) { super(...given); window.workers.push(this); if (window.deadWorkers) this.terminate(); }
    };`;
  const driver = app.driver as unknown as Chrome;
  await driver.sendDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', { source });
}
const killWorkers = () =>
  app.driver.executeScript<number>(
    'const all = window.workers.splice(0); all.forEach((w) => w.terminate()); return all.length;',
  );

const note = async () => {
  const answer = await fetch(`${app.server.address}/api/manoeuvres/${ID}`);
  const { manoeuvre } = (await answer.json()) as {
    manoeuvre: { conditions: { wind: { speed_mps: number } } };
  };
  return manoeuvre.conditions.wind.speed_mps;
};
const wind = () => app.page.find('[data-grip="Wind"]');
const windNow = async () => (await wind()).getAttribute('aria-valuetext');
const warns = () =>
  app.driver.executeScript<boolean>(
    `const leaving = new Event('beforeunload', { cancelable: true }); window.dispatchEvent(leaving); return leaving.defaultPrevented;`,
  );
const left = () => app.driver.findElements(By.css('[data-testid=left-edits]'));

it('edits made while the server is not there are warned of, outlive the tab, and are offered again', async () => {
  const { driver } = app;
  await app.page.open(ID);
  await app.page.settled();
  expect(await warns()).toBe(false);
  const before = await note();
  await app.server.kill();
  for (let i = 0; i < 3; i++) await (await wind()).sendKeys(Key.ARROW_UP);
  const edited = await windNow();
  await app.page.until(
    'told',
    () => app.page.text('[data-testid=save]'),
    (text) => text.includes('not saved'),
  );
  expect(await warns()).toBe(true);
  await driver.switchTo().newWindow('tab');
  const [first, second] = await driver.getAllWindowHandles();
  await driver.switchTo().window(first!);
  await driver.close();
  await driver.switchTo().window(second!);
  await app.server.again();
  expect(await note()).toBe(before);

  await app.page.open(ID);
  expect(await windNow()).not.toBe(edited);
  await app.page.until('offered', left, (found) => found.length === 1);
  await app.page.press("//button[.='Use these edits']");
  await app.page.until('taken up', windNow, (text) => text === edited);
  await app.page.saved();
  expect(await note()).not.toBe(before);
  expect(await left()).toHaveLength(0);
  expect(await warns()).toBe(false);
}, 120_000);

it('a worker that dies while it computes is begun again: what is shown is of what is there', async () => {
  await watchWorkers();
  await app.page.open(ID);
  const before = await app.page.settled();
  await (await wind()).sendKeys(Key.ARROW_UP);
  await (await wind()).sendKeys(Key.ARROW_UP);
  expect(await killWorkers()).toBeGreaterThan(0);
  const after = await app.page.until(
    'computed anew',
    () => app.page.settled(),
    (text) => text !== before,
    60_000,
  );
  // The same as when nothing dies.
  await app.page.saved();
  await app.driver.navigate().refresh();
  await app.page.ready();
  expect(await app.page.settled()).toBe(after);
}, 120_000);

it('one that dies at rest is begun again when it is next wanted', async () => {
  await app.page.open(ID);
  const before = await app.page.settled();
  await killWorkers();
  await (await wind()).sendKeys(Key.ARROW_DOWN);
  await app.page.until(
    'computed',
    () => app.page.margins(),
    (text) => text !== before,
    60_000,
  );
}, 120_000);

it('at the helm the drive goes on from where it was last saved', async () => {
  await app.page.rehearse(ID);
  await app.driver.actions().sendKeys(' ').perform();
  await app.driver.sleep(2500);
  await killWorkers();
  const said = await app.page.until(
    'told',
    () => app.page.text('main'),
    (text) => text.includes('goes on from where it was last saved'),
    60_000,
  );
  expect(said).toContain('the computation stopped');
}, 120_000);
