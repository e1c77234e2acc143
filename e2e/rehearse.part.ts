import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { App } from './support/app';
import { sweep } from './support/sweep';
import { violations } from './support/axe';

// A manoeuvre driven by hand: at the keyboard to a safe berth, the wrong way, and through a server that dies.

const app = App.forTests();
const press = (xpath: string) => app.page.press(xpath);
const text = (css: string) => app.page.text(css);
const key = async (...keys: string[]) => {
  for (const one of keys) await app.driver.actions().sendKeys(one).perform();
};
const phase = (name: string) => press(`//nav[@aria-label='Phases']//button[.='${name}']`);
const status = (what: string) => app.page.liveStatus(what);
const rehearse = (id: string) => app.page.rehearse(id);
const seconds = async () => {
  const [minutes, rest] = (await text('[data-testid=live-time]')).split(':');
  return 60 * Number(minutes) + Number(rest);
};
const reach = (time: number) => app.page.until(`${time} s`, seconds, (t) => t >= time);
const way = async () =>
  Number(/through the water\s+(-?[\d.]+)/.exec(await text('[data-testid=readings]'))?.[1]);

const demo = (kind: string, id: string): unknown =>
  JSON.parse(readFileSync(join(process.cwd(), 'demo', kind, `${id}.json`), 'utf8'));

/** Along a pontoon with the wind a little on it: to be stopped abreast of a bollard. Returns where it is opened. */
async function alongThePontoon(): Promise<string> {
  const box = [
    [-60, 0],
    [60, 0],
    [60, 3],
    [-60, 3],
  ];
  const answer = await fetch(`${app.server.address}/api/manoeuvres`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      $schema: 'yawtrope:manoeuvre',
      version: 2,
      id: 'along-the-pontoon',
      title: 'Along the pontoon',
      boat: demo('boats', 'quince'),
      place: {
        $schema: 'yawtrope:place',
        version: 2,
        id: 'long-pontoon',
        name: 'Long pontoon',
        features: [
          { kind: 'pontoon', id: 'long', name: 'long pontoon', outline_m: box },
          { kind: 'bollard', id: 'bollard', name: 'red bollard', x_m: 0, y_m: 0.4 },
        ],
      },
      conditions: {
        wind: { from_deg: 180, speed_mps: 2.5 },
        current: { set_deg: 0, speed_mps: 0 },
        water: 'sea',
      },
      start: { x_m: 9, y_m: -2.7, heading_deg: 270, speed_mps: 0.9 },
      goal: {
        is: 'lie',
        point: 'midships',
        mark: 'red bollard',
        within_m: 10,
        heading_deg: 270,
        headingWithin_deg: 40,
        speedBelow_mps: 0.35,
      },
      berth: ['long'],
      plan: {
        steps: [{ id: 'carry', cue: { is: 'start' } }],
        end: { cue: { is: 'stopped' } },
      },
    }),
  });
  expect(answer.status).toBe(201);
  return ((await answer.json()) as { id: string }).id;
}

it('is driven by keys to a safe berth, stood still, stepped back, taken up again, and looked back at', async () => {
  const id = await alongThePontoon();
  await rehearse(id);
  expect(await violations(app.driver)).toEqual([]);
  // The focus is where the space bar begins.
  await key(' ');
  await reach(6);
  await key(Key.ARROW_DOWN, Key.ARROW_DOWN, Key.ARROW_DOWN);
  await app.page.until('way off', way, (kn) => kn < 0.25);
  await key('n');
  const stood = await seconds();
  await key(' ');
  await status('Standing still');
  await app.page.until(
    'kept',
    () => text('[data-testid=run-saved]'),
    (t) => t === 'kept',
  );
  await key(Key.BACK_SPACE);
  await app.page.until('back', seconds, (t) => t < stood - 3);
  // Taken up again five seconds before, and done once more.
  await key(' ');
  await status('helm');
  await reach(stood - 1);
  if ((await way()) > 0.5) await key(Key.ARROW_DOWN, Key.ARROW_DOWN, Key.ARROW_DOWN);
  await app.page.until('way off again', way, (kn) => kn < 0.25);
  await key('n', '.', '.');
  await app.page.until(
    'laid on',
    () => text('[data-testid=calls]'),
    (t) => t.includes('touch on long pontoon'),
  );
  await reach((await seconds()) + 6);
  await press("//button[.='Done: the boat is there']");
  await app.page.until(
    'over',
    () => text('[data-testid=live-status]'),
    (t) => !t.includes('helm'),
  );
  expect(await text('[data-testid=live-status]')).toContain('Done');
  await press("//button[.='Look back']");
  expect(
    await app.page.until('looked over', () => text('[data-testid=debrief-outcome]'), Boolean),
  ).toBe('Done');
  expect(await text('[data-testid=care]')).toMatch(/careful|fair/);
  expect(await text('section[aria-label="Figures"]')).toContain('soft touch, long pontoon');
  // Both are kept: the one left standing, and the one taken up again from it.
  expect((await app.driver.findElements(By.css('section[aria-label="Runs"] li'))).length).toBe(2);
  expect(await violations(app.driver)).toEqual([]);
}, 120_000);

