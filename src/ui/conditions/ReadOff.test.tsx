/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { demoFile } from '@/document/testing/demo';
import { WorkspaceProvider } from '../state/context';
import { createWorkspace, type WorkspaceStore } from '../state/workspace';
import { ReadOff } from './ReadOff';

let store: WorkspaceStore;
beforeEach(() => {
  const { boat, place, ...rest } = demoFile('under-sallow-bridge');
  store = createWorkspace({
    manoeuvre: { ...rest, boatId: boat.id, placeId: place.id },
    boat,
    place,
  });
  render(
    <WorkspaceProvider store={store}>
      <ReadOff />
    </WorkspaceProvider>,
  );
});
const conditions = () => store.getState().manoeuvre.conditions;

it('reckons the wind from a flag, with how far it can be out, and puts it in as one edit', async () => {
  const user = userEvent.setup();
  const before = conditions().wind;
  await user.click(screen.getByText('Estimate from what you see'));
  await user.click(screen.getByRole('combobox', { name: 'How a light flag looks' }));
  await user.click(await screen.findByRole('option', { name: /^currents out/ }));
  const { textContent } = await screen.findByTestId('read-off');
  const [, knots] = /wind (\d+) ± \d+ kn/.exec(textContent ?? '')!;
  await user.click(screen.getByText('Use it'));
  expect(conditions().wind.speed_mps).toBeCloseTo(Number(knots) * 0.514444, 0);
  expect(conditions().wind.from_deg).toBe(before.from_deg);
  store.temporal.getState().undo();
  expect(conditions().wind).toEqual(before);
});

it('reckons the current from what floats by, and not before both figures are there', async () => {
  const user = userEvent.setup();
  await user.click(screen.getByText('Estimate from what you see'));
  const write = async (name: string, value: string) => {
    const field = screen.getByRole('textbox', { name });
    await user.clear(field);
    await user.type(field, `${value}{Enter}`);
  };
  await write('Distance it floats', '10');
  expect(screen.queryByTestId('read-off')).toBeNull();
  await write('Time it takes', '20');
  expect((await screen.findByTestId('read-off')).textContent).toMatch(/current (1|0\.9\d*|1\.0) ±/);
  await user.click(screen.getByText('Use it'));
  expect(conditions().current.speed_mps).toBeCloseTo(0.5, 2);
});
