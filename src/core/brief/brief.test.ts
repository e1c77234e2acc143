import { runPlan, type RunInput } from '../plan';
import { engines, Rollout, openWaterOf, Surroundings, wheel } from '../search';
import { sloop } from '../testing/boats';
import { stepOf, box, engineIn, inputOf } from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { carryFrom, driftFrom, firmThrottle, stopFrom } from '../trials';
import { PSI } from '../simulation';
import { abreastOf } from './abreast';
import { carryHere, stopHere, turnHere } from './capabilities';
import { briefOf, type Brief } from './brief';
import { letGoAt, pushAt } from './environment-force';
import { readyFor } from './ready';

const DEG = Math.PI / 180;
const START = { is: 'start' } as const;

function brief(input: RunInput): Brief {
  let last: Brief | null = null;
  for (const found of briefOf(input, false, [], false)) last = found;
  return last!;
}

const open = (rest: Partial<RunInput> = {}) =>
  openWaterOf(inputOf([stepOf(START, [])], START, rest));
const wind = (from: number, speed: number) => ({
  weather: { ...CALM, windFrom: from * DEG, windSpeed: speed },
});

describe('what pushes her', () => {
  it('grows with the square of the wind and turns with her', () => {
    const five = pushAt(open(wind(270, 5)), 0, 0, 0, 0);
    const ten = pushAt(open(wind(270, 10)), 0, 0, 0, 0);
    expect(five.force.starboard).toBeGreaterThan(50);
    expect(ten.force.starboard / five.force.starboard).toBeCloseTo(4, 3);
    expect(five.wind.starboard).toBeCloseTo(5, 9);
    const about = pushAt(open(wind(270, 5)), 0, 0, Math.PI, 0);
    expect(about.force.starboard).toBeCloseTo(-five.force.starboard, 6);
    const into = pushAt(open(wind(0, 5)), 0, 0, 0, 0);
    expect(into.force.ahead).toBeLessThan(0);
    expect(into.force.starboard).toBeCloseTo(0, 6);
  });

  it('keeps apart what the wind does and what the current does', () => {
    const current = { currentSet: 90 * DEG, currentSpeed: 0.5 };
    const both = pushAt(
      open({ weather: { ...CALM, ...current, windFrom: 4.71, windSpeed: 6 } }),
      0,
      0,
      0,
      0,
    );
    const calm = pushAt(open({ weather: { ...CALM, ...current } }), 0, 0, 0, 0);
    expect(calm.current.starboard).toBeCloseTo(0.5, 9);
    // Half a metre a second of water moves the boat more than its like of air.
    expect(calm.force.starboard).toBeGreaterThan(20);
    expect(Math.abs(calm.windForce.starboard)).toBeLessThan(0.05 * calm.force.starboard);
    expect(both.force.starboard - both.windForce.starboard).toBeCloseTo(
      calm.force.starboard - calm.windForce.starboard,
      6,
    );
  });

  it('in a calm without current is nothing, and she stays', () => {
    const { force } = pushAt(open(), 3, 4, 1, 0);
    expect(Math.hypot(force.ahead, force.starboard)).toBeLessThan(1e-6);
    expect(letGoAt(open(), 3, 4, 1, 0)).toMatchObject({ speed: 0, first: 'neither' });
  });

  it('drives her down the wind as the trial has it, the end first that the trial says falls off', () => {
    const drift = letGoAt(open(wind(270, 8)), 0, 0, 0, 0);
    expect(drift.towards / DEG).toBeGreaterThan(60);
    expect(drift.towards / DEG).toBeLessThan(120);
    const trial = driftFrom(open().world.craft, 8, -90 * DEG, 90);
    expect(drift.speed / trial.early).toBeGreaterThan(0.8);
    expect(drift.speed / trial.early).toBeLessThan(1.3);
    expect(drift.first).toBe(drift.turned > 0 ? 'bow' : 'stern');
  });

  it('of a current alone carries her with it', () => {
    const { speed, towards } = letGoAt(
      open({ weather: { ...CALM, currentSet: 200 * DEG, currentSpeed: 0.6 } }),
      0,
      0,
      110 * DEG,
      0,
    );
    expect(speed).toBeGreaterThan(0.4);
    expect(speed).toBeLessThan(0.61);
    expect(towards / DEG).toBeGreaterThan(185);
    expect(towards / DEG).toBeLessThan(215);
  });
});

