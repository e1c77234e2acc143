import { step, endedAt, engine, planOf } from './template';

const plan = planOf(
  [
    step('go', 'go', { is: 'start' }, [engine('ahead', 0.2)], 'astern'),
    step('stop', 'stop', { is: 'after', time_s: 9 }, [engine('astern', 0.4)], 'astern harder', 30),
    step('wait', 'wait', { is: 'stopped' }, [engine('neutral')], 'lines on', 400),
  ],
  { is: 'after', time_s: 5 },
  60,
);

describe('a plan ended at one of its steps', () => {
  it('is over as that step would begin, and waits for it as long', () => {
    const short = endedAt(plan, 'wait');
    expect(short.steps.map(({ id }) => id)).toEqual(['go', 'stop']);
    expect(short.end).toEqual({ cue: { is: 'stopped' }, within_s: 400 });
    expect(plan.steps).toHaveLength(3);
  });

  it('stays whole where there is no such step, or nothing would be left of it', () => {
    expect(endedAt(plan, 'elsewhere')).toBe(plan);
    expect(endedAt(plan, 'go')).toBe(plan);
  });
});

describe('an engine order', () => {
  it('is rounded as a writer would, within what a lever can do, and idles in neutral', () => {
    expect(engine('ahead', 0.337)).toMatchObject({ throttle: 0.35 });
    expect(engine('astern', 1.4)).toMatchObject({ throttle: 1 });
    expect(engine('ahead', -0.2)).toMatchObject({ throttle: 0 });
    expect(engine('neutral', 0.5)).toMatchObject({ throttle: 0 });
    expect(engine('ahead', 0.1)).not.toHaveProperty('engine');
    expect(engine('ahead', 0.1, 2, 'port engine')).toMatchObject({
      engine: 'port engine',
      after_s: 2,
    });
  });
});
