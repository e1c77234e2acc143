import { quantileOf, STANDARD_SPREAD } from '@/core/uncertainty';
import { check, spreadSchema, toSpread, type SpreadDocument } from './';

const read = (value: unknown) => check<SpreadDocument>(spreadSchema, value);
const spreadOf = (value: unknown) => {
  const checked = read(value);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return toSpread(checked.value);
};

it('what a file leaves out is as in the standard spread; null is as it is told', () => {
  expect(spreadOf({})).toEqual(STANDARD_SPREAD);
  const some = spreadOf({
    environment: { windSpeed_factor: null, gusts: null, windFrom_offset_deg: { normal: [0, 180] } },
    person: null,
    start: null,
  });
  expect(some).toEqual({
    ...STANDARD_SPREAD,
    windSpeed: null,
    gusts: null,
    windFrom: { is: 'normal', mean: 0, sd: Math.PI },
    lateness: null,
    judgement: null,
    start: null,
  });
});

it('the standard spread written out in full is the standard spread', () => {
  const zero = { normal: [0, 0] };
  const whole = {
    about: 'standard',
    runs: 1000,
    holdsShare: 0.95,
    environment: {
      windSpeed_factor: { normal: [1, 0.2], atLeast: 0 },
      windFrom_offset_deg: { normal: [0, 10] },
      gusts: { intensity: 0.2, timeScale_s: 8, seed: 'one per run, only when there is wind' },
      calmWind_mps: { note: 'from any direction', uniform: [0, 1] },
      current_factor: { normal: [1, 0.25], atLeast: 0 },
      currentSet_offset_deg: { normal: [0, 7] },
      lockWater_factor: { uniform: [0.5, 1.5] },
    },
    boat: {
      thrust_factor: { normal: [1, 0.15], atLeast: 0.4, note: 'ahead and astern together' },
      thrustAstern_factor: { normal: [1, 0.1], atLeast: 0.4 },
      propWalk_factor: { normal: [1, 0.5], atLeast: 0 },
      windForce_factor: { normal: [1, 0.1], atLeast: 0.5 },
      windCentre_offset_L: { normal: [0, 0.02] },
      hullDrag_factor: { normal: [1, 0.15], atLeast: 0.5 },
    },
    start: {
      arriving: {
        along_m: { normal: [0, 1] },
        across_m: { normal: [0, 0.7] },
        heading_deg: { normal: [0, 4] },
        speed_mps: { normal: [0, 0.15] },
      },
      leaving: {
        along_m: { normal: [0, 0.3] },
        across_m: zero,
        heading_deg: { normal: [0, 1] },
        speed_mps: zero,
      },
    },
    person: {
      orderLate_s: { uniform: [0.3, 1.5], note: 'each order of each step, drawn anew' },
      look_s: 1,
      distance_factor: { normal: [1, 0.1] },
      angle_offset_deg: { normal: [0, 3] },
      speed_offset_mps: { normal: [0, 0.05] },
    },
    scale: { note: 'start offsets times length/12 m where longer' },
  };
  const spread = spreadOf(whole);
  for (const [key, value] of Object.entries(STANDARD_SPREAD))
    expect([key, JSON.stringify(spread[key as keyof typeof spread])]).toEqual([
      key,
      JSON.stringify(value),
    ]);
});

it.each([
  [{ boat: { thrust_factor: { normal: [1, -0.1] } } }, 'boat.thrust_factor.normal[1]'],
  [{ boat: { thrust_factor: { normal: [1] } } }, 'boat.thrust_factor.normal'],
  [{ boat: { thrust_factor: {} } }, 'boat.thrust_factor'],
  [{ boat: { thrust: { normal: [1, 0.1] } } }, 'boat'],
  [{ person: { orderLate_s: { uniform: [2, 1] } } }, 'person.orderLate_s.uniform'],
  [{ environment: { gusts: { intensity: 2, timeScale_s: 8 } } }, 'environment.gusts.intensity'],
  [{ boat: { thrust_factor: { normal: [1e300, 0] } } }, 'boat.thrust_factor.normal[0]'],
  [{ boat: { thrust_factor: { normal: [-5, 0] } } }, 'boat.thrust_factor.normal[0]'],
  [{ boat: { hullDrag_factor: { uniform: [0, 1] } } }, 'boat.hullDrag_factor.uniform[0]'],
  [{ boat: { propWalk_factor: { normal: [1, 9] } } }, 'boat.propWalk_factor.normal[1]'],
  [{ boat: { thrust_factor: { normal: [1, 1], atLeast: 0 } } }, 'boat.thrust_factor.atLeast'],
  [{ environment: { calmWind_mps: { uniform: [0, 60] } } }, 'environment.calmWind_mps.uniform[1]'],
  [{ person: { orderLate_s: { uniform: [-3, 1] } } }, 'person.orderLate_s.uniform[0]'],
  [[], '(file)'],
])('%j is refused by name', (value, path) => {
  const checked = read(value);
  expect(checked.ok ? null : checked.problems[0]!.path).toBe(path);
});

it('no draw of a figure falls below what it can be, whatever its mean and deviation', () => {
  const wide = spreadOf({
    boat: { thrust_factor: { normal: [0.05, 4.95] }, windCentre_offset_L: { normal: [0, 0.5] } },
    person: { orderLate_s: { normal: [0, 60] }, distance_factor: { normal: [1, 4] } },
  });
  for (const p of [1e-9, 0.01, 0.3]) {
    expect(quantileOf(wide.thrust!, p)).toBe(0.05);
    expect(quantileOf(wide.lateness!, p)).toBe(0);
  }
  expect(quantileOf(wide.judgement!.distance, 1e-9)).toBe(0.05);
  // An offset may go either way.
  expect(quantileOf(wide.windCentre!, 0.01)).toBeLessThan(-1);
});
