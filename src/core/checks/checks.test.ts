import { runPlan, type CrewOrder, type Person, type RunInput } from '../plan';
import { sloop } from '../testing/boats';
import { stepOf, box, engineIn, inputOf, wheelTo } from '../testing/manoeuvre';
import { aboard, ashore, hands, riggedWith } from '../testing/rigging';
import { checkPlan, NOT_THERE, RULE_NAMES } from './';

const START = { is: 'start' } as const;
const after = (time: number) => ({ is: 'after', time }) as const;

function rulesOf(input: RunInput, said: boolean[] = [true, true, true, true]): string[] {
  return checkPlan(input, runPlan(input), said).map(({ rule }) => rule);
}

describe('checks of a plan', () => {
  it('find nothing in a plan that is in order', () => {
    const input = inputOf(
      [
        stepOf(START, [wheelTo(15), engineIn(1, 0.2, 3)]),
        stepOf(after(12), [engineIn(0)]),
        stepOf(after(6), [wheelTo(0), engineIn(-1, 0.3, 3)]),
        stepOf({ is: 'speed', over: 'water', compare: 'below', speed: 0.1 }, [engineIn(0)]),
      ],
      after(3),
    );
    expect(rulesOf(input)).toEqual([]);
  });

  it('see the gear before the wheel, at once or a moment early', () => {
    const kick = (orders: ReturnType<typeof wheelTo>[]) =>
      rulesOf(inputOf([stepOf(START, orders)], after(6)));
    expect(kick([engineIn(1, 0.4), wheelTo(30)])).toContain('steering late');
    expect(kick([engineIn(1, 0.4), wheelTo(30, 1)])).toContain('steering late');
    expect(kick([wheelTo(30), engineIn(1, 0.4, 4)])).not.toContain('steering late');
  });

  it('see hands ordered where they are not, and a helm left alone', () => {
    // Both ends of it are aboard.
    const lines = [{ x: 4, y: 1, doubled: true, fast: { x: 6, y: 4, length: 6 } }];
    const told = (order: CrewOrder, crew: Person[], way = 0) => {
      const rig = riggedWith(lines, crew);
      const start = { x: 0, y: 0, heading: 0, speed: way };
      const input = inputOf([stepOf(START, [hands(order)])], after(60), { ...rig, start });
      return checkPlan(input, runPlan(input), [true]).map(
        ({ rule, figure, which }) => `${rule} ${figure} ${which}`,
      );
    };
    const fast = (by: number): CrewOrder => ({
      do: 'tend',
      line: 0,
      by,
      how: 'fast',
      length: null,
      turns: 1,
      winch: false,
    });
    expect(told(fast(0), [ashore('Bo', 6, 4)])).toEqual([`crew not there ${NOT_THERE.WALKS} Bo`]);
    expect(told(fast(0), [aboard('Ada', -3, 0)], 0.6)).toContain(
      `crew not there ${NOT_THERE.HELM} Ada`,
    );
    // Out of gear and still, nobody has to stand there.
    expect(told(fast(0), [aboard('Ada', -3, 0)])).toEqual([]);
    expect(told(fast(1), [aboard('Ada', -3, 0), aboard('Bo', 4, 1)])).toEqual([]);
    const far = { name: 'far', x: 60, y: 0, height: 0.5 };
    const none = inputOf(
      [
        stepOf(START, [
          hands({ do: 'pass', line: 0, by: null, to: far, how: 'drop', length: null }),
        ]),
      ],
      after(60),
      riggedWith([{ x: 4, y: 1 }]),
    );
    expect(checkPlan(none, runPlan(none), [true])[0]).toMatchObject({
      figure: NOT_THERE.LINE,
      which: 'line 1',
    });
  });

  it('see a turn into a berth begun while a neighbour still stands before it', () => {
    const goal = {
      is: 'lie' as const,
      point: { name: 'midships', x: 0, y: 0 },
      mark: { name: 'slip', x: 12, y: 18 },
      within: 50,
      heading: Math.PI / 2,
      headingWithin: 3,
      speedBelow: 9,
    };
    const turning = (north: number) =>
      rulesOf(
        inputOf([stepOf(START, [wheelTo(30), engineIn(1, 0, 3)])], after(6), {
          goal,
          berth: new Set(['finger']),
          obstacles: [box('finger', 6, 20, 16, 20.6), box('neighbour', 6, 4, 16, 14)],
          start: { x: 0, y: north, heading: 0, speed: 1 },
        }),
      );
    expect(turning(0)).toContain('turned before it opens');
    expect(turning(12)).not.toContain('turned before it opens');
  });

  it('see too short a pause in neutral, and none', () => {
    const { neutralPause } = sloop().drives[0]!;
    const reversed = (pause: number | null) =>
      rulesOf(
        inputOf(
          [
            stepOf(START, [
              engineIn(1, 0.1),
              ...(pause === null ? [] : [engineIn(0, 0, 3)]),
              engineIn(-1, 0.1, 3 + (pause ?? 0)),
            ]),
          ],
          after(9),
        ),
      );
    expect(reversed(null)).toContain('no pause in neutral');
    expect(reversed(0.5 * neutralPause)).toContain('no pause in neutral');
    expect(reversed(neutralPause + 0.1)).not.toContain('no pause in neutral');
  });

  it('see a gear put in against much way, and an engine left in gear in the berth', () => {
    const arriving = (speed: number, last: ReturnType<typeof engineIn>[]) =>
      inputOf(
        [
          stepOf(START, [engineIn(-1, 0.6)]),
          stepOf({ is: 'speed', over: 'ground', compare: 'below', speed: 0.1 }, last),
        ],
        after(1),
        {
          start: { x: 0, y: 0, heading: 0, speed },
          goal: {
            is: 'lie',
            point: { name: 'midships', x: 0, y: 0 },
            mark: { name: 'mark', x: 0, y: 0 },
            within: 50,
            heading: 0,
            headingWithin: 1,
            speedBelow: 1,
          },
        },
      );
    expect(rulesOf(arriving(1.6, [engineIn(0)]))).toContain('against her way');
    expect(rulesOf(arriving(0.6, [engineIn(0)]))).not.toContain('against her way');
    expect(rulesOf(arriving(0.6, []))).toContain('left in gear');
    expect(rulesOf(arriving(0.6, [engineIn(0)]))).not.toContain('left in gear');
  });

  it('see much throttle beside something, and a tight step without a way out', () => {
    const past = (throttle: number) =>
      inputOf([stepOf(START, [engineIn(1, throttle)])], after(9), {
        obstacles: [box('hulk', 2.9, -5, 6, 60)],
      });
    expect(rulesOf(past(0.8))).toContain('much throttle close in');
    expect(rulesOf(past(0.3))).not.toContain('much throttle close in');
    expect(rulesOf(past(0.3), [false])).toContain('no way out written');
    expect(rulesOf(past(0.3), [true])).not.toContain('no way out written');
    const far = inputOf([stepOf(START, [engineIn(1)])], after(5));
    expect(rulesOf(far, [false])).toEqual([]);
  });

  it('see a thruster held until it is nearly hot, and not one used in bursts', () => {
    const jet = {
      name: 'bow thruster',
      x: 4,
      thrust: 600,
      jetSpeed: 5,
      control: 'on-off' as const,
      response: 0.2,
      reverseDelay: 1,
      heatTime: 20,
      coolTime: 300,
    };
    const push = (seconds: number) =>
      rulesOf(
        inputOf(
          [
            stepOf(START, [
              { after: 0, order: { do: 'thruster', thruster: 0, power: 1 } },
              { after: seconds, order: { do: 'thruster', thruster: 0, power: 0 } },
            ]),
          ],
          after(25),
          { boat: { ...sloop(), thrusters: [jet] } },
        ),
      );
    expect(push(18)).toContain('thruster long on');
    expect(push(6)).not.toContain('thruster long on');
  });

  it('see two steps that come at once, and say where each finding belongs', () => {
    const input = inputOf(
      [stepOf(START, [engineIn(1)]), stepOf(after(0.1), [wheelTo(10)])],
      after(5),
    );
    const findings = checkPlan(input, runPlan(input), [true, true]);
    const at = findings.find(({ rule }) => rule === 'steps at once')!;
    expect(at).toMatchObject({ step: 1, which: null });
    expect(at.figure).toBeCloseTo(0.1, 6);
    findings.forEach(({ rule }) => expect(RULE_NAMES).toContain(rule));
  });

  it('see an order that never comes because the next step, or the end, is there before', () => {
    const late = (seconds: number) => {
      const input = inputOf(
        [
          stepOf(START, [engineIn(1, 0.2)]),
          stepOf(after(6), [engineIn(0), engineIn(1, 0.1, seconds)]),
        ],
        after(5),
      );
      return checkPlan(input, runPlan(input), [true, true]).filter(
        ({ rule }) => rule === 'order overtaken',
      );
    };
    expect(late(4.9)).toEqual([]);
    const [found] = late(7);
    expect(found).toMatchObject({ step: 1, figure: 7, which: null });
    expect(found!.limit).toBeCloseTo(5, 6);
    expect(found!.time).toBeCloseTo(11, 6);
  });
});
