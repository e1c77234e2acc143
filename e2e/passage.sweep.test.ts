import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { App } from './support/app';
import { violations } from './support/axe';

// A lock passage up, by keys alone: the helm's, and the second seat's at paddles and gates.

const app = App.forTests();
const text = (css: string) => app.page.text(css);
const key = (...keys: string[]) =>
  app.driver
    .actions()
    .sendKeys(...keys)
    .perform();

const LENGTH = 20;
const HALF = 2.6;
const paddle = (name: string, end: 'upper' | 'lower', side: 'left' | 'right') => ({
  name,
  end,
  where: 'ground',
  side,
  area_m2: 0.7,
  winding_s: 3,
});

/** A small quick lock, up-stream to the north, and an open boat before it. */
function small() {
  const boat: unknown = JSON.parse(
    readFileSync(join(process.cwd(), 'demo/boats/flotsam.json'), 'utf8'),
  );
  const wall = (name: string, x0: number, x1: number) => ({
    kind: 'quay',
    id: name.replace(' ', '-'),
    name,
    outline_m: [
      [x0, -LENGTH - 4],
      [x1, -LENGTH - 4],
      [x1, 4],
      [x0, 4],
    ],
  });
  return {
    $schema: 'yawtrope:manoeuvre',
    version: 2,
    id: 'small-lock',
    title: 'Up a small lock',
    boat,
    place: {
      $schema: 'yawtrope:place',
      version: 2,
      id: 'small-lock-place',
      name: 'Small Lock',
      features: [wall('west wall', -HALF - 4, -HALF), wall('east wall', HALF, HALF + 4)],
      berths: [],
      areas: [
        {
          kind: 'lock',
          id: 'small',
          name: 'Small Lock',
          outline_m: [
            [-HALF, -LENGTH],
            [HALF, -LENGTH],
            [HALF, 0],
            [-HALF, 0],
          ],
          working: {
            upstream_deg: 0,
            length_m: LENGTH,
            width_m: 2 * HALF,
            upper_m: 1,
            lower_m: 0,
            upperGates: { kind: 'single', swing_s: 8 },
            lowerGates: { kind: 'mitre', swing_s: 8 },
            paddles: [
              paddle('near paddle', 'upper', 'left'),
              paddle('far paddle', 'upper', 'right'),
              paddle('tail paddle', 'lower', 'left'),
            ],
            upperCill_m: -1,
            lowerCill_m: -1.6,
            floor_m: -1.8,
            coping_m: 1.6,
          },
        },
      ],
      transits: [],
    },
    conditions: {
      wind: { from_deg: 180, speed_mps: 0 },
      current: { set_deg: 0, speed_mps: 0 },
      water: 'fresh',
    },
    start: { x_m: 0, y_m: -LENGTH - 6, heading_deg: 0, speed_mps: 0 },
    goal: { is: 'clear', distance_m: 0 },
    berth: ['west-wall', 'east-wall'],
    locks: [{ lock: 'Small Lock', set: 'lower', gates: 'open' }],
    plan: {
      steps: [{ id: 'go', cue: { is: 'start' }, orders: [] }],
      end: { cue: { is: 'after', time_s: 2 } },
    },
    limit_s: 300,
  };
}

const lock = (good: (told: string) => boolean, what: string) =>
  app.page.until(what, () => text('[data-testid=lock-now]'), good);

const chamber = (told: string) => Number(/([\d.]+) m, (?:rising|standing)/.exec(told)?.[1]);

/** How far the boat's stern is past the lower gates, m. */
const left = () =>
  app.driver.executeScript<number>(
    `return Number(document.querySelector('[aria-label$="long section"] svg [data-boat]')?.dataset.left ?? -99)`,
  );

/** The boat's speed through the water, kn. */
const speed = async () =>
  Number(/through the water\s+(-?[\d.]+)/.exec(await text('[data-testid=readings]'))![1]);

it('is worked up by keyboard, start to finish', async () => {
  const made = await fetch(`${app.server.address}/api/manoeuvres`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(small()),
  });
  const answer = (await made.json()) as { id: string };
  expect(answer).toMatchObject({ id: expect.any(String) as string });
  const { id } = answer;
  await app.page.rehearse(id);
  expect(await violations(app.driver)).toEqual([]);
  // The keys are on the sheet under the names of this lock's paddles.
  await app.page.press("//button[contains(., 'keys')]");
  await app.page.until(
    'the paddle’s key',
    () => text('[role=dialog]'),
    (t) => t.includes('near paddle half up, then full, then down'),
  );
  await key(Key.ESCAPE);
  await key(' ');
  await app.page.liveStatus('helm');
  // In at idle, out of gear once the boat has way, a touch astern until it lies.
  await key(Key.ARROW_UP);
  await app.page.until('way on', speed, (kn) => kn > 1.6);
  await key('n');
  await app.page.until('inside', left, (m) => m > 4);
  await key(Key.ARROW_DOWN);
  await app.page.until('stopped', speed, (kn) => kn < 0.15);
  await key('n');
  await key('.');
  await key('.');
  await key('6');
  await lock((t) => t.includes('below shut'), 'shut behind');
  await key('g');
  await key('1');
  await lock((t) => t.includes('rising'), 'rising');
  // Half of one paddle until the worst is over, then the rest of it, and the far one last.
  for (const level of [0.15, 0.3, 0.45]) await lock((t) => chamber(t) >= level, `${level} m`);
  await key('g');
  await key('1');
  for (const level of [0.6, 0.75]) await lock((t) => chamber(t) >= level, `${level} m`);
  await key('g');
  await key('2');
  await lock((t) => chamber(t) >= 0.9, 'nearly');
  await key('5');
  await lock((t) => /above open/.test(t), 'open above');
  await key(Key.ARROW_UP);
  await app.page.until('on the boat’s way out', left, (m) => m > 0.7 * LENGTH);
  await app.page.until('out above', left, (m) => m > LENGTH);
  await key('n');
  await app.page.press("//button[.='Done: the boat is there']");
  const ended = await app.page.until(
    'ended',
    () => text('[data-testid=live-status]'),
    (t) => !t.includes('helm'),
  );
  expect(ended).not.toContain('the helm');
  // Looked back on: nothing wound without the sign.
  await app.page.press("//button[.='Look back']");
  const told = await app.page.until(
    'looked over',
    () => text('aside[aria-label=Debrief]'),
    (t) => !t.includes('Looking the run over') && t.length > 200,
  );
  expect(told).not.toContain('A paddle wound without the signal');
  expect((await app.driver.findElements(By.css('[aria-label$="long section"]'))).length).toBe(1);
}, 240_000);
