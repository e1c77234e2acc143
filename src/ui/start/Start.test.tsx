/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { AppRouterContext } from 'next/dist/shared/lib/app-router-context.shared-runtime';
import type { ContextType } from 'react';
import type { StartEntry } from './entries';
import { Start } from './Start';

const pushed: string[] = [];
const router = {
  push: (to: string) => pushed.push(to),
  prefetch: () => undefined,
} as unknown as NonNullable<ContextType<typeof AppRouterContext>>;

const entry = (id: string, rest: Partial<StartEntry> = {}): StartEntry => ({
  id,
  title: `To the ${id}`,
  note: 'A story.',
  boat: 'Quince',
  place: 'Basin',
  openedAt: null,
  unreadable: false,
  ...rest,
});
const show = (entries: readonly StartEntry[]) =>
  render(
    <AppRouterContext value={router}>
      <Start manoeuvres={entries} />
    </AppRouterContext>,
  );

it('finds a manoeuvre by words of it, and says so where there is none', async () => {
  const user = userEvent.setup();
  show([entry('quay'), entry('pontoon', { boat: 'Pebble' })]);
  const field = screen.getByLabelText('Find a manoeuvre');
  await user.type(field, 'pebble');
  expect(screen.getAllByRole('listitem')).toHaveLength(1);
  await user.type(field, ' nowhere');
  expect(screen.getByRole('status').textContent).toMatch(/No manoeuvre has all of that/);
});

it('lists one that cannot be read as that; it can be opened, not driven', () => {
  show([entry('quay', { unreadable: true }), entry('pontoon')]);
  expect(screen.getByText(/Cannot be read/)).toBeTruthy();
  expect(screen.getAllByText('Drive it')).toHaveLength(1);
});

it('users’ words are text', () => {
  show([entry('quay', { title: '<img src=x onerror=alert(1)>' })]);
  expect(screen.getByText('<img src=x onerror=alert(1)>')).toBeTruthy();
  expect(document.querySelector('img')).toBeNull();
});

it('a file larger than is read at all is refused before anything is done with it', async () => {
  const user = userEvent.setup();
  const sent = jest.fn();
  globalThis.fetch = sent;
  show([entry('quay')]);
  const file = new File(['{}'], 'big.json', { type: 'application/json' });
  Object.defineProperty(file, 'size', { value: 90_000_000 });
  Object.defineProperty(file, 'text', { value: () => Promise.reject(new Error('was read')) });
  await user.upload(screen.getByLabelText('Manoeuvre file'), file);
  expect((await screen.findByText(/is 90 MB; at most 24 MB are read/)).textContent).toBeTruthy();
  expect(sent).not.toHaveBeenCalled();
});
