import fc from 'fast-check';
import { assembleCraft } from '../boat';
import { runPlan, type RunInput } from '../plan';
import { LONGEST_TIME_TO_CONTACT_S, REACTION_S } from '../policy';
import { sloop } from '../testing/boats';
import { stepOf, box, engineIn, inputOf, mirrored, wheelTo } from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { firmThrottle, stopFrom, driftFrom } from '../trials';
import { MPS_PER_KNOT } from '../units';
import { Rollout, Surroundings } from './rollout';
import { timeToContactFrom } from './time-to-contact';
import { windLimit } from './limits';
import { coarseToFine, surveyed, surveyRun } from './survey';
import { NO_VARIATION, vary } from './vary';
import { lastWayOut, spareWanted, wayOutAt } from './way-out';
import { windGrid } from './grid';

const DEG = Math.PI / 180;
const START = { is: 'start' } as const;

/** Dead ahead a quay, neutral, `speed` m/s on; piers left and right of the lane, so that the boat cannot drive round. */
function lane(gap: number, speed: number, half = 4): RunInput {
  const long = 60;
  return inputOf(
    [stepOf(START, [])],
    { is: 'after', time: 1 },
    {
      obstacles: [
        box('quay', -40, gap, 40, gap + 5),
        box('west pier', -half - 3, gap - long, -half, gap - 0.1),
        box('east pier', half, gap - long, half + 3, gap - 0.1),
      ],
      start: { x: 0, y: 0, heading: 0, speed },
    },
  );
}

const still = (about: Surroundings) => about.stillAt(0, 0, 0, 0);

describe('an rollout', () => {
  it('begun at a moment of a run goes on as the run does', () => {
    const input = inputOf(
      [stepOf(START, [engineIn(1, 0.4), wheelTo(20)])],
      { is: 'after', time: 20 },
      {
        weather: {
          ...CALM,
          windFrom: 1,
          windSpeed: 6,
          gusts: { intensity: 0.2, timeScale: 8, seed: 3 },
        },
      },
    );
    const about = new Surroundings(input);
    const kept: ReturnType<Surroundings['copyOf']>[] = [];
    runPlan(input, (state) => {
      kept.push(about.copyOf(state));
    });
    const rollout = new Rollout(about, kept[80]!);
    rollout.until(() => false, 10);
    const there = kept[180]!;
    expect(rollout.time).toBeCloseTo(there.time, 9);
    expect(rollout.x).toBeCloseTo(there.motion[0]!, 6);
    expect(rollout.y).toBeCloseTo(there.motion[1]!, 6);
    expect(rollout.heading).toBeCloseTo(there.motion[2]!, 6);
  });

  it('lets her lie still over ground in a current', () => {
    const about = new Surroundings(
      inputOf([stepOf(START, [])], START, {
        weather: { ...CALM, currentSet: 1.1, currentSpeed: 0.7 },
      }),
    );
    const rollout = new Rollout(about, about.stillAt(0, 0, 2, 0));
    rollout.step();
    expect(Math.hypot(rollout.x, rollout.y)).toBeLessThan(0.005);
  });
});

describe('time in hand', () => {
  it('is the gap over the speed for a boat that keeps it', () => {
    // 0.8 m/s, in neutral, seven metres from bow to quay: the boat slows a little.
    const input = lane(12, 0.8);
    const about = new Surroundings(input);
    const from = new Rollout(about, still(about)).state;
    from.motion[3] = 0.8;
    const bow = Math.max(...sloop().hull.deck.filter((_, i) => i % 2 === 0));
    const alone = timeToContactFrom(about, from, 'as they are')!;
    expect(alone.name).toBe('quay');
    expect(alone.part).toMatch(/bow/);
    expect(alone.seconds).toBeGreaterThan((12 - bow) / 0.8);
    expect(alone.seconds).toBeLessThan((1.35 * (12 - bow)) / 0.8);
    expect(alone.grade).toBe('hard');
  });

  it('is more than a minute where there is nothing', () => {
    const about = new Surroundings(inputOf([stepOf(START, [])], START));
    expect(timeToContactFrom(about, still(about), 'neutral')).toBeNull();
    expect(LONGEST_TIME_TO_CONTACT_S).toBe(60);
  });

  it('with an engine left in gear is shorter than in neutral', () => {
    const input = lane(25, 0);
    const about = new Surroundings(input);
    const from = still(about);
    from.motion[3] = 0.5;
    from.engines[0]!.orderedGear = 1;
    from.engines[0]!.engaged = 1;
    from.engines[0]!.throttle = 0.3;
    const alone = timeToContactFrom(about, from, 'as they are')!;
    const neutral = timeToContactFrom(about, from, 'neutral')!;
    expect(alone.seconds).toBeLessThan(neutral.seconds);
    expect(alone.speed).toBeGreaterThan(neutral.speed);
  });
});

