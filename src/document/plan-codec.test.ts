import { CUES, EXPECTATIONS, ORDERS, type Parameter, type Parameters } from '@/core/plan';
import { check } from './result';
import {
  cueSchema,
  expectationSchema,
  figureInFile,
  keyOf,
  lastPlace,
  orderSchema,
  withParameters,
  type OrderDocument,
} from './plan-codec';

/** A value a file may have for a parameter. */
function sample(p: Parameter): unknown {
  switch (p.kind) {
    case 'angle':
    case 'speed':
    case 'distance':
    case 'length':
    case 'time':
    case 'turns':
    case 'share':
      return p.most;
    case 'heading':
      return 90;
    case 'choice':
      return p.of.at(-1);
    case 'gear':
      return 'astern';
    case 'flag':
      return true;
    case 'text':
      return 'hold her there';
    default:
      return 'a name';
  }
}

const filled = (parameters: Parameters) =>
  Object.fromEntries(Object.entries(parameters).map(([name, p]) => [keyOf(name, p), sample(p)]));

const problems = (checked: ReturnType<typeof check>) =>
  checked.ok ? [] : checked.problems.map(({ path, message }) => `${path}: ${message}`);

describe('a file’s form of the vocabulary', () => {
  it.each(Object.values(ORDERS))('of the order $do comes back as it went', (definition) => {
    const order: Record<string, unknown> = {
      do: definition.do,
      after_s: 3,
      ...filled(definition.parameters),
    };
    if (definition.do === 'other') delete order.mark;
    expect(check(orderSchema, order)).toEqual({ ok: true, value: order });
    expect(problems(check(orderSchema, { ...order, more: 1 }))).toHaveLength(1);
  });

  it.each(Object.values(CUES))('of the cue $is comes back as it went', (definition) => {
    const cue = { is: definition.is, ...filled(definition.parameters) };
    expect(check(cueSchema, cue)).toEqual({ ok: true, value: cue });
    const group = { is: 'any', of: [cue, { is: 'start' }] };
    expect(check(cueSchema, group)).toEqual({ ok: true, value: group });
  });

  it.each(Object.values(EXPECTATIONS))('of what is expected, $is, comes back', (definition) => {
    const expected = { is: definition.is, at: 'next', ...filled(definition.parameters) };
    expect(check(expectationSchema, expected)).toEqual({ ok: true, value: expected });
  });

  it('names a figure with its unit, and fills in what is usual', () => {
    expect(check(orderSchema, { do: 'engine', gear: 'ahead' })).toEqual({
      ok: true,
      value: { do: 'engine', after_s: 0, gear: 'ahead', throttle: 0 },
    });
    expect(keyOf('by', CUES.turned.parameters.by)).toBe('by_deg');
    expect(keyOf('within', EXPECTATIONS.near.parameters.within)).toBe('within_m');
    expect(keyOf('line', ORDERS.tend.parameters.line)).toBe('line');
  });

  it('says what is wrong, where, and what would do', () => {
    expect(problems(check(orderSchema, { do: 'wheel', angle_deg: 99 }))).toEqual([
      'angle_deg: give a number from -90 to 90 degrees, port negative',
    ]);
    expect(problems(check(orderSchema, { do: 'gates', lock: 'l', end: 'up', to: 'open' }))).toEqual(
      ["end: say 'upper' or 'lower'"],
    );
    expect(problems(check(orderSchema, { do: 'row' }))[0]).toMatch(
      /^do: do is 'wheel', .* or '\w+'$/,
    );
    expect(problems(check(cueSchema, { is: 'dusk' }))[0]).toMatch(
      /^is: is one of 'start', .*'all'$/,
    );
    const both = { do: 'other', boat: 'Heavy', gear: 'ahead', heading_deg: 10, mark: 'lamp' };
    expect(problems(check(orderSchema, both))).toEqual([
      'mark: the boat keeps a heading or steers for a mark; leave out one of them',
    ]);
    const speed = { is: 'speed', at: 'next', over: 'water', least_mps: 2, most_mps: 1 };
    expect(problems(check(expectationSchema, speed))).toEqual([
      'most_mps: must not be below the least speed',
    ]);
  });

  it('writes a figure as fine as a writer would, and none out of its bounds', () => {
    const { by } = CUES.turned.parameters;
    expect(figureInFile(by, 0.7)).toBe(40);
    expect(figureInFile(by, 0.001)).toBeNull();
    expect(figureInFile(CUES.heading.parameters.heading, -0.1)).toBe(354);
    expect(figureInFile(CUES.speed.parameters.speed, 0.5144)).toBe(0.51);
    expect(figureInFile(CUES.after.parameters.time, -1)).toBeNull();
    expect(figureInFile(CUES.within.parameters.distance, NaN)).toBeNull();
    expect(lastPlace(CUES.within.parameters.distance)).toBe(0.1);
  });

  it('is changed by the kind of a parameter, whatever it is a parameter of', () => {
    const turn = (order: OrderDocument) =>
      withParameters(order, (p, value) =>
        p.kind === 'angle' || (p.kind === 'share' && p.lateral) ? -value : undefined,
      );
    expect(turn({ do: 'wheel', after_s: 1, angle_deg: 20 })).toMatchObject({ angle_deg: -20 });
    const stick = { do: 'joystick', after_s: 0, ahead: 0.5, sideways: 0.2, twist: -0.1 } as const;
    expect(turn(stick)).toEqual({ ...stick, sideways: -0.2, twist: 0.1 });
  });
});
