import { groundSpeed, namedColumns, R, U, V } from '../simulation';
import { runPlan, type Order, type RunInput, type Run } from '../plan';
import { stepOf, box, engineIn, inputOf, wheelTo } from '../testing/manoeuvre';
import { aboard, end, riggedWith } from '../testing/rigging';
import { jet } from '../testing/boats';
import { sloop } from '../testing/boats';
import { CALM } from '../testing/rig';
import { cutAt, Drive, DriveTeller, lookAhead, playRecording, type Surprise } from './';

const DEG = Math.PI / 180;
const START = { is: 'start' } as const;
const NEVER = { is: 'after', time: 600 } as const;

const wheel = (degrees: number): Order => ({ do: 'wheel', angle: degrees * DEG });
const engine = (gear: -1 | 0 | 1, throttle = 0): Order => ({
  do: 'engine',
  engine: null,
  gear,
  throttle,
});

/** A gusty day in a current between two walls, a line fast astern: everything in play. */
function busy(rest: Partial<RunInput> = {}): RunInput {
  return inputOf([stepOf(START, [])], NEVER, {
    obstacles: [box('quay', -30, 25, 30, 30), box('wall', 8, -40, 10, 20)],
    weather: {
      ...CALM,
      windFrom: 1,
      windSpeed: 7,
      currentSet: 2,
      currentSpeed: 0.4,
      gusts: { intensity: 0.25, timeScale: 8, seed: 5 },
    },
    ...riggedWith(
      [{ x: 4, y: -0.8, fast: { x: -3, y: 6, length: 3.2 } }],
      [aboard('Ada', -3.4, 0.4)],
    ),
    ...rest,
  });
}

/** Drives for so many steps, with something done at some of them. */
function driven(
  input: RunInput,
  steps: number,
  orders: Record<number, Order[]>,
  by: Surprise[] = [],
) {
  const drive = new Drive(input, by);
  for (let step = 0; step < steps; step++) {
    for (const order of orders[step] ?? []) drive.give(order);
    drive.stepOn();
  }
  return drive;
}

const HANDLED: Record<number, Order[]> = {
  3: [wheel(25), engine(1, 0.4)],
  40: [engine(0)],
  55: [engine(-1, 0.5), wheel(-30)],
  56: [{ do: 'tend', line: 0, by: 0, how: 'ease', length: 3, turns: 1.5, winch: false }],
  120: [engine(0), wheel(0)],
  150: [engine(1, 0.2)],
};

const columns = ({ trace }: Run) => namedColumns(trace);

