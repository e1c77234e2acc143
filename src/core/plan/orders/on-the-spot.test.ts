import { fleetCraft } from '@/document/testing/fleet';
import { runPlan, type Run, type RunInput } from '..';
import { box } from '../../testing/boxes';
import { inputOf, mirrored, stepOf } from '../../testing/manoeuvre';
import { CALM } from '../../testing/rig';
import { drawOf, only, STANDARD_SPREAD, varied } from '../../uncertainty';
import type { Cue } from '../cues';
import type { Order } from './';

const DEG = Math.PI / 180;
const START = { is: 'start' } as const;
const DONE = { is: 'done' } as const;
const MANNER = { thrusters: false, idle: false };
const SINGLES = ['quince', 'pebble', 'fennick', 'lantern', 'wicket', 'flotsam'];
const WIND = { ...CALM, windSpeed: 4 };

function inputFor(
  id: string,
  order: Order,
  { end = DONE, ...rest }: Partial<RunInput> & { end?: Cue } = {},
): RunInput {
  const boat = fleetCraft(id).spec;
  const steps = [stepOf(START, [{ after: 0, order }])];
  return inputOf(steps, end, { boat, limit: 150, ...rest });
}

const ordered = (...of: Parameters<typeof inputFor>): Run => runPlan(inputFor(...of));

/** Where it ended: to starboard and ahead of where it began heading north, m, and its heading, degrees; and how far off it ever was, m. */
function ended({ trace: { time, x, y, heading } }: Run) {
  const last = time.length - 1;
  let furthest = 0;
  time.forEach((_, i) => (furthest = Math.max(furthest, Math.hypot(x[i]!, y[i]!))));
  return { aside: x[last]!, ahead: y[last]!, heading: heading[last]! / DEG, furthest };
}

describe('holding station', () => {
  const order: Order = { do: 'holdStation', ...MANNER };
  const end: Cue = { is: 'after', time: 60 };

  it.each([...SINGLES, 'brisling', 'quartet', 'tamarack-nell'])(
    'keeps %s head to the wind where it is',
    (id) => {
      const held = ended(ordered(id, order, { end, weather: WIND }));
      expect(held.furthest).toBeLessThan(1.6);
      expect(Math.abs(held.heading)).toBeLessThan(20);
      const left = ended(ordered(id, { do: 'wheel', angle: 0 }, { end, weather: WIND }));
      expect(left.furthest).toBeGreaterThan(held.furthest);
    },
  );

  it.each(['brisling', 'quartet'])(
    'keeps %s, which can go sideways, beam to the wind as well',
    (id) => {
      const weather = { ...WIND, windFrom: 90 * DEG };
      const thrusting = { ...order, thrusters: true };
      expect(ended(ordered(id, thrusting, { end, weather })).furthest).toBeLessThan(2);
    },
  );

  it('does nothing where there is nothing to be done', () => {
    const { trace } = ordered('quince', order, { end });
    expect(Math.max(...trace.engines[0]!.gear.map(Math.abs))).toBe(0);
  });
});

describe('shifting along', () => {
  it.each([...SINGLES, 'brisling', 'quartet', 'tamarack-nell'])(
    'brings %s four metres ahead and astern, parallel',
    (id) => {
      for (const way of ['ahead', 'astern'] as const) {
        const run = ordered(id, { do: 'shiftAlong', by: 4, way, ...MANNER });
        expect(run.outcome).toBe('reached');
        const { ahead, aside, heading } = ended(run);
        expect(Math.abs(ahead - (way === 'ahead' ? 4 : -4))).toBeLessThan(0.8);
        expect(Math.abs(aside)).toBeLessThan(0.8);
        expect(Math.abs(heading)).toBeLessThan(9);
      }
    },
  );

  it('leaves the throttle at idle where it is told to go by the gears alone', () => {
    const most = (idle: boolean) => {
      const order: Order = { do: 'shiftAlong', by: 4, way: 'ahead', thrusters: false, idle };
      const { trace } = ordered('pebble', order);
      return Math.max(...trace.engines[0]!.throttle);
    };
    expect(most(true)).toBe(0);
    expect(most(false)).toBeGreaterThan(0);
  });
});

