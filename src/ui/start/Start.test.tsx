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
  wind: 4,
  job: rest.unreadable ? null : 'arrive',
  last: null,
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
  expect(screen.getByRole('status').textContent).toMatch(/No manoeuvre matches/);
});

it('lists one that cannot be read as that; it can be opened, not driven', () => {
  show([entry('quay', { unreadable: true }), entry('pontoon')]);
  expect(screen.getByText(/cannot be read/)).toBeTruthy();
  expect(screen.getAllByRole('link', { name: /^Drive it: / })).toHaveLength(1);
});

it('users’ words are text', () => {
  show([entry('quay', { title: '<img src=x onerror=alert(1)>' })]);
  expect(screen.getByText('<img src=x onerror=alert(1)>')).toBeTruthy();
  expect(document.querySelector('img[src=x]')).toBeNull();
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

const sure = (held: number) => ({
  outcome: 'reached' as const,
  share: { share: held / 100, least: held / 100 - 0.03, most: held / 100 + 0.01, runs: 100 },
  older: false,
});

it('tells how sure each is, warns where few hold, and says what is older than a change', () => {
  show([
    entry('quay', { last: sure(97) }),
    entry('pontoon', { last: sure(12) }),
    entry('wall', { last: { ...sure(97), older: true } }),
    entry('steps', { last: { outcome: 'hard touch', share: null, older: false } }),
    entry('buoy'),
  ]);
  const line = (title: string) => screen.getByText(`To the ${title}`).closest('li')!.textContent!;
  expect(line('quay')).toMatch(/holds in 97 of 100 \(94 to 98\)/);
  expect(line('quay')).not.toContain('▲');
  expect(line('pontoon')).toMatch(/▲ holds in 12 of 100 \(9 to 13\)/);
  expect(line('wall')).toContain('before the last change');
  expect(line('steps')).toMatch(/▲ Hard touch/);
  expect(line('buoy')).toContain('not computed yet');
});

it('shows somebody new the surest arrival, and nothing of the kind once something was opened', () => {
  show([
    entry('quay', { last: sure(60) }),
    entry('pontoon', { last: sure(98) }),
    entry('calm', { last: sure(99), wind: 0 }),
  ]);
  const first = screen.getByRole('region', { name: 'First time here' });
  expect(first.textContent).toContain('To the pontoon');
  expect(first.querySelector('a')?.getAttribute('href')).toBe('/m/pontoon?tour');
});

it('groups by what they are for, and shows one kind only when that is asked', async () => {
  const user = userEvent.setup();
  show([
    entry('quay', { openedAt: 5 }),
    entry('lock', { job: 'locks' }),
    entry('out', { job: 'leave' }),
  ]);
  const headings = () => screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent);
  expect(headings()).toEqual(['Opened last', 'Arrive', 'Leave', 'Locks']);
  expect(screen.queryByRole('region', { name: 'First time here' })).toBeNull();
  await user.click(screen.getByRole('radio', { name: 'Locks' }));
  expect(headings()).toEqual(['Locks']);
  await user.click(screen.getByRole('radio', { name: 'Locks' }));
  expect(headings()).toHaveLength(4);
});
