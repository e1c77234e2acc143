import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { WebDriver } from 'selenium-webdriver';

const source = readFileSync(join(process.cwd(), 'node_modules/axe-core/axe.min.js'), 'utf8');

/** What axe finds wrong on the page as it stands; nothing is an empty list. */
export async function violations(driver: WebDriver): Promise<string[]> {
  await driver.executeScript(source);
  return driver.executeAsyncScript<string[]>(
    `const done = arguments[arguments.length - 1];
     axe.run(document).then((r) => done(r.violations.map((v) => v.id + ': ' + v.nodes.map((n) => n.target.join(' ')).join(', '))));`,
  );
}
