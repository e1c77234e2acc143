import { certificateOf, type Trial } from '@/core/reliability';
import { demoFile } from '@/document/testing/demo';
import { causeText, holdsReading } from './reliability';

const { plan } = demoFile('off-stilt-pontoon');
const tried = (count: number, rest: Partial<Trial> = {}): Trial[] =>
  Array.from({ length: count }, (_, run) => ({
    run,
    outcome: 'reached',
    seconds: 60,
    step: 1,
    clearance: null,
    touch: null,
    load: 0,
    poses: [],
    ...rest,
  }));
const THROUGH = { asTold: null, through: true };
const touch = { speed: 0.4, name: 'blue ketch', part: 'bow', x: 0, y: 0, heading: 0 };

it('tells the share with its interval, by how many tries, and what most of the others come to', () => {
  const certificate = certificateOf([
    ...tried(240),
    ...tried(40, { outcome: 'hard touch', touch, step: 2 }),
    ...tried(20, { outcome: 'missed', step: 3 }),
  ]);
  expect(holdsReading(certificate, THROUGH, plan)).toEqual({
    figure: '80 of 100',
    meaning: 'tries hold',
    where:
      'between 75 and 84 by 300 tries, with day, boat, start and crew varied; most that fail: a hard touch on blue ketch, bow, at step 3',
    hurts: true,
    time: null,
    grows: true,
  });
});

it('warns only of what the tries make sure of, and says while there are more to come', () => {
  const some = certificateOf([...tried(22), ...tried(2, { outcome: 'missed' })]);
  const few = holdsReading(some, { asTold: null, through: false }, plan);
  expect(few).toMatchObject({ figure: '92 of 100', hurts: false });
  expect(few.where).toContain('by 24 tries so far');
  // What is slow to play is told by fewer.
  expect(holdsReading(some, THROUGH, plan).where).toContain('by 24 tries, with');
  const all = holdsReading(certificateOf(tried(300)), THROUGH, plan);
  expect(all).toMatchObject({ figure: '100 of 100', hurts: false });
  expect(all.where).not.toContain('most that fail');
});

it('sets what is made otherwise against the manoeuvre as it is told', () => {
  const certificate = certificateOf([...tried(264), ...tried(36, { outcome: 'missed' })]);
  const asTold = certificateOf([...tried(291), ...tried(9, { outcome: 'missed' })]);
  expect(holdsReading(certificate, { asTold, through: true }, plan)).toMatchObject({
    figure: '88 of 100',
    meaning: 'tries hold, instead of 97',
  });
});

it('names the step whose cue is waited for in vain, or the end', () => {
  const cause = { outcome: 'cue never came', on: null, part: null, step: 0, share: 0.1 } as const;
  expect(causeText(cause, plan)).toBe('the cue for step 2 never comes');
  const last = { ...cause, step: plan.steps.length - 1 };
  expect(causeText(last, plan)).toBe('the cue for the end never comes');
});