describe('the way out', () => {
  const from = (gap: number, speed: number) => {
    const about = new Surroundings(lane(gap, speed));
    const state = still(about);
    state.motion[3] = speed;
    return wayOutAt(about, state);
  };

  it('is open while there is room to see it, to stop and to spare, and gone when she cannot stop', () => {
    const craft = assembleCraft(sloop());
    const bow = Math.max(...sloop().hull.deck.filter((_, i) => i % 2 === 0));
    const speed = 1.2;
    const stops = stopFrom(craft, speed, firmThrottle(craft))!.distance;
    const wanted = spareWanted(craft.spec.hull.length);
    expect(from(bow + stops + REACTION_S * speed + wanted + 1, speed).grade).toBe('open');
    // Room to stop and to spare, but not to see it first.
    expect(from(bow + stops + wanted + 0.5, speed).grade).toBe('luck');
    const close = from(bow + stops + 0.3, speed);
    expect(close.grade).toBe('luck');
    expect(close.spare!.distance).toBeGreaterThan(0);
    expect(close.spare!.distance).toBeLessThan(wanted);
    expect(from(bow + 0.5 * stops, speed)).toMatchObject({ grade: 'none', by: null, spare: null });
  });

  it('counts a hard touch on her own berth, though she need not be clear of it', () => {
    const at = (gap: number) => {
      const about = new Surroundings({ ...lane(gap, 1.2), berth: new Set(['quay']) });
      const state = still(about);
      state.motion[3] = 1.2;
      return wayOutAt(about, state).grade;
    };
    const bow = Math.max(...sloop().hull.deck.filter((_, i) => i % 2 === 0));
    const stops = stopFrom(assembleCraft(sloop()), 1.2)!.distance;
    expect(at(bow + 0.3 * stops)).toBe('none');
    expect(at(bow + stops + REACTION_S * 1.2 + 0.3)).toBe('open');
  });

  it('says what it comes nearest to', () => {
    const { spare } = from(14, 1);
    expect(['quay', 'west pier', 'east pier']).toContain(spare!.name);
  });

  it('of a run at a quay is open first and lost in the end, and the last moment lies between', () => {
    const input = lane(40, 1.5, 9);
    const moments = surveyed({
      ...input,
      plan: {
        steps: [stepOf(START, [engineIn(1, 0.2)])],
        end: { cue: { is: 'after', time: 60 }, within: 120 },
      },
    });
    expect(moments[0]!.wayOut.grade).toBe('open');
    const last = lastWayOut(moments.map((m) => m.wayOut))!;
    expect(last.time).toBeGreaterThan(5);
    const next = moments.find((m) => m.time > last.time)!;
    expect(next.wayOut.grade).toBe('none');
  });

  it('is the same, port for starboard, in the mirrored place with the mirrored boat', () => {
    const input = inputOf(
      [stepOf(START, [engineIn(1, 0.2), wheelTo(12)])],
      { is: 'after', time: 22 },
      {
        obstacles: [box('quay', -40, 28, 40, 33), box('hulk', 9, -5, 14, 12)],
        weather: { ...CALM, windFrom: -1.2, windSpeed: 6, currentSet: 0.5, currentSpeed: 0.2 },
        start: { x: 0, y: 0, heading: 0.1, speed: 1.2 },
      },
    );
    const other = { port: 'starboard', starboard: 'port' } as Record<string, string>;
    const here = surveyed(input);
    const there = surveyed(mirrored(input));
    expect(there.length).toBe(here.length);
    here.forEach((moment, i) => {
      const twin = there[i]!;
      expect(twin.wayOut.grade).toBe(moment.wayOut.grade);
      const by = moment.wayOut.by;
      expect(twin.wayOut.by).toBe(by === null ? null : (other[by] ?? by));
      expect(twin.timeToContact?.alone?.name).toBe(moment.timeToContact?.alone?.name);
      if (moment.timeToContact?.neutral)
        expect(twin.timeToContact!.neutral!.seconds).toBeCloseTo(
          moment.timeToContact.neutral.seconds,
          3,
        );
    });
  });
});

