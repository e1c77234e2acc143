'use client';
import { Controller, useFormContext, type FieldPath } from 'react-hook-form';
import { Choice, type ChoiceOption } from '../parts/Choice';
import { NumberField } from '../parts/Field';
import type { BeatForm } from './beat-form';

type Name = FieldPath<BeatForm>;

/** A number of the beat form, by its field's name. */
export function RowNumber({
  name,
  label,
  unit,
  width,
}: {
  name: Name;
  label: string;
  unit: string;
  width?: number;
}) {
  const { register, getFieldState, formState } = useFormContext<BeatForm>();
  return (
    <NumberField
      label={label}
      unit={unit}
      width={width}
      registration={register(name, { valueAsNumber: true })}
      error={getFieldState(name, formState).error?.message}
    />
  );
}

/** One of a short list, by its field's name. */
export function RowChoice({
  name,
  label,
  options,
}: {
  name: Name;
  label: string;
  options: readonly ChoiceOption<string>[];
}) {
  const { control } = useFormContext<BeatForm>();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Choice<string>
          label={label}
          value={String(field.value)}
          options={options}
          onChange={field.onChange}
        />
      )}
    />
  );
}
