import { By, Key, Origin } from 'selenium-webdriver';
import { App } from './support/app';
import { sweep } from './support/sweep';
import { violations } from './support/axe';

// Brief, way out, what-if and the plan's newer tools, as a user meets them.

const app = App.forTests();
const ID = 'alongside-wind-off';

const press = (text: string) => app.page.press(`//button[normalize-space()='${text}']`);
const label = (name: string) => app.page.press(`//button[@aria-label='${name}']`);

const panel = (name: string) => app.page.text(`section[aria-label="${name}"]`);

sweep(
  'says the way out at every moment and the wind it fails in, and both follow the wind',
  async () => {
    await app.page.open(ID);
    const margins = await app.page.until(
      'the survey',
      () => app.page.margins(),
      (t) => t.includes('wind at which this fails') && t.includes('way out'),
    );
    expect(margins).toMatch(/\d+ kn\s+wind at which this fails/);
    expect(await app.page.text('[data-testid=way-out-now]')).toMatch(/to spare from|hold the boat/);
    const wind = await app.page.find('[data-grip="Wind"]');
    for (let i = 0; i < 8; i++) await wind.sendKeys(Key.ARROW_UP);
    await app.page.until(
      'a wind it fails in',
      () => app.page.margins(),
      (t) => t.includes('fails in this wind already'),
    );
    for (let i = 0; i < 8; i++) await wind.sendKeys(Key.ARROW_DOWN);
    await app.page.saved();
  },
);

sweep('keeps gusts when the wind is dragged', async () => {
  const gusty = 'off-stilt-pontoon';
  const wind = () =>
    app.driver.executeAsyncScript<Record<string, unknown>>(
      `const done = arguments[1];
       fetch('/api/manoeuvres/' + arguments[0] + '/file').then((r) => r.json()).then((f) => done(f.conditions.wind));`,
      gusty,
    );
  await app.page.open(gusty);
  await (await app.driver.findElement(By.xpath("//summary[contains(., 'Gusts')]"))).click();
  await app.page.fill('Gusts, spread of the wind’s speed', '20');
  await app.page.saved();
  const before = await wind();
  expect(before.gusts).toBeDefined();
  await (await app.page.find('[data-grip="Wind"]')).sendKeys(Key.ARROW_RIGHT);
  await app.page.saved();
  const after = await wind();
  expect(after.from_deg).not.toBe(before.from_deg);
  expect(after.gusts).toEqual(before.gusts);
  await label('Undo (Ctrl Z)');
  await label('Undo (Ctrl Z)');
  await app.page.saved();
});

it('briefs: what pushes the boat, what it can do, each with its reason; ticks are kept', async () => {
  await app.page.open(ID);
  await press('Brief');
  const told = () => app.page.text('section[aria-label="In short"]');
  expect(await app.page.until('in short', told, (t) => t.includes('way out'))).toMatch(
    /pushes the boat .*\n.*anger lies to starboard/s,
  );
  await app.page.unfold('What the boat can do here');
  await app.page.unfold('What pushes the boat');
  await app.page.unfold('Make ready');
  await app.page.until(
    'the brief',
    () => panel('What the boat can do here'),
    (t) => t.includes('the boat stops in'),
  );
  expect(await panel('What pushes the boat')).toMatch(/danger to starboard, safe to port/);
  await app.page.find('[data-testid=lee-sides]');
  const stop = await app.driver.findElement(
    By.xpath("//summary[contains(., 'the boat stops in')]"),
  );
  await stop.click();
  expect(await panel('What the boat can do here')).toMatch(/Simulated in this wind/);
  const box = await app.driver.findElement(By.xpath("//label[contains(., 'roving fender')]/input"));
  await box.click();
  await app.page.saved();
  expect(await violations(app.driver)).toEqual([]);
  const kept = await fetch(`${app.server.address}/api/manoeuvres/${ID}`);
  const { manoeuvre } = (await kept.json()) as { manoeuvre: { ready: string[] } };
  expect(manoeuvre.ready).toHaveLength(1);
  await box.click();
  await app.page.saved();
});