describe('a driven run', () => {
  it('played again is the same to the last bit, though the live one was looked at and looked ahead from', () => {
    const input = busy();
    const drive = new Drive(input);
    const teller = new DriveTeller(drive, new Set());
    for (let step = 0; step < 300; step++) {
      for (const order of HANDLED[step] ?? []) drive.give(order);
      drive.stepOn();
      teller.now();
      if (step % 5 === 0) lookAhead(drive);
    }
    drive.close('done');
    const recording = drive.recording();
    const live = drive.finish().run;
    const again = playRecording(input, recording).run;
    expect(columns(again)).toEqual(columns(live));
    expect(again.touches).toEqual(live.touches);
    expect(again.events).toEqual(live.events);
    expect(again.outcome).toBe(live.outcome);
  });

  it('told what a plan orders, at the same moments, goes as the plan does', () => {
    const orders = [engineIn(1, 0.4), wheelTo(25), engineIn(-1, 0.6, 9), wheelTo(-20, 14)];
    const input = inputOf([stepOf(START, orders)], { is: 'after', time: 25 });
    const planned = runPlan(input);
    const hand = driven(input, 250, {
      0: [orders[0]!.order, orders[1]!.order],
      90: [orders[2]!.order],
      140: [orders[3]!.order],
    });
    const last = (run: Run, column: string) => columns(run)[column]!.at(-1)!;
    const { run } = hand.finish();
    for (const column of ['x', 'y', 'heading', 'surge', 'rps'])
      expect(last(run, column)).toBeCloseTo(last(planned, column), 9);
  });

  it('is taken up again at any step: what was done before stands, what came after is gone', () => {
    const input = busy();
    const first = driven(input, 200, HANDLED).recording();
    const cut = cutAt(first, 100);
    expect(cut.timesteps).toBe(100);
    expect(cut.inputs.every(({ timestep: step }) => step < 100)).toBe(true);
    const again = new Drive(input);
    again.follow(cut);
    const short = playRecording(input, first, 100).run;
    expect(again.state.motion[0]).toBe(short.trace.x.at(-1));
    for (let step = 100; step < 150; step++) again.stepOn();
    expect(again.recording()).toMatchObject({ timesteps: 150, end: null });
    expect(again.recording().inputs).toEqual(cut.inputs);
  });

  it('follows the plan with its eyes only: steps come, orders do not', () => {
    const steps = [
      stepOf(START, [engineIn(1, 0.5)]),
      stepOf({ is: 'heading', heading: 20 * DEG }, [engineIn(-1, 1)]),
    ];
    const input = inputOf(steps, { is: 'heading', heading: 60 * DEG });
    const drive = driven(input, 30, {});
    expect(drive.helm.current).toBe(0);
    expect(drive.state.engines[0]!.engaged).toBe(0);
    const { cueLeft } = new DriveTeller(drive, new Set()).now();
    expect(cueLeft).toEqual({ unit: 'rad', value: expect.closeTo(20 * DEG, 6) as number });
    drive.give(engine(1, 0.5));
    drive.give(wheel(30));
    for (let step = 0; step < 300 && !drive.helm.planDone; step++) drive.stepOn();
    expect(drive.over).toBe(false);
    const { run, planDone } = drive.finish();
    expect(planDone).toBe(true);
    expect(run.steps.map(({ step }) => step)).toEqual([0, 1]);
    expect(run.steps[1]!.heading).toBeGreaterThanOrEqual(20 * DEG);
  });

  it('goes on past a step the helm has done with, and past a place she has gone by; played again alike', () => {
    const post = { name: 'post', x: 9, y: 12 };
    const input = inputOf(
      [
        stepOf(START, []),
        stepOf({ is: 'speed', compare: 'above', speed: 3, over: 'water' }, []),
        stepOf(
          { is: 'within', point: { name: 'midships', x: 0, y: 0 }, mark: post, distance: 6 },
          [],
        ),
        stepOf({ is: 'after', time: 2 }, []),
      ],
      NEVER,
      { start: { x: 0, y: 0, heading: 0, speed: 1.2 } },
    );
    const drive = new Drive(input);
    for (let step = 0; step < 300; step++) {
      if (step === 40) drive.passOn();
      drive.stepOn();
    }
    const steps = ({ events }: Pick<Run, 'events'>) =>
      events.flatMap((event) => (event.is === 'step' ? [event] : []));
    const told = steps(drive.helm);
    expect(told.map(({ step }) => step)).toEqual([0, 1, 2, 3]);
    expect(told[1]!.time).toBeCloseTo(4, 6);
    // Nine metres off is too far for six: past it by half the boat's length the plan goes on.
    const { y } = { y: drive.live.recent(3000).y };
    const by = Math.round(told[2]!.time * 10);
    expect(Math.hypot(9, y[by]! - 12)).toBeGreaterThan(9 + 4);
    expect(y[by]!).toBeGreaterThan(12);
    const recording = drive.recording();
    expect(recording.skips).toEqual([40]);
    expect(steps(playRecording(input, recording).run)).toEqual(told);
    expect(cutAt(recording, 40).skips).toEqual([]);
    expect(cutAt(recording, 41).skips).toEqual([40]);
  });

  it('tells of the things nearest about her, each once, and where the helm stands', () => {
    const about = [
      box('astern', -0.3, -12, 0.3, -8),
      box('to starboard', 5, -5, 8, 5),
      box('far off', 60, 0, 70, 10),
      box('ahead', -3, 9, 3, 12),
    ];
    const input = inputOf([stepOf(START, [])], NEVER, {
      obstacles: about,
      weather: { ...CALM, currentSet: Math.PI / 2, currentSpeed: 0.3 },
      start: { x: 0, y: 0, heading: 0, speed: 1 },
    });
    const { nearby, eye } = new DriveTeller(new Drive(input), new Set()).now();
    expect(nearby.map(({ name }) => name)).toEqual(['astern', 'to starboard', 'ahead']);
    expect(nearby.map(({ part }) => part)).toEqual(['stern', 'starboard side', 'bow']);
    expect(nearby[2]!.distance).toBeCloseTo(4, 6);
    expect(nearby[2]).toMatchObject({
      x: expect.closeTo(0, 6) as number,
      y: expect.closeTo(5, 6) as number,
    });
    expect(eye.east).toBeCloseTo(0.3, 9);
    expect(eye.north).toBeCloseTo(1, 9);
    const own = new DriveTeller(new Drive(input), new Set(['astern'])).now();
    expect(own.nearby.map(({ name }) => name)).toEqual(['to starboard', 'ahead']);
  });

  it('ends as the helm says, or by itself with a line in the propeller', () => {
    const over = (end: 'done' | 'broke off') => {
      const drive = driven(inputOf([stepOf(START, [])], NEVER), 5, {});
      drive.close(end);
      drive.give(engine(1));
      drive.stepOn();
      expect(drive.recording()).toMatchObject({ timesteps: 5, inputs: [], end });
      return drive.finish().run.outcome;
    };
    expect(over('done')).toBe('reached');
    expect(over('broke off')).toBe('broke off');
    const slack = inputOf(
      [stepOf(START, [])],
      NEVER,
      riggedWith([{ x: -4, y: 1, fast: { x: 2, y: -5, length: 9 } }]),
    );
    const fouled = driven(slack, 100, { 2: [engine(1)] });
    expect(fouled.over).toBe(true);
    expect(fouled.recording().end).toBeNull();
    expect(fouled.finish().run.outcome).toBe('fouled');
  });

  it('looks ahead to where she comes if nothing is changed, and to what is touched there', () => {
    const input = inputOf([stepOf(START, [])], NEVER, {
      obstacles: [box('quay', -30, 20, 30, 25)],
      start: { x: 0, y: 0, heading: 0, speed: 1.2 },
    });
    const drive = driven(input, 10, {});
    const ahead = lookAhead(drive);
    expect(ahead.touch).toMatchObject({ name: 'quay', part: 'bow' });
    for (let i = 0; i < 99; i++) drive.stepOn();
    expect(drive.live.touchCount > 0).toBe(ahead.touch!.after <= 9.9);
    drive.stepOn();
    expect(drive.state.motion[1]).toBeCloseTo(ahead.poses[0]!.y, 6);
  });
});

