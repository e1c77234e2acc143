import { LOCK_CHECKS, type LockItem } from '@/core/brief';
import { checkText } from './lock-sheets';
import { weatherText } from './weather';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;
const item = (check: LockItem['check'], rest: Partial<LockItem> = {}): LockItem => ({
  check,
  figure: null,
  pace: null,
  name: null,
  hurts: false,
  ...rest,
});

describe('checks at a lock in words', () => {
  it('tell how much is over, how long a rope and how long it takes', () => {
    const text = (one: LockItem) => checkText(one, UNITS)[0];
    expect(text(item('down-cill', { figure: 2.34 }))).toContain('2.3 m over');
    expect(text(item('down-cill', { figure: -0.4 }))).toContain('0.4 m too little');
    expect(text(item('up-line', { figure: 11 }))).toContain('11.0 m of it');
    expect(text(item('alone-time', { figure: 605 }))).toContain('10:05');
    expect(text(item('alone-time'))).toContain('not done');
    expect(text(item('alone-ladder', { figure: 2.1, hurts: true }))).toMatch(/no ladder.*2\.1 m/);
    expect(text(item('sharing-first', { figure: 1, name: 'Dray' }))).toMatch(
      /^the boat goes in first/,
    );
    expect(text(item('sharing-first', { figure: 0, name: 'Dray' }))).toMatch(/^Dray goes in first/);
  });

  it('have a word for every check, with nothing left open in it', () => {
    for (const check of LOCK_CHECKS) {
      const [what, why] = checkText(item(check, { figure: 1.5, name: 'Dray' }), UNITS);
      expect(what.length).toBeGreaterThan(10);
      expect(`${what} ${why}`).not.toMatch(/undefined|null|NaN/);
    }
  });

  it('what it was rehearsed in stands in one line', () => {
    const wind = { from_deg: 240, speed_mps: 6.17 };
    const current = { set_deg: 90, speed_mps: 0 };
    expect(weatherText({ wind, current, water: 'sea' }, UNITS)).toBe(
      'Wind 12 kn from 240° SW. No current.',
    );
    const gusts = { intensity: 0.2, timeScale_s: 8, seed: 1 };
    const level = [{ at_s: 0, level_m: -0.4 }];
    expect(
      weatherText(
        { wind: { ...wind, gusts }, current: { ...current, speed_mps: 0.5 }, water: 'sea', level },
        UNITS,
      ),
    ).toBe('Wind 12 kn from 240° SW, gusts of ± 20 %. Current 1.0 kn to 090° E; level −0.4 m.');
  });
});
