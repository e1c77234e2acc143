'use client';
import { Minus } from 'lucide-react';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import type { OrderName } from '@/core/plan';
import { IconButton } from '../parts/IconButton';
import { useWorkspace } from '../state/context';
import { freshOrder, ORDER_VIEWS, viewOfOrder } from './orders';
import { RowNumber } from './RowFields';
import type { StepForm } from './step-form';
import { firstOf, useNames } from './use-names';

/** What the helm and the voices do, in order, each some seconds after the cue. */
export function OrderRows({ name }: { name: 'orders' | 'wayOrders' }) {
  const { control } = useFormContext<StepForm>();
  const { fields, append, remove } = useFieldArray({ control, name });
  const boat = useWorkspace((s) => s.boat);
  const names = useNames();
  const offered = (Object.keys(ORDER_VIEWS) as OrderName[]).flatMap((order) => {
    const text = viewOfOrder(order).add(names, boat);
    return text === null ? [] : [{ order, text }];
  });
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
      <p className="flex flex-wrap items-center gap-x-3 text-quiet">
        add
        {offered.map(({ order, text }) => (
          <button
            key={order}
            type="button"
            className="min-h-7 text-plan underline decoration-1 underline-offset-3"
            onClick={() => append(freshOrder(order, firstOf(names)))}
          >
            {text}
          </button>
        ))}
      </p>
    </div>
  );
}

function OrderFields({ name, index }: { name: 'orders' | 'wayOrders'; index: number }) {
  const { control } = useFormContext<StepForm>();
  const at = `${name}.${index}` as const;
  const row = useWatch({ control, name: at });
  const { title, Fields } = viewOfOrder(row.do);
  return (
    <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-1.5 gap-y-1">
      <RowNumber name={`${at}.after`} label="Seconds after the cue" unit="s" width={42} />
      <span className="font-semibold">{title}</span>
      {Fields && <Fields at={`${at}.values`} values={row.values} />}
    </div>
  );
}
