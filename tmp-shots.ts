import { writeFileSync } from 'node:fs';
import { By, Key } from 'selenium-webdriver';
import { openBrowser } from './e2e/support/browser';
import { startServer } from './e2e/support/server';
import { WorkspacePage } from './e2e/support/workspace';
async function main() {
  const server = await startServer(); const browser = await openBrowser(); const { driver } = browser;
  const page = new WorkspacePage(driver, server.address);
  const keep = async (n: string) => { await driver.sleep(700); writeFileSync(`/tmp/ab/${n}.png`, await driver.takeScreenshot(), 'base64'); };
  const press = async (text: string) => (await driver.findElement(By.xpath(`//button[normalize-space()='${text}']`))).click();
  try {
    await page.open('alongside-wind-off');
    await driver.sleep(2500);
    const playhead = await page.find('[aria-label="Playhead"]');
    for (let i = 0; i < 4; i++) await playhead.sendKeys(Key.PAGE_DOWN);
    await keep('score');
    await press('Brief'); await driver.sleep(2000); await keep('brief');
    await press('What if'); await driver.sleep(500);
    const s = await driver.findElement(By.css('[role=slider][aria-label="Hands late by"]'));
    for (let i = 0; i < 4; i++) await s.sendKeys(Key.ARROW_RIGHT);
    await driver.sleep(800); await keep('whatif');
    await press('A sheet of winds …'); await driver.sleep(3000); await keep('grid');
    const logs = await driver.manage().logs().get('browser').catch(() => []);
    for (const l of logs as any[]) console.log(l.level?.name, l.message.slice(0, 300));
  } catch (e) { console.log(e); await keep('error'); } finally { await browser.close(); await server.close(); }
}
void main();
