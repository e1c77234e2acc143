import { Key } from 'selenium-webdriver';
import { App } from './support/app';
import { sweep } from './support/sweep';

// What stands about the helm: a gamepad, voices, transits, steps gone by, the plan turned, keys of one's own.

const app = App.forTests();
const text = (css: string) => app.page.text(css);
const key = (...keys: string[]) =>
  app.driver
    .actions()
    .sendKeys(...keys)
    .perform();
const run = <T>(script: string) => app.driver.executeScript<T>(script);
const status = (what: string) => app.page.liveStatus(what);
const rehearse = (id: string) => app.page.rehearse(id);
const slider = (name: string) =>
  run<string | null>(
    `return document.querySelector('[role=slider][aria-label="${name}"]')?.getAttribute('aria-valuetext') ?? null`,
  );

sweep(
  'answers a gamepad: start, wheel, levers, neutral',
  async () => {
    await rehearse('glide-to-the-steps');
    await run(`
    window.pad = { connected: true, axes: [0, 0, 0, 0], buttons: Array.from({ length: 17 }, () => ({ pressed: false })) };
    navigator.getGamepads = () => [window.pad];
    window.tap = (button) => new Promise((done) => {
      window.pad.buttons[button] = { pressed: true };
      setTimeout(() => { window.pad.buttons[button] = { pressed: false }; setTimeout(done, 120); }, 120);
    });
  `);
    const tap = (button: number) =>
      app.driver.executeAsyncScript(
        `const done = arguments[arguments.length - 1]; window.tap(${button}).then(done)`,
      );
    await tap(9);
    await status('helm');
    await run('window.pad.axes[0] = -1');
    await app.page.until(
      'hard to port',
      () => slider('Wheel'),
      (t) => t?.includes('port') ?? false,
    );
    await run('window.pad.axes[0] = 0');
    await app.page.until(
      'amidships',
      () => slider('Wheel'),
      (t) => t?.includes('amidships') ?? false,
    );
    await tap(12);
    await app.page.until(
      'ahead',
      () => slider('Engine'),
      (t) => t?.includes('ahead') ?? false,
    );
    await tap(0);
    await app.page.until(
      'neutral',
      () => slider('Engine'),
      (t) => t?.includes('neutral') ?? false,
    );
    await run('window.pad.buttons[5] = { pressed: true }');
    await app.page.until(
      'bow thruster to starboard',
      () =>
        run<boolean>(
          `return /[1-9]\\d* %/.test(document.querySelector('[aria-label="The helm"]')?.innerText ?? '')`,
        ),
      Boolean,
    );
    await run('window.pad.buttons[5] = { pressed: false }');
    await tap(9);
    await status('Standing still');
  },
  60_000,
);

sweep(
  'speaks what is called where the browser can',
  async () => {
    await rehearse('alongside-wind-off');
    await run(`
    window.said = [];
    Object.defineProperty(window, 'speechSynthesis', { value: { speak: (u) => window.said.push(u.text), cancel: () => {} } });
  `);
    await key(' ');
    await status('helm');
    // The button keeps the focus, and with it the space bar: so after it.
    await app.page.press("//button[contains(., 'not spoken')]");
    // Somebody looks there before the boat goes astern.
    await key(Key.ARROW_DOWN);
    const said = await app.page.until(
      'something said',
      () => run<string[]>('return window.said'),
      (all) => all.length > 0,
    );
    expect(await text('[data-testid=calls]')).toContain(said[0]!);
  },
  60_000,
);

it('takes a transit, tells how it stands, and passes a step on', async () => {
  await rehearse('glide-to-the-steps');
  await key(' ');
  await status('helm');
  await key('t');
  expect(
    await app.page.until(
      'a transit',
      () => text('[data-testid=transit]'),
      (t) => / over /.test(t),
    ),
  ).toMatch(/in line|of the line/);
  const step = () => text('[data-testid=next-step]');
  const before = await step();
  await key('b');
  await app.page.until('the step after', step, (t) => t !== before);
  // Played again from its record the same steps have come.
  await key(' ');
  await status('Standing still');
  const stood = await step();
  await key(Key.BACK_SPACE);
  await status('Ready');
  await key(' ');
  await key('b');
  await app.page.until('again', step, (t) => t.split('\n')[0] === stood.split('\n')[0]);
}, 60_000);

sweep(
  'turns the plan with the bow, and to the way it is to lie; what is drawn goes along',
  async () => {
    await rehearse('alongside-wind-off');
    const where = () =>
      run<[number, number]>(`
      const t = [...document.querySelectorAll('section[aria-label="The water"] svg text')].find((e) => e.textContent === 'lamp 2');
      return t ? [Number(t.getAttribute('x')), Number(t.getAttribute('y'))] : null`);
    const turn = (from: string) => app.page.press(`//button[starts-with(@aria-label, '${from}')]`);
    const north = await where();
    await turn('North is up');
    const bow = await where();
    expect(bow).not.toEqual(north);
    await turn('The bow is up');
    const berth = await where();
    expect(berth).not.toEqual(bow);
    await turn('The way the boat is to lie is up');
    expect(await where()).toEqual(north);
  },
  60_000,
);

sweep(
  'gives an action another key, and the key does it',
  async () => {
    await rehearse('glide-to-the-steps');
    await app.page.press("//button[contains(., 'keys')]");
    await app.page.press("//button[starts-with(@aria-label, 'all in neutral')]");
    await app.page.until(
      'asked for a key',
      () => text('[role=dialog]'),
      (t) => t.includes('press one'),
    );
    await key('x');
    await app.page.until(
      'on the picture',
      () => run<string>(`return document.querySelector('[data-testid=key-picture]').textContent`),
      (t) => /Xallneutral/.test(t),
    );
    await key(Key.ESCAPE);
    await key(Key.ARROW_UP);
    await app.page.until(
      'ahead',
      () => slider('Engine'),
      (t) => t?.includes('ahead') ?? false,
    );
    await key('x');
    await app.page.until(
      'neutral',
      () => slider('Engine'),
      (t) => t?.includes('neutral') ?? false,
    );
  },
  60_000,
);
