'use client';
import { Controller, useForm } from 'react-hook-form';
import { MOST_CURRENT_MPS, MOST_WIND_MPS } from '@/document';
import { useLiveForm } from '../hooks/use-live-form';
import { Choice } from '../parts/Choice';
import { NumberField, Part } from '../parts/Field';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { useUnits } from '../state/preferences';
import { Hour } from './Hour';
import { ReadOff } from './ReadOff';
import { fieldErrors, fromForm, toForm, type ConditionsForm } from './conditions-form';

const MOST = { wind: MOST_WIND_MPS, current: MOST_CURRENT_MPS };

/** Wind, current and water in figures; the same as the grips on the water. */
export function ConditionsEditor() {
  const store = useWorkspaceStore();
  const conditions = useWorkspace((s) => s.manoeuvre.conditions);
  const units = useUnits();
  const form = useForm<ConditionsForm>({
    defaultValues: toForm(conditions, units),
    mode: 'onChange',
    resolver: (values) => {
      const result = fromForm(values, units, conditions);
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
    (values) => fromForm(values, units, conditions),
    (next) => {
      store.getState().edit((m) => {
        m.conditions = next;
      });
      return store.getState().manoeuvre.conditions;
    },
    units,
  );

  const number = (
    name: Exclude<keyof ConditionsForm, 'water' | 'shelter' | 'eddies' | 'walls' | 'wash'>,
    label: string,
    unit: string,
  ) => (
    <NumberField
      label={label}
      unit={unit}
      width={56}
      registration={register(name, { valueAsNumber: true })}
      error={errors[name]?.message}
    />
  );

  const tick = (name: 'shelter' | 'eddies' | 'walls' | 'wash', words: string) => (
    <label className="flex min-h-7 items-center gap-2">
      <input type="checkbox" className="size-4 accent-plan" {...register(name)} /> {words}
    </label>
  );

  return (
    <>
      <Hour />
      <form aria-label="Conditions" onSubmit={(event) => event.preventDefault()}>
        <Part name="Wind, 10 m above the water, named by where it comes from">
          <div className="flex flex-wrap gap-x-4 gap-y-1">
            {number('windSpeed', 'Wind speed', units.speed)}
            {number('windFrom', 'Wind from', '° from')}
          </div>
        </Part>
        <Part name="Current, named by where it sets to">
          <div className="flex flex-wrap gap-x-4 gap-y-1">
            {number('currentSpeed', 'Current speed', units.speed)}
            {number('currentSet', 'Current sets to', '° to')}
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
        <details className="rule-t py-2">
          <summary className="cursor-pointer py-1 text-[13px] font-semibold hover:text-plan">
            Gusts, veer, how sure, shelter, depth, banks
          </summary>
          <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-1">
            <span className="text-quiet">gusts</span>
            {number('gusts', 'Gusts, spread of the wind’s speed', '% of the mean')}
            <span className="text-quiet">seed</span>
            {number('seed', 'Seed of the gusts', '')}
          </div>
          <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-1">
            <span className="text-quiet">turns to</span>
            {number('veerTo', 'Wind turns to', '° from')}
            {number('veerIn', 'Seconds it takes to turn', 's')}
          </div>
          <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-1">
            <span className="basis-full text-quiet">wind may be out by</span>
            {number('windOut', 'Wind may be out by', '%')}
            {number('windFromOut', 'Wind’s direction may be out by', '°')}
          </div>
          <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-1">
            <span className="basis-full text-quiet">current may be out by</span>
            {number('currentOut', 'Current may be out by', '%')}
            {number('currentSetOut', 'Current’s direction may be out by', '°')}
          </div>
          <p className="pt-1 text-[12.5px] text-quiet">
            Empty: as far out as a forecast of the same day. Of three days two are nearer than that.
          </p>
          {tick(
            'shelter',
            'buildings and boats keep the wind off; strokes on the water are what is left of it',
          )}
          <div className="flex flex-wrap items-baseline gap-x-4 pt-1">
            <span className="text-quiet">depth, empty for deep</span>
            {number('depth', 'Depth of water', units.length)}
            <span className="text-quiet">level over 0</span>
            {number('level', 'Level over nought', units.length)}
          </div>
          {tick('walls', 'banks and walls are felt')}
          {tick('wash', 'wash of screws is felt, off walls and hulls and on other boats')}
          <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 pt-1">
            <span className="basis-full text-quiet">wash of something that passes</span>
            {number('washHeight', 'Height of wash that passes', units.length)}
            {number('washFrom', 'Wash comes from', '° from')}
            {number('washAt', 'Wash is there after', 's')}
          </div>
          <div className="flex flex-wrap items-baseline gap-x-4 pt-1">
            <span className="text-quiet">current weaker within</span>
            {number('bankWidth', 'Current weaker within, of a bank', `${units.length} of a bank`)}
          </div>
          {tick('eddies', 'slack water behind quays and pontoons')}
          <p className="pt-1 text-[12.5px] text-quiet">
            Shelter, eddies, banks and wash are simple models, known to within a half.
          </p>
        </details>
      </form>
      <ReadOff />
    </>
  );
}
