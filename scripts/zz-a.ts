import { looking, By, Key } from './zz-look';
void looking(async (page, keep, size) => {
  const { driver } = page;
  await page.open('round-in-the-basin');
  await page.settled();
  await page.press("//nav[@aria-label='Phases']//button[.='Rehearse']");
  await page.liveStatus('Ready');
  await keep('a1');
  await page.press("//button[@aria-label='Who steers']");
  await driver.sleep(500);
  await keep('a2');
  await page.press("//*[@role='option'][contains(.,'you watch')]");
  await driver.actions().sendKeys(Key.ESCAPE).perform();
  await driver.executeScript('document.activeElement.blur()');
  await driver.actions().sendKeys(' ').perform();
  await driver.sleep(14000);
  await keep('a3');
  await driver
    .findElement(By.css('button[aria-label="Night colours"]'))
    .click()
    .catch(() => undefined);
  await size(390, 844);
  await driver.sleep(3000);
  await keep('a4');
});
