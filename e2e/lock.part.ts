import { App } from './support/app';
import { sweep } from './support/sweep';
import { violations } from './support/axe';

// A lock worked on its bench: gates against a head, down with the stern over the cill, saved by filling again.

const app = App.forTests();
const press = (xpath: string) => app.page.press(xpath);
const told = (what: string, good: (text: string) => boolean) =>
  app.page.until(what, () => app.page.text('[data-testid=lock-told]'), good);

sweep(
  'refuses gates against a head, warns before the boat hangs on the cill, and is saved by filling again',
  async () => {
    await app.driver.get(`${app.server.address}/places/withen-lock`);
    await press("//summary[contains(.,'All objects')]");
    await press("//button[starts-with(normalize-space(),'Withen Lock')]");
    await press("//button[.='Work this lock']");
    await app.page.choose('Boat', 'Pebble');
    await app.page.until(
      'what it means for the boat',
      () => app.page.text('[data-testid=lock-brief]'),
      (text) => /Going down.*‰ of the boat’s weight/s.test(text),
    );
    expect(await violations(app.driver)).toEqual([]);
    await press("//button[@aria-label='upper gates: open']");
    await told('refused', (text) => text.includes('do not move: 2.6 m'));
    await press("//button[.='begin full']");
    const from = await app.driver.findElement({
      xpath: "//label[.='from the upper gates']/following-sibling::input",
    });
    await from.clear();
    await from.sendKeys('0.5\t');
    await press("//button[@aria-label='lower gate, north: full']");
    await press("//button[@aria-label='lower gate, south: full']");
    await press("//button[@aria-label='Let it run']");
    await told('warned', (text) => /\d+ s until the boat is on the cill.*emptying/s.test(text));
    await press("//button[@aria-label='lower gate, north: shut']");
    await press("//button[@aria-label='lower gate, south: shut']");
    await press("//button[@aria-label='upper ground, north: full']");
    await told('saved', (text) => text.includes('filling') && !text.includes('cill'));
  },
  90_000,
);

it('a passage is begun at a lock: the boat stands before the open gates, and the technique for it is offered', async () => {
  await app.driver.get(`${app.server.address}/new?place=withen-lock`);
  await app.page.choose('Boat', 'Quince');
  await app.page.press("//label[contains(., 'go up through Withen Lock')]//input");
  expect(await violations(app.driver)).toEqual([]);
  await app.page.press("//button[.='Begin']");
  await app.driver.wait(async () => (await app.driver.getCurrentUrl()).includes('/m/'), 20_000);
  await app.page.ready();
  await app.page.until(
    'what it asks',
    () => app.page.text('main'),
    (t) => t.includes('of the boat’s way through still to go'),
  );
  await app.page.until(
    'the technique',
    () => app.page.text('section[aria-label=Techniques]'),
    (t) => t.includes('Through the lock') && !t.includes('Astern straight out\n'),
  );
  // A boat that does not go in is refused before anything is begun.
  await app.driver.get(`${app.server.address}/new?place=cobnut-lock`);
  await app.page.choose('Boat', 'Marram');
  await app.page.press("//label[contains(., 'go down through Cobnut Lock')]//input");
  await app.page.until(
    'refused',
    () => app.page.text('form [role=alert]'),
    (t) => t.includes('does not go into the chamber'),
  );
  const begin = await app.page.find('form button[type=submit]');
  expect(await begin.isEnabled()).toBe(false);
}, 90_000);
