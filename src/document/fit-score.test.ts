import { runTake } from '@/core/score';
import { fitScore, scoreNumbers, type Fitted } from './fit-score';
import { scoreSchema } from './score';
import { toRunInput } from './run-input';
import { demoFile } from './testing/demo';
import type { ManoeuvreFile } from './manoeuvre';

function fit(file: ManoeuvreFile): Fitted {
  let last: Fitted | null = null;
  for (const found of fitScore(file, 130)) {
    if (!found.ok) throw new Error(found.problems[0]!.message);
    last = found.value;
  }
  return last!;
}

function play(file: ManoeuvreFile) {
  const input = toRunInput(file);
  if (!input.ok) throw new Error(input.problems[0]!.message);
  return runTake(input.value);
}

describe('fitting a score', () => {
  const demo = demoFile('alongside-wind-off');

  it('takes numbers only: writing back what was read changes nothing', () => {
    const numbers = scoreNumbers(demo.score);
    expect(numbers.length).toBeGreaterThan(6);
    const same = numbers.reduce((score, n) => n.write(score, n.value), demo.score);
    expect(same).toEqual(demo.score);
    for (const n of numbers) {
      expect(n.value).toBeGreaterThanOrEqual(n.least);
      expect(n.value).toBeLessThanOrEqual(n.most);
      for (const end of [n.least, n.most])
        expect(scoreSchema.safeParse(n.write(demo.score, end)).success).toBe(true);
    }
  });

  it('makes one that fails in a stronger wind get there, gears and sides as they were', () => {
    const { wind } = demo.conditions;
    const harder: ManoeuvreFile = {
      ...demo,
      conditions: { ...demo.conditions, wind: { ...wind, speed_mps: 1.15 * wind.speed_mps } },
    };
    expect(play(harder).outcome).not.toBe('reached');
    const fitted = fit(harder);
    expect(fitted.now).toBeLessThan(fitted.before);
    expect(play({ ...harder, score: fitted.score }).outcome).toBe('reached');
    fitted.score.beats.forEach((beat, i) => {
      const was = demo.score.beats[i]!;
      expect(beat.cue.is).toBe(was.cue.is);
      expect(beat.orders.map((o) => o.do)).toEqual(was.orders.map((o) => o.do));
      beat.orders.forEach((o, k) => {
        const before = was.orders[k]!;
        if (o.do === 'wheel' && before.do === 'wheel')
          expect(Math.sign(o.angle_deg)).toBe(Math.sign(before.angle_deg));
        if (o.do === 'engine' && before.do === 'engine') expect(o.gear).toBe(before.gear);
      });
    });
    expect(scoreSchema.safeParse(fitted.score).success).toBe(true);
  }, 60000);

  it('refuses what cannot be played', () => {
    const lost = { ...demo, berth: ['nowhere'] };
    const [found] = [...fitScore(lost)];
    expect(found!.ok).toBe(false);
  });
});