sweep(
  'driven the wrong way, the debrief names what was wrong, and what was different',
  async () => {
    await rehearse('along-the-pontoon');
    await key(' ');
    await reach(1);
    // Ahead with no rudder on, the wheel after it towards the pontoon, and straight from ahead to astern.
    await key(Key.ARROW_UP, Key.ARROW_UP, Key.ARROW_UP, Key.ARROW_UP);
    await app.driver.sleep(1200);
    await app.driver.actions().keyDown(Key.ARROW_RIGHT).perform();
    await app.driver.sleep(1500);
    await app.driver.actions().keyUp(Key.ARROW_RIGHT).perform();
    await reach(6);
    for (let i = 0; i < 8; i++) await key(Key.ARROW_DOWN);
    await reach(9);
    await press("//button[.='Done: the boat is there']");
    await press("//button[.='Look back']");
    const faults = await app.page.until('faults', () => text('[data-testid=faults]'), Boolean);
    expect(faults).toContain('Gear before steering');
    expect(faults).toContain('No pause in neutral');
    expect(await text('[data-testid=care]')).toMatch(/rough|harm/);
    // Pressed, a fault's moment is where the playhead goes.
    await press("//*[@data-testid='faults']//button[1]");
    await press("//section[@aria-label='What was different']//button[.='2']");
    expect(await app.page.until('causes', () => text('[data-testid=causes]'), Boolean)).toMatch(
      /% of it/,
    );
    // Said of it, and kept.
    const note = await app.page.find('section[aria-label="Notes"] textarea');
    await note.sendKeys('<b>wheel first</b>');
    await press("//button[starts-with(normalize-space(), 'Pin it')]");
    await app.page.until(
      'note',
      () => text('section[aria-label="Notes"]'),
      (t) => t.includes('<b>wheel first</b>'),
    );
    await app.driver.navigate().refresh();
    await app.page.ready();
    await phase('Debrief');
    await app.page.until(
      'note again',
      () => text('section[aria-label="Notes"]'),
      (t) => t.includes('wheel first'),
    );
  },
  120_000,
);

it('is steered by the app as it is watched, to the end of the plan, and looked back at', async () => {
  await rehearse('round-in-the-basin');
  await press("//button[@aria-label='Who steers']");
  await press("//*[@role='option'][contains(., 'you watch')]");
  await app.page.until(
    'what to press',
    () => text('[data-testid=run]'),
    (t) => t.includes('Let it steer'),
  );
  expect(await violations(app.driver)).toEqual([]);
  await press("//button[@data-testid='run']");
  await status('The app steers');
  await press("//button[.='4×']");
  await app.page.until(
    'over',
    () => text('[data-testid=live-status]'),
    (t) => t.includes('Done'),
    60_000,
  );
  await press("//button[.='Look back']");
  const outcome = () => text('[data-testid=debrief-outcome]');
  expect(await app.page.until('looked over', outcome, Boolean)).toBe('Done');
}, 120_000);

it('outlives a server that is killed while it is driven', async () => {
  // From the start page in one press, and the space bar.
  await app.driver.get(app.server.address);
  await press("//a[contains(@href, 'quince-backs-out?do=rehearse')]");
  await status('Ready');
  await key(' ');
  await reach(3);
  await app.page.until(
    'kept',
    () => text('[data-testid=run-saved]'),
    (t) => t === 'kept',
  );
  await app.server.kill();
  await app.page.until(
    'told',
    () => text('[data-testid=run-saved]'),
    (t) => t.includes('this browser only'),
  );
  await reach(8);
  // The page goes, too, before the server is back.
  await app.driver.get('about:blank');
  await app.server.again();
  await app.page.open('quince-backs-out');
  await phase('Debrief');
  const lasted = await app.page.until(
    'the run',
    () => text('section[aria-label="How it went"]'),
    (t) => t.includes('long'),
  );
  expect(Number(/0:(\d\d) long/.exec(lasted)![1])).toBeGreaterThanOrEqual(6);
}, 120_000);
