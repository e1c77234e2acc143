import fc from 'fast-check';
import { FLEET_IDS, fleetRecord } from '@/document/testing/fleet';
import type { Units } from '../words/units';
import {
  FIRST_OWNER,
  idFrom,
  ownerErrors,
  ownerFromForm,
  ownerResolver,
  ownerToForm,
  type OwnerForm,
} from './owner-form';

const METRIC: Units = { speed: 'kn', length: 'm', force: 'N' };
const FEET: Units = { speed: 'm/s', length: 'ft', force: 'lbf' };
/** Boats built from what their owners know. */
const BUILT = FLEET_IDS.filter((id) => Boolean(fleetRecord(id).owner));
const NAMED = { name: 'Trial', kind: '', note: '' };
const form = (change: Partial<OwnerForm> = {}, units = METRIC): OwnerForm => ({
  ...ownerToForm(FIRST_OWNER, NAMED, units),
  ...change,
});

describe('what an owner knows, as fields', () => {
  it.each(BUILT)('comes back from the fields as it went in, %s', (id) => {
    const owner = fleetRecord(id).owner!;
    const back = ownerFromForm(ownerToForm(owner, NAMED, METRIC), METRIC);
    if (!back.ok) throw new Error(JSON.stringify(back.problems));
    const { idleSpeed_mps: idle, ...rest } = back.value;
    const { idleSpeed_mps: was, ...wanted } = owner;
    expect(rest).toEqual(wanted);
    // A speed is shown to a tenth of a knot.
    if (was === null) expect(idle).toBeNull();
    else expect(Math.abs(idle! - was)).toBeLessThan(0.06);
  });

  it('is shown in feet and read back within the inch it was shown to', () => {
    const shown = form({}, FEET);
    expect(shown.length).toBeCloseTo(32.8, 1);
    const back = ownerFromForm(shown, FEET);
    expect(back.ok && Math.abs(back.value.length_m - 10)).toBeLessThan(0.03);
  });

  it('leaves to the estimate what is left empty', () => {
    for (const empty of [undefined, NaN]) {
      const owner = ownerFromForm(form({ waterline: empty, idle: empty }), METRIC);
      expect(owner).toMatchObject({
        ok: true,
        value: { waterlineLength_m: null, idleSpeed_mps: null },
      });
    }
    const given = ownerFromForm(form({ waterline: 8.9, idle: 2 }), METRIC);
    expect(given).toMatchObject({ ok: true, value: { waterlineLength_m: 8.9 } });
    expect(given.ok && given.value.idleSpeed_mps).toBeCloseTo(1.0289, 4);
  });

  it('takes a boat without an engine, whatever the engine fields still hold', () => {
    const owner = ownerFromForm(form({ engines: '0', drive: 'sail drive', power: NaN }), METRIC);
    expect(owner).toMatchObject({ ok: true, value: { engines: 0, drive: 'none' } });
  });

  it.each<[keyof OwnerForm, Partial<OwnerForm>, RegExp]>([
    ['length', { length: NaN }, /./],
    ['length', { length: 2 }, /3/],
    ['beam', { beam: 11 }, /more than the length/],
    ['draught', { draught: 5.5 }, /half the length/],
    ['displacement', { displacement: -5 }, /80/],
    ['displacement', { displacement: 100000 }, /cannot float/],
    ['waterline', { waterline: 11 }, /longer than the boat/],
    ['power', { power: 0 }, /0\.5/],
    ['idle', { idle: 40 }, /6 m\/s/],
    ['freeboard', { freeboard: 0 }, /0\.1/],
    ['mast', { mast: 400 }, /60/],
    ['bow', { bow: -1 }, /0/],
    ['stern', { stern: 1e9 }, /3000/],
  ])('puts what is wrong at the field: %s', (field, change, message) => {
    const owner = ownerFromForm(form(change), METRIC);
    if (owner.ok) throw new Error('was taken');
    const errors = ownerErrors(owner.problems);
    expect(Object.keys(errors)).toContain(field);
    expect(errors[field]!.message).toMatch(message);
  });

  it('wants a name, and says so beside what else is wrong', async () => {
    const resolve = ownerResolver(METRIC);
    const at = (values: OwnerForm) =>
      resolve(values, undefined, { fields: {}, shouldUseNativeValidation: false });
    expect(await at(form())).toMatchObject({ errors: {} });
    const { errors } = await at(form({ name: '  ', beam: -1 }));
    expect(Object.keys(errors).sort()).toEqual(['beam', 'name']);
  });
});

describe('an address made from a name', () => {
  it('keeps what can stand in one', () => {
    expect(idFrom('Tamarack Nell')).toBe('tamarack-nell');
    expect(idFrom('  Ébène & Co. / 2 ')).toBe('ebene-co-2');
    expect(idFrom('船')).toBe('boat');
    expect(idFrom('')).toBe('boat');
  });

  it('holds for whatever is typed', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 200 }), (name) => {
        const id = idFrom(name);
        expect(id).toMatch(/^[a-z0-9][a-z0-9-]*$/);
        expect(id.length).toBeLessThanOrEqual(58);
      }),
    );
  });
});
