import { By, Key } from 'selenium-webdriver';
import { App } from './support/app';
import { sweep } from './support/sweep';
import { violations } from './support/axe';

// Boats that give way, and anchors: put there, moved, tied to, named, taken away.

const app = App.forTests();

const press = (xpath: string) => app.page.press(xpath);
const text = (label: string) => app.page.text(`section[aria-label="${label}"]`);
const others = () => text('Other boats');
const value = async (label: string) =>
  (await app.page.find(`[aria-label="${label}"]`)).getAttribute('value');
const type = async (label: string, written: string) =>
  (await app.page.find(`[aria-label="${label}"]`)).sendKeys(
    Key.chord(Key.CONTROL, 'a'),
    written,
    Key.ENTER,
  );

sweep(
  'a raft is read out: what is touched, what carries, and the other boat by the boat’s name',
  async () => {
    await app.page.open('rafted-up-to-wicket');
    expect(await app.page.settled()).toMatch(/touch on Wicket/);
    expect(await text('The plan')).toContain('W. stern');
    await app.page.subject('Other boats');
    expect(await others()).toContain('long-keel ketch');
    expect(await violations(app.driver)).toEqual([]);
    await type('Name of the other boat', 'Bramble');
    await app.page.until(
      'the boat’s new name in the margins',
      () => app.page.margins(),
      (t) => /touch on Bramble/.test(t) && t.includes('Bramble: starboard midship cleat'),
    );
    await press("//button[@aria-label='Remove Bramble']");
    expect(await app.page.until('why not', others, (t) => t.includes('names Bramble'))).toMatch(
      /take that out first/,
    );
    await app.page.saved();
  },
);

sweep(
  'a boat is put down, moved by keys, tied to on the water, and taken away by undoing it',
  async () => {
    await app.page.open('quince-backs-out');
    await app.page.settled();
    await app.page.subject('Other boats');
    await press("//button[.='Add a boat']");
    await press("//button[@role='radio'][contains(., 'Pebble')]");
    await press("//button[.='Add this boat']");
    await app.page.until('the boat', others, (t) => t.includes('Run') || t.includes('twin-keel'));
    // Abreast of the boat in the slip it lies inside what is there: it says so, and where.
    const grip = await app.page.find('button[data-grip="other pebble"]');
    const before = Number(await value('Pebble: east'));
    await grip.sendKeys(Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    await app.page.until(
      'moved a metre east',
      () => value('Pebble: east'),
      (east) => Math.abs(Number(east) - before - 1) < 0.011,
    );
    await type('Pebble: east', '60');
    await type('Pebble: north', '0');
    await app.page.until(
      'a run with both',
      () => app.page.outcome(),
      (t) => t === 'Done',
    );
    await app.page.subject('Lines & crew');
    await press("//button[.='Rig a line on the water']");
    await (
      await app.page.find('button[aria-label="From the starboard bow cleat"]')
    ).sendKeys(Key.ENTER);
    expect(
      (await app.driver.findElements(By.css('button[aria-label="To Pebble: port bow cleat"]')))
        .length,
    ).toBe(1);
    expect(await violations(app.driver)).toEqual([]);
    await press("//button[.='Stop rigging']");
    await app.page.subject('Other boats');
    await press("//button[@aria-label='Remove Pebble']");
    await app.page.until('gone', others, (t) => t.includes('None that gives way'));
    await app.page.saved();
  },
);

sweep('an anchor is shipped, dropped in a step, and holds the boat', async () => {
  await app.page.open('waiting-for-the-gust');
  await app.page.settled();
  await app.page.subject('Lines & crew');
  await press("//button[.='Add an anchor']");
  await app.page.until(
    'the anchor',
    () => text('Lines and crew'),
    (t) => /\d+ kg anchor on \d+ mm chain/.test(t),
  );
  await press("(//section[@aria-label='The plan']//ol//button)[1]");
  await press("//button[.='anchor']");
  await app.page.until(
    'the anchor down',
    () => text('The plan'),
    (t) => t.includes('bow anchor down'),
  );
  expect(await violations(app.driver)).toEqual([]);
  await app.page.saved();
});
