import { toRunInput } from '@/document';
import { demoFile, SOME_DEMOS } from '@/document/testing/demo';
import { Ledger } from '../simulation';
import { energyAudit, runPlan, type RunInput } from './';

function inputOf(id: string): RunInput {
  const input = toRunInput(demoFile(id));
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return input.value;
}

const joulesOf = (input: RunInput, cause: string) =>
  energyAudit(input).work.find((w) => w.cause === cause)!.joules;

describe('the books of energy', () => {
  it.each(SOME_DEMOS)('close over %s', (id) => {
    const input = inputOf(id);
    const { missing, turnover } = energyAudit(input);
    expect(turnover).toBeGreaterThan(10);
    // Over an uneven bottom the boat's added mass changes as it goes, which no force does.
    expect(Math.abs(missing) / turnover).toBeLessThan(input.weather.bottom ? 0.03 : 2e-4);
  });

  it('change nothing of the run they are kept of', () => {
    const input = inputOf('sprung-off-the-pontoon');
    const { trace } = runPlan(input);
    expect(runPlan(input, null, new Ledger()).trace).toEqual(trace);
  });

  it('show hull and wind taking what the propeller gives, and lines and fenders only taking', () => {
    const input = inputOf('spring-on-before-she-blows-off');
    expect(joulesOf(input, 'hull')).toBeLessThan(0);
    expect(joulesOf(input, 'lines')).toBeLessThan(0);
    expect(joulesOf(input, 'touches')).toBeLessThanOrEqual(0);
    expect(joulesOf(input, 'propellers')).toBeGreaterThan(0);
  });
});
