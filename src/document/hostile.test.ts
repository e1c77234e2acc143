import fc from 'fast-check';
import { between, betweenPowers } from '@/core/testing/arbitrary';
import { tries } from '@/core/testing/sweep';
import { runPlan } from '@/core/plan';
import { check, manoeuvreFileSchema, toRunInput, type ManoeuvreFile } from './';
import { demoFile } from './testing/demo';
import { namedColumns } from '@/core/simulation';

// Whatever passes the schemas must run to a finite end: boats of any size and proportion, in any weather.

const fivefold = betweenPowers(0.2, 5);

const odd = fc.record({
  size: betweenPowers(0.45, 12),
  mass: fivefold,
  inertia: between(0.4, 1.9),
  keel: fivefold,
  rudder: fivefold,
  windage: fivefold,
  push: between(0.4, 3),
  forward: between(-0.4, 0.4),
  stiffness: betweenPowers(1e4, 1e9),
  loss: between(0, 5),
  wind: between(0, 30),
  from: between(0, 360),
  current: between(0, 4),
  set: between(0, 360),
  heading: between(0, 360),
  speed: between(-5, 10),
  throttle: between(0, 1),
  wheel: between(-90, 90),
});
type Odd = typeof odd extends fc.Arbitrary<infer T> ? T : never;

function made(o: Odd): unknown {
  const file: ManoeuvreFile = structuredClone(demoFile('off-stilt-pontoon'));
  const { boat } = file;
  const k = o.size;
  const scale = (points: [number, number][]) =>
    points.map(([x, y]): [number, number] => [x * k, y * k]);
  const { hull } = boat;
  hull.length_m *= k;
  hull.waterlineLength_m *= k;
  hull.beam_m *= k;
  hull.deck = scale(hull.deck);
  hull.waterline = scale(hull.waterline);
  hull.draughts = scale(hull.draughts);
  hull.mass_kg *= k ** 3 * o.mass;
  hull.yawRadius_m *= k * o.inertia;
  hull.centreOfGravity_m = o.forward * hull.length_m;
  hull.wettedArea_m2 *= k * k;
  hull.touchStiffness_Npm = o.stiffness;
  hull.touchLoss_spm = o.loss;
  for (const fin of boat.fins)
    Object.assign(fin, { x_m: fin.x_m * k, area_m2: fin.area_m2 * k * k * o.keel });
  for (const r of boat.rudders) {
    Object.assign(r, {
      x_m: r.x_m * k,
      span_m: r.span_m * k,
      area_m2: r.area_m2 * k * k * o.rudder,
    });
    r.limit_deg = 90;
  }
  for (const s of boat.drives) {
    Object.assign(s, {
      x_m: s.x_m * k,
      diameter_m: s.diameter_m * k,
      pitch_m: s.pitch_m * k,
      idle_rpm: (s.idle_rpm / Math.sqrt(k)) * Math.min(1, o.push),
      full_rpm: (s.full_rpm / Math.sqrt(k)) * o.push,
    });
  }
  boat.windage.lateralArea_m2 *= k * k * o.windage;
  boat.windage.frontalArea_m2 *= k * k * o.windage;
  boat.windage.centreX_m *= k;
  boat.windage.centreHeight_m *= k;
  boat.fenders = boat.fenders.map((f) => ({
    ...f,
    x_m: f.x_m * k,
    diameter_m: Math.max(0.06, f.diameter_m * k),
    length_m: Math.max(0.1, f.length_m * k),
  }));
  boat.points = boat.points.map((p) => ({ ...p, x_m: p.x_m * k, y_m: p.y_m * k }));
  file.conditions.wind = { from_deg: o.from, speed_mps: o.wind };
  file.conditions.current = { set_deg: o.set, speed_mps: o.current };
  // In the middle of the fairway, with room for the small and, if need be, none for the big.
  file.start = { x_m: 5, y_m: -19, heading_deg: o.heading, speed_mps: o.speed };
  file.limit_s = 25;
  file.plan.steps = file.plan.steps.slice(0, 1);
  file.plan.steps[0]!.orders = [
    { do: 'wheel', after_s: 0, angle_deg: o.wheel },
    { do: 'engine', after_s: 0, gear: 'ahead', throttle: o.throttle },
    { do: 'engine', after_s: 9, gear: 'astern', throttle: 1 },
  ];
  return file;
}

it('any accepted boat in any accepted weather stays finite, bounded and the same twice', () => {
  fc.assert(
    fc.property(odd, (o) => {
      const checked = check(manoeuvreFileSchema, made(o));
      const input = checked.ok ? toRunInput(checked.value) : checked;
      if (!input.ok) {
        for (const { path, message } of input.problems) {
          expect(path).not.toBe('');
          expect(message).not.toBe('');
        }
        // What is refused is drawn again: so many are played, however many are not.
        return fc.pre(false);
      }
      const run = runPlan(input.value);
      for (const [name, column] of Object.entries(namedColumns(run.trace))) {
        const sound =
          name === 'clearance' ? !column.some(Number.isNaN) : column.every(Number.isFinite);
        expect([name, sound]).toEqual([name, true]);
      }
      expect(Math.max(...run.trace.groundSpeed)).toBeLessThan(45);
      for (const touch of run.touches) expect(Number.isFinite(touch.peakForce)).toBe(true);
    }),
    { numRuns: tries(20, 60) },
  );
}, 120000);
