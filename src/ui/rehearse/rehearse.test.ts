import type { DriveNow } from '@/core/drive';
import { demoFile } from '@/document/testing/demo';
import { callsBetween } from './calls';
import {
  leverAt,
  MOST_NOTCHES,
  notched,
  notchesOf,
  ordersBetween,
  type HelmAt,
} from './helm-orders';
import { actionWords, DEFAULT_KEYS, engineAt, HELM_ACTIONS, thrusterAt } from './keys';
import { useHelmPreferences } from './preferences';
import { anySurprises, possibleSurprises, surprisesOf } from './chosen-surprises';

const quince = demoFile('off-stilt-pontoon');
const ottoline = demoFile('stern-to-before-supper');
const brisling = demoFile('off-the-wall');
const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;

describe('levers', () => {
  it('go by notches: idle is the first, full the last, and neutral lies between', () => {
    for (let n = -MOST_NOTCHES; n <= MOST_NOTCHES; n++) expect(notchesOf(leverAt(n))).toBe(n);
    expect(leverAt(1)).toEqual({ gear: 'ahead', throttle: 0 });
    expect(leverAt(-MOST_NOTCHES)).toEqual({ gear: 'astern', throttle: 1 });
    expect(notched(leverAt(1), -1)).toEqual({ gear: 'neutral', throttle: 0 });
    expect(notched(leverAt(MOST_NOTCHES), 1)).toEqual(leverAt(MOST_NOTCHES));
  });
});

describe('orders of the helm', () => {
  const helm: HelmAt = {
    wheel: 0,
    levers: [leverAt(0), leverAt(0)],
    thrusters: [0],
    stick: { ahead: 0, sideways: 0, twist: 0 },
  };

  it('are those of the controls that were moved, by their names', () => {
    const { boat } = ottoline;
    expect(ordersBetween(helm, { ...helm, stick: { ...helm.stick } }, boat)).toEqual([]);
    const moved = { ...helm, wheel: -12, levers: [leverAt(3), leverAt(0)], thrusters: [1] };
    expect(ordersBetween(helm, moved, boat)).toEqual([
      { do: 'wheel', after_s: 0, angle_deg: -12 },
      { do: 'engine', after_s: 0, engine: boat.drives[0]!.name, gear: 'ahead', throttle: 0.2 },
      { do: 'thruster', after_s: 0, thruster: boat.thrusters[0]!.name, power: 1 },
    ]);
  });

  it('name no engine where there is only one', () => {
    const one = { ...helm, levers: [leverAt(0)], thrusters: [] };
    const [order] = ordersBetween(one, { ...one, levers: [leverAt(-1)] }, quince.boat);
    expect(order).toEqual({ do: 'engine', after_s: 0, gear: 'astern', throttle: 0 });
  });
});

describe('keys', () => {
  it('are each given once, and only for what the boat has', () => {
    expect(new Set(Object.values(DEFAULT_KEYS)).size).toBe(HELM_ACTIONS.length);
    expect(actionWords('bowPort', quince.boat)).toBeNull();
    expect(actionWords('stickAhead', quince.boat)).toBeNull();
    expect(actionWords('firstUp', quince.boat)).toBeNull();
    expect(actionWords('bowPort', brisling.boat)).toContain(brisling.boat.thrusters[0]!.name);
    expect(engineAt(brisling.boat, 'port')).not.toBe(engineAt(brisling.boat, 'starboard'));
    expect(thrusterAt(brisling.boat, 'stern')).toBeGreaterThanOrEqual(0);
  });

  it('change places when one is given to something else', () => {
    const { setKey, resetKeys } = useHelmPreferences.getState();
    setKey('neutral', 'm');
    const { keys } = useHelmPreferences.getState();
    expect(keys.neutral).toBe('m');
    expect(keys.amidships).toBe('n');
    resetKeys();
    expect(useHelmPreferences.getState().keys).toEqual(DEFAULT_KEYS);
  });
});

describe('surprises', () => {
  it('are those that can befall this boat, the same for the same number', () => {
    expect(possibleSurprises(quince, null)).not.toContain('joystickFails');
    expect(possibleSurprises(quince, null)).not.toContain('lineMissed');
    expect(possibleSurprises(ottoline, null)).toContain('lineMissed');
    for (let seed = 1; seed < 60; seed++) {
      const chosen = anySurprises(seed, 80, ottoline, null);
      expect(chosen).toEqual(anySurprises(seed, 80, ottoline, null));
      expect(chosen.length).toBeLessThanOrEqual(2);
      for (const { at_s } of chosen) {
        expect(at_s).toBeGreaterThanOrEqual(8);
        expect(at_s).toBeLessThanOrEqual(64);
      }
    }
    const kinds = new Set(
      Array.from({ length: 80 }, (_, seed) => anySurprises(seed, 80, ottoline, null)).flatMap(
        (all) => all.map(({ is }) => is),
      ),
    );
    expect(kinds).toEqual(new Set(possibleSurprises(ottoline, null)));
    expect(surprisesOf(['veer'], 3, 60, quince, null)).toHaveLength(1);
  });
});

describe('calls', () => {
  const now = (part: Partial<DriveNow>): DriveNow =>
    ({ time: 5, events: [], touches: [], astern: null, berth: null, ...part }) as DriveNow;
  const called = (before: Partial<DriveNow>, after: Partial<DriveNow>) =>
    callsBetween(now(before), now(after), ottoline.plan, UNITS).map(({ text }) => text);
  const off = (distance: number) => ({ berth: { distance, name: 'quay' } });

  it('count a distance down, once for each, and never up', () => {
    expect(called(off(5.2), off(4.9))).toEqual(['5.0 m off']);
    expect(called(off(4.9), off(4.6))).toEqual([]);
    expect(called(off(3.2), off(1.9))).toEqual(['2.0 m off']);
    expect(called(off(1.9), off(3.2))).toEqual([]);
    expect(called(off(0.6), off(0.4))).toEqual(['half a metre']);
  });

  it('say what lies astern as the gear goes there', () => {
    expect(called({}, { astern: { room: 10, name: null } })).toEqual(['clear astern']);
    expect(called({}, { astern: { room: 2, name: 'Thimble' } })).toEqual([
      '2.0 m astern to Thimble',
    ]);
  });

  it('tell of lines, and are silent of what stands as it begins', () => {
    const line = { time: 5, is: 'line', line: 0, what: 'missed', x: 0, y: 0 } as const;
    expect(called({}, { events: [line] })).toEqual([`the ${ottoline.plan.lines[0]!.name} missed`]);
    expect(callsBetween(null, now({ events: [line] }), ottoline.plan, UNITS)).toEqual([]);
  });
});
