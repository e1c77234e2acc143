import { writeFileSync } from 'node:fs';
import { By, Key } from 'selenium-webdriver';
import { openBrowser } from '../e2e/support/browser';
import { startServer } from '../e2e/support/server';
import { WorkspacePage } from '../e2e/support/workspace';
export async function looking(
  body: (
    page: WorkspacePage,
    keep: (n: string) => Promise<void>,
    size: (w: number, h: number) => Promise<void>,
  ) => Promise<void>,
) {
  const server = await startServer();
  const browser = await openBrowser();
  const { driver } = browser;
  const page = new WorkspacePage(driver, server.address);
  const keep = async (n: string) => {
    writeFileSync(`/tmp/zz/${n}.png`, await driver.takeScreenshot(), 'base64');
  };
  const size = async (width: number, height: number) => {
    await driver.manage().window().setRect({ width, height });
  };
  try {
    await body(page, keep, size);
  } catch (e) {
    console.error(e);
    await keep('error');
  }
  await browser.close();
  await server.close();
}
export { By, Key };
