import { By, Key } from 'selenium-webdriver';
import { App } from './support/app';
import { violations } from './support/axe';

// A newcomer makes a manoeuvre for a berth from nothing, by pressing only, and has a technique written in.

const app = App.forTests();

const press = (xpath: string) => app.page.press(xpath);
const techniques = () => app.page.text('section[aria-label="Techniques"]');
const at = () => app.driver.getCurrentUrl();

const choose = (label: string, start: string) => app.page.choose(label, start);

it('finds a manoeuvre on the start page by words of it', async () => {
  await app.driver.get(app.server.address);
  const list = 'main';
  await app.page.fill('Find a manoeuvre', 'fennick piles');
  const text = await app.page.until(
    'one left',
    () => app.page.text(list),
    (t) => !t.includes('Brisling'),
  );
  expect(text).toContain('Two piles and a following wind');
  await app.page.fill('Find a manoeuvre', 'no such thing');
  expect(await app.page.text('main [role=status]')).toMatch(/No manoeuvre matches/);
  expect(await violations(app.driver)).toEqual([]);
});

it('from the start page to a run that gets there', async () => {
  await app.driver.get(app.server.address);
  await press("//a[normalize-space()='New manoeuvre']");
  await app.page.find('form[aria-label="New manoeuvre"]');
  expect(await violations(app.driver)).toEqual([]);
  await choose('Place', 'Stilt Pontoon');
  await choose('Berth', 'west gap');
  await choose('Boat', 'Quince');
  await press("//label[normalize-space()='port side to']/input");
  await press("//button[normalize-space()='Begin without a plan']");
  await app.driver.wait(async () => (await at()).includes('/m/'), 20000);
  await app.page.ready();
  expect(
    await app.page.written(
      "//section[@aria-label='Techniques']//button[contains(., 'by wheel and gear')]",
    ),
  ).toContain('stands in the plan');
  await app.page.until(
    'a run that gets there',
    () => app.page.outcome(),
    (text) => text.startsWith('Done'),
  );
  expect(await violations(app.driver)).toEqual([]);
  // One edit, undone like any other.
  await app.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await app.page.until(
    'undone',
    () => app.page.outcome(),
    (text) => !text.startsWith('Done'),
  );
  await app.page.saved();
});

it('from a new manoeuvre to a suggested plan that stands in it', async () => {
  await app.driver.get(`${app.server.address}/new`);
  await choose('Place', 'Stilt Pontoon');
  await choose('Berth', 'west gap');
  await choose('Boat', 'Quince');
  await press("//label[normalize-space()='port side to']/input");
  await press("//button[normalize-space()='Begin with a suggested plan'][not(@disabled)]");
  await app.driver.wait(async () => (await at()).includes('/m/'), 20000);
  await app.page.ready();
  const panel = 'section[aria-label="Suggest a plan"]';
  await app.page.until(
    'a plan put in',
    () => app.page.text(panel),
    (text) => text.includes('It stands in the plan'),
    120_000,
  );
  expect(await app.page.text(panel)).toMatch(
    /Holds in \d+ of 25 tries: between \d+ and \d+ of 100/,
  );
  expect(await at()).not.toContain('suggest');
  await app.page.until(
    'a run that gets there',
    () => app.page.outcome(),
    (text) => text.startsWith('Done'),
    60_000,
  );
  expect(await violations(app.driver)).toEqual([]);
  await app.page.saved();
});

it('says before it is begun when a boat does not fit, and refuses it', async () => {
  await app.driver.get(`${app.server.address}/new`);
  await choose('Place', 'Stilt Pontoon');
  await choose('Berth', 'west gap');
  await choose('Boat', 'Tamarack Nell');
  expect(await app.page.text('form [role=alert]')).toMatch(/would lie [\d.]+ m inside/);
  await press("//button[normalize-space()='Begin without a plan']");
  await app.page.until(
    'refused',
    () => app.page.text('form'),
    (text) => text.includes('The manoeuvre was not begun; nothing has changed.'),
  );
  expect(await at()).toMatch(/\/new$/);
});

it('plays a tempting way against the one that is written', async () => {
  await app.page.open('round-in-the-basin');
  await press("//button[normalize-space()='Play it against this run']");
  await app.page.until(
    'the failing take',
    () => app.page.outcome(),
    (text) => text === 'Not there',
  );
  expect(await app.page.text('section[aria-label="A tempting way"]')).toContain(
    'walks against the turn',
  );
  expect(await app.page.text('section[aria-label="Compared with the run held"]')).not.toBe('');
  await app.page.saved();
});

it('remembers the school picked in the brief', async () => {
  await app.page.open('alongside-wind-off');
  await press("//nav//button[normalize-space()='Brief']");
  await app.page.unfold('What to do');
  const spring = "//label[contains(., 'spring from amidships')]/input";
  await app.page.until(
    'the lines weighed',
    () => app.page.text('section[aria-label="What to do"]'),
    (text) => text.includes('holds the boat best') && text.includes('never touch the throttle'),
  );
  expect(await violations(app.driver)).toEqual([]);
  await press(spring);
  await app.page.saved();
  await app.page.open('alongside-wind-off');
  await press("//nav//button[normalize-space()='Brief']");
  await app.page.unfold('What to do');
  await app.page.until(
    'the brief again',
    async () => (await app.driver.findElement(By.xpath(spring))).isSelected(),
    (picked) => picked,
  );
});

it('keeps steps as a technique of one’s own and has it written in elsewhere', async () => {
  await app.page.open('tug-by-her-gears');
  await app.page.fill('Name of your technique', 'By the outer screw');
  await press("//button[normalize-space()='Save as a technique']");
  const own =
    "//ul[@aria-label='Your own techniques']//button[normalize-space()='By the outer screw']";
  await app.page.until(
    'kept',
    () => techniques(),
    (text) => text.includes('By the outer screw is kept.'),
  );
  await app.page.open('two-hulls-in-a-calm');
  await app.page.written(own);
  await app.page.until(
    'its own line again',
    () => techniques(),
    (text) => text.includes('By the outer screw'),
  );
  await app.page.saved();
  await (await app.page.find('button[aria-label="Take out By the outer screw"]')).click();
  await app.page.until(
    'taken out',
    () => techniques(),
    (text) => text.includes('By the outer screw is taken out.'),
  );
});
