/** @jest-environment jsdom */
import { act, fireEvent, render, renderHook, screen } from '@testing-library/react';
import { useState } from 'react';
import { z } from 'zod';
import { useAutosave, type Wire } from './use-autosave';

interface Doc {
  readonly id: string;
  readonly text: string;
}

const WIRE: Wire<Doc, Doc> = {
  address: ({ id }) => `/api/${id}`,
  body: (document, revision) => ({ document, revision }),
  theirs: (answer) => answer as { theirs: Doc; revision: number },
  documentOf: (document) => document,
  schema: z.object({ id: z.string(), text: z.string() }),
};

const doc = (text: string): Doc => ({ id: 'one', text });
const FIRST = doc('first');
const OPENED = { revision: 4, updatedAt: 1 };

type Answer = () => Promise<Response>;
const answer =
  (status: number, body: unknown): Answer =>
  () =>
    Promise.resolve({ ok: status < 300, status, json: () => Promise.resolve(body) } as Response);
const saved = (revision: number) => answer(200, { revision, updatedAt: 9 });
const late: Answer = () => Promise.reject(new DOMException('late', 'TimeoutError'));
const gone: Answer = () => Promise.reject(new TypeError('Failed to fetch'));

let sent: { body: { document: Doc; revision: number }; init: RequestInit }[];
let answers: Answer[];

beforeEach(() => {
  jest.useFakeTimers();
  sent = [];
  answers = [];
  globalThis.fetch = (_address, init) => {
    sent.push({
      body: JSON.parse(String(init!.body)) as (typeof sent)[number]['body'],
      init: init!,
    });
    return (answers.shift() ?? gone)();
  };
});
afterEach(() => jest.useRealTimers());

const edited = () => {
  const hook = renderHook(({ document }) => useAutosave(document, OPENED, WIRE), {
    initialProps: { document: FIRST },
  });
  return {
    edit: (text: string) => hook.rerender({ document: doc(text) }),
    state: () => hook.result.current.state,
    current: () => hook.result.current,
    close: () => hook.unmount(),
  };
};
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

function leaving(): boolean {
  const event = new Event('beforeunload', { cancelable: true });
  window.dispatchEvent(event);
  return event.defaultPrevented;
}

it('saves a moment after the last edit, over the revision it came from', async () => {
  answers = [saved(5), saved(6)];
  const page = edited();
  await pass(2000);
  expect(sent).toEqual([]);
  page.edit('a');
  await pass(200);
  page.edit('ab');
  await pass(200);
  expect([sent.length, leaving()]).toEqual([0, true]);
  await pass(300);
  expect(sent.map(({ body }) => body)).toEqual([{ document: doc('ab'), revision: 4 }]);
  expect([page.state().is, leaving()]).toEqual(['saved', false]);
  page.edit('abc');
  await pass(500);
  expect(sent[1]!.body.revision).toBe(5);
});

it('a save that is not answered is given up and sent again: it cannot hang', async () => {
  answers = [late, gone, saved(5)];
  const page = edited();
  page.edit('a');
  await pass(500);
  expect(sent[0]!.init.signal).toBeInstanceOf(AbortSignal);
  expect(page.state()).toEqual({ is: 'waiting', why: 'the server does not answer' });
  expect(leaving()).toBe(true);
  await pass(4100);
  expect(page.state()).toEqual({ is: 'waiting', why: 'the server cannot be reached' });
  await pass(4100);
  expect([page.state().is, sent.length, leaving()]).toEqual(['saved', 3, false]);
});

it('says what the server says: a full disk by its name, a wrong field with its path', async () => {
  const problems = (path: string, message: string) => ({ problems: [{ path, message }] });
  answers = [
    answer(507, problems('(server)', 'the disk is full; free some space, then try again')),
    answer(422, problems('plan.steps[1]', 'has no engine')),
  ];
  const page = edited();
  page.edit('a');
  await pass(500);
  expect(page.state()).toMatchObject({ why: 'the disk is full; free some space, then try again' });
  await pass(4100);
  expect(page.state()).toMatchObject({ why: 'plan.steps[1]: has no engine' });
});

it('changed elsewhere it overwrites nothing until one of them is chosen', async () => {
  answers = [answer(409, { theirs: doc('theirs'), revision: 7 }), saved(8)];
  const page = edited();
  page.edit('mine');
  await pass(500);
  expect(page.state()).toMatchObject({ is: 'conflict', theirs: doc('theirs') });
  page.edit('mine too');
  await pass(5000);
  expect(sent).toHaveLength(1);
  act(() => page.current().keepMine());
  await pass(10);
  expect(sent[1]!.body).toEqual({ document: doc('mine too'), revision: 7 });
  expect(page.state().is).toBe('saved');
});

it('a large document is not left to a request that browsers drop as the page goes', async () => {
  answers = [gone, gone];
  const page = edited();
  page.edit('x'.repeat(100_000));
  page.close();
  await pass(10);
  expect(sent.map(({ init }) => init.keepalive)).toEqual([false]);
});

it('what is typed and not taken yet is warned of too, and saved as the page goes', async () => {
  answers = [gone];
  const Typed = () => {
    const [document, setDocument] = useState(FIRST);
    const [typed, setTyped] = useState<string | null>(null);
    useAutosave(document, OPENED, WIRE);
    const run = () => {
      if (typed !== null) setDocument(doc(typed));
      setTyped(null);
    };
    const value = typed ?? document.text;
    return <input value={value} onChange={(e) => setTyped(e.target.value)} onBlur={run} />;
  };
  render(<Typed />);
  const field = screen.getByRole<HTMLInputElement>('textbox');
  field.focus();
  expect(leaving()).toBe(false);
  fireEvent.change(field, { target: { value: 'typed' } });
  expect(leaving()).toBe(true);
  expect(window.document.activeElement).toBe(field);
  act(() => void window.dispatchEvent(new Event('pagehide')));
  await pass(10);
  expect(sent.map(({ body }) => body.document)).toEqual([doc('typed')]);
});
