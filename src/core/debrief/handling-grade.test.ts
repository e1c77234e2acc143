import { engine, recordingOf } from '../testing/driven';
import { stepOf, box, inputOf } from '../testing/manoeuvre';
import type { RunInput } from '../plan';
import { gradeHandling, faultsOf, handlingOf, reviewOf } from './';

const NEVER = { is: 'after', time: 600 } as const;
const open = (rest: Partial<RunInput> = {}) => inputOf([stepOf({ is: 'start' }, [])], NEVER, rest);

describe('care', () => {
  const care = (input: RunInput, seconds: number, done: Parameters<typeof recordingOf>[1]) => {
    const review = reviewOf(input, recordingOf(seconds, done));
    return { ...gradeHandling(review, faultsOf(review)), handling: handlingOf(review) };
  };

  it('never counts how long it took', () => {
    const done: Parameters<typeof recordingOf>[1] = [
      [1, engine(1)],
      [4, engine(0)],
    ];
    expect(care(open(), 10, done).grade).toBe('careful');
    expect(care(open(), 200, done)).toMatchObject({ grade: 'careful', because: [] });
  });

  it('is harmful where she struck hard, and says on what', () => {
    const struck = care(
      open({
        obstacles: [box('quay', -40, 17, 40, 22)],
        start: { x: 0, y: 0, heading: 0, speed: 1.5 },
      }),
      15,
      [],
    );
    expect(struck.grade).toBe('harmful');
    expect(struck.because[0]).toMatchObject({
      is: 'touch',
      touch: { name: 'quay', grade: 'hard' },
    });
  });

  it('reads speeds at lengths, gears, throttle and thruster off the record', () => {
    const goal: RunInput['goal'] = {
      is: 'lie',
      point: { name: 'midships', x: 0, y: 0 },
      mark: { name: 'mark', x: 0, y: 40 },
      within: 2,
      heading: 0,
      headingWithin: 0.4,
      speedBelow: 2,
    };
    const input = open({ goal, start: { x: 0, y: 0, heading: 0, speed: 1 } });
    const { handling } = care(input, 60, [
      [0, engine(1, 0.2)],
      [30, engine(0)],
      [40, engine(-1, 0.5)],
      [44, engine(0)],
    ]);
    const [three, two, one] = handling.speeds;
    expect(three!.time!).toBeLessThan(two!.time!);
    expect(two!.time!).toBeLessThan(one!.time!);
    expect(three!.speed!).toBeGreaterThan(0.8);
    expect(handling.gearShifts).toBe(2);
    expect(handling.throttleMost).toBe(0.5);
    expect(handling.neutral).toBeGreaterThan(25);
    expect(handling.neutral).toBeLessThan(28);
  });
});
