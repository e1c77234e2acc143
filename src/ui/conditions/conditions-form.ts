import { check, conditionsSchema, type Conditions, type Problem, type Result } from '@/document';
import { speedFrom, speedIn, tidy, type Units } from '../words/units';

/** Conditions as fields, in the user's units. */
export interface ConditionsForm {
  windFrom: number;
  windSpeed: number;
  streamSet: number;
  streamSpeed: number;
  water: Conditions['water'];
}

export function toForm({ wind, stream, water }: Conditions, { speed }: Units): ConditionsForm {
  return {
    windFrom: tidy(wind.from_deg, 0),
    windSpeed: tidy(speedIn(wind.speed_mps, speed)),
    streamSet: tidy(stream.set_deg, 0),
    streamSpeed: tidy(speedIn(stream.speed_mps, speed)),
    water,
  };
}

const FIELDS: Readonly<Record<string, keyof ConditionsForm>> = {
  'wind.from_deg': 'windFrom',
  'wind.speed_mps': 'windSpeed',
  'stream.set_deg': 'streamSet',
  'stream.speed_mps': 'streamSpeed',
};

const mostText = (mps: number, unit: Units['speed']) =>
  `give a number from 0 to ${speedIn(mps, unit).toFixed(unit === 'kn' ? 0 : 1)} ${unit}`;

/** The conditions the fields describe, checked by the document's own schema. */
export function fromForm(form: ConditionsForm, { speed }: Units): Result<Conditions> {
  return check(conditionsSchema, {
    wind: { from_deg: form.windFrom, speed_mps: tidy(speedFrom(form.windSpeed, speed), 4) },
    stream: { set_deg: form.streamSet, speed_mps: tidy(speedFrom(form.streamSpeed, speed), 4) },
    water: form.water,
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
            : message;
      return [[field, { type: 'range', message: told }]];
    }),
  );
}
