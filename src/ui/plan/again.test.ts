import type { StepDocument } from '@/document';
import { step } from '@/planner/template';
import { removeStep } from './edits';
import { fromForm, toForm } from './step-form';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;
const again = { step: 'turn', cue: { is: 'sternway' }, within_s: 60, times: 2 } as const;
const round = (id: string): StepDocument => {
  const plain = step(id, id, { is: 'start' }, [], 'out, and again');
  return { ...plain, wayOut: { ...plain.wayOut, again } };
};

it('round again stays with its step as that is edited', () => {
  const back = fromForm('in', toForm(round('in'), UNITS), UNITS);
  expect(back.ok && back.value.wayOut.again).toEqual(again);
});

it('round again from a step that is removed is none any more', () => {
  const steps = [step('turn', '', { is: 'start' }, [], ''), round('in'), round('stop')];
  const plan = {
    steps,
    end: { cue: { is: 'sternway' as const }, within_s: 9 },
    lines: [],
    crew: [],
    fenders: [],
  };
  expect(removeStep(plan, 'stop').steps[1]!.wayOut.again).toEqual(again);
  for (const { wayOut } of removeStep(plan, 'turn').steps)
    expect(wayOut).not.toHaveProperty('again');
});
