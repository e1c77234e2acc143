'use client';
import { Minus } from 'lucide-react';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import type { ChoiceOption } from '../parts/Choice';
import { IconButton } from '../parts/IconButton';
import type { Units } from '../words/units';
import type { StepForm } from './step-form';
import type { ExpectRow } from './expect-rows';
import { names, SIDES, SPEEDS_OVER } from './CueFields';
import { LineFields } from './LineFields';
import { RowChoice, RowMark, RowNumber } from './RowFields';

const KINDS: readonly ChoiceOption<ExpectRow['is']>[] = [
  { value: 'clear', text: 'clear of everything by' },
  { value: 'heading', text: 'heading' },
  { value: 'speed', text: 'speed' },
  { value: 'turning', text: 'turning to' },
  { value: 'near', text: 'point near a mark' },
  { value: 'line', text: 'a line is' },
];

const MOMENTS: readonly ChoiceOption<string>[] = [
  { value: 'next', text: 'by the next step' },
  { value: 'after', text: 'some seconds on' },
];

interface Props {
  fresh: ExpectRow;
  points: readonly string[];
  marks: readonly string[];
  units: Units;
}

/** What should be seen if it works. One that is not met is reported in the run. */
export function ExpectRows({ fresh, points, marks, units }: Props) {
  const { control } = useFormContext<StepForm>();
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
  const { control } = useFormContext<StepForm>();
  const at = `expect.${index}` as const;
  const row = useWatch({ control, name: at });
  return (
    <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-2 gap-y-1">
      <RowChoice name={`${at}.is`} label="Expectation" options={KINDS} />
      {row.is === 'clear' && (
        <RowNumber name={`${at}.clear`} label="Least clearance" unit={units.length} width={52} />
      )}
      {row.is === 'heading' && (
        <>
          <RowNumber name={`${at}.heading`} label="Expected heading" unit="°" width={52} />
          <RowNumber
            name={`${at}.headingWithin`}
            label="Give or take"
            unit="° either way"
            width={52}
          />
        </>
      )}
      {row.is === 'speed' && (
        <>
          <RowNumber name={`${at}.least`} label="Least speed" unit="to" width={52} />
          <RowNumber name={`${at}.most`} label="Most speed" unit={units.speed} width={52} />
          <RowChoice name={`${at}.over`} label="Speed over" options={SPEEDS_OVER} />
        </>
      )}
      {row.is === 'line' && <LineFields at={at} />}
      {row.is === 'turning' && <RowChoice name={`${at}.to`} label="Turning to" options={SIDES} />}
      {row.is === 'near' && (
        <>
          <RowChoice name={`${at}.point`} label="Point of a boat" options={names(points)} />
          <RowNumber name={`${at}.distance`} label="Distance" unit={units.length} width={52} />
          <span className="text-quiet">off</span>
          <RowMark name={`${at}.mark`} label="Mark" options={names(marks)} />
        </>
      )}
      <RowChoice name={`${at}.at`} label="When it is looked at" options={MOMENTS} />
      {row.at === 'after' && (
        <RowNumber name={`${at}.after`} label="Seconds after the cue" unit="s" width={52} />
      )}
    </div>
  );
}
