import { WALKS_ASHORE_MPS } from '../policy';
import { worldOf } from './input';
import { beginning } from '../simulation';
import { box } from '../testing/boxes';
import { LOCK_WALLS, lockAt } from '../testing/locks';
import { stepOf, inputOf } from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { aboard, ashore, hands, riggedWith } from '../testing/rigging';
import { runPlan, type Person, type RunInput } from './';
import { footings, footway, standsOver } from './on-foot';

const NEVER = { is: 'after', time: 110 } as const;

/** The sloop, 9 m by 3.4 m, in a chamber of 16 by 6 m that goes south from nought, a hand's breadth off its east wall. */
function inLock(crew: readonly Person[], rest: Partial<RunInput> = {}): RunInput {
  const order = hands({ do: 'stepAboard', by: 0, point: { name: 'quarter', x: -3, y: 1.5 } });
  return {
    ...inputOf([stepOf({ is: 'start' }, [order])], NEVER, {
      obstacles: LOCK_WALLS,
      locks: [lockAt({}, 'upper')],
      berth: new Set(LOCK_WALLS.map(({ id }) => id)),
      start: { x: 1.15, y: -8, heading: 0, speed: 0 },
      // Laid to it by the wind.
      weather: { ...CALM, windFrom: -Math.PI / 2, windSpeed: 4 },
      limit: 120,
      ...rest,
    }),
    ...riggedWith([], crew),
  };
}

function worldWith(input: RunInput) {
  const world = worldOf(input, 10);
  return { world, state: beginning(world, input.start) };
}

const crewEvents = (input: RunInput) =>
  runPlan(input).events.flatMap((e) => (e.is === 'crew' ? [{ what: e.what, time: e.time }] : []));

