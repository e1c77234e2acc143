'use client';
import { Minus, Plus } from 'lucide-react';
import { Controller, useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Choice, type ChoiceOption } from '../parts/Choice';
import { IconButton } from '../parts/IconButton';
import type { Units } from '../words/units';
import type { StepForm } from './step-form';
import { HERSELF, type CueRow } from './cue-rows';
import { CrewCueFields } from './CrewCueFields';
import { LineFields } from './LineFields';
import { LockCueFields } from './LockOrderFields';
import { useNames } from './use-names';
import { RowChoice, RowMark, RowNumber } from './RowFields';

const KINDS: readonly ChoiceOption<CueRow['is']>[] = [
  { value: 'start', text: 'at the start' },
  { value: 'after', text: 'seconds after the last step' },
  { value: 'heading', text: 'heading reached' },
  { value: 'turned', text: 'turned through' },
  { value: 'speed', text: 'speed' },
  { value: 'abeam', text: 'point abreast of a mark' },
  { value: 'within', text: 'point near a mark' },
  { value: 'stopped', text: 'stopped' },
  { value: 'sternway', text: 'sternway begun' },
  { value: 'line', text: 'a line is' },
  { value: 'crew', text: 'one of the crew is' },
  { value: 'lock', text: 'a lock is' },
];

const JOINS: readonly ChoiceOption<StepForm['join']>[] = [
  { value: 'only', text: 'when' },
  { value: 'any', text: 'when any of' },
  { value: 'all', text: 'when all of' },
];

export const SIDES: readonly ChoiceOption<'port' | 'starboard'>[] = [
  { value: 'port', text: 'port' },
  { value: 'starboard', text: 'starboard' },
];

const COMPARISONS: readonly ChoiceOption<string>[] = [
  { value: 'below', text: 'below' },
  { value: 'above', text: 'above' },
];

export const SPEEDS_OVER: readonly ChoiceOption<string>[] = [
  { value: 'water', text: 'through the water' },
  { value: 'ground', text: 'over ground' },
];

export const names = (list: readonly string[]): ChoiceOption<string>[] =>
  list.map((value) => ({ value, text: value }));

const MOST_CUES = 6;

interface Props {
  fresh: CueRow;
  points: readonly string[];
  marks: readonly string[];
  units: Units;
}

/** One cue, or any or all of several. */
export function CueFields({ fresh, points, marks, units }: Props) {
  const { control } = useFormContext<StepForm>();
  const { fields, append, remove } = useFieldArray({ control, name: 'cues' });
  const join = useWatch({ control, name: 'join' });
  return (
    <div className="flex flex-col gap-1">
      <div className="flex items-center gap-1">
        <Controller
          control={control}
          name="join"
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
          <IconButton label="Add a cue" onClick={() => append(fresh)}>
            <Plus size={15} />
          </IconButton>
        )}
      </div>
      {fields.map((field, i) => (
        <div key={field.id} className="flex items-start gap-1">
          <CueRowFields index={i} points={points} marks={marks} units={units} />
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

function CueRowFields({ index, points, marks, units }: Omit<Props, 'fresh'> & { index: number }) {
  const { control } = useFormContext<StepForm>();
  const is = useWatch({ control, name: `cues.${index}.is` });
  const { others } = useNames();
  const at = `cues.${index}` as const;
  return (
    <div className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-2 gap-y-1">
      <RowChoice name={`${at}.is`} label="Cue" options={KINDS} />
      {is === 'after' && (
        <RowNumber name={`${at}.seconds`} label="Seconds after the last step" unit="s" width={66} />
      )}
      {is === 'heading' && <RowNumber name={`${at}.heading`} label="Heading" unit="°" />}
      {is === 'turned' && (
        <>
          <RowNumber name={`${at}.turned`} label="Degrees turned" unit="°" />
          <RowChoice name={`${at}.side`} label="Turned to" options={SIDES} />
        </>
      )}
      {is === 'speed' && (
        <>
          <RowChoice name={`${at}.compare`} label="Below or above" options={COMPARISONS} />
          <RowNumber name={`${at}.speed`} label="Speed" unit={units.speed} />
          <RowChoice name={`${at}.over`} label="Speed over" options={SPEEDS_OVER} />
        </>
      )}
      {is === 'stopped' && others.length > 0 && (
        <RowChoice name={`${at}.boat`} label="Which boat" options={names([HERSELF, ...others])} />
      )}
      {is === 'line' && <LineFields at={at} />}
      {is === 'crew' && <CrewCueFields at={at} />}
      {is === 'lock' && <LockCueFields at={at} />}
      {(is === 'abeam' || is === 'within') && (
        <>
          <RowChoice name={`${at}.point`} label="Point of a boat" options={names(points)} />
          {is === 'within' && (
            <RowNumber name={`${at}.distance`} label="Distance" unit={units.length} />
          )}
          <span className="text-quiet">{is === 'abeam' ? 'abreast of' : 'off'}</span>
          <RowMark name={`${at}.mark`} label="Mark" options={names(marks)} />
        </>
      )}
    </div>
  );
}
