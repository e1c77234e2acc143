import { By, Key, until, type WebDriver, type WebElement } from 'selenium-webdriver';

/** A technique is fitted by hundreds of runs. */
const TECHNIQUE_MS = 110_000;
const WAIT_MS = 15000;

/** The workspace as a user sees it. */
export class WorkspacePage {
  constructor(
    readonly driver: WebDriver,
    private readonly address: string,
  ) {}

  async open(id: string): Promise<void> {
    await this.driver.get(`${this.address}/m/${id}`);
    await this.ready();
  }

  async ready(): Promise<void> {
    await this.driver.wait(until.elementLocated(By.css('[data-testid=outcome]')), WAIT_MS);
  }

  async find(css: string): Promise<WebElement> {
    return this.driver.wait(until.elementLocated(By.css(css)), WAIT_MS);
  }

  async text(css: string): Promise<string> {
    return (await this.find(css)).getText();
  }

  outcome(): Promise<string> {
    return this.text('[data-testid=outcome]');
  }

  /** All that the margins say, in one string. */
  margins(): Promise<string> {
    return this.text('section[aria-label="This run"]');
  }

  /** Waits until something read from the page satisfies a condition; gives it back. */
  async until<T>(
    what: string,
    read: () => Promise<T>,
    good: (value: T) => boolean,
    within = WAIT_MS,
  ): Promise<T> {
    let last: T | undefined;
    await this.driver.wait(
      async () => {
        try {
          last = await read();
        } catch {
          return false;
        }
        return good(last);
      },
      within,
      what,
    );
    return last as T;
  }

  /** The same without what grows with every try. */
  still(): Promise<string> {
    return this.driver.executeScript(() => {
      const margins = document.querySelector<HTMLElement>('section[aria-label="This run"]');
      const growing = [...(margins?.querySelectorAll<HTMLElement>('[data-grows]') ?? [])];
      const text = margins?.innerText ?? '';
      return growing.reduce((rest, { innerText }) => rest.replace(`${innerText}\n`, ''), text);
    });
  }

  /** The margins once they have stopped changing, what is looked into after the run included; how many tries hold is left out. */
  async settled(): Promise<string> {
    let last = '';
    let now = await this.still();
    const end = Date.now() + WAIT_MS;
    const through = (text: string) => /wind at which|wind it holds|fails in this wind/.test(text);
    while (now !== last || (!through(now) && Date.now() < end)) {
      await this.driver.sleep(400);
      last = now;
      now = await this.still();
    }
    return now;
  }

  /** Presses what an XPath finds, waiting while it is not there yet or something gliding past lies over it. */
  async press(xpath: string): Promise<void> {
    await this.until(
      `pressed ${xpath}`,
      async () => {
        await (await this.driver.findElement(By.xpath(xpath))).click();
        return true;
      },
      (pressed) => pressed,
    );
  }

  /**
   * Has a technique written in, and tells what stands under the techniques then. Margins that arrive move the list down: a press that fell
   * beside its line is made again.
   */
  async written(xpath: string): Promise<string> {
    const SECTION = 'section[aria-label="Techniques"]';
    const ended = /stands in the plan|Does not get there|nothing was put in/;
    let text = '';
    for (let pressed = 0; pressed < 3; pressed++) {
      await this.press(xpath);
      const begun = await this.driver
        .wait(async () => {
          text = await this.text(SECTION);
          return /\bStop\b/.test(text) || ended.test(text);
        }, 5000)
        .catch(() => false);
      if (begun) break;
    }
    await this.driver
      .wait(async () => {
        text = await this.text(SECTION);
        return ended.test(text);
      }, TECHNIQUE_MS)
      .catch(() => undefined);
    if (!ended.test(text)) throw new Error(`no technique was written: ${text}`);
    return text;
  }

  /** Shows a subject of the side panel: 'Plan', 'Lines & crew', 'Conditions' or 'Other boats'. */
  subject(words: string): Promise<void> {
    return this.press(`//*[@role='tab'][normalize-space()='${words}']`);
  }

  /** Unfolds a part of the brief. */
  unfold(name: string): Promise<void> {
    return this.press(`//section[@aria-label='${name}']/details/summary`);
  }

  /** Takes the first option of a list box that begins so. */
  async choose(label: string, start: string): Promise<void> {
    await this.press(`//*[@role='combobox'][@aria-label='${label}']`);
    await this.press(`//*[@role='option'][starts-with(normalize-space(), "${start}")]`);
  }

  /** Waits until what stands over the helm says so. */
  liveStatus(what: string): Promise<string> {
    return this.until(
      what,
      () => this.text('[data-testid=live-status]'),
      (t) => t.includes(what),
    );
  }

  /** Opens a manoeuvre to be driven, and waits until the boat lies there. */
  async rehearse(id: string): Promise<void> {
    await this.open(id);
    await this.press("//nav[@aria-label='Phases']//button[.='Rehearse']");
    await this.liveStatus('Ready');
  }

  async openStep(number: number): Promise<void> {
    const heads = await this.driver.findElements(By.css('ol[aria-label="Steps"] button'));
    await heads[number - 1]!.click();
    await this.find(`form[aria-label="Step ${number}"]`);
  }

  /** Replaces what stands in a field, as by hand. */
  async fill(label: string, value: string): Promise<void> {
    const field = await this.find(`input[aria-label="${label}"]`);
    // What a change before it came to may move it while it is being pressed.
    await this.until(
      `${label} pressed`,
      () =>
        field.click().then(
          () => true,
          () => false,
        ),
      Boolean,
    );
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), value);
  }

  fieldValue(label: string): Promise<string> {
    return this.find(`input[aria-label="${label}"]`).then(
      async (field) => (await field.getAttribute('value')) ?? '',
    );
  }

  /** Waits for the given number of saves to have come through. */
  async saved(): Promise<void> {
    // The pause before a save must have passed, or "saved" would be the one before.
    await this.driver.sleep(600);
    await this.until(
      'saved',
      () => this.text('[data-testid=save]'),
      (t) => t.startsWith('saved'),
    );
  }
}
