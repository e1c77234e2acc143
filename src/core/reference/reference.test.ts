import { drawOf, STANDARD_SPREAD, varied } from '../uncertainty';
import { toRunInput } from '@/document';
import { caseOf } from '@/planner/testing/cases';
import { referenceOutlook, referenceRun } from './';

/** Draws of a case the reference helm gets there in, of so many. */
function held(n: number, draws: number): number {
  const input = toRunInput(caseOf(n).file);
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  const about = referenceOutlook(input.value);
  const runs = Array.from({ length: draws }, (_, k) =>
    referenceRun(about, varied(input.value, drawOf(STANDARD_SPREAD, 1, k))),
  );
  return runs.filter(({ run }) => run.outcome === 'reached').length;
}

describe('the reference helm', () => {
  it('turns a boat short round in a basin whatever day and boat turn out to be', () => {
    expect(held(10, 6)).toBe(6);
  });

  it('comes out of a slip', () => {
    expect(held(12, 6)).toBeGreaterThanOrEqual(5);
  });

  it('looks every second or so, and tells what it did', () => {
    const input = toRunInput(caseOf(26).file);
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    const { run, looks } = referenceRun(referenceOutlook(input.value), input.value);
    expect(run.outcome).toBe('reached');
    expect(looks.length).toBeGreaterThan(run.duration / 2);
    expect(looks[0]!.time).toBeLessThan(0.1);
    for (const { wheel, cost } of looks) {
      expect([-1, 0, 1]).toContain(wheel);
      expect(cost).toBeGreaterThan(0);
    }
  });
});
