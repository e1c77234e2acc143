'use client';
import { Minus, Plus } from 'lucide-react';
import { Controller, useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { CUES, type CueName } from '@/core/plan';
import { Choice, type ChoiceOption } from '../parts/Choice';
import { IconButton } from '../parts/IconButton';
import { CUE_VIEWS, freshCue, viewOfCue } from './cues';
import { keptValues } from './part-values';
import type { StepForm } from './step-form';
import { firstOf, useNames } from './use-names';

const KINDS: readonly ChoiceOption<CueName>[] = (Object.keys(CUE_VIEWS) as CueName[]).map(
  (value) => ({ value, text: viewOfCue(value).title }),
);

const JOINS: readonly ChoiceOption<StepForm['join']>[] = [
  { value: 'only', text: 'when' },
  { value: 'any', text: 'when any of' },
  { value: 'all', text: 'when all of' },
];

const MOST_CUES = 6;
const CHANGED = { shouldDirty: true, shouldTouch: true, shouldValidate: true };

/** Where a cue stands in the fields of a step: what it begins by, or what it goes round again by. */
type CueAt = '' | 'again.';

/** One cue, or any or all of several. */
export function CueFields({ at = '' }: { at?: CueAt }) {
  const { control } = useFormContext<StepForm>();
  const { fields, append, remove } = useFieldArray({ control, name: `${at}cues` as 'cues' });
  const names = useNames();
  const join = useWatch({ control, name: `${at}join` as const });
  return (
    <div className="flex flex-col gap-1">
      <div className="flex items-center gap-1">
        <Controller
          control={control}
          name={`${at}join` as const}
          render={({ field }) => (
            <Choice
              label="How cues combine"
              value={field.value}
              options={JOINS}
              onChange={(value) => {
                field.onChange(value);
                if (value === 'only') while (fields.length > 1) remove(fields.length - 1);
              }}
            />
          )}
        />
        {join !== 'only' && fields.length < MOST_CUES && (
          <IconButton label="Add a cue" onClick={() => append(freshCue(firstOf(names)))}>
            <Plus size={15} />
          </IconButton>
        )}
      </div>
      {fields.map((field, i) => (
        <div key={field.id} className="flex items-start gap-1">
          <CueRowFields at={`${at}cues.${i}`} />
          {fields.length > 1 && (
            <IconButton label={`Remove cue ${i + 1}`} onClick={() => remove(i)}>
              <Minus size={15} />
            </IconButton>
          )}
        </div>
      ))}
    </div>
  );
}

function CueRowFields({ at }: { at: `${CueAt}cues.${number}` }) {
  const { control, setValue } = useFormContext<StepForm>();
  const row = useWatch({ control, name: at });
  const names = useNames();
  const { Fields } = viewOfCue(row.is);
  const become = (is: CueName) => {
    const fresh = freshCue(firstOf(names), is);
    const values = keptValues(
      fresh.values,
      CUES[is].parameters,
      row.values,
      CUES[row.is].parameters,
    );
    setValue(at, { is, values }, CHANGED);
  };
  return (
    <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-2 gap-y-1">
      <Choice label="Cue" value={row.is} options={KINDS} onChange={become} />
      {Fields && <Fields key={row.is} at={`${at}.values`} values={row.values} />}
    </div>
  );
}