describe('on foot beside a lock', () => {
  it('the way is straight along a side, and across it goes round by gates that stand shut', () => {
    const { world, state } = worldWith(inLock([]));
    const west = { x: -4, y: -4 };
    expect(footway(world, state, west, { x: -4, y: -14 })).toBeCloseTo(10, 9);
    // By the upper gates, 4 m along, 8 m across and 4 m back.
    expect(footway(world, state, west, { x: 4, y: -4 })).toBeCloseTo(16, 9);
    state.locks[0]!.leaves.fill(1);
    expect(footway(world, state, west, { x: 4, y: -4 })).toBeNull();
    expect(footway(world, state, west, { x: -4, y: 3 })).toBeCloseTo(7, 9);
  });

  it('a bridge with a footway is a way across with every gate open, and the shorter one where it is', () => {
    const open = (input: RunInput) => {
      const { world, state } = worldWith(input);
      state.locks[0]!.leaves.fill(1);
      return footway(world, state, { x: -4, y: -14 }, { x: 4, y: -10 });
    };
    const bridge = (outline: readonly number[], walked = true) => ({
      bridges: [
        { name: 'bridge', outline: Float64Array.from(outline), clearance: 3, footway: walked },
      ],
    });
    const over = bridge([-6, -21, 6, -21, 6, -19, -6, -19]);
    // To its landing at the chamber's edge, 6 m down, over 6 m, and 10 m back.
    const way = Math.hypot(6, 1) + 6 + Math.hypot(10, 1);
    expect(open(inLock([], over))).toBeCloseTo(way, 9);
    // One that slants: 2 m further down on the far side.
    const slanting = bridge([-6, -19, 6, -23, 6, -21, -6, -17]);
    expect(open(inLock([], slanting))).toBeCloseTo(
      Math.hypot(1, 5) + Math.hypot(6, 2) + Math.hypot(1, 11),
      9,
    );
    expect(open(inLock([], bridge([-6, -21, 6, -21, 6, -19, -6, -19], false)))).toBeNull();
    // It has to reach from side to side.
    expect(open(inLock([], bridge([-6, -21, 2.5, -21, 2.5, -19, -6, -19])))).toBeNull();
    // With its gates shut they stay the shorter way where they are nearer.
    const { world, state } = worldWith(inLock([], over));
    expect(footway(world, state, { x: -4, y: -2 }, { x: 4, y: -2 })).toBeCloseTo(2 + 8 + 2, 9);
  });

  it('where no lock is worked it is straight', () => {
    const { world, state } = worldWith(inLock([], { locks: [] }));
    expect(footway(world, state, { x: -4, y: -4 }, { x: 4, y: -4 })).toBeCloseTo(8, 9);
  });

  it('one steps only from the side one can get to: to the wall she lies at, not over her', () => {
    const { world, state } = worldWith(inLock([]));
    const quarter = { x: 2.65, y: -11 };
    const [east] = footings(world, state, { x: 4, y: -11 }, quarter, 0.6, 0.8);
    expect(east!.way).toBeCloseTo(1, 1);
    const [west] = footings(world, state, { x: -4, y: -11 }, quarter, 0.6, 0.8);
    expect(west!.way).toBeGreaterThan(15);
    state.locks[0]!.leaves.fill(1);
    expect(footings(world, state, { x: -4, y: -11 }, quarter, 0.6, 0.8)).toEqual([]);
    // Nothing within a step of the boat's middle.
    expect(footings(world, state, { x: 4, y: -11 }, { x: 0, y: -11 }, 0.6, 0.8)).toEqual([]);
  });

  it('somebody on the far side walks round before they are aboard', () => {
    const aboardAt = (x: number) =>
      crewEvents(inLock([ashore('Bo', x, -11)])).find(({ what }) => what === 'aboard')!.time;
    const near = aboardAt(4);
    const far = aboardAt(-4);
    expect(near).toBeLessThan(4);
    // 5 m down to the lower gates, 7 m over, 5 m back, and no faster than one walks.
    expect(far - near).toBeGreaterThan(15 / WALKS_ASHORE_MPS - 1);
    // The boat swings a little meanwhile, and may have to be waited for.
    expect(far - near).toBeLessThan(25);
  });

  it('walks nowhere with every gate open, and says so', () => {
    const lock = { ...lockAt({ upper: { level: 0, area: Infinity } }), coping: 1 };
    lock.begins.leaves.fill(1);
    lock.begins.leavesTo.fill(1);
    lock.begins.gates.upper = 1;
    lock.begins.gates.lower = 1;
    const input = inLock([ashore('Bo', -4, -11)], { locks: [lock] });
    expect(crewEvents(input).map(({ what }) => what)).toEqual(['at', 'could not step']);
    const over = {
      ...inLock([aboard('Ada', -3, 1.5)], { locks: [lock] }),
    };
    const [first] = over.plan.steps;
    const stepped: RunInput = {
      ...over,
      plan: {
        ...over.plan,
        steps: [
          {
            ...first!,
            orders: [hands({ do: 'stepAshore', by: 0, mark: { name: 'west', x: -4, y: -11 } })],
          },
        ],
      },
    };
    expect(crewEvents(stepped).map(({ what }) => what)).toEqual(['at', 'ashore', 'no way across']);
  });

  it('a thing she lies at and one stands on is walked along, whatever lies between', () => {
    const pier = box('pier', -9, -30, 9, -20);
    const { world, state } = worldWith(inLock([], { obstacles: [...LOCK_WALLS, pier] }));
    state.locks[0]!.leaves.fill(1);
    const [way] = footings(world, state, { x: -8, y: -21 }, { x: 8, y: -19.8 }, 0.6, 0.8);
    expect(way!.way).toBeCloseTo(Math.hypot(16, 1), 6);
  });

  it('of a staircase any gates that stand shut are the bridge, and the nearest lock says who is on which side', () => {
    const upper = { ...lockAt(), id: 'upper lock', y: 16 };
    const { world, state } = worldWith(inLock([], { locks: [lockAt(), upper] }));
    const [from, to] = [
      { x: -4, y: -14 },
      { x: 4, y: -14 },
    ];
    // By the lower gates of the lower lock, 2 m on.
    expect(footway(world, state, from, to)).toBeCloseTo(12, 9);
    state.locks[0]!.leaves.fill(1);
    // Those of the upper lock stand shut still: its lower ones are at the top of the lower chamber.
    expect(footway(world, state, from, to)).toBeCloseTo(14 + 8 + 14, 9);
    state.locks[1]!.leaves.fill(1);
    expect(footway(world, state, from, to)).toBeNull();
  });

  it('how high one stands is the coping over the chamber beside it, and a thing’s own height away from it', () => {
    const locks = [lockAt()];
    const over = (x: number, y: number, height = 1.4) =>
      standsOver(1, locks, [{ chamber: 0.5 }], { height }, { x, y });
    expect(over(3, -8)).toBeCloseTo(3 - 0.5 - 1, 9);
    // A quay abreast of it, another below; above it heights are told over the lower water.
    expect(over(40, -8)).toBeCloseTo(0.4, 9);
    expect(over(3, -30)).toBeCloseTo(0.4, 9);
    expect(over(3, 8)).toBe(0);
    expect(over(3, -30, Infinity)).toBe(0);
    expect(standsOver(1, [], [], { height: 2.5 }, { x: 0, y: 0 })).toBeCloseTo(1.5, 9);
  });
});
