import { runPlan } from '@/core/plan';
import { check } from '@/document/result';
import { toRunInput } from '@/document/run-input';
import { demoFile } from '@/document/testing/demo';
import { fleetRecord } from '@/document/testing/fleet';
import { ownTechniqueSchema, type OwnTechnique } from '@/document';
import { isRefused, keepAsTechnique, propose, unfitOwn } from '@/planner';
import { templateOfOwn } from './own';
import { atFirst } from './template';

const slip = demoFile('quince-takes-a-slip');
const shipped = demoFile('tug-by-her-gears');
/** By orders to one engine and the other. */
const tug = { ...shipped, plan: shipped.tempting!.plan };

function kept(file = slip): OwnTechnique {
  const technique = keepAsTechnique(file, 'mine', 'Mine');
  if (!technique.ok) throw new Error(JSON.stringify(technique.problems));
  const checked = check<OwnTechnique>(
    ownTechniqueSchema,
    JSON.parse(JSON.stringify(technique.value)),
  );
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return checked.value;
}

const laid = (technique: OwnTechnique, file: typeof slip) => {
  const template = templateOfOwn(technique, file);
  if (!template.ok || isRefused(template.value)) throw new Error(JSON.stringify(template));
  return atFirst(template.value);
};

describe('a technique of one’s own', () => {
  it('laid where it was written plays as it did', () => {
    const input = toRunInput({ ...slip, plan: laid(kept(), slip) });
    expect(input.ok && runPlan(input.value).outcome).toBe('reached');
  });

  it('is turned with the berth, and mirrored on the other side, names and all', () => {
    const other = structuredClone(slip);
    other.goal = { ...slip.goal, point: 'port midship cleat' } as typeof slip.goal;
    const here = kept().plan.steps;
    const there = laid(kept(), other).steps;
    const base = slip.goal.is === 'lie' ? slip.goal.heading_deg : 0;
    const steered = (steps: typeof here) =>
      steps[0]!.orders.flatMap((o) => (o.do === 'steer' ? [o.heading_deg] : []))[0]!;
    expect((steered(here) - base + (steered(there) - base) + 720) % 360).toBeCloseTo(0, 6);
    const stop = there.find(({ id }) => id === 'stop')!.cue;
    expect(stop.is === 'any' && stop.of[0]).toMatchObject({ point: 'port midship cleat' });
  });

  it('goes to the mirrored engine, by her length, and to the new berth’s mark', () => {
    const other = structuredClone(tug);
    other.goal = {
      ...tug.goal,
      point: 'port midship cleat',
      mark: 'ropewalk ring',
    } as typeof tug.goal;
    other.boat = fleetRecord('brisling');
    const steps = laid(kept(tug), other).steps;
    const outer = (list: typeof steps) =>
      list
        .find(({ id }) => id === 'turn')!
        .orders.flatMap((o) => (o.do === 'engine' && o.engine ? [o.engine] : []))[0];
    expect(outer(tug.plan.steps)).toBe('port engine');
    expect(outer(steps)).toBe('starboard engine');
    const cue = steps.find(({ id }) => id === 'way-off')!.cue;
    const was = tug.plan.steps.find(({ id }) => id === 'way-off')!.cue;
    if (cue.is !== 'within' || was.is !== 'within') throw new Error('another cue');
    expect(cue.mark).toBe('ropewalk ring');
    expect(cue.distance_m / was.distance_m).toBeCloseTo(13.6 / 15.6, 1);
  });

  it('is refused where the goal is of another kind', () => {
    const off = demoFile('off-stilt-pontoon');
    expect(unfitOwn(kept(), off)).toEqual({
      why: 'written for another goal',
      for: 'lie',
      is: 'clear',
    });
    expect(unfitOwn(kept(), demoFile('nell-up-cobnut-lock'))).toMatchObject({ is: 'through' });
    const [refused] = propose(off, kept());
    expect(refused).toMatchObject({ value: { refused: { why: 'written for another goal' } } });
  });

  it('with fenders all round goes to a boat whose ends are nearer, which it is worked in with as well', () => {
    const worked = demoFile('crosswind-slip');
    const technique = kept(worked);
    const there = laid(technique, { ...slip, boat: tug.boat });
    const along = tug.boat.hull.deck.map(([x]) => x);
    for (const { x_m } of there.fenders) {
      expect(x_m).toBeGreaterThanOrEqual(Math.min(...along));
      expect(x_m).toBeLessThanOrEqual(Math.max(...along));
    }
    const order = there.steps[0]!.orders.find(({ do: does }) => does === 'workIn');
    expect(order).toMatchObject({ mark: slip.goal.is === 'lie' ? slip.goal.mark : '' });
  });
});
