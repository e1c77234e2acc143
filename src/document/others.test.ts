import { runPlan } from '@/core/plan';
import {
  check,
  freshOther,
  lineEndsAtStart,
  manoeuvreFileSchema,
  marksAtStart,
  toRunInput,
  type ManoeuvreFile,
} from './';
import { refusalOf } from '@/planner/testing/asked';
import { demoFile } from './testing/demo';

const raft = demoFile('rafted-up-to-wicket');
const changed = (change: (file: ManoeuvreFile) => void): ManoeuvreFile => {
  const file = structuredClone(raft);
  change(file);
  return file;
};
const problemsOf = (file: ManoeuvreFile): string => {
  const checked = check(manoeuvreFileSchema, file);
  if (!checked.ok) return checked.problems.map((p) => `${p.path}: ${p.message}`).join('\n');
  const input = toRunInput(file);
  return input.ok ? '' : input.problems.map((p) => `${p.path}: ${p.message}`).join('\n');
};

describe('other boats of a file', () => {
  it('are run on their own lines, with the plan’s lines found where they lead from', () => {
    const input = toRunInput(raft);
    if (!input.ok) throw new Error(input.problems[0]!.message);
    const { lines, others, where } = input.value;
    expect(lines!.count).toBe(2);
    expect(others![0]!.lines.count).toBe(4);
    expect(where!.map(({ boat }) => boat)).toEqual(raft.plan.lines.map(({ of }) => (of ? 1 : 0)));
    expect(runPlan(input.value).outcome).toBe('reached');
  });

  it('have points that lines and cues can name, where they lie at the start', () => {
    const ends = lineEndsAtStart(raft).filter(({ name }) => name.startsWith('Wicket: '));
    const bow = ends.find(({ name }) => name === 'Wicket: bow')!;
    const stern = marksAtStart(raft).find(({ name }) => name === 'Wicket: stern')!;
    const { boat, start } = raft.others[0]!;
    expect(bow.height).toBe(boat.hull.freeboard_m);
    expect(Math.hypot(bow.x - stern.x, bow.y - stern.y)).toBeCloseTo(boat.hull.length_m, 1);
    const psi = Math.atan2(bow.x - stern.x, bow.y - stern.y);
    expect(((psi * 180) / Math.PI + 360) % 360).toBeCloseTo(start.heading_deg, 6);
  });

  it.each([
    [
      'inside something',
      (f: ManoeuvreFile) => (f.others[0]!.start.x_m += 6),
      /others\[0\]\.start: 'Wicket' starts .* inside 'long wall'/,
    ],
    [
      'inside her',
      (f: ManoeuvreFile) => {
        f.others[0]!.start.x_m = f.start.x_m + 1;
        f.others[0]!.start.y_m = f.start.y_m;
        f.plan.lines = f.plan.lines.filter(({ of }) => !of);
      },
      /others\[0\]\.start: 'Wicket' starts .* inside the boat/,
    ],
    [
      'named like a boat of the place',
      (f: ManoeuvreFile) => (f.others[0]!.name = 'oyster smack'),
      /others\[0\]\.name: 'oyster smack' is the name of something of the place/,
    ],
    ['twice', (f: ManoeuvreFile) => f.others.push(structuredClone(f.others[0]!)), /used twice/],
    [
      'whose line leads to herself',
      (f: ManoeuvreFile) => (f.plan.lines.find(({ of }) => of)!.fast!.to = 'Wicket: stern'),
      /would lead from 'Wicket' to itself/,
    ],
    [
      'that are not there',
      (f: ManoeuvreFile) => (f.plan.lines.find(({ of }) => of)!.of = 'Nobody'),
      /\.of: there is no other boat of that name: 'Nobody'; choose one of: Wicket/,
    ],
    [
      'whose line somebody of hers is told to see to',
      (f: ManoeuvreFile) => {
        f.plan.crew = [{ name: 'Ada', at: { aboard: 'bow' }, pull_N: 300, throws_m: 8 }];
        f.plan.steps[0]!.orders.push({
          do: 'letGo',
          after_s: 0,
          line: "Wicket's bow line",
          by: 'Ada',
        });
      },
      /\.by: 'Wicket's bow line' is of 'Wicket', whose own hands see to it/,
    ],
    [
      'whose cleat is not hers',
      (f: ManoeuvreFile) => (f.plan.lines.find(({ of }) => of)!.from = 'moon'),
      /'Wicket' has no point of that name: 'moon'/,
    ],
  ])('%s are refused with the field and the remedy', (_, change, message) => {
    expect(problemsOf(changed((f) => void change(f)))).toMatch(message);
  });

  it('are named afresh where the name is taken', () => {
    const { boat, start } = raft.others[0]!;
    const second = freshOther(boat, start, raft.others);
    expect(second).toMatchObject({ id: 'wicket-2', name: 'Wicket 2' });
  });

  it('decide which figures there are: rafting up with one, not without', () => {
    const unfit = refusalOf;
    expect(unfit(raft, 'raft-up')).toBeNull();
    expect(unfit(demoFile('alongside-wind-off'), 'raft-up')).toEqual({
      why: 'against no other boat',
    });
    expect(unfit(demoFile('out-from-inside-wicket'), 'out-of-a-raft')).toBeNull();
    expect(unfit(demoFile('off-the-wall'), 'out-of-a-raft')).toMatchObject({
      why: 'no boat outside',
    });
    expect(unfit(demoFile('a-buoy-against-the-stream'), 'pick-up-a-buoy')).toBeNull();
    expect(unfit(demoFile('stern-to-on-her-own-anchor'), 'stern-to-on-anchor')).toBeNull();
    expect(unfit(demoFile('stern-to-before-supper'), 'stern-to-on-anchor')).toMatchObject({
      why: 'ground lines in the way',
    });
  });
});

describe('anchors of a file', () => {
  const moored = demoFile('stern-to-on-her-own-anchor');

  it('are dropped and weighed, not passed or let go; a line is not an anchor', () => {
    const order = (line: string, what: 'letGo' | 'anchor') => {
      const file = structuredClone(moored);
      file.plan.steps[0]!.orders.push(
        what === 'letGo'
          ? { do: 'letGo', after_s: 0, line }
          : { do: 'anchor', after_s: 0, line, how: 'drop' },
      );
      return problemsOf(file);
    };
    expect(order('bow anchor', 'letGo')).toMatch(/anchor at its end; drop or weigh it/);
    expect(order('windward stern line', 'anchor')).toMatch(/has no anchor/);
    expect(order('bow anchor', 'anchor')).toBe('');
  });

  it('may be down as it begins, on four times the depth unless told', () => {
    const file = structuredClone(moored);
    const { start } = file;
    file.place.features.push({
      kind: 'mark',
      id: 'here',
      name: 'where it lies',
      x_m: start.x_m + 10,
      y_m: start.y_m,
    });
    file.plan.lines[0]!.fast = { to: 'where it lies' };
    const input = toRunInput(file);
    if (!input.ok) throw new Error(input.problems[0]!.message);
    const { hull } = file.boat;
    const down = file.plan.lines[0]!.anchor!.depth_m + hull.freeboard_m;
    expect(input.value.lines!.rows[0]).toBeCloseTo(4 * down + 0.1, 6);
    file.plan.lines[0]!.fast = { to: 'where it lies', length_m: 3 };
    expect(problemsOf(file)).toMatch(/give it more length/);
  });
});
