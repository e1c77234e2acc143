import { FAULT_RULES, type Change, type Fault } from '@/core/debrief';
import { demoFile } from '@/document/testing/demo';
import { changeText } from './changes';
import { FAULT_WORDS, faultEvidence } from './faults';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;
const { boat, plan } = demoFile('stern-to-before-supper');

it('every rule has its name, why it matters and what to try', () => {
  expect(FAULT_RULES.map(({ id }) => id).toSorted()).toEqual(Object.keys(FAULT_WORDS).toSorted());
  for (const { name, why, tried } of Object.values(FAULT_WORDS)) {
    expect(name).not.toMatch(/[.!]$/);
    expect(why).toMatch(/\.$/);
    expect(tried).toMatch(/\.$/);
  }
});

it('evidence is told in the user’s own units', () => {
  const fault: Fault = {
    rule: 'too fast for the room',
    time: 3,
    until: 4,
    figures: { speed: 1.0288888, room: 4, needs: 6.25, what: 'Thimble' },
  };
  expect(faultEvidence(fault, plan, UNITS)).toBe(
    '2.0 kn with 4.0 m to Thimble; the boat stops in 6.3 m',
  );
  expect(faultEvidence(fault, plan, { ...UNITS, speed: 'm/s', length: 'ft' })).toContain(
    '1.03 m/s',
  );
});

it('a change is one sentence with its moment', () => {
  const about = { boat, plan };
  const neutral = {
    timestep: 123,
    order: { do: 'engine', engine: null, gear: 0, throttle: 0 },
  } as const;
  const moved: Change = {
    is: 'moved',
    channel: { of: 'engine', engine: null },
    input: neutral,
    late: 3.14,
  };
  expect(changeText(moved, about)).toBe('neutral came 3.1 s later, at 0:12');
  const other: Change = {
    is: 'other',
    channel: { of: 'wheel' },
    input: { timestep: 20, order: { do: 'wheel', angle: -0.349 } },
    reference: { timestep: 20, order: { do: 'wheel', angle: 0.1745 } },
  };
  expect(changeText(other, about)).toBe('wheel 20° port at 0:02, not wheel 10° starboard');
  expect(changeText({ is: 'wind' }, about)).toBe('the wind was another');
});
