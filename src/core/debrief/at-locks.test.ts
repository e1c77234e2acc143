import { sloop } from '../testing/boats';
import { engine, recordingOf } from '../testing/driven';
import { stepOf, inputOf } from '../testing/manoeuvre';
import { LOCK_WALLS, lockAt, windTo } from '../testing/locks';
import { CALM } from '../testing/rig';
import { aboard, ashore, end, riggedWith } from '../testing/rigging';
import type { Order, RunInput } from '../plan';
import { faultsOf, reviewOf, type FaultId } from './';

type Done = readonly (readonly [number, ...Order[]])[];

const inLock = (rest: Partial<RunInput> = {}) =>
  inputOf(
    [stepOf({ is: 'start' }, [])],
    { is: 'after', time: 600 },
    {
      obstacles: LOCK_WALLS,
      locks: [lockAt()],
      start: { x: 0, y: -8, heading: 0, speed: 0 },
      ...riggedWith([], [aboard('Ada', -3, 0), ashore('Ben', -4, 0)]),
      ...rest,
    },
  );

function rules(input: RunInput, seconds: number, done: Done): FaultId[] {
  return faultsOf(reviewOf(input, recordingOf(seconds, done))).map(({ rule }) => rule);
}

const sign: Order = { do: 'signal' };

describe('faults at a lock, each with a near twin that has it not', () => {
  it('a paddle wound without the sign', () => {
    const has = rules(inLock(), 30, [[2, windTo(0, 0.5, 1)]]);
    expect(has).toContain('paddle without sign');
    const twin = rules(inLock(), 30, [
      [1, sign],
      [2, windTo(0, 0.5, 1)],
    ]);
    expect(twin).not.toContain('paddle without sign');
  });

  it('one sign is not enough for the paddle after', () => {
    const once: Done = [
      [1, sign],
      [2, windTo(0, 0.5, 1)],
      [20, windTo(0, 1, 1)],
    ];
    expect(rules(inLock(), 40, once)).toContain('paddle without sign');
    expect(rules(inLock(), 40, [...once, [19, sign]])).not.toContain('paddle without sign');
  });

  it('the keeper asks nobody, and winding down wants no sign', () => {
    expect(rules(inLock(), 30, [[2, windTo(0, 0.5)]])).not.toContain('paddle without sign');
    const down: Done = [
      [1, sign],
      [2, windTo(0, 0.5, 1)],
      [20, windTo(0, 0, 1)],
    ];
    expect(rules(inLock(), 40, down)).not.toContain('paddle without sign');
  });

  it('over the cill as the chamber falls, or forward of it', () => {
    const down = (y: number) =>
      inLock({
        locks: [lockAt({ upperCill: 0.5 }, 'upper')],
        start: { x: 0, y, heading: Math.PI, speed: 0 },
      });
    const wound: Done = [[1, windTo(2, 1), windTo(3, 1)]];
    expect(rules(down(-5.2), 40, wound)).toContain('over the cill');
    expect(rules(down(-9), 40, wound)).not.toContain('over the cill');
  });

  it('an end on the gate as the level goes, or kept off it', () => {
    const fill: Done = [[1, windTo(0, 0.3)]];
    const ahead: Done = [[0, engine(1, 0)], ...fill];
    const close = inLock({ start: { x: 0, y: -5.05, heading: 0, speed: 0 } });
    expect(rules(close, 40, ahead)).toContain('gripped in a lock');
    expect(rules(inLock({ start: { x: 0, y: -8, heading: 0, speed: 0 } }), 40, fill)).not.toContain(
      'gripped in a lock',
    );
  });

  it('her rail on a wall under its coping as the chamber rises, or the wall flush', () => {
    const pressed = (lip: { out: number; thick: number } | undefined) =>
      inLock({
        boat: { ...sloop(), fenders: [] },
        locks: [{ ...lockAt(), lip }],
        weather: { ...CALM, windFrom: -Math.PI / 2, windSpeed: 15 },
      });
    const fill: Done = [[1, windTo(0, 1)]];
    expect(rules(pressed({ out: 0.05, thick: 1.6 }), 60, fill)).toContain('gripped in a lock');
    expect(rules(pressed(undefined), 60, fill)).not.toContain('gripped in a lock');
  });

  it('a line made fast in a falling lock, or kept on a turn', () => {
    const input = inLock({
      locks: [lockAt({}, 'upper')],
      start: { x: -1.2, y: -8, heading: Math.PI, speed: 0 },
      ...riggedWith([{ x: 0, y: 1.6 }]),
    });
    const pass: Order = {
      do: 'pass',
      line: 0,
      by: null,
      to: end('bollard', -3.4, -8, 3.2),
      how: 'drop',
      length: null,
    };
    const tend = (how: 'fast' | 'keep'): Order => ({
      do: 'tend',
      line: 0,
      by: null,
      how,
      length: null,
      turns: 0.5,
      winch: false,
    });
    const done = (how: 'fast' | 'keep'): Done => [
      [0.5, pass],
      [8, tend(how)],
      [16, windTo(2, 1), windTo(3, 1)],
    ];
    expect(rules(input, 120, done('fast'))).toContain('line fast in a lock');
    expect(rules(input, 120, done('keep'))).not.toContain('line fast in a lock');
  });
});