describe('moving sideways', () => {
  const order: Order = { do: 'moveSideways', by: 3, side: 'port', ...MANNER };

  it.each(['brisling', 'marram', 'ottoline', 'quartet'])('brings %s three metres aside', (id) => {
    const run = ordered(id, { ...order, thrusters: true });
    expect(run.outcome).toBe('reached');
    const { ahead, aside } = ended(run);
    expect(Math.abs(aside + 3)).toBeLessThan(0.8);
    expect(Math.abs(ahead)).toBeLessThan(0.8);
  });

  it.each(['quartet', 'brisling'])('is the same for %s in the mirror', (id) => {
    const input = inputFor(id, order, { weather: { ...WIND, windFrom: 50 * DEG, windSpeed: 2 } });
    const here = ended(runPlan(input));
    const there = ended(runPlan(mirrored(input)));
    expect(there.aside).toBeCloseTo(-here.aside, 1);
    expect(there.ahead).toBeCloseTo(here.ahead, 1);
  });

  it('is done otherwise by whoever is late and sees otherwise', () => {
    const spread = only(STANDARD_SPREAD, ['judgement', 'lateness']);
    const took = [0, 1, 2].map((k) => {
      const input = inputFor('quartet', order);
      return runPlan(varied(input, drawOf(spread, 5, k))).duration;
    });
    expect(new Set(took).size).toBe(3);
  });
});

describe('sliding in', () => {
  it.each([
    ['quince', 0.25, 0],
    ['wicket', 0.25, 0],
    ['brisling', 0.25, 0],
    ['pebble', 0, 4],
    ['brisling', 0, 4],
    ['ottoline', 0, 4],
    ['quartet', 0, 4],
  ])(
    'brings %s onto a quay in %f m/s of current along it and %d m/s of wind onto it',
    (id, currentSpeed, windSpeed) => {
      const half = fleetCraft(id).spec.hull.beam / 2;
      const run = ordered(
        id,
        {
          do: 'slideIn',
          point: { name: 'side', x: 0, y: half },
          mark: { name: 'ring', x: half + 0.3, y: 0 },
          within: 1,
          heading: 0,
          headingWithin: 8 * DEG,
          ...MANNER,
        },
        {
          obstacles: [box('quay', half + 0.3, -40, half + 6, 40)],
          berth: new Set(['quay']),
          weather: { ...CALM, windFrom: 270 * DEG, windSpeed, currentSet: Math.PI, currentSpeed },
          start: { x: -2 * half - 1.5, y: -0.5, heading: 4 * DEG, speed: 0 },
        },
      );
      expect(run.outcome).toBe('reached');
      expect(run.margins.touch?.grade ?? 'none').not.toBe('hard');
      expect(Math.abs(ended(run).ahead)).toBeLessThan(1.2);
    },
  );
});

describe('turning short round', () => {
  const order = (side: 'port' | 'starboard' | 'shorter', heading = 180): Order => ({
    do: 'shortRound',
    heading: heading * DEG,
    headingWithin: 10 * DEG,
    side,
    ...MANNER,
  });

  it.each([
    'quince',
    'pebble',
    'wicket',
    'fennick',
    'flotsam',
    'brisling',
    'ottoline',
    'alderman-pike',
  ])('brings %s about in little more than its own length', (id) => {
    const { length } = fleetCraft(id).spec.hull;
    const run = ordered(id, order('starboard'));
    expect(run.outcome).toBe('reached');
    const { heading, furthest } = ended(run);
    expect(Math.abs(heading - 180)).toBeLessThan(12);
    expect(furthest / length).toBeLessThan(1);
  });

  it('goes round by the side it is told, and by the shorter way where it is not', () => {
    const round = (...of: Parameters<typeof order>) =>
      ended(ordered('brisling', order(...of))).heading;
    expect(round('port')).toBeLessThan(-165);
    expect(round('starboard')).toBeGreaterThan(165);
    expect(round('shorter', 90)).toBeCloseTo(round('starboard', 90), 1);
    expect(round('port', 90)).toBeLessThan(-255);
  });

  it('keeps off what stands close before the bow', () => {
    const obstacles = [box('wall', -40, 8.5, 40, 12)];
    const run = ordered('brisling', order('starboard'), { obstacles });
    expect(run.outcome).toBe('reached');
    expect(run.margins.touch).toBeNull();
  });
});

describe('what an order that watches has done', () => {
  it('says nothing of the next one, which may come late', () => {
    const stop: Order = {
      do: 'stopAbreast',
      point: { name: 'mast', x: 0, y: 0 },
      mark: { name: 'pile', x: 3, y: 12 },
    };
    const shift: Order = { do: 'shiftAlong', by: 4, way: 'astern', ...MANNER };
    const boat = fleetCraft('brisling').spec;
    const steps = [
      stepOf(START, [{ after: 0, order: stop }]),
      stepOf(DONE, [{ after: 1.2, late: 1.2, order: shift }]),
    ];
    const start = { x: 0, y: 0, heading: 0, speed: 1 };
    const run = runPlan(inputOf(steps, DONE, { boat, start, limit: 150 }));
    const second = run.events.find((event) => event.is === 'step' && event.step === 1)!;
    expect(run.outcome).toBe('reached');
    expect(run.duration - second.time).toBeGreaterThan(8);
    expect(ended(run).ahead).toBeLessThan(10);
  });
});
