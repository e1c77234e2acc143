import { manoeuvreSchema, check, toRunInput, toFile, type Manoeuvre } from '@/document';
import { demoFile, demoJson } from '@/document/testing/demo';
import { otherRenamed, otherUsed } from './other-edits';

const manoeuvre = (id: string): Manoeuvre => {
  const checked = check<Manoeuvre>(manoeuvreSchema, demoJson('manoeuvres', id));
  if (!checked.ok) throw new Error('the demo cannot be read');
  return checked.value;
};

describe('another boat called otherwise', () => {
  const raft = manoeuvre('rafted-up-to-wicket');
  const { boat, place } = demoFile('rafted-up-to-wicket');

  it('is called so by lines, cues and goal, and all still plays', () => {
    const renamed = otherRenamed(raft, 0, 'Bramble');
    if (!renamed.ok) throw new Error(renamed.problems[0]!.message);
    const { others, plan, goal } = renamed.value;
    expect(others[0]).toMatchObject({ id: 'wicket', name: 'Bramble' });
    expect(goal).toMatchObject({ mark: 'Bramble: starboard midship cleat' });
    expect(plan.lines.filter(({ of }) => of === 'Bramble')).toHaveLength(4);
    expect(JSON.stringify([plan.lines.map(({ of }) => of), plan.steps])).not.toContain('Wicket:');
    expect(toRunInput(toFile({ ...raft, others, plan, goal }, boat, place)).ok).toBe(true);
  });

  it('is called so by orders to the boat and cues that wait for its too', () => {
    const shares = manoeuvre('pebble-shares-withen-lock');
    const steps = shares.plan.steps.map((step, i) =>
      i === 1 ? { ...step, cue: { is: 'stopped' as const, boat: 'Wicket' } } : step,
    );
    const renamed = otherRenamed({ ...shares, plan: { ...shares.plan, steps } }, 0, 'Bramble');
    if (!renamed.ok) throw new Error(renamed.problems[0]!.message);
    const { others, plan, goal } = renamed.value;
    expect(plan.steps[1]!.cue).toEqual({ is: 'stopped', boat: 'Bramble' });
    const lock = demoFile('pebble-shares-withen-lock');
    const file = toFile({ ...shares, others, plan, goal }, lock.boat, lock.place);
    expect(toRunInput(file).ok).toBe(true);
    const bare = { ...shares, plan: { ...shares.plan, lines: [] } };
    expect(otherUsed(bare, 0)).toMatch(/^Step \d+$/);
  });

  it('is refused a name that is taken or empty, and nothing is changed', () => {
    const two = [...raft.others, { ...raft.others[0]!, id: 'two', name: 'Two' }];
    const taken = otherRenamed({ ...raft, others: two }, 1, 'Wicket');
    expect(taken.ok).toBe(false);
    expect(otherRenamed(raft, 0, '  ').ok).toBe(false);
  });

  it('is told by what names the boat, first of all by a line', () => {
    expect(otherUsed(raft, 0)).toMatch(/Wicket's bow line|bow line/);
    const bare = { ...raft, plan: { ...raft.plan, lines: [] } };
    expect(otherUsed(bare, 0)).toBe('Step 2');
    const steps = raft.plan.steps.slice(0, 1);
    const end = { cue: { is: 'stopped' as const }, within_s: 60 };
    const still = { ...bare, plan: { ...bare.plan, steps, end } };
    expect(otherUsed(still, 0)).toBe('The end');
    const open = { ...still, goal: { is: 'clear' as const, distance_m: 1 } };
    expect(otherUsed(open, 0)).toBe('What the boat lies against');
    expect(otherUsed({ ...open, berth: [] }, 0)).toBeNull();
  });
});
