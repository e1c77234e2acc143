import { useFormContext, useWatch } from 'react-hook-form';
import { useWorkspace } from '../state/context';
import { FieldError, NumberField } from '../parts/Field';
import { CueFields } from './CueFields';
import { ABSENT } from './part-values';
import { RowChoice } from './RowFields';
import type { StepForm } from './step-form';

/** Does the way out lead round again: from which step, how often, and when. */
export function AgainFields() {
  const { register, formState, control } = useFormContext<StepForm>();
  const steps = useWorkspace((s) => s.manoeuvre.plan.steps);
  const [step, automatic] = useWatch({ control, name: ['again.step', 'automatic'] });
  const { again } = formState.errors;
  const options = [
    { value: ABSENT, text: 'and that ends it' },
    ...steps.map(({ id }, i) => ({
      value: id,
      text: `then again from step ${i + 1}`,
    })),
  ];
  // Only a way out that is taken by itself leads anywhere.
  if (!automatic) return null;
  return (
    <div className="mt-1.5 flex flex-col gap-1">
      <RowChoice name="again.step" label="After the way out" options={options} />
      <FieldError error={again?.step?.message} />
      {step !== ABSENT && (
        <>
          <p className="text-quiet">
            no more than{' '}
            <NumberField
              label="Rounds at the most"
              unit="rounds"
              registration={register('again.times', { valueAsNumber: true })}
              error={again?.times?.message}
            />
            , given up after{' '}
            <NumberField
              label="Longest wait before going round again"
              unit="s"
              registration={register('again.within', { valueAsNumber: true })}
              error={again?.within?.message}
            />
          </p>
          <CueFields at="again." />
        </>
      )}
    </div>
  );
}
