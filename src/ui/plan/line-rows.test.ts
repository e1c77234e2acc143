import type { CueDocument, ExpectationDocument } from '@/document';
import { fieldOf } from './step-form';
import { cueFromForm, cueToForm } from './cues';
import { expectFrom, expectRow, expectationText } from './expectations';
import { freshOrder, orderFrom, orderRow } from './orders';
import { FIRST, UNITS } from './testing/rows';
import { cueText } from '../words/steps';

describe('a line in cue and expectation', () => {
  const cues: CueDocument[] = [
    { is: 'line', line: 'bow spring', state: 'taut' },
    {
      is: 'all',
      of: [
        { is: 'line', line: 'bow line', state: 'off' },
        { is: 'line', line: 'stern line', state: 'off' },
      ],
    },
  ];

  it.each(cues)('comes back from its fields as it went in', (cue) => {
    const form = cueToForm(cue, UNITS);
    expect(cueFromForm(form, UNITS)).toEqual(cue);
  });

  it('is said as it would be called', () => {
    expect(cues.map((cue) => cueText(cue, UNITS))).toEqual([
      'bow spring taut',
      'bow line off and aboard and stern line off and aboard',
    ]);
  });

  it.each<ExpectationDocument>([
    { is: 'line', at: 'next', line: 'bow spring', state: 'on' },
    { is: 'line', at: { after_s: 4 }, line: 'bow spring', state: 'fast' },
  ])('expected comes back as it went in', (expectation) => {
    const row = expectRow(expectation, UNITS);
    expect(expectFrom(row, UNITS)).toEqual(expectation);
    expect(expectationText(expectation, UNITS)).toContain('bow spring');
  });
});

describe('orders to hands in fields', () => {
  it('fresh ones are by whoever is at hand, and ask for no length', () => {
    const first = { ...FIRST, rope: 'spring', line: 'spring', lineEnd: 'cleat 3' };
    const order = orderFrom(freshOrder('pass', first), UNITS);
    expect(order).toEqual({ do: 'pass', after_s: 0, line: 'spring', to: 'cleat 3', how: 'drop' });
    expect(orderFrom(freshOrder('letGo', first), UNITS)).toEqual({
      do: 'letGo',
      after_s: 0,
      line: 'spring',
    });
    expect(orderFrom(freshOrder('tend', first), UNITS)).toMatchObject({ how: 'fast', turns: 1.5 });
  });

  it('a length of nought is as it comes', () => {
    const row = freshOrder('tend', { ...FIRST, line: 'spring' });
    const hauled = (length: number) =>
      orderFrom({ ...row, values: { ...row.values, how: 'haul', length } }, UNITS);
    expect(hauled(0)).not.toHaveProperty('length_m');
    expect(hauled(2.5)).toHaveProperty('length_m', 2.5);
  });

  it('an anchor that is weighed has no chain to let run', () => {
    const row = freshOrder('anchor', { ...FIRST, anchor: 'bower' });
    const anchored = (how: string) =>
      orderFrom({ ...row, values: { ...row.values, how, length: 20 } }, UNITS);
    expect(anchored('drop')).toHaveProperty('length_m', 20);
    expect(anchored('weigh')).not.toHaveProperty('length_m');
  });

  it('go to the place their kind asks for: a mark ashore, a point aboard', () => {
    const first = { ...FIRST, person: 'Ada', mark: 'cleat 3', point: 'stern' };
    expect(orderFrom(freshOrder('stepAshore', first), UNITS)).toMatchObject({ mark: 'cleat 3' });
    expect(orderFrom(freshOrder('stepAboard', first), UNITS)).toMatchObject({ point: 'stern' });
    expect(orderRow({ do: 'go', after_s: 1, by: 'Ada', point: 'bow' }, UNITS)).toMatchObject({
      after: 1,
      values: { by: 'Ada', point: 'bow' },
    });
  });

  it('a problem with one is shown at its own field', () => {
    expect(fieldOf('orders[2].line')).toBe('orders.2.values.line');
    expect(fieldOf('wayOut.orders[0].by')).toBe('wayOrders.0.values.by');
    expect(fieldOf('cue.of[1].line')).toBe('cues.1.values.line');
    expect(fieldOf('orders[0].length_m')).toBe('orders.0.values.length');
  });
});
