'use client';
import { ArrowLeft, ArrowRight, CopyPlus, Scissors, Trash2, X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import type { StepDocument } from '@/document';
import { useLiveForm } from '../hooks/use-live-form';
import { FieldError, NumberField, Part, TextField } from '../parts/Field';
import { IconButton } from '../parts/IconButton';
import { useWorkspace, useWorkspaceStore } from '../state/context';
import { usePlayhead } from '../state/playhead';
import { useUnits } from '../state/preferences';
import { Gesture } from '../state/workspace';
import { stepResolver, fromForm, toForm, type StepForm } from './step-form';
import { AgainFields } from './AgainFields';
import { CueFields } from './CueFields';
import { duplicateStep, freshStepId, moveStep, removeStep, splitStep } from './edits';
import { ExpectRows } from './ExpectRows';
import { OrderRows } from './OrderRows';

/** Cuts the step in two where the playhead stands. */
function SplitButton({ step }: { step: StepDocument }) {
  const plan = useWorkspace((s) => s.manoeuvre.plan);
  const { steps } = plan;
  const edit = useWorkspace((s) => s.edit);
  const select = useWorkspace((s) => s.select);
  const marks = usePlayhead((p) => p.marks);
  const time = usePlayhead((p) => p.time);
  const index = steps.findIndex(({ id }) => id === step.id);
  const from = marks.find((mark) => mark.step === index)?.time;
  const to = marks.find((mark) => mark.step === index + 1)?.time ?? Infinity;
  const within = from !== undefined && time > from + 0.2 && time < to;
  return (
    <IconButton
      label={within ? 'Split at the playhead' : 'Split: put the playhead inside this step first'}
      disabled={!within}
      onClick={() => {
        const id = freshStepId(steps);
        const next = splitStep(plan, step.id, id, time - from!);
        edit((m) => {
          m.plan = next;
        });
        select(id);
      }}
    >
      <Scissors size={15} />
    </IconButton>
  );
}

/** A step's cue, orders, expectations and way out, edited in place. Every sound change plays at once. */
export function StepEditor({ step, number }: { step: StepDocument; number: number }) {
  const store = useWorkspaceStore();
  const plan = useWorkspace((s) => s.manoeuvre.plan);
  const edit = useWorkspace((s) => s.edit);
  const select = useWorkspace((s) => s.select);
  const units = useUnits();

  const form = useForm<StepForm>({
    defaultValues: toForm(step, units),
    resolver: stepResolver(step.id, units),
    mode: 'onChange',
  });
  const { register } = form;
  const { errors } = form.formState;
  const gesture = useRef<Gesture | null>(null);
  useLiveForm(
    form,
    step,
    (part) => toForm(part, units),
    (values) => fromForm(step.id, values, units),
    (next) => {
      const apply = gesture.current ?? { edit: store.getState().edit };
      apply.edit((m) => {
        const steps = m.plan.steps.map((b) => (b.id === step.id ? next : b));
        m.plan = { ...m.plan, steps };
      });
      return store.getState().manoeuvre.plan.steps.find((b) => b.id === step.id) ?? next;
    },
    units,
  );

  const endGesture = () => {
    gesture.current?.end();
    gesture.current = null;
  };
  useEffect(() => endGesture, []);

  const copy = () => {
    const id = freshStepId(plan.steps);
    const next = duplicateStep(plan, step.id, id);
    edit((m) => {
      m.plan = next;
    });
    select(id);
  };
  const remove = () => {
    edit((m) => {
      m.plan = removeStep(m.plan, step.id);
    });
    select(null);
  };
  const move = (by: number) =>
    edit((m) => {
      m.plan = moveStep(m.plan, step.id, by);
    });

  return (
    <FormProvider {...form}>
      <form
        aria-label={`Step ${number}`}
        onSubmit={(event) => event.preventDefault()}
        onFocusCapture={(event) => {
          // Typing in one field is undone as one.
          if (!(event.target instanceof HTMLInputElement)) return;
          endGesture();
          gesture.current = new Gesture(store);
        }}
        onBlurCapture={endGesture}
      >
        <div className="flex items-center gap-2 pb-1">
          <span className="figures flex size-[22px] shrink-0 items-center justify-center rounded-full bg-plan text-[14px] font-bold text-on-plan">
            {number}
          </span>
          <h2 className="flex-1 text-[15px] font-semibold">Step {number}</h2>
          <span className="flex">
            <IconButton label="Earlier" disabled={number === 1} onClick={() => move(-1)}>
              <ArrowLeft size={15} />
            </IconButton>
            <IconButton
              label="Later"
              disabled={number === plan.steps.length}
              onClick={() => move(1)}
            >
              <ArrowRight size={15} />
            </IconButton>
            <SplitButton step={step} />
            <IconButton label="Duplicate this step" onClick={copy}>
              <CopyPlus size={15} />
            </IconButton>
            <IconButton
              label="Remove this step"
              disabled={plan.steps.length === 1}
              onClick={remove}
            >
              <Trash2 size={15} />
            </IconButton>
            <IconButton label="Close the editor" onClick={() => select(null)}>
              <X size={16} />
            </IconButton>
          </span>
        </div>

        <div className="pb-3 text-[15px] font-semibold">
          <TextField
            label="What this step does"
            placeholder="name this step"
            registration={register('title')}
            error={errors.title?.message}
          />
        </div>
        <Part name="When">
          <CueFields />
          <p className="mt-1.5 text-quiet">
            given up after{' '}
            <NumberField
              label="Longest wait for the cue"
              unit="s"
              registration={register('within', { valueAsNumber: true })}
              error={errors.within?.message}
            />
          </p>
        </Part>
        <Part name="Do">
          <OrderRows name="orders" />
          <FieldError error={errors.orders?.message} />
        </Part>
        <Part name="Expect">
          <ExpectRows />
        </Part>
        <Part name="Way out, if not">
          <TextField
            label="Way out in words"
            placeholder="what is said"
            registration={register('note')}
            error={errors.note?.message}
          />
          <label className="my-1.5 flex items-center gap-2">
            <input type="checkbox" {...register('automatic')} className="size-4 accent-plan" />
            taken by itself when this step does not go as expected
          </label>
          <OrderRows name="wayOrders" />
          <AgainFields />
        </Part>
      </form>
    </FormProvider>
  );
}
