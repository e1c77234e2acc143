'use client';
import { Minus } from 'lucide-react';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { EXPECTATIONS, type ExpectationName } from '@/core/plan';
import { Choice, type ChoiceOption } from '../parts/Choice';
import { IconButton } from '../parts/IconButton';
import { EXPECTATION_VIEWS, freshExpect, viewOfExpectation } from './expectations';
import { worded } from './options';
import { keptValues } from './part-values';
import { RowChoice, RowNumber } from './RowFields';
import type { StepForm } from './step-form';
import { firstOf, useNames } from './use-names';

const KINDS: readonly ChoiceOption<ExpectationName>[] = (
  Object.keys(EXPECTATION_VIEWS) as ExpectationName[]
).map((value) => ({ value, text: viewOfExpectation(value).title }));

const MOMENTS = worded({ next: 'by the next step', after: 'some seconds on' });
const CHANGED = { shouldDirty: true, shouldTouch: true, shouldValidate: true };

/** What should be seen if it works. One that is not met is reported in the run. */
export function ExpectRows() {
  const { control } = useFormContext<StepForm>();
  const { fields, append, remove } = useFieldArray({ control, name: 'expect' });
  const names = useNames();
  return (
    <div>
      {fields.map((field, i) => (
        <div key={field.id} className="flex items-start gap-1 py-0.5">
          <ExpectFields index={i} />
          <IconButton label={`Remove expectation ${i + 1}`} onClick={() => remove(i)}>
            <Minus size={15} />
          </IconButton>
        </div>
      ))}
      <button
        type="button"
        className="min-h-7 text-plan underline decoration-1 underline-offset-3"
        onClick={() => append(freshExpect(firstOf(names)))}
      >
        add an expectation
      </button>
    </div>
  );
}

function ExpectFields({ index }: { index: number }) {
  const { control, setValue } = useFormContext<StepForm>();
  const at = `expect.${index}` as const;
  const row = useWatch({ control, name: at });
  const names = useNames();
  const { Fields } = viewOfExpectation(row.is);
  const become = (is: ExpectationName) => {
    const fresh = freshExpect(firstOf(names), is);
    const values = keptValues(
      fresh.values,
      EXPECTATIONS[is].parameters,
      row.values,
      EXPECTATIONS[row.is].parameters,
    );
    setValue(at, { ...row, is, values }, CHANGED);
  };
  return (
    <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-2 gap-y-1">
      <Choice label="Expectation" value={row.is} options={KINDS} onChange={become} />
      <Fields key={row.is} at={`${at}.values`} values={row.values} />
      <RowChoice name={`${at}.at`} label="When it is looked at" options={MOMENTS} />
      {row.at === 'after' && (
        <RowNumber name={`${at}.after`} label="Seconds after the cue" unit="s" width={52} />
      )}
    </div>
  );
}
