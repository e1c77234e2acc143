import { runPlan } from '@/core/plan';
import { breakingLoads, planSchema, toRunInput, type PlanDocument } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { crewDoings } from '../plan/called-out';
import { lineLane } from '../plan/line-lane';
import { orderFrom, orderRow } from '../plan/orders';
import { scaleLinear } from 'd3-scale';
import { orderText as orderWords } from '../words/steps';
import { orderText, settlesText, withoutText } from '../words/holding';
import { readings, surprises } from '../words/run';
import { outcomeWords } from '../words/outcomes';
import { stepNaming, freshFender, freshName, withFender, withLine, withPerson } from './edits';
import { linesAt, peopleAt } from './line-at';
import { lieOf, stopsText } from './names';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;
const file = demoFile('sprung-off-the-pontoon');

function played(which = file) {
  const input = toRunInput(which);
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return runPlan(input.value);
}

const run = played();

describe('a line of the plan', () => {
  it('renamed is renamed in every order, cue and way out', () => {
    const to = { ...file.plan.lines[0]!, name: 'head spring' };
    const next = withLine(file.plan, 0, to);
    expect(next.ok && JSON.stringify(next.value)).not.toContain('"bow spring"');
    expect(next.ok && played({ ...file, plan: next.value }).outcome).toBe('reached');
  });

  it('is refused a name that is taken, or none, with the reason; the plan stays', () => {
    const taken = withLine(file.plan, 0, { ...file.plan.lines[0]!, name: 'bow line' });
    expect(taken.ok ? '' : taken.problems[0]!.message).toMatch(/used twice/);
    const none = withLine(file.plan, 0, { ...file.plan.lines[0]!, name: ' ' });
    expect(none.ok ? '' : none.problems[0]!.message).toMatch(/name/);
  });

  it('in use is found by the step that names it, the end included', () => {
    expect(stepNaming(file.plan, 'line', 'stern line')).toBe(1);
    expect(stepNaming(file.plan, 'line', 'bow spring')).toBe(3);
    expect(stepNaming(file.plan, 'line', 'other')).toBeNull();
    const only: PlanDocument = { ...file.plan, steps: [file.plan.steps[1]!] };
    expect(stepNaming(only, 'line', 'bow spring')).toBe(2);
  });

  it('taken out is gone, and a fresh name is one nobody has', () => {
    const less = withLine(file.plan, 2, null);
    expect(less.ok && less.value.lines.map(({ name }) => name)).toEqual([
      'bow spring',
      'stern line',
    ]);
    expect(freshName(file.plan.lines, 'bow line')).toBe('bow line 2');
    expect(freshName([], 'bow line')).toBe('bow line');
  });

  it('somebody renamed keeps what they were told to do', () => {
    const crewed = demoFile('spring-on-before-she-blows-off').plan;
    const next = withPerson(crewed, 1, { ...crewed.crew[1]!, name: 'Ola' });
    expect(next.ok && stepNaming(next.value, 'by', 'Ola')).toBe(stepNaming(crewed, 'by', 'Tomas'));
    expect(next.ok && stepNaming(next.value, 'by', 'Tomas')).toBeNull();
  });
});

describe('a fender hung for the manoeuvre', () => {
  it('has a name and a size of its own, can be changed, and taken in', () => {
    const fresh = freshFender({ ...file.plan, fenders: [] }, file.boat.hull.length_m);
    expect(fresh).toMatchObject({ name: 'roving fender', diameter_m: 0.3 });
    const hung = withFender(file.plan, file.plan.fenders.length, fresh);
    expect(hung.ok && hung.value.fenders).toHaveLength(5);
    const less = withFender(file.plan, 0, null);
    expect(less.ok && less.value.fenders).toHaveLength(3);
    const thin = withFender(file.plan, 0, { ...file.plan.fenders[0]!, diameter_m: 0.001 });
    expect(thin.ok ? '' : thin.problems[0]!.message).toMatch(/0\.05 to 5 m/);
    const most = Array.from({ length: 8 }, (_, i) => ({ ...fresh, name: `${i}` }));
    const many = withFender({ ...file.plan, fenders: most }, 8, fresh);
    expect(many.ok ? '' : many.problems[0]!.message).toMatch(/at most eight/);
  });
});

describe('how a line lies', () => {
  const from = (cleat: string, end: string) => lieOf(file, file.boat, file.place, cleat, end);

  it('is named and said what it stops by its lead', () => {
    expect(from('port bow cleat', 'cleat 7')).toMatchObject({
      name: 'bow spring',
      stops: ['ahead'],
    });
    expect(from('port bow cleat', 'cleat 9')!.name).toBe('bow line');
    expect(from('port quarter cleat', 'cleat 6')!.name).toBe('stern line');
    expect(stopsText(from('port quarter cleat', 'cleat 8')!.stops)).toBe('stops going astern');
    expect(from('port midship cleat', 'nowhere')).toBeNull();
  });
});

