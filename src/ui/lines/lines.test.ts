import { runTake } from '@/core/score';
import { breakingLoads, scoreSchema, toRunInput, type ScoreDocument } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { handsOf } from '../score/said';
import { lineLane } from '../score/line-lane';
import { orderFrom, orderRow } from '../score/order-rows';
import { scaleLinear } from 'd3-scale';
import { orderText as orderWords } from '../words/beats';
import { orderText, settlesText, withoutText } from '../words/holding';
import { outcomeWords, readings, surprises } from '../words/take';
import { beatNaming, freshFender, freshName, withFender, withLine, withPerson } from './edits';
import { linesAt, peopleAt } from './line-at';
import { lieOf, stopsText } from './names';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;
const file = demoFile('sprung-off-the-pontoon');

function played(which = file) {
  const input = toRunInput(which);
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return runTake(input.value);
}

const take = played();

describe('a line of the score', () => {
  it('renamed is renamed in every order, cue and way out', () => {
    const to = { ...file.score.lines[0]!, name: 'head spring' };
    const next = withLine(file.score, 0, to);
    expect(next.ok && JSON.stringify(next.value)).not.toContain('"bow spring"');
    expect(next.ok && played({ ...file, score: next.value }).outcome).toBe('reached');
  });

  it('is refused a name that is taken, or none, with the reason; the score stays', () => {
    const taken = withLine(file.score, 0, { ...file.score.lines[0]!, name: 'bow line' });
    expect(taken.ok ? '' : taken.problems[0]!.message).toMatch(/used twice/);
    const none = withLine(file.score, 0, { ...file.score.lines[0]!, name: ' ' });
    expect(none.ok ? '' : none.problems[0]!.message).toMatch(/name/);
  });

  it('in use is found by the beat that names it, the end included', () => {
    expect(beatNaming(file.score, 'line', 'stern line')).toBe(1);
    expect(beatNaming(file.score, 'line', 'bow spring')).toBe(3);
    expect(beatNaming(file.score, 'line', 'other')).toBeNull();
    const only: ScoreDocument = { ...file.score, beats: [file.score.beats[1]!] };
    expect(beatNaming(only, 'line', 'bow spring')).toBe(2);
  });

  it('taken out is gone, and a fresh name is one nobody has', () => {
    const less = withLine(file.score, 2, null);
    expect(less.ok && less.value.lines.map(({ name }) => name)).toEqual([
      'bow spring',
      'stern line',
    ]);
    expect(freshName(file.score.lines, 'bow line')).toBe('bow line 2');
    expect(freshName([], 'bow line')).toBe('bow line');
  });

  it('somebody renamed keeps what they were told to do', () => {
    const crewed = demoFile('spring-on-before-she-blows-off').score;
    const next = withPerson(crewed, 1, { ...crewed.crew[1]!, name: 'Ola' });
    expect(next.ok && beatNaming(next.value, 'by', 'Ola')).toBe(beatNaming(crewed, 'by', 'Tomas'));
    expect(next.ok && beatNaming(next.value, 'by', 'Tomas')).toBeNull();
  });
});

