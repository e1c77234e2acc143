/** @jest-environment jsdom */
import { render, screen, within } from '@testing-library/react';
import { userEvent } from '@testing-library/user-event';
import { AppRouterContext } from 'next/dist/shared/lib/app-router-context.shared-runtime';
import type { ContextType } from 'react';
import { LibraryPage } from './LibraryPage';

const COPIES = [
  { name: '2026-03-01T10-00-00-000.sqlite', at: 1_772_359_200_000, bytes: 786_432, before: false },
  { name: '2026-03-01T09-00-00-000-before.sqlite', at: 1_772_355_600_000, bytes: 0, before: true },
];
const INSIDE = {
  counts: { boats: 15, places: 11, manoeuvres: 37, runs: 204, records: 2 },
  changedAt: 1_772_359_000_000,
  state: 'current',
};

const router = { refresh: jest.fn() } as unknown as NonNullable<
  ContextType<typeof AppRouterContext>
>;
let asked: [string, string, unknown][];
let answers: Record<string, [number, unknown]>;

beforeEach(() => {
  asked = [];
  answers = {};
  globalThis.fetch = (address, init) => {
    const method = init?.method ?? 'GET';
    const body = typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : null;
    asked.push([method, String(address), body]);
    // Work is watched under an id made up anew.
    const path = String(address).replace(/watch=[\w-]+/, 'watch=…');
    const [status, text] = answers[`${method} ${path}`] ?? [500, {}];
    if (typeof text === 'function') return (text as () => Promise<Response>)();
    return Promise.resolve({
      ok: status < 300,
      status,
      json: () => Promise.resolve(text),
    } as Response);
  };
});

const show = () =>
  render(
    <AppRouterContext value={router}>
      <LibraryPage backups={COPIES} />
    </AppRouterContext>,
  );

it('a copy is looked into before it is restored, and restored only when that is pressed', async () => {
  const user = userEvent.setup();
  const [sound] = COPIES;
  answers[`GET /api/library/backups/${sound!.name}`] = [200, INSIDE];
  answers['POST /api/library/backups'] = [204, null];
  show();
  const rows = within(screen.getByRole('region', { name: 'Copies' }));
  await user.click(rows.getAllByText('restore')[0]!);
  const inside = await screen.findByTestId('inside');
  expect(inside.textContent).toMatch(/37 manoeuvres, 204 runs, 15 boats/);
  expect(asked.filter(([method]) => method === 'POST')).toEqual([]);
  await user.click(screen.getByText('Yes, replace everything here'));
  expect(asked.at(-1)).toEqual([
    'POST',
    '/api/library/backups',
    { do: 'restore', name: sound!.name },
  ]);
  expect(await screen.findByText('Restored.')).toBeTruthy();
});

it('one that is empty is refused in words, and cannot be restored', async () => {
  const user = userEvent.setup();
  const [, empty] = COPIES;
  const why = { problems: [{ path: '(server)', message: 'is no SQLite database' }] };
  answers[`GET /api/library/backups/${empty!.name}`] = [422, why];
  show();
  await user.click(screen.getAllByText('restore')[1]!);
  expect((await screen.findByRole('alert')).textContent).toContain('is no SQLite database');
  expect(screen.queryByText('Yes, replace everything here')).toBeNull();
});

it('says what of an archive could not be read, and shows what it holds before anything is taken in', async () => {
  const user = userEvent.setup();
  const none = { fresh: 0, same: 0, different: 0, unreadable: 0 };
  const standing = {
    boats: none,
    places: none,
    techniques: none,
    manoeuvres: { ...none, fresh: 3, unreadable: 1 },
    runs: none,
    records: none,
  };
  answers['POST /api/library?how=preview&watch=…'] = [
    200,
    { made: '2026-03-01T10:00:00.000Z', standing },
  ];
  show();
  await user.upload(screen.getByLabelText('Archive file'), new File(['PK'], 'all.zip'));
  const looked = await screen.findByTestId('looked');
  expect(looked.textContent).toMatch(/1 of these could not be read/);
  expect(
    asked.map(([method, address]) => `${method} ${address.replace(/watch=[\w-]+/, 'watch=…')}`),
  ).toEqual(['POST /api/library?how=preview&watch=…']);
});

it('shows how far an export is, stops it, and says that nothing came of it', async () => {
  const user = userEvent.setup();
  let over: (answer: Response) => void = () => undefined;
  const going = () => new Promise<Response>((resolve) => (over = resolve));
  answers['POST /api/library/archives?watch=…'] = [0, going];
  show();
  const work = () => asked.find(([, address]) => address.startsWith('/api/work/'))?.[1];
  const fetched = globalThis.fetch;
  globalThis.fetch = (address, init) => {
    if (!String(address).startsWith('/api/work/')) return fetched(address, init);
    asked.push([init?.method ?? 'GET', String(address), null]);
    const progress = { doing: 'writing', share: 0.42 };
    return Promise.resolve({ ok: true, json: () => Promise.resolve({ progress }) } as Response);
  };
  await user.click(screen.getByText('Export everything'));
  expect(await screen.findByText('42 %')).toBeTruthy();
  expect(screen.getByText('Writing the archive …')).toBeTruthy();
  await user.click(screen.getByText('Stop'));
  expect(asked.at(-1)?.slice(0, 2)).toEqual(['DELETE', work()]);
  const problems = [{ path: '(request)', message: 'was stopped; nothing has changed' }];
  over({ ok: false, status: 409, json: () => Promise.resolve({ problems }) } as Response);
  expect(await screen.findByText('Stopped; nothing has changed.')).toBeTruthy();
  expect(screen.queryByRole('alert')).toBeNull();
  expect(screen.queryByText('42 %')).toBeNull();
});

it('a full disk is called that, not a server that is gone', async () => {
  const user = userEvent.setup();
  const full = { path: '(server)', message: 'the disk is too full for a backup' };
  answers['POST /api/library/backups'] = [507, { problems: [full] }];
  show();
  await user.click(screen.getByText('Back up now'));
  expect((await screen.findByText(/the disk is too full for a backup/)).textContent).toBeTruthy();
});
