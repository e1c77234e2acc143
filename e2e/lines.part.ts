import { By, Key } from 'selenium-webdriver';
import { App } from './support/app';
import { sweep } from './support/sweep';
import { violations } from './support/axe';

// Lines and crew: rigged on the water, named, handled in a step, and read out.

const app = App.forTests();

const press = (xpath: string) => app.page.press(xpath);
const lines = () => app.page.text('section[aria-label="Lines and crew"]');
const names = async () =>
  Promise.all(
    (await app.driver.findElements(By.css('[aria-label="Name of the line"]'))).map((input) =>
      input.getAttribute('value'),
    ),
  );

const choose = (label: string, start: string) => app.page.choose(label, start);

sweep(
  'lines of a demo are read out against what parts them, and what holds the boat is worked out',
  async () => {
    await app.page.open('sprung-off-the-pontoon');
    expect(await app.page.settled()).toContain('of what parts the bow spring');
    await app.page.subject('Lines & crew');
    expect(await names()).toEqual(['bow spring', 'stern line', 'bow line']);
    expect(await lines()).toContain('stops going ahead');
    const held = () => app.page.text('section[aria-label="What holds the boat"]');
    expect(
      await app.page.until('what holds the boat', held, (t) => t.includes('If one parts')),
    ).toMatch(/Nothing takes the boat off/);
    await choose('Engine', 'a quarter astern');
    expect(await app.page.text('section[aria-label="What lines carry"]')).toMatch(
      /bow spring\s+\d+ N .* of what parts it/,
    );
    await app.page.until('the load of motoring', held, (t) => /bow line\s+\d+ N/.test(t));
    expect(await violations(app.driver)).toEqual([]);
  },
);

it('a line is rigged on the water by keys, named for its lead, and undone as one edit', async () => {
  await app.page.open('quince-backs-out');
  await app.page.settled();
  await app.page.subject('Lines & crew');
  await press("//button[.='Rig a line on the water']");
  await (
    await app.page.find('button[aria-label="From the starboard midship cleat"]')
  ).sendKeys(Key.ENTER);
  const end = await app.page.find('button[aria-label="To south cleat 7 west"]');
  expect(await violations(app.driver)).toEqual([]);
  await end.sendKeys(Key.ENTER);
  expect(await app.page.until('the line', names, (n) => n.length === 1)).toEqual(['breast line']);
  await press("//button[.='Stop rigging']");
  // Made fast all the while, the boat does not get away any more.
  await app.page.until(
    'held',
    () => app.page.outcome(),
    (t) => t !== 'Done',
  );
  await app.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await app.page.until('the line gone', names, (n) => n.length === 0);
  await app.page.until(
    'away again',
    () => app.page.outcome(),
    (t) => t === 'Done',
  );
  await app.page.saved();
});

sweep(
  'a line let go in a step is told in the lane of hands; a name goes through the plan; one in use stays',
  async () => {
    await app.page.open('sprung-off-the-pontoon');
    await app.page.settled();
    const first = (await app.driver.findElements(By.css('[aria-label="Name of the line"]')))[0]!;
    await first.sendKeys(Key.chord(Key.CONTROL, 'a'), 'head spring', Key.ENTER);
    await app.page.until(
      'the new name in the margins',
      () => app.page.margins(),
      (t) => t.includes('of what parts the head spring'),
    );
    expect(await app.page.text('section[aria-label="The plan"]')).toContain('head spring let go');
    await press("//button[@aria-label='Take out the head spring']");
    await app.page.until('why not', lines, (t) => t.includes('Step 3 uses the head spring'));
    await first.sendKeys(Key.chord(Key.CONTROL, 'a'), 'bow line', Key.ENTER);
    await app.page.until('the name refused', lines, (t) => /used twice/.test(t));
    await first.sendKeys(Key.chord(Key.CONTROL, 'a'), 'head spring', Key.ENTER);
    await app.page.saved();
  },
);

sweep('somebody is put aboard and an order given them in a step', async () => {
  await app.page.open('off-stilt-pontoon');
  await app.page.settled();
  await press("//button[.='Add somebody']");
  await app.page.until('somebody', lines, (t) => t.includes('aboard, helm'));
  const steps = await app.driver.findElements(By.css('section[aria-label="The plan"] button'));
  expect(steps.length).toBeGreaterThan(2);
  await press(
    "(//section[@aria-label='The plan']//button[contains(., 'let go, let the boat drop off')])[1]",
  );
  await press("//button[.='go to']");
  await choose('Place', 'bow');
  await app.page.until(
    'the helm left alone',
    () => app.page.margins(),
    (t) => t.includes('nobody at the helm'),
  );
  await app.page.saved();
});