describe('a survey', () => {
  it('looks at every moment once, all over the run first', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 90 }), fc.integer({ min: 1, max: 9 }), (n, stride) => {
        const order = coarseToFine(n, stride);
        expect(order.slice().sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i));
        const coarse = order.slice(0, Math.ceil(n / stride));
        expect(Math.max(...coarse)).toBeGreaterThanOrEqual(n - stride);
      }),
    );
  });

  it('begins at the start and ends at the end of the run', () => {
    const input = inputOf([stepOf(START, [engineIn(1)])], { is: 'after', time: 13 });
    const moments = surveyed(input);
    expect(moments[0]!.time).toBe(0);
    expect(moments.at(-1)!.time).toBeCloseTo(13, 6);
    expect(
      moments.every(
        ({ wayOut, timeToContact }) => wayOut.grade === 'open' && timeToContact?.alone === null,
      ),
    ).toBe(true);
  });

  it('knows the way out of every moment before it follows her from any', () => {
    const input = inputOf([stepOf(START, [engineIn(1)])], { is: 'after', time: 13 });
    const runs: number[] = [];
    const found = [...surveyRun(input, (run) => runs.push(run.duration))];
    expect(runs).toEqual([13]);
    const half = found.length / 2;
    expect(found.slice(0, half).every(({ moment }) => moment.timeToContact === null)).toBe(true);
    expect(found.slice(half).every(({ moment }) => moment.timeToContact !== null)).toBe(true);
    const indices = (part: typeof found) => new Set(part.map(({ index }) => index));
    expect(indices(found.slice(0, half)).size).toBe(found[0]!.of);
    expect(indices(found.slice(half))).toEqual(indices(found.slice(0, half)));
  });
});

describe('a variation', () => {
  const base = inputOf(
    [
      stepOf(START, [engineIn(1, 0.2)]),
      stepOf({ is: 'after', time: 6 }, [engineIn(-1, 0.5), wheelTo(10)]),
    ],
    { is: 'after', time: 12 },
    {
      weather: { ...CALM, windFrom: 1, windSpeed: 5 },
      start: { x: 0, y: 0, heading: 0, speed: 1 },
    },
  );
  const endOf = (input: RunInput) => {
    const { trace, events } = runPlan(input);
    const last = trace.x.length - 1;
    return { x: trace.x[last]!, heading: trace.heading[last]!, events, trace };
  };

  it('of nothing changes nothing', () => {
    expect(endOf(vary(base, NO_VARIATION)).trace).toEqual(endOf(base).trace);
  });

  it('of lateness moves the later orders, not the first', () => {
    const orders = (input: RunInput) =>
      endOf(input).events.flatMap((e) => (e.is === 'order' ? [e.time] : []));
    const [first, ...late] = orders(vary(base, { ...NO_VARIATION, late: 2 }));
    const [same, ...before] = orders(base);
    expect(first).toBe(same);
    late.forEach((time, i) => expect(time).toBeCloseTo(before[i]! + 2, 6));
  });

  it('of the hand turns the prop walk round, of astern weakens it', () => {
    const calm = { ...base, weather: CALM };
    const straight = {
      ...calm,
      plan: { ...calm.plan, steps: [stepOf(START, [engineIn(-1, 0.5)])] },
      start: { x: 0, y: 0, heading: 0, speed: 0 },
    };
    const right = endOf(straight).heading;
    expect(Math.abs(right)).toBeGreaterThan(0.01);
    expect(endOf(vary(straight, { ...NO_VARIATION, otherHand: true })).heading).toBeCloseTo(
      -right,
      6,
    );
    const weak = runPlan(vary(straight, { ...NO_VARIATION, asternTimes: 0.5 })).margins.fastest;
    expect(weak).toBeLessThan(0.85 * runPlan(straight).margins.fastest);
  });

  it('of the other side turns the wind over about the berth, so that she is blown the other way', () => {
    const east = { ...base, weather: { ...CALM, windFrom: 1.2, windSpeed: 6 } };
    const still = { ...east, start: { x: 0, y: 0, heading: 0, speed: 0 } };
    const other = vary(still, { ...NO_VARIATION, otherSide: true });
    expect(other.weather.windFrom).toBeCloseTo(-1.2, 12);
    expect(endOf(still).x * endOf(other).x).toBeLessThan(0);
    const goal = {
      is: 'lie' as const,
      point: { name: 'midships', x: 0, y: 0 },
      mark: { name: 'berth', x: 0, y: 0 },
      within: 2,
      heading: 1,
      headingWithin: 0.2,
      speedBelow: 0.3,
    };
    const lying = vary({ ...still, goal }, { ...NO_VARIATION, otherSide: true });
    expect(lying.weather.windFrom).toBeCloseTo(0.8, 12);
  });

  it('of wind, current and way on reaches the run', () => {
    const { weather, start } = vary(base, {
      ...NO_VARIATION,
      windTimes: 2,
      windVeer: 0.3,
      gusts: 0.2,
      currentBy: 0.4,
      entryBy: 0.5,
    });
    expect(weather).toMatchObject({ windSpeed: 10, windFrom: 1.3, currentSpeed: 0.4 });
    expect(weather.gusts).toMatchObject({ intensity: 0.2 });
    expect(start.speed).toBe(1.5);
  });
});