sweep('holds a run and says what differs when hands are late; nothing of it is saved', async () => {
  await app.page.open(ID);
  await app.page.settled();
  await press('What if');
  await app.page.find('[data-testid=reference]');
  const late = await app.page.find('[role=slider][aria-label="What if: Crew late by"]');
  for (let i = 0; i < 6; i++) await late.sendKeys(Key.ARROW_RIGHT);
  const said = await app.page.until(
    'the difference',
    () => panel('Compared with the run held'),
    (t) => /outcome\s+done → /.test(t),
  );
  expect(said).toMatch(/the ways part/);
  expect(await violations(app.driver)).toEqual([]);
  await press('A sheet of winds …');
  await app.page.until(
    'the sheet',
    () => app.page.text('[role=dialog]'),
    (t) => /\d+ of 32 succeed/.test(t),
  );
  expect(await violations(app.driver)).toEqual([]);
  await press('Close');
  await press('Plan');
  await app.page.until(
    'as written again',
    () => app.page.outcome(),
    (t) => t === 'Done',
  );
  await app.driver.navigate().refresh();
  await app.page.ready();
  expect(await app.page.outcome()).toBe('Done');
});

sweep('holds a run while the plan is changed, until it is let go', async () => {
  await app.page.open(ID);
  await app.page.settled();
  await press('What if');
  await press('Compare with this run');
  await press('Plan');
  expect(await panel('Compared with the run held')).toMatch(/Nothing differs yet/);
  await app.page.openStep(3);
  await app.page.fill('Distance', '14');
  await app.page.until(
    'the difference',
    () => panel('Compared with the run held'),
    (t) => t.includes('the ways part'),
  );
  await press('stop comparing');
  expect(await app.driver.findElements(By.css('[data-testid=reference]'))).toHaveLength(0);
  await label('Undo (Ctrl Z)');
  await app.page.saved();
});

sweep('fits the numbers of a plan to a stronger wind, as one edit', async () => {
  await app.page.open(ID);
  await app.page.settled();
  const wind = await app.page.find('[data-grip="Wind"]');
  for (let i = 0; i < 2; i++) await wind.sendKeys(Key.ARROW_UP);
  await app.page.until(
    'it fails',
    () => app.page.outcome(),
    (t) => t !== 'Done',
  );
  await app.page.settled();
  await press('Tune the numbers');
  await app.driver.wait(
    async () => /outcome\s+.* → done/.test(await panel('Tune')),
    60000,
    'fitted',
  );
  expect(await app.page.outcome()).toBe('Done');
  await label('Undo (Ctrl Z)');
  await app.page.until(
    'as it was',
    () => app.page.outcome(),
    (t) => t !== 'Done',
  );
  for (let i = 0; i < 2; i++) await label('Undo (Ctrl Z)');
  await app.page.saved();
});

sweep('picks a mark on the water for a cue, and undo gives the old one back', async () => {
  await app.page.open(ID);
  await app.page.openStep(3);
  await label('Mark: pick on the water');
  await label('pile 5');
  const cue = () => app.page.text('ol[aria-label="Steps"] li:nth-child(3)');
  await app.page.until('the new mark', cue, (t) => t.includes('bow 9 m off p'));
  await label('Undo (Ctrl Z)');
  await app.page.until('the old mark', cue, (t) => t.includes('bow 9 m off l'));
  await label('Mark: pick on the water');
  await app.driver.actions().sendKeys(Key.ESCAPE).perform();
  expect(await app.driver.findElements(By.css('[data-testid=pick]'))).toHaveLength(0);
  await app.page.saved();
});

