import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, logging, type WebDriver } from 'selenium-webdriver';
import { Options, ServiceBuilder } from 'selenium-webdriver/chrome.js';

export interface Browser {
  readonly driver: WebDriver;
  close(): Promise<void>;
}

/** A fresh headless Chromium of its own profile. */
export async function openBrowser(width = 1280, height = 800): Promise<Browser> {
  const profile = mkdtempSync(join(tmpdir(), 'yawtrope-browser-'));
  const options = new Options();
  options.setChromeBinaryPath(process.env.CHROMIUM ?? '/usr/bin/chromium');
  options.addArguments(
    '--headless=new',
    '--no-sandbox',
    '--disable-gpu',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--force-device-scale-factor=1',
    `--window-size=${width},${height}`,
    `--user-data-dir=${profile}`,
  );
  // What a page complains of is kept: a test may ask that there be nothing.
  const logged = new logging.Preferences();
  logged.setLevel(logging.Type.BROWSER, logging.Level.SEVERE);
  options.setLoggingPrefs(logged);
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder(process.env.CHROMEDRIVER ?? '/usr/bin/chromedriver'))
    .build();
  // Headless window sizes include a frame that is not there; the page itself is what counts.
  const inner = await driver.executeScript<[number, number]>('return [innerWidth, innerHeight]');
  await driver
    .manage()
    .window()
    .setRect({
      width: width + (width - inner[0]),
      height: height + (height - inner[1]),
    });
  return {
    driver,
    close: async () => {
      await driver.quit();
      rmSync(profile, { recursive: true, force: true });
    },
  };
}
