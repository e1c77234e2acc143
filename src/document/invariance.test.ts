import { runPlan, type Run } from '@/core/plan';
import { check, manoeuvreFileSchema, toRunInput, type ManoeuvreFile } from './';
import { chosen } from '@/core/testing/sweep';
import { demoFile, SOME_DEMOS } from './testing/demo';

// Whole manoeuvres in places turned, shifted and mirrored: nothing may depend on where on the map they are.

type Point = [number, number];

function play(file: ManoeuvreFile): Run {
  const checked = check(manoeuvreFileSchema, file);
  const input = checked.ok ? toRunInput(checked.value) : checked;
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return runPlan(input.value);
}

const turned = (degrees: number) => ((degrees % 360) + 360) % 360;

/** The same manoeuvre with every point and direction put through a change of the map. */
function moved(
  file: ManoeuvreFile,
  point: (p: Point) => Point,
  direction: (degrees: number) => number,
): ManoeuvreFile {
  const copy = structuredClone(file);
  for (const f of copy.place.features) {
    if ('outline_m' in f) f.outline_m = f.outline_m.map(point);
    else [f.x_m, f.y_m] = point([f.x_m, f.y_m]);
  }
  for (const a of copy.place.areas) {
    a.outline_m = a.outline_m.map(point);
    if (a.kind === 'lock' && a.working?.upstream_deg !== undefined)
      a.working.upstream_deg = direction(a.working.upstream_deg);
  }
  for (const b of copy.place.berths) b.edge_m = [point(b.edge_m[0]), point(b.edge_m[1])];
  for (const { start } of [copy, ...copy.others]) {
    [start.x_m, start.y_m] = point([start.x_m, start.y_m]);
    start.heading_deg = direction(start.heading_deg);
  }
  copy.conditions.wind.from_deg = direction(copy.conditions.wind.from_deg);
  copy.conditions.current.set_deg = direction(copy.conditions.current.set_deg);
  if (copy.goal.is === 'lie') copy.goal.heading_deg = direction(copy.goal.heading_deg);
  for (const { cue } of [...copy.plan.steps, copy.plan.end]) {
    for (const part of cue.is === 'any' || cue.is === 'all' ? cue.of : [cue]) {
      if (part.is === 'heading') part.heading_deg = direction(part.heading_deg);
    }
  }
  for (const step of copy.plan.steps) {
    for (const e of step.expect) if (e.is === 'heading') e.heading_deg = direction(e.heading_deg);
    for (const o of [...step.orders, ...step.wayOut.orders])
      if ('heading_deg' in o && o.heading_deg !== undefined)
        o.heading_deg = direction(o.heading_deg);
  }
  return copy;
}

/** Port for starboard in everything that has a side. */
function mirrored(file: ManoeuvreFile): ManoeuvreFile {
  const copy = moved(
    file,
    ([x, y]) => [-x, y],
    (degrees) => turned(-degrees),
  );
  const other = { port: 'starboard', starboard: 'port' } as const;
  const { plan } = copy;
  for (const { boat } of [copy, ...copy.others]) {
    for (const s of boat.drives) {
      s.hand = s.hand === 'right' ? 'left' : 'right';
      s.y_m = -s.y_m;
    }
    for (const f of [...boat.fins, ...boat.rudders]) f.y_m = -f.y_m;
    for (const f of boat.fenders) f.side = other[f.side];
    for (const p of boat.points) p.y_m = -p.y_m;
  }
  for (const f of plan.fenders) f.side = other[f.side];
  const hand = { left: 'right', right: 'left', both: 'both' } as const;
  for (const a of copy.place.areas) {
    if (a.kind !== 'lock' || !a.working) continue;
    const { paddles, upperGates, lowerGates } = a.working;
    for (const paddle of paddles) paddle.side = hand[paddle.side];
    for (const gate of [upperGates, lowerGates]) gate.hinge = hand[gate.hinge];
  }
  for (const { cue } of [...plan.steps, plan.end]) {
    for (const part of cue.is === 'any' || cue.is === 'all' ? cue.of : [cue]) {
      if (part.is === 'turned') part.by_deg = -part.by_deg;
    }
  }
  for (const step of plan.steps) {
    for (const order of [...step.orders, ...step.wayOut.orders]) {
      if (order.do === 'thruster') order.power = -order.power;
      if (order.do === 'gates') order.leaf = hand[order.leaf];
      if (order.do === 'joystick') {
        order.sideways = -order.sideways;
        order.twist = -order.twist;
      }
      if (order.do === 'wheel') order.angle_deg = -order.angle_deg;
      if (order.do === 'keepLine') order.off_m = -order.off_m;
      if (order.do === 'moveSideways') order.side = other[order.side];
      if (order.do === 'shortRound' && order.side !== 'shorter') order.side = other[order.side];
    }
    for (const e of step.expect) if (e.is === 'turning') e.to = other[e.to];
  }
  return copy;
}

