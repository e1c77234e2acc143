import { KEEL, KEEL_COLUMNS } from '../boat';
import { runPlan } from '../plan';
import { bareBody, REFERENCE_HULL, sloop } from '../testing/boats';
import { stepOf, engineIn, inputOf } from '../testing/manoeuvre';
import { rig, run, type RigOptions } from '../testing/rig';
import { GRAVITY_MPS2 } from '../units';
import { bottomOf, depthOver, type DepthArea, type Sounding } from '../water';
import { U, UNDER, V, X, Y } from './';

const square = (x0: number, y0: number, x1: number, y1: number) =>
  Float64Array.from([x0, y0, x1, y0, x1, y1, x0, y1]);
const shoalNorthOf = (y: number, depth: number) =>
  bottomOf([{ outline: square(-90, y, 90, 90), depth }], [], 10)!;

/** A flat-bottomed body of the reference hull's weight, half a metre deep all along. */
const RAFT = bareBody({
  ...REFERENCE_HULL,
  draught: 0.5,
  draughts: Float64Array.from([-4, 0.5, 4, 0.5]),
  waterline: Float64Array.from([-4, -1.25, 4, -1.25, 4, 1.25, -4, 1.25]),
});

describe('the bottom', () => {
  const areas: DepthArea[] = [
    { outline: square(-50, -50, 50, 50), depth: 4 },
    { outline: square(-10, -10, 10, 10), depth: -0.6 },
  ];

  const over = (x: number, y: number, spots: readonly Sounding[] = []) =>
    depthOver(bottomOf(areas, spots, 12)!, x, y);

  it('is that of the smallest area that holds a place, and of the soundings where there are some', () => {
    expect(over(30, 0)).toBe(4);
    expect(over(3, 0)).toBe(-0.6);
    expect(over(80, 0)).toBe(12);
    const spots = [
      { x: 20, y: 0, depth: 2 },
      { x: 40, y: 0, depth: 6 },
    ];
    expect(over(20, 0, spots)).toBe(2);
    expect(over(30, 0, spots)).toBeCloseTo(4, 12);
    // Soundings of one area say nothing of another.
    expect(over(3, 0, spots)).toBe(-0.6);
    expect(over(80, 0, spots)).toBe(12);
    expect(over(80, 0, [{ x: 90, y: 5, depth: 7 }])).toBe(7);
    expect(bottomOf([], [], 5)).toBeNull();
  });
});

