import { demoFile } from '@/document/testing/demo';
import { toRunInput } from '@/document';
import { Surroundings, unmooredOf } from '../search';
import { briefOf } from './brief';

const inputOf = (id: string) => {
  const input = toRunInput(demoFile(id));
  if (!input.ok) throw new Error(id);
  return input.value;
};

/** The brief as soon as its legs are known. */
function legsIn(id: string) {
  const input = inputOf(id);
  for (const { legs, able } of briefOf(input, true, [], false)) if (able) return legs;
  return [];
}

describe('a boat let go on its way', () => {
  // Lines that are fast as the plan begins are not what it hangs on metres off.
  it.each(['sprung-off-the-pontoon', 'bow-out-by-a-stern-spring', 'alone-off-the-pontoon'])(
    '%s: comes on to nothing faster than it can drift there',
    (id) => {
      const legs = legsIn(id);
      expect(legs.length).toBeGreaterThan(1);
      for (const { onto, letGo } of legs)
        if (onto) expect(onto.speed).toBeLessThan(2 * letGo.speed + 0.1);
    },
  );

  it('is moved in a lock by the water as it runs then, not as it stood at the start', () => {
    const onto = legsIn('nell-up-cobnut-lock').map((leg) => leg.onto);
    expect(onto.length).toBeGreaterThan(10);
    expect(onto.some((found) => found?.on === 'bottom')).toBe(false);
    // While it fills from above, what comes in sets the boat back on to the gates behind.
    expect(onto[6]!.name).toContain('lower gates');
    expect(onto[7]!.name).toContain('lower gates');
  });
});

it('water without the boat’s lines has none, and all the rest', () => {
  const input = inputOf('sprung-off-the-pontoon');
  const [moored, loose] = [new Surroundings(input), unmooredOf(input)];
  expect(moored.world.lines.count).toBe(3);
  expect(loose.world.lines.count).toBe(0);
  expect(loose.berth).toEqual(moored.berth);
});
