/** @jest-environment jsdom */
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { USUAL_SCHOOL } from '@/core/policy';
import { certificateOf, shareOf, type Trial } from '@/core/reliability';
import { demoFile } from '@/document/testing/demo';
import { trialsOf } from '@/document/testing/demo-trials';
import type { SuggestionSoFar } from '@/planner';
import { WorkspaceProvider } from '../state/context';
import { createWorkspace } from '../state/workspace';
import { SuggestedPlans } from './SuggestPlan';

const { boat, place, ...rest } = demoFile('off-stilt-pontoon');
const file = { ...rest, boat, place };
const trials = trialsOf(file, 4);
const asIf = (outcome: Trial['outcome']) => trials.map((one) => ({ ...one, outcome, touch: null }));
const plan = { ...rest.plan, steps: rest.plan.steps.slice(0, 1) };
const found: SuggestionSoFar = {
  plans: [
    {
      way: { most: 1, thrusters: false, spring: false, idle: false },
      plan,
      gearChanges: 12,
      certificate: certificateOf(asIf('reached')),
    },
  ],
  reference: shareOf(9, 10),
  refused: null,
  remedies: [],
  doing: null,
  made: 0,
  of: 0,
};

/** The panel with what has been found, and what it asked for. */
function shown(first: SuggestionSoFar | null, { busy = false, atOnce = false } = {}) {
  const run = jest.fn();
  const asks = () => atOnce && run.mock.calls.length === 0;
  const store = createWorkspace({
    manoeuvre: { ...rest, boatId: boat.id, placeId: place.id },
    boat,
    place,
  });
  const panel = (so: SuggestionSoFar | null) => (
    <WorkspaceProvider store={store}>
      <SuggestedPlans
        file={file}
        job={{ found: so, busy, problems: [], run, stop: jest.fn() }}
        atOnce={asks}
      />
    </WorkspaceProvider>
  );
  const { rerender } = render(panel(first));
  return { store, run, finds: (so: SuggestionSoFar) => rerender(panel(so)) };
}
const text = () => document.body.textContent;

it('puts a plan that was found in as one edit', () => {
  const { store, run, finds } = shown(null);
  fireEvent.click(screen.getByRole('button', { name: 'Suggest a plan' }));
  expect(run).toHaveBeenCalledWith({ file, seconds: 10, school: USUAL_SCHOOL });
  finds(found);
  expect(text()).toContain('Holds in 4 of 4 tries');
  expect(text()).toContain('12 gear changes');
  expect(text()).toContain('holds in 9 of 10 of these tries');
  expect(text()).not.toContain('None of them holds');
  fireEvent.click(screen.getByRole('button', { name: 'Put it in the plan' }));
  expect(store.getState().manoeuvre.plan).toEqual(plan);
  expect(text()).toContain('It stands in the plan');
});

it('works out what winds a plan that was found holds in, of the manoeuvre it was looked for', () => {
  const { store, finds } = shown(null);
  fireEvent.click(screen.getByRole('button', { name: 'Suggest a plan' }));
  finds({ ...found, doing: 'reference helm' });
  expect(screen.queryByRole('button', { name: 'Winds it holds in …' })).toBeNull();
  finds(found);
  fireEvent.click(screen.getByRole('button', { name: 'Winds it holds in …' }));
  const rose = screen.getByTestId('wind-rose');
  expect(rose.textContent).toContain('of 16 directions tried');
  // It is asked for of the plan found, as it stood: put in or not, it stays.
  fireEvent.click(screen.getByRole('button', { name: 'Put it in the plan' }));
  expect(store.getState().manoeuvre.plan).toEqual(plan);
  expect(screen.getByTestId('wind-rose')).toBe(rose);
  fireEvent.click(screen.getByRole('button', { name: 'stop' }));
  expect(screen.queryByTestId('wind-rose')).toBeNull();
});

it('does not write over what was changed meanwhile', () => {
  const { store, finds } = shown(null);
  fireEvent.click(screen.getByRole('button', { name: 'Suggest a plan' }));
  store.getState().edit((m) => {
    m.note = 'changed';
  });
  finds(found);
  fireEvent.click(screen.getByRole('button', { name: 'Put it in the plan' }));
  expect(store.getState().manoeuvre.plan).toEqual(rest.plan);
  expect(text()).toContain('nothing was put in');
});

it('begins by itself where a manoeuvre was begun with a plan, and puts in the surest once it is known', async () => {
  const { store, run, finds } = shown(null, { busy: true, atOnce: true });
  await waitFor(() => expect(run).toHaveBeenCalledTimes(1));
  finds({ ...found, doing: 'certifying', made: 3, of: 25 });
  expect(screen.getByRole('status').textContent).toContain('3 of 25');
  expect(store.getState().manoeuvre.plan).toEqual(rest.plan);
  finds({ ...found, doing: 'reference helm', made: 0, of: 10 });
  expect(store.getState().manoeuvre.plan).toEqual(plan);
});

it('says why there is none, and what would do', () => {
  shown({ ...found, plans: [], refused: { why: 'no engine' } });
  expect(screen.getByRole('alert').textContent).toContain('There is none: ');
  document.body.innerHTML = '';
  const certificate = certificateOf(asIf('missed'));
  const { store, finds } = shown(null);
  fireEvent.click(screen.getByRole('button', { name: 'Suggest a plan' }));
  finds({
    ...found,
    plans: [{ ...found.plans[0]!, certificate }],
    doing: 'less wind',
    remedies: [],
  });
  // Stopped on the way: what was not tried is not said to fail.
  expect(text()).not.toContain('None of them holds');
  finds({
    ...found,
    plans: [{ ...found.plans[0]!, certificate }],
    remedies: [
      {
        is: 'less wind',
        wind: 2,
        goal: rest.goal,
        plan,
        certificate: certificateOf(asIf('reached')),
      },
    ],
  });
  expect(text()).toContain('None of them holds in 95 of 100');
  expect(text()).toContain('Most that fail: ');
  fireEvent.click(screen.getByRole('button', { name: 'Try it' }));
  const { conditions, plan: now } = store.getState().manoeuvre;
  expect(conditions.wind.speed_mps).toBe(2);
  expect(now).toEqual(plan);
});
