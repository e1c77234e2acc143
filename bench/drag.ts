import { existsSync } from 'node:fs';
import { By, Origin } from 'selenium-webdriver';
import { openBrowser } from '../e2e/support/browser';
import { startServer } from '../e2e/support/server';
import { WorkspacePage } from '../e2e/support/workspace';

/** How the page fares while the wind is dragged round on the water, in the Brief. */
export interface Dragged {
  /** Frames drawn a second meanwhile, and the longest wait for one, ms. */
  readonly frames: number;
  readonly longest: number;
  /** From the last movement of the hand: the first change and the last of the run and of the brief, ms. */
  readonly run: readonly [number, number];
  readonly brief: readonly [number, number];
  /** The way-out band's first moments, the whole of it coarsely (every twelfth moment), and the whole, ms. */
  readonly band: readonly [number, number, number];
}

const MOVES = 90;
const MOVE_MS = 25;

/** Counts frames, and notes when the hand last moved and when each part of the page changed after that. */
const WATCH = `
  const seen = { frames: 0, longest: 0, from: performance.now(), moved: 0, changed: {} };
  let last = seen.from;
  const MOST = Number(document.querySelector('[data-moments]').dataset.moments);
  const tick = (now) => {
    if (seen.on !== false) {
      seen.frames += 1;
      seen.longest = Math.max(seen.longest, now - last);
      last = now;
    }
    requestAnimationFrame(tick);
  };
  requestAnimationFrame(tick);
  addEventListener('pointermove', () => { seen.moved = performance.now(); seen.changed = {}; }, true);
  const watch = (name, css) => new MutationObserver(([{ target }]) => {
    const at = performance.now() - seen.moved;
    seen.changed[name] = [seen.changed[name]?.[0] ?? at, at];
    const band = target.closest('[data-moments]');
    if (band && Number(band.dataset.moments) >= MOST / 12 && Number(band.dataset.moments) < MOST) seen.changed.coarse ??= at;
  }).observe(document.querySelector(css), { subtree: true, childList: true, characterData: true, attributes: true });
  watch('take', 'section[aria-label="This run"]');
  watch('brief', '[data-testid=brief]');
  watch('band', '[data-testid=way-out-band]');
  window.seen = seen;
`;

/** Drags with a real pointer on the production build; null where there is no build or no browser. */
export async function measureDrag(id: string): Promise<Dragged | null> {
  if (!existsSync('.next/BUILD_ID')) return null;
  const server = await startServer();
  const browser = await openBrowser();
  const { driver } = browser;
  try {
    const page = new WorkspacePage(driver, server.address);
    await page.open(id);
    await (await driver.findElement(By.xpath("//nav//button[.='Brief']"))).click();
    await page.find('[data-testid=brief]');
    await page.settled();
    const grip = await page.find('[data-grip="Wind"]');
    await driver.executeScript(WATCH);
    const actions = driver.actions().move({ origin: grip }).press();
    // Round a small circle, a step a frame or so.
    for (let i = 0; i < MOVES; i++) {
      const angle = (2 * Math.PI * i) / MOVES;
      actions.move({
        origin: Origin.POINTER,
        x: Math.round(5 * Math.cos(angle)),
        y: Math.round(5 * Math.sin(angle)),
        duration: MOVE_MS,
      });
    }
    await actions.perform();
    interface Seen {
      frames: number;
      longest: number;
      seconds: number;
    }
    const seen = await driver.executeScript<Seen>(
      'seen.on = false; return { frames: seen.frames, longest: seen.longest, seconds: (performance.now() - seen.from) / 1000 }',
    );
    await driver.sleep(4000);
    type Changed = Partial<Record<'run' | 'brief' | 'band', [number, number]>> & {
      coarse?: number;
    };
    const changed = await driver.executeScript<Changed>('return seen.changed');
    await driver.actions().release().perform();
    const none: [number, number] = [NaN, NaN];
    const [first, whole] = changed.band ?? none;
    return {
      frames: seen.frames / seen.seconds,
      longest: seen.longest,
      run: changed.run ?? none,
      brief: changed.brief ?? none,
      band: [first, changed.coarse ?? NaN, whole],
    };
  } finally {
    await browser.close();
    await server.close();
  }
}
