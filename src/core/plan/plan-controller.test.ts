import { orderEngine, PSI, R, U, V, X, Y } from '../simulation';
import { sloop } from '../testing/boats';
import { rig, type Rig, type RigOptions } from '../testing/rig';
import { lookAt } from './expectations';
import { armTrigger } from './cues';
import { distanceAhead, distanceToMark } from './measures';
import { PlanController } from './plan-controller';
import type { PlanStep, TimedOrder } from './types';
import type { Cue } from './cues';
import type { Expectation } from './expectations';

const DEG = Math.PI / 180;
const MIDSHIPS = { name: 'midships', x: 0, y: 0 };

function gateOn(cue: Cue, options: RigOptions = {}) {
  const r = rig(sloop(), options);
  const gate = armTrigger(cue, r.state, r.world, () => null);
  return {
    r,
    set(index: number, value: number) {
      r.state.motion[index] = value;
      return gate.level(r.state, r.world);
    },
    level: () => gate.level(r.state, r.world),
  };
}

describe('gates', () => {
  it('heading: from either side, through north, and not by way of the opposite', () => {
    const cue = { is: 'heading', heading: 10 * DEG } as const;
    const fromPort = gateOn(cue, { heading: 350 * DEG });
    expect(fromPort.level()).toBeLessThan(0);
    expect(fromPort.set(PSI, 369 * DEG)).toBeLessThan(0);
    expect(fromPort.set(PSI, 371 * DEG)).toBeGreaterThan(0);
    const fromStarboard = gateOn(cue, { heading: 60 * DEG });
    expect(fromStarboard.set(PSI, 11 * DEG)).toBeLessThan(0);
    expect(fromStarboard.set(PSI, 9 * DEG)).toBeGreaterThan(0);
    const away = gateOn(cue, { heading: 100 * DEG });
    expect(away.set(PSI, 195 * DEG)).toBeLessThan(0);
  });

  it('turned: counts whole turns, to the side asked for', () => {
    const gate = gateOn({ is: 'turned', by: -400 * DEG }, { heading: 1 });
    expect(gate.set(PSI, 1 - 399 * DEG)).toBeLessThan(0);
    expect(gate.set(PSI, 1 - 401 * DEG)).toBeGreaterThan(0);
    expect(gate.set(PSI, 1 + 401 * DEG)).toBeLessThan(0);
  });

  it('stopped: only after having had way, over the ground', () => {
    const current = { weather: { currentSet: 0, currentSpeed: 1 } };
    const lying = gateOn({ is: 'stopped' });
    expect(lying.level()).toBeLessThan(0);
    lying.set(U, 0.5);
    expect(lying.set(U, 0.01)).toBeGreaterThan(0);
    const hanging = gateOn({ is: 'stopped' }, current);
    // At rest in the water the boat goes with the current; stemming it it is stopped.
    expect(hanging.level()).toBeLessThan(0);
    expect(hanging.set(U, -1)).toBeGreaterThan(0);
    hanging.set(R, 0.2);
    expect(hanging.level()).toBeLessThan(0);
  });

  it('speed: through the water and over ground are two things', () => {
    const weather = { currentSet: 0, currentSpeed: 1 };
    const water = gateOn({ is: 'speed', over: 'water', compare: 'above', speed: 0.5 }, { weather });
    const ground = gateOn(
      { is: 'speed', over: 'ground', compare: 'above', speed: 0.5 },
      { weather },
    );
    expect(water.level()).toBeLessThan(0);
    expect(ground.level()).toBeGreaterThan(0);
    expect(water.set(V, -0.6)).toBeGreaterThan(0);
  });

  it('abeam: when the mark comes square, whichever way it passes', () => {
    const mark = { name: 'pile', x: 8, y: 20 };
    const gate = gateOn({ is: 'abeam', point: { name: 'bow', x: 5, y: 0 }, mark });
    expect(gate.set(Y, 14.9)).toBeLessThan(0);
    expect(gate.set(Y, 15.1)).toBeGreaterThan(0);
    const astern = gateOn({ is: 'abeam', point: MIDSHIPS, mark }, { y: 30 });
    expect(astern.set(Y, 20.1)).toBeLessThan(0);
    expect(astern.set(Y, 19.9)).toBeGreaterThan(0);
  });

  it('measure from points of the boat, not from her middle', () => {
    const { state } = rig(sloop(), { x: 10, y: 5, heading: 90 * DEG });
    const mark = { name: 'post', x: 20, y: 1 };
    expect(distanceToMark(state, { name: 'bow', x: 5, y: 0 }, mark)).toBeCloseTo(
      Math.hypot(5, 4),
      9,
    );
    expect(distanceAhead(state, { name: 'bow', x: 5, y: 0 }, mark)).toBeCloseTo(5, 9);
    // Heading east, starboard is south.
    expect(distanceToMark(state, { name: 'cleat', x: 0, y: 4 }, mark)).toBeCloseTo(10, 9);
  });
});

