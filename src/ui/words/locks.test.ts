import type { LockAhead, Through } from '@/core/brief';
import { lockAtRest, lockOutlook, orderLock, workLock, type LockState } from '@/core/locks';
import { lockAt, SMALL_BOAT } from '@/core/testing/locks';
import { toLock, usualLock } from '@/document';
import {
  gatesAdvice,
  setText,
  sharesText,
  sideText,
  stairText,
  throughText,
  waterText,
} from './lock-ahead';
import { taskText } from '../plan/orders';
import { lockEventText, lockNowText, lockTrouble, levelText, shareText } from './locks';

const METRES = { speed: 'kn', length: 'm', north: 'N' } as never;

const through = (part: Partial<Through>): Through => ({
  gates: 'one leaf',
  tries: 16,
  touched: 0,
  missed: 0,
  gap: 4.1,
  speed: 0.5,
  upwind: 0,
  ...part,
});

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;

describe('a lock in words', () => {
  it('paddles and gates as they are called for', () => {
    expect([0, 0.25, 0.5, 0.4, 1].map(shareText)).toEqual([
      'down',
      'a quarter up',
      'half up',
      '40 % up',
      'all the way up',
    ]);
    const base = { do: 'paddle', after_s: 0, lock: 'L', paddle: 'the near one' } as const;
    expect(taskText({ ...base, to: 0 }, UNITS)).toBe('wind the near one down');
    expect(taskText({ ...base, to: 0.5 }, UNITS)).toBe('wind the near one half up');
    const gates = { do: 'gates', after_s: 0, lock: 'L', end: 'lower' } as const;
    expect(taskText({ ...gates, leaf: 'both', to: 'open' }, UNITS)).toBe('open the lower gates');
    expect(taskText({ ...gates, leaf: 'left', to: 'shut' }, UNITS)).toBe(
      'shut the left leaf of the lower gates',
    );
  });

  it('how it stands: level, which way, gates', () => {
    const working = usualLock([
      [0, 0],
      [5, 0],
      [5, 20],
      [0, 20],
    ]);
    const state = lockAtRest(toLock(working), 'lower');
    expect(lockNowText(state, 0, METRES)).toBe('0.0 m, standing; gates above shut, below shut');
    state.gates.lower = 0.4;
    expect(lockNowText(state, -0.01, METRES)).toContain('falling 0.6 m a minute');
    expect(lockNowText(state, 0.01, METRES)).toContain('below 40 % open');
  });

  it('what is being made, with the time it takes; once it is level, whatever leaks', () => {
    const { lock } = lockAt({ leakLower: 0.01 });
    const level = (state: LockState) =>
      levelText(lockOutlook(lock, state, SMALL_BOAT).level, METRES);
    const filling = lockAtRest(lock, 'lower');
    orderLock(lock, filling, { do: 'wind', paddle: 0, to: 1 });
    for (let i = 0; i < 400; i++) workLock(lock, filling, 0.1);
    expect(level(filling)).toMatch(/^filling, \d\.\d m to go, \d+:\d\d$/);
    for (let i = 0; i < 6000; i++) workLock(lock, filling, 0.1);
    expect(filling.flowOut).toBeGreaterThan(0.02);
    expect(level(filling)).toBe('level with the water above');
    orderLock(lock, filling, { do: 'wind', paddle: 0, to: 0 });
    orderLock(lock, filling, { do: 'wind', paddle: 2, to: 1 });
    for (let i = 0; i < 2; i++) workLock(lock, filling, 0.1);
    expect(filling.chamber).toBeGreaterThan(1.99);
    expect(level(filling)).toMatch(/^emptying, 2\.0 m to go/);
    const full = { ...lockAtRest(lock, 'upper'), chamber: 1 };
    expect(level(full)).toBeNull();
  });

  it('what goes wrong says so, with the time that is left', () => {
    expect(lockTrouble('paddle up')).toBeNull();
    expect(lockTrouble('over the cill', 95)).toContain('1:35 until the boat hangs');
    expect(lockEventText('over the cill')).not.toContain('until');
    expect(lockTrouble('hangs sooner', 40)).toMatch(/more water runs.*0:40 until the boat hangs/);
    expect(lockTrouble('caught sooner', 40)).toMatch(
      /to the bridge.*0:40 until the boat is caught/,
    );
    expect(lockTrouble('no way across')).toContain('walk across');
    expect(lockTrouble('wedged', 12)).toContain('between the sides');
    expect(lockTrouble('caught on a gate')).toContain('on the gate');
    expect(lockTrouble('rises to a bridge', 70)).toMatch(
      /paddles down: 1:10 until the boat is caught$/,
    );
    expect(lockTrouble('free again')).toBeNull();
  });
});

const ahead = (part: Partial<LockAhead>) =>
  ({
    setForHer: true,
    readyIn: 0,
    readyBy: null,
    inside: false,
    way: 20,
    runs: 40,
    leaveAt: 0,
    end: 'lower',
    side: null,
    shares: [],
    from: null,
    under: null,
    ...part,
  }) as LockAhead;

