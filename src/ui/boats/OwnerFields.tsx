'use client';
import { type ReactNode } from 'react';
import { Controller, useFormContext, useWatch, type FieldPath } from 'react-hook-form';
import { BLADE_KINDS, BOAT_CLASSES, KEEL_KINDS, PROPULSOR_KINDS } from '@/core/boat';
import { Choice, type ChoiceOption } from '../parts/Choice';
import { NumberField, TextField } from '../parts/Field';
import { usePreferences } from '../state/preferences';
import { type OwnerForm } from './owner-form';

const plain = <T extends string>(values: readonly T[]): ChoiceOption<T>[] =>
  values.map((value) => ({ value, text: value }));
const HANDS: ChoiceOption<'right' | 'left'>[] = [
  { value: 'right', text: 'right-handed' },
  { value: 'left', text: 'left-handed' },
];

/** What an owner knows of a boat, field by field, in a form of `OwnerForm`. */
export function OwnerFields() {
  const unit = usePreferences((p) => p.length);
  const speed = usePreferences((p) => p.speed);
  const { register, formState } = useFormContext<OwnerForm>();
  const engines = useWatch<OwnerForm, 'engines'>({ name: 'engines' });
  const text = (
    name: 'name' | 'kind' | 'note',
    label: string,
    placeholder: string,
    rows?: number,
  ) => (
    <TextField
      rows={rows}
      label={label}
      placeholder={placeholder}
      registration={register(name)}
      error={formState.errors[name]?.message}
    />
  );
  return (
    <>
      <Group name="Which boat it is">
        <Line label="Name">{text('name', 'Name', 'as painted on the boat')}</Line>
        <Line label="What the boat is">
          {text('kind', 'What the boat is', 'left empty: class and length')}
        </Line>
        <Line label="Class">
          <Pick name="class" label="Class" options={plain(BOAT_CLASSES)} />
        </Line>
      </Group>
      <Group name="Size">
        <Amount name="length" label="Length over all" unit={unit} />
        <Amount name="beam" label="Beam" unit={unit} />
        <Amount name="draught" label="Draught" unit={unit} />
        <Amount name="displacement" label="Displacement" unit="kg" width={84} />
        <Amount name="waterline" label="Waterline length, if known" unit={unit} optional />
      </Group>
      <Group name="Under water">
        <Line label="Keel">
          <Pick name="keel" label="Keel" options={plain(KEEL_KINDS)} />
        </Line>
        <Line label="Rudders">
          <Pick name="rudders" label="Rudders" options={plain(['0', '1', '2'])} />
        </Line>
        <Line label="Steered by">
          <Pick name="control" label="Steered by" options={plain(['wheel', 'tiller'])} />
        </Line>
      </Group>
      <Group name="Engine">
        <Line label="Engines">
          <Pick name="engines" label="Engines" options={plain(['0', '1', '2', '3', '4'])} />
        </Line>
        {engines !== '0' && (
          <>
            <Line label="Driving">
              <Pick name="drive" label="Driving" options={plain(PROPULSOR_KINDS)} />
            </Line>
            <Amount name="power" label="Power of each" unit="kW" />
            <Line label="Propeller">
              <span className="flex gap-4">
                <Pick name="blades" label="Blades" options={plain(BLADE_KINDS)} />
                <Pick name="hand" label="Hand" options={HANDS} />
              </span>
            </Line>
            {engines === '1' && (
              <Amount name="offset" label="Screw to starboard of the middle" unit={unit} optional />
            )}
            <Amount name="idle" label="Speed in gear at idle, if known" unit={speed} optional />
          </>
        )}
        <Amount name="bow" label="Bow thruster, 0 for none" unit="kW" />
        <Amount name="stern" label="Stern thruster, 0 for none" unit="kW" />
        <Line label="Joystick">
          <label className="flex min-h-7 items-center gap-2">
            <input type="checkbox" className="size-4 accent-plan" {...register('joystick')} /> moves
            engines, drives and thrusters
          </label>
        </Line>
      </Group>
      <Group name="Over water">
        <Amount name="freeboard" label="Deck edge over the water" unit={unit} />
        <Amount name="superstructure" label="Superstructure over the deck" unit={unit} />
        <Amount name="mast" label="Mast over the water, 0 for none" unit={unit} />
      </Group>
      <Group name="Note">{text('note', 'Note', 'anything worth knowing of the boat', 4)}</Group>
    </>
  );
}

function Group({ name, children }: { name: string; children: ReactNode }) {
  return (
    <fieldset className="pb-5">
      <legend className="w-full border-b border-ink pb-1 text-[15px] font-bold">{name}</legend>
      {children}
    </fieldset>
  );
}

function Line({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="rule-b grid grid-cols-[220px_minmax(0,1fr)] max-md:grid-cols-1 items-baseline gap-3 py-1.5">
      <span aria-hidden>{label}</span>
      {children}
    </div>
  );
}

function Amount({
  name,
  label,
  unit,
  optional = false,
  width = 72,
}: {
  name: FieldPath<OwnerForm>;
  label: string;
  unit: string;
  optional?: boolean;
  width?: number;
}) {
  const { register, getFieldState, formState } = useFormContext<OwnerForm>();
  return (
    <Line label={label}>
      <NumberField
        label={label}
        unit={unit}
        width={width}
        placeholder={optional ? '–' : undefined}
        registration={register(name, { valueAsNumber: true })}
        error={getFieldState(name, formState).error?.message}
      />
    </Line>
  );
}

function Pick<T extends string>({
  name,
  label,
  options,
}: {
  name: FieldPath<OwnerForm>;
  label: string;
  options: readonly ChoiceOption<T>[];
}) {
  const { control } = useFormContext<OwnerForm>();
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <span className="inline-flex flex-col">
          <Choice<T>
            label={label}
            value={field.value as T}
            options={options}
            onChange={field.onChange}
          />
          {fieldState.error && (
            <span role="alert" className="text-[12.5px] font-semibold text-hurt">
              {fieldState.error.message}
            </span>
          )}
        </span>
      )}
    />
  );
}
