import { LINE } from '../holding';
import { STEP_UP_M, CLIMBS_MPS, ON_LADDER_S, LYING_N } from '../policy';
import { lineColumn } from '../simulation';
import { sloop } from '../testing/boats';
import { LOCK_WALLS, lockAt, windTo } from '../testing/locks';
import { stepOf, engineIn, inputOf, mirrored } from '../testing/manoeuvre';
import { CALM } from '../testing/rig';
import { aboard, ashore, end, hands, riggedWith, type TestLine } from '../testing/rigging';
import { runPlan, type Person, type RunInput, type TimedOrder } from './';

/** Low in a chamber of 16 by 6 m, its coping 3 m over the water, a hand's breadth off the east wall, laid to it by the wind. */
function low(
  orders: readonly TimedOrder[],
  crew: readonly Person[],
  { rest = {}, lines = [] }: { rest?: Partial<RunInput>; lines?: readonly TestLine[] } = {},
): RunInput {
  return {
    ...inputOf(
      [stepOf({ is: 'start' }, [...orders])],
      { is: 'after', time: 110 },
      {
        obstacles: LOCK_WALLS,
        locks: [lockAt()],
        berth: new Set(LOCK_WALLS.map(({ id }) => id)),
        start: { x: 1.15, y: -8, heading: 0, speed: 0 },
        weather: { ...CALM, windFrom: -Math.PI / 2, windSpeed: 4 },
        limit: 120,
        ...rest,
      },
    ),
    ...riggedWith(lines, crew),
  };
}

const UP = 3 - sloop().hull.freeboard;
const LADDER = { name: 'rungs', x: 3, y: -9 };
const OFF = hands({ do: 'stepAshore', by: 0, mark: { name: 'top', x: 4.5, y: -9 } });
const ON = hands({ do: 'stepAboard', by: 0, point: { name: 'helm', x: -3, y: 0 } });
const BOLLARD = end('bollard', 4, -8, 3);

const crewEvents = (input: RunInput) =>
  runPlan(input).events.flatMap((e) => (e.is === 'crew' ? [{ what: e.what, time: e.time }] : []));
const timeOf = (events: readonly { what: string; time: number }[], what: string) =>
  events.find((event) => event.what === what)!.time;

