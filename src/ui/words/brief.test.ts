import { briefOf, type Brief } from '@/core/brief';
import { compareRuns } from '@/core/monitors';
import { runPlan, type RunInput } from '@/core/plan';
import { NO_VARIATION, lastWayOut, surveyed, vary, windLimit } from '@/core/search';
import { toRunInput } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { legSides } from '../water/lee-sides';
import { ableStatements, pushStatements } from './brief';
import { differenceLines } from './difference';
import { openings } from './run';
import { force } from './units';
import { limitWords, wayOutText } from './way-out';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;
const read = toRunInput(demoFile('alongside-wind-off'));
if (!read.ok) throw new Error('the demo cannot be read');
const input: RunInput = read.value;

function briefed(of: RunInput): Brief {
  let last: Brief | null = null;
  for (const brief of briefOf(of, false, [{ name: 'lamp 2', x: -27.61, y: -2.3 }])) last = brief;
  return last!;
}
const brief = briefed(input);
const texts = (of: Brief, wind: number) =>
  [...pushStatements(of, UNITS), ...ableStatements(of, 10.6, wind, UNITS)].map((s) => s.text);

describe('the brief in words', () => {
  it('says in what wind joystick and spring still hold the boat, or that they do not', () => {
    const able = { ...brief.able!, holds: { ...brief.able!.holds } };
    const with_ = (holds: Partial<typeof able.holds>, wind: number) =>
      texts({ ...brief, able: { ...able, holds: { ...able.holds, ...holds } } }, wind);
    expect(texts(brief, 2).join()).toMatch(
      /midship spring holds the boat against wind off: up to \d+ kn/,
    );
    expect(texts(brief, 20).join()).toMatch(
      /midship spring no longer holds the boat against wind off/,
    );
    expect(with_({ spring: 0 }, 2).join()).toContain('does not hold the boat against wind off');
    expect(with_({ joystick: 9 }, 2).join()).toContain(
      'The joystick holds the boat against wind off',
    );
    expect(texts(brief, 2).join()).not.toContain('joystick');
  });

  it('gives forces to two figures, in newtons, kilograms-force or pounds-force', () => {
    expect(force(208.24, UNITS)).toBe('210 N');
    expect(force(208.24, { ...UNITS, force: 'kgf' })).toBe('21 kgf');
    expect(force(208.24, { ...UNITS, force: 'lbf' })).toBe('47 lbf');
    expect(force(-7.4, UNITS)).toBe('7 N');
    expect(force(12345, UNITS)).toBe('12 kN');
    expect(force(12345, { ...UNITS, force: 'kgf' })).toBe('1300 kgf');
  });

  it('says each thing once, with a reason, for each its own', () => {
    const all = [...pushStatements(brief, UNITS), ...ableStatements(brief, 10.6, 5.1, UNITS)];
    expect(new Set(all.map(({ key }) => key)).size).toBe(all.length);
    for (const { text, why } of all) {
      expect(text.length).toBeGreaterThan(8);
      expect(why.length).toBeGreaterThan(8);
      expect(`${text} ${why}`).not.toMatch(/NaN|undefined|Infinity|null/);
    }
  });

  it('says the dangerous side once while it stays, and again when it changes', () => {
    const legs = pushStatements(brief, UNITS).filter(({ key }) => key.startsWith('leg-'));
    expect(legs.map(({ text }) => text)).toEqual([
      'All the way: danger to starboard, safe to port',
    ]);
    const turned = {
      ...brief,
      legs: brief.legs.map((leg, i) => (i < 2 ? leg : { ...leg, lee: 'port' as const })),
    };
    const two = pushStatements(turned, UNITS).filter(({ key }) => key.startsWith('leg-'));
    expect(two[0]!.text).toMatch(/^Step 1 to [34]: danger to starboard, safe to port$/);
    expect(two[1]!.text).toMatch(/^From step [34] on: danger changes, it is now to port/);
  });

  it('warns where the boat’s means no longer hold it', () => {
    expect(texts(brief, 5).join()).toMatch(/holds the bow: up to/);
    expect(texts(brief, 20).join()).toMatch(/no longer holds the bow/);
  });

  it('draws the sides where the words say they are', () => {
    const run = runPlan(input);
    const sides = legSides(run, brief.legs, 3.4);
    const long = brief.legs.filter((leg) => leg.lee === 'starboard' && leg.distance > 2);
    expect(sides.map(({ step }) => step)).toEqual(long.map(({ step }) => step));
    const { danger, safe, towards } = sides[0]!;
    // Wind from 345°: the danger lies to the south of the way.
    expect(danger[0]![1]).toBeLessThan(safe[0]![1]);
    expect(Math.hypot(...towards[0]!)).toBeCloseTo(1, 9);
  });
});

describe('way out and limits in words', () => {
  const moments = surveyed(input);

  it('names the escape and what it clears', () => {
    expect(wayOutText(moments[0]!.wayOut, UNITS)).toMatch(
      /^stop the boat, \d+\.\d m to spare from /,
    );
    expect(wayOutText({ time: 0, grade: 'none', by: null, spare: null }, UNITS)).toBe(
      'no way out: committed',
    );
  });

  it('says nothing of a survey half done, and all of it when it is through', () => {
    const limit = windLimit(input);
    expect(
      openings({ moments: moments.slice(0, 5), of: moments.length, limit: null }, UNITS),
    ).toEqual([]);
    const [out, wind] = openings({ moments, of: moments.length, limit }, UNITS);
    expect(lastWayOut(moments.map((m) => m.wayOut))).toBeNull();
    expect(out!.meaning).toBe('way out, at every moment');
    expect(wind!.meaning).toBe('wind at which this fails');
    const gone = moments.map((m, i) =>
      i < 20 ? m : { ...m, wayOut: { ...m.wayOut, grade: 'none' as const, by: null, spare: null } },
    );
    const [last] = openings({ moments: gone, of: gone.length, limit: null }, UNITS);
    expect(last).toMatchObject({ meaning: 'last way out', time: moments[19]!.time });
  });

  it('says of the limit what goes wrong', () => {
    const base = { holdsTo: 6, outcome: 'hard touch', touched: 'Old Dray' } as const;
    expect(limitWords({ ...base, wind: 6.2 }, UNITS)).toEqual([
      '12 kn',
      'wind at which this fails',
      'a hard touch on Old Dray',
    ]);
    expect(limitWords({ ...base, wind: null }, UNITS)[1]).toBe('fails in this wind already');
    const never = { wind: null, holdsTo: 20.6, outcome: null, touched: null };
    expect(limitWords(never, UNITS)[0]).toBe('> 40 kn');
  });
});

it('a difference names what is worse', () => {
  const held = runPlan(input);
  const late = runPlan(vary(input, { ...NO_VARIATION, late: 3 }));
  const lines = differenceLines(held, late, compareRuns(held, late), UNITS);
  const line = (name: string) => lines.find((l) => l.name === name);
  expect(line('outcome')).toMatchObject({ worse: true });
  expect(line('outcome')!.text).toMatch(/^done → /);
  expect(line('the ways part')!.text).toMatch(/^at \d:\d\d, by \d+\.\d m at \d:\d\d$/);
  const same = differenceLines(held, held, compareRuns(held, held), UNITS);
  expect(same.find((l) => l.name === 'the ways')!.text).toBe('never part by half a metre');
  expect(same.every(({ worse }) => !worse)).toBe(true);
});
