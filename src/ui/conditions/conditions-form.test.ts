import type { Conditions } from '@/document';
import { check, conditionsSchema } from '@/document';
import type { Units } from '../words/units';
import { fieldErrors, fromForm, toForm, type ConditionsForm } from './conditions-form';

const KN: Units = { speed: 'kn', length: 'm', force: 'N' };
const FEET: Units = { speed: 'm/s', length: 'ft', force: 'lbf' };

function conditions(given: object): Conditions {
  const checked = check<Conditions>(conditionsSchema, given);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return checked.value;
}

const PLAIN = conditions({
  wind: { from_deg: 345, speed_mps: 5.1444 },
  current: { set_deg: 84, speed_mps: 0.5144 },
  water: 'sea',
});
const FULL = conditions({
  wind: {
    from_deg: 200,
    speed_mps: 7.2022,
    gusts: { intensity: 0.2, seed: 7 },
    shelter: true,
  },
  current: { set_deg: 10, speed_mps: 0.2572, bankWidth_m: 6, eddies: true },
  water: 'fresh',
  depth_m: 2.4,
  walls: true,
});

const formOf = (change: Partial<ConditionsForm>): ConditionsForm => ({
  ...toForm(PLAIN, KN),
  ...change,
});

it.each([
  ['plain', PLAIN],
  ['everything on', FULL],
])('conditions come back from the fields as they went in, %s', (_, given) => {
  expect(fromForm(toForm(given, KN), KN)).toEqual({ ok: true, value: given });
});

it('a depth in feet is kept as metres', () => {
  const shown = toForm(FULL, FEET);
  expect(shown.depth).toBeCloseTo(7.9, 1);
  const back = fromForm(shown, FEET);
  expect(back.ok && Math.abs(back.value.depth_m! - 2.4)).toBeLessThan(0.02);
});

it('keeps what has no field of its own', () => {
  const kept = conditions({
    ...FULL,
    wind: { ...FULL.wind, changes: [{ at_s: 30, from_deg: 220, speed_mps: 9 }] },
  });
  const back = fromForm({ ...toForm(kept, KN), windSpeed: 3 }, KN, kept);
  if (!back.ok) throw new Error(JSON.stringify(back.problems));
  expect(back.value.wind.changes).toEqual(kept.wind.changes);
  expect(back.value.wind.speed_mps).toBeCloseTo(1.5433, 4);
});

it('a wind that turns comes back as it went in, and is steady again when emptied', () => {
  const turning = conditions({
    ...PLAIN,
    wind: { ...PLAIN.wind, changes: [{ at_s: 45, from_deg: 20, speed_mps: 5.1444 }] },
  });
  const shown = toForm(turning, KN);
  expect(shown).toMatchObject({ veerTo: 20, veerIn: 45 });
  expect(fromForm(shown, KN, turning)).toEqual({ ok: true, value: turning });
  // Faster: what it turns to blows as hard.
  const faster = fromForm({ ...shown, windSpeed: 20 }, KN, turning);
  expect(faster.ok && faster.value.wind.changes![0]!.speed_mps).toBe(
    faster.ok && faster.value.wind.speed_mps,
  );
  const steady = fromForm({ ...shown, veerTo: NaN }, KN, turning);
  expect(steady.ok && steady.value.wind.changes).toBeUndefined();
  const soon = fromForm({ ...shown, veerIn: undefined }, KN, turning);
  expect(soon.ok && soon.value.wind.changes![0]!.at_s).toBe(60);
});

it('switches off what is emptied', () => {
  const off = fromForm(
    {
      ...toForm(FULL, KN),
      gusts: 0,
      shelter: false,
      bankWidth: NaN,
      eddies: false,
      depth: undefined,
      walls: false,
    },
    KN,
    FULL,
  );
  if (!off.ok) throw new Error(JSON.stringify(off.problems));
  const { wind, current, depth_m, walls } = off.value;
  expect([wind.gusts, wind.shelter, current.bankWidth_m, current.eddies, depth_m, walls]).toEqual(
    Array(6).fill(undefined),
  );
});

it.each<[keyof ConditionsForm, Partial<ConditionsForm>, RegExp]>([
  ['windSpeed', { windSpeed: -1 }, /from 0 to 80 kn/],
  ['windSpeed', { windSpeed: NaN }, /from 0 to 80 kn/],
  ['currentSpeed', { currentSpeed: 99 }, /from 0 to 8 kn/],
  ['windFrom', { windFrom: Infinity }, /./],
  ['gusts', { gusts: 90 }, /0 to 50 %/],
  ['seed', { gusts: 20, seed: 1.5 }, /./],
  ['veerTo', { veerTo: 400 }, /./],
  ['veerIn', { veerTo: 10, veerIn: -5 }, /./],
  ['bankWidth', { bankWidth: -3 }, /./],
  ['depth', { depth: -1 }, /./],
])('says at the field what is wrong: %s', (field, change, message) => {
  const made = fromForm(formOf(change), KN);
  if (made.ok) throw new Error('was taken');
  const most = { wind: 80 * 0.514444, current: 8 * 0.514444 };
  const errors = fieldErrors(made.problems, KN, most);
  expect(Object.keys(errors)).toEqual([field]);
  expect(errors[field]!.message).toMatch(message);
});
