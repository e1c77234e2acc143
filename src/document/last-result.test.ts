import { runPlan } from '@/core/plan';
import { check, lastResultOf, lastResultSchema, toRunInput } from '.';
import { demoFile } from './testing/demo';

const runOf = (id: string) => {
  const input = toRunInput(demoFile(id));
  if (!input.ok) throw new Error(id);
  return runPlan(input.value);
};

it('keeps of a run where it began and ended, where its steps began, and what was near', () => {
  const run = runOf('off-the-wall');
  const kept = lastResultOf(run, { held: 3, of: 4 });
  const { x, y } = run.trace;
  const { track } = kept;
  expect(track.length).toBeLessThanOrEqual(160);
  expect(track[0]![0]).toBeCloseTo(x[0]!, 2);
  expect(track[0]![1]).toBeCloseTo(y[0]!, 2);
  expect(track.at(-1)![0]).toBeCloseTo(x.at(-1)!, 2);
  expect(track.at(-1)![1]).toBeCloseTo(y.at(-1)!, 2);
  expect(kept.steps).toHaveLength(run.steps.length);
  expect(kept.clearance?.distance_m).toBeCloseTo(run.margins.clearance!.distance, 2);
  expect(kept.outcome).toBe(run.outcome);
  expect(check(lastResultSchema, JSON.parse(JSON.stringify(kept)))).toEqual({
    ok: true,
    value: kept,
  });
});

it('takes no more that hold than were tried, nor a track without end', () => {
  const kept = lastResultOf(runOf('off-the-wall'), null);
  const problems = (change: object) => {
    const checked = check(lastResultSchema, { ...kept, ...change });
    return checked.ok ? '' : checked.problems.map(({ path, message }) => `${path} ${message}`)[0];
  };
  expect(problems({})).toBe('');
  expect(problems({ tries: { held: 5, of: 4 } })).toMatch(/^tries no more can hold/);
  expect(problems({ track: Array(161).fill([0, 0, 0]) })).toMatch(/^track give at most 160/);
  expect(problems({ outcome: 'fine' })).toMatch(/^outcome /);
});
