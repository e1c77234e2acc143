import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { readDemo } from '../src/db';
import { openBrowser } from '../e2e/support/browser';
import { startServer } from '../e2e/support/server';
import { WorkspacePage } from '../e2e/support/workspace';
import { sixtyObstacles } from './cases';

/** How the page fares while a boat is driven by hand among sixty things. */
export interface Driven {
  /** Frames seen, and the time between two of them, ms: the median, nine in ten, 99 in a hundred, the longest. */
  readonly count: number;
  readonly between: readonly [number, number, number, number];
  /** From a key going down to the control drawn otherwise, ms: the median and the longest of the tries. */
  readonly response: readonly [number, number];
}

const SECONDS = 12;
const TRIES = 12;

const WATCH = `
  window.frames = [];
  let last = performance.now();
  const tick = (now) => { window.frames.push(now - last); last = now; requestAnimationFrame(tick); };
  requestAnimationFrame(tick);
  window.answers = [];
  let pressed = 0;
  addEventListener('keydown', () => { pressed = performance.now(); }, true);
  new MutationObserver(() => {
    if (!pressed) return;
    const from = pressed;
    pressed = 0;
    requestAnimationFrame(() => window.answers.push(performance.now() - from));
  }).observe(document.querySelector('[data-testid=lever-0]'), { subtree: true, attributes: true });
`;

/** Drives with real keys on the production build, at 1280 × 800; null where there is no build or no browser. */
export async function measureFrames(): Promise<Driven | null> {
  if (!existsSync('.next/BUILD_ID')) return null;
  const server = await startServer();
  const browser = await openBrowser();
  const { driver } = browser;
  try {
    const demo = readDemo(join(process.cwd(), 'demo'));
    const boat = demo.boats.find(({ id }) => id === 'quince')!;
    const place = sixtyObstacles(boat.hull.length_m, boat.hull.beam_m);
    const answer = await fetch(`${server.address}/api/manoeuvres`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        $schema: 'yawtrope:manoeuvre',
        version: 2,
        id: 'among-sixty',
        title: 'Among sixty',
        boat,
        place,
        conditions: {
          wind: { from_deg: 10, speed_mps: 4 },
          current: { set_deg: 90, speed_mps: 0.2 },
          water: 'sea',
        },
        start: { x_m: 0, y_m: 6, heading_deg: 90, speed_mps: 0.5 },
        goal: { is: 'clear', distance_m: 0 },
        plan: {
          steps: [{ id: 'a', cue: { is: 'start' } }],
          end: { cue: { is: 'after', time_s: 40 } },
        },
      }),
    });
    if (answer.status !== 201) throw new Error(await answer.text());
    const page = new WorkspacePage(driver, server.address);
    await page.open('among-sixty');
    await (await driver.findElement(By.xpath("//nav//button[.='Rehearse']"))).click();
    await page.until(
      'ready',
      () => page.text('[data-testid=live-status]'),
      (t) => t.includes('Ready'),
    );
    await driver.actions().sendKeys(' ').perform();
    await driver.sleep(1500);
    await driver.executeScript(WATCH);
    for (let i = 0; i < TRIES; i++) {
      await driver
        .actions()
        .sendKeys(i % 2 === 0 ? Key.ARROW_UP : Key.ARROW_DOWN)
        .perform();
      await driver.sleep((1000 * SECONDS) / TRIES);
    }
    const seen = await driver.executeScript<{ frames: number[]; answers: number[] }>(
      'return { frames: window.frames.slice(1), answers: window.answers }',
    );
    const at = (values: readonly number[], share: number) =>
      [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? NaN;
    return {
      count: seen.frames.length,
      between: [
        at(seen.frames, 0.5),
        at(seen.frames, 0.9),
        at(seen.frames, 0.99),
        at(seen.frames, 1),
      ],
      response: [at(seen.answers, 0.5), at(seen.answers, 1)],
    };
  } finally {
    await browser.close();
    await server.close();
  }
}
