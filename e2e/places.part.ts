import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key, until } from 'selenium-webdriver';
import { runPlan } from '../src/core/plan';
import {
  boatSchema,
  check,
  manoeuvreSchema,
  placeSchema,
  toFile,
  toRunInput,
  type Place,
} from '../src/document';
import { App } from './support/app';
import { sweep } from './support/sweep';
import { violations } from './support/axe';
import { namedColumns } from '@/core/simulation';

// A place of one's own: drawn, sailed in, kept as a file, put aside and taken in again.

const app = App.forTests();
const press = (xpath: string) => app.page.press(xpath);
const text = (css: string) => app.page.text(css);
const tool = (name: string) =>
  press(`//div[@role='radiogroup']//label[normalize-space()='${name}']`);
const at = () => app.driver.getCurrentUrl();
const opened = (id: string) =>
  fetch(`${app.server.address}/api/places/${id}`).then(
    (answer) => answer.json() as Promise<{ place: Place }>,
  );

/** Types into the field a label stands by, and leaves it. */
async function field(label: string, value: string): Promise<void> {
  const xpath = `(//label[normalize-space(text())='${label}' or span[normalize-space()='${label}']])[1]`;
  const found = await app.driver.wait(until.elementLocated({ xpath }), 15_000, label);
  const id = await found.getAttribute('for');
  const input = await app.driver.findElement(id ? { id } : { xpath: `${xpath}//input` });
  await input.sendKeys(Key.chord(Key.CONTROL, 'a'), value, Key.TAB);
}

/** The whole manoeuvre as the core plays it, its run with every column. */
async function played(id: string) {
  const answer = await fetch(`${app.server.address}/api/manoeuvres/${id}`);
  const body = (await answer.json()) as { manoeuvre: unknown; boat: unknown; place: unknown };
  const manoeuvre = check(manoeuvreSchema, body.manoeuvre);
  const boat = check(boatSchema, body.boat);
  const place = check(placeSchema, body.place);
  if (!manoeuvre.ok || !boat.ok || !place.ok) throw new Error('not sound');
  const file = toFile(manoeuvre.value, boat.value, place.value);
  const input = toRunInput(file);
  if (!input.ok) throw new Error(input.problems[0]!.message);
  return { file, run: runPlan(input.value) };
}

sweep(
  'a six-finger aisle drawn with the row generator, sailed in, kept as GeoJSON, put aside, taken in again: the same run',
  async () => {
    const { driver } = app;
    await driver.get(`${app.server.address}/places`);
    expect(await violations(driver)).toEqual([]);
    await press("//button[normalize-space()='Draw a new place']");
    await driver.wait(async () => (await at()).includes('/places/new-place'), 20_000);
    await field('the place is called', 'Six Finger Pool');
    await field('latitude', '46.51');
    await field('longitude', '-31.2');
    await tool('row of fingers');
    await field('runs', '75');
    await field('middle to middle', '12');
    await field('finger long', '11');
    for (const slip of [1, 2, 4, 6, 7, 9, 10])
      await press(`//fieldset[legend='taken']//label[normalize-space()='${slip}']/input`);
    await press("//button[normalize-space()='Put the row there']");
    // Across the aisle a quay, typed corner by corner from the first.
    await tool('quay');
    await field('east', '-20');
    await field('north', '34');
    await press("//button[normalize-space()='Put it there']");
    for (const [far, bearing] of [
      ['110', '75'],
      ['6', '345'],
      ['110', '255'],
    ] as const) {
      await field('next, off', far);
      await field('at', bearing);
      await press("//button[normalize-space()='Put it there']");
    }
    await press("//button[normalize-space()='End the quay']");
    expect(await app.page.until('the quay', () => text('[data-testid=thing]'), Boolean)).toContain(
      'quay 1',
    );
    expect(await violations(driver)).toEqual([]);
    await app.page.saved();
    const drawn = (await opened('new-place')).place;
    expect(drawn.name).toBe('Six Finger Pool');
    expect(drawn.features.filter(({ kind }) => kind === 'boat')).toHaveLength(7);
    expect(drawn.berths).toHaveLength(3);

    await driver.get(`${app.server.address}/new`);
    await app.page.choose('Place', 'Six Finger Pool');
    await app.page.choose('Boat', 'Quince');
    await press("//button[normalize-space()='Begin without a plan']");
    await driver.wait(async () => (await at()).includes('/m/'), 20_000);
    await app.page.ready();
    await app.page.written("(//section[@aria-label='Techniques']//li//button)[1]");
    await app.page.saved();
    const first = await played((await at()).split('/m/')[1]!.split('?')[0]!);
    expect(first.file.plan.steps.length).toBeGreaterThan(1);

    const answer = await fetch(`${app.server.address}/api/places/new-place/file?as=geojson`);
    expect(answer.headers.get('content-type')).toBe('application/geo+json');
    const path = join(mkdtempSync(join(tmpdir(), 'yawtrope-places-')), 'pool.geojson');
    writeFileSync(path, await answer.text());

    await driver.get(`${app.server.address}/places/new-place`);
    await press("//button[normalize-space()='Remove this place']");
    await driver.wait(async () => (await at()).includes('aside='), 20_000);
    expect(await text('main')).not.toContain('Six Finger Pool');
    await (await driver.findElement({ css: 'input[aria-label="Place file"]' })).sendKeys(path);
    await press("//button[normalize-space()='Import it']");
    await driver.wait(async () => /places\/new-place-\d/.test(await at()), 20_000);
    const again = (await opened((await at()).split('/places/')[1]!)).place;
    expect({ ...again, id: drawn.id }).toEqual(drawn);

    const second = toRunInput({ ...first.file, place: again });
    if (!second.ok) throw new Error(second.problems[0]!.message);
    const run = runPlan(second.value);
    expect(namedColumns(run.trace)).toEqual(namedColumns(first.run.trace));
  },
  240_000,
);

