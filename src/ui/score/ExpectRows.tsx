'use client';
import { Minus } from 'lucide-react';
import { Controller, useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Choice, type ChoiceOption } from '../parts/Choice';
import { NumberField } from '../parts/Field';
import { IconButton } from '../parts/IconButton';
import type { Units } from '../words/units';
import type { BeatForm, ExpectRow } from './beat-form';
import { names, SIDES } from './CueFields';

const KINDS: readonly ChoiceOption<ExpectRow['is']>[] = [
  { value: 'clear', text: 'clear of everything by' },
  { value: 'heading', text: 'heading' },
  { value: 'speed', text: 'speed' },
  { value: 'turning', text: 'turning to' },
  { value: 'near', text: 'point near a mark' },
];

interface Props {
  fresh: ExpectRow;
  points: readonly string[];
  marks: readonly string[];
  units: Units;
}

/** What should be seen if it works. One that is not met is reported in the take. */
export function ExpectRows({ fresh, points, marks, units }: Props) {
  const { control } = useFormContext<BeatForm>();
  const { fields, append, remove } = useFieldArray({ control, name: 'expect' });
  return (
    <div>
      {fields.map((field, i) => (
        <div key={field.id} className="flex items-start gap-1 py-0.5">
          <ExpectFields index={i} points={points} marks={marks} units={units} />
          <IconButton label={`Remove expectation ${i + 1}`} onClick={() => remove(i)}>
            <Minus size={15} />
          </IconButton>
        </div>
      ))}
      <button
        type="button"
        className="min-h-7 text-plan underline decoration-1 underline-offset-3"
        onClick={() => append(fresh)}
      >
        add an expectation
      </button>
    </div>
  );
}

function ExpectFields({ index, points, marks, units }: Omit<Props, 'fresh'> & { index: number }) {
  const { control, register, formState } = useFormContext<BeatForm>();
  const at = `expect.${index}` as const;
  const row = useWatch({ control, name: at });
  const errors = formState.errors.expect?.[index];
  const number = (
    name: 'after' | 'heading' | 'headingWithin' | 'least' | 'most' | 'clear' | 'distance',
    label: string,
    unit: string,
  ) => (
    <NumberField
      label={label}
      unit={unit}
      width={44}
      registration={register(`${at}.${name}`, { valueAsNumber: true })}
      error={errors?.[name]?.message}
    />
  );
  const choice = (
    name: 'is' | 'at' | 'over' | 'to' | 'point' | 'mark',
    label: string,
    options: readonly ChoiceOption<string>[],
  ) => (
    <Controller
      control={control}
      name={`${at}.${name}`}
      render={({ field }) => (
        <Choice<string>
          label={label}
          value={field.value}
          options={options}
          onChange={field.onChange}
        />
      )}
    />
  );
  return (
    <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-2 gap-y-1">
      {choice('is', 'Expectation', KINDS)}
      {row.is === 'clear' && number('clear', 'Least clearance', units.length)}
      {row.is === 'heading' && (
        <>
          {number('heading', 'Expected heading', '°')}
          {number('headingWithin', 'Give or take', '° either way')}
        </>
      )}
      {row.is === 'speed' && (
        <>
          {number('least', 'Least speed', 'to')}
          {number('most', 'Most speed', units.speed)}
          {choice('over', 'Speed over', [
            { value: 'water', text: 'through the water' },
            { value: 'ground', text: 'over ground' },
          ])}
        </>
      )}
      {row.is === 'turning' && choice('to', 'Turning to', SIDES)}
      {row.is === 'near' && (
        <>
          {choice('point', 'Point of the boat', names(points))}
          {number('distance', 'Distance', units.length)}
          <span className="text-quiet">from</span>
          {choice('mark', 'Mark', names(marks))}
        </>
      )}
      {choice('at', 'When it is looked at', [
        { value: 'next', text: 'by the next beat' },
        { value: 'after', text: 'some seconds on' },
      ])}
      {row.at === 'after' && number('after', 'Seconds after the cue', 's')}
    </div>
  );
}
