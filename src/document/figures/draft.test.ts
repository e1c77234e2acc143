import { beat, endedAt, engine, scoreOf } from './draft';

const score = scoreOf(
  [
    beat('go', 'go', { is: 'start' }, [engine('ahead', 0.2)], 'astern'),
    beat('stop', 'stop', { is: 'after', seconds: 9 }, [engine('astern', 0.4)], 'astern harder', 30),
    beat('wait', 'wait', { is: 'stopped' }, [engine('neutral')], 'lines on', 400),
  ],
  { is: 'after', seconds: 5 },
  60,
);

describe('a score ended at one of its beats', () => {
  it('is over as that beat would begin, and waits for it as long', () => {
    const short = endedAt(score, 'wait');
    expect(short.beats.map(({ id }) => id)).toEqual(['go', 'stop']);
    expect(short.end).toEqual({ cue: { is: 'stopped' }, within_s: 400 });
    expect(score.beats).toHaveLength(3);
  });

  it('stays whole where there is no such beat, or nothing would be left of it', () => {
    expect(endedAt(score, 'elsewhere')).toBe(score);
    expect(endedAt(score, 'go')).toBe(score);
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
