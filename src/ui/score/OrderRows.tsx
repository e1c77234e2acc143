'use client';
import { Minus } from 'lucide-react';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import type { ChoiceOption } from '../parts/Choice';
import { TextField } from '../parts/Field';
import { IconButton } from '../parts/IconButton';
import { freshOrder, type BeatForm, type OrderRow } from './beat-form';
import { SIDES } from './CueFields';
import { RowChoice, RowNumber } from './RowFields';

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
  return (
    <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-1.5 gap-y-1">
      <RowNumber name={`${at}.after`} label="Seconds after the cue" unit="s" width={28} />
      {row.do === 'wheel' && (
        <>
          <span className="font-semibold">Wheel</span>
          <RowNumber name={`${at}.angle`} label="Rudder angle" unit="°" width={40} />
          <RowChoice name={`${at}.side`} label="Wheel to" options={SIDES} />
        </>
      )}
      {row.do === 'engine' && (
        <>
          <span className="font-semibold">Engine</span>
          <RowChoice name={`${at}.gear`} label="Gear" options={GEARS} />
          {row.gear !== 'neutral' && (
            <RowNumber name={`${at}.throttle`} label="Throttle above idle" unit="%" width={40} />
          )}
        </>
      )}
      {row.do === 'call' && (
        <>
          <span className="font-semibold">Call</span>
          <TextField
            label="What is called"
            registration={register(`${at}.text`)}
            error={formState.errors[name]?.[index]?.text?.message}
          />
        </>
      )}
    </div>
  );
}