describe('the wind it fails in', () => {
  // Blown down on a quay while the boat makes its way along it.
  const along = inputOf(
    [stepOf(START, [engineIn(1, 0.1)])],
    { is: 'after', time: 25 },
    {
      obstacles: [box('quay', 6, -40, 12, 80)],
      weather: { ...CALM, windFrom: -90 * DEG, windSpeed: 2 * MPS_PER_KNOT },
      start: { x: 0, y: 0, heading: 0, speed: 1 },
    },
  );
  const at = (wind: number) =>
    runPlan({ ...along, weather: { ...along.weather, windSpeed: wind } }).outcome;

  it('is where it begins to, and what goes wrong then is said', () => {
    const limit = windLimit(along);
    expect(limit.wind).not.toBeNull();
    expect(at(limit.holdsTo)).toBe('reached');
    expect(at(limit.wind!)).toBe(limit.outcome);
    expect(limit.wind! - limit.holdsTo).toBeLessThan(0.25 * MPS_PER_KNOT + 1e-9);
    expect(limit.touched).toBe(limit.outcome === 'hard touch' ? 'quay' : null);
  });

  it('is none where it fails as it is, and none where nothing can stop it', () => {
    const never = { ...along, goal: { is: 'clear', distance: 1000 } as const };
    expect(windLimit(never)).toMatchObject({ wind: null, holdsTo: 0, outcome: 'missed' });
    const open = { ...along, obstacles: [] };
    expect(windLimit(open)).toMatchObject({ wind: null, outcome: null });
    expect(windLimit(open).holdsTo).toBeGreaterThanOrEqual(38 * MPS_PER_KNOT);
  });

  it('is found in a calm too, where there is no wind to blow harder', () => {
    const calm = { ...along, weather: { ...along.weather, windSpeed: 0 } };
    expect(windLimit(calm).wind! / windLimit(along).wind!).toBeCloseTo(1, 1);
  });

  it('grid plays every wind once, by rows', () => {
    const cells = [...windGrid(along, NO_VARIATION, [0, 1, 2], [3, 6])];
    expect(cells.map(({ direction, speed }) => [direction, speed])).toEqual([
      [0, 3],
      [1, 3],
      [2, 3],
      [0, 6],
      [1, 6],
      [2, 6],
    ]);
    const twin = runPlan({ ...along, weather: { ...along.weather, windFrom: 2, windSpeed: 6 } });
    expect(cells[5]!.run.trace).toEqual(twin.trace);
  });
});

it('a drifting rollout drifts as the trial says', () => {
  const input = inputOf([stepOf(START, [])], START, {
    weather: { ...CALM, windFrom: -90 * DEG, windSpeed: 8 },
  });
  const about = new Surroundings(input);
  const rollout = new Rollout(about, still(about));
  rollout.until(() => false, 22);
  const trial = driftFrom(about.world.craft, 8, 90 * DEG, 60);
  const x = rollout.x;
  rollout.until(() => false, 1);
  expect((rollout.x - x) / trial.early).toBeGreaterThan(0.9);
  expect((rollout.x - x) / trial.early).toBeLessThan(1.15);
});
