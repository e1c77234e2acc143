import { orderSchema, type OrderDocument } from '@/document';
import { orderText, ordersText } from '../words/steps';
import { freshOrder, orderFrom, orderRow } from './orders';
import { speedFrom } from '../words/units';
import { FIRST, UNITS } from './testing/rows';

const TWO_KNOTS = speedFrom(2, UNITS.speed);

const ORDERS: OrderDocument[] = [
  { do: 'wheel', after_s: 0, angle_deg: -12 },
  { do: 'steer', after_s: 1.5, heading_deg: 84 },
  { do: 'steerFor', after_s: 0, mark: 'lamp 2', first: 'stern' },
  { do: 'engine', after_s: 0.5, gear: 'astern', throttle: 0.35 },
  { do: 'engine', after_s: 0, engine: 'port engine', gear: 'neutral', throttle: 0 },
  { do: 'thruster', after_s: 0, thruster: 'bow thruster', power: -0.6 },
  { do: 'joystick', after_s: 0, ahead: 0.1, sideways: -0.5, twist: 0.2 },
  { do: 'call', after_s: 2, text: 'two metres' },
  {
    do: 'workClear',
    after_s: 0,
    distance_m: 2.5,
    most_mps: TWO_KNOTS,
    thrusters: true,
    idle: true,
  },
  {
    do: 'workIn',
    after_s: 0,
    point: 'stern',
    mark: 'lamp 2',
    within_m: 1.5,
    heading_deg: 84,
    headingWithin_deg: 12,
    most_mps: TWO_KNOTS,
    thrusters: false,
    idle: true,
  },
];

it.each(ORDERS)('$do comes back from the form as it went in', (order) => {
  expect(orderFrom(orderRow(order, UNITS), UNITS)).toEqual(order);
  expect(orderSchema.safeParse(orderFrom(orderRow(order, UNITS), UNITS)).success).toBe(true);
});

it('a fresh order of every kind has a form; one that names something is sound once it is named', () => {
  for (const kind of ['wheel', 'steer', 'engine', 'joystick'] as const)
    expect(orderSchema.safeParse(orderFrom(freshOrder(kind, FIRST), UNITS)).success).toBe(true);
  const named = { ...FIRST, mark: 'pile 4' };
  const mark = orderFrom(freshOrder('steerFor', named), UNITS);
  expect(orderSchema.safeParse(mark).success).toBe(true);
  expect(orderSchema.safeParse(orderFrom(freshOrder('steerFor', FIRST), UNITS)).success).toBe(
    false,
  );
});

it('says a steer as a helm is told it', () => {
  expect(orderText(ORDERS[1]!, UNITS)).toBe('steer 084° after 1.5 s');
  expect(orderText(ORDERS[2]!, UNITS)).toBe('stern for lamp 2');
  expect(ordersText([ORDERS[1]!, ORDERS[7]!], UNITS)).toBe('steer 084° after 1.5 s');
  expect(ordersText([ORDERS[7]!], UNITS)).toBe('“two metres” after 2 s');
  expect(ordersText([], UNITS)).toBe('nothing to do');
});
