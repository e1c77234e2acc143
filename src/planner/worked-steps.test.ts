import { runPlan, type Run } from '@/core/plan';
import { demoFile } from '@/document/testing/demo';
import { toRunInput } from '@/document/run-input';
import { isRefused } from './refusals';
import { caseOf } from './testing/cases';
import { workedPlan, workedWays } from './worked';
import { toldIn } from './worked-steps';

const TRACE_S = 0.1;

/** A boat that goes north at 1 m/s for so long, then turns to starboard at 0.05 rad/s to a quarter, and goes on east, with so much way; gears of its engines and its rudder as it turns. */
function gone(north: number, east = 1, gears: readonly number[] = [1], rudder = 0.5): Run {
  const trace = {
    time: [],
    x: [],
    y: [],
    heading: [],
    surge: [],
    yawRate: [],
    rudder: [],
  } as Record<'time' | 'x' | 'y' | 'heading' | 'surge' | 'yawRate' | 'rudder', number[]>;
  const engines = gears.map(() => ({ gear: [] as number[] }));
  let [x, y, heading] = [0, 0, 0];
  for (let t = 0; t < north + 60; t += TRACE_S) {
    const rate = t > north && heading < Math.PI / 2 ? 0.05 : 0;
    const surge = t > north && rate === 0 ? east : 1;
    const angle = rate === 0 ? 0 : rudder;
    const now = { time: t, x, y, heading, surge, yawRate: rate, rudder: angle };
    engines.forEach(({ gear }, i) => gear.push(rate === 0 ? 0 : gears[i]!));
    for (const [name, figure] of Object.entries(now))
      trace[name as keyof typeof trace].push(figure);
    heading += rate * TRACE_S;
    x += Math.sin(heading) * TRACE_S;
    y += Math.cos(heading) * TRACE_S;
  }
  return { trace: { ...trace, engines } } as unknown as Run;
}
const mark = (name: string, x: number, y: number) => ({ name, x, y });

describe('how a worked run is told', () => {
  it('is ahead, a turn with the heading it goes to, and ahead again', () => {
    const steps = toldIn(gone(20), []);
    expect(steps.map(({ title }) => title)).toEqual(['ahead', 'turn to starboard', 'ahead']);
    expect(steps[1]!.says).toMatch(/^wheel to starboard, .*, to 090°$/);
    expect(steps[1]!.cue).toEqual({ is: 'any', of: [{ is: 'after', time_s: 20 }, { is: 'done' }] });
    expect(steps[2]!.cue).toEqual({
      is: 'any',
      of: [{ is: 'heading', heading_deg: 90 }, { is: 'done' }],
    });
  });

  it('says that engines drive against one another where they do, and that the way comes off at the end', () => {
    const turn = (...gears: number[]) => toldIn(gone(20, 1, gears), [])[1]!.says;
    expect(turn(1, -1)).toMatch(/^engines against one another, wheel to starboard, /);
    expect(turn(1, 1)).toMatch(/^wheel to starboard, /);
    // With engines opposed the wheel may stand the other way, or anywhere.
    const wheel = (rudder: number) => toldIn(gone(20, 1, [1, -1], rudder), [])[1]!;
    expect(wheel(-0.5)).toMatchObject({ title: 'turn to starboard' });
    expect(wheel(-0.5).says).toMatch(/^engines against one another, wheel to port, /);
    expect(wheel(0.02).says).toMatch(/^engines against one another, bursts /);
    const ends = (east: number) => toldIn(gone(20, east), []).at(-1)!.title;
    expect([1, 0.1, -0.1].map(ends)).toEqual(['ahead', 'way off', 'way off']);
  });

  it('goes by the nearest mark that comes abeam as a step begins, not by one passed before, further on or far off', () => {
    const seen = (...marks: ReturnType<typeof mark>[]) => toldIn(gone(20), marks)[1]!.cue;
    const abeam = (name: string) => ({
      is: 'any',
      of: [{ is: 'abeam', point: 'midships', mark: name }, { is: 'done' }],
    });
    expect(seen(mark('far', 30, 20.5), mark('near', -12, 19.4))).toEqual(abeam('near'));
    expect(seen(mark('far', 30, 20.5))).toEqual(abeam('far'));
    const seconds = { of: [{ is: 'after' }, { is: 'done' }] };
    expect(seen(mark('passed', 8, 10))).toMatchObject(seconds);
    expect(seen(mark('further on', 8, 25))).toMatchObject(seconds);
    expect(seen(mark('out of sight', 60, 20))).toMatchObject(seconds);
    // Abeam from the start on it shows nothing.
    expect(toldIn(gone(1.5), [mark('beside', 6, 1.5)])[1]!.cue).toMatchObject(seconds);
  });

  it.each([
    ['a slip', demoFile('crosswind-slip')],
    ['a gap', caseOf(4).file],
  ])('comes step by step in the run it was told from: %s', (_, file) => {
    const worked = workedPlan(file, workedWays(file)[0]![0]!);
    if (!worked.ok || isRefused(worked.value)) throw new Error('it can be laid out');
    const { plan } = worked.value;
    expect(plan.steps.length).toBeGreaterThan(2);
    const input = toRunInput({ ...file, plan });
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    const run = runPlan(input.value);
    const began = run.events.filter(({ is }) => is === 'step').map(({ time }) => time);
    expect(began.length).toBeGreaterThanOrEqual(plan.steps.length);
    for (const time of began.slice(0, plan.steps.length))
      expect(time).toBeLessThan(run.duration - 1);
  });
});
