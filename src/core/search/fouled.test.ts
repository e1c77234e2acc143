import { runPlan } from '../plan';
import { stepOf, box, engineIn, inputOf } from '../testing/manoeuvre';
import { riggedWith } from '../testing/rigging';
import { Surroundings } from './rollout';
import { wayOutAt } from './way-out';

/** On at a walking pace towards a quay the boat can just stop off, a line slack from its quarter to a pile beside it. */
function towards(length: number) {
  return inputOf(
    [stepOf({ is: 'start' }, [engineIn(0, 0)])],
    { is: 'after', time: 1 },
    {
      obstacles: [
        box('quay', -40, 26, 40, 31),
        box('west pier', -8, -40, -5, 25.5),
        box('east pier', 5, -40, 8, 25.5),
      ],
      start: { x: 0, y: 0, heading: 0, speed: 1 },
      ...riggedWith([
        { x: -4, y: 1, fast: { x: 2.5, y: -3, length }, spec: { total: Math.max(20, length) } },
      ]),
    },
  );
}

function wayOut(length: number) {
  const input = towards(length);
  const about = new Surroundings(input);
  const states: ReturnType<Surroundings['copyOf']>[] = [];
  runPlan(input, (state) => {
    states.push(about.copyOf(state));
  });
  return wayOutAt(about, states[2]!);
}

describe('a way out that wants the engine', () => {
  it('stands open with a line that cannot get to the propeller, and not with its bight in reach of it', () => {
    expect(wayOut(2.6).grade).not.toBe('none');
    expect(wayOut(14)).toMatchObject({ grade: 'none', by: null });
  });
});