it('draws by pressing, moves what is chosen by hand and by keys, undoes, and keeps it over a reload', async () => {
  const { driver } = app;
  await driver.get(`${app.server.address}/places`);
  await press("//button[normalize-space()='Draw a new place']");
  await driver.wait(async () => /places\/new-place/.test(await at()), 20_000);
  const id = (await at()).split('/places/')[1]!;
  const plan = await app.page.find('[role=application]');
  await tool('pontoon');
  const tap = (x: number, y: number) =>
    driver.actions().move({ origin: plan, x, y }).click().perform();
  await tap(-200, 0);
  await tap(100, 3);
  await tap(100, 40);
  await driver.actions().sendKeys(Key.ENTER).perform();
  expect(await app.page.until('drawn', () => text('[data-testid=thing]'), Boolean)).toContain(
    'pontoon 1',
  );
  const corners = async () => {
    await app.page.saved();
    const [f] = (await opened(id)).place.features;
    return f && 'outline_m' in f ? f.outline_m : [];
  };
  const before = await corners();
  expect(before).toHaveLength(3);
  // The second leg was three pixels off square to the first, and was made square.
  const [a, b, c] = before as [number, number][];
  const dot = (b![0] - a![0]) * (c![0] - b![0]) + (b![1] - a![1]) * (c![1] - b![1]);
  expect(Math.abs(dot)).toBeLessThan(2);
  const corner = await app.page.find('[aria-label^="Corner 1 of"]');
  await driver
    .actions()
    .move({ origin: corner })
    .press()
    .move({ origin: corner, x: -40, y: 0, duration: 100 })
    .release()
    .perform();
  const dragged = await corners();
  expect(dragged[0]![0]).toBeLessThan(before[0]![0] - 2);
  expect(dragged.slice(1)).toEqual(before.slice(1));
  await (await app.page.find('[aria-label^="pontoon 1: drag"]')).sendKeys(Key.ARROW_UP);
  const nudged = await corners();
  expect(nudged[1]![1]).toBeCloseTo(before[1]![1] + 0.1, 6);
  const undo = () =>
    driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
  await undo();
  await undo();
  expect(await corners()).toEqual(before);
  // One more corner on an edge, and taken away again by its key.
  await (await app.page.find('[aria-label="One more corner between 1 and 2"]')).click();
  expect(await corners()).toHaveLength(4);
  await (await app.page.find('[aria-label^="Corner 2 of"]')).sendKeys(Key.DELETE);
  expect(await corners()).toEqual(before);
  // Of the last three none is taken; the thing is taken away by the same key on the plan.
  await (await app.page.find('[aria-label^="Corner 2 of"]')).sendKeys(Key.DELETE);
  expect(await corners()).toEqual(before);
  await driver.navigate().refresh();
  await app.page.find('[role=application]');
  expect((await opened(id)).place.features).toHaveLength(1);
}, 90_000);

sweep(
  'an outline begun is not lost for another tool: with three corners it is put, and the last corner pressed again ends it',
  async () => {
    const { driver } = app;
    await driver.get(`${app.server.address}/places`);
    await press("//button[normalize-space()='Draw a new place']");
    await driver.wait(async () => (await at()).includes('/places/new-place'), 20_000);
    const id = (await at()).split('/places/')[1]!;
    const plan = await app.page.find('[role=application]');
    const pressAt = (x: number, y: number) =>
      driver.actions().move({ origin: plan, x, y }).press().release().perform();
    await tool('quay');
    for (const [x, y] of [
      [-200, -100],
      [200, -100],
      [200, -180],
      [-200, -180],
    ] as const)
      await pressAt(x, y);
    await tool('bank');
    const kinds = async () => {
      await app.page.saved();
      return (await opened(id)).place.features.map((f) => [
        f.kind,
        'outline_m' in f ? f.outline_m.length : 1,
      ]);
    };
    expect(await kinds()).toEqual([['quay', 4]]);
    for (const [x, y] of [
      [-200, 200],
      [200, 200],
      [200, 260],
    ] as const)
      await pressAt(x, y);
    await pressAt(200, 260);
    expect(await kinds()).toEqual([
      ['quay', 4],
      ['bank', 3],
    ]);
  },
  60_000,
);

