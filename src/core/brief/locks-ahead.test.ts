import { simulateFill, standsAlong } from '../locks';
import { stepOf, box, inputOf, mirrored } from '../testing/manoeuvre';
import { LOCK_WALLS, lockAt } from '../testing/locks';
import { SWEEPING } from '../testing/sweep';
import { aboard, riggedWith } from '../testing/rigging';
import type { RunInput } from '../plan';
import { cautionsFor, readyFor } from './ready';
import { runPlan } from '../plan';
import { locksAhead, throughGates, type LockAhead } from './';

const KN = 0.514444;

/** The sloop two lengths below the lock, wind abeam. */
function before(knots: number, rest: Partial<RunInput> = {}): RunInput {
  const input = inputOf(
    [stepOf({ is: 'start' }, [])],
    { is: 'after', time: 5 },
    {
      obstacles: LOCK_WALLS,
      locks: [lockAt({}, 'lower', 'open')],
      start: { x: 0, y: -40, heading: 0, speed: 0 },
      ...rest,
    },
  );
  return { ...input, weather: { ...input.weather, windFrom: Math.PI / 2, windSpeed: knots * KN } };
}

const aheadOf = (input: RunInput): LockAhead => [...locksAhead(input)][0]!;
const fails = ({ touched, missed }: { touched: number; missed: number }) => touched + missed;

describe('through gates', () => {
  it('one leaf against both are told apart in five knots and in fifteen', () => {
    const wide = lockAt({ width: 8 }, 'lower', 'open');
    const walls = [box('west wall', -9, -17, -4, 3), box('east wall', 4, -17, 9, 3)];
    const at = (knots: number) =>
      throughGates(before(knots, { locks: [wide], obstacles: walls }), 0, 'lower');
    const [one5, both5] = at(5);
    const [one15, both15] = at(15);
    expect([one5!.gap, both5!.gap]).toEqual([4, 8]);
    expect(fails(both5!)).toBeLessThan(fails(one5!));
    expect(fails(both15!)).toBeLessThan(fails(one15!));
    expect(fails(one15!)).toBeGreaterThanOrEqual(fails(one5!));
    expect(fails(one15!)).toBeGreaterThan(fails(both5!) + 4);
  });

  it('has nothing to choose where there is one gate, and in a sweep says the same of the same', () => {
    const input = before(6);
    const upper = throughGates(input, 0, 'upper');
    expect(upper.map(({ gates }) => gates)).toEqual(['the gate']);
    if (!SWEEPING) return;
    expect(throughGates(input, 0, 'upper')).toEqual(upper);
    expect(throughGates(input, 0, 'lower')).toEqual(throughGates(input, 0, 'lower'));
  });

  it('she does not get in where she is too deep for the cill', () => {
    const shoal = lockAt({ lowerCill: -1 }, 'lower', 'open');
    const [one] = throughGates(before(2, { locks: [shoal] }), 0, 'lower');
    expect(one!.touched + one!.missed).toBe(one!.tries);
  });
});

describe('a lock ahead', () => {
  it('is set for her with its gates open, or is turned round first', () => {
    const open = aheadOf(before(3));
    expect(open).toMatchObject({ end: 'lower', inside: false, setForHer: true, readyIn: 0 });
    expect(open.leaveAt).toBe(0);
    const against = aheadOf(before(3, { locks: [lockAt({}, 'upper', 'open')] }));
    expect(against.setForHer).toBe(false);
    const boat = standsAlong(
      lockAt(),
      { x: 0, y: -8, heading: 0 },
      inputOf([], { is: 'start' }).boat.hull,
    );
    const empties = simulateFill(lockAt().lock, 'lower', 1, boat)!.seconds;
    // Its upper gates shut, its water let down, the lower ones opened.
    expect(against.readyIn!).toBeCloseTo(empties + 40, 0);
    expect(against.leaveAt!).toBeCloseTo(against.readyIn! - against.runs, 6);
  });

  it('is told from above and from inside as well', () => {
    const above = aheadOf(
      before(3, {
        start: { x: 0, y: 30, heading: Math.PI, speed: 0 },
        locks: [lockAt({}, 'upper')],
      }),
    );
    expect(above).toMatchObject({ end: 'upper', inside: false });
    const inside = aheadOf(before(3, { start: { x: 0, y: -8, heading: 0, speed: 0 } }));
    expect(inside).toMatchObject({ end: 'upper', inside: true, through: [] });
  });

  it('the wall is the one the wind lays her to, in a sweep the other way round in the mirror', () => {
    // From the east: to the west wall, which is on the left looking up-stream.
    expect(aheadOf(before(8)).side).toBe('left');
    if (SWEEPING) expect(aheadOf(mirrored(before(8))).side).toBe('right');
    expect(aheadOf(before(1)).side).toBeNull();
  });
});

describe('made ready for a lock', () => {
  const items = (input: RunInput) =>
    readyFor(input, false).filter((item) => item.startsWith('lock-'));

  it('going up and down ask for different things, and nothing is asked where no lock is worked', () => {
    const up = items(before(3));
    const down = items(before(3, { start: { x: 0, y: 30, heading: Math.PI, speed: 0 } }));
    expect(up).toContain('lock-gates');
    expect(up).not.toContain('lock-cill');
    expect(down).toContain('lock-cill');
    // Nobody named: hands are where they are wanted.
    expect(up).not.toContain('lock-alone');
    expect(items(before(3, riggedWith([], [aboard('Ada', -3, 0)])))).toContain('lock-alone');
    expect(items(before(3, { locks: [] }))).not.toContain('lock-line');
  });

  it('never to make a line fast stands among the cautions', () => {
    const input = before(3);
    expect(cautionsFor(input, runPlan(input), false)).toEqual(
      expect.arrayContaining(['lock-fast', 'lock-paddles']),
    );
  });
});