describe('what she can do', () => {
  const moving = (hand: 1 | -1) => {
    const water = open({ boat: sloop(hand) });
    const state = water.stillAt(0, 0, 0, 0);
    state.motion[3] = 1.2;
    return { water, state };
  };

  it('stops and carries in the order of things', () => {
    const { water, state } = moving(1);
    const stop = stopHere(water, state)!;
    const carry = carryHere(water, state)!;
    expect(stop.distance).toBeGreaterThan(2);
    expect(carry.distance).toBeGreaterThan(2 * stop.distance);
    expect(stopHere(water, water.stillAt(0, 0, 0, 0))).toBeNull();
  });

  it('stops from straight way, as on the handling sheet, whatever the plan has her doing by then', () => {
    const calm = { windSpeed: 0, currentSpeed: 0 };
    const water = open({ boat: sloop(1), weather: { ...CALM, ...calm } });
    const turning = water.stillAt(3, -2, 0.7, 0);
    turning.motion.set([1.2, 0.4, -0.2], 3);
    const { distance, time, turned, aside } = stopHere(water, turning)!;
    const sheet = stopFrom(water.world.craft, 1.2)!;
    expect(distance).toBeCloseTo(sheet.distance, 9);
    expect(time).toBeCloseTo(sheet.time, 9);
    expect(turned).toBeCloseTo(sheet.turned, 9);
    expect(aside).toBeCloseTo(sheet.aside, 9);
    const carry = carryFrom(water.world.craft, 1.2, 0.1)!;
    const here = carryHere(water, turning)!;
    // A minute, or a tenth of a metre a second, whichever is sooner.
    expect(here.distance).toBeLessThanOrEqual(carry.distance + 1e-9);
    expect(here.distance).toBeGreaterThan(0.3 * carry.distance);
  });

  it('aimed off by what turns her, she stops straight', () => {
    for (const hand of [1, -1] as const) {
      const { water, state } = moving(hand);
      const { turned } = stopHere(water, state)!;
      expect(Math.sign(turned)).toBe(hand);
      const aimed = new Rollout(water, state);
      aimed.state.motion[PSI] = -turned;
      wheel(aimed, 0);
      engines(aimed, -1, firmThrottle(water.world.craft));
      aimed.until(() => aimed.ahead <= 0, 60);
      expect(Math.abs(aimed.heading)).toBeLessThan(1 * DEG);
    }
  });

  it('turns sooner the way her propeller helps, whichever hand it is', () => {
    const rooms = (hand: 1 | -1) => {
      const about = new Surroundings(inputOf([stepOf(START, [])], START, { boat: sloop(hand) }));
      const at = about.stillAt(0, 0, 0, 0);
      return { port: turnHere(about, at, -1)!, starboard: turnHere(about, at, 1)! };
    };
    const right = rooms(1);
    const left = rooms(-1);
    expect(right.starboard.done).toBe(true);
    expect(right.starboard.time).toBeLessThan(right.port.time);
    expect(left.port.room).toBeCloseTo(right.starboard.room, 6);
    expect(left.starboard.room).toBeCloseTo(right.port.room, 6);
  });

  it('does not turn where there is no room, and says what is in the way', () => {
    const about = new Surroundings(
      inputOf([stepOf(START, [])], START, {
        obstacles: [box('west wall', -9, -30, -3.5, 30), box('east wall', 3.5, -30, 9, 30)],
      }),
    );
    const turn = turnHere(about, about.stillAt(0, 0, 0, 0), 1)!;
    expect(turn).toMatchObject({ done: false, touched: true });
    expect(turn.nearest.name).toMatch(/wall/);
  });
});

