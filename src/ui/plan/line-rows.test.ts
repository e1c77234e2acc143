import type { CueDocument, ExpectationDocument } from '@/document';
import { fieldOf } from './step-form';
import { cueFromForm, cueToForm, freshCue } from './cue-rows';
import { expectFrom, expectRow, freshExpect } from './expect-rows';
import { freshOrder, orderFrom, orderRow } from './order-rows';
import { cueText, expectationText } from '../words/steps';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;

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
    const form = cueToForm(cue, freshCue('bow', 'lamp', 'bow line'), UNITS);
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
    const row = expectRow(expectation, freshExpect('bow', 'lamp', 'bow spring'), UNITS);
    expect(expectFrom(row, UNITS)).toEqual(expectation);
    expect(expectationText(expectation, UNITS)).toContain('bow spring');
  });
});

describe('orders to hands in fields', () => {
  it('fresh ones are by whoever is at hand, and ask for no length', () => {
    const order = orderFrom({ ...freshOrder('pass'), line: 'spring', end: 'cleat 3' });
    expect(order).toEqual({ do: 'pass', after_s: 0, line: 'spring', to: 'cleat 3', how: 'drop' });
    expect(orderFrom({ ...freshOrder('letGo'), line: 'spring' })).toEqual({
      do: 'letGo',
      after_s: 0,
      line: 'spring',
    });
  });

  it('a length of nought is as it comes', () => {
    const row = { ...freshOrder('tend'), line: 'spring', tend: 'haul' as const, metres: 0 };
    expect(orderFrom(row)).not.toHaveProperty('length_m');
    expect(orderFrom({ ...row, metres: 2.5 })).toHaveProperty('length_m', 2.5);
  });

  it('go to the place their kind asks for: a mark ashore, a point aboard', () => {
    const row = { ...freshOrder('stepAshore'), by: 'Ada', mark: 'cleat 3', point: 'stern' };
    expect(orderFrom(row)).toMatchObject({ mark: 'cleat 3' });
    expect(orderFrom({ ...row, do: 'stepAboard' })).toMatchObject({ point: 'stern' });
    expect(orderRow({ do: 'go', after_s: 1, by: 'Ada', point: 'bow' })).toMatchObject({
      after: 1,
      by: 'Ada',
      point: 'bow',
    });
  });

  it('a problem with one is shown at its own field', () => {
    expect(fieldOf('orders[2].line')).toBe('orders.2.line');
    expect(fieldOf('wayOut.orders[0].by')).toBe('wayOrders.0.by');
    expect(fieldOf('cue.of[1].line')).toBe('cues.1.line');
    expect(fieldOf('orders[0].length_m')).toBe('orders.0.metres');
  });
});
