import type { DriveNow } from '@/core/drive';
import { isDoneBy } from '@/core/plan';
import { demoFile } from '@/document/testing/demo';
import { callsBetween } from './calls';
import { isForCrew } from './for-crew';
import { actionWords, DEFAULT_KEYS, HELM_ACTIONS, paddleOf } from './keys';
import { useHelmPreferences } from './preferences';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;
const nell = demoFile('nell-up-cobnut-lock');
const shared = demoFile('pebble-shares-withen-lock');
const PADDLES = ['west ground paddle', 'east ground paddle', 'west gate paddle'];

describe('what the second seat does of a plan', () => {
  it('is all that is not the helm’s', () => {
    const orders = [...nell.plan.steps, ...shared.plan.steps].flatMap((step) => step.orders);
    const crew = new Set(orders.filter(isForCrew).map((order) => order.do));
    expect(crew).toEqual(
      new Set(['pass', 'tend', 'letGo', 'paddle', 'gates', 'signal', 'other', 'stepAboard']),
    );
    const helm = new Set(orders.filter((order) => !isForCrew(order)).map((order) => order.do));
    for (const one of helm) expect(['steerFor', 'steer', 'engine', 'call', 'wheel']).toContain(one);
  });

  it('hands are those who handle something; a sign is no hand’s', () => {
    expect(isDoneBy({ do: 'signal' }, 'crew')).toBe(false);
    expect(isForCrew({ do: 'signal', after_s: 0 })).toBe(true);
    expect(isDoneBy({ do: 'letGo' }, 'crew')).toBe(true);
    expect(isForCrew({ do: 'call', after_s: 0, text: 'two metres' })).toBe(false);
  });

  it('is not done by itself unless it is asked for', () => {
    expect(useHelmPreferences.getState().crewByPlan).toBe(false);
    useHelmPreferences.getState().setCrewByPlan(true);
    expect(useHelmPreferences.getState().crewByPlan).toBe(true);
    useHelmPreferences.getState().setCrewByPlan(false);
  });
});

describe('its keys', () => {
  it('no two actions have the same key', () => {
    const keys = HELM_ACTIONS.map((action) => DEFAULT_KEYS[action]);
    expect(new Set(keys).size).toBe(keys.length);
  });

  it('are there where a lock is worked, for the paddles it has, by their names', () => {
    expect(actionWords('sign', nell.boat)).toBeNull();
    expect(actionWords('sign', nell.boat, PADDLES)).toBe('the signal to wind');
    expect(actionWords('paddle1', nell.boat, PADDLES)).toContain('west ground paddle');
    expect(actionWords('paddle4', nell.boat, PADDLES)).toBeNull();
    expect(actionWords('paddlesDown', nell.boat, PADDLES)).toBe('all paddles down');
    expect(actionWords('upperGates', nell.boat)).toBeNull();
    // What the helm has is there with a lock or without.
    expect(actionWords('amidships', nell.boat)).toBe(actionWords('amidships', nell.boat, PADDLES));
  });

  it('wind the paddle of their number', () => {
    expect(paddleOf('paddle1')).toBe(0);
    expect(paddleOf('paddle4')).toBe(3);
    expect(paddleOf('paddlesDown')).toBe(-1);
    expect(paddleOf('wheelPort')).toBe(-1);
  });
});

describe('called out at a lock', () => {
  const now = (part: Partial<DriveNow>): DriveNow =>
    ({ time: 5, events: [], touches: [], astern: null, berth: null, ...part }) as DriveNow;
  const called = (event: DriveNow['events'][number]) =>
    callsBetween(now({}), now({ events: [event] }), nell.plan, UNITS);

  it('what is wound and swung, quietly', () => {
    const [call] = called({ time: 5, is: 'lock', lock: 0, what: 'paddle up', who: 1 });
    expect(call).toMatchObject({ text: 'a paddle is wound up', urgent: false });
  });

  it('what goes wrong, to be heard at once, with the time there is', () => {
    const [call] = called({
      time: 5,
      is: 'lock',
      lock: 0,
      what: 'over the cill',
      who: null,
      seconds: 42,
    });
    expect(call!.urgent).toBe(true);
    expect(call!.text).toContain('0:42 until the boat hangs');
    const line = { time: 5, is: 'line', line: 0, what: 'loads up', x: 0, y: 0 } as const;
    expect(called(line)[0]).toMatchObject({ text: 'the centre line loads up', urgent: true });
  });
});
