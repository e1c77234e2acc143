import { assembleCraft } from '../boat';
import { obstacleSetOf } from '../holding';
import { runPlan, worldOf } from '../plan';
import { sloop } from '../testing/boats';
import { stepOf, box, engineIn, inputOf, wheelTo } from '../testing/manoeuvre';
import { apparentWind, measureClearance, measuredTrace, type Aerial, type Fix } from './';

const quay = box('quay', 14, -60, 30, 80);
const run = runPlan(
  inputOf(
    [stepOf({ is: 'start' }, [engineIn(1, 0.3), wheelTo(12)])],
    { is: 'after', time: 14 },
    { obstacles: [quay], start: { x: 0, y: 0, heading: 6.1, speed: 1 } },
  ),
);

/** The same run as an aerial somewhere aboard would have seen it once a second. */
function fixesOf(aerial: Aerial, rest: Partial<Pick<Fix, 'heading' | 'throughWater'>> = {}): Fix[] {
  const { time, x, y, heading, groundSpeed, surge } = run.trace;
  return Array.from({ length: Math.floor(time.length / 10) }, (_, k) => {
    const i = 10 * k;
    const [s, c] = [Math.sin(heading[i]!), Math.cos(heading[i]!)];
    return {
      time: 500 + time[i]!,
      x: x[i]! + aerial.x * s + aerial.y * c,
      y: y[i]! + aerial.x * c - aerial.y * s,
      heading: ((heading[i]! % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI),
      course: null,
      overGround: groundSpeed[i]!,
      throughWater: surge[i]!,
      depth: null,
      wind: null,
      windAngle: null,
      ...rest,
    };
  });
}

it('gives back the track of her midships wherever the aerial stands, through north and all', () => {
  for (const aerial of [
    { x: 0, y: 0 },
    { x: -3, y: 1 },
  ]) {
    const { trace, byCourse } = measuredTrace(fixesOf(aerial), aerial);
    expect(byCourse).toBe(false);
    for (const i of [0, 35, 70, trace.time.length - 1]) {
      expect(Math.hypot(trace.x[i]! - run.trace.x[i]!, trace.y[i]! - run.trace.y[i]!)).toBeLessThan(
        0.05,
      );
      const off = Math.cos(trace.heading[i]! - run.trace.heading[i]!);
      expect(off).toBeGreaterThan(0.999);
      expect(trace.surge[i]).toBeCloseTo(run.trace.surge[i]!, 1);
    }
    // Not wrapped: no leap of a whole turn on the way.
    for (let i = 1; i < trace.heading.length; i++)
      expect(Math.abs(trace.heading[i]! - trace.heading[i - 1]!)).toBeLessThan(0.1);
  }
});

it('makes nothing up: wheel, gears and way across are not told', () => {
  const { trace } = measuredTrace(fixesOf({ x: 0, y: 0 }, { throughWater: null }), { x: 0, y: 0 });
  for (const what of ['rudder', 'sway', 'surge'] as const)
    expect([...trace[what]].every(Number.isNaN)).toBe(true);
  expect(trace.engines).toEqual([]);
});

it('shows what sounder and wind instrument told, the angle the short way round, and where they told most', () => {
  const ahead = [350, 350, 10, 10, 170, 190, 190];
  const fixes = fixesOf({ x: 0, y: 0 }).map((fix, i) => ({
    ...fix,
    depth: i < 2 ? null : 4 - 0.25 * Math.min(i, 8),
    wind: 3 + (i === 5 ? 2 : 0),
    windAngle: (ahead[Math.min(i, 6)]! * Math.PI) / 180,
  }));
  const { trace } = measuredTrace(fixes, { x: 0, y: 0 });
  const degrees = (i: number) => (trace.told!.windAngle[i]! * 180) / Math.PI;
  expect(degrees(0)).toBeCloseTo(-10, 9);
  // Half-way from 350° to 010° it is ahead, and from 170° to 190° astern: never on the far beam.
  expect(degrees(15)).toBeCloseTo(0, 9);
  expect(Math.abs(degrees(45))).toBeCloseTo(180, 9);
  expect(trace.told!.depth[5]).toBeNaN();
  expect(trace.told!.depth[25]).toBeCloseTo(4 - 0.25 * 2.5, 9);
  const found = measureClearance(trace, assembleCraft(sloop()), obstacleSetOf([quay]), new Set());
  expect(found.shallowest!.depth).toBeCloseTo(2, 9);
  expect(found.shallowest!.time).toBeCloseTo(8, 9);
  expect(found.windiest).toMatchObject({ speed: 5, time: 5 });
  expect((found.windiest!.angle * 180) / Math.PI).toBeCloseTo(-170, 9);
});

it('reckons the apparent wind: her own way ahead in a calm, a beam wind drawn forward under way', () => {
  const still = { time: [0, 1], x: [0, 0], y: [0, 0], heading: [0, 0] };
  const under = { ...still, y: [0, 3] };
  const as = (o: Record<string, number[]>) =>
    Object.fromEntries(Object.entries(o).map(([k, v]) => [k, Float64Array.from(v)])) as never;
  const calm = worldOf(inputOf([], { is: 'after', time: 1 }), 1).environment;
  expect(apparentWind(as(under), 0, calm)).toEqual({ angle: 0, speed: 3 });
  const beam = { ...calm, windFrom: Math.PI / 2, windSpeed: 4 };
  expect(apparentWind(as(still), 0, beam).angle).toBeCloseTo(Math.PI / 2, 12);
  // Three ahead and four abeam are five, from 53° off the bow.
  expect(apparentWind(as(under), 0, beam).speed).toBeCloseTo(5, 12);
  expect(apparentWind(as(under), 0, beam).angle).toBeCloseTo(Math.atan2(4, 3), 12);
  const port = apparentWind(as(under), 0, { ...beam, windFrom: -Math.PI / 2 });
  expect(port.angle).toBeCloseTo(-Math.atan2(4, 3), 12);
});

it('makes nothing of a sounder or wind that told nothing', () => {
  const { trace } = measuredTrace(fixesOf({ x: 0, y: 0 }), { x: 0, y: 0 });
  const found = measureClearance(trace, assembleCraft(sloop()), obstacleSetOf([quay]), new Set());
  expect(found.shallowest).toBeNull();
  expect(found.windiest).toBeNull();
});

it('goes by the course where there is no compass, and says so', () => {
  const { trace, byCourse } = measuredTrace(fixesOf({ x: 0, y: 0 }, { heading: null }), {
    x: 0,
    y: 0,
  });
  expect(byCourse).toBe(true);
  expect(Math.cos(trace.heading[60]! - run.trace.heading[60]!)).toBeGreaterThan(0.95);
});

it('bridges a compass sentence that was lost, without calling it her course', () => {
  const fixes = fixesOf({ x: 0, y: 0 }).map((fix, i) =>
    i % 4 === 2 ? { ...fix, heading: null } : fix,
  );
  const { trace, byCourse } = measuredTrace(fixes, { x: 0, y: 0 });
  expect(byCourse).toBe(false);
  for (const i of [20, 60, 100])
    expect(Math.cos(trace.heading[i]! - run.trace.heading[i]!)).toBeGreaterThan(0.999);
  expect(trace.yawRate[70]).toBeCloseTo(run.trace.yawRate[70]!, 1);
});

it('finds the least clearance where the run itself had it', () => {
  const { trace } = measuredTrace(fixesOf({ x: 2, y: 0 }), { x: 2, y: 0 });
  const found = measureClearance(trace, assembleCraft(sloop()), obstacleSetOf([quay]), new Set());
  const upTo = run.trace.clearance.slice(0, trace.time.length);
  expect(found.clearance!.name).toBe('quay');
  expect(found.clearance!.distance).toBeCloseTo(Math.min(...upTo), 1);
  expect(found.fastest).toBeCloseTo(
    Math.max(...run.trace.groundSpeed.slice(0, trace.time.length)),
    1,
  );
  const skipped = measureClearance(
    trace,
    assembleCraft(sloop()),
    obstacleSetOf([quay]),
    new Set([0]),
  );
  expect(skipped.clearance).toBeNull();
});