describe('expectations', () => {
  const looked = (e: Expectation, options: RigOptions, clearance = 5) => {
    const { state, world } = rig(sloop(), options);
    return lookAt(e, state, world, clearance);
  };
  const next = { at: 'next' } as const;

  it('heading wraps at north', () => {
    const e: Expectation = { ...next, is: 'heading', heading: 2 * DEG, within: 5 * DEG };
    expect(looked(e, { heading: 358 * DEG }).met).toBe(true);
    expect(looked(e, { heading: 10 * DEG }).met).toBe(false);
  });

  it('speed holds between its two ends', () => {
    const e: Expectation = { ...next, is: 'speed', over: 'water', least: 0.5, most: 1 };
    expect([0.4, 0.5, 1, 1.1].map((u) => looked(e, { u }).met)).toEqual([false, true, true, false]);
  });

  it('turning means turning, to that side', () => {
    const e: Expectation = { ...next, is: 'turning', to: 'port' };
    expect([-0.05, -0.001, 0.05].map((r) => looked(e, { r }).met)).toEqual([true, false, false]);
  });

  it('near and clear report what was found', () => {
    const mark = { name: 'm', x: 3, y: 4 };
    expect(looked({ ...next, is: 'near', point: MIDSHIPS, mark, within: 4 }, {})).toEqual({
      met: false,
      found: 5,
    });
    expect(looked({ ...next, is: 'clear', least: 5 }, {}, 4.9)).toEqual({ met: false, found: 4.9 });
  });
});

describe('the player', () => {
  const engine = (gear: -1 | 0 | 1, after = 0): TimedOrder => ({
    after,
    order: { do: 'engine', engine: null, gear, throttle: 0 },
  });
  const step = (cue: Cue, orders: TimedOrder[], rest: Partial<PlanStep> = {}): PlanStep => ({
    id: 'b',
    cue,
    within: 30,
    orders,
    expect: [],
    wayOut: { automatic: false, orders: [] },
    ...rest,
  });
  const ended = { cue: { is: 'after', time: 10 }, within: 20 } as const;

  function at(r: Rig, player: PlanController, time: number) {
    r.state.time = time;
    player.takeMoments();
    player.takeCues();
  }

  it('names the next moment and does what it brings', () => {
    const r = rig(sloop());
    const player = new PlanController(
      { steps: [step({ is: 'start' }, [engine(1), engine(0, 4)])], end: ended },
      r.state,
      r.world,
    );
    player.takeCues();
    expect(r.state.engines[0]!.orderedGear).toBe(1);
    expect(player.nextMoment()).toBe(4);
    at(r, player, 4);
    expect(r.state.engines[0]!.orderedGear).toBe(0);
    expect(player.nextMoment()).toBe(20);
    at(r, player, 10);
    expect(player.finish).toBe('ended');
  });

  it('takes steps that come at one instant one after the other', () => {
    const r = rig(sloop());
    const steps = [
      step({ is: 'start' }, [engine(1)]),
      step({ is: 'after', time: 0 }, [engine(-1)]),
    ];
    const player = new PlanController({ steps, end: ended }, r.state, r.world);
    player.takeCues();
    expect(player.current).toBe(1);
    expect(r.state.engines[0]!.orderedGear).toBe(-1);
  });

  it('has somebody who is late do first what they are late with, and forgets what was only to come', () => {
    const r = rig(sloop());
    const late = (order: TimedOrder, by: number): TimedOrder => ({
      ...order,
      after: order.after + by,
      late: by,
    });
    const steps = [
      step({ is: 'start' }, [late(engine(1), 0.8), late(engine(0, 4), 0.5)]),
      step({ is: 'after', time: 0.3 }, [late(engine(-1), 0.1)]),
    ];
    const player = new PlanController({ steps, end: ended }, r.state, r.world);
    const gear = () => r.state.engines[0]!.orderedGear;
    player.takeCues();
    at(r, player, 0.3);
    expect(player.current).toBe(1);
    at(r, player, 0.7);
    expect(gear()).toBe(0);
    at(r, player, 0.8);
    expect(gear()).toBe(-1);
    const given = player.events.flatMap((e) => (e.is === 'order' ? [e.order] : []));
    expect(given).toEqual([engine(1).order, engine(-1).order]);
    at(r, player, 6);
    expect(gear()).toBe(-1);
  });

  it('looks at what was expected by the next step before that step begins', () => {
    const r = rig(sloop());
    const wanted: Expectation = { at: 'next', is: 'turning', to: 'port' };
    const wayOut = { automatic: true, orders: [engine(-1)] };
    const steps = [
      step({ is: 'start' }, [engine(1)], { expect: [wanted], wayOut }),
      step({ is: 'after', time: 3 }, [engine(0)]),
    ];
    const player = new PlanController({ steps, end: ended }, r.state, r.world);
    player.takeCues();
    at(r, player, 3);
    expect(player.events.map((e) => e.is)).toEqual([
      'step',
      'order',
      'expectation failed',
      'way out',
      'order',
    ]);
    expect(player.current).toBe(0);
    expect(r.state.engines[0]!.orderedGear).toBe(-1);
    // Nothing of the plan is played any more; the way out is given its time, then closed.
    at(r, player, 47.9);
    expect(player.finish).toBeNull();
    at(r, player, 48);
    expect(player.finish).toBe('broke off');
  });

  it('fails a clearance once, when it is lost', () => {
    const r = rig(sloop());
    const clear: Expectation = { at: 'next', is: 'clear', least: 2 };
    const steps = [step({ is: 'start' }, [], { expect: [clear] })];
    const player = new PlanController({ steps, end: ended }, r.state, r.world);
    player.takeCues();
    for (const distance of [5, 2.1, 1.9, 1.2, 3]) player.noteClearance(distance);
    at(r, player, 10);
    const failed = player.events.filter((e) => e.is === 'expectation failed');
    expect(failed).toMatchObject([{ step: 0, index: 0, found: 1.9 }]);
  });

  it('a gear already ordered is left alone', () => {
    const r = rig(sloop());
    const state = r.state.engines[0]!;
    orderEngine(state, r.world.craft.spec.drives[0]!, 1, 0.2);
    const pending = state.engagesIn;
    orderEngine(state, r.world.craft.spec.drives[0]!, 1, 0.9);
    expect(state.engagesIn).toBe(pending);
    expect(r.state.motion[X]).toBe(0);
  });
});