it('a file that is wrong is answered in words, and its names stay text', async () => {
  const { driver } = app;
  await driver.get(`${app.server.address}/places`);
  const folder = join(process.cwd(), 'src', 'io', 'geojson', 'nasty');
  const input = async (name: string) =>
    (await driver.findElement({ css: 'input[aria-label="Place file"]' })).sendKeys(
      join(folder, name),
    );
  await input('self-crossing.geojson');
  await app.page.until(
    'refused',
    () => text('main [role=alert]'),
    (t) => t.includes('crosses itself'),
  );
  await input('deeper-nesting.geojson');
  await app.page.until(
    'refused',
    () => text('main [role=alert]'),
    (t) => t.includes('nests brackets'),
  );
  await input('markup-and-emoji.geojson');
  await press("//button[normalize-space()='Import it']");
  await driver.wait(async () => /places\/markup-and-emoji/.test(await at()), 20_000);
  await press("//summary[starts-with(., 'All objects')]");
  expect(await text('aside')).toContain('<img src=x onerror=alert(1)> ⚓ "quay"');
  const server = await fetch(`${app.server.address}/api/places`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: readFileSync(join(folder, 'deeper-nesting.geojson'), 'utf8'),
  });
  expect(server.status).toBe(422);
  expect(await server.text()).not.toMatch(/at .*\.(js|ts)/);
});

it('changed in another window it overwrites nothing, and either can be gone on with', async () => {
  const { driver } = app;
  await driver.get(`${app.server.address}/places/tolver-wall`);
  await app.page.find('[role=application]');
  const elsewhere = async (name: string) => {
    const answer = await fetch(`${app.server.address}/api/places/tolver-wall`);
    const { place, revision } = (await answer.json()) as { place: Place; revision: number };
    const saved = await fetch(`${app.server.address}/api/places/tolver-wall`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ revision, place: { ...place, name } }),
    });
    expect(saved.status).toBe(200);
  };
  await elsewhere('Renamed elsewhere');
  await field('the place is called', 'Renamed here');
  const alert = () => text('aside [role=alert]');
  await app.page.until('told', alert, (t) => t.includes('Changed in another window'));
  expect((await opened('tolver-wall')).place.name).toBe('Renamed elsewhere');
  await press("//aside//button[.='Keep this one']");
  await app.page.saved();
  expect((await opened('tolver-wall')).place.name).toBe('Renamed here');

  await elsewhere('Renamed again');
  await field('the place is called', 'Renamed once more');
  await app.page.until('told', alert, (t) => t.includes('Changed in another window'));
  await press("//aside//button[.='Show the other']");
  await app.page.until(
    'the other',
    () => text('h1'),
    (t) => t === 'Renamed again',
  );
  await app.page.saved();
  expect((await opened('tolver-wall')).place.name).toBe('Renamed again');
}, 60_000);

sweep(
  'is drawn by keyboard alone: typed corners, arrows, a name that is taken refused',
  async () => {
    const { driver } = app;
    await driver.get(`${app.server.address}/places/tolver-wall`);
    await app.page.find('[role=application]');
    await tool('pile');
    await field('east', '-5');
    await field('north', '-30');
    await press("//button[normalize-space()='Put it there']");
    await tool('choose and move');
    await press("//summary[starts-with(., 'All objects')]");
    await press("//aside//li/button[starts-with(., 'pile 1')]");
    await app.page.until(
      'the pile',
      () => text('[data-testid=thing]'),
      (t) => t.includes('pile 1'),
    );
    await field('called', 'malt chimney');
    await app.page.until(
      'refused',
      () => text('[data-testid=thing] [role=alert]'),
      (t) => t.includes('used twice'),
    );
    await field('called', 'new pile');
    await field('radius', '900');
    await app.page.until(
      'its range',
      () => text('[data-testid=thing] [role=alert]'),
      (t) => t.includes('0.03 to 20'),
    );
    await field('radius', '0.4');
    await app.page.saved();
    const pile = (await opened('tolver-wall')).place.features.find((f) => f.name === 'new pile');
    expect(pile).toMatchObject({ kind: 'pile', x_m: -5, y_m: -30, radius_m: 0.4 });
    expect(await violations(driver)).toEqual([]);
  },
  60_000,
);