it('moves and turns the start on the water by hand and by keys', async () => {
  const { driver } = app;
  await app.page.open(ID);
  const before = await app.page.settled();
  const grip = await app.page.find('[data-grip="start"]');
  const from = await grip.getRect();
  await driver
    .actions()
    .move({ origin: grip })
    .press()
    .move({ origin: Origin.POINTER, x: -4, y: 2, duration: 40 })
    .move({ origin: Origin.POINTER, x: -26, y: 10, duration: 80 })
    .release()
    .perform();
  const to = await (await app.page.find('[data-grip="start"]')).getRect();
  expect(Math.abs(to.x - from.x + 30)).toBeLessThan(3);
  expect(Math.abs(to.y - from.y - 12)).toBeLessThan(3);
  expect(await app.page.settled()).not.toBe(before);
  await label('Undo (Ctrl Z)');
  await app.page.until(
    'put back as one',
    () => app.page.settled(),
    (t) => t === before,
  );
  const heading = await app.page.find('[data-grip="start heading"]');
  await heading.sendKeys(Key.ARROW_RIGHT);
  expect(
    await (await app.page.find('[data-grip="start heading"]')).getAttribute('aria-label'),
  ).toMatch(/at the start, 83°/);
  await label('Undo (Ctrl Z)');
  await app.page.saved();
});

sweep('lists the steps, moves one by keys, splits one at the playhead', async () => {
  const { driver } = app;
  await app.page.open(ID);
  await app.page.settled();
  await label('Show the steps as a list');
  const rows = () =>
    driver
      .findElements(By.css('ol[aria-label="Steps as a list"] li'))
      .then((list) => Promise.all(list.map((row) => row.getText())));
  const before = await rows();
  expect(before.length).toBe(6);
  expect(await violations(app.driver)).toEqual([]);
  const handle = await app.page.find('button[aria-label^="Move step 2"]');
  await handle.sendKeys(Key.SPACE);
  await driver.sleep(300);
  await driver.actions().sendKeys(Key.ARROW_DOWN).perform();
  await driver.sleep(300);
  await driver.actions().sendKeys(Key.SPACE).perform();
  await app.page.until('moved', rows, (now) => /neutral, carry/.test(now[1] ?? ''));
  await label('Undo (Ctrl Z)');
  await app.page.until('back', rows, (now) => /hold the angle/.test(now[1] ?? ''));
  await label('Show the staves');

  await app.page.openStep(1);
  const playhead = await app.page.find('[aria-label="Playhead"]');
  await playhead.sendKeys(Key.PAGE_DOWN);
  await label('Duplicate this step');
  await app.page.find('form[aria-label="Step 2"]');
  await label('Undo (Ctrl Z)');
  await app.page.openStep(1);
  await playhead.sendKeys(Key.PAGE_DOWN);
  await label('Split at the playhead');
  await app.page.find('form[aria-label="Step 2"]');
  await label('Undo (Ctrl Z)');
  await app.page.saved();
});

sweep('names what is worth a second look, and sets it aside for good', async () => {
  await app.page.open(ID);
  await app.page.openStep(5);
  const seconds = await app.driver.findElements(
    By.css('input[aria-label="Seconds after the cue"]'),
  );
  await seconds[1]!.click();
  await seconds[1]!.sendKeys(Key.chord(Key.CONTROL, 'a'), '0');
  await app.page.until(
    'the finding',
    () => panel('Worth a second look'),
    (t) => t.includes('when the gear takes hold'),
  );
  const aside = await app.page.find('button[aria-label^="Set aside: the wheel"]');
  await aside.click();
  await app.page.until(
    'set aside',
    () => panel('Worth a second look'),
    (t) => /set aside; show/.test(t) && !t.includes('when the gear takes hold'),
  );
  await app.page.saved();
  await app.driver.navigate().refresh();
  await app.page.ready();
  await app.page.until(
    'still aside',
    () => panel('Worth a second look'),
    (t) => /set aside; show/.test(t),
  );
});
