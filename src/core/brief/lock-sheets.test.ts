import { assembleCraft } from '../boat';
import { NO_LINES } from '../holding';
import type { Person, RunInput } from '../plan';
import { sloop } from '../testing/boats';
import { LOCK_WALLS, lockAt, windTo } from '../testing/locks';
import { stepOf, inputOf } from '../testing/manoeuvre';
import { aboard, ashore, riggedWith } from '../testing/rigging';
import { LOCK_CHECKS, LOCK_SHEETS, locksAhead, lockSheets, type Sheet } from './';

function before(going: 'up' | 'down', crew: readonly Person[], rest: Partial<RunInput> = {}) {
  const lower = going === 'up';
  const input: RunInput = {
    ...inputOf(
      [],
      { is: 'after', time: 5 },
      {
        obstacles: LOCK_WALLS,
        locks: [lockAt({}, lower ? 'lower' : 'upper', 'open')],
        start: { x: 0, y: lower ? -34 : 18, heading: lower ? 0 : Math.PI, speed: 0 },
        ...rest,
      },
    ),
    ...riggedWith([], crew),
  };
  const ahead = [...locksAhead(input)];
  return { input, ahead, sheets: lockSheets(input, ahead) };
}

const of = (sheets: readonly Sheet[], sheet: Sheet['sheet']) =>
  sheets.find((one) => one.sheet === sheet)!.items;
const checks = (sheets: readonly Sheet[]) =>
  sheets.map(({ sheet, items }) => [sheet, items.map(({ check }) => check)]);
const HELM = aboard('Ada', -3, 0);
/** In the chamber, bow down: nothing is tried at its gates, which takes long. */
const IN_IT = { start: { x: 0, y: -8, heading: Math.PI, speed: 0 } };

describe('sheets for a lock', () => {
  it('are of the way she goes, with the figures of that way, and signs only where somebody is ashore', () => {
    const up = before('up', [HELM, ashore('Bo', 5, 0)]);
    expect(checks(up.sheets)).toEqual([
      ['going up', LOCK_CHECKS.filter((check) => check.startsWith('up-'))],
    ]);
    const { fit, rope, up: making } = up.ahead[0]!.figures;
    const items = of(up.sheets, 'going up');
    expect(items[0]).toMatchObject({ check: 'up-room', figure: fit.gates, hurts: false });
    expect(items[1]).toMatchObject({ check: 'up-line', figure: rope });
    expect(items.find(({ check }) => check === 'up-pace')!.pace).toBe(making);

    const down = before('down', []);
    expect(down.sheets.map(({ sheet }) => sheet)).toEqual(['going down']);
    const list = of(down.sheets, 'going down');
    expect(list[0]).toMatchObject({ check: 'down-cill', figure: down.ahead[0]!.figures.fit.cill });
    expect(list.map(({ check }) => check)).not.toContain('down-sign');
  });

  it('going down too long to lie clear of the cill is marked as what hurts', () => {
    const locks = [lockAt({ length: 12.5 }, 'upper', 'open')];
    const items = of(before('down', [], { ...IN_IT, locks }).sheets, 'going down');
    expect(items[0]!.figure).toBeLessThan(0);
    expect(items[0]!.hurts).toBe(true);
  });

  it('alone asks for a ladder in the chamber where one cannot step, and for nothing where one can', () => {
    const ladderOf = (rest: Partial<RunInput>) =>
      of(before('down', [HELM], { ...IN_IT, ...rest }).sheets, 'alone').find(
        ({ check }) => check === 'alone-ladder',
      )!;
    const climb = 3 - sloop().hull.freeboard;
    expect(ladderOf({})).toMatchObject({ figure: climb, hurts: true });
    expect(ladderOf({ ladders: [{ name: 'rungs', x: 3, y: -8 }] }).hurts).toBe(false);
    // Before the gates, or in the bank behind, it leads out of no chamber.
    expect(ladderOf({ ladders: [{ name: 'rungs', x: 3, y: -20 }] }).hurts).toBe(true);
    expect(ladderOf({ ladders: [{ name: 'rungs', x: 7, y: -8 }] }).hurts).toBe(true);
    const low = { ...lockAt({}, 'upper', 'open'), coping: 2.1 };
    const shallow = { ...low, lock: { ...low.lock, lower: { level: 1.4, area: Infinity } } };
    expect(ladderOf({ locks: [shallow] }).hurts).toBe(false);
  });

  it('alone with a keeper to wind she stays aboard: no ladder, no paddles', () => {
    const orders = (by: number | null) => [
      stepOf({ is: 'start' }, [{ after: 0, order: windTo(2, 1, by) }]),
    ];
    const listOf = (by: number | null) => {
      const { input, ahead } = before('down', [HELM], IN_IT);
      const planned = { ...input, plan: { ...input.plan, steps: orders(by) } };
      return of(lockSheets(planned, ahead), 'alone').map(({ check }) => check);
    };
    expect(listOf(null)).toEqual(['alone-neutral', 'alone-held']);
    expect(listOf(0)).toContain('alone-ladder');
  });

  it('sharing names the other boat, who is first, and whether there is room', () => {
    const craft = assembleCraft(sloop());
    const other = (x: number, y: number) => ({
      others: [
        { id: 'o', name: 'Dray', craft, start: { x, y, heading: 0, speed: 0 }, lines: NO_LINES },
      ],
    });
    const wide = lockAt({ width: 9 }, 'lower', 'open');
    const near = of(before('up', [], { ...other(3, -24), locks: [wide] }).sheets, 'sharing');
    expect(near.map(({ name }) => name)).toEqual(['Dray', 'Dray', 'Dray', 'Dray']);
    expect(near[0]).toMatchObject({ check: 'sharing-fit', hurts: false });
    expect(near[1]).toMatchObject({ check: 'sharing-first', figure: 0 });
    const after = of(before('up', [], { ...other(3, -48), locks: [wide] }).sheets, 'sharing');
    expect(after[1]).toMatchObject({ check: 'sharing-first', figure: 1 });
    const narrow = of(before('up', [], other(3, -24)).sheets, 'sharing');
    expect(narrow[0]!.hurts).toBe(true);
    expect(narrow[0]!.figure).toBeLessThan(0);
  });

  it('are none without a lock, and every check belongs to one sheet by its name', () => {
    expect(lockSheets(inputOf([], { is: 'start' }), [])).toEqual([]);
    const words = LOCK_SHEETS.map((sheet) => sheet.replace('going ', ''));
    for (const check of LOCK_CHECKS) expect(words).toContain(check.split('-')[0]);
  });
});
