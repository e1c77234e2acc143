import { runPlan, type RunInput } from '@/core/plan';
import { namedPoints } from '@/document/boat-spec';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { toRunInput } from '@/document/run-input';
import { demoFile } from '@/document/testing/demo';
import { byWorth, compareWays, turnedRound, type Comparison } from './compare';
import { compareTechniques } from '@/planner';
import type { Proposal } from './suggest';

const slip = demoFile('quince-takes-a-slip');

/** The plan as it stands, as if it had been fitted. */
function asWritten(file: ManoeuvreFile): Proposal {
  const input = toRunInput(file);
  if (!input.ok) throw new Error(input.problems[0]!.message);
  const run = runPlan(input.value as RunInput);
  return { plan: file.plan, run, wayOut: { looked: 4, none: 0 }, tries: 1, of: 1 };
}

describe('ways set side by side', () => {
  it('turns the goal round: the other side to, the hull where it was, and back again', () => {
    const goal = slip.goal;
    const round = turnedRound(goal, slip.boat)!;
    if (goal.is !== 'lie' || round.is !== 'lie') throw new Error('she is to lie somewhere');
    expect(round.heading_deg).toBe((goal.heading_deg + 180) % 360);
    expect(round.mark).toBe(goal.mark);
    const y = (name: string) => namedPoints(slip.boat).find((p) => p.name === name)!.y;
    expect(y(round.point)).toBeCloseTo(-y(goal.point), 6);
    expect(turnedRound(round, slip.boat)).toEqual(goal);
    expect(turnedRound({ is: 'clear', distance_m: 5 }, slip.boat)).toBeNull();
  });

  it('finds the wind each fails in and puts the better first, telling how far it is', () => {
    const weak: ManoeuvreFile = {
      ...slip,
      plan: { ...slip.plan, steps: slip.plan.steps.slice(0, 2) },
    };
    const ways = [
      { technique: 'never gets there', turned: true, file: weak },
      { technique: 'gets there', turned: false, file: slip },
    ] as const;
    const told: Comparison<string>[] = [...compareWays(ways, (file) => [asWritten(file)])];
    expect(
      told.map(({ through, now, of }) => [through.length, now?.technique ?? null, of]),
    ).toEqual([
      [0, 'never gets there', 2],
      [1, null, 2],
      [1, 'gets there', 2],
      [2, null, 2],
    ]);
    const last = told.at(-1)!.through;
    expect(last.map(({ technique }) => technique)).toEqual(['gets there', 'never gets there']);
    expect(last[0]!.limit!.holdsTo).toBeGreaterThanOrEqual(slip.conditions.wind.speed_mps);
    expect(last[1]!.limit).toEqual({ wind: null, holdsTo: 0, outcome: 'missed', touched: null });
    expect(byWorth(last[0]!, last[1]!)).toBeLessThan(0);
    expect(byWorth(last[1]!, last[0]!)).toBeGreaterThan(0);
  });

  it('takes in every technique that fits, both ways round', () => {
    // Only how it begins: fitted to the end it takes minutes.
    const first = compareTechniques(slip).next().value;
    if (!first?.ok) throw new Error('it can be compared');
    expect(first.value.of).toBeGreaterThanOrEqual(3);
    expect(first.value.now).toMatchObject({ turned: false });
  });
});
