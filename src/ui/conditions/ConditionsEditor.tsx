'use client';
import { useEffect, useMemo, useRef } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { MOST_STREAM_MPS, MOST_WIND_MPS } from '@/document';
import { Choice } from '../parts/Choice';
import { NumberField, Part } from '../parts/Field';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { usePreferences } from '../state/preferences';
import { fieldErrors, fromForm, toForm, type ConditionsForm } from './conditions-form';

const MOST = { wind: MOST_WIND_MPS, stream: MOST_STREAM_MPS };

/** Wind, stream and water in figures; the same as the grips on the water. */
export function ConditionsEditor() {
  const store = useWorkspaceStore();
  const conditions = useWorkspace((s) => s.manoeuvre.conditions);
  const speed = usePreferences((p) => p.speed);
  const length = usePreferences((p) => p.length);
  const units = useMemo(() => ({ speed, length }), [speed, length]);
  const { register, control, reset, subscribe, getValues, trigger, formState } =
    useForm<ConditionsForm>({
      defaultValues: toForm(conditions, units),
      mode: 'onChange',
      resolver: (form) => {
        const result = fromForm(form, units);
        return result.ok
          ? { values: form, errors: {} }
          : { values: {}, errors: fieldErrors(result.problems, units, MOST) };
      },
    });
  const { errors } = formState;
  const made = useRef(conditions);

  useEffect(() => {
    if (conditions === made.current) return;
    made.current = conditions;
    reset(toForm(conditions, units));
  }, [conditions, units, reset]);

  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback: () => {
          const result = fromForm(getValues(), units);
          void trigger();
          if (!result.ok || JSON.stringify(result.value) === JSON.stringify(made.current)) return;
          const next = result.value;
          store.getState().edit((m) => {
            m.conditions = next;
          });
          made.current = store.getState().manoeuvre.conditions;
        },
      }),
    [subscribe, getValues, trigger, store, units],
  );

  const number = (name: Exclude<keyof ConditionsForm, 'water'>, label: string, unit: string) => (
    <NumberField
      label={label}
      unit={unit}
      width={56}
      registration={register(name, { valueAsNumber: true })}
      error={errors[name]?.message}
    />
  );

  return (
    <form aria-label="Conditions" onSubmit={(event) => event.preventDefault()}>
      <Part name="Wind, 10 m above the water, named by where it comes from">
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {number('windSpeed', 'Wind speed', units.speed)}
          {number('windFrom', 'Wind from', '° from')}
        </div>
      </Part>
      <Part name="Stream, named by where it sets to">
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {number('streamSpeed', 'Stream speed', units.speed)}
          {number('streamSet', 'Stream sets to', '° to')}
        </div>
      </Part>
      <Part name="Water">
        <Controller
          control={control}
          name="water"
          render={({ field }) => (
            <Choice
              label="Water"
              value={field.value}
              options={[
                { value: 'sea', text: 'sea water, 1025 kg/m³' },
                { value: 'fresh', text: 'fresh water, 1000 kg/m³' },
              ]}
              onChange={field.onChange}
            />
          )}
        />
      </Part>
    </form>
  );
}