/** What is on the left of a lock is on its right in the mirror. */
const otherHand = (name: string) =>
  name.replace(/^(left|right)(?= leaf)/, (side) => (side === 'left' ? 'right' : 'left'));
const same = (name: string) => name;

/** How far clearance and speed of two runs come apart within the first so many seconds, m and m/s. */
function apart(a: Run, b: Run, seconds: number): number {
  const { time } = a.trace;
  let most = 0;
  for (let i = 0; i < time.length && time[i]! <= seconds && i < b.trace.time.length; i++) {
    for (const what of ['clearance', 'groundSpeed'] as const) {
      const off = Math.abs(a.trace[what][i]! - b.trace[what][i]!);
      if (off > most) most = off;
    }
  }
  return most;
}

/** Does somebody work the boat who weighs what comes of each burst? Two that come to the same are told apart by their last bits. */
function isWeighed({ plan, boat }: ManoeuvreFile): boolean {
  const weighed = ['workIn', 'workClear', 'shortRound'];
  const bySpot = ['shiftAlong', 'moveSideways', 'holdStation', 'slideIn'];
  return plan.steps.some(({ orders }) =>
    orders.some((one) => weighed.includes(one.do) || (!boat.joystick && bySpot.includes(one.do))),
  );
}

function compare(a: Run, b: Run, tolerance: number, named = same): void {
  // However long it goes on and whatever rounding comes to: its first minute and a half is the same.
  expect(apart(a, b, 90)).toBeLessThan(1e-6);
  expect(b.outcome).toBe(a.outcome);
  const long = tolerance > 0.01;
  const told = ({ events }: Run) =>
    events.flatMap(({ is }) => (!long || is === 'step' || is === 'end' ? [is] : []));
  expect(told(b)).toEqual(told(a));
  expect(Math.abs(b.duration - a.duration)).toBeLessThan(tolerance);
  expect(Math.abs(b.margins.clearance!.distance - a.margins.clearance!.distance)).toBeLessThan(
    tolerance,
  );
  if (!long) expect(named(b.margins.clearance!.name)).toBe(a.margins.clearance!.name);
  // Of a long one only what is touched worse than softly is sure.
  const touched = ({ touches }: Run, name: (so: string) => string) => {
    const sure = touches.filter(({ grade }) => !long || grade !== 'soft');
    const names = sure.map((touch) => name(touch.name));
    return long ? [...new Set(names)] : names;
  };
  expect(touched(b, named)).toEqual(touched(a, same));
  a.steps.forEach((mark, i) =>
    expect(Math.abs(b.steps[i]!.time - mark.time)).toBeLessThan(tolerance),
  );
}

/** The demo manoeuvres as shipped, and one that ends in touches. */
const cases: [string, ManoeuvreFile][] = [
  ...SOME_DEMOS.map((id): [string, ManoeuvreFile] => [id, demoFile(id)]),
  ['a hard touch', early()],
];

function early(): ManoeuvreFile {
  const file = structuredClone(demoFile('off-stilt-pontoon'));
  file.plan.steps[1]!.cue = { is: 'after', time_s: 1 };
  file.plan.end = { cue: { is: 'after', time_s: 2 }, within_s: 10 };
  file.limit_s = 20;
  return file;
}

