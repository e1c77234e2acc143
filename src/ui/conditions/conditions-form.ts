import type { z } from 'zod';
import { USUAL_VEER_S } from '@/core/policy';
import { STANDARD_SPREAD, type Distribution } from '@/core/uncertainty';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { check, conditionsSchema, type Conditions, type Problem, type Result } from '@/document';
import { lengthFrom, lengthIn, speedFrom, speedIn, tidy, type Units } from '../words/units';

/** Conditions as fields, in the user's units. */
export interface ConditionsForm {
  windFrom: number;
  windSpeed: number;
  currentSet: number;
  currentSpeed: number;
  water: Conditions['water'];
  /** Per cent of the mean; 0 for a steady wind. */
  gusts: number;
  seed: number;
  /** Where it has veered or backed to, ° from, and in how many seconds; undefined or NaN where it stays. */
  veerTo: number | undefined;
  veerIn: number | undefined;
  shelter: boolean;
  /** Width of the weaker belt along banks; undefined or NaN for none. */
  bankWidth: number | undefined;
  eddies: boolean;
  depth: number | undefined;
  /** Level over nought as it begins; undefined or NaN for none told. */
  level: number | undefined;
  walls: boolean;
  /** Wash of screws; the first wash that passes: seconds, ° from, and height; undefined or NaN for none. */
  wash: boolean;
  washAt: number | undefined;
  washFrom: number | undefined;
  washHeight: number | undefined;
  /** How far wind and current may be out: per cent, and degrees; undefined or NaN for as a forecast of the day is. */
  windOut: number | undefined;
  windFromOut: number | undefined;
  currentOut: number | undefined;
  currentSetOut: number | undefined;
}

export function toForm(
  { wind, current, water, depth_m, level, walls, wash }: Conditions,
  { speed, length }: Units,
): ConditionsForm {
  const metres = (m: number | undefined) =>
    m === undefined ? undefined : tidy(lengthIn(m, length));
  return {
    windFrom: tidy(wind.from_deg, 0),
    windSpeed: tidy(speedIn(wind.speed_mps, speed)),
    currentSet: tidy(current.set_deg, 0),
    currentSpeed: tidy(speedIn(current.speed_mps, speed)),
    water,
    gusts: tidy(100 * (wind.gusts?.intensity ?? 0), 0),
    seed: wind.gusts?.seed ?? 1,
    ...veerOf(wind),
    shelter: wind.shelter ?? false,
    bankWidth: metres(current.bankWidth_m),
    eddies: current.eddies ?? false,
    depth: metres(depth_m),
    level: metres(level?.[0]?.level_m),
    walls: walls ?? false,
    wash: wash?.screws ?? false,
    washAt: wash?.passing[0]?.at_s,
    washFrom: wash?.passing[0] && tidy(wash.passing[0].from_deg, 0),
    washHeight: metres(wash?.passing[0]?.height_m),
    windOut: wind.spread?.speed_pct,
    windFromOut: wind.spread?.from_deg,
    currentOut: current.spread?.speed_pct,
    currentSetOut: current.spread?.set_deg,
  };
}

/** How far out, where either is given; what is not is as the standard spread has it. */
function outFrom<F extends string>(
  share: number | undefined,
  degrees: number | undefined,
  standard: readonly [share: number, degrees: number],
  direction: F,
): ({ speed_pct: number } & Record<F, number>) | undefined {
  const none = (value: number | undefined) => value === undefined || Number.isNaN(value);
  if (none(share) && none(degrees)) return undefined;
  const [usualShare, usualDegrees] = standard;
  return {
    speed_pct: none(share) ? usualShare : share!,
    [direction]: none(degrees) ? usualDegrees : degrees!,
  } as { speed_pct: number } & Record<F, number>;
}

/** Deviations of the standard spread, per cent and degrees. */
const deviation = (of: Distribution | null, times: number) =>
  of?.is === 'normal' ? Math.round(of.sd * times) : 0;
const USUAL_WIND = [
  deviation(STANDARD_SPREAD.windSpeed, 100),
  deviation(STANDARD_SPREAD.windFrom, DEGREES_PER_RADIAN),
] as const;
const USUAL_CURRENT = [
  deviation(STANDARD_SPREAD.current, 100),
  deviation(STANDARD_SPREAD.currentSet, DEGREES_PER_RADIAN),
] as const;

/** The one change of a wind that only turns; nothing where it changes otherwise, which is kept as it is. */
function veerOf({
  speed_mps,
  changes,
}: Conditions['wind']): Pick<ConditionsForm, 'veerTo' | 'veerIn'> {
  const [one, more] = changes ?? [];
  if (!one || more || one.speed_mps !== speed_mps) return { veerTo: undefined, veerIn: undefined };
  return { veerTo: tidy(one.from_deg, 0), veerIn: tidy(one.at_s, 0) };
}

