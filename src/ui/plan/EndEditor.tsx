'use client';
import { X } from 'lucide-react';
import { FormProvider, useForm } from 'react-hook-form';
import { check, MOST_LIMIT_S, planSchema } from '@/document';
import { useLiveForm } from '../hooks/use-live-form';
import { NumberField, Part } from '../parts/Field';
import { IconButton } from '../parts/IconButton';
import { NumberBox } from '../parts/NumberBox';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { useUnits } from '../state/preferences';
import { againForm, errorTree, type StepForm } from './step-form';
import { cueFromForm, cueToForm } from './cues';
import { CueFields } from './CueFields';

const endSchema = planSchema.shape.end;

/** When the manoeuvre is over: the cue after the last step. */
export function EndEditor() {
  const store = useWorkspaceStore();
  const end = useWorkspace((s) => s.manoeuvre.plan.end);
  const select = useWorkspace((s) => s.select);
  const units = useUnits();

  const read = (form: StepForm) =>
    check(endSchema, { cue: cueFromForm(form, units), within_s: form.within });
  const show = ({ cue, within_s }: typeof end): StepForm => ({
    title: '',
    ...cueToForm(cue, units),
    within: within_s,
    orders: [],
    expect: [],
    note: '',
    automatic: false,
    wayOrders: [],
    again: againForm(undefined, units),
  });
  const form = useForm<StepForm>({
    defaultValues: show(end),
    mode: 'onChange',
    resolver: (given) => {
      const result = read(given);
      return result.ok
        ? { values: given, errors: {} }
        : { values: {}, errors: errorTree(result.problems, given, units) };
    },
  });
  const { register } = form;
  useLiveForm(
    form,
    end,
    show,
    read,
    (next) => {
      store.getState().edit((m) => {
        m.plan = { ...m.plan, end: next };
      });
      return store.getState().manoeuvre.plan.end;
    },
    units,
  );

  return (
    <FormProvider {...form}>
      <form aria-label="End of the plan" onSubmit={(event) => event.preventDefault()}>
        <div className="flex items-center justify-between pb-2">
          <h2 className="text-[15px] font-semibold">The end</h2>
          <IconButton label="Close the editor" onClick={() => select(null)}>
            <X size={16} />
          </IconButton>
        </div>
        <Part name="Over when">
          <CueFields />
          <p className="mt-1.5 text-quiet">
            given up after{' '}
            <NumberField
              label="Longest wait for the cue"
              unit="s"
              registration={register('within', { valueAsNumber: true })}
              error={form.formState.errors.within?.message}
            />
          </p>
        </Part>
        <Part name="At the latest">
          <Limit />
        </Part>
      </form>
    </FormProvider>
  );
}

/** A manoeuvre that is not done by then is out of time. */
function Limit() {
  const edit = useWorkspace((s) => s.edit);
  const limit = useWorkspace((s) => s.manoeuvre.limit_s);
  return (
    <NumberBox
      label="out of time after"
      value={limit / 60}
      unit="min"
      least={0.1}
      most={MOST_LIMIT_S / 60}
      onChange={(minutes) =>
        edit((m) => {
          m.limit_s = Math.round(60 * minutes);
        })
      }
    />
  );
}