/**
 * Ten minutes of touches, in a lock, make of the last bits what a minute leaves alone: started a hundred-thousandth of a
 * millionth of a metre apart ten runs of one passage end up to a second and a half apart.
 */
function tolerance({ locks }: ManoeuvreFile): number {
  return locks.length === 0 ? 1e-6 : 2.5;
}

describe.each(cases)('%s', (_, file) => {
  const run = play(file);
  const near = tolerance(file);
  // Worked so it goes as well, not the same.
  const weighed = isWeighed(file);

  it.each(chosen([37, 90, 137, 254], [137]))(
    'is the same with the whole map turned by %d°',
    (by) => {
      const c = Math.cos((by * Math.PI) / 180);
      const s = Math.sin((by * Math.PI) / 180);
      const other = play(
        moved(
          file,
          ([x, y]) => [x * c + y * s + 300, -x * s + y * c - 700],
          (degrees) => turned(degrees + by),
        ),
      );
      if (weighed) expect(other.outcome).toBe(run.outcome);
      else compare(run, other, near);
    },
  );

  it('is the same mirrored, propeller and all', () => {
    const other = play(mirrored(file));
    if (weighed) {
      expect(other.outcome).toBe(run.outcome);
      return;
    }
    compare(run, other, near, otherHand);
    const last = Math.min(run.trace.x.length, other.trace.x.length) - 1;
    expect(Math.abs(other.trace.x[last]! + run.trace.x[last]!)).toBeLessThan(near);
    const touch = run.margins.touch;
    if (touch) expect(Math.abs(other.margins.touch!.speed - touch.speed)).toBeLessThan(near);
  });

  // Two that turn opposite ways walk the boat nowhere, whichever way that is.
  if (file.boat.drives.length > 1) return;
  // Nor does one that never turns.
  const motored = file.plan.steps.some(({ orders }) =>
    orders.some((order) => order.do === 'engine' && order.gear !== 'neutral'),
  );
  if (!motored) return;
  it('is not the same with the propeller of the other hand alone', () => {
    const copy = structuredClone(file);
    for (const d of copy.boat.drives) d.hand = d.hand === 'left' ? 'right' : 'left';
    const { heading } = play(copy).trace;
    const off = heading.map((psi, i) => Math.abs(psi - (run.trace.heading[i] ?? psi)));
    expect(Math.max(...off)).toBeGreaterThan(1e-4);
  });
});

it('a current with the whole harbour drifting along gives the same run (touches and marks apart)', () => {
  const file = structuredClone(demoFile('off-stilt-pontoon'));
  file.place.features = file.place.features.filter((f) => f.kind === 'mark');
  file.berth = [];
  file.plan.steps = file.plan.steps.slice(0, 2);
  file.plan.steps.forEach((step) => (step.expect = []));
  file.plan.end = { cue: { is: 'after', time_s: 40 }, within_s: 60 };
  const still = play(file);
  const drift = structuredClone(file);
  const east = 0.9;
  drift.conditions.current = { set_deg: 90, speed_mps: east };
  const from = (file.conditions.wind.from_deg * Math.PI) / 180;
  const windEast = -file.conditions.wind.speed_mps * Math.sin(from) + east;
  const windNorth = -file.conditions.wind.speed_mps * Math.cos(from);
  drift.conditions.wind = {
    from_deg: turned((Math.atan2(-windEast, -windNorth) * 180) / Math.PI),
    speed_mps: Math.hypot(windEast, windNorth),
  };
  const carried = play(drift);
  const last = still.trace.x.length - 1;
  expect(carried.duration).toBeCloseTo(still.duration, 8);
  expect(carried.trace.x[last]! - east * carried.duration).toBeCloseTo(still.trace.x[last]!, 7);
  expect(carried.trace.y[last]).toBeCloseTo(still.trace.y[last]!, 7);
  expect(carried.trace.heading[last]).toBeCloseTo(still.trace.heading[last]!, 8);
});
