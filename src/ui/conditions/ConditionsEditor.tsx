'use client';
import { useMemo } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { MOST_STREAM_MPS, MOST_WIND_MPS } from '@/document';
import { useLiveForm } from '../hooks/use-live-form';
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
  const form = useForm<ConditionsForm>({
    defaultValues: toForm(conditions, units),
    mode: 'onChange',
    resolver: (values) => {
      const result = fromForm(values, units);
      return result.ok
        ? { values, errors: {} }
        : { values: {}, errors: fieldErrors(result.problems, units, MOST) };
    },
  });
  const { register, control } = form;
  const { errors } = form.formState;
  useLiveForm(
    form,
    conditions,
    (part) => toForm(part, units),
    (values) => fromForm(values, units),
    (next) => {
      store.getState().edit((m) => {
        m.conditions = next;
      });
      return store.getState().manoeuvre.conditions;
    },
    units,
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
