import { Key, Origin, type WebElement } from 'selenium-webdriver';
import { App } from './support/app';
import { violations } from './support/axe';

// Steps moved in time on the staves.

const app = App.forTests();

const edge = (name: string) => app.page.find(`[role=slider][aria-label^="${name} begins"]`);
const valueOf = async (name: string) =>
  Number(await (await edge(name)).getAttribute('aria-valuenow'));
const said = async (name: string) => (await edge(name)).getAttribute('aria-valuetext');

/** Taken hold of in the middle, moved in four steps by so many px, let go. */
async function drag(handle: WebElement, by: number): Promise<void> {
  const { x, y, width, height } = await handle.getRect();
  const at = (share: number) => ({
    origin: Origin.VIEWPORT,
    x: Math.round(x + width / 2 + share * by),
    y: Math.round(y + height / 2),
  });
  const pointer = app.driver.actions().move(at(0)).press().pause(200);
  for (const share of [0.25, 0.5, 0.75, 1]) pointer.move(at(share)).pause(80);
  await pointer.pause(200).release().perform();
}

it('dragging where a beat begins writes the figure of its cue, and is undone as one', async () => {
  await app.page.open('alongside-wind-off');
  await app.page.settled();
  const before = await valueOf('Step 3');
  const words = await said('Step 3');
  await drag(await edge('Step 3'), 40);
  await app.page.until(
    'later',
    () => valueOf('Step 3'),
    (t) => t > before + 1.5,
  );
  expect(await said('Step 3')).not.toBe(words);
  await app.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await app.page.until(
    'as before',
    () => valueOf('Step 3'),
    (t) => t === before,
  );
  expect(await said('Step 3')).toBe(words);
  await app.page.saved();
});

it('arrow keys move it by half a second, and a cue without a figure says so', async () => {
  await app.page.open('alongside-wind-off');
  await app.page.settled();
  const before = await valueOf('Step 3');
  await (await edge('Step 3')).sendKeys(Key.ARROW_LEFT);
  await app.page.until(
    'earlier',
    () => valueOf('Step 3'),
    (t) => Math.abs(t - (before - 0.5)) < 0.35,
  );
  expect(await violations(app.driver)).toEqual([]);
  await app.page.saved();
  await app.page.open('bow-out-by-a-stern-spring');
  await app.page.settled();
  const stands = await valueOf('Step 2');
  await (await edge('Step 2')).sendKeys(Key.ARROW_RIGHT);
  expect(
    await app.page.until(
      'why not',
      () => app.page.text('section[aria-label="The plan"] [role=status]'),
      (t) => t !== '',
    ),
  ).toContain('no figure to move');
  expect(await valueOf('Step 2')).toBe(stands);
});
