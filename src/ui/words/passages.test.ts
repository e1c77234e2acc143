import { runPlan, type Run } from '@/core/plan';
import { toRunInput, type ManoeuvreFile } from '@/document';
import { eventText } from '@/document/event-text';
import { demoFile } from '@/document/testing/demo';
import { crewDoings } from '../plan/called-out';
import { givenText } from '../plan/orders';
import { readings, surprises } from './run';
import { outcomeWords } from './outcomes';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;

function play(id: string, tempting = false): { run: Run; file: ManoeuvreFile } {
  const shipped = demoFile(id);
  const file = tempting ? { ...shipped, plan: shipped.tempting!.plan } : shipped;
  const input = toRunInput(file);
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return { run: runPlan(input.value), file };
}

describe('how passages end, in words', () => {
  it('hung up on the cill: when, and what to do', () => {
    const { run, file } = play('nell-down-cobnut-lock', true);
    const [word, why] = outcomeWords(run, file, UNITS);
    expect(word).toBe('Hung up');
    expect(why).toMatch(/on the cill at \d+:\d\d: paddles down at once/);
    const told = surprises(run, file, UNITS).map(({ text }) => text);
    expect(
      told.some((text) => /over the cill as the chamber falls: \d+:\d\d until/.test(text)),
    ).toBe(true);
  });

  it('hung between the sides or on a gate: how, and that the level goes back', () => {
    const { run, file } = play('nell-down-cobnut-lock', true);
    const as = (what: 'hangs wedged' | 'caught on a gate') => {
      const events = [{ time: 75, is: 'lock' as const, lock: 0, what, who: null }];
      return outcomeWords({ ...run, events }, file, UNITS)[1];
    };
    expect(as('hangs wedged')).toMatch(
      /wedged between the sides at 1:15.*back to where the boat floated/,
    );
    expect(as('caught on a gate')).toMatch(/an end on the gate at 1:15/);
  });

  it('a line made fast: that the boat hung or it parted, and never to do it', () => {
    const { run, file } = play('quince-alone-down-withen-lock', true);
    const [word, why] = outcomeWords(run, file, UNITS);
    expect(word).toBe('Not safe');
    expect(why).toMatch(/centre line.*fast in a falling chamber.*never made fast/);
    expect(why).not.toContain('propeller');
  });

  it('a line left fast, though slack enough not to hang the boat: that it was, and never to do it', () => {
    const { run, file } = play('nell-down-cobnut-lock');
    const events = [
      { time: 70, is: 'line' as const, line: 0, what: 'fast too long' as const, x: 0, y: 0 },
    ];
    const unsafe = { ...run, outcome: 'unsafe' as const, events };
    expect(outcomeWords(unsafe, file, UNITS)[1]).toMatch(
      /^centre line was left at 1:10, fast in a falling chamber.*never made fast/,
    );
  });

  it('one that goes well says how clear the boat was, and of what', () => {
    const { run, file } = play('nell-down-cobnut-lock');
    const [word, why] = outcomeWords(run, file, UNITS);
    expect(word).toBe('Done');
    expect(why).toMatch(/^past the lower gates of Cobnut Lock, \d+\.\d m$/);
    const all = readings(run, file.plan, UNITS);
    expect(all.map(({ meaning }) => meaning)).toEqual(
      expect.arrayContaining(['water under the boat', 'room under footbridge over the tail']),
    );
    expect(surprises(run, file, UNITS)).toEqual([]);
  });

  it('one that stops half way says how much is left; one that floods a chamber what to do first', () => {
    const { run, file } = play('nell-up-cobnut-lock');
    const [past] = run.goal;
    const short: Run = {
      ...run,
      outcome: 'missed',
      goal: [{ ...past!, found: -12.3, met: false }],
    };
    expect(outcomeWords(short, file, UNITS)).toEqual([
      'Not there',
      '12.3 m of the boat’s way through still to go',
    ]);
    const flooded: Run = {
      ...run,
      outcome: 'unsafe',
      events: [{ time: 65, is: 'lock', lock: 1, what: 'over the coping', who: null }],
    };
    expect(outcomeWords(flooded, file, UNITS)[1]).toMatch(/ran over its coping at 1:05.*empty it/);
    expect(surprises(flooded, file, UNITS).map(({ text }) => text)).toEqual([
      'the chamber runs over its coping',
    ]);
  });
});

describe('what is done at a lock, in words', () => {
  const { run, file } = play('nell-up-cobnut-lock');

  it('every event and order has some, for screen, files and the command line', () => {
    for (const event of run.events) {
      expect(eventText(event, file.plan)).not.toMatch(/undefined|NaN/);
      if (event.is !== 'order') continue;
      expect(eventText(event, file.plan)).not.toBe('');
      expect(givenText(event.order, file)).not.toMatch(/undefined|NaN/);
    }
    const texts = run.events.map((event) => eventText(event, file.plan));
    expect(texts).toContain('signal');
    expect(texts).toContain('Wren: paddle: lock 1, paddle 1, to 40 %');
    expect(texts).toContain('Wren: gates: lock 1, lower, both, shut');
  });

  it('hands and lock stand in the hands’ lane in their order', () => {
    const said = crewDoings(run, file.plan);
    expect(said.some(({ text }) => text.includes('gates begin to shut'))).toBe(true);
    expect(said.some(({ text }) => text.includes('a paddle is wound up'))).toBe(true);
    const times = said.map(({ time }) => time);
    expect(times).toEqual([...times].sort((a, b) => a - b));
  });
});
