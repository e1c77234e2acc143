import type { StepDocument } from '@/document';
import { step } from '@/planner/template';
import { removeStep } from './edits';
import { ABSENT } from './part-values';
import { errorTree, fieldOf, fromForm, toForm } from './step-form';

const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;
const again = { step: 'turn', cue: { is: 'sternway' }, within_s: 60, times: 2 } as const;
type Again = StepDocument['wayOut']['again'];
const round = (id: string, more: Again = again): StepDocument => {
  const plain = step(id, id, { is: 'start' }, [], 'out, and again');
  return { ...plain, wayOut: { ...plain.wayOut, again: more } };
};

it('round again is the same out of its fields as into them, whatever it waits for', () => {
  const back = (more: Again) => {
    const read = fromForm('in', toForm(round('in', more), UNITS), UNITS);
    return read.ok ? read.value.wayOut.again : null;
  };
  expect(back(again)).toEqual(again);
  const slow = { is: 'speed', over: 'ground', compare: 'below', speed_mps: 0.3 } as const;
  const cue = { is: 'any' as const, of: [{ is: 'stopped' as const }, slow] };
  expect(back({ step: 'turn', cue, within_s: 45, times: 3 })).toEqual({
    step: 'turn',
    // Written in knots and back.
    cue: { ...cue, of: [cue.of[0], { ...slow, speed_mps: expect.closeTo(0.3, 2) as number }] },
    within_s: 45,
    times: 3,
  });
});

it('a way out leads round again as soon as a step is named, and no more where none is', () => {
  const plain = step('in', '', { is: 'start' }, [], 'out');
  const form = toForm(plain, UNITS);
  expect(form.again.step).toBe(ABSENT);
  const none = fromForm('in', form, UNITS);
  expect(none.ok && none.value.wayOut).not.toHaveProperty('again');
  const named = fromForm('in', { ...form, again: { ...form.again, step: 'turn' } }, UNITS);
  expect(named.ok && named.value.wayOut.again).toEqual({
    step: 'turn',
    cue: { is: 'stopped' },
    within_s: 90,
    times: 2,
  });
});

it('what is wrong with it is told at its field', () => {
  const form = toForm(round('in'), UNITS);
  const wrong = fromForm('in', { ...form, again: { ...form.again, times: 7, within: 0 } }, UNITS);
  if (wrong.ok) throw new Error('seven rounds were taken');
  const { again: errors } = errorTree(wrong.problems, form, UNITS);
  expect(errors?.times?.message).toMatch(/from 1 to 3/);
  expect(errors?.within?.message).toMatch(/900/);
  expect(fieldOf('wayOut.again.cue.speed_mps')).toBe('again.cues.0.values.speed');
  expect(fieldOf('wayOut.again.cue.of[1].speed_mps')).toBe('again.cues.1.values.speed');
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
