import { runPlan } from '@/core/plan';
import { toRunInput } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { engineText, wheelText } from './helm';
import { cueText, orderText } from './steps';
import { gathered, whereWords } from './problems';
import { readings, surprises } from './run';
import { outcomeWords } from './outcomes';
import {
  boatSpeed,
  clock,
  compassPoint,
  distance,
  heading,
  lengthFrom,
  speedFrom,
  windSpeed,
} from './units';

const KN = { speed: 'kn', length: 'm', force: 'N' } as const;
const FEET = { speed: 'm/s', length: 'ft', force: 'lbf' } as const;

describe('figures', () => {
  it('show no more than they have, in the user’s units', () => {
    expect(boatSpeed(1, KN)).toBe('1.9 kn');
    expect(boatSpeed(1, FEET)).toBe('1.00 m/s');
    expect(boatSpeed(-0.01, KN)).toBe('0.0 kn');
    expect(boatSpeed(-0.1, KN)).toBe('-0.2 kn');
    expect(windSpeed(5.66, KN)).toBe('11 kn');
    expect(distance(2.44, KN)).toBe('2.4 m');
    expect(distance(2.44, FEET)).toBe('8.0 ft');
    expect(distance(30.48, FEET)).toBe('100 ft');
    expect(speedFrom(1, 'kn')).toBeCloseTo(0.514444, 9);
    expect(lengthFrom(1, 'ft')).toBeCloseTo(0.3048, 9);
  });

  it('write headings in three figures and never 360', () => {
    expect([0.1, -0.1, 6.2831, 8].map(heading)).toEqual(['006°', '354°', '000°', '098°']);
    expect([0, 44, 181, 359].map(compassPoint)).toEqual(['N', 'NE', 'S', 'N']);
  });

  it('do not round a moment up', () => {
    expect([0, 59.99, 60, 125.4].map(clock)).toEqual(['0:00', '0:59', '1:00', '2:05']);
  });
});

describe('steps in words', () => {
  it('say cues as a crew would', () => {
    expect(cueText({ is: 'abeam', point: 'mast', mark: 'pile 4' }, KN)).toBe(
      'mast abreast of pile 4',
    );
    expect(cueText({ is: 'turned', by_deg: -24 }, KN)).toBe('turned 24° to port');
    expect(
      cueText(
        {
          is: 'any',
          of: [
            { is: 'stopped' },
            { is: 'speed', over: 'ground', compare: 'below', speed_mps: 0.2 },
          ],
        },
        KN,
      ),
    ).toBe('stopped or below 0.4 kn over ground');
  });

  it('say orders as a helm would', () => {
    expect([0, -20, 35].map(wheelText)).toEqual([
      'wheel amidships',
      'wheel 20° port',
      'wheel 35° starboard',
    ]);
    expect(engineText('ahead', 0)).toBe('ahead idle');
    expect(engineText('neutral', 0.4)).toBe('neutral');
    expect(orderText({ do: 'engine', after_s: 1.5, gear: 'astern', throttle: 0.6 }, KN)).toBe(
      'astern 60 % after 1.5 s',
    );
  });
});

describe('a run in words', () => {
  const played = (change: (file: ReturnType<typeof demoFile>) => void = () => undefined) => {
    const file = structuredClone(demoFile('off-stilt-pontoon'));
    change(file);
    const input = toRunInput(file);
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    return { run: runPlan(input.value), file };
  };

  it('says what is missing in as many figures as it takes, and that a line is on', () => {
    const { run, file } = played();
    const missed = (goal: readonly object[]) =>
      outcomeWords({ ...run, outcome: 'missed', goal } as typeof run, file, KN).join(' ');
    const off = { what: 'clearance', found: 1.962, limit: 2, met: false };
    expect(missed([off])).toContain('1.96 m clear, 2.00 m asked for');
    expect(missed([{ ...off, found: 1.2 }])).toContain('1.2 m clear, 2.0 m asked for');
    const on = { what: 'lines', found: 1, limit: 0, met: false };
    expect(missed([on])).toContain('a line still on');
    expect(missed([{ ...on, found: 3 }])).toContain('3 lines still on');
  });

  it('says what was reached and how near it came', () => {
    const { run, file } = played();
    expect(outcomeWords(run, file, KN)[0]).toBe('Done');
    const [clearance, touch] = readings(run, { lines: [] }, KN);
    expect(clearance).toMatchObject({ meaning: 'clear of blue ketch', hurts: false });
    expect(clearance!.where).toMatch(/^bow, step 1, at 0:00$/);
    expect(touch).toMatchObject({ figure: '0', meaning: 'touches' });
    expect(surprises(run, file, KN)).toEqual([]);
  });

  it('never calls a hard touch a success, and names what failed', () => {
    const { run, file } = played((f) => {
      f.plan.steps[1]!.cue = { is: 'after', time_s: 1 };
      f.plan.steps[1]!.orders = f.plan.steps[1]!.orders.map((o) =>
        o.do === 'engine' ? { ...o, throttle: 0.3 } : o,
      );
    });
    expect(outcomeWords(run, file, KN)[0]).toBe('Hard touch');
    const readingsNow = readings(run, { lines: [] }, KN);
    expect(readingsNow[0]).toMatchObject({
      figure: '0.0 m',
      meaning: 'ran into blue ketch',
      hurts: true,
    });
    expect(readingsNow[1]!.meaning).toMatch(/^hard touch on blue ketch/);
    expect(surprises(run, file, KN)[0]!.text).toBe('step 2: did not stay 1.0 m clear');
  });

  it('says which cue never came', () => {
    const { run, file } = played((f) => {
      f.conditions.wind.speed_mps = 0;
    });
    expect(outcomeWords(run, file, KN)).toEqual(['Waiting still', 'the cue for step 2 never came']);
  });
});

describe('where a problem is', () => {
  it('is said as the plan on the screen is counted', () => {
    expect(whereWords('plan.steps[1].wayOut.orders[0].do')).toBe('step 2, way out, order 1');
    expect(whereWords('plan.steps[0].expect[2].mark')).toBe('step 1, expectation 3');
    expect(whereWords('plan.end.cue.of[1].point')).toBe('the end, cue, part 2');
    expect(whereWords('start')).toBe('start');
    expect(whereWords('conditions.wind.speed_mps')).toBe('conditions.wind.speed_mps');
  });

  it('stands with all others of the same kind', () => {
    const problem = (k: number, message: string) => ({
      path: `plan.steps[${k}].orders[0].do`,
      message,
    });
    expect(
      gathered([problem(0, 'no engine'), problem(0, 'no helm'), problem(4, 'no engine')]),
    ).toEqual([
      { message: 'no engine', where: 'step 1, order 1; step 5, order 1' },
      { message: 'no helm', where: 'step 1, order 1' },
    ]);
  });
});