describe('lines of a run', () => {
  it('are told as they are at any moment, with their load and where they lead', () => {
    const at = (time: number) => linesAt(run, file.plan.lines, time);
    expect(at(0.5).map(({ name, state }) => `${name} ${state}`)).toEqual([
      'bow spring fast',
      'stern line fast',
      'bow line fast',
    ]);
    const trailing = at(5).find(({ name }) => name === 'stern line')!;
    expect(trailing).toMatchObject({ state: 'trailing', end: null });
    expect(at(20)).toHaveLength(1);
    expect(at(20)[0]!.end).not.toBeNull();
  });

  it('have a lane that reads their load, and hands that say what was done', () => {
    const x = scaleLinear([0, run.duration], [100, 900]);
    const lane = lineLane(run, x, file.plan.lines, breakingLoads(file.plan.lines, file), UNITS);
    expect(lane.rows).toHaveLength(3);
    expect(lane.path.match(/M/g)).toHaveLength(3);
    expect(lane.read(run.margins.line!.time)).toMatch(/N$/);
    expect(lane.read(run.duration)).toBe('none on');
    const said = crewDoings(run, file.plan)
      .map(({ text }) => text)
      .join('; ');
    expect(said).toContain('stern line let go, bow line let go');
    expect(said).toContain('bow spring aboard');
  });

  it('are read out against what parts them', () => {
    const line = readings(run, file.plan, UNITS).at(-1)!;
    expect(line.meaning).toBe('of what parts the bow spring');
    expect(line.figure).toMatch(/^\d+ %$/);
  });

  it('in the propeller are said to be, with which and what to do', () => {
    const fouled = demoFile('bow-out-by-a-stern-spring');
    const wrong = { ...fouled, plan: fouled.tempting!.plan };
    const [head, why] = outcomeWords(played(wrong), wrong, UNITS);
    expect(head).toBe('Line in the propeller');
    expect(why).toContain('stern spring');
    expect(surprises(played(wrong), wrong, UNITS).at(-1)!.text).toMatch(/propeller/);
  });

  it('people are where they went', () => {
    const crewed = demoFile('spring-on-before-she-blows-off');
    const people = peopleAt(played(crewed), crewed.plan.crew, 200);
    expect(people.map(({ name, aboard }) => [name, aboard])).toEqual([
      ['Ines', true],
      ['Tomas', true],
      ['Wharfinger', false],
    ]);
  });
});

describe('orders to hands', () => {
  const orders = planSchema.parse({
    steps: [
      {
        id: 'b',
        cue: { is: 'start' },
        orders: [
          { do: 'pass', line: 'spring', to: 'cleat 3', how: 'throw', by: 'Ada', length_m: 4.5 },
          { do: 'tend', line: 'spring', how: 'haul', winch: true },
          { do: 'tend', line: 'spring', how: 'turn', turns: 2 },
          { do: 'tend', line: 'spring', how: 'ease', length_m: 1 },
          { do: 'tend', line: 'spring', how: 'hold' },
          { do: 'tend', line: 'spring', how: 'fast' },
          { do: 'letGo', line: 'spring', by: 'Ada' },
          { do: 'stepAshore', by: 'Ada', mark: 'cleat 3' },
          { do: 'stepAboard', by: 'Ada', point: 'stern' },
          { do: 'go', by: 'Ada', point: 'bow' },
        ],
      },
    ],
    end: { cue: { is: 'stopped' } },
  }).steps[0]!.orders;

  it('come back from their fields as they went in', () => {
    expect(orders.map((order) => orderFrom(orderRow(order, UNITS), UNITS))).toEqual(orders);
  });

  it('are said as they would be called', () => {
    expect(orders.map((order) => orderWords(order, UNITS))).toEqual([
      'Ada: throw the spring to cleat 3, fast at 4.5 m',
      'winch the spring in',
      'hold the spring on 2 turns',
      'ease the spring by 1 m',
      'hold the spring in the hand',
      'make the spring fast',
      'Ada: let go the spring',
      'Ada: step ashore, to cleat 3',
      'Ada: step aboard at the stern',
      'Ada: go to the bow',
    ]);
  });
});

describe('what holds the boat, in words', () => {
  const settled = { ahead: 0, starboard: 0, turned: 0, moving: 0 };
  const off = (line: string, metres: number) => ({
    line,
    off: metres,
    heaviest: 'spring',
    tension: 900,
    breaks: 9000,
  });

  it('says where the boat settles, and that it still moves', () => {
    expect(settlesText(settled, UNITS)).toBe('The boat settles where it lies.');
    expect(settlesText({ ...settled, starboard: 0.42, turned: -0.1 }, UNITS)).toBe(
      'The boat settles 0.4 m to starboard, bow 6° to port.',
    );
    expect(settlesText({ ...settled, ahead: -1, moving: 0.2 }, UNITS)).toMatch(/still moves/);
  });

  it('gives the order only where it matters, and what carries when one parts', () => {
    const order = ['stern line', 'bow line'];
    expect(orderText({ order, without: [off('bow line', 3), off('stern line', 0)] })).toBe(
      'Let go: stern line; the bow line last, as it holds the boat best against what pushes.',
    );
    expect(orderText({ order, without: [off('bow line', 0.1)] })).toMatch(/any order/);
    expect(orderText({ order: ['one'], without: [] })).toBeNull();
    expect(withoutText(off('bow line', 3), UNITS)).toContain('10 % of what parts it');
    expect(withoutText({ ...off('bow line', 3), heaviest: null }, UNITS)).toMatch(/nothing else/);
    expect(withoutText({ ...off('bow line', 0), heaviest: null }, UNITS)).toMatch(/stays/);
  });
});
