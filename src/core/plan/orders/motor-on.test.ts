import { assembleCraft } from '../../boat';
import { obstacleSetOf } from '../../holding';
import { runPlan, type Run, type RunInput } from '..';
import { sloop } from '../../testing/boats';
import { box } from '../../testing/boxes';
import { inputOf, mirrored, stepOf } from '../../testing/manoeuvre';
import { CALM } from '../../testing/rig';
import { riggedWith } from '../../testing/rigging';
import { drawOf, only, STANDARD_SPREAD, varied } from '../../uncertainty';
import type { Order } from './';

const START = { is: 'start' } as const;
const EAST = Math.PI / 2;
const obstacles = [box('quay', -40, 4, 40, 8)];
const CLEAT = { name: 'port midship cleat', x: 0, y: -1.7 };
const mark = { name: 'lamp', x: 0, y: 4.2 };
const motorOn: Order = {
  do: 'motorOn',
  line: 0,
  point: CLEAT,
  mark,
  within: 1.6,
  heading: EAST,
  headingWithin: 0.15,
};
const goal: RunInput['goal'] = {
  is: 'lie',
  point: CLEAT,
  mark,
  within: 2,
  heading: EAST,
  headingWithin: 0.2,
  speedBelow: 0.3,
};

/** Blown off a quay on the port side with a bow spring on, its bow a little way off and its stern further. */
function blownOff(wind: number, rest: Partial<RunInput> = {}, isOn = true): RunInput {
  const craft = assembleCraft(sloop());
  return inputOf(
    [stepOf(START, [{ after: 0, order: motorOn }])],
    { is: 'done' },
    {
      boat: craft.spec,
      craft,
      obstacles,
      shore: obstacleSetOf(obstacles),
      weather: { ...CALM, windFrom: 0, windSpeed: wind },
      start: { x: -1.5, y: 0.4, heading: EAST - 0.35, speed: 0 },
      goal,
      limit: 150,
      ...riggedWith([
        {
          x: 4.45,
          y: -0.6,
          ...(isOn ? { fast: { x: 0.8, y: 4.4, length: 4.2 } } : {}),
          spec: { total: 8, breaks: 3e4 },
        },
      ]),
      ...rest,
    },
  );
}

const ending = ({ trace }: Run) => {
  const last = trace.time.length - 1;
  return { off: 4 - trace.y[last]!, heading: trace.heading[last]! };
};

describe('motoring on a spring', () => {
  it.each([2, 4, 5])('brings a boat alongside that a wind of %d m/s blows off', (wind) => {
    const run = runPlan(blownOff(wind));
    expect(run.outcome).toBe('reached');
    expect(run.margins.touch?.grade).not.toBe('hard');
    expect(ending(run).off).toBeLessThan(3.2);
    // Left alone it is blown off as far as the spring lets it.
    const [step] = blownOff(wind).plan.steps;
    const plan = { steps: [{ ...step!, orders: [] }], end: { cue: START, within: 90 } };
    const alone = runPlan({
      ...blownOff(wind),
      plan: { ...plan, end: { cue: { is: 'after', time: 60 }, within: 90 } },
    });
    expect(alone.outcome).not.toBe('reached');
  });

  it('goes astern no more once the spring is taut, and gives more throttle only where it comes in no further', () => {
    const throttles = (wind: number) => {
      const { time, engines } = runPlan(blownOff(wind)).trace;
      const { gear, throttle } = engines[0]!;
      // It comes taut within the first quarter of a minute.
      expect(Array.from(gear).filter((now, i) => now < 0 && time[i]! > 15)).toEqual([]);
      return Math.max(...throttle);
    };
    expect(throttles(9)).toBeGreaterThan(throttles(2));
  });

  it('stays out of gear while the line is not on', () => {
    const run = runPlan(blownOff(2, {}, false));
    expect(run.outcome).not.toBe('reached');
    for (const { gear } of run.trace.engines) expect(Math.max(...gear.map(Math.abs))).toBe(0);
  });

  it('is the same mirrored', () => {
    const input = blownOff(4);
    const here = runPlan(input);
    const there = runPlan(mirrored(input));
    expect(there.outcome).toBe(here.outcome);
    expect(there.duration).toBeCloseTo(here.duration, 6);
    expect(ending(there).off).toBeCloseTo(ending(here).off, 4);
  });

  it('is done later by whoever is late, and otherwise by whoever sees otherwise', () => {
    const input = blownOff(4);
    const usual = runPlan(input).duration;
    const drawn = [0, 1, 2, 3].map((k) =>
      runPlan(varied(input, drawOf(only(STANDARD_SPREAD, ['judgement', 'lateness']), 3, k))),
    );
    expect(new Set(drawn.map(({ duration }) => duration)).size).toBeGreaterThan(2);
    expect(drawn.some(({ duration }) => Math.abs(duration - usual) > 0.5)).toBe(true);
  });
});
