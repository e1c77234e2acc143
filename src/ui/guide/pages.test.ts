import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileOf, GUIDE_PAGES, shippedAt, type GuidePage } from './pages';

const pages = Object.keys(GUIDE_PAGES) as GuidePage[];
const targets = (text: string) => [...text.matchAll(/\]\(([^)\s]+)\)/g)].map(([, to]) => to!);

it('every page of docs/guide is shipped, and none that is not there', () => {
  const files = readdirSync(join(process.cwd(), 'docs', 'guide')).filter((n) => n !== 'README.md');
  const named = pages.filter((page) => page !== 'physics').map((page) => `${page}.md`);
  expect(named.toSorted()).toEqual(files.toSorted());
});

it.each(pages)('%s: begins with a title, and what it refers to is there', (page) => {
  const file = join(process.cwd(), fileOf(page));
  const text = readFileSync(file, 'utf8');
  expect(text).toMatch(/^# /);
  for (const target of targets(text).filter((one) => !/^(https?:|#)/.test(one)))
    expect(existsSync(join(dirname(file), target.replace(/#.*/, '')))).toBe(true);
  // A page for users leads nowhere that is not shipped.
  if (page !== 'physics')
    for (const target of targets(text)) expect(shippedAt(target)).not.toBeNull();
});

it('leads only to what is shipped', () => {
  expect(shippedAt('rehearse.md')).toBe('/guide/rehearse');
  expect(shippedAt('../screenshots/plan.png')).toBe('/guide/pictures/plan');
  expect(shippedAt('decisions/0038-what.md')).toBeNull();
  expect(shippedAt('https://elsewhere.example/rehearse.md')).toBeNull();
  expect(shippedAt('../../.yawtrope/library.png')).toBeNull();
});
