import { assembleCraft } from '../boat';
import { obstacleSetOf } from '../holding';
import { runPlan, runTillHard, type RunInput } from '../plan';
import { sloop } from '../testing/boats';
import { stepOf, box, engineIn, inputOf } from '../testing/manoeuvre';
import { timeToContactFrom } from './time-to-contact';
import { cost } from './cost';
import { roomAt } from './room';
import { Surroundings } from './rollout';
import { surveyed, waysOut } from './survey';

const START = { is: 'start' } as const;
const ahead = (rest: Partial<RunInput> = {}) =>
  inputOf([stepOf(START, [engineIn(1, 0)])], { is: 'after', time: 30 }, rest);

describe('room about her', () => {
  const craft = assembleCraft(sloop());
  const shore = obstacleSetOf([box('wall', 5, -50, 9, 50)]);
  const beam = sloop().hull.beam;

  it('is from her side to the wall, and negative inside it', () => {
    expect(roomAt(craft, shore, new Set(), 0, 0, 0).distance).toBeCloseTo(5 - beam / 2, 2);
    const inside = roomAt(craft, shore, new Set(), 4.5, 0, 0);
    expect(inside.distance).toBeLessThan(-0.5);
    expect(inside.obstacle).toBe(0);
  });

  it('is endless with nothing about, or with all of it left out', () => {
    expect(roomAt(craft, shore, new Set([0]), 0, 0, 0)).toEqual({
      distance: Infinity,
      obstacle: -1,
    });
  });

  it('is the same turned round with the wall on the other side', () => {
    const there = roomAt(craft, shore, new Set(), 0, 0, Math.PI).distance;
    expect(there).toBeCloseTo(roomAt(craft, shore, new Set(), 0, 0, 0).distance, 9);
  });
});

describe('what a run is worth', () => {
  it('lying against what is not her berth costs more than any room gains', () => {
    const half = sloop().hull.beam / 2;
    const along = (off: number) => {
      const input = ahead({ obstacles: [box('boat', half + off, -80, half + off + 4, 80)] });
      return cost(input, runPlan(input));
    };
    expect(along(0.02)).toBeGreaterThan(along(0.5) + 20);
    expect(along(0.5)).toBeGreaterThan(along(3));
  });

  it('nearer misses cost less, however far off', () => {
    const goal = (x: number): RunInput['goal'] => ({
      is: 'lie',
      point: { name: 'midships', x: 0, y: 0 },
      mark: { name: 'mark', x, y: 20 },
      within: 1,
      heading: 0,
      headingWithin: 0.2,
      speedBelow: 9,
    });
    const costAt = (x: number) => {
      const input = ahead({ goal: goal(x) });
      return cost(input, runPlan(input));
    };
    expect(costAt(60)).toBeGreaterThan(costAt(40));
    expect(costAt(40)).toBeGreaterThan(costAt(8));
  });
});

describe('a run for trying', () => {
  it('is the whole run while nothing is hit hard', () => {
    const input = ahead({ obstacles: [box('far', 60, 0, 70, 10)] });
    const whole = runPlan(input);
    const tried = runTillHard(input);
    expect(tried.duration).toBe(whole.duration);
    expect(tried.trace.x.at(-1)).toBe(whole.trace.x.at(-1));
    expect(tried.outcome).toBe(whole.outcome);
  });

  it('is over once something is', () => {
    const input = ahead({
      obstacles: [box('wall', -20, 20, 20, 24)],
      start: { x: 0, y: 0, heading: 0, speed: 1.5 },
    });
    const tried = runTillHard(input);
    expect(tried.outcome).toBe('hard touch');
    expect(tried.duration).toBeLessThan(runPlan(input).duration - 5);
  });
});

describe('ways out alone', () => {
  const input = ahead({
    obstacles: [box('wall', -20, 40, 20, 44)],
    start: { x: 0, y: 0, heading: 0, speed: 1.2 },
  });

  it('are those the survey finds at the same moments', () => {
    const found = waysOut(input);
    const survey = surveyed(input);
    expect(found.map(({ time }) => time)).toEqual(survey.map(({ time }) => time));
    found.forEach(({ grade }, i) => expect(grade).toBe(survey[i]!.wayOut.grade));
  });

  it('a helm that steers lets go of it when nobody does anything more', () => {
    const about = new Surroundings(input);
    const steered = about.stillAt(0, 0, 0, 0);
    Object.assign(steered.helm, { active: true, heading: 2, looksIn: 0 });
    steered.motion[3] = 1.5;
    const plain = about.stillAt(0, 0, 0, 0);
    plain.motion[3] = 1.5;
    expect(timeToContactFrom(about, steered, 'as they are')).toEqual(
      timeToContactFrom(about, plain, 'as they are'),
    );
    expect(steered.helm.active).toBe(true);
  });
});