describe('a fender hung for the manoeuvre', () => {
  it('has a name and a size of its own, can be changed, and taken in', () => {
    const fresh = freshFender({ ...file.score, fenders: [] }, file.boat.hull.length_m);
    expect(fresh).toMatchObject({ name: 'roving fender', diameter_m: 0.3 });
    const hung = withFender(file.score, file.score.fenders.length, fresh);
    expect(hung.ok && hung.value.fenders).toHaveLength(5);
    const less = withFender(file.score, 0, null);
    expect(less.ok && less.value.fenders).toHaveLength(3);
    const thin = withFender(file.score, 0, { ...file.score.fenders[0]!, diameter_m: 0.001 });
    expect(thin.ok ? '' : thin.problems[0]!.message).toMatch(/0\.05 to 5 m/);
    const most = Array.from({ length: 8 }, (_, i) => ({ ...fresh, name: `${i}` }));
    const many = withFender({ ...file.score, fenders: most }, 8, fresh);
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

describe('lines of a take', () => {
  it('are told as they are at any moment, with their load and where they lead', () => {
    const at = (time: number) => linesAt(take, file.score.lines, time);
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
    const x = scaleLinear([0, take.duration], [100, 900]);
    const lane = lineLane(take, x, file.score.lines, breakingLoads(file.score.lines, file), UNITS);
    expect(lane.rows).toHaveLength(3);
    expect(lane.path.match(/M/g)).toHaveLength(3);
    expect(lane.read(take.margins.line!.time)).toMatch(/N$/);
    expect(lane.read(take.duration)).toBe('none on');
    const said = handsOf(take, file.score)
      .map(({ text }) => text)
      .join('; ');
    expect(said).toContain('stern line let go, bow line let go');
    expect(said).toContain('bow spring aboard');
  });

  it('are read out against what parts them', () => {
    const line = readings(take, file.score, UNITS).at(-1)!;
    expect(line.meaning).toBe('of what parts the bow spring');
    expect(line.figure).toMatch(/^\d+ %$/);
  });

  it('in the propeller are said to be, with which and what to do', () => {
    const fouled = demoFile('bow-out-by-a-stern-spring');
    const wrong = { ...fouled, score: fouled.tempting!.score };
    const [head, why] = outcomeWords(played(wrong), wrong, UNITS);
    expect(head).toBe('Line in the propeller');
    expect(why).toContain('stern spring');
    expect(surprises(played(wrong), wrong, UNITS).at(-1)!.text).toMatch(/propeller/);
  });

  it('people are where they went', () => {
    const crewed = demoFile('spring-on-before-she-blows-off');
    const people = peopleAt(played(crewed), crewed.score.crew, 200);
    expect(people.map(({ name, aboard }) => [name, aboard])).toEqual([
      ['Ines', true],
      ['Tomas', true],
      ['Wharfinger', false],
    ]);
  });
});

describe('orders to hands', () => {
  const orders = scoreSchema.parse({
    beats: [
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
          { do: 'step', by: 'Ada', to: 'ashore', at: 'cleat 3' },
          { do: 'step', by: 'Ada', to: 'aboard', at: 'stern' },
          { do: 'go', by: 'Ada', at: 'bow' },
        ],
      },
    ],
    end: { cue: { is: 'stopped' } },
  }).beats[0]!.orders;

  it('come back from their fields as they went in', () => {
    expect(orders.map((order) => orderFrom(orderRow(order)))).toEqual(orders);
  });

  it('are said as they would be called', () => {
    expect(orders.map(orderWords)).toEqual([
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

describe('what holds her, in words', () => {
  const settled = { ahead: 0, starboard: 0, turned: 0, moving: 0 };
  const off = (line: string, metres: number) => ({
    line,
    off: metres,
    heaviest: 'spring',
    tension: 900,
    breaks: 9000,
  });

  it('says where she settles, and that she still moves', () => {
    expect(settlesText(settled, UNITS)).toBe('She settles where she lies.');
    expect(settlesText({ ...settled, starboard: 0.42, turned: -0.1 }, UNITS)).toBe(
      'She settles 0.4 m to starboard, bow 6° to port.',
    );
    expect(settlesText({ ...settled, ahead: -1, moving: 0.2 }, UNITS)).toMatch(/still moves/);
  });

  it('gives the order only where it matters, and what carries when one parts', () => {
    const order = ['stern line', 'bow line'];
    expect(orderText({ order, without: [off('bow line', 3), off('stern line', 0)] })).toBe(
      'Let go: stern line; the bow line last, as it holds her best against what pushes.',
    );
    expect(orderText({ order, without: [off('bow line', 0.1)] })).toMatch(/any order/);
    expect(orderText({ order: ['one'], without: [] })).toBeNull();
    expect(withoutText(off('bow line', 3), UNITS)).toContain('10 % of what parts it');
    expect(withoutText({ ...off('bow line', 3), heaviest: null }, UNITS)).toMatch(/nothing else/);
    expect(withoutText({ ...off('bow line', 0), heaviest: null }, UNITS)).toMatch(/stays/);
  });
});