function changesFrom(
  { veerTo, veerIn }: ConditionsForm,
  speed_mps: number,
  kept: Conditions | undefined,
): Conditions['wind']['changes'] {
  const none = (value: number | undefined) => value === undefined || Number.isNaN(value);
  if (!none(veerTo))
    return [{ at_s: none(veerIn) ? USUAL_VEER_S : veerIn!, from_deg: veerTo!, speed_mps }];
  const was = kept && veerOf(kept.wind);
  return was && was.veerTo === undefined ? kept.wind.changes : undefined;
}

const FIELDS: Readonly<Record<string, keyof ConditionsForm>> = {
  'wind.from_deg': 'windFrom',
  'wind.speed_mps': 'windSpeed',
  'current.set_deg': 'currentSet',
  'current.speed_mps': 'currentSpeed',
  'wind.gusts.intensity': 'gusts',
  'wind.gusts.seed': 'seed',
  'wind.changes[0].from_deg': 'veerTo',
  'wind.changes[0].at_s': 'veerIn',
  'current.bankWidth_m': 'bankWidth',
  'wash.passing[0].at_s': 'washAt',
  'wash.passing[0].from_deg': 'washFrom',
  'wash.passing[0].height_m': 'washHeight',
  'wind.spread.speed_pct': 'windOut',
  'wind.spread.from_deg': 'windFromOut',
  'current.spread.speed_pct': 'currentOut',
  'current.spread.set_deg': 'currentSetOut',
  depth_m: 'depth',
  'level[0].level_m': 'level',
};

const mostText = (mps: number, unit: Units['speed']) =>
  `give a number from 0 to ${speedIn(mps, unit).toFixed(unit === 'kn' ? 0 : 1)} ${unit}`;

/**
 * The conditions the fields describe, checked by the document's own schema. `kept` is the conditions as they were:
 * what has no field (changes with time, shear) stays.
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
      spread: outFrom(form.windOut, form.windFromOut, USUAL_WIND, 'from_deg'),
      changes: changesFrom(form, tidy(speedFrom(form.windSpeed, speed), 4), kept),
    },
    current: {
      ...kept?.current,
      set_deg: form.currentSet,
      speed_mps: tidy(speedFrom(form.currentSpeed, speed), 4),
      bankWidth_m: given(form.bankWidth),
      eddies: form.eddies || undefined,
      spread: outFrom(form.currentOut, form.currentSetOut, USUAL_CURRENT, 'set_deg'),
    },
    water: form.water,
    depth_m: given(form.depth),
    level: levelFrom(given(form.level), kept),
    walls: form.walls || undefined,
    wash: washFrom(form, given(form.washHeight), kept),
  });
}

/** Wash as the fields have it; what passes later stays as it was. */
function washFrom(
  { wash, washAt, washFrom: from }: ConditionsForm,
  height_m: number | undefined,
  kept: Conditions | undefined,
): z.input<typeof conditionsSchema>['wash'] {
  const [was, ...later] = kept?.wash?.passing ?? [];
  const passes = height_m !== undefined && washAt !== undefined && !Number.isNaN(washAt);
  const from_deg = from === undefined || Number.isNaN(from) ? 0 : from;
  const passing = passes ? [{ ...was, at_s: washAt, from_deg, height_m }, ...later] : later;
  return wash || passing.length > 0 ? { screws: wash, passing } : undefined;
}

/** The same level from start to end; as it was where it still begins so. */
function levelFrom(level_m: number | undefined, kept: Conditions | undefined): Conditions['level'] {
  if (level_m === undefined) return undefined;
  const was = kept?.level?.[0]?.level_m;
  if (was !== undefined && Math.abs(was - level_m) < 0.006) return kept!.level;
  return [{ at_s: 0, level_m }];
}

/** What is wrong, by field; limits are told in the unit on screen. */
export function fieldErrors(
  problems: readonly Problem[],
  { speed }: Units,
  most: { wind: number; current: number },
): Partial<Record<keyof ConditionsForm, { type: string; message: string }>> {
  return Object.fromEntries(
    problems.flatMap(({ path, message }) => {
      const field = FIELDS[path];
      if (!field) return [];
      const told =
        field === 'windSpeed'
          ? mostText(most.wind, speed)
          : field === 'currentSpeed'
            ? mostText(most.current, speed)
            : field === 'gusts'
              ? 'give a number from 0 to 50 %'
              : message;
      return [[field, { type: 'range', message: told }]];
    }),
  );
}
