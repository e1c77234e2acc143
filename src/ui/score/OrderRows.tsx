'use client';
import { Minus } from 'lucide-react';
import { Controller, useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Choice, type ChoiceOption } from '../parts/Choice';
import { NumberField, TextField } from '../parts/Field';
import { IconButton } from '../parts/IconButton';
import { freshOrder, type BeatForm, type OrderRow } from './beat-form';
import { SIDES } from './CueFields';

const GEARS: readonly ChoiceOption<OrderRow['gear']>[] = [
  { value: 'ahead', text: 'ahead' },
  { value: 'neutral', text: 'neutral' },
  { value: 'astern', text: 'astern' },
];

const ADD: readonly { kind: OrderRow['do']; text: string }[] = [
  { kind: 'wheel', text: 'wheel' },
  { kind: 'engine', text: 'engine' },
  { kind: 'call', text: 'call' },
];

/** What the helm and the voices do, in order, each some seconds after the cue. */
export function OrderRows({ name }: { name: 'orders' | 'wayOrders' }) {
  const { control } = useFormContext<BeatForm>();
  const { fields, append, remove } = useFieldArray({ control, name });
  return (
    <div>
      {fields.length > 0 && (
        <p className="text-[12px] text-quiet">seconds after the cue, then what</p>
      )}
      {fields.map((field, i) => (
        <div key={field.id} className="flex items-start gap-1 py-0.5">
          <OrderFields name={name} index={i} />
          <IconButton label={`Remove order ${i + 1}`} onClick={() => remove(i)}>
            <Minus size={15} />
          </IconButton>
        </div>
      ))}
      <p className="flex items-center gap-3 text-quiet">
        add
        {ADD.map(({ kind, text }) => (
          <button
            key={kind}
            type="button"
            className="min-h-7 text-plan underline decoration-1 underline-offset-3"
            onClick={() => append(freshOrder(kind))}
          >
            {text}
          </button>
        ))}
      </p>
    </div>
  );
}

function OrderFields({ name, index }: { name: 'orders' | 'wayOrders'; index: number }) {
  const { control, register, formState } = useFormContext<BeatForm>();
  const at = `${name}.${index}` as const;
  const row = useWatch({ control, name: at });
  const errors = formState.errors[name]?.[index];
  return (
    <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-1.5 gap-y-1">
      <NumberField
        label="Seconds after the cue"
        unit="s"
        width={28}
        registration={register(`${at}.after`, { valueAsNumber: true })}
        error={errors?.after?.message}
      />
      {row.do === 'wheel' && (
        <>
          <span className="font-semibold">Wheel</span>
          <NumberField
            label="Rudder angle"
            width={40}
            unit="°"
            min={0}
            registration={register(`${at}.angle`, { valueAsNumber: true })}
            error={errors?.angle?.message}
          />
          <Controller
            control={control}
            name={`${at}.side`}
            render={({ field }) => (
              <Choice
                label="Wheel to"
                value={field.value}
                options={SIDES}
                onChange={field.onChange}
              />
            )}
          />
        </>
      )}
      {row.do === 'engine' && (
        <>
          <span className="font-semibold">Engine</span>
          <Controller
            control={control}
            name={`${at}.gear`}
            render={({ field }) => (
              <Choice label="Gear" value={field.value} options={GEARS} onChange={field.onChange} />
            )}
          />
          {row.gear !== 'neutral' && (
            <NumberField
              label="Throttle above idle"
              width={40}
              unit="%"
              registration={register(`${at}.throttle`, { valueAsNumber: true })}
              error={errors?.throttle?.message}
            />
          )}
        </>
      )}
      {row.do === 'call' && (
        <>
          <span className="font-semibold">Call</span>
          <TextField
            label="What is called"
            registration={register(`${at}.text`)}
            error={errors?.text?.message}
          />
        </>
      )}
    </div>
  );
}
