'use client';
import { Crosshair } from 'lucide-react';
import { Controller, useFormContext } from 'react-hook-form';
import { Choice, type ChoiceOption } from '../parts/Choice';
import { NumberField, TextField } from '../parts/Field';
import { useWorkspace } from '../state/context';

/** A field of the step's form by its path; which there are is the form's and its parts' own business. */
type Name = string;

function useMessage(name: Name): string | undefined {
  const { getFieldState, formState } = useFormContext();
  const message: unknown = getFieldState(name, formState).error?.message;
  return typeof message === 'string' ? message : undefined;
}

/** A number of the step form, by its field's name. */
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
  const { register } = useFormContext();
  return (
    <NumberField
      label={label}
      unit={unit}
      width={width}
      registration={register(name, { valueAsNumber: true })}
      error={useMessage(name)}
    />
  );
}

/** Words of the step form, by their field's name. */
export function RowText({ name, label }: { name: Name; label: string }) {
  const { register } = useFormContext();
  return <TextField label={label} registration={register(name)} error={useMessage(name)} />;
}

/** A mark of the place: from the list, or picked on the water. */
export function RowMark({
  name,
  label,
  options,
}: {
  name: Name;
  label: string;
  options: readonly ChoiceOption<string>[];
}) {
  const { setValue } = useFormContext();
  const picking = useWorkspace((s) => s.picking);
  const setPicking = useWorkspace((s) => s.setPicking);
  const on = picking?.what === name;
  return (
    <span className="inline-flex min-w-0 items-baseline gap-1">
      <RowChoice name={name} label={label} options={options} />
      <button
        type="button"
        aria-pressed={on}
        aria-label={`${label}: pick on the water`}
        title="Pick it on the water"
        className={`self-center p-0.5 hover:text-plan ${on ? 'bg-plan text-on-plan hover:text-on-plan' : ''}`}
        onClick={() =>
          setPicking(
            on
              ? null
              : {
                  what: name,
                  choose: (mark) =>
                    setValue(name, mark, {
                      shouldDirty: true,
                      shouldTouch: true,
                      shouldValidate: true,
                    }),
                },
          )
        }
      >
        <Crosshair size={15} aria-hidden />
      </button>
    </span>
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
  const { control } = useFormContext();
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