describe('a boat over a shoal', () => {
  it('stops as friction says: what is short of her draught bears, and rubs by 0.4 of it', () => {
    const boat = rig(RAFT, { weather: { bottom: shoalNorthOf(-90, 0.45) }, u: 0.5 });
    // 5 cm short over 8 m × 2.5 m.
    const normal = 1025 * GRAVITY_MPS2 * 20 * 0.05;
    run(boat, 0.05);
    const { under, shallow } = boat.scratch;
    expect(under[UNDER.LEAST]).toBeCloseTo(-0.05, 2);
    const mass = 5000 * (1 + 0.05 * shallow[0]!);
    const before = boat.state.motion[U]!;
    run(boat, 0.1);
    expect((before - boat.state.motion[U]!) / 0.1).toBeCloseTo((0.4 * normal) / mass, 1);
    run(boat, 10);
    expect(Math.hypot(boat.state.motion[U]!, boat.state.motion[V]!)).toBeLessThan(1e-3);
  });

  it('is never borne by more than her weight, however dry it is', () => {
    const boat = rig(RAFT, { weather: { bottom: shoalNorthOf(-90, -3) }, u: 1 });
    run(boat, 0.05);
    const before = boat.state.motion[U]!;
    run(boat, 0.1);
    const slowed = (before - boat.state.motion[U]!) / 0.1;
    expect(slowed).toBeLessThanOrEqual(0.4 * GRAVITY_MPS2);
    expect(slowed).toBeGreaterThan(0.2 * GRAVITY_MPS2);
    // At 3 m/s that takes the boat three quarters of a second, however deep it is in it.
    const fast = rig(RAFT, { weather: { bottom: shoalNorthOf(-90, -3) }, u: 3 });
    run(fast, 0.5);
    expect(fast.state.motion[U]).toBeGreaterThan(0.5);
    run(fast, 0.9);
    expect(fast.state.motion[U]).toBeLessThan(0.01);
  });

  it('stays where wind does not move her, and goes where it does', () => {
    const blown = (depth: number) => {
      const boat = rig(sloop(), {
        weather: { bottom: shoalNorthOf(-90, depth), windFrom: 0, windSpeed: 12 },
        heading: Math.PI / 2,
      });
      run(boat, 60);
      return Math.hypot(boat.state.motion[X]!, boat.state.motion[Y]!);
    };
    const { draught } = sloop().hull;
    expect(blown(draught - 0.25)).toBeLessThan(0.05);
    expect(blown(draught + 0.3)).toBeGreaterThan(3);
  });

  it('is the same mirrored and turned, the shoal with her', () => {
    const end = (options: RigOptions) => {
      const boat = rig(RAFT, options);
      run(boat, 20);
      return boat.state.motion;
    };
    const east = bottomOf([{ outline: square(5.3, -90, 90, 90), depth: 0.47 }], [], 10)!;
    const west = bottomOf([{ outline: square(-90, -90, -5.3, 90), depth: 0.47 }], [], 10)!;
    const a = end({ weather: { bottom: east }, heading: Math.PI / 2, u: 0.8 });
    const b = end({ weather: { bottom: west }, heading: -Math.PI / 2, u: 0.8 });
    const c = end({ weather: { bottom: shoalNorthOf(5.3, 0.47) }, u: 0.8 });
    expect(a[X]).toBeGreaterThan(1);
    expect(b[X]).toBeCloseTo(-a[X]!, 6);
    expect(c[Y]).toBeCloseTo(a[X]!, 6);
  });

  it('floats off when the level has risen over her', () => {
    const rising = { times: Float64Array.of(0, 30), values: Float64Array.of(0, 0.5) };
    const boat = rig(RAFT, {
      weather: {
        bottom: shoalNorthOf(-90, 0.4),
        level: rising,
        currentSet: 0,
        currentSpeed: 0,
      },
    });
    run(boat, 1);
    expect(boat.scratch.under[UNDER.LEAST]).toBeLessThan(0);
    run(boat, 30);
    expect(boat.scratch.under[UNDER.LEAST]).toBeCloseTo(0.4 + 0.5 - 0.5, 2);
  });

  it('in water of one depth everywhere goes as in that depth charted everywhere', () => {
    const end = (weather: RigOptions['weather']) => {
      const boat = rig(sloop(), { weather: { windFrom: 1, windSpeed: 9, ...weather }, u: 1.2 });
      run(boat, 30);
      return [...boat.state.motion];
    };
    const even = end({ depth: 2.4 });
    end({ bottom: shoalNorthOf(-300, 2.4) }).forEach((value, i) =>
      expect(value).toBeCloseTo(even[i]!, 9),
    );
  });

  it('takes it with the keel where she has one: the deepest point is at her draught', () => {
    const { craft } = rig(sloop()).world;
    const draughts = Array.from(
      { length: craft.keel.length / KEEL_COLUMNS },
      (_, i) => craft.keel[i * KEEL_COLUMNS + KEEL.DRAUGHT]!,
    );
    expect(Math.max(...draughts)).toBeCloseTo(sloop().hull.draught, 9);
  });
});

describe('a run', () => {
  const ahead = (rest: Parameters<typeof inputOf>[2]) =>
    runPlan(
      inputOf([stepOf({ is: 'start' }, [engineIn(1, 0.2)])], { is: 'after', time: 40 }, rest),
    );

  it('that takes the ground says so, where and when, and does not count as done', () => {
    const weather = { ...inputOf([], { is: 'start' }).weather };
    const over = ahead({ weather: { ...weather, bottom: shoalNorthOf(20, 1.2) } });
    expect(over.outcome).toBe('aground');
    expect(over.margins.underKeel!.depth).toBeLessThan(0);
    expect(over.margins.underKeel!.y).toBeGreaterThan(18);
    expect(over.trace.y.at(-1)!).toBeLessThan(28);
    expect(Math.min(...over.trace.underKeel!)).toBeCloseTo(over.margins.underKeel!.depth, 9);
    const clear = ahead({ weather: { ...weather, bottom: shoalNorthOf(20, 4) } });
    expect(clear.outcome).not.toBe('aground');
    expect(clear.margins.underKeel!.depth).toBeGreaterThan(1);
    expect(ahead({}).margins.underKeel).toBeNull();
  });

  it('under a bridge goes through with room to spare, or ends where she is caught', () => {
    const bridge = {
      name: 'footbridge',
      outline: square(-30, 15, 30, 19),
      clearance: 9,
      footway: true,
    };
    const under = (airDraught: number, level: number) =>
      ahead({
        boat: { ...sloop(), hull: { ...sloop().hull, airDraught } },
        bridges: [bridge],
        weather: {
          ...inputOf([], { is: 'start' }).weather,
          level: { times: Float64Array.of(0, 1), values: Float64Array.of(level, level) },
        },
      });
    expect(under(7, 1.5).margins.overhead).toMatchObject({
      name: 'footbridge',
      room: expect.closeTo(0.5, 9) as number,
    });
    const caught = under(7, 2.2);
    expect(caught.outcome).toBe('caught overhead');
    expect(caught.margins.overhead!.room).toBeCloseTo(-0.2, 9);
    expect(caught.duration).toBeLessThan(20);
  });
});