describe('a step in the helm’s own terms', () => {
  // North at 1.5 m/s, slowing; marks stand to both sides of the boat's way.
  const input = inputOf(
    [
      stepOf(START, []),
      stepOf(
        { is: 'abeam', point: { name: 'mast', x: 0.5, y: 0 }, mark: { name: 'post', x: 6, y: 8 } },
        [],
      ),
    ],
    { is: 'after', time: 2 },
    { start: { x: 0, y: 0, heading: 0, speed: 1.5 } },
  );
  const points = [
    { name: 'mast', x: 0.5, y: 0 },
    { name: 'bow', x: 5, y: 0 },
  ];

  it('is the mark that a point of hers is abreast of, with its side and how far off', () => {
    const run = runPlan(input);
    const found = abreastOf(run, points, [{ name: 'post', x: 6, y: 8 }], 10);
    expect(found).toHaveLength(1);
    expect(found[0]).toMatchObject({ step: 1, point: 'mast', mark: 'post', side: 'starboard' });
    expect(found[0]!.aside).toBeCloseTo(6, 1);
    expect(found[0]!.ahead).toBeCloseTo(0, 6);
  });

  it('is never by a point of the side away from the mark', () => {
    const run = runPlan(input);
    const cleats = [
      { name: 'port cleat', x: 0.5, y: -1.4 },
      { name: 'starboard cleat', x: 0.45, y: 1.4 },
    ];
    const by = (x: number) => abreastOf(run, cleats, [{ name: 'post', x, y: 8 }], 10)[0];
    expect(by(6)).toMatchObject({ point: 'starboard cleat', side: 'starboard' });
    expect(by(-6)).toMatchObject({ point: 'port cleat', side: 'port' });
  });

  it('is not a mark that would do for two steps', () => {
    const twice = runPlan({
      ...input,
      plan: {
        ...input.plan,
        steps: [...input.plan.steps, stepOf({ is: 'after', time: 0.2 }, [])],
      },
    });
    expect(twice.steps).toHaveLength(3);
    expect(abreastOf(twice, points, [{ name: 'post', x: 6, y: 8 }], 10)).toEqual([]);
  });

  it('is nothing where no mark stands abreast, or only one too far off', () => {
    const run = runPlan(input);
    expect(abreastOf(run, points, [{ name: 'post', x: 6, y: 20 }], 10)).toEqual([]);
    expect(abreastOf(run, points, [{ name: 'post', x: -60, y: 8 }], 10)).toEqual([]);
  });
});

describe('the whole brief', () => {
  it('sees the danger change sides when she turns about', () => {
    const input = inputOf(
      [
        stepOf(START, [engineIn(1, 0.3)]),
        stepOf({ is: 'after', time: 12 }, [{ after: 0, order: { do: 'wheel', angle: 0.6 } }]),
        stepOf({ is: 'heading', heading: Math.PI }, [
          { after: 0, order: { do: 'wheel', angle: 0 } },
        ]),
      ],
      { is: 'after', time: 15 },
      { ...wind(270, 7), start: { x: 0, y: 0, heading: 0, speed: 1.5 } },
    );
    const { legs } = brief(input);
    expect(legs[0]!.lee).toBe('starboard');
    expect(legs[2]!.lee).toBe('port');
    expect(legs[0]!.onto).toBeNull();
  });

  it('counts speeds at three, two and one lengths from the berth', () => {
    const input = inputOf(
      [stepOf(START, [])],
      { is: 'speed', over: 'water', compare: 'below', speed: 0.3 },
      {
        start: { x: 0, y: -45, heading: 0, speed: 1.5 },
        goal: {
          is: 'lie',
          point: { name: 'midships', x: 0, y: 0 },
          mark: { name: 'mark', x: 0, y: 0 },
          within: 100,
          heading: 0,
          headingWithin: 1,
          speedBelow: 1,
        },
      },
    );
    const { speeds } = brief(input);
    const { trace } = runPlan(input);
    for (const { lengths, speed, time } of speeds) {
      const i = trace.time.findIndex((t) => t >= time! - 1e-9);
      expect(trace.y[i]!).toBeCloseTo(-10 * lengths, 0);
      expect(speed).toBe(trace.groundSpeed[i]);
    }
    expect(speeds[0]!.speed!).toBeGreaterThan(speeds[2]!.speed!);
  });

  it('asks for what the boat has and the manoeuvre needs, and no more', () => {
    const input = inputOf([stepOf(START, [engineIn(1)])], START);
    expect(readyFor(input, false)).not.toContain('thrusters');
    expect(readyFor(input, true)).toContain('kill-cord');
    expect(readyFor(input, false)).not.toContain('look-astern');
    const back = inputOf([stepOf(START, [engineIn(-1)])], START);
    expect(readyFor(back, false)).toContain('look-astern');
    const rowed = inputOf([stepOf(START, [])], START, { boat: { ...sloop(), drives: [] } });
    expect(readyFor(rowed, false)).not.toContain('both-gears');
  });

  it('of a boat without an engine says what can be said', () => {
    const drifting = inputOf(
      [stepOf(START, [])],
      { is: 'after', time: 20 },
      {
        ...wind(200, 6),
        boat: { ...sloop(), drives: [], rudders: [] },
      },
    );
    const { able, legs } = brief(drifting);
    expect(able).toMatchObject({ stop: null, walk: null, turns: [] });
    expect(legs.length).toBe(1);
  });
});
