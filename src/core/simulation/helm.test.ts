import { fleetCraft } from '@/document/testing/fleet';
import { wrapHalfTurn } from '../math';
import { runPlan } from '../plan';
import { stepOf, engineIn, inputOf, mirrored, wheelTo } from '../testing/manoeuvre';
import { OpenWater } from '../trials';
import { steerFor, steerHeading, U } from './';

const DEG = Math.PI / 180;

describe('a helm told to steer', () => {
  it.each(['quince', 'dunlin-hatch', 'flotsam', 'brisling', 'tamarack-nell', 'wicket', 'marram'])(
    'brings %s to a heading and keeps her there, ahead',
    (id) => {
      const water = OpenWater.of(fleetCraft(id));
      steerHeading(water.state, 70 * DEG);
      water.engine(1, 0.1);
      water.run(90);
      let most = 0;
      water.until(() => {
        most = Math.max(most, Math.abs(wrapHalfTurn(water.heading - 70 * DEG)));
        return false;
      }, 30);
      expect(most).toBeLessThan(4 * DEG);
    },
  );

  it('turns the short way round', () => {
    const water = OpenWater.of(fleetCraft('quince'), { speed: 1.2 });
    steerHeading(water.state, 300 * DEG);
    water.engine(1, 0);
    water.run(5);
    expect(water.heading).toBeLessThan(0);
  });

  it.each(['flotsam', 'ottoline', 'quince'])(
    '%s is steered astern with the wheel reversed',
    (id) => {
      const water = OpenWater.of(fleetCraft(id), { speed: -1 });
      steerHeading(water.state, -15 * DEG);
      water.engine(-1, 0.1);
      water.run(40);
      expect(water.state.motion[U]!).toBeLessThan(-0.3);
      expect(Math.abs(water.heading + 15 * DEG)).toBeLessThan(6 * DEG);
    },
  );

  it('steers for a point and comes to it', () => {
    const water = OpenWater.of(fleetCraft('lantern'), {
      weather: { windFrom: Math.PI / 2, windSpeed: 6 },
    });
    steerFor(water.state, 30, 80);
    // Two rudders no race reaches: with less way on the wind has her first.
    water.engine(1, 0.3);
    let least = Infinity;
    water.until(() => {
      least = Math.min(least, Math.hypot(water.x - 30, water.y - 80));
      return false;
    }, 120);
    expect(least).toBeLessThan(3);
  });

  it.each(['quince', 'ottoline', 'brisling'])('%s is backed to a point stern first', (id) => {
    const water = OpenWater.of(fleetCraft(id));
    steerFor(water.state, 12, -60, true);
    water.engine(-1, 0.25);
    let least = Infinity;
    water.until(() => {
      least = Math.min(least, Math.hypot(water.x - 12, water.y + 60));
      return false;
    }, 120);
    expect(least).toBeLessThan(5);
  });
});

describe('steering in a plan', () => {
  const steer = { after: 0, order: { do: 'steer', heading: 40 * DEG } } as const;
  const input = inputOf(
    [
      stepOf({ is: 'start' }, [steer, engineIn(1, 0.2)]),
      stepOf({ is: 'after', time: 40 }, [wheelTo(-30)]),
    ],
    { is: 'after', time: 20 },
    { start: { x: 0, y: 0, heading: 0, speed: 1 } },
  );

  it('holds until the wheel is ordered', () => {
    const { trace, steps } = runPlan(input);
    const at = trace.time.findIndex((t) => t >= steps[1]!.time);
    expect(Math.abs(trace.heading[at]! - 40 * DEG)).toBeLessThan(2 * DEG);
    expect(trace.heading.at(-1)!).toBeLessThan(0);
  });

  it('is mirrored in the mirror', () => {
    const here = runPlan(input).trace;
    const there = runPlan(mirrored(input)).trace;
    expect(there.heading.at(-1)!).toBeCloseTo(-here.heading.at(-1)!, 6);
    expect(there.x.at(-1)!).toBeCloseTo(-here.x.at(-1)!, 6);
  });
});
