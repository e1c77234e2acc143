/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { certificateOf, fanOf } from '@/core/reliability';
import { demoFile } from '@/document/testing/demo';
import { trialsOf } from '@/document/testing/demo-trials';
import { WorkspaceProvider } from '../state/context';
import { createWorkspace } from '../state/workspace';
import { HowSureRow } from './Holds';

const { boat, place, ...rest } = demoFile('off-stilt-pontoon');
const trials = trialsOf({ ...rest, boat, place }, 4);
const certificate = certificateOf(trials);
const fan = fanOf(trials, 3);
const store = createWorkspace({
  manoeuvre: { ...rest, boatId: boat.id, placeId: place.id },
  boat,
  place,
});

it('offers to lay tries on the water once they are in, and to take them off again', () => {
  const row = (some: typeof fan | null) => (
    <WorkspaceProvider store={store}>
      <HowSureRow found={{ certificate, asTold: null, fan: some }} plan={rest.plan} />
    </WorkspaceProvider>
  );
  const { rerender } = render(row(null));
  expect(screen.getByTestId('reading').textContent).toContain('of 100');
  expect(screen.queryByRole('button')).toBeNull();
  expect(store.getState()).toMatchObject({ fan: null, fanShown: false });
  rerender(row(fan));
  expect(store.getState().fan).toBe(fan);
  fireEvent.click(screen.getByRole('button', { name: 'show 3 of them on the water' }));
  expect(store.getState().fanShown).toBe(true);
  fireEvent.click(screen.getByRole('button', { name: 'take them off the water' }));
  expect(store.getState().fanShown).toBe(false);
});
