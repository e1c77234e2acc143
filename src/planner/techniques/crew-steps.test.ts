import { runPlan } from '@/core/plan';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { toRunInput } from '@/document/run-input';
import { SWEEPING } from '@/core/testing/sweep';
import { demoFile } from '@/document/testing/demo';
import type { TechniqueId } from './index';
import { atFirst } from '../template';
import { proposed, refusalOf, templatesFor } from '../testing/asked';

const WAYS = ['ashore', 'aboard'] as const;
type Way = (typeof WAYS)[number];
const techniqueOf = (to: Way): TechniqueId => `crew-${to}`;

type Person = ManoeuvreFile['plan']['crew'][number];
const hand = (name: string, at: Person['at']): Person => ({ name, at, pull_N: 250, throws_m: 8 });
const ISA = hand('Isa', { aboard: 'helm' });

/** Pressed on to the pontoon, with somebody to step: from aboard, or from the cleat the boat is to lie at. */
function withCrew(to: Way, crew?: ManoeuvreFile['plan']['crew']): ManoeuvreFile {
  const file = structuredClone(demoFile('pressed-onto-the-pontoon'));
  const { goal, plan } = file;
  if (goal.is !== 'lie') throw new Error('she comes to lie there');
  const tove = to === 'ashore' ? { aboard: goal.point } : { ashore: goal.mark };
  plan.crew = crew ?? [ISA, hand('Tove', tove)];
  return file;
}

const unfit = (file: ManoeuvreFile, to: Way) => refusalOf(file, techniqueOf(to));

describe.each(WAYS)('crew %s at a landing', (to) => {
  it('is for a manoeuvre that names who steps, and leaves somebody at the helm', () => {
    expect(unfit(withCrew(to), to)).toBeNull();
    expect(unfit(withCrew(to, []), to)).toMatchObject({ why: 'no crew named' });
    expect(unfit(withCrew(to, [ISA]), to)).toEqual({
      why: to === 'ashore' ? 'nobody to step ashore' : 'nobody to take up',
    });
  });

  it('is over once they are across, not before, and steps with no gear in', () => {
    const file = withCrew(to);
    const templates = templatesFor(file, techniqueOf(to));
    const plan = atFirst(templates[0]!);
    const last = plan.steps.at(-1)!;
    expect(last.orders[0]).toMatchObject({ do: 'engine', gear: 'neutral' });
    expect(
      last.orders.filter((order) => order.do === (to === 'ashore' ? 'stepAshore' : 'stepAboard')),
    ).toHaveLength(1);
    expect(plan.end.cue).toEqual({ is: 'all', of: [{ is: 'crew', who: 'Tove', where: to }] });
  });

  /** Fitted in the sweep; in every test stepping ashore is played with the numbers it was fitted to. */
  function fitted(file: ManoeuvreFile): ManoeuvreFile['plan'] {
    if (!SWEEPING) {
      const templates = templatesFor(file, techniqueOf(to));
      return templates[0]!.write({
        heading: 70.489,
        neutralAt: 32.748,
        turnAt: 22.096,
        burst: 0.517,
        off: 33.626,
        back: 0.118,
        wait: 25.777,
      });
    }
    return proposed(file, techniqueOf(to)).plan;
  }

  if (to === 'aboard' && !SWEEPING) return;
  it('fitted she lies close and still, and they step', () => {
    const file = withCrew(to);
    const input = toRunInput({ ...file, plan: fitted(file) });
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    const run = runPlan(input.value);
    expect(run.outcome).toBe('reached');
    const stepped = run.events.find((e) => e.is === 'crew' && e.what === to)!;
    expect(stepped.time).toBeLessThanOrEqual(run.duration);
    expect(run.events.some((e) => e.is === 'crew' && e.what === 'in danger')).toBe(false);
    const at = Math.min(run.trace.time.length - 1, Math.floor(10 * stepped.time));
    expect(run.trace.engines[0]!.gear[at]).toBe(0);
    expect(run.trace.groundSpeed[at]!).toBeLessThan(0.35);
  });
});

describe('crew taken up over the stern', () => {
  /** Ottoline, who is to lie with the boat's stern to the quay, in a light wind; somebody waits at the ring there. */
  function sternTo(): ManoeuvreFile {
    const file = structuredClone(demoFile('stern-to-before-supper'));
    const { goal, plan, conditions } = file;
    if (goal.is !== 'lie') throw new Error('she comes to lie there');
    plan.lines = [];
    plan.steps = plan.steps.slice(0, 1).map((step) => ({ ...step, orders: [] }));
    plan.end = { cue: { is: 'after', time_s: 5 }, within_s: 20 };
    plan.crew = [ISA, hand('Tove', { ashore: goal.mark })];
    conditions.wind.speed_mps = 2;
    return file;
  }

  it('is laid out astern where her stern is to lie to it, and refused for who cannot back there', () => {
    expect(unfit(sternTo(), 'aboard')).toBeNull();
    const bowIn = sternTo();
    if (bowIn.goal.is !== 'lie') throw new Error('she comes to lie there');
    bowIn.goal.heading_deg = (bowIn.goal.heading_deg + 180) % 360;
    expect(unfit(bowIn, 'aboard')).toEqual({ why: 'lies the other way round', bow: 'in' });
  });

  // A fit of half a minute; that it is laid out astern is looked at above.
  if (!SWEEPING) return;
  it('fitted she lies still with her stern within a step, in neutral, and they come aboard there', () => {
    const file = sternTo();
    const found = proposed(file, 'crew-aboard');
    expect(found.wayOut!.none).toBe(0);
    const input = toRunInput({ ...file, plan: found.plan });
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    const run = runPlan(input.value);
    expect(run.outcome).toBe('reached');
    const stepped = run.events.find((e) => e.is === 'crew' && e.what === 'aboard')!;
    const at = Math.min(run.trace.time.length - 1, Math.floor(10 * stepped.time));
    expect(run.trace.engines[0]!.gear[at]).toBe(0);
    expect(run.events.some((e) => e.is === 'crew' && e.what === 'in danger')).toBe(false);
    if (stepped.is !== 'crew') throw new Error('somebody stepped');
    // Over the stern: well abaft the boat's middle, on the centre line.
    expect(stepped.x).toBeLessThan(-0.35 * input.value.boat.hull.length);
    expect(Math.abs(stepped.y)).toBeLessThan(0.1);
  });
});