describe('surprises', () => {
  const open = inputOf([stepOf(START, [])], NEVER, {
    weather: { ...CALM, windFrom: 0, windSpeed: 5 },
  });
  const told = (drive: Drive) => new DriveTeller(drive, new Set()).now();

  it('a gust comes up and goes, a wind veers and stays so', () => {
    const by: Surprise[] = [
      { is: 'gust', at: 5, by: 0.8, lasts: 6 },
      { is: 'veer', at: 30, by: 40 * DEG },
    ];
    const wind = (seconds: number) => told(driven(open, 10 * seconds, {}, by)).wind;
    expect(wind(5)).toEqual({ from: 0, speed: 5 });
    expect(wind(8).speed).toBeCloseTo(9, 9);
    expect(wind(20).speed).toBeCloseTo(5, 9);
    expect(wind(40)).toEqual({ from: 40 * DEG, speed: 5 });
  });

  it('a gear does not go astern any more, nor does one about to', () => {
    const by: Surprise[] = [{ is: 'no astern', at: 2, engine: 0 }];
    const before = told(driven(open, 40, { 5: [engine(-1, 0.3)] }, by)).engines[0]!;
    expect(before.engaged).toBe(-1);
    const after = driven(open, 60, { 25: [engine(-1, 0.3)], 50: [engine(1)] }, by);
    expect(Math.min(...after.finish().run.trace.engines[0]!.gear)).toBe(0);
    expect(told(after).engines[0]!.ordered).toBe(1);
    const pending = driven(open, 60, { 19: [engine(-1, 0.3)] }, by);
    expect(Math.min(...pending.finish().run.trace.engines[0]!.gear)).toBe(0);
  });

  it('a thruster quits, a joystick fails: neither answers again', () => {
    const boat = { ...sloop(), thrusters: [jet(4, 400)], joystick: true };
    const input = { ...open, boat };
    const push: Order = { do: 'thruster', thruster: 0, power: 1 };
    const quits = driven(input, 80, { 5: [push], 40: [push] }, [
      { is: 'thruster quits', at: 2, thruster: 0 },
    ]);
    expect(told(quits).thrusters[0]).toMatchObject({ ordered: 0 });
    expect(Math.max(...quits.finish().run.trace.thrusters[0]!.slice(6, 20))).toBeGreaterThan(0.5);
    const stick: Order = { do: 'joystick', ahead: 0.5, sideways: 0, twist: 0 };
    const fails = driven(input, 80, { 5: [stick], 40: [stick] }, [{ is: 'joystick fails', at: 2 }]);
    expect(told(fails).joystick).toEqual({ active: false, dead: true });
    expect(told(driven(input, 30, { 5: [stick] })).joystick).toEqual({ active: true, dead: false });
  });

  it('a current that turns leaves what moves moving as it did, and takes her along after', () => {
    const input = { ...open, weather: { ...CALM, currentSet: 0, currentSpeed: 0.5 } };
    const turns: Surprise = { is: 'current', at: 1, set: Math.PI / 2, speed: 0.8, over: 0 };
    const drive = new Drive(input, [turns]);
    for (let i = 0; i < 10; i++) drive.stepOn();
    const way = groundSpeed(drive.state, drive.world);
    drive.stepOn();
    expect(groundSpeed(drive.state, drive.world)).toBeCloseTo(way, 1);
    for (let i = 0; i < 2400; i++) drive.stepOn();
    const { motion } = drive.state;
    // Carried along at last: as good as still in the water, over ground as it goes.
    expect(Math.hypot(motion[U]!, motion[V]!, motion[R]!)).toBeLessThan(0.15);
    expect(Math.abs(groundSpeed(drive.state, drive.world) - 0.8)).toBeLessThan(0.1);
  });

  it('hands come late with a line, or miss with it', () => {
    const bollard = end('bollard', 2.5, 0);
    const pass: Order = {
      do: 'pass',
      line: 0,
      by: null,
      to: bollard,
      how: 'drop',
      length: null,
    };
    const input = { ...open, weather: CALM, ...riggedWith([{ x: 0, y: 1.7 }]) };
    const on = (by: Surprise[]) =>
      driven(input, 400, { 5: [pass] }, by)
        .finish()
        .run.events.flatMap((e) => (e.is === 'line' ? [{ what: e.what, time: e.time }] : []));
    const when = (by: Surprise[]) => on(by).find(({ what }) => what === 'on')!.time;
    const plain = when([]);
    expect(when([{ is: 'line late', at: 0, by: 8 }])).toBeCloseTo(plain + 8, 6);
    const missed = on([{ is: 'line missed', at: 0 }]);
    expect(missed.filter(({ what }) => what === 'missed')).toHaveLength(1);
    expect(missed.at(-1)!.time).toBeGreaterThan(plain);
  });
});
