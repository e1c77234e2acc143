import { computeSheet, type Sheet } from '@/core/trials';
import { fleetCraft, fleetRecord } from '@/document/testing/fleet';
import { figureGroups } from '../boats/own-figures';
import { driveWords, figureWords, massWords } from './boat';
import { sheetSections, type SheetSection } from './sheet';
import type { Units } from './units';

const KN: Units = { speed: 'kn', length: 'm', force: 'N' };
const FEET: Units = { speed: 'm/s', length: 'ft', force: 'lbf' };

let sheet: Sheet;
let barge: Sheet;

beforeAll(() => {
  sheet = computeSheet(fleetCraft('quince'));
  barge = computeSheet(fleetCraft('long-measure'));
}, 60_000);

const find = (sections: SheetSection[], what: RegExp) => {
  const row = sections.flatMap(({ rows }) => rows).find((r) => what.test(r.what));
  if (!row) throw new Error(`no row ${String(what)}`);
  return row;
};

describe('a sheet in words', () => {
  it('gives every figure with its unit and its spread', () => {
    for (const units of [KN, FEET]) {
      for (const { name, rows } of sheetSections(sheet, 10.6, units)) {
        expect(name).not.toBe('');
        expect(rows.length).toBeGreaterThan(0);
        for (const { what, figure, also, range } of rows) {
          expect(`${what} ${figure} ${also}`).not.toMatch(/NaN|undefined|null|Infinity|-0/);
          expect(figure).not.toBe('');
          expect(range).toMatch(/^(\S.*|)$/);
          expect(range).not.toMatch(/NaN|undefined|null|Infinity|-0/);
        }
      }
    }
  });

  it('says the core’s own figure', () => {
    const sections = sheetSections(sheet, 10.6, KN);
    const knots = sheet.speeds.idleAhead! / 0.514444;
    expect(find(sections, /^Idle ahead/).figure).toBe(`${knots.toFixed(1)} kn`);
    const { distance } = sheet.stops[0]!.stop!;
    const stop = find(sections, /^Stop from 2\.0 kn/);
    expect(stop.figure).toBe(`${(distance / 10.6).toFixed(2)} L`);
    expect(stop.also).toContain(`${Math.round(distance)} m, `);
  });

  it('speaks the user’s units throughout', () => {
    const text = JSON.stringify(sheetSections(sheet, 10.6, FEET));
    expect(text).toMatch(/\d ft/);
    expect(text).toMatch(/\d m\/s/);
    expect(text).not.toMatch(/\d m[", ]/);
    // Wind stays in knots, as it is forecast.
    expect(find(sheetSections(sheet, 10.6, FEET), /kn of wind/).what).toMatch(/^\d+ kn of wind$/);
  });

  it('says plainly what the boat cannot do', () => {
    const cannot: Sheet = {
      ...sheet,
      stops: [{ from: 1.03, stop: null }],
      carry: null,
      circles: { ...sheet.circles, asternIdle: null },
      backAndFill: { starboard: null, port: null },
      steering: { rate: 0.02, ahead: null, astern: 0 },
      walk: { ...sheet.walk!, turned: 0, stern: 0 },
      holds: { ...sheet.holds, burst: 0, thruster: Infinity },
    };
    const sections = sheetSections(cannot, 10.6, KN);
    const figure = (what: RegExp) => find(sections, what).figure;
    expect(figure(/^Stop from/)).toBe('never');
    expect(figure(/^Carry/)).toBe('over two hours');
    expect(figure(/idle astern$/)).toBe('does not come round');
    expect(figure(/to port, back and fill/)).toBe('not in 24 bursts');
    expect(figure(/^Least headway/)).toBe('none to 5 kn');
    expect(figure(/^Sternway at which/)).toBe('at once');
    expect(figure(/^Firm astern/)).toBe('none');
    expect(figure(/^Half ahead, wheel hard over/)).toBe('none');
    expect(figure(/^Bow thruster alone/)).toBe('any to 58 kn');
  });

  it('leaves out engine and wheel for a boat that is towed', () => {
    const names = sheetSections(barge, 30, KN).map(({ name }) => name);
    expect(names).toEqual(['Way', 'In wind, let go beam on']);
    expect(find(sheetSections(barge, 30, KN), /^Carry from/).figure).toMatch(/ L$/);
  });
});

describe('a boat in words', () => {
  it('weighs the boat', () => {
    expect([80, 999, 1000, 14500, 99950, 250000, 5.3e7].map(massWords)).toEqual([
      '80 kg',
      '999 kg',
      '1.0 t',
      '14.5 t',
      '100.0 t',
      '250 t',
      '53,000 t',
    ]);
  });

  it('says what drives the boat', () => {
    expect(driveWords(fleetRecord('quartet'))).toBe('four outboards, joystick');
    expect(driveWords(fleetRecord('long-measure'))).toBe('no engine');
    expect(driveWords(fleetRecord('lantern'))).toBe('one sail drive, bow thruster');
    expect(driveWords(fleetRecord('ottoline'))).toBe('two outdrives, bow thruster, joystick');
  });

  it('has a name and a unit for every figure of every record', () => {
    const boats = ['quince', 'brisling', 'ottoline', 'marram'].map((id) => fleetRecord(id));
    const figures = boats.flatMap(figureGroups).flatMap((group) => group.figures);
    expect(figures.length).toBeGreaterThan(300);
    for (const { path, field } of figures) {
      const { name, unit } = figureWords(path);
      if (field !== 'blades') expect(`${path}: ${name}`).not.toBe(`${path}: ${field}`);
      if (field.includes('_') && !field.endsWith('_kt')) expect(`${field} ${unit}`).toMatch(/ \S/);
    }
  });
});
