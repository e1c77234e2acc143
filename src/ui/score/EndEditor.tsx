'use client';
import { X } from 'lucide-react';
import { useEffect, useMemo, useRef } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import { check, scoreSchema } from '@/document';
import { NumberField, Part } from '../parts/Field';
import { IconButton } from '../parts/IconButton';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { usePreferences } from '../state/preferences';
import { useNames } from './BeatEditor';
import { cueFromForm, cueToForm, errorTree, freshCue, type BeatForm } from './beat-form';
import { CueFields } from './CueFields';

const endSchema = scoreSchema.shape.end;

/** When the manoeuvre is over: the cue after the last beat. */
export function EndEditor() {
  const store = useWorkspaceStore();
  const end = useWorkspace((s) => s.manoeuvre.score.end);
  const select = useWorkspace((s) => s.select);
  const speed = usePreferences((p) => p.speed);
  const length = usePreferences((p) => p.length);
  const units = useMemo(() => ({ speed, length }), [speed, length]);
  const { points, marks } = useNames();
  const fresh = useMemo(() => freshCue(points[0] ?? '', marks[0] ?? ''), [points, marks]);

  const read = (form: BeatForm) =>
    check(endSchema, { cue: cueFromForm(form, units), within_s: form.within });
  const values = (): BeatForm => ({
    title: '',
    ...cueToForm(end.cue, fresh, units),
    within: end.within_s,
    orders: [],
    expect: [],
    say: '',
    take: false,
    wayOrders: [],
  });
  const form = useForm<BeatForm>({
    defaultValues: values(),
    mode: 'onChange',
    resolver: (given) => {
      const result = read(given);
      return result.ok
        ? { values: given, errors: {} }
        : { values: {}, errors: errorTree(result.problems, units) };
    },
  });
  const { subscribe, getValues, trigger, reset, register } = form;
  const made = useRef(end);
  useEffect(() => {
    if (end === made.current) return;
    made.current = end;
    reset(values());
  });
  useEffect(() =>
    subscribe({
      formState: { values: true },
      callback: () => {
        const result = read(getValues());
        void trigger();
        if (!result.ok || JSON.stringify(result.value) === JSON.stringify(made.current)) return;
        const next = result.value;
        store.getState().edit((m) => {
          m.score = { ...m.score, end: next };
        });
        made.current = store.getState().manoeuvre.score.end;
      },
    }),
  );

  return (
    <FormProvider {...form}>
      <form aria-label="End of the score" onSubmit={(event) => event.preventDefault()}>
        <div className="flex items-center justify-between pb-2">
          <h2 className="text-[15px] font-semibold">The end</h2>
          <IconButton label="Close the editor" onClick={() => select(null)}>
            <X size={16} />
          </IconButton>
        </div>
        <Part name="Over when">
          <CueFields fresh={fresh} points={points} marks={marks} units={units} />
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
      </form>
    </FormProvider>
  );
}
