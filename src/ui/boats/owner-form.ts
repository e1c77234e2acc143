import type { Resolver } from 'react-hook-form';
import { check, ownerSchema, type Owner, type Problem, type Result } from '@/document';
import { lengthFrom, lengthIn, speedFrom, speedIn, tidy, type Units } from '../words/units';

/** What an owner knows, as fields in the user's units. An empty optional field is undefined or NaN. */
export interface OwnerForm {
  name: string;
  kind: string;
  note: string;
  class: Owner['class'];
  length: number;
  beam: number;
  draught: number;
  displacement: number;
  waterline: number | undefined;
  keel: Owner['keel'];
  rudders: string;
  control: Owner['control'];
  drive: Owner['drive'];
  engines: string;
  power: number;
  hand: Owner['hand'];
  blades: Owner['blades'];
  idle: number | undefined;
  freeboard: number;
  superstructure: number;
  mast: number;
  offset: number | undefined;
  bow: number;
  stern: number;
  joystick: boolean;
}

/** A middling boat to begin from. */
export const FIRST_OWNER: Owner = {
  class: 'sailing yacht',
  length_m: 10,
  beam_m: 3.3,
  draught_m: 1.8,
  displacement_kg: 5500,
  waterlineLength_m: null,
  drive: 'shaft',
  engines: 1,
  power_kW: 20,
  hand: 'right',
  blades: '3 fixed',
  keel: 'fin',
  rudders: 1,
  control: 'wheel',
  freeboard_m: 1.1,
  superstructure_m: 0.4,
  mast_m: 14,
  idleSpeed_mps: null,
  screwOffset_m: 0,
  bowThruster_kW: 0,
  sternThruster_kW: 0,
  joystick: false,
};

export function ownerToForm(
  owner: Owner,
  named: { name: string; kind: string; note: string },
  units: Units,
): OwnerForm {
  const length = (m: number) => tidy(lengthIn(m, units.length));
  return {
    ...named,
    class: owner.class,
    length: length(owner.length_m),
    beam: length(owner.beam_m),
    draught: length(owner.draught_m),
    displacement: owner.displacement_kg,
    waterline: owner.waterlineLength_m === null ? undefined : length(owner.waterlineLength_m),
    keel: owner.keel,
    rudders: String(owner.rudders),
    control: owner.control,
    drive: owner.drive,
    engines: String(owner.engines),
    power: owner.power_kW,
    hand: owner.hand,
    blades: owner.blades,
    idle:
      owner.idleSpeed_mps === null ? undefined : tidy(speedIn(owner.idleSpeed_mps, units.speed)),
    freeboard: length(owner.freeboard_m),
    superstructure: length(owner.superstructure_m),
    mast: length(owner.mast_m),
    offset: length(owner.screwOffset_m),
    bow: owner.bowThruster_kW,
    stern: owner.sternThruster_kW,
    joystick: owner.joystick,
  };
}

/** The owner's figures the fields give, checked by the record's own schema. */
export function ownerFromForm(form: OwnerForm, units: Units): Result<Owner> {
  const length = (value: number) => tidy(lengthFrom(value, units.length), 3);
  const orNull = (value: number | undefined, made: (v: number) => number) =>
    value === undefined || Number.isNaN(value) ? null : made(value);
  return check<Owner>(ownerSchema, {
    class: form.class,
    length_m: length(form.length),
    beam_m: length(form.beam),
    draught_m: length(form.draught),
    displacement_kg: form.displacement,
    waterlineLength_m: orNull(form.waterline, length),
    drive: Number(form.engines) === 0 ? 'none' : form.drive,
    engines: Number(form.engines),
    power_kW: Number(form.engines) === 0 && Number.isNaN(form.power) ? 1 : form.power,
    hand: form.hand,
    blades: form.blades,
    keel: form.keel,
    rudders: Number(form.rudders),
    control: form.control,
    freeboard_m: length(form.freeboard),
    superstructure_m: length(form.superstructure),
    mast_m: length(form.mast),
    idleSpeed_mps: orNull(form.idle, (v) => tidy(speedFrom(v, units.speed), 4)),
    screwOffset_m: Number(form.engines) === 1 ? (orNull(form.offset, length) ?? 0) : 0,
    bowThruster_kW: form.bow,
    sternThruster_kW: form.stern,
    joystick: form.joystick,
  });
}

const FIELD_OF: Readonly<Record<string, keyof OwnerForm>> = {
  length_m: 'length',
  beam_m: 'beam',
  draught_m: 'draught',
  displacement_kg: 'displacement',
  waterlineLength_m: 'waterline',
  power_kW: 'power',
  freeboard_m: 'freeboard',
  superstructure_m: 'superstructure',
  mast_m: 'mast',
  idleSpeed_mps: 'idle',
  screwOffset_m: 'offset',
  bowThruster_kW: 'bow',
  sternThruster_kW: 'stern',
};

export function ownerErrors(
  problems: readonly Problem[],
): Partial<Record<keyof OwnerForm, { type: string; message: string }>> {
  return Object.fromEntries(
    problems.map(({ path, message }) => [FIELD_OF[path] ?? path, { type: 'invalid', message }]),
  );
}

export function ownerResolver(units: Units): Resolver<OwnerForm> {
  return (form) => {
    const owner = ownerFromForm(form, units);
    const problems: Problem[] = owner.ok ? [] : [...owner.problems];
    if (form.name.trim() === '') problems.push({ path: 'name', message: 'give the boat a name' });
    return problems.length === 0
      ? { values: form, errors: {} }
      : { values: {}, errors: ownerErrors(problems) };
  };
}

/** An address made from a name: small letters, digits and hyphens. */
export function idFrom(name: string): string {
  const plain = name
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 58);
  return plain || 'boat';
}
