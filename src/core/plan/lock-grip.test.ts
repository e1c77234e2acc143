import { signedArea } from '../math';
import { sloop } from '../testing/boats';
import { box } from '../testing/boxes';
import { CALM } from '../testing/rig';
import { engine } from '../testing/driven';
import { inLock, orderAt as at } from '../testing/in-lock';
import { lockAt, windTo } from '../testing/locks';
import { gripAt, runPlan, type RunInput, type Run } from './';

const level = (run: Run) => run.trace.locks[0]!.chamber;

describe('held by what is beside or before her as the level goes', () => {
  const fill = [at(0, windTo(0, 1)), at(0, windTo(1, 1))];
  const told = (run: Run, what: string) =>
    run.events.find((e) => e.is === 'lock' && e.what === what) as
      | { readonly time: number; readonly seconds?: number }
      | undefined;
  /** A chamber with walls so far from the middle, m; the boat is 3.4 m over the deck and carries fenders of 0.3 m. */
  const between = (half: number, rest: Partial<RunInput> = {}) =>
    inLock(fill, {
      obstacles: [
        box('left wall', -half - 2, -16, -half, 0),
        box('right wall', half, -16, half + 2, 0),
      ],
      limit: 60,
      ...rest,
    });

  it('she hangs where both her sides are pressed by more than friction lets go of, when it was told', () => {
    const run = runPlan(between(1.73));
    expect(run.outcome).toBe('hung up');
    const warned = told(run, 'wedged')!;
    const hung = told(run, 'hangs wedged')!;
    // The chamber fills faster and faster to begin with: what was told was no shorter than what came.
    expect(warned.seconds!).toBeGreaterThan(0);
    expect(hung.time - warned.time).toBeGreaterThan(0);
    expect(hung.time - warned.time).toBeLessThan(warned.seconds! + 1);
    // By then the level has gone by what a twentieth of the boat's weight sinks it.
    const { hull } = sloop();
    const sinks = (0.05 * hull.mass) / (1025 * Math.abs(signedArea(hull.waterline)));
    const risen = level(run)[Math.round(10 * hung.time)]! - level(run)[0]!;
    expect(risen).toBeGreaterThan(sinks);
    expect(risen).toBeLessThan(sinks + 0.02);
  });

  it('with room beside her, or pressed on one side alone, she floats', () => {
    const roomy = runPlan(between(2.2));
    expect(roomy.outcome).not.toBe('hung up');
    expect(told(roomy, 'wedged')).toBeUndefined();
    const oneSide = runPlan(
      between(2.6, { weather: { ...CALM, windFrom: -Math.PI / 2, windSpeed: 15 } }),
    );
    // The boat is blown on to one wall and lies there.
    expect(Math.abs(oneSide.trace.x.at(-1)!)).toBeGreaterThan(0.4);
    expect(told(oneSide, 'wedged')).toBeUndefined();
  });

  /** Blown on to a wall whose coping stands out over it, its lower edge at 1.4 m; the boat's rail begins at 1.1 m. */
  const underStones = (rest: Partial<RunInput> = {}, thick = 1.6) =>
    runPlan(
      between(2.6, {
        boat: { ...sloop(), fenders: [] },
        locks: [{ ...lockAt(), lip: { out: 0.05, thick } }],
        weather: { ...CALM, windFrom: -Math.PI / 2, windSpeed: 15 },
        ...rest,
      }),
    );

  it('her rail on a wall is caught under stones that stand out over it, when it was told', () => {
    const run = underStones();
    expect(run.outcome).toBe('hung up');
    const warned = told(run, 'under the coping')!;
    const hung = told(run, 'caught under the coping')!;
    expect(hung.time).toBeGreaterThan(warned.time);
    expect(hung.time - warned.time).toBeLessThan(warned.seconds! + 1);
    const { hull } = sloop();
    const sinks = (0.05 * hull.mass) / (1025 * Math.abs(signedArea(hull.waterline)));
    const risen = level(run)[Math.round(10 * hung.time)]! + hull.freeboard - 1.4;
    expect(risen).toBeGreaterThan(sinks);
    expect(risen).toBeLessThan(sinks + 0.02);
  });

  it('not where they lie over her rail all the way, nor with her off the wall, nor on a fender, which is told of', () => {
    for (const high of [underStones({}, 0.02), underStones({ weather: CALM })])
      expect(told(high, 'under the coping')).toBeUndefined();
    const above = underStones({
      locks: [{ ...lockAt(), coping: 2.6, lip: { out: 0.05, thick: 1.6 } }],
    });
    expect(told(above, 'caught under the coping')).toBeUndefined();
    const fended = underStones({ boat: sloop() });
    expect(told(fended, 'caught under the coping')).toBeUndefined();
    expect(told(fended, 'fender under the coping')).toBeDefined();
  });

  it('and is free again with the paddles down in time', () => {
    const aLittle = [at(0, windTo(0, 0.3)), at(12, windTo(0, 0))];
    const dropped = underStones({ plan: inLock(aLittle).plan });
    expect(told(dropped, 'under the coping')).toBeDefined();
    expect(told(dropped, 'free again')).toBeDefined();
    expect(dropped.outcome).not.toBe('hung up');
  });

  it('while the level stands nothing hangs', () => {
    const still = runPlan({ ...between(1.73), plan: inLock([]).plan });
    expect(told(still, 'wedged')).toBeUndefined();
    expect(still.outcome).not.toBe('hung up');
  });

  const onGate = (orders: ReturnType<typeof at>[], wound = [0, 1]) =>
    runPlan(
      inLock([at(0, engine(1, 0)), ...wound.map((p) => at(25, windTo(p, 1))), ...orders], {
        start: { x: 0, y: -5.1, heading: 0, speed: 0 },
        limit: 90,
      }),
    );

  it('a stem that rests on the gate as it rises is caught after a quarter of a metre', () => {
    const run = onGate([]);
    expect(gripAt(run.events, run.duration)!.what).toBe('caught on a gate');
    expect(run.outcome).toBe('hung up');
    const warned = told(run, 'on a gate')!;
    const hung = told(run, 'caught on a gate')!;
    expect(hung.time - warned.time).toBeLessThan(warned.seconds! + 1);
    const risen = level(run)[Math.round(10 * hung.time)]! - level(run)[0]!;
    expect(risen).toBeGreaterThan(0.25);
    expect(risen).toBeLessThan(0.3);
  });

  it('and free again when she backs off it in time, or stays where she is with paddles down', () => {
    const backed = onGate([at(38, engine(-1, 0.3)), at(42, engine(0))]);
    expect(told(backed, 'on a gate')).toBeDefined();
    expect(told(backed, 'free again')).toBeDefined();
    expect(backed.outcome).not.toBe('hung up');
    // As it is shown at a moment: less and less time, then nothing.
    const warned = told(backed, 'on a gate')!;
    const now = (time: number) => gripAt(backed.events, time);
    expect(now(warned.time - 0.1)).toBeNull();
    expect(now(warned.time + 2)).toEqual({
      what: 'on a gate',
      seconds: expect.closeTo(warned.seconds! - 2, 6),
    });
    expect(now(told(backed, 'free again')!.time)).toBeNull();
    const dropped = onGate([at(36, windTo(0, 0))], [0]);
    expect(told(dropped, 'on a gate')).toBeDefined();
    expect(dropped.outcome).not.toBe('hung up');
  });
});
