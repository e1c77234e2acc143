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
  const label = async (text: string) => (await driver.findElement(By.css(`button[aria-label="${text}"]`))).click();
  try {
    await page.open('alongside-wind-off');
    await driver.sleep(2500);
    await keep('score');
    await page.openBeat(3);
    await label('Mark: pick on the water'); await keep('pick');
    await label('pile 5'); await driver.sleep(500);
    await label('Show the beats as a list'); await driver.sleep(500); await keep('list');
    await press('Brief'); await driver.sleep(2500);
    await driver.executeScript(`[...document.querySelectorAll('[data-testid=brief] summary')].slice(0,1).concat([...document.querySelectorAll('[data-testid=brief] summary')].slice(5,6)).forEach(s=>s.click()); document.querySelectorAll('h2')[1]?.scrollIntoView()`);
    await keep('brief2');
  } catch (e) { console.log(e); await keep('error'); } finally { await browser.close(); await server.close(); }
}
void main();