describe('a lock ahead in words', () => {
  it('one leaf or both, by what trying shows', () => {
    const one = through({});
    const both = through({ gates: 'both leaves', gap: 8.2 });
    expect(gatesAdvice([one, both])).toContain('One leaf is enough');
    expect(gatesAdvice([through({ touched: 9 }), both])).toContain('Open both');
    const never = { touched: 16 };
    expect(gatesAdvice([through(never), { ...both, ...never }])).toContain('Neither');
    expect(gatesAdvice([through({ touched: 3 }), { ...both, touched: 3 }])).toContain('no better');
    expect(gatesAdvice([through({ gates: 'the gate' })])).toBeNull();
  });

  it('tries are counted, and a boat that cannot get in is told why to look', () => {
    expect(throughText(through({ touched: 2, upwind: 0.5 }), METRES)).toMatch(
      /by one leaf \(4\.1 m\): 2 of 16 tries touch firmly or hard, best at .* 0\.5 m up-wind/,
    );
    expect(throughText(through({ missed: 16 }), METRES)).toContain('depth, height and breadth');
  });

  it('set for the boat or against it, and when to leave', () => {
    expect(setText(ahead({}), [], METRES)).toContain('the lower gates open: 20.0 m to go');
    expect(setText(ahead({ readyIn: 18 }), [], METRES)).toContain('0:18 to open them');
    expect(setText(ahead({ setForHer: false, readyIn: 240, leaveAt: 200 }), [], METRES)).toMatch(
      /Set against the boat.*4:00 at least; leave after 3:20/,
    );
    expect(setText(ahead({ readyIn: 18, readyBy: 1 }), [], METRES)).toContain(
      'open them, 1 ashore',
    );
    expect(setText(ahead({ setForHer: false, readyIn: null }), [], METRES)).toContain(
      'never opened',
    );
    expect(setText(ahead({ inside: true, end: 'upper' }), [], METRES)).toContain(
      'by the upper gates',
    );
    expect(setText(ahead({ from: 1 }), ['this', 'the one below'], METRES)).toContain(
      'Entered out of the one below',
    );
    expect(sideText(ahead({ side: 'left' }))).toContain('to the left looking up-stream');
    expect(sideText(ahead({}))).toContain('too light');
  });

  it('who shares it: how the boat fits in, who is first and why, who waits for what', () => {
    const share = (how: object) =>
      sharesText(
        {
          name: 'Wicket',
          how: {
            beside: 1.43,
            lengthways: 8,
            first: 'other',
            because: 'nearer',
            wall: null,
            ...how,
          },
        } as Parameters<typeof sharesText>[0],
        { speed: 'kn', length: 'm', force: 'N' },
      ).join(' ');
    expect(share({})).toBe(
      'Wicket fits in beside the boat with 1.4 m over, fenders at the walls and between. Wicket goes in first: it is nearer to the gates, and nobody passes in the narrows. The boat waits outside until Wicket’s lines are on, then comes in to the other wall.',
    );
    expect(share({ first: 'she', because: 'heavier' })).toMatch(
      /The boat goes in first: it is the heavier.*Wicket waits outside until its lines are on/,
    );
    expect(share({ because: 'lies there', wall: 'left' })).toContain('lies in it already');
    expect(share({ beside: -0.4 })).toContain('ahead or astern of it with 8.0 m over');
    expect(share({ beside: -0.4, lengthways: -3 })).toMatch(/does not fit in.*waits for the next/);
    const there = { beside: 1, lengthways: 1, first: 'other', because: 'lies there' } as const;
    const shares = [{ name: 'Wicket', how: { ...there, wall: 'left' } }] as const;
    expect(sideText(ahead({ side: 'left', shares }))).toBe(
      'Lie to the right looking up-stream: Wicket lies to the other wall.',
    );
  });

  it('a staircase: which chamber is seen to first, and the order', () => {
    const names = ['Upper', 'Lower'];
    const meets = (level: number, overCill: number, overCoping: number) => ({
      level,
      overCill,
      overCoping,
    });
    const ready = meets(2, 1.4, -0.5);
    const stair = { going: 'up', upper: 0, lower: 1, now: ready, ready, first: null } as const;
    expect(stairText(stair, names, METRES).join(' ')).toMatch(
      /Lower is filled with the water of Upper\. Upper may stay as it is: they meet 1\.4 m over the cill.*In order: into Lower/,
    );
    const short = { ...stair, now: meets(1, -0.3, -1.5), first: 'fill' } as const;
    expect(stairText(short, names, METRES)[1]).toMatch(
      /0\.3 m short of the cill between them: fill Upper first, then they meet 1\.4 m over/,
    );
    const over = { ...stair, going: 'down', now: meets(3, 2, 0.5), first: 'empty' } as const;
    expect(stairText(over, names, METRES).join(' ')).toMatch(
      /0\.5 m over the lower one’s coping: empty Lower first.*In order: into Upper/,
    );
    const never = stairText({ ...short, first: 'never' }, names, METRES);
    expect(never.join(' ')).toContain('not enough for the boat');
    expect(never.join(' ')).not.toContain('In order');
  });

  it('what becomes of the run with more or less push', () => {
    const margins = { clearance: { distance: 0.42 }, touch: null, line: { tension: 310 } };
    const found = (times: number) =>
      waterText(
        { times, outcome: 'reached', margins } as never,
        {
          ...(METRES as object),
          force: 'N',
        } as never,
      );
    expect(found(0.5)).toBe(
      'half of what is computed: Done, 0.4 m clear, no touch, most in a line 310 N',
    );
    expect(found(1.5)).toMatch(/^half as much again: Done/);
  });
});
