import { cueSchema, orderSchema, type CueDocument, type OrderDocument } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { cueText, orderText, ordersText } from '../words/steps';
import { LOCK_CUE_WORDS } from '../words/locks';
import { cueFromForm, cueToForm } from './cues';
import { freshOrder, orderFrom, orderRow } from './orders';
import { FIRST, UNITS } from './testing/rows';

const ORDERS: OrderDocument[] = [
  { do: 'paddle', after_s: 0, lock: 'Cobnut Lock', paddle: 'west ground paddle', to: 0.4 },
  { do: 'paddle', after_s: 3, lock: 'Cobnut Lock', paddle: 'west gate paddle', to: 0, by: 'Wren' },
  {
    do: 'gates',
    after_s: 0,
    lock: 'Cobnut Lock',
    end: 'lower',
    leaf: 'both',
    to: 'shut',
    by: 'Wren',
  },
  { do: 'gates', after_s: 0, lock: 'Cobnut Lock', end: 'upper', leaf: 'left', to: 'open' },
  { do: 'signal', after_s: 1 },
  { do: 'other', after_s: 6, boat: 'Wicket', gear: 'ahead', throttle: 0.05, heading_deg: 52 },
  { do: 'other', after_s: 0, boat: 'Wicket', gear: 'neutral', throttle: 0 },
  { do: 'other', after_s: 2, boat: 'Wicket', gear: 'ahead', throttle: 0.05, mark: 'ring 3' },
  {
    do: 'tend',
    after_s: 0,
    line: 'centre line',
    how: 'keep',
    turns: 0.75,
    winch: false,
    by: 'Joss',
  },
];

describe('orders at a lock in fields', () => {
  it.each(ORDERS)('$do comes back as it went in', (order) => {
    const back = orderFrom(orderRow(order, UNITS), UNITS);
    expect(back).toEqual(order);
    expect(orderSchema.safeParse(back).success).toBe(true);
  });

  it('fresh ones are the keeper’s, and half a paddle', () => {
    const first = { ...FIRST, lock: 'L', paddle: 'near' };
    const paddle = orderFrom(freshOrder('paddle', first), UNITS);
    expect(paddle).toEqual({ do: 'paddle', after_s: 0, lock: 'L', paddle: 'near', to: 0.5 });
    const gates = orderFrom(freshOrder('gates', first), UNITS);
    expect(gates).not.toHaveProperty('by');
    expect(orderSchema.safeParse(gates).success).toBe(true);
    expect(orderSchema.safeParse(orderFrom(freshOrder('paddle', FIRST), UNITS)).success).toBe(
      false,
    );
  });

  it('a boat in neutral has no throttle, whatever stood in its field', () => {
    const row = freshOrder('other', { ...FIRST, boat: 'Wicket' });
    const values = { ...row.values, gear: 'neutral', throttle: 40 };
    expect(orderFrom({ ...row, values }, UNITS)).toMatchObject({ gear: 'neutral', throttle: 0 });
    const unnamed = orderFrom({ ...row, values: { ...values, keeps: 'a mark', mark: '' } }, UNITS);
    expect(orderSchema.safeParse(unnamed).success).toBe(false);
  });

  it('are said as they are called for', () => {
    expect(ORDERS.map((order) => orderText(order, UNITS))).toEqual([
      'wind west ground paddle 40 % up',
      'Wren: wind west gate paddle down after 3 s',
      'Wren: shut the lower gates',
      'open the left leaf of the upper gates',
      'the signal to wind after 1 s',
      'Wicket: ahead 5 %, steering 052° after 6 s',
      'Wicket: neutral',
      'Wicket: ahead 5 %, steering for ring 3 after 2 s',
      'Joss: keep the centre line snug on 0.75 turns',
    ]);
    expect(ordersText([ORDERS[4]!, ORDERS[0]!], UNITS)).toContain('the signal to wind');
  });
});

describe('cues at a lock in fields', () => {
  const states = Object.keys(LOCK_CUE_WORDS) as (keyof typeof LOCK_CUE_WORDS)[];

  it.each(states)('%s comes back as it went in', (state) => {
    const cue: CueDocument = { is: 'lock', lock: 'Cobnut Lock', state };
    const form = cueToForm(cue, UNITS);
    expect(cueFromForm(form, UNITS)).toEqual(cue);
    expect(cueSchema.safeParse(cue).success).toBe(true);
    expect(cueText(cue, UNITS)).toBe(`Cobnut Lock ${LOCK_CUE_WORDS[state]}`);
  });

  it('goes with others in a group', () => {
    const cue: CueDocument = {
      is: 'any',
      of: [
        { is: 'lock', lock: 'Cobnut Lock', state: 'shut' },
        { is: 'after', time_s: 90 },
      ],
    };
    const form = cueToForm(cue, UNITS);
    expect(cueFromForm(form, UNITS)).toEqual(cue);
  });
});

it('every order of the passages that ship has words of its own', () => {
  for (const id of [
    'nell-up-cobnut-lock',
    'nell-down-cobnut-lock',
    'pebble-shares-withen-lock',
    'quince-alone-down-withen-lock',
  ]) {
    const { plan } = demoFile(id);
    for (const { orders, cue } of plan.steps) {
      for (const order of orders) {
        expect(orderText(order, UNITS)).not.toMatch(/undefined|NaN|\[object/);
        expect(orderFrom(orderRow(order, UNITS), UNITS)).toEqual(order);
      }
      expect(cueText(cue, UNITS)).not.toMatch(/undefined|NaN/);
    }
  }
});