describe('steps and ladders', () => {
  it('nobody steps up a bare wall, nor by a ladder she does not lie at', () => {
    expect(UP).toBeGreaterThan(STEP_UP_M);
    const off = (ladders: RunInput['ladders']) =>
      crewEvents(low([OFF], [aboard('Ada', 0, 1)], { rest: { ladders: ladders! } })).map(
        ({ what }) => what,
      );
    expect(off([])).toEqual(['at', 'too high to step']);
    expect(off([{ ...LADDER, y: -15.5 }])).toEqual(['at', 'too high to step']);
    expect(off([LADDER])).toEqual(['at', 'on a ladder', 'ashore', 'at']);
  });

  it('a ladder takes as long as it is high, and longer the lower the water stands', () => {
    const climbs = (level: number) => {
      const locks = [lockAt({ lower: { level, area: Infinity } })];
      const events = crewEvents(
        low([OFF], [aboard('Ada', -1, 1.6)], { rest: { ladders: [LADDER], locks } }),
      );
      return timeOf(events, 'ashore') - timeOf(events, 'on a ladder');
    };
    expect(climbs(0)).toBeCloseTo(ON_LADDER_S + UP / CLIMBS_MPS, 6);
    expect(climbs(-0.6)).toBeCloseTo(ON_LADDER_S + (UP + 0.6) / CLIMBS_MPS, 6);
  });

  it('down it is the same way, and on along the deck to where one is wanted', () => {
    const events = crewEvents(low([ON], [ashore('Bo', 4, -9)], { rest: { ladders: [LADDER] } }));
    expect(events.map(({ what }) => what)).toEqual(['at', 'on a ladder', 'aboard', 'at']);
    const none = crewEvents(low([ON], [ashore('Bo', 4, -9)]));
    expect(none.map(({ what }) => what)).toEqual(['at', 'too high to step']);
  });

  it('with the propeller turning by the ladder it is dangerous, also where it is put in gear meanwhile', () => {
    const danger = (gear: TimedOrder[]) => {
      const aft = { ...LADDER, y: -11.5 };
      const crew = [aboard('Ada', -3, 1.4)];
      return runPlan(low([OFF, ...gear], crew, { rest: { ladders: [aft] } })).events.some(
        (e) => e.is === 'crew' && e.what === 'in danger',
      );
    };
    expect(danger([])).toBe(false);
    expect(danger([engineIn(1, 0, 4)])).toBe(true);
  });

  it('is the same in the mirror', () => {
    const input = low([OFF], [aboard('Ada', 0, 1)], { rest: { ladders: [LADDER] } });
    const times = (one: RunInput) =>
      crewEvents(one).map(({ what, time }) => `${what} ${time.toFixed(4)}`);
    expect(times(mirrored(input))).toEqual(times(input));
  });

  it('who climbs takes the line along, tends it from ashore, and walks off with its tail left lying', () => {
    const tend = (after: number) =>
      hands(
        { do: 'tend', line: 0, by: 0, how: 'turn', length: null, turns: 2, winch: false },
        after,
      );
    const carried = hands({
      do: 'pass',
      line: 0,
      by: 0,
      to: BOLLARD,
      how: 'carry',
      length: null,
    });
    const input = low(
      [carried, tend(0), { after: 40, order: windTo(0, 0.2, 0) }, tend(70)],
      [aboard('Ada', 0, 1.4)],
      { lines: [{ x: 0, y: 1.6 }], rest: { ladders: [LADDER] } },
    );
    const holds: { time: number; hold: number }[] = [];
    const { events } = runPlan(input, (state, world) =>
      holds.push({ time: state.time, hold: lineColumn(state, world, 0, LINE.HOLD) }),
    );
    const holdAt = (time: number) => holds.find((one) => one.time >= time)!.hold;
    const full = holdAt(38);
    expect(full).toBeGreaterThan(300);
    // At the paddle: what two turns make of a tail that is left lying.
    expect(holdAt(55)).toBeCloseTo((full * LYING_N) / 300, 6);
    expect(holdAt(100)).toBeCloseTo(full, 6);
    const told = events.flatMap((e) => (e.is === 'line' ? [e.what] : []));
    expect(told).toEqual(['passing', 'on', 'fast', 'on a turn', 'on a turn']);
  });

  it('off its turns a line is left by whoever walks away, and a doubled one is not tended from ashore', () => {
    const carried = (line: number) =>
      hands({ do: 'pass', line, by: 0, to: BOLLARD, how: 'carry', length: null });
    const tend = (how: 'turn' | 'hold') =>
      hands({ do: 'tend', line: 0, by: 0, how, length: null, turns: 2, winch: false });
    const whats = (lines: readonly TestLine[], orders: readonly TimedOrder[]) =>
      runPlan(
        low(orders, [aboard('Ada', 0, 1.4)], { lines, rest: { ladders: [LADDER] } }),
      ).events.flatMap((e) => (e.is === 'line' || e.is === 'crew' ? [e.what] : []));
    const wind = { after: 40, order: windTo(0, 0.2, 0) };
    expect(whats([{ x: 0, y: 1.6 }], [carried(0), tend('hold'), wind])).toContain('left');
    expect(whats([{ x: 0, y: 1.6 }], [carried(0), tend('turn'), wind])).not.toContain('left');
    const doubled = whats([{ x: 0, y: 1.6, doubled: true }], [carried(0), tend('turn')]);
    expect(doubled).toContain('not there');
    expect(doubled).not.toContain('on a turn');
  });
});
