import { App } from './support/app';
import { violations } from './support/axe';

// Whoever worked a lock comes aboard again, and the plan waits for it; a boat that hangs in one is told of where one looks.

const app = App.forTests();
const margins = () => app.page.margins();
/** How long the run is, s, as the margins tell it. */
const longOf = (told: string): number => {
  const found = /(\d+):(\d\d) long/.exec(told);
  return found ? 60 * Number(found[1]) + Number(found[2]) : NaN;
};

it('the line comes home once the boat who worked the lock is aboard, and not before', async () => {
  await app.page.open('nell-up-cobnut-lock');
  const done = await app.page.until('done', margins, (t) => t.includes('Done'));
  const whole = longOf(done);
  await app.page.openStep(15);
  const form = 'form[aria-label="Step 15"]';
  const asked = await app.page.text(form);
  expect(asked).toMatch(/one of the crew is.*Wren.*aboard/s);
  expect(asked).toContain('line to the landing');
  expect(await violations(app.driver)).toEqual([]);
  // Ashore the boat is from the start: the line is let go at once, and nobody shuts up behind.
  await app.page.choose('Is', 'ashore');
  await app.page.until('shorter', margins, (t) => longOf(t) < whole - 60);
  await app.page.choose('Is', 'aboard');
  await app.page.until('as it was', margins, (t) => longOf(t) === whole);
}, 120_000);

it('a tempting way hangs the boat on the cill: outcome, event and the alert over the section say so', async () => {
  await app.page.open('nell-down-cobnut-lock');
  await app.page.until('done', margins, (t) => t.includes('Done'));
  await app.page.press("//button[normalize-space()='Play it against this run']");
  const hung = await app.page.until('hung', margins, (t) => t.includes('Hung up'));
  expect(hung).toContain('paddles down at once');
  await app.page.press("//button[contains(., 'the boat hangs on the cill')]");
  const alert = await app.page.until(
    'alert',
    () => app.page.text('section[aria-label$="long section"] [role=alert]'),
    (t) => t.includes('over the cill'),
  );
  expect(alert).toContain('fill again');
  expect(await violations(app.driver)).toEqual([]);
}, 120_000);

it('alone at the helm the boat is offered to step, and to take the line along', async () => {
  await app.driver.get(`${app.server.address}/m/nell-alone-up-cobnut-lock?do=rehearse`);
  const people = () => app.page.text('[role=group][aria-label=People]');
  expect(await app.page.until('people', people, (t) => t.includes('Joss'))).toMatch(
    /aboard\s+Step ashore, to \S+/,
  );
  expect(await app.page.text('[role=group][aria-label="centre line"]')).toContain('Take it ashore');
  expect(await violations(app.driver)).toEqual([]);
}, 60_000);
