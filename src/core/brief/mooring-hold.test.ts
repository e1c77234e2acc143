import { box, inputOf } from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { riggedWith, type TestLine } from '../testing/rigging';
import type { RunInput } from '../plan';
import { holdingOf, IN_NEUTRAL, type MooringHold, type Motored } from './mooring-hold';

const east = { ...CALM, windFrom: Math.PI / 2, windSpeed: 8 };

/** Heading north in open water, made fast at bow and stern to the east, up wind, and by a spring leading aft. */
const LINES: TestLine[] = [
  { x: 4, y: 1, fast: { x: 7, y: 4, length: 6.2 } },
  { x: -4, y: 1, fast: { x: 7, y: -4, length: 6.2 } },
  { x: 0, y: 1.6, fast: { x: 7, y: -5, length: 8 } },
];

function held(
  lines: TestLine[],
  motored: Motored = IN_NEUTRAL,
  rest: Partial<RunInput> = {},
): MooringHold {
  const input = inputOf([], { is: 'after', time: 1 }, { ...riggedWith(lines), ...rest });
  let last: MooringHold | null = null;
  for (const found of holdingOf(input, motored)) last = found;
  return last!;
}

const carried = ({ lines }: MooringHold, name: string) =>
  lines.find(({ line }) => line === name)!.tension;

describe('what holds her', () => {
  it('two lines up wind share the wind’s force between them, and nothing moves any more', () => {
    const found = held(LINES.slice(0, 2), IN_NEUTRAL, { weather: east });
    expect(found.moving).toBe(0);
    expect(found.done).toBe(true);
    const blown = held(LINES.slice(0, 2), IN_NEUTRAL, { weather: { ...east, windSpeed: 4 } });
    const sum = (h: MooringHold) => carried(h, 'line 1') + carried(h, 'line 2');
    // Half the wind, a quarter of the force, whatever the angles: they hardly change.
    expect(sum(found) / sum(blown)).toBeGreaterThan(3.7);
    expect(sum(found) / sum(blown)).toBeLessThan(4.3);
  });

  it('motored ahead on a spring against a quay the line carries the thrust, less what rudder and fenders take', () => {
    const quay = box('quay', 2, -40, 9, 40);
    const spring: TestLine[] = [{ x: 1, y: 1.6, fast: { x: 2.3, y: -6, length: 7.1 } }];
    const on = (throttle: number) =>
      held(
        spring,
        { gear: 1, throttle, wheel: -0.4 },
        {
          obstacles: [quay],
          berth: new Set(['quay']),
          start: { x: 0.2, y: 0, heading: 0, speed: 0 },
        },
      );
    // The same screw against a long line straight astern in open water gives the thrust.
    const astern = held([{ x: -4, y: 0, fast: { x: 0, y: -30, length: 26 } }], {
      gear: 1,
      throttle: 0.2,
      wheel: 0,
    });
    const thrust = carried(astern, 'line 1');
    const found = on(0.2);
    const along = 7 / Math.hypot(7, 0.5);
    expect(found.moving).toBe(0);
    const share = (carried(found, 'line 1') * along) / thrust;
    // A rudder put over takes some of it, and the fenders' friction some.
    expect(share).toBeGreaterThan(0.75);
    expect(share).toBeLessThan(1.02);
  });

  it('when one parts she goes furthest by the one that held most, and the load goes to the others', () => {
    const found = held(LINES, IN_NEUTRAL, { weather: east });
    expect(found.without.map(({ line }) => line)).toEqual(['line 1', 'line 2', 'line 3']);
    const off = (name: string) => found.without.find(({ line }) => line === name)!.off;
    expect(off('line 1')).toBeGreaterThan(off('line 3'));
    const bowGone = found.without[0]!;
    expect(bowGone.heaviest).not.toBe('line 1');
    expect(bowGone.tension).toBeGreaterThan(carried(found, 'line 2'));
  });

  it('lets those go first that hold nothing, and the one that holds her last', () => {
    // Wind from ahead: the line leading forward holds the boat; one led aft is slack.
    const ahead: TestLine[] = [
      { x: 4, y: 0, fast: { x: 0.5, y: 12, length: 8.1 } },
      { x: -4, y: 0, fast: { x: 0.5, y: -12, length: 8.6 } },
    ];
    const north = { ...CALM, windFrom: 0, windSpeed: 9 };
    expect(held(ahead, IN_NEUTRAL, { weather: north }).order).toEqual(['line 2', 'line 1']);
    const south = { ...CALM, windFrom: Math.PI, windSpeed: 9 };
    expect(held(ahead, IN_NEUTRAL, { weather: south }).order.at(-1)).toBe('line 2');
  });

  it('says when a line is not up to it', () => {
    const weak = LINES.slice(0, 2).map((line) => ({ ...line, spec: { breaks: 250 } }));
    const found = held(weak, IN_NEUTRAL, { weather: { ...east, windSpeed: 14 } });
    expect(found.lines.some(({ parted }) => parted)).toBe(true);
  });

  it('is nothing without lines', () => {
    expect(held([])).toMatchObject({ lines: [], order: [], without: [] });
  });
});
