import { check, conditionsSchema, type Conditions, type Problem, type Result } from '@/document';
import { lengthFrom, lengthIn, speedFrom, speedIn, tidy, type Units } from '../words/units';

/** Conditions as fields, in the user's units. */
export interface ConditionsForm {
  windFrom: number;
  windSpeed: number;
  streamSet: number;
  streamSpeed: number;
  water: Conditions['water'];
  /** Per cent of the mean; 0 for a steady wind. */
  gusts: number;
  seed: number;
  shelter: boolean;
  /** Width of the weaker belt along banks; undefined or NaN for none. */
  bankWidth: number | undefined;
  eddies: boolean;
  depth: number | undefined;
  walls: boolean;
}

export function toForm(
  { wind, stream, water, depth_m, walls }: Conditions,
  { speed, length }: Units,
): ConditionsForm {
  const metres = (m: number | undefined) =>
    m === undefined ? undefined : tidy(lengthIn(m, length));
  return {
    windFrom: tidy(wind.from_deg, 0),
    windSpeed: tidy(speedIn(wind.speed_mps, speed)),
    streamSet: tidy(stream.set_deg, 0),
    streamSpeed: tidy(speedIn(stream.speed_mps, speed)),
    water,
    gusts: tidy(100 * (wind.gusts?.intensity ?? 0), 0),
    seed: wind.gusts?.seed ?? 1,
    shelter: wind.shelter ?? false,
    bankWidth: metres(stream.bankWidth_m),
    eddies: stream.eddies ?? false,
    depth: metres(depth_m),
    walls: walls ?? false,
  };
}

const FIELDS: Readonly<Record<string, keyof ConditionsForm>> = {
  'wind.from_deg': 'windFrom',
  'wind.speed_mps': 'windSpeed',
  'stream.set_deg': 'streamSet',
  'stream.speed_mps': 'streamSpeed',
  'wind.gusts.intensity': 'gusts',
  'wind.gusts.seed': 'seed',
  'stream.bankWidth_m': 'bankWidth',
  depth_m: 'depth',
};

const mostText = (mps: number, unit: Units['speed']) =>
  `give a number from 0 to ${speedIn(mps, unit).toFixed(unit === 'kn' ? 0 : 1)} ${unit}`;

/**
 * The conditions the fields describe, checked by the document's own schema. `kept` is the conditions as they were:
 * what has no field (changes with time, shear, level) stays.
 */
export function fromForm(
  form: ConditionsForm,
  { speed, length }: Units,
  kept?: Conditions,
): Result<Conditions> {
  const given = (value: number | undefined) =>
    value === undefined || Number.isNaN(value) ? undefined : tidy(lengthFrom(value, length), 3);
  return check<Conditions>(conditionsSchema, {
    ...kept,
    wind: {
      ...kept?.wind,
      from_deg: form.windFrom,
      speed_mps: tidy(speedFrom(form.windSpeed, speed), 4),
      gusts:
        form.gusts === 0
          ? undefined
          : { ...kept?.wind.gusts, intensity: tidy(form.gusts / 100, 3), seed: form.seed },
      shelter: form.shelter || undefined,
    },
    stream: {
      ...kept?.stream,
      set_deg: form.streamSet,
      speed_mps: tidy(speedFrom(form.streamSpeed, speed), 4),
      bankWidth_m: given(form.bankWidth),
      eddies: form.eddies || undefined,
    },
    water: form.water,
    depth_m: given(form.depth),
    walls: form.walls || undefined,
  });
}

/** What is wrong, by field; limits are told in the unit on screen. */
export function fieldErrors(
  problems: readonly Problem[],
  { speed }: Units,
  most: { wind: number; stream: number },
): Partial<Record<keyof ConditionsForm, { type: string; message: string }>> {
  return Object.fromEntries(
    problems.flatMap(({ path, message }) => {
      const field = FIELDS[path];
      if (!field) return [];
      const told =
        field === 'windSpeed'
          ? mostText(most.wind, speed)
          : field === 'streamSpeed'
            ? mostText(most.stream, speed)
            : field === 'gusts'
              ? 'give a number from 0 to 50 %'
              : message;
      return [[field, { type: 'range', message: told }]];
    }),
  );
}
